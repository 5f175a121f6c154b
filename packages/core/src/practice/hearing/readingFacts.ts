import type { IntakeReading } from '../../vocabulary/intakeReading.ts';

const SHORT_CHECK: Readonly<Record<string, string>> = {
  'visual.ring': 'ring',
  'visual.sensor': 'tip',
  'visual.connector': 'plug',
  'visual.harness': 'loom',
  'bearing.play': 'play',
  'bearing.noise': 'noise',
  'meter.resistance': 'ohms',
  'meter.supply': 'supply',
  'meter.ac': 'ac',
  'ring.teeth': 'teeth',
  'clear-and-drive': 'drive',
  'brake.fluid': 'fluid',
};

/** Checks of the whole vehicle, whose wheel is written only where one was said. */
const WHOLE = new Set(['drive', 'fluid', 'lamps', 'battery']);

const checkFact = (check: IntakeReading['checks'][number]): string => {
  const name = SHORT_CHECK[check.check] ?? check.check;
  const wheel = check.wheelEnd ?? (WHOLE.has(name) ? null : '-');
  const said: Array<string | number | null | undefined> = [];
  if ('result' in check) said.push(check.result, WHOLE.has(name) ? check.wheelEnd : null);
  if (check.check === 'live') said.push(check.pattern, check.percent);
  if (check.check === 'meter.resistance')
    said.push(
      `${check.ohms}${check.temperatureC == null ? '' : `@${check.temperatureC}`}`,
      check.of === 'new-part' ? 'new' : check.of === 'harness' ? 'harness' : null,
    );
  if (check.check === 'meter.supply' || check.check === 'meter.ac') said.push(check.volts);
  if (check.check === 'ring.teeth') said.push(`${check.counted}/${check.expected}`);
  if (check.check === 'battery')
    said.push(check.restingVolts, check.crankingVolts == null ? null : `crank ${check.crankingVolts}`);
  return [name, WHOLE.has(name) ? null : wheel, ...said].filter((word) => word != null).join(' ');
};

/** What of a reading is written as facts; of a docket the same. */
type FactSource = Pick<
  IntakeReading,
  | 'positions'
  | 'codes'
  | 'symptoms'
  | 'history'
  | 'checks'
  | 'tyres'
  | 'vehicle'
  | 'wants'
  | 'reader'
  | 'codesCleared'
>;

/** A reading as short facts, one a line, in the form the labelled sentences are written in. */
export const factsOf = (reading: FactSource): string[] => {
  const v = reading.vehicle;
  const corners = reading.positions.filter((p) => !p.role);
  const ends = (role: string) => [
    ...new Set(reading.positions.filter((p) => p.role === role).flatMap((p) => p.wheelEnds)),
  ];
  const facts: Array<string | null | false | undefined> = [
    ...reading.checks.map(checkFact),
    ...reading.symptoms.map((said) =>
      typeof said === 'string' ? said : `${said.is}${said.cured ? `=${said.cured}` : ''}`,
    ),
    ...reading.history.map((event) =>
      [
        event.event,
        event.wheelEnd ?? '-',
        event.daysAgo == null ? null : `${event.daysAgo}d`,
        event.cured,
        event.daysUntilReturn == null ? null : `u${event.daysUntilReturn}`,
      ]
        .filter((word) => word != null)
        .join(' '),
    ),
    ...reading.codes.map((code) => `code ${code.code}`),
    ...Object.entries(reading.tyres).map(([end, size]) => `tyre ${end} ${size}`),
    v.catalogueId && `id ${v.catalogueId}`,
    !v.catalogueId && v.name && `name ${v.name.toLowerCase()}`,
    v.buildDate && !v.fleetNumber && `built ${v.buildDate}`,
    v.distanceKm != null && !v.fleetNumber && `km ${v.distanceKm}`,
    v.axles != null && `axles ${v.axles}`,
    v.steeringSide && `steer ${v.steeringSide}`,
    v.driveline && `drive ${v.driveline}`,
    v.saltExposure && !v.fleetNumber && `salt ${v.saltExposure}`,
    v.knuckle && `knuckle ${v.knuckle}`,
    v.electric && 'electric',
    reading.reader && `reader ${reading.reader}`,
    ...(reading.wants ?? []).map((want) => `want ${want}`),
    reading.codesCleared && 'cleared',
    corners.some((p) => p.wheelEnds.length > 0) &&
      `corner ${[...new Set(corners.flatMap((p) => p.wheelEnds))].sort().join('+')}`,
    ...corners.filter((p) => p.needs).map((p) => `corner ?${p.needs}`),
    corners.length === 0 && 'corner none',
    ends('denied').length > 0 && `denied ${ends('denied').sort().join('+')}`,
    ends('past').length > 0 && `past ${ends('past').sort().join('+')}`,
  ];
  return [...new Set(facts.filter((fact): fact is string => Boolean(fact)))];
};
