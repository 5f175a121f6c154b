import { z } from 'zod';
import { CHECK_NAMES } from './check.ts';
import { School } from './docket.ts';
import { Sheet } from './sheet.ts';
import { WheelEnd } from './wheelEnd.ts';
import { Action, Cause, Caution, CodeRole, CodeStatus, Mounting, PartClass, QuestionAbout } from './words.ts';

const probability = z.number().min(0).max(1);
const money = z.number();
const CheckNameWord = z.enum(CHECK_NAMES);

export const ReadCode = z.object({
  code: z.string(),
  module: z.string().nullable(),
  role: CodeRole,
  wheelEnds: z.array(WheelEnd),
  meaning: z.string(),
  status: CodeStatus.nullable(),
  /** Where the meaning comes from: the public standard, the words beside the code, or a maker's dictionary. */
  source: z.string(),
  /** What was forgiven in reading it, such as a letter O for a zero. */
  corrected: z.string().nullable(),
  /** For an echo: index of the root code that explains it. */
  explainedBy: z.number().int().nullable(),
});
export type ReadCode = z.infer<typeof ReadCode>;

/** Of a wrong part: whether it is the sensor or its target. */
const MismatchKind = z.enum(['sensor', 'target']);
export const RankedCause = z.object({
  cause: Cause,
  wheelEnd: WheelEnd.nullable(),
  probability,
  kind: MismatchKind.optional(),
});
export type RankedCause = z.infer<typeof RankedCause>;

/** How one fact moved the answer. `factor` multiplies the odds of `cause`. */
export const FactEffect = z.object({
  /** Path of the fact in the docket, such as `checks[0]`. */
  path: z.string(),
  label: z.string(),
  wheelEnd: WheelEnd.nullable(),
  effects: z.array(
    z.object({ cause: Cause, wheelEnd: WheelEnd.nullable(), factor: z.number(), words: z.string() }),
  ),
  said: z.string(),
});
export type FactEffect = z.infer<typeof FactEffect>;

export const Verdict = z.object({
  action: Action,
  part: PartClass.nullable(),
  /** Further parts sold together with `part`. */
  with: z.array(PartClass),
  wheelEnd: WheelEnd.nullable(),
  check: CheckNameWord.nullable(),
  cause: Cause.nullable(),
  /** One sentence to say aloud. */
  sentence: z.string(),
  /** A second line: a check that is about even, a close call, another wheel that is not safe. */
  also: z.array(z.string()),
  because: z.array(z.string()),
});
export type Verdict = z.infer<typeof Verdict>;

export const AllIn = z.object({ mean: money, p10: money, p50: money, p90: money });
export type AllIn = z.infer<typeof AllIn>;

export const CostPart = z.object({
  kind: z.enum([
    'parts',
    'companions',
    'core',
    'labour',
    'supplies',
    'tax',
    'seizure',
    'waiting',
    'comeback',
    'later',
    'bearing',
    'spared',
  ]),
  label: z.string(),
  /** Expected money, already weighted by its chance; below zero for what is spared later. */
  amount: money,
});

export type CostPart = z.infer<typeof CostPart>;

export const OrderLine = z.object({
  partNumber: z.string().nullable(),
  description: z.string(),
  brand: z.string().nullable(),
  tier: z.string().nullable(),
  quantity: z.number().int().min(1),
  unitPrice: money,
  /** Before any discount, what the shop pays, and the deposit paid back for the old part. */
  listPrice: money,
  costPrice: money.nullable(),
  deposit: money,
  stock: z.number().int().nullable(),
  bin: z.string().nullable(),
  why: z.string(),
  /** Where it is fitted; null for what serves the whole order. */
  wheelEnd: WheelEnd.nullable(),
  /** Goes along with a part. */
  companion: z.boolean(),
});
export type OrderLine = z.infer<typeof OrderLine>;

