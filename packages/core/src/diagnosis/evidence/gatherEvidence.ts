import { readCheck } from '../../checks/readCheck.ts';
import type { UnderstoodCode } from '../../codes/readCodes.ts';
import type { Check } from '../../vocabulary/check.ts';
import type { Docket } from '../../vocabulary/docket.ts';
import type { TyreSizes } from '../../vocabulary/tyreSizes.ts';
import { wheelEndInWords } from '../../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../../vocabulary/wheelEnd.ts';
import { onceEach, type Chance, type Evidence, type Finding } from '../finding.ts';
import { memo } from '../memo.ts';
import { checkFinding, tyreFindings } from './checkFindings.ts';
import { codeFinding, silenceFindings } from './codeFindings.ts';
import { complaintsOf } from './complaintsOf.ts';
import type { SensedEnd } from '../sensedEnd.ts';
import type { EvidenceContext } from './context.ts';
import { historyFinding, OF_THE_BATTERY, staleCodeFindings } from './historyFinding.ts';
import { settleFacts } from './settleFacts.ts';
import { sharedFindings } from './sharedFindings.ts';

/**
 * The wheel ends a check speaks of. One without a wheel that found the whole vehicle in order speaks of all that were
 * complained of: no code came back, the lamps are out, all speeds are alike.
 */
const spokenOf = (
  check: Check,
  coded: ReadonlySet<SensedEnd>,
  ends: readonly SensedEnd[],
  at: SensedEnd | null,
): ReadonlyArray<SensedEnd | null> => {
  if (check.wheelEnd) return [at];
  if (check.check === 'live' && check.pattern === 'normal') return ends;
  const over =
    (check.check === 'clear-and-drive' && check.result === 'stays-away') ||
    (check.check === 'lamps' && check.result !== 'on');
  return over && coded.size > 0 ? [...coded] : [at];
};

/** What every source of findings sees. */
interface Gathering {
  readonly docket: Docket;
  readonly codes: readonly UnderstoodCode[];
  readonly context: EvidenceContext;
  /** Where facts without a wheel end are tied to. */
  readonly corner: SensedEnd | null;
  readonly at: (check: Check) => SensedEnd | null;
  /** Whether the fact of a path counts: not set aside, and of a place that has a signal. */
  readonly counts: (path: string, given: readonly WheelEnd[]) => boolean;
  /** The wheel ends that root codes name; a null among them may be any. */
  readonly coded: ReadonlySet<SensedEnd | null>;
  readonly sizes: TyreSizes;
}

const endsOf = (code: UnderstoodCode, { ends }: EvidenceContext): SensedEnd[] => [
  ...new Set(code.wheelEnds.map((end) => ends.at(end)).filter((end) => end !== null)),
];

/** Root codes, each for the wheel ends it names. */
const rootCodes = ({ codes, context, corner, counts }: Gathering) =>
  codes.flatMap((code, i) => {
    if (code.role !== 'root' || !counts(`codes[${i}]`, code.wheelEnds)) return [];
    const where = endsOf(code, context);
    return (where.length > 0 ? where : [corner]).map((end) => ({ code, i, end }));
  });

/** The wheel ends of a set that are known. */
const known = (coded: ReadonlySet<SensedEnd | null>): Set<SensedEnd> =>
  new Set([...coded].filter((end) => end !== null));

type Source = (gathering: Gathering) => readonly Finding[];

const fromCodes: Source = (gathering) =>
  rootCodes(gathering).map(({ code, i, end }) =>
    codeFinding(code, i, end, gathering.docket.codesCleared === true, gathering.context.a),
  );

/** A code whose corner is not known may be any wheel's: then none can be called silent. */
const fromSilence: Source = ({ docket, codes, context, coded }) =>
  coded.has(null) ? [] : silenceFindings(docket, codes, context.ends.all, known(coded), context.a);

const fromHistory: Source = ({ docket, context, corner, counts, coded }) =>
  (docket.history ?? []).flatMap((event, i) => {
    if (!counts(`history[${i}]`, event.wheelEnd ? [event.wheelEnd] : [])) return [];
    if (!OF_THE_BATTERY.has(event.event))
      return [historyFinding(event, i, context.ends.at(event.wheelEnd) ?? corner, context.a)];
    return docket.codesCleared === true ? [] : staleCodeFindings(event, i, [...known(coded)], context.a);
  });

