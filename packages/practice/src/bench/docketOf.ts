import {
  across,
  axleOf,
  endsOf,
  sensingAt,
  tyreText,
  type BenchVehicle,
  type End,
  type Life,
} from '@hardy/bench-vehicle';
import { cornerCode, type Architecture, type DocketCode, type HistoryEvent } from '@hardy/core/trial';
import type { Random } from '@hardy/core/chance';
import type { Docket, Symptom } from '@hardy/core/words';

/** How often a customer or a counter lacks something, which neither the vehicle nor the advice decides. */
const MESS = {
  noReader: 0.12,
  engineReader: 0.08,
  inCatalogue: 2 / 3,
  historyTold: 0.85,
  noiseTold: 0.7,
  cornerNamed: 0.35,
  mirrored: 0.1,
  echo: 0.35,
};

export const architectureAt = (vehicle: BenchVehicle, end: End): Architecture => {
  const { sensor, mounting, target, ringSoldAlone } = sensingAt(vehicle.build, end);
  return { sensor, mounting, target, ringSoldAlone };
};

/** Codes as a reader of the brake controller lists them, with what other controllers echo. */
export const codesRead = (vehicle: BenchVehicle, random: Random): DocketCode[] => {
  const { memory, build } = vehicle;
  const own = memory.troubles.map(({ of, failure, active }): DocketCode => {
    const status = active ? 'active' : 'stored';
    if (of === 'controller')
      return { module: 'ABS', code: 'C0550', text: 'Control unit internal failure', status };
    if (of === 'supply') return { module: 'ABS', code: 'P0562', text: 'System voltage low', status };
    return { module: 'ABS', code: `${cornerCode(of)}${build.detailedCodes ? `-${failure}` : ''}`, status };
  });
  return own.length > 0 && random.chance(MESS.echo)
    ? [
        ...own,
        {
          module: 'Gearbox',
          code: 'U0415',
          text: 'Invalid data from anti-lock controller',
          status: 'active',
        },
      ]
    : own;
};

/** What a driver notices now, and the noise that was heard before. */
export const complaintsOf = ({ memory }: BenchVehicle, before: readonly unknown[]): Symptom[] => [
  ...(memory.lamp || !memory.falseAction ? (['lamp.abs'] as const) : []),
  ...(memory.falseAction ? (['abs.activates-when-stopping'] as const) : []),
  ...(before.includes('noise.wheel') ? (['noise.wheel'] as const) : []),
];

/** What the counter knows of a vehicle: its age, use and build, and how its axles sense, wholly or in part. */
export const vehicleKnown = (
  vehicle: BenchVehicle,
  today: string,
  isWhole: boolean,
): NonNullable<Docket['vehicle']> => {
  const { build } = vehicle;
  return {
    axles: build.axles,
    buildDate: `${Number(today.slice(0, 4)) - Math.round(vehicle.ageYears)}-06`,
    distanceKm: Math.round(vehicle.distanceKm / 1000) * 1000,
    saltExposure: vehicle.salt,
    knuckle: build.knuckle,
    driveline: build.driven,
    originalTyre: tyreText(build.tyre),
    wheelEnds: Object.fromEntries(
      endsOf(build)
        .filter((end) => end.endsWith('L'))
        .map((end) => {
          const whole = architectureAt(vehicle, end);
          return [`A${axleOf(end)}`, isWhole ? whole : { sensor: whole.sensor, mounting: whole.mounting }];
        }),
    ),
  };
};

/** What the counter is told of a vehicle at first: words, codes, what was done lately; and what it does not know. */
export const docketOf = ({ vehicle, past }: Life, today: string, random: Random): Docket => {
  const { build, memory } = vehicle;
  const reader = random.chance(MESS.noReader) ? 'none' : random.chance(MESS.engineReader) ? 'engine' : 'full';
  const known = random.chance(MESS.inCatalogue);
  const noisy = endsOf(build).find((end) => vehicle.corners[end].bearing.rough > 0.4);
  const hears = noisy !== undefined && random.chance(MESS.noiseTold);
  const sore = memory.troubles.find(({ of }) => of !== 'supply' && of !== 'controller')?.of as
    End | undefined;
  const named =
    reader !== 'full' && sore && random.chance(MESS.cornerNamed)
      ? random.chance(MESS.mirrored)
        ? across(sore)
        : sore
      : null;
  return {
    format: 'hardy-spoke/docket',
    version: 1,
    vehicle: vehicleKnown(vehicle, today, known),
    reader,
    ...(reader === 'full' ? { modulesRead: ['ABS'], codes: codesRead(vehicle, random) } : {}),
    symptoms: complaintsOf(vehicle, hears ? ['noise.wheel'] : []),
    wheelEnd: named,
    history: past.flatMap(({ work, end, daysAgo, forThis }): HistoryEvent[] =>
      random.chance(MESS.historyTold)
        ? [
            {
              event: work,
              ...(end ? { wheelEnd: end } : {}),
              daysAgo,
              ...(forThis ? { cured: 'no' as const } : {}),
            },
          ]
        : [],
    ),
  };
};
