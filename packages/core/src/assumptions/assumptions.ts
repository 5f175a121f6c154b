import { BadInput } from '../vocabulary/badInput.ts';
import { CHECK_LIKELIHOODS } from './checkLikelihoods.ts';
import { CODE_LIKELIHOODS } from './codeLikelihoods.ts';
import { COSTS } from './costs.ts';
import { HISTORY_FACTORS } from './historyFactors.ts';
import type { JudgementTable } from './judgement.ts';
import { MEASURING } from './measuring.ts';
import { OFFER_COSTS } from './offerCosts.ts';
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

/**
 * The assumptions with overrides applied.
 * @throws BadInput when a key is unknown or a value is outside its range.
 */
export const assumptionsWith = (overrides: Readonly<Record<string, number>> = {}): Assumptions => {
  const values = new Map(Object.entries(DEFAULT_ASSUMPTIONS).map(([key, entry]) => [key, entry.value]));
  for (const [key, value] of Object.entries(overrides)) {
    const entry = DEFAULT_ASSUMPTIONS[key];
    if (!entry) throw new BadInput(`options.assumptions.${key}`, 'is not an assumption; check its name');
    if (!Number.isFinite(value) || value < entry.min || value > entry.max)
      throw new BadInput(
        `options.assumptions.${key}`,
        `${value} is outside ${entry.min} to ${entry.max} ${entry.unit}`,
      );
    values.set(key, value);
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
