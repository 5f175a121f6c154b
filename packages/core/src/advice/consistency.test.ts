import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { CHECK_NAMES, chanceInWords, CAUSE_IN_WORDS, PART_IN_WORDS } from '../index.ts';
import { assumptionsWith } from '../assumptions/assumptions.ts';
import { dangersOf } from '../safety/dangers.ts';
import type { Advice, Offer } from '../vocabulary/advice.ts';
import type { Docket } from '../vocabulary/docket.ts';
import { wheelEndInWords } from '../vocabulary/wheelEndWords.ts';
import { advise } from './advise.ts';
import { compareBench } from './compareDocket.ts';
import { bareKnowledge } from './knowledge.ts';
import { randomDockets } from './tests/randomDocket.ts';

const knowledge = bareKnowledge('2026-11-25');
const a = assumptionsWith();

/** Everything of an advice that contradicts something else of it, in words. */
const contradictions = (docket: Docket, advice: Advice): string[] => {
  const wrong: string[] = [];
  const { verdict, plan, offers, causes } = advice;
  const said = [verdict.sentence, ...verdict.because, ...verdict.also].join(' | ');
  const own = (offer: Offer) =>
    offer.part === verdict.part &&
    offer.wheelEnd === verdict.wheelEnd &&
    offer.with.join() === verdict.with.join() &&
    (offer.work !== null) === verdict.sentence.includes(' in the same visit');
  const offer = offers.find(own);

  // One number for one thing: what the part cures, what it comes to.
  for (const [, figure] of said.matchAll(/(?:cures?|cure) (?:this |it |the complaint )?in (\d+) of 100/g))
    if (!offer || Math.round(offer.cures * 100) !== Number(figure))
      wrong.push(`says ${figure} of 100, the offer ${offer ? Math.round(offer.cures * 100) : 'none'}`);
  if (verdict.action === 'sell') {
    if (!offer) wrong.push('sells what is not offered');
    else if (plan.step?.do === 'sell' && Math.abs(plan.step.expectedCost - offer.allIn.mean) > 0.01)
      wrong.push(`plan ${plan.step.expectedCost.toFixed(2)}, offer ${offer.allIn.mean.toFixed(2)}`);
    for (const part of [verdict.part, ...verdict.with])
      if (part && !verdict.sentence.includes(PART_IN_WORDS[part].split(' ').at(-1) ?? ''))
        wrong.push(`sentence does not name the ${part}`);
  }
  if (verdict.action === 'check') {
    if (!verdict.check || !CHECK_NAMES.includes(verdict.check)) wrong.push('a check without a name');
    const minutes = /It takes (\d+) minutes/.exec(verdict.sentence)?.[1];
    if (minutes && Number(minutes) !== plan.next?.minutes)
      wrong.push(`says ${minutes} minutes, the step ${String(plan.next?.minutes)}`);
    const saves = /saves about \D*(\d+)/.exec(verdict.sentence)?.[1];
    if (saves && Number(saves) !== Math.max(10, Math.round(plan.worth / 10) * 10))
      wrong.push(`says it saves ${saves}, the plan ${plan.worth.toFixed(0)}`);
    if (saves && plan.worth < a.get('plan.check-floor')) wrong.push('a check below the floor is put first');
  } else if (plan.worth !== 0) wrong.push('a sale with a worth of a check');

  // Every chance that is said is a chance of the list.
  for (const { cause, wheelEnd, probability } of causes.slice(0, 2)) {
    const words = `${CAUSE_IN_WORDS[cause]}${wheelEnd ? ` ${wheelEndInWords(wheelEnd, advice.vehicle)}` : ''}: `;
    const at = said.indexOf(words);
    if (at >= 0 && !said.slice(at + words.length).startsWith(chanceInWords(probability)))
      wrong.push(`"${words}" is not followed by ${chanceInWords(probability)}`);
  }
  // No word against a part that cures nearly always, none for one that hardly does.
  const best = Math.max(0, ...offers.map(({ cures }) => cures));
  if (said.includes('good bet') && best > 0.8)
    wrong.push(`no good bet beside one that cures ${best.toFixed(2)}`);
  if (said.includes('none would change')) wrong.push('says that nothing would change it');
  const unsafe = new Set(dangersOf(docket).wheels.map(({ wheelEnd }) => wheelEnd));
  for (const each of offers) {
    if (
      each.cures < a.get('offer.least-cure') - 0.005 &&
      !unsafe.has(each.wheelEnd) &&
      each.with.length === 0
    ) {
      // It takes one of two faults away: no cure alone, but a part that is needed.
      const needed = offers.some((o) => o.with.length > 0 && [o.part, ...o.with].includes(each.part));
      if (!needed && !each.folded) wrong.push(`offers ${each.part} that cures ${each.cures.toFixed(3)}`);
    }
    if (each.folded && own(each) && verdict.action === 'sell') wrong.push('folds away what it sells');
  }
  // What would change the answer is another thing to do.
  for (const flip of plan.flips)
    if (plan.step?.do !== 'check' && flip.then === plan.step?.label)
      wrong.push(`flips to the same: ${flip.then}`);
  // Danger passes nothing by.
  if (unsafe.size > 0 && !advice.cautions.includes('stop-driving')) wrong.push('unsafe, and no word of it');
  if (unsafe.size > 0 && !verdict.sentence.startsWith('Do not drive'))
    wrong.push('unsafe, and not said first');
  for (const each of unsafe)
    if (
      each &&
      !said.includes(wheelEndInWords(each, advice.vehicle)) &&
      !said.toLowerCase().includes(wheelEndInWords(each, advice.vehicle))
    )
      wrong.push(`unsafe ${each} is not named`);
  return wrong;
};

describe('an advice with itself', () => {
  test('no figure and no sentence of 500 drawn dockets contradicts another', () => {
    fc.assert(
      fc.property(randomDockets(), (docket) => {
        const wrong = contradictions(docket, advise(docket, knowledge));
        if (wrong.length > 0) throw new Error(wrong.join('; '));
      }),
      { numRuns: 500, seed: 55 },
    );
  });

  test('the comparison shows the very figures of the offers, of 40 drawn dockets', () => {
    let compared = 0;
    fc.assert(
      fc.property(randomDockets(), (docket) => {
        const advice = advise(docket, knowledge);
        const comparison = compareBench(docket, knowledge).compare({}, false);
        if (!comparison) return;
        for (const offer of advice.offers.filter(({ wheelEnd }) => wheelEnd === comparison.wheelEnd)) {
          const way = comparison.ways.find(
            ({ parts, work }) =>
              work === offer.work &&
              parts.map(({ part }) => part).join() === [offer.part, ...offer.with].join() &&
              parts.every(({ wheelEnd }) => wheelEnd === offer.wheelEnd),
          );
          expect(way?.allIn.mean).toBeCloseTo(offer.allIn.mean, 6);
          expect(way?.cures).toBeCloseTo(offer.cures, 9);
          compared++;
        }
      }),
      { numRuns: 40, seed: 56 },
    );
    expect(compared).toBeGreaterThan(30);
  });
});
