import { assumptionsWith, type Assumptions } from '../assumptions/assumptions.ts';
import { emptySlice, type CatalogueSlice, type DictionaryEntry } from '../vocabulary/catalogue.ts';
import type { Docket, School } from '../vocabulary/docket.ts';

/** All that advising knows beside the docket. */
export interface Knowledge {
  readonly slice: CatalogueSlice;
  readonly dictionary: readonly DictionaryEntry[];
  /** The shop's overrides of the assumptions. */
  readonly overrides: Readonly<Record<string, number>>;
  readonly school: School;
  /** ISO 4217 letters of the shop's currency. */
  readonly currency: string;
  /** Today as YYYY-MM-DD: the core has no clock. */
  readonly today: string;
}

/** Knowledge of nothing but the day: default price book, default odds, no dictionary. */
export const bareKnowledge = (today: string): Knowledge => ({
  slice: emptySlice(),
  dictionary: [],
  overrides: {},
  school: 'test-first',
  currency: 'EUR',
  today,
});

/** The assumptions in force on a docket: defaults, then the shop's, then the docket's own. */
export const assumptionsFor = (docket: Docket, knowledge: Knowledge): Assumptions =>
  assumptionsWith({
    ...knowledge.overrides,
    ...docket.options?.assumptions,
    ...(docket.options?.labourRate == null ? {} : { 'labour.rate': docket.options.labourRate }),
  });
