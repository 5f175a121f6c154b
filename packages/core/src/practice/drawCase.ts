import type { Assumptions } from '../assumptions/assumptions.ts';
import type { Random } from '../chance/random.ts';
import type { UnderstoodCode } from '../codes/readCodes.ts';
import { FAILURE_TYPES } from '../codes/codeMeaning.ts';
import { architectureGroups, groupAt, type Architecture } from '../diagnosis/architecture.ts';
import { sensedEnds } from '../diagnosis/sensedEnd.ts';
import { gatherEvidence } from '../diagnosis/evidence/gatherEvidence.ts';
import { posterior, type EndPosterior } from '../diagnosis/posterior.ts';
import { faultPrior, statePrior } from '../diagnosis/priors.ts';
import { faultsAt, statesAt, type State } from '../diagnosis/states.ts';
import { partsAt } from '../offers/fixes.ts';
import { outlayOf, type Outlay } from '../offers/outlay.ts';
import { emptySlice } from '../vocabulary/catalogue.ts';
import type { Docket } from '../vocabulary/docket.ts';
import type { Fault } from '../faultKinds/faultData.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import type { Finding } from '../diagnosis/finding.ts';
import { cornerCode } from './cornerCode.ts';

/** A made-up job whose truth is known: what the counter is told, and what is really wrong. */
export interface PracticeCase {
  readonly docket: Docket;
  readonly wheelEnd: WheelEnd;
  readonly architecture: Architecture;
  readonly truth: State;
  readonly end: EndPosterior;
  readonly findings: readonly Finding[];
  readonly outlays: readonly Outlay[];
}

/** One of the weighted things. */
export const drawWeighted = <T>(random: Random, things: ReadonlyArray<readonly [T, number]>): T => {
  const total = things.reduce((sum, [, weight]) => sum + weight, 0);
  let left = random.next() * total;
  for (const [thing, weight] of things) {
    left -= weight;
    if (left <= 0) return thing;
  }
  return (things.at(-1) as readonly [T, number])[0];
};

/** Codes of a wheel speed signal, one for each kind of failure, as a controller would set them. */
const CODES: ReadonlyArray<
  readonly [failureType: string | null, signal: NonNullable<UnderstoodCode['signal']>]
> = [
  [null, 'generic'],
  ...Object.entries(FAILURE_TYPES).map(([type, { meaning }]) => [type, meaning] as const),
];

/**
 * Draws a job from the model itself: a vehicle (built one of the ways there are, known or only partly known), what is
 * wrong at one wheel end by the priors, and the code that sets. `slant` bends the truth: it multiplies the chance of a
 * cause, so that the tables can be tried where they are wrong.
 */
export const drawCase = (
  random: Random,
  a: Assumptions,
  today: string,
  slant: (key: string) => number = () => 1,
): PracticeCase => {
  const wheelEnd = random.pick(['A1L', 'A1R', 'A2L', 'A2R']);
  const year = Number(today.slice(0, 4)) - 2 - random.below(16);
  const vehicle = {
    axles: 2,
    buildDate: `${year}-06`,
    saltExposure: random.pick(['none', 'some', 'high'] as const),
    knuckle: random.pick(['iron', 'aluminium'] as const),
    driveline: random.pick(['fwd', 'rwd', 'awd'] as const),
  };
  const axle = wheelEnd.slice(0, 2);
  const unknown = groupAt(architectureGroups(vehicle, 2, new Set(), a), wheelEnd);
  const architecture = drawWeighted(
    random,
    (unknown?.options ?? []).map((option) => [option.architecture, option.chance] as const),
  );
  // Two in three vehicles are in the catalogue; of the others the counter knows only what it sees.
  const known = random.chance(2 / 3)
    ? { ...architecture }
    : { sensor: architecture.sensor, mounting: architecture.mounting };
  const chanceOf = new Map(
    ([...faultsAt(wheelEnd, architecture), 'none-present'] as Fault[]).map((cause) => [
      cause,
      faultPrior(cause, architecture, vehicle, today, a) * slant(`prior ${cause}`),
    ]),
  );
  const truth = drawWeighted(
    random,
    statesAt(wheelEnd, architecture)
      .filter((state) => state.length > 0)
      .map((state) => [state, statePrior(state, (cause) => chanceOf.get(cause) ?? 0, a)] as const),
  );
  const nothing = a.get('code.nothing');
  const [failureType] = drawWeighted(
    random,
    CODES.map(
      (code) =>
        [
          code,
          Math.max(...truth.map((cause) => a.find(`code.${code[1]}.${cause}`, nothing))) *
            slant(`code ${code[1]} ${truth[0] ?? ''}`),
        ] as const,
    ),
  );
  const docket: Docket = {
    format: 'hardy-spoke/docket',
    version: 1,
    vehicle: { ...vehicle, wheelEnds: { [axle]: known } },
    codes: [
      {
        module: 'ABS',
        code: `${cornerCode(wheelEnd)}${failureType ? `-${failureType}` : ''}`,
        status: 'active',
      },
    ],
    symptoms: ['lamp.abs'],
    wheelEnd,
  };
  const code: UnderstoodCode = {
    code: docket.codes?.[0]?.code ?? '',
    module: 'ABS',
    role: 'root',
    wheelEnds: [wheelEnd],
    meaning: '',
    status: 'active',
    source: '',
    corrected: null,
    explainedBy: null,
    signal: failureType ? (FAILURE_TYPES[failureType]?.meaning ?? 'generic') : 'generic',
    voltage: false,
    self: false,
    grammar: 'j2012',
    readings: [],
  };
  const groups = architectureGroups(docket.vehicle ?? {}, 2, new Set(), a);
  const ends = sensedEnds(groups, 2);
  const evidence = gatherEvidence(docket, [code], wheelEnd, { axles: 2, names: { axles: 2 }, ends, a });
  const whole = posterior(groups, evidence, docket.vehicle ?? {}, today, a);
  const end = whole.ends.find((each) => each.wheelEnd === wheelEnd) as EndPosterior;
  return {
    docket,
    wheelEnd,
    architecture,
    truth,
    end,
    findings: evidence.findings,
    outlays: partsAt(wheelEnd, architecture).map((part) =>
      outlayOf(part, { wheelEnd, architecture, docket, slice: emptySlice(), today, a }),
    ),
  };
};
