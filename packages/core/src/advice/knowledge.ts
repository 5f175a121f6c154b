import { assumptionsWith, type Assumptions } from '../assumptions/assumptions.ts';
import { z } from 'zod';
import { CatalogueSlice, DictionaryEntry, emptySlice } from '../vocabulary/catalogue.ts';
import { School, type Docket } from '../vocabulary/docket.ts';
import { HouseWays, usualWays } from '../vocabulary/houseWays.ts';
import { WeakPlace } from '../vocabulary/weakPlace.ts';

/** All that advising knows beside the docket. */
const Learned = z.object({
  overrides: z.record(z.string(), z.number()).default({}),
  /** Closed jobs behind them: of this line, and in all. */
  lineJobs: z.number().min(0).default(0),
  jobs: z.number().min(0).default(0),
  /** Parts that came back bad from the box, by number: so many of those sold. */
  bad: z
    .record(
      z.string(),
      z.object({
        bad: z.number(),
        sold: z.number(),
        share: z.number().nullable(),
        batch: z.string().nullable(),
      }),
    )
    .default({}),
  /** Weak places of this line, with their evidence. */
  weak: z.array(WeakPlace).default([]),
});

export const Knowledge = z.object({
  slice: CatalogueSlice,
  dictionary: z.array(DictionaryEntry),
  /** The shop's overrides of the assumptions. */
  overrides: z.record(z.string(), z.number()),
  /** What the ledger taught, for this vehicle line: numbers in place of the judgement’s, where the shop set none. */
  learned: Learned.prefault({}),
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
  learned: { overrides: {}, lineJobs: 0, jobs: 0, bad: {}, weak: [] },
  school: 'test-first',
  ways: usualWays(),
  currency: 'EUR',
  today,
});

/** Knowledge as it would be had nothing been learned: what judgement alone says. */
export const judgedOnly = (knowledge: Knowledge): Knowledge => ({
  ...knowledge,
  slice: { ...knowledge.slice, bad: {} },
  learned: { ...knowledge.learned, overrides: {} },
});

/** The assumptions in force on a docket: defaults, what was learned, then the shop's, then the docket's own. */
export const assumptionsFor = (docket: Docket, knowledge: Knowledge): Assumptions =>
  assumptionsWith({
    ...knowledge.learned.overrides,
    ...knowledge.overrides,
    ...docket.options?.assumptions,
    ...(docket.options?.labourRate == null ? {} : { 'labour.rate': docket.options.labourRate }),
  });
