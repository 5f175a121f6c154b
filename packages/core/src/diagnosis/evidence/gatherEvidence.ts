import { readCheck } from '../../checks/readCheck.ts';
import type { UnderstoodCode } from '../../codes/readCodes.ts';
import type { Check } from '../../vocabulary/check.ts';
import type { Docket } from '../../vocabulary/docket.ts';
import type { TyreSizes } from '../../vocabulary/tyreSizes.ts';
import { wheelEndInWords } from '../../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../../vocabulary/wheelEnd.ts';
import { onceEach, type Evidence, type Finding } from '../finding.ts';
import { checkFinding, tyreFindings } from './checkFindings.ts';
import { codeFinding, silenceFindings } from './codeFindings.ts';
import { complaintsOf } from './complaintsOf.ts';
import type { SensedEnd } from '../sensedEnd.ts';
import type { EvidenceContext } from './context.ts';
import { historyFinding, OF_THE_BATTERY, staleCodeFinding } from './historyFinding.ts';
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
  const says = (check: Check): boolean => {
    if (check.check === 'brake.fluid') return true;
    const end = at(check);
    const sensor = end ? (context.sensorAt?.(end) ?? null) : null;
    return (sensor ? [sensor] : (['passive', 'active'] as const)).some(
      (kind) => readCheck(check, kind, a) !== null,
    );
  };
  const setAside = settleFacts(docket, at, says);
  const counts = (path: string, given: readonly WheelEnd[]) => !setAside.has(path) && !isNowhere(path, given);
  const findings: Finding[] = [];
  const cleared = docket.codesCleared === true;

  const coded = new Set<SensedEnd>();
  let codeAdrift = false;
  codes.forEach((code, i) => {
    if (code.role !== 'root' || !counts(`codes[${i}]`, code.wheelEnds)) return;
    const where = [...new Set(code.wheelEnds.map((end) => ends.at(end)).filter((end) => end !== null))];
    const known = where.length > 0 ? where : [corner];
    for (const end of known) {
      findings.push(codeFinding(code, i, end, cleared, a));
      if (end === null) codeAdrift = true;
      else coded.add(end);
    }
  });
  // A code whose corner is not known may be any wheel's: then none can be called silent.
  if (!codeAdrift) findings.push(...silenceFindings(docket, codes, ends.all, coded, a));

  (docket.history ?? []).forEach((event, i) => {
    if (!counts(`history[${i}]`, event.wheelEnd ? [event.wheelEnd] : [])) return;
    if (OF_THE_BATTERY.has(event.event)) {
      if (!cleared) for (const end of coded) findings.push(staleCodeFinding(event, i, end, a));
      return;
    }
    findings.push(historyFinding(event, i, ends.at(event.wheelEnd) ?? corner, a));
  });

  const sizes: TyreSizes = (docket.checks ?? []).reduce<TyreSizes>(
    (sofar, check) => (check.check === 'tyres' ? { ...sofar, ...check.sizes } : sofar),
    docket.vehicle?.tyres ?? {},
  );
  (docket.checks ?? []).forEach((check, i) => {
    if (!counts(`checks[${i}]`, check.wheelEnd ? [check.wheelEnd] : [])) return;
    for (const end of spokenOf(check, coded, ends.all, at(check))) {
      const finding = checkFinding(check, i, end, sizes, context);
      if (finding) findings.push(finding);
    }
  });
  if (Object.keys(sizes).length > 0) {
    const i = (docket.checks ?? []).findIndex((check) => check.check === 'tyres');
    findings.push(...tyreFindings(sizes, i >= 0 ? `checks[${i}]` : 'vehicle.tyres', context));
  }
  const claimed = ends.at(docket.wheelEnd);
  if (docket.wheelEnd) isNowhere('wheelEnd', [docket.wheelEnd]);
  if (claimed)
    findings.push({
      path: 'wheelEnd',
      label: `the customer names ${wheelEndInWords(docket.wheelEnd ?? claimed, context.names)}`,
      wheelEnd: claimed,
      mechanism: 'claim',
      kind: 'present',
      seen: (fault) =>
        a.get(fault === null || fault === 'module' || fault === 'supply' ? 'claim.sound' : 'claim.faulty'),
    });
  return {
    findings: findings.map((finding) => ({
      ...finding,
      seen: onceEach(finding.seen),
      ...(finding.normal ? { normal: onceEach(finding.normal) } : {}),
    })),
    complaints: complaintsOf(docket.symptoms ?? [], codes, context),
    shared: sharedFindings(docket, codes, setAside, a),
    setAside: new Map([...setAside, ...nowhere]),
  };
};
