import { judge } from '../advice/judge.ts';
import { howBuiltFirst } from '../advice/verdict/planRule.ts';
import type { Knowledge } from '../advice/knowledge.ts';
import type { Architecture } from '../diagnosis/architecture.ts';
import { partsAt } from '../offers/fixes.ts';
import type { Docket } from '../vocabulary/docket.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import type { PartClass } from '../vocabulary/words.ts';
import { byTheCard, type CardSight, type Deed } from './benchCard.ts';
import { cornerCode } from './cornerCode.ts';

/** Ways to work that are played against each other on whole dockets. */
export const WAYS_TO_WORK = [
  'ours',
  'bench-card',
  'what-the-code-names',
  'always-hub',
  'test-everything',
] as const;
export type WayToWork = (typeof WAYS_TO_WORK)[number];

/** How a job stands: what a way to work may see of it. */
export interface Standing {
  readonly docket: Docket;
  readonly ends: readonly WheelEnd[];
  /** How a wheel end is built, as whoever holds the part in hand sees. */
  readonly architectureOf: (end: WheelEnd) => Architecture;
  /** What was done already, by its name and by its name at a wheel end. */
  readonly tried: ReadonlySet<string>;
  /** What those who work our way know beside the docket. */
  readonly knowledge: Knowledge;
}

const DEAD = /-(1[1-5]|1A|1B|1C|31)$/;
const RATIO = /-(36|37|38|62|64)$/;

const sightOf = ({ docket, ends, architectureOf, tried }: Standing): CardSight => {
  const codes = docket.codes ?? [];
  const coded = codes.flatMap((code) => ends.filter((end) => code.code.startsWith(cornerCode(end))));
  const odd = (docket.checks ?? []).find(
    (each) =>
      each.wheelEnd &&
      ((each.check === 'live' && each.pattern !== 'normal') ||
        (each.check === 'bearing.noise' && each.result === 'growl') ||
        (each.check === 'visual.connector' && each.result !== 'sound')),
  );
  const corner = coded[0] ?? docket.wheelEnd ?? odd?.wheelEnd ?? null;
  const own = codes.filter((code) => corner && code.code.startsWith(cornerCode(corner)));
  return {
    docket,
    corner,
    architecture: corner ? architectureOf(corner) : null,
    code: own.some(({ code }) => DEAD.test(code))
      ? 'dead'
      : own.some(({ code }) => RATIO.test(code))
        ? 'ratio'
        : own.length > 0
          ? 'signal'
          : 'none',
    tried,
  };
};
const byHabit = (order: readonly PartClass[], standing: Standing): Deed => {
  const { docket, tried } = standing;
  const { corner, architecture } = sightOf(standing);
  if (!corner || !architecture)
    return tried.has('live') || docket.reader !== 'full'
      ? { kind: 'refer' }
      : { kind: 'check', check: 'live', at: null };
  const part = order.find((each) => partsAt(corner, architecture).includes(each) && !tried.has(each));
  return part ? { kind: 'parts', parts: [part], at: corner } : { kind: 'refer' };
};
const ours = (everything: boolean, { docket, tried, knowledge }: Standing): Deed => {
  const { verdict, main, rule } = judge(docket, knowledge);
  const plan = main?.plan ?? null;
  const fresh = (deed: Deed): boolean =>
    deed.kind === 'parts'
      ? !tried.has(`${deed.parts.join('+')}@${deed.at}`)
      : deed.kind === 'work'
        ? !tried.has(`work:${deed.work}`)
        : deed.kind === 'check'
          ? !(deed.at ? tried.has(`${deed.check}@${deed.at}`) : tried.has(deed.check))
          : deed.kind === 'ask'
            ? !tried.has(`ask@${deed.at}`)
            : true;
  const next = plan?.corner.checks.find(({ check: each }) => !tried.has(`${each}@${plan.wheelEnd}`));
  if (everything && plan && next) return { kind: 'check', check: next.check, at: plan.wheelEnd };
  const options: Deed[] = [];
  const asDeed = (fix: NonNullable<typeof plan>['outcomes'][number]['fix']): Deed =>
    fix.kind === 'part'
      ? { kind: 'parts', parts: [fix.part, ...fix.with], at: plan?.wheelEnd ?? '' }
      : { kind: 'work', work: fix.work, at: plan?.wheelEnd ?? null };
  if (rule === howBuiltFirst.name && verdict.wheelEnd) options.push({ kind: 'ask', at: verdict.wheelEnd });
  if (verdict.action === 'check' && verdict.check && !(everything && plan))
    options.push({ kind: 'check', check: verdict.check, at: verdict.wheelEnd });
  if (verdict.action === 'sell' && verdict.part && verdict.wheelEnd)
    options.push({ kind: 'parts', parts: [verdict.part, ...verdict.with], at: verdict.wheelEnd });
  if (verdict.action === 'no-part') {
    if (verdict.cause === 'supply' && verdict.wheelEnd === null)
      options.push({ kind: 'work', work: 'supply', at: null });
    else if (plan?.choice.kind === 'fix') {
      const fix = plan.corner.fixes[plan.choice.fix];
      if (fix) options.push(asDeed(fix));
    } else return { kind: 'refer' };
  }
  // What was done already and left no trace on the docket is not done again.
  if (plan) {
    const rest = [...plan.outcomes].sort((x, y) => x.cost - y.cost);
    options.push(...rest.filter(({ cures }) => cures >= 0.1).map(({ fix }) => asDeed(fix)));
  }
  return options.find(fresh) ?? { kind: 'refer' };
};

/** What a way to work does next. It sees the docket and what was tried, never the truth. */
export const chooseDeed = (way: WayToWork, standing: Standing): Deed => {
  switch (way) {
    case 'ours':
      return ours(false, standing);
    case 'test-everything':
      return ours(true, standing);
    case 'bench-card':
      return byTheCard(sightOf(standing));
    case 'always-hub':
      return byHabit(['hub-assembly'], standing);
    case 'what-the-code-names':
      return byHabit(['sensor', 'hub-assembly'], standing);
  }
};
