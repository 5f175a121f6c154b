import { assumptionsWith, type Assumptions } from '../assumptions/assumptions.ts';
import { z } from 'zod';
import { CatalogueSlice, DictionaryEntry, emptySlice } from '../vocabulary/catalogue.ts';
import { School, type Docket } from '../vocabulary/docket.ts';
import { HouseWays, usualWays } from '../vocabulary/houseWays.ts';

/** All that advising knows beside the docket. */
export const Knowledge = z.object({
  slice: CatalogueSlice,
  dictionary: z.array(DictionaryEntry),
  /** The shop's overrides of the assumptions. */
  overrides: z.record(z.string(), z.number()),
  school: School,
  /** How the shop does what people differ on. */
  ways: HouseWays,
  /** ISO 4217 letters of the shop's currency. */
  currency: z.string(),
  /** Today as YYYY-MM-DD: the core has no clock. */
  today: z.iso.date(),
});
export type Knowledge = Readonly<z.infer<typeof Knowledge>>;

/** Knowledge of nothing but the day: default price book, default odds, no dictionary. */
export const bareKnowledge = (today: string): Knowledge => ({
  slice: emptySlice(),
  dictionary: [],
  overrides: {},
  school: 'test-first',
  ways: usualWays(),
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
