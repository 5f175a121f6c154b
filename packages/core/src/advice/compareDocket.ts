import type { Assumptions } from '../assumptions/assumptions.ts';
import { buildModel } from '../compare/buildModel.ts';
import { compareWays, USUAL_DRAWS, USUAL_SEED } from '../compare/compareWays.ts';
import { DIAL_RULES, withAssumption } from '../compare/dials.ts';
import { elsewhereWays } from '../compare/elsewhereWays.ts';
import { expectedCost, rankedWays } from '../compare/expectedCost.ts';
import type { CompareModel } from '../compare/model.ts';
import { rivalOf, sayAloud } from '../compare/sayAloud.ts';
import { ratesFor } from '../offers/rates.ts';
import type { BuiltPlan } from '../plan/buildPlan.ts';
import { DIALS, type Comparison, type Dial, type Sensitivity } from '../vocabulary/comparison.ts';
import type { Docket, School } from '../vocabulary/docket.ts';
import { CHECK_IN_WORDS } from '../vocabulary/inWords.ts';
import { moneyInWords } from '../vocabulary/money.ts';
import { SCHOOLS } from '../vocabulary/wordLists.ts';
import { diagnose, type Diagnosed } from './diagnose.ts';
import { assumptionsFor, type Knowledge } from './knowledge.ts';
import { endsOffered, planAt, type PlannedEnd } from './planAt.ts';

/** Dials turned away from where the docket has them. */
export type Turned = Partial<Record<Dial, number>>;

/** A docket diagnosed once, so that prices and risks can be changed and compared again without it. */
export interface CompareBench {
  /**
   * Compares the ways of the docket, with some dials turned. Null while no corner is known. What the schools would do
   * takes a plan each: without `withSchools` only the docket’s own is told.
   */
  compare(turned?: Turned, withSchools?: boolean): Comparison | null;
  /** How the answer hangs on each dial, from where the dials stand. */
  sensitivities(turned?: Turned): Sensitivity[];
}

/** Steps over the range of a dial between which the answer is looked for. */
const STEPS = 8;
/** A flip is found to this share of the range. */
const FINE = 1 / 400;

interface Priced {
  readonly docket: Docket;
  readonly a: Assumptions;
  readonly planned: PlannedEnd;
  readonly model: CompareModel;
}

const school = (docket: Docket, knowledge: Knowledge): School => docket.options?.school ?? knowledge.school;

const price = (d: Diagnosed, docket: Docket, knowledge: Knowledge, which: School): Priced | null => {
  const a = assumptionsFor(docket, knowledge);
  const ends = endsOffered(d, a);
  // A wheel that may come off is dealt with first, wherever the lamp's cause is likelier.
  const end = ends.find(({ wheelEnd }) => wheelEnd === d.loose) ?? ends[0];
  if (!end) return null;
  const planned = planAt(d, end, docket, which, knowledge, a);
  const model = buildModel(
    {
      docket,
      plan: planned.plan,
      architecture: planned.architecture,
      slice: knowledge.slice,
      today: knowledge.today,
      a,
    },
    knowledge.currency,
  );
  return { docket, a, planned, model };
};

/** The way a plan would sell if it could not look first. */
const wayOfPlan = (plan: BuiltPlan, model: CompareModel): string | null => {
  const { fix } = plan.bestFix;
  if (!fix) return 'refer';
  if (fix.kind === 'work') return `work:${fix.work}`;
  return (
    model.ways.find(
      ({ parts, work }) =>
        (work !== null) === (fix.work !== null) &&
        parts.length === fix.outlays.length &&
        parts.every(
          ({ part, wheelEnd, partNumber }, i) =>
            part === fix.outlays[i]?.part &&
            wheelEnd === fix.outlays[i]?.wheelEnd &&
            partNumber === (fix.outlays[i]?.chosen?.number ?? null),
        ),
    )?.id ?? null
  );
};

const ownWorkOf = (d: Diagnosed, here: Priced, knowledge: Knowledge, best: string): Comparison['ownWork'] => {
  if (here.docket.customer?.kind !== 'self') return null;
  const garage = price(
    d,
    { ...here.docket, customer: { ...here.docket.customer, kind: null } },
    knowledge,
    here.planned.plan.school,
  );
  const { plan } = here.planned;
  const free = price(d, withAssumption(here.docket, 'diy.hour-value', 0), knowledge, plan.school);
  const wayIn = (model: CompareModel | undefined) => model?.ways.find(({ id }) => id === best);
  const costIn = (model: CompareModel | undefined) => {
    const way = wayIn(model);
    return way && model ? expectedCost(way, model) : 0;
  };
  const own = costIn(free?.model);
  const garageCost = costIn(garage?.model);
  const saves = garageCost - own;
  const hours = wayIn(here.model)?.labourHours ?? 0;
  const from = here.a.get('diy.worth-it-from');
  const worthIt = saves > from;
  const money = (amount: number) => moneyInWords(Math.abs(amount), knowledge.currency);
  const takes = `about ${hours.toFixed(1)} hours of your own`;
  return {
    garage: garageCost,
    own,
    saves,
    hours,
    from,
    worthIt,
    sentence: worthIt
      ? `Doing it yourself saves about ${money(saves)} for ${takes}: more than the ${money(from)} you do it for.`
      : saves > 0
        ? `Doing it yourself saves only about ${money(saves)} for ${takes}: less than the ${money(from)} you do it for. Let the garage.`
        : `Doing it yourself costs about ${money(saves)} more, and ${takes}. Let the garage.`,
  };
};