export const Offer = z.object({
  part: PartClass,
  wheelEnd: WheelEnd,
  /** Further parts fitted in the same job. */
  with: z.array(PartClass),
  /** Work without a part done in the same visit, in words; null for none. */
  work: z.string().nullable(),
  cures: probability,
  /** Cures so rarely that it is folded away unless asked for. */
  folded: z.boolean(),
  price: money,
  labourHours: z.number().min(0),
  allIn: AllIn,
  costs: z.array(CostPart),
  /** Chance that a separate sensor breaks when it is drawn out; null where none is drawn. */
  seizure: probability.nullable(),
  lines: z.array(OrderLine),
  because: z.array(z.string()),
});
export type Offer = z.infer<typeof Offer>;

export type PlanNode = {
  do: 'check' | 'sell' | 'refer' | 'no-part';
  check?: string | null | undefined;
  part?: z.infer<typeof PartClass> | null | undefined;
  wheelEnd?: string | null | undefined;
  label: string;
  chance: number;
  expectedCost: number;
  then: Array<{ when: string; chance: number; next: PlanNode | null }>;
};
export const PlanNode: z.ZodType<PlanNode> = z.object({
  do: z.enum(['check', 'sell', 'refer', 'no-part']),
  check: CheckNameWord.nullish(),
  part: PartClass.nullish(),
  wheelEnd: WheelEnd.nullish(),
  label: z.string(),
  /** Chance of reaching this step. */
  chance: probability,
  /** Expected cost from here on, in the shop's currency. */
  expectedCost: money,
  get then() {
    return z.array(z.object({ when: z.string(), chance: probability, next: z.nullable(PlanNode) }));
  },
});

export const Plan = z.object({
  /** What the best first step is expected to save over the best sale without any check. */
  worth: money,
  school: School,
  step: PlanNode.nullable(),
  /** What would change this answer: findings that would make another fix the best, likeliest first. */
  flips: z.array(z.object({ when: z.string(), chance: probability, then: z.string() })),
  /** How the plan begins under the other school, and what it is expected to cost there. */
  other: z.object({ school: School, label: z.string(), same: z.boolean(), expectedCost: money }).nullable(),
  /** Minutes and how-to of the next check, if there is one. */
  next: z
    .object({
      minutes: z.number(),
      how: z.array(z.string()),
      results: z.array(z.object({ result: z.string(), means: z.string() })),
    })
    .nullable(),
});
export type Plan = z.infer<typeof Plan>;

export const Question = z.object({
  about: QuestionAbout,
  ask: z.string(),
  because: z.string(),
  /** Answers one can give with one key; empty where it must be typed. */
  answers: z.array(z.object({ label: z.string(), value: z.string() })),
});
export type Question = z.infer<typeof Question>;

/** The whole answer to a docket; the screen, the API and the command line all show this and compute nothing. */
export const Advice = z.object({
  format: z.literal('hardy-spoke/advice'),
  version: z.literal(1),
  /** ISO 4217 letters; all money in the advice is in it. */
  currency: z.string(),
  wheelEnd: WheelEnd.nullable(),
  /** Odds that something is wrong at each wheel end. */
  corners: z.array(z.object({ wheelEnd: WheelEnd, probability, words: z.string() })),
  codes: z.array(ReadCode),
  causes: z.array(RankedCause),
  verdict: Verdict,
  plan: Plan,
  offers: z.array(Offer),
  cautions: z.array(Caution),
  questions: z.array(Question),
  facts: z.array(FactEffect),
  conflicts: z.array(z.object({ texts: z.array(z.string()), because: z.string() })),
  /** The vehicle as the reasoning saw it, catalogue entries filled in. */
  vehicle: z.object({
    name: z.string().nullable(),
    axles: z.number().int(),
    steeringSide: z.enum(['left', 'right']).nullable(),
    driveline: z.string().nullable(),
    wheelEnds: z.array(
      z.object({
        wheelEnd: WheelEnd,
        sensing: z.string(),
        mounting: Mounting.nullable(),
        sensor: z.enum(['passive', 'active']).nullable(),
        ohms: z.object({ low: z.number(), high: z.number() }).nullable(),
      }),
    ),
    tyre: z.string().nullable(),
  }),
  /** What closed jobs say here: a verdict that learning turned, weak places of the line, parts that came back bad. */
  fromLedger: z.array(z.string()),
  /** The pages that leave the counter, in the order they print: for what was taken, or else for what the verdict says. */
  sheets: z.array(Sheet),
});
export type Advice = z.infer<typeof Advice>;
