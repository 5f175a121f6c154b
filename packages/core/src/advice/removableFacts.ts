import { uses, type Removable } from '../diagnosis/explain.ts';
import { evidenceWithout } from '../diagnosis/ownFindings.ts';
import type { Evidence } from '../diagnosis/finding.ts';
import { posterior } from '../diagnosis/posterior.ts';
import { whyIdle } from '../diagnosis/whyIdle.ts';
import type { Docket, DocketVehicle } from '../vocabulary/docket.ts';
import { diagnose, type Diagnosed } from './diagnose.ts';
import type { Knowledge } from './knowledge.ts';

type Fact = Pick<Removable, 'path' | 'label' | 'wheelEnd'>;

/** Facts the evidence keeps by their path: the posterior without one is the posterior of the others. */
const listedFacts = (d: Diagnosed): Fact[] => {
  const { docket, codes, corner } = d;
  return [
    ...(docket.symptoms ?? []).map((_, i) => ({ path: `symptoms[${i}]`, label: '', wheelEnd: null })),
    ...codes.map((code, i) => ({
      path: `codes[${i}]`,
      label: code.code,
      wheelEnd: code.wheelEnds[0] ?? null,
    })),
    ...(docket.history ?? []).map((event, i) => ({
      path: `history[${i}]`,
      label: event.event,
      wheelEnd: event.wheelEnd ?? null,
    })),
    ...(docket.checks ?? []).map((check, i) => ({
      path: `checks[${i}]`,
      label: check.check,
      wheelEnd: check.wheelEnd ?? null,
    })),
    ...(docket.modulesRead?.length
      ? [{ path: 'modulesRead', label: `read: ${docket.modulesRead.join(', ')}`, wheelEnd: null }]
      : []),
    ...(corner.named ? [{ path: 'wheelEnd', label: 'corner named', wheelEnd: corner.named }] : []),
    ...(Object.keys(d.vehicle.tyres ?? {}).length > 0
      ? [{ path: 'vehicle.tyres', label: 'tyre sizes', wheelEnd: null }]
      : []),
  ];
};

/** What of the vehicle moves only how likely each fault was from the start: a label, and the vehicle without it. */
const ODDS_FACTS: ReadonlyArray<{
  readonly field: 'saltExposure' | 'buildDate' | 'distanceKm' | 'originalTyre';
  readonly label: (vehicle: DocketVehicle) => string;
}> = [
  { field: 'saltExposure', label: ({ saltExposure }) => `road salt: ${saltExposure}` },
  { field: 'buildDate', label: ({ buildDate }) => `built ${buildDate}` },
  {
    field: 'distanceKm',
    label: ({ distanceKm }) => `${(distanceKm ?? 0).toLocaleString('en-GB')} km driven`,
  },
  { field: 'originalTyre', label: ({ originalTyre }) => `built with ${originalTyre}` },
];

/** Facts that change how the docket is read as a whole: without one of them it is diagnosed anew. */
const readingFacts = (given: Docket): Array<Fact & { readonly docket: Docket }> => [
  ...(given.codesCleared == null
    ? []
    : [
        {
          path: 'codesCleared',
          label: given.codesCleared ? 'codes cleared and read again' : 'codes not cleared',
          wheelEnd: null,
          docket: { ...given, codesCleared: null },
        },
      ]),
  ...(given.reader
    ? [
        {
          path: 'reader',
          label: `reader: ${given.reader}`,
          wheelEnd: null,
          docket: { ...given, reader: null },
        },
      ]
    : []),
];

/**
 * Facts that say how the vehicle is built. They decide what there is to go wrong at all, so no factor on the odds of a
 * cause tells what they did: they say in words what they decide.
 */
const buildFacts = ({ vehicle }: Docket): Fact[] => [
  ...(vehicle?.driveline ? [{ path: 'vehicle.driveline', label: vehicle.driveline, wheelEnd: null }] : []),
  ...(vehicle?.knuckle
    ? [{ path: 'vehicle.knuckle', label: `${vehicle.knuckle} knuckle`, wheelEnd: null }]
    : []),
  ...Object.keys(vehicle?.wheelEnds ?? {}).map((end) => ({
    path: `vehicle.wheelEnds.${end}`,
    label: `how ${end} is built`,
    wheelEnd: null,
  })),
];

/** So many facts are reckoned one by one: what each of more did nobody reads, and everybody waits for. */
const MOST_RECKONED = 40;
/** On a vehicle of more wheel ends than so many, fewer: each costs more, by about this power of their number. */
const USUAL_ENDS = 4;
const COST_POWER = 1.5;
/** With more kinds of complaint than so many, fewer too: each one more doubles what a posterior costs. */
const USUAL_COMPLAINTS = 3;
const mostReckoned = ({ ends, evidence }: Diagnosed): number => {
  const forEnds = (USUAL_ENDS / Math.max(1, ends.all.length)) ** COST_POWER;
  const forComplaints = 2 ** ((USUAL_COMPLAINTS - evidence.complaints.length) / 2);
  return Math.max(1, Math.floor(MOST_RECKONED * Math.min(1, forEnds) * Math.min(1, forComplaints)));
};
const oneOfMany = (most: number): string => `one of many: what each did is worked out for the first ${most}`;

/** What is told first of, where there are too many: what was seen and done, then codes of a wheel, then the others. */
const rankOf = (path: string, d: Diagnosed): number => {
  const code = /^codes\[(\d+)\]/.exec(path);
  if (!code) return 0;
  return d.codes[Number(code[1])]?.role === 'root' ? 1 : 2;
};

/** The facts that are reckoned one by one. */
const reckoned = (facts: readonly Fact[], d: Diagnosed): ReadonlySet<string> =>
  new Set(
    facts
      .map(({ path }) => path)
      .filter((path) => uses(d.evidence, path))
      .sort((one, other) => rankOf(one, d) - rankOf(other, d))
      .slice(0, mostReckoned(d)),
  );

/** Every fact of a docket that may move what is believed, each with what would be believed without it. */
export const removableFacts = (given: Docket, d: Diagnosed, knowledge: Knowledge): Removable[] => {
  const why = (path: string) => () => whyIdle(path, d.docket, d.codes, d.evidenceContext);
  const ask = (vehicle: DocketVehicle, evidence: Evidence) =>
    posterior(d.groups, evidence, vehicle, knowledge.today, d.a, d.memo);
  const listed = listedFacts(d);
  const apart = reckoned(listed, d);
  return [
    ...ODDS_FACTS.filter(({ field }) => d.vehicle[field] != null).map(({ field, label }) => ({
      path: `vehicle.${field}`,
      label: label(d.vehicle),
      wheelEnd: null,
      without: () => ask({ ...d.vehicle, [field]: null }, d.evidence),
      why: why(`vehicle.${field}`),
    })),
    ...listed.map((fact) => ({
      ...fact,
      without: () => (apart.has(fact.path) ? ask(d.vehicle, evidenceWithout(d.evidence, fact.path)) : null),
      why:
        uses(d.evidence, fact.path) && !apart.has(fact.path)
          ? () => oneOfMany(mostReckoned(d))
          : why(fact.path),
    })),
    ...buildFacts(given).map((fact) => ({ ...fact, without: () => null, why: why(fact.path) })),
    ...readingFacts(given).map(({ docket, ...fact }) => ({
      ...fact,
      without: () => diagnose(docket, knowledge).whole,
      why: why(fact.path),
    })),
  ];
};