const meanwhileOf = (
  allowed: boolean,
  here: Priced,
  comparison: Pick<Comparison, 'ways'>,
  currency: string,
): Comparison['meanwhile'] => {
  const [best] = comparison.ways;
  if (!best || best.waitDays <= 0) return null;
  const { a, docket } = here;
  const rates = ratesFor(docket, a);
  const parked = best.waitDays * rates.idleDay;
  const driven = best.waitDays * rates.drivenDay;
  const money = (amount: number) => moneyInWords(amount, currency);
  return {
    parked,
    driven,
    allowed,
    sentence: allowed
      ? `It is ${best.waitDays} ${best.waitDays === 1 ? 'day' : 'days'} away. Cleaned and put back, the old part can stay in meanwhile: the brakes work, anti-lock does not, stops are longer and a skid is likelier. Standing costs about ${money(parked)}, driving counts ${money(driven)} for the risk. The customer decides, and is told.`
      : 'It must not be driven meanwhile: it is not safe.',
  };
};

/** What comes before any of the ways, where the plan looks first. */
const lookFirst = ({ choice, corner }: BuiltPlan): string => {
  const check = choice.kind === 'check' ? corner.checks[choice.check]?.check : null;
  return check ? `First ${CHECK_IN_WORDS[check]}. If nothing is looked at: ` : '';
};

/**
 * Sets up the comparison of a docket: every way its architecture and catalogue allow, on the same luck. The same docket,
 * knowledge, seed and number of draws give the same figures on every machine.
 */
export const compareBench = (
  docket: Docket,
  knowledge: Knowledge,
  seed = USUAL_SEED,
  draws = USUAL_DRAWS,
): CompareBench => {
  const d = diagnose(docket, knowledge);
  const turnedTo = (turned: Turned): Docket =>
    DIALS.reduce((now, dial) => {
      const value = turned[dial];
      return value === undefined ? now : DIAL_RULES[dial].set(now, value);
    }, d.docket);

  return {
    compare(turned = {}, withSchools = true) {
      const here = price(d, turnedTo(turned), knowledge, school(docket, knowledge));
      if (!here) return null;
      const { model, planned } = here;
      const { ways, beats: beatsOf } = compareWays(model, seed, draws);
      const beats = beatsOf();
      const own = planned.plan.school;
      const schools = (withSchools ? SCHOOLS : [own]).map((each) => {
        const plan = each === own ? planned.plan : planned.planUnder(each);
        return { school: each, label: plan.step.label, way: wayOfPlan(plan, model) };
      });
      const best = ways[0]?.id ?? 'refer';
      return {
        format: 'hardy-spoke/comparison',
        version: 1,
        currency: knowledge.currency,
        wheelEnd: model.wheelEnd,
        seed,
        draws,
        ways: [...ways],
        beats: beats.map((row) => [...row]),
        schools,
        rival: rivalOf(ways, here.a)?.id ?? null,
        sentence:
          (d.dangers.wheels.length > 0
            ? 'Do not drive it: the hub comes first, whatever is cheaper. '
            : lookFirst(planned.plan)) + sayAloud(ways, beats, model, here.a),
        taxPercent: here.a.get('tax.percent'),
        quoteDays: here.a.get('quote.days'),
        elsewhere: elsewhereWays(here.docket, ways, knowledge.currency),
        ownWork: ownWorkOf(d, here, knowledge, best),
        meanwhile: meanwhileOf(!d.dangers.stop, here, { ways: [...ways] }, knowledge.currency),
      };
    },

    sensitivities(turned = {}) {
      const base = turnedTo(turned);
      const which = school(docket, knowledge);
      const start = price(d, base, knowledge, which);
      if (!start) return [];
      const means = (at: Docket): Map<string, number> => {
        const priced = price(d, at, knowledge, which);
        return new Map(
          priced?.model.ways.map((way) => [way.id, expectedCost(way, priced.model)] as const) ?? [],
        );
      };
      const cheapest = (costs: ReadonlyMap<string, number>): string =>
        [...costs].reduce((best, next) => (next[1] < best[1] ? next : best), ['refer', Infinity] as [
          string,
          number,
        ])[0];
      const ways = rankedWays(start.model);
      const best = ways[0];
      const rival = rivalOf(ways, start.a);
      const labelOf = new Map(ways.map(({ id, label }) => [id, label]));
      return DIALS.map((dial): Sensitivity => {
        const rule = DIAL_RULES[dial];
        const at = rule.at(base, start.model, start.a);
        const [low, high] = rule.range(at, start.model, base);
        const costsAt = (x: number) => means(rule.set(base, x));
        const lead = (x: number): number => {
          const costs = costsAt(x);
          return (costs.get(rival?.id ?? '') ?? 0) - (costs.get(best?.id ?? '') ?? 0);
        };
        const flips: Array<{ at: number; from: string; to: string }> = [];
        let left = low;
        let leader = cheapest(costsAt(low));
        for (let step = 1; step <= STEPS && high > low; step++) {
          const right = low + ((high - low) * step) / STEPS;
          const next = cheapest(costsAt(right));
          if (next !== leader) {
            // Halve the step until the place is known to a fraction of the range.
            let [a, b] = [left, right];
            while ((b - a) / (high - low) > FINE) {
              const middle = (a + b) / 2;
              if (cheapest(costsAt(middle)) === leader) a = middle;
              else b = middle;
            }
            flips.push({
              at: b,
              from: labelOf.get(leader) ?? leader,
              to: labelOf.get(cheapest(costsAt(b))) ?? next,
            });
            leader = next;
          }
          left = right;
        }
        const [lowAt, highAt] = rule.plausible(at, start.a, base);
        return {
          dial,
          label: rule.label,
          unit: rule.unit,
          low,
          high,
          at,
          flips,
          swing: { low: lead(lowAt), lowAt, high: lead(highAt), highAt },
        };
      });
    },
  };
};