const fromChecks: Source = ({ docket, context, at, counts, coded, sizes }) =>
  (docket.checks ?? []).flatMap((check, i) =>
    counts(`checks[${i}]`, check.wheelEnd ? [check.wheelEnd] : [])
      ? spokenOf(check, known(coded), context.ends.all, at(check)).flatMap(
          (end) => checkFinding(check, i, end, sizes, context) ?? [],
        )
      : [],
  );

const fromTyres: Source = ({ docket, context, sizes }) => {
  if (Object.keys(sizes).length === 0) return [];
  const i = (docket.checks ?? []).findIndex((check) => check.check === 'tyres');
  return tyreFindings(sizes, i >= 0 ? `checks[${i}]` : 'vehicle.tyres', context);
};

const fromTheCustomer: Source = ({ docket, context, counts }) => {
  if (!docket.wheelEnd || !counts('wheelEnd', [docket.wheelEnd])) return [];
  const { a, ends, names } = context;
  return [
    {
      path: 'wheelEnd',
      label: `the customer names ${wheelEndInWords(docket.wheelEnd, names)}`,
      wheelEnd: ends.at(docket.wheelEnd),
      mechanism: 'claim',
      kind: 'present',
      seen: (fault) =>
        a.get(fault === null || fault === 'module' || fault === 'supply' ? 'claim.sound' : 'claim.faulty'),
    },
  ];
};

/** Where findings about wheel ends come from. */
const SOURCES: readonly Source[] = [
  fromCodes,
  fromSilence,
  fromHistory,
  fromChecks,
  fromTyres,
  fromTheCustomer,
];

/** Whether a check says anything that could be read. */
const saysSomething =
  (at: (check: Check) => SensedEnd | null, { a, sensorAt }: EvidenceContext) =>
  (check: Check): boolean => {
    if (check.check === 'brake.fluid') return true;
    const end = at(check);
    const sensor = end ? (sensorAt?.(end) ?? null) : null;
    return (sensor ? [sensor] : (['passive', 'active'] as const)).some(
      (kind) => readCheck(check, kind, a) !== null,
    );
  };

const sizesOn = (docket: Docket): TyreSizes =>
  (docket.checks ?? []).reduce<TyreSizes>(
    (sofar, check) => (check.check === 'tyres' ? { ...sofar, ...check.sizes } : sofar),
    docket.vehicle?.tyres ?? {},
  );

/**
 * Turns a docket into evidence. Every fact keeps the path it comes from, so that its effect can be shown beside it.
 * Facts without a wheel end are tied to the wheel end `named` when that is settled, and else to the corner complained of.
 */
export const gatherEvidence = (
  docket: Docket,
  codes: readonly UnderstoodCode[],
  named: WheelEnd | null,
  context: EvidenceContext,
): Evidence => {
  const { a, ends } = context;
  const corner = ends.at(named);
  const at = (check: Check) => (check.wheelEnd ? ends.at(check.wheelEnd) : corner);
  const nowhere = new Map<string, string>();
  /** Whether a fact is of a place that has no signal; then it says why it counts for nothing. */
  const isNowhere = (path: string, given: readonly WheelEnd[]): boolean => {
    const [first] = given;
    if (first === undefined || given.some((end) => ends.at(end))) return false;
    nowhere.set(path, ends.why(first));
    return true;
  };
  const setAside = settleFacts(docket, codes, at, saysSomething(at, context));
  const counts = (path: string, given: readonly WheelEnd[]) => !setAside.has(path) && !isNowhere(path, given);
  const sofar = {
    docket,
    codes,
    context,
    corner,
    at,
    counts,
    sizes: sizesOn(docket),
    coded: new Set<null>(),
  };
  const gathering: Gathering = { ...sofar, coded: new Set(rootCodes(sofar).map(({ end }) => end)) };
  // Findings that are alike at several wheel ends share a chance, and what follows from it.
  const kept = new Map<Chance, Chance>();
  const onceOf = (chance: Chance): Chance => memo(kept, chance, () => onceEach(chance));
  return {
    findings: SOURCES.flatMap((source) => source(gathering)).map((finding) => ({
      ...finding,
      seen: onceOf(finding.seen),
      ...(finding.normal ? { normal: onceOf(finding.normal) } : {}),
    })),
    complaints: complaintsOf(docket.symptoms ?? [], codes, context),
    shared: sharedFindings(docket, codes, setAside, a),
    setAside: new Map([...setAside, ...nowhere]),
  };
};
