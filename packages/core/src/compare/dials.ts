import { DEFAULT_ASSUMPTIONS, type Assumptions } from '../assumptions/assumptions.ts';
import { idleKey } from '../offers/rates.ts';
import type { Dial } from '../vocabulary/comparison.ts';
import type { Docket } from '../vocabulary/docket.ts';
import type { CompareModel } from './model.ts';

/** One input that can be dragged: what it is, where it may go, and how it is set on a docket. */
interface DialRule {
  readonly label: string;
  readonly unit: 'probability' | 'money' | 'money/h' | 'money/day' | 'years';
  /** Where it stands. */
  readonly at: (docket: Docket, model: CompareModel, a: Assumptions) => number;
  /** How far it can be dragged. */
  readonly range: (at: number, model: CompareModel, docket: Docket) => readonly [number, number];
  /** The ends one must reckon with, for the picture of what matters most. */
  readonly plausible: (at: number, a: Assumptions, docket: Docket) => readonly [number, number];
  readonly set: (docket: Docket, value: number) => Docket;
  /** What a docket takes at all: no dial leaves it, however it stands. */
  readonly takes: (docket: Docket) => readonly [number, number];
}

const clamp = (value: number, [least, most]: readonly [number, number]): number =>
  Math.min(most, Math.max(least, value));

/** The range of an assumption. */
const rangeOf = (key: string): readonly [number, number] => {
  const entry = DEFAULT_ASSUMPTIONS[key];
  if (!entry) throw new Error(`no assumption named ${key}`);
  return [entry.min, entry.max];
};

/** Dearest part a docket takes as its price, in the shop's currency. */
const DEAREST = 100_000;
const hourKey = (docket: Docket): string =>
  docket.customer?.kind === 'self' ? 'diy.hour-value' : 'labour.rate';

const withOptions = (docket: Docket, options: NonNullable<Docket['options']>): Docket => ({
  ...docket,
  options: { ...docket.options, ...options },
});
/** A docket with one number of judgement of its own. */
export const withAssumption = (docket: Docket, key: string, value: number): Docket =>
  withOptions(docket, { assumptions: { ...docket.options?.assumptions, [key]: value } });

/** So many times less and more. */
const around =
  (dial: 'hub-price' | 'labour-rate' | 'comeback'): DialRule['plausible'] =>
  (at, a) => [at / a.get(`dial.times.${dial}`), at * a.get(`dial.times.${dial}`)];

const hubOf = (model: CompareModel) =>
  model.ways.find((way) => way.parts.length === 1 && way.parts[0]?.part === 'hub-assembly');

const RULES: Readonly<Record<Dial, DialRule>> = {
  seizure: {
    label: 'chance that the sensor snaps',
    unit: 'probability',
    at: (_docket, model) => Math.max(0, ...model.ways.flatMap(({ snags }) => snags[0]?.chance ?? [])),
    range: (_at, model) => [0, model.ways.some(({ snags }) => snags.length > 0) ? 0.9 : 0],
    plausible: (at, a) => [at / a.get('dial.times.seizure'), Math.min(0.9, at * a.get('dial.times.seizure'))],
    set: (docket, chance) => withOptions(docket, { seizure: { ...docket.options?.seizure, chance } }),
    takes: () => [0, 1],
  },
  'hub-price': {
    label: 'price of the hub',
    unit: 'money',
    at: (_docket, model) => hubOf(model)?.lines[0]?.unitPrice ?? 0,
    range: (at) => [Math.round(at * 0.3), Math.round(at * 2)],
    plausible: around('hub-price'),
    set: (docket, price) =>
      withOptions(docket, {
        prices: { ...docket.options?.prices, 'hub-assembly': Math.round(price * 100) / 100 },
      }),
    takes: () => [0, DEAREST],
  },
  'labour-rate': {
    label: 'labour rate',
    unit: 'money/h',
    at: (docket, _model, a) => a.get(hourKey(docket)),
    range: (at) => [Math.round(at * 0.25), Math.round(at * 2.5)],
    plausible: around('labour-rate'),
    set: (docket, rate) =>
      docket.customer?.kind === 'self'
        ? withAssumption(docket, 'diy.hour-value', rate)
        : withOptions(docket, { labourRate: rate }),
    takes: (docket) => rangeOf(hourKey(docket)),
  },
  'idle-day': {
    label: 'cost of an idle day',
    unit: 'money/day',
    at: (docket, _model, a) => a.get(idleKey(docket)),
    range: (at) => [0, Math.max(300, Math.round(at * 4))],
    plausible: (at, a) => [0, at * a.get('dial.times.idle-day')],
    set: (docket, cost) => withAssumption(docket, idleKey(docket), cost),
    takes: (docket) => rangeOf(idleKey(docket)),
  },
  horizon: {
    label: 'how long it is kept',
    unit: 'years',
    at: (_docket, _model, a) => a.get('horizon.years'),
    range: () => [0, 10],
    plausible: (_at, a) => [a.get('dial.horizon.low'), a.get('dial.horizon.high')],
    set: (docket, years) => withAssumption(docket, 'horizon.years', years),
    takes: () => rangeOf('horizon.years'),
  },
  comeback: {
    label: 'cost of a comeback',
    unit: 'money',
    at: (_docket, _model, a) => a.get('comeback.cost'),
    range: (at) => [0, Math.max(400, at * 4)],
    plausible: around('comeback'),
    set: (docket, cost) => withAssumption(docket, 'comeback.cost', cost),
    takes: () => rangeOf('comeback.cost'),
  },
};

const held = (rule: DialRule): DialRule => {
  const within = (docket: Docket, [low, high]: readonly [number, number]): readonly [number, number] => [
    clamp(low, rule.takes(docket)),
    clamp(high, rule.takes(docket)),
  ];
  return {
    ...rule,
    range: (at, model, docket) => within(docket, rule.range(at, model, docket)),
    plausible: (at, a, docket) => within(docket, rule.plausible(at, a, docket)),
    set: (docket, value) => rule.set(docket, clamp(value, rule.takes(docket))),
  };
};

/**
 * Every dial by name. A dial of something this job does not have has no range; none leaves what a docket takes, wherever
 * the shop's figures stand.
 */
export const DIAL_RULES: Readonly<Record<Dial, DialRule>> = Object.fromEntries(
  Object.entries(RULES).map(([dial, rule]) => [dial, held(rule)]),
) as Record<Dial, DialRule>;
