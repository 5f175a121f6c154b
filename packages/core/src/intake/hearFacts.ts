import type { Assumptions } from '../assumptions/assumptions.ts';
import type { Token } from '../text/tokens.ts';
import { struckBy, type Correction } from '../text/corrections.ts';
import { noiseFrame, playFrame } from './frames/bearing.ts';
import { has, type Clause, type Frame, type Heard, type Topic } from './frames/clause.ts';
import { feltFrame } from './frames/felt.ts';
import { historyOf } from './frames/history.ts';
import { lampsOf, namesALamp } from './frames/lamps.ts';
import { liveFrame, speedList } from './frames/live.ts';
import { lookFrame } from './frames/looks.ts';
import { acFrame, batteryFrame, resistanceFrame, supplyFrame, teethOf } from './frames/meter.ts';
import { fluidFrame, trialFrame, wiggleFrame } from './frames/trials.ts';
import type { Unit } from './unit.ts';

/** Frames of one clause, in the order they are asked. The first to say what a clause measures sets the sentence's topic. */
const FRAMES: readonly Frame[] = [
  batteryFrame,
  acFrame,
  supplyFrame,
  resistanceFrame,
  liveFrame,
  playFrame,
  noiseFrame,
  lookFrame,
  wiggleFrame,
  trialFrame,
  fluidFrame,
  feltFrame,
];

/** "Front left has play, ditto front right": the findings of the clause before, again. */
const again = (clause: Clause, heard: readonly Heard[]): Heard[] => {
  const { unit, sentence } = clause;
  const alone = !unit.items.some((item) =>
    ['look', 'play', 'noise', 'open', 'live', 'sound', 'check', 'complaint', 'lampName'].includes(
      item.meaning.is,
    ),
  );
  const said = unit.items.some(
    (item) =>
      item.meaning.is === 'same' &&
      clause.tokens
        .slice(item.from, item.to)
        .some(({ norm }) => /^(ditto|same|so|likewise|too|also|as)$/.test(norm)),
  );
  if (!unit.group || !alone || !said || unit.numbers.length > 0) return [];
  const last = heard.at(-1);
  if (
    !last ||
    last.unit.sentence < unit.sentence - 1 ||
    !(last.unit.sentence === unit.sentence ? sentence.includes(last.unit) : true)
  )
    return [];
  return heard
    .filter((fact) => fact.unit === last.unit && fact.is !== 'complaint')
    .map((fact) => ({ ...fact, from: unit.from, to: unit.to, unit }));
};

/** "Axle 1 left growls, axle 1 right does not": the finding of the clause before, denied. */
const denied = (clause: Clause, heard: readonly Heard[]): Heard[] => {
  const { unit, tokens } = clause;
  const last = heard.at(-1);
  const only = unit.items.length === 1 && has(unit, 'not') && unit.numbers.length === 0;
  const ends = /^(not|doesnt|isnt|hasnt|dont|arent|havent|wasnt|didnt)$/.test(
    tokens[unit.to - 1]?.norm ?? '',
  );
  if (!unit.group || !only || !ends || last?.unit.sentence !== unit.sentence) return [];
  const at = { from: unit.from, to: unit.to, unit };
  return heard
    .filter((fact) => fact.unit === last.unit)
    .flatMap((fact): Heard[] => {
      const { check } = fact;
      if (check?.check === 'bearing.noise' || check?.check === 'bearing.play')
        return [{ ...fact, ...at, is: 'check', check: { ...check, result: 'none' } }];
      return [];
    });
};

/** Battery at rest and cranking are two figures of one check. */
const oneBattery = (heard: readonly Heard[]): Heard[] => {
  const batteries = heard.filter((fact) => fact.check?.check === 'battery');
  const [one, two] = batteries;
  if (!one || !two) return [...heard];
  const merged = { ...one, check: { ...one.check, ...two.check } as Heard['check'], also: [two] };
  return heard.flatMap((fact) => (fact === one ? [merged as Heard] : fact === two ? [] : [fact]));
};

/** Facts taken back: the last of its kind before a correction, where another of that kind follows. */
const withoutStruck = (heard: readonly Heard[], corrections: readonly Correction[]): Heard[] => {
  if (corrections.length === 0) return [...heard];
  const out = new Set<Heard>();
  for (const kind of new Set(heard.flatMap((fact) => fact.check?.check ?? []))) {
    const mine = heard.filter((fact) => fact.check?.check === kind).sort((a, b) => a.from - b.from);
    for (const i of struckBy(corrections, mine)) {
      const fact = mine[i];
      if (fact) out.add(fact);
    }
  }
  return heard.filter((fact) => !out.has(fact));
};

const ends = (tokens: readonly Token[], units: readonly Unit[]): boolean => {
  const last = units.at(-1);
  return last !== undefined && tokens[last.to]?.norm === '?';
};

/** Words that open a question nobody put a mark behind: "does the wheel get play when they go". */
const OPENS_QUESTION: ReadonlyArray<readonly [RegExp, RegExp]> = [
  [/^does$/, /./],
  [/^(do|could|would|might)$/, /^(the|it|that|this|these|they|a|an|my)$/],
];

/** Whether a sentence is in the order of a question. */
const asksInOrder = (tokens: readonly Token[], sentence: readonly Unit[]): boolean => {
  const from = sentence[0]?.from ?? 0;
  const [one, two] = [tokens[from]?.norm ?? '', tokens[from + 1]?.norm ?? ''];
  return OPENS_QUESTION.some(([auxiliary, subject]) => auxiliary.test(one) && subject.test(two));
};

/** Every fact of a text, each in its own clause; wheels are given afterwards. */
export const hearFacts = (
  tokens: readonly Token[],
  units: readonly Unit[],
  corrections: readonly Correction[],
  today: string,
  a: Assumptions,
): Heard[] => {
  const sentences: Unit[][] = [];
  for (const unit of units) {
    const last = sentences.at(-1);
    if (last && last[0]?.sentence === unit.sentence) last.push(unit);
    else sentences.push([unit]);
  }
  const lampNamed = namesALamp(units);
  const heard: Heard[] = [];
  let measured: Topic['measure'] = null;
  sentences.forEach((sentence, n) => {
    // A list of readings goes on over stops: "front left: 1100 ohms. rear left: 1050."
    const goesOn =
      measured === 'ohm' && sentence[0]?.group && sentence.some((unit) => unit.numbers.length > 0);
    const topic: Topic = { looked: null, measure: goesOn ? measured : null };
    const question = ends(tokens, sentence);
    const clauses = sentence.map((unit): Clause => ({
      unit,
      tokens,
      topic,
      sentence,
      following: sentences[n + 1] ?? [],
      doubtful: question || asksInOrder(tokens, sentence) || has(unit, 'doubt'),
      today,
      a,
      lampNamed,
    }));
    const teeth = teethOf(clauses);
    const speeds = teeth.length > 0 ? [] : speedList(clauses);
    const taken = new Set([...speeds, ...teeth].map(({ unit }) => unit));
    heard.push(...teeth, ...speeds);
    for (const clause of clauses) {
      if (taken.has(clause.unit)) continue;
      const mine: Heard[] = [];
      for (const frame of FRAMES) mine.push(...frame(clause));
      heard.push(...mine, ...again(clause, heard), ...denied(clause, heard));
    }
    measured = topic.measure;
    heard.push(...lampsOf(clauses), ...historyOf(clauses));
  });
  return withoutStruck(oneBattery(heard), corrections);
};
