import { BadInput } from '../vocabulary/badInput.ts';
import { CHECK_LIKELIHOODS } from './checkLikelihoods.ts';
import { CODE_LIKELIHOODS } from './codeLikelihoods.ts';
import { COSTS } from './costs.ts';
import { FAULT_NUMBERS } from '../faultKinds/faultData.ts';
import { HEARING } from './hearing.ts';
import { HISTORY_FACTORS } from './historyFactors.ts';
import { judgement, type Judgement, type JudgementTable } from './judgement.ts';
import { LEARNING } from './learning.ts';
import { MEASURING } from './measuring.ts';
import { OFFER_COSTS } from './offerCosts.ts';
import { PRACTICE } from './practice.ts';
import { PRIORS } from './priors.ts';
import { SYMPTOM_LIKELIHOODS } from './symptomLikelihoods.ts';

/** Every judgement number of the application by its key. */
export const DEFAULT_ASSUMPTIONS: JudgementTable = {
  ...PRIORS,
  ...CODE_LIKELIHOODS,
  ...SYMPTOM_LIKELIHOODS,
  ...HISTORY_FACTORS,
  ...CHECK_LIKELIHOODS,
  ...COSTS,
  ...OFFER_COSTS,
  ...MEASURING,
  ...HEARING,
  ...LEARNING,
  ...PRACTICE,
  ...Object.fromEntries(Object.entries(FAULT_NUMBERS).map(([key, number]) => [key, judgement(...number)])),
};

/** The assumptions in force: the defaults with a shop's or a docket's overrides. */
export interface Assumptions {
  /** The number for `key`. @throws Error when the key does not exist: a mistake in our code, not in the input. */
  get(key: string): number;
  /** The number for `key`, or `otherwise` where the table has no such row. */
  find(key: string, otherwise: number): number;
  /** Changed keys with their values. */
  readonly overrides: Readonly<Record<string, number>>;
}

/** Words that keys were written with before the reasoning told joint from loom and a wrong sensor from a wrong target. */
const ONCE_ONE: Readonly<Record<string, readonly string[]>> = {
  wiring: ['joint', 'loom'],
  'mismatched-part': ['wrong-sensor', 'wrong-target'],
};

/** Numbers that are no more: an older docket or shop that set one is read, and the number has nothing left to move. */
const RETIRED: ReadonlySet<string> = new Set([
  'refer.cost',
  'work.module',
  'work.extra.module',
  'prior.pair',
  'prior.pair.ring-and-sensor',
  'prior.pair.bearing-and-encoder',
]);

/** The keys an override speaks of today. */
const todaysKeys = (key: string): string[] => {
  if (Object.hasOwn(DEFAULT_ASSUMPTIONS, key)) return [key];
  const parts = key.split('.');
  const at = parts.findIndex((part) => Object.hasOwn(ONCE_ONE, part));
  if (at < 0) return [];
  return (ONCE_ONE[parts[at] as string] ?? [])
    .map((name) => parts.with(at, name).join('.'))
    .filter((each) => Object.hasOwn(DEFAULT_ASSUMPTIONS, each));
};

/**
 * The assumptions with overrides applied.
 * @throws BadInput when a key is unknown or a value is outside its range.
 */
export const assumptionsWith = (overrides: Readonly<Record<string, number>> = {}): Assumptions => {
  const values = new Map(Object.entries(DEFAULT_ASSUMPTIONS).map(([key, entry]) => [key, entry.value]));
  for (const [key, value] of Object.entries(overrides)) {
    const keys = todaysKeys(key);
    if (keys.length === 0 && !RETIRED.has(key))
      throw new BadInput(`options.assumptions.${key}`, 'is not an assumption; check its name');
    for (const each of keys) {
      const entry = DEFAULT_ASSUMPTIONS[each] as Judgement;
      if (!Number.isFinite(value) || value < entry.min || value > entry.max)
        throw new BadInput(
          `options.assumptions.${key}`,
          `${value} is outside ${entry.min} to ${entry.max} ${entry.unit}`,
        );
      values.set(each, value);
    }
  }
  return {
    get(key) {
      const value = values.get(key);
      if (value === undefined) throw new Error(`no assumption named ${key}`);
      return value;
    },
    find: (key, otherwise) => values.get(key) ?? otherwise,
    overrides,
  };
};
