import { diagnose } from '../advice/diagnose.ts';
import type { Knowledge } from '../advice/knowledge.ts';
import { groupOf } from '../advice/planAt.ts';
import type { CodeMeaning } from '../codes/codeMeaning.ts';
import type { UnderstoodCode } from '../codes/readCodes.ts';
import { BadInput } from '../vocabulary/badInput.ts';
import { BenchEnd, BenchVehicleOrder } from '../vocabulary/bench.ts';
import type { Docket } from '../vocabulary/docket.ts';
import { MM_PER_INCH, parseTyreSize } from '../vocabulary/tyreSize.ts';
import { axleOf, wheelEndAt } from '../vocabulary/wheelEndWords.ts';

type Failure = NonNullable<BenchVehicleOrder['codes'][number]['failure']>;

/** What a code says of the signal, as the byte by which the bench's controller writes it down: whatever grammar, dictionary or words it came in. */
const FAILURE: Partial<Record<CodeMeaning, Failure>> = {
  open: '13',
  'resistance-high': '13',
  'battery-or-open': '13',
  'ground-or-open': '13',
  'short-to-ground': '11',
  'short-to-battery': '11',
  'resistance-low': '11',
  'voltage-range': '1C',
  intermittent: '1F',
  erratic: '2F',
  'no-signal': '31',
  frequency: '31',
  implausible: '62',
};
const failureOf = ({ signal }: UnderstoodCode): Failure | null => (signal && FAILURE[signal]) ?? null;

const yearsOld = (buildDate: string | null | undefined, today: string): number | null => {
  const built = Number(buildDate?.slice(0, 4));
  return Number.isInteger(built) && built > 1900
    ? Math.max(0, Math.min(60, Number(today.slice(0, 4)) - built))
    : null;
};

const countAt = (docket: Docket, axle: number, knowledge: Knowledge): number | null => {
  const counted = (docket.checks ?? []).find(
    (each) => each.check === 'ring.teeth' && each.wheelEnd?.startsWith(`A${axle}`) && each.expected != null,
  );
  if (counted?.check === 'ring.teeth') return counted.expected ?? null;
  const { slice } = knowledge;
  const fits = new Set(
    slice.applications
      .filter(({ wheelEnds }) => wheelEnds.some((end) => axleOf(end) === axle))
      .map((line) => line.partNumber),
  );
  const ring = slice.parts.find(
    ({ number, partClass, measures }) =>
      fits.has(number) && partClass === 'tone-ring' && typeof measures?.teeth === 'number',
  );
  return ring?.measures?.teeth ?? null;
};

/**
 * A docket's vehicle as the bench takes it: built as is known, what nobody said left open, and the codes that were read, so
 * that what the bench finds wrong with it fits them. No customer goes along.
 * @throws BadInput for a vehicle the bench has no place for
 */
export const benchOrder = (
  docket: Docket,
  docketId: string,
  seed: number,
  knowledge: Knowledge,
): BenchVehicleOrder => {
  const d = diagnose(docket, knowledge);
  const { vehicle, axles, groups, codes } = d;
  if (axles !== 2 && axles !== 3)
    throw new BadInput('vehicle.axles', `is ${axles}; the bench takes vehicles with two or three axles`);
  const sensing = Array.from({ length: axles }, (_, i) => {
    const left = groups.find(({ ends }) => (ends as readonly string[]).includes(wheelEndAt(i + 1, 'left')));
    if (!left)
      throw new BadInput(
        'vehicle.wheelEnds',
        `has no sensor at the wheels of axle ${i + 1}; the bench takes vehicles with one at each wheel`,
      );
    const { known } = groupOf(d, left.ends[0] as (typeof left.ends)[number]);
    return {
      sensor: known.sensor ?? null,
      mounting: known.mounting === 'centre' ? null : (known.mounting ?? null),
      target: known.target === 'ring-in-differential' ? null : (known.target ?? null),
      ringSoldAlone: known.ringSoldAlone ?? null,
      count: countAt(d.docket, i + 1, knowledge),
    };
  });
  const size = vehicle.originalTyre ? parseTyreSize(vehicle.originalTyre) : null;
  const told = codes.flatMap((code): BenchVehicleOrder['codes'] => {
    const active = code.status === null ? null : code.status === 'active';
    if (code.voltage) return [{ of: 'supply', failure: null, active }];
    if (code.self) return [{ of: 'controller', failure: null, active }];
    const end = BenchEnd.safeParse(code.wheelEnds.length === 1 ? code.wheelEnds[0] : null);
    return code.role === 'root' && end.success ? [{ of: end.data, failure: failureOf(code), active }] : [];
  });
  const wheel = BenchEnd.safeParse(d.wheelEnd ?? docket.wheelEnd ?? null);
  return BenchVehicleOrder.parse({
    name: (vehicle.name ?? 'vehicle of this docket').slice(0, 200),
    docketId,
    seed,
    axles,
    driven: vehicle.driveline ?? null,
    knuckle: vehicle.knuckle ?? null,
    salt: vehicle.saltExposure ?? null,
    ageYears: yearsOld(vehicle.buildDate, knowledge.today),
    distanceKm: vehicle.distanceKm ?? null,
    tyre: size && {
      width: size.width,
      aspect: (100 * (size.diameter - size.rim)) / (2 * size.width),
      rim: size.rim / MM_PER_INCH,
    },
    sensing,
    detailedCodes: codes.length === 0 || codes.some((code) => failureOf(code) !== null),
    codes: told.slice(0, 50),
    wheel: wheel.success ? wheel.data : null,
  });
};
