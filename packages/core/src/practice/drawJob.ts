import type { Assumptions } from '../assumptions/assumptions.ts';
import type { Random } from '../chance/random.ts';
import { FAILURE_TYPES, type CodeMeaning } from '../codes/codeMeaning.ts';
import { architectureGroups, type Architecture } from '../diagnosis/architecture.ts';
import { faultPrior, secondEndChance, statePrior } from '../diagnosis/priors.ts';
import { faultsAt, statesAt, type State } from '../diagnosis/states.ts';
import type { Docket, DocketCode } from '../vocabulary/docket.ts';
import type { Fault } from '../faultKinds/faultData.ts';
import { acrossFrom } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { cornerCode } from './cornerCode.ts';
import { drawWeighted } from './drawCase.ts';

/** A vehicle whose truth is known, with what the counter is told of it at first. */
export interface DrawnJob {
  readonly docket: Docket;
  readonly ends: readonly WheelEnd[];
  readonly architectureOf: (end: WheelEnd) => Architecture;
  /** What is wrong at each wheel end, and with what all share. */
  readonly truth: ReadonlyMap<WheelEnd, State>;
  readonly shared: readonly Fault[];
}

const ENDS: readonly WheelEnd[] = ['A1L', 'A1R', 'A2L', 'A2R'];
const CODES: ReadonlyArray<readonly [failureType: string | null, meaning: CodeMeaning]> = [
  [null, 'generic'],
  ...Object.entries(FAILURE_TYPES).map(([type, { meaning }]) => [type, meaning] as const),
];
/** The messier half of the world, which no table of the planner holds: how often each goes wrong. */
const MESS = { readerNone: 0.12, readerEngine: 0.08, stale: 0.12, wrongCorner: 0.08, namesCorner: 0.5 };

/**
 * Draws a whole vehicle: how it is built (known to the counter in two of three), one faulty wheel end or a shared
 * fault, now and then a second one, and what the customer brings: codes that may be missing or stale, no reader or one
 * that sees the engine only, a corner named right or mirrored. Chances come from `truth`, not damped.
 */
export const drawJob = (random: Random, truth: Assumptions, today: string): DrawnJob => {
  const year = Number(today.slice(0, 4)) - 2 - random.below(16);
  const vehicle = {
    axles: 2,
    buildDate: `${year}-06`,
    saltExposure: random.pick(['none', 'some', 'high'] as const),
    knuckle: random.pick(['iron', 'aluminium'] as const),
    driveline: random.pick(['fwd', 'rwd', 'awd'] as const),
  };
  const groups = architectureGroups(vehicle, 2, new Set(), truth);
  const builds = new Map<WheelEnd, Architecture>();
  const known: Record<string, object> = {};
  const inCatalogue = random.chance(2 / 3);
  for (const group of groups) {
    const architecture = drawWeighted(
      random,
      group.options.map((option) => [option.architecture, option.chance] as const),
    );
    for (const end of group.ends) builds.set(end, architecture);
    known[(group.ends[0] ?? 'A1').slice(0, 2)] = inCatalogue
      ? { ...architecture }
      : { sensor: architecture.sensor, mounting: architecture.mounting };
  }
  const architectureOf = (end: WheelEnd) => builds.get(end) as Architecture;
  const priorOf = (end: WheelEnd) => (fault: Fault) =>
    faultPrior(fault, architectureOf(end), vehicle, today, truth, end);
  const stateAt = (end: WheelEnd): State =>
    drawWeighted(
      random,
      statesAt(end, architectureOf(end))
        .filter((state) => state.length > 0)
        .map((state) => [state, statePrior(state, priorOf(end), truth)] as const),
    );
  const weightOf = (end: WheelEnd) =>
    [...faultsAt(end, architectureOf(end)), 'none-present' as const].reduce(
      (sum, fault) => sum + priorOf(end)(fault),
      0,
    );
  const wrong = new Map<WheelEnd, State>();
  const shared: Fault[] = [];
  const where = drawWeighted<WheelEnd | 'module' | 'supply'>(random, [
    ...ENDS.map((end) => [end, weightOf(end)] as const),
    ['module', truth.get('prior.module')],
    ['supply', truth.get('prior.supply')],
  ]);
  if (where === 'module' || where === 'supply') shared.push(where);
  else wrong.set(where, stateAt(where));
  const second = secondEndChance(vehicle, today, truth);
  for (const end of ENDS) if (end !== where && random.chance(second)) wrong.set(end, stateAt(end));

  const reader = random.chance(MESS.readerNone)
    ? 'none'
    : random.chance(MESS.readerEngine)
      ? 'engine'
      : 'full';
  const codes: DocketCode[] = [];
  if (reader === 'full') {
    for (const [end, state] of wrong) {
      const quiet = state.reduce((p, fault) => p * truth.find(`silent.${fault}`, 1), 1);
      if (random.chance(quiet)) continue;
      const [type] = drawWeighted(
        random,
        CODES.map(
          (code) =>
            [
              code,
              Math.max(...state.map((fault) => truth.find(`code.${code[1]}.${fault}`, 0.0002))),
            ] as const,
        ),
      );
      const past = state.includes('none-present');
      codes.push({
        module: 'ABS',
        code: `${cornerCode(end)}${type ? `-${type}` : ''}`,
        status: past || random.chance(MESS.stale) ? 'stored' : 'active',
      });
    }
    if (shared.includes('module'))
      codes.push(
        random.chance(truth.get('self-code.module'))
          ? { module: 'ABS', code: 'C0550', text: 'Control unit internal failure', status: 'active' }
          : { module: 'ABS', code: cornerCode(random.pick(ENDS)), status: 'active' },
      );
    if (shared.includes('supply')) {
      codes.push({ module: 'ABS', code: cornerCode(random.pick(ENDS)), status: 'stored' });
      if (random.chance(truth.get('voltage-code.supply')))
        codes.push({ module: 'Engine', code: 'P0562', text: 'System voltage low', status: 'stored' });
    }
  }
  const place = [...wrong.keys()][0] ?? null;
  const named =
    place !== null && (codes.length === 0 || random.chance(MESS.namesCorner))
      ? random.chance(MESS.wrongCorner)
        ? acrossFrom(place)
        : place
      : null;
  return {
    docket: {
      format: 'hardy-spoke/docket',
      version: 1,
      vehicle: { ...vehicle, wheelEnds: known },
      ...(reader === 'full' ? { modulesRead: ['ABS'] } : {}),
      reader,
      codes,
      symptoms: ['lamp.abs'],
      wheelEnd: codes.length === 0 && random.chance(MESS.namesCorner) ? named : null,
    },
    ends: ENDS,
    architectureOf,
    truth: wrong,
    shared,
  };
};
