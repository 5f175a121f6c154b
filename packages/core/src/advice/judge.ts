import type { Plan, RankedCause, Verdict } from '../vocabulary/advice.ts';
import type { Docket, School } from '../vocabulary/docket.ts';
import { diagnose, type Diagnosed } from './diagnose.ts';
import type { Knowledge } from './knowledge.ts';
import { endsOffered, hubAlone, planAt, plannedDeeply, type PlannedEnd } from './planAt.ts';
import { rankCauses } from './rankCauses.ts';
import { decide } from './verdict/decide.ts';

/** The school a plan is set against: looking first against selling first. */
const OTHER_SCHOOL: Readonly<Record<School, School>> = {
  'test-first': 'sell-likely',
  'lift-at-hand': 'sell-likely',
  'sell-likely': 'test-first',
  'far-away': 'test-first',
};

/** The heart of an advice: what is wrong, what to do about it, and the plans behind it. */
export interface Judged {
  readonly d: Diagnosed;
  readonly causes: readonly RankedCause[];
  readonly plans: readonly PlannedEnd[];
  /** The plan at the wheel that matters most. */
  readonly main: PlannedEnd | null;
  readonly echoesOnly: boolean;
  readonly shared: { readonly module: number; readonly supply: number };
  readonly verdict: Verdict;
  /** The rule of the verdict that spoke. */
  readonly rule: string;
  readonly plan: Plan;
}

/** Diagnoses a docket, plans at every wheel end worth an offer, and decides. */
export const judge = (docket: Docket, knowledge: Knowledge): Judged => {
  const d = diagnose(docket, knowledge);
  const { a, docket: filled, codes, corner, whole, wheelEnd, loose } = d;
  const causes = rankCauses(whole);
  const school = docket.options?.school ?? knowledge.school;
  const offered = endsOffered(d, a);
  const deeply = plannedDeeply(offered, d, a);
  const bare = hubAlone(d, a);
  const plans = offered.map((end) => {
    if (bare.has(end.wheelEnd))
      return planAt(d, end, filled, school, knowledge, a, { steps: 0, isHubAlone: true });
    return planAt(d, end, filled, school, knowledge, a, deeply.has(end) ? {} : { steps: 1 });
  });
  const main = plans.find(({ end }) => end.wheelEnd === (loose ?? wheelEnd)) ?? null;
  const echoesOnly =
    codes.some((code) => code.role === 'knock-on') && !codes.some((code) => code.role === 'root');
  const shared = { module: whole.chance('module', null), supply: whole.chance('supply', null) };
  const { verdict, plan, rule } = decide({
    docket: filled,
    wheelEnd,
    names: d.names,
    causes,
    shared,
    dangers: d.dangers,
    plan: main?.plan ?? null,
    other: main && wheelEnd ? main.planUnder(OTHER_SCHOOL[school]) : null,
    school,
    conflicts: corner.conflicts,
    echoesOnly,
    codes,
    currency: knowledge.currency,
    a,
  });
  return { d, causes, plans, main, echoesOnly, shared, verdict, rule, plan };
};
