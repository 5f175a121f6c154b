import type { Assumptions } from '../assumptions/assumptions.ts';
import { compareTyres } from '../checks/compareTyres.ts';
import { NORMAL_RESULT, readCheck, type OhmRange } from '../checks/readCheck.ts';
import type { UnderstoodCode } from '../codes/readCodes.ts';
import type { Check } from '../vocabulary/check.ts';
import type { Docket, HistoryEvent } from '../vocabulary/docket.ts';
import { CHECK_IN_WORDS, EVENT_IN_WORDS, SYMPTOM_IN_WORDS } from '../vocabulary/inWords.ts';
import type { TyreSizes } from '../vocabulary/tyreSizes.ts';
import type { Cause, Symptom } from '../vocabulary/words.ts';
import { axleOf, isCentre, wheelEndAt, wheelEndInWords } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { checkChance } from './checkTable.ts';
import { onceEach, type Complaint, type Evidence, type Finding, type SharedFinding } from './finding.ts';
import { mechanismOf } from './mechanism.ts';

/** What turning a docket into evidence needs to know of the vehicle. */
export interface EvidenceContext {
  readonly axles: number;
  readonly ends: readonly WheelEnd[];
  readonly a: Assumptions;
  /** The maker's range of the coil at a wheel end, where the catalogue has it. */
  readonly ohmRange?: (end: WheelEnd) => OhmRange | null;
}

const SHARED: ReadonlySet<Cause> = new Set(['module', 'supply']);
const LAMPS = new Set<Symptom>([
  'lamp.abs',
  'lamp.brake',
  'lamp.traction',
  'lamp.awd',
  'message.driver-assist',
]);
const DEAD_MEANINGS = new Set([
  'open',
  'short-to-ground',
  'short-to-battery',
  'ground-or-open',
  'battery-or-open',
  'resistance-low',
  'resistance-high',
  'no-signal',
  'device',
  'voltage-range',
]);

/** A wheel end of a fact, moved to the axle's centre sender where the axle has only that. */
const settle = (end: WheelEnd | null | undefined, ends: readonly WheelEnd[]): WheelEnd | null => {
  if (!end) return null;
  if (ends.includes(end)) return end;
  const centre = wheelEndAt(axleOf(end), 'centre');
  return ends.includes(centre) ? centre : null;
};

const codeFinding = (code: UnderstoodCode, i: number, end: WheelEnd | null, a: Assumptions): Finding => {
  const meaning = code.signal ?? 'generic';
  const nothing = a.get('code.nothing');
  const stale = code.status === 'stored' || code.status === 'history';
  const past = stale
    ? a.get('code.not-active')
    : code.status === 'active'
      ? a.get('code.active-none-present')
      : 1;
  return {
    path: `codes[${i}]`,
    label: `code ${code.code}: ${code.meaning}`,
    wheelEnd: end,
    mechanism: DEAD_MEANINGS.has(meaning) ? 'dead signal' : 'bad signal',
    kind: 'present',
    seen: (cause) => {
      if (cause === null) return nothing;
      if (cause === 'module' || cause === 'supply') return a.get(`code.with-${cause}`);
      const chance = Math.max(nothing, a.find(`code.${meaning}.${cause}`, nothing));
      return cause === 'none-present' ? Math.min(0.95, chance * past) : chance;
    },
  };
};

const historyFinding = (event: HistoryEvent, i: number, end: WheelEnd | null, a: Assumptions): Finding => {
  const short =
    event.cured === 'for-a-while' && (event.daysUntilReturn ?? 0) <= a.get('history.short-return-days');
  const outcome = event.cured === 'no' ? '.no' : short ? '.for-a-while' : '';
  const fade =
    event.daysAgo == null
      ? a.get('history.unknown-when')
      : Math.exp(-event.daysAgo / a.get('history.fade-days'));
  // What a part did or did not cure does not fade as the disturbance of the work does.
  const weight = outcome ? Math.max(fade, a.get('history.unknown-when')) : fade;
  return {
    path: `history[${i}]`,
    label:
      EVENT_IN_WORDS[event.event] +
      (event.daysAgo == null ? '' : `, ${event.daysAgo} days ago`) +
      (event.cured === 'no'
        ? ', no change'
        : short
          ? `, good for ${event.daysUntilReturn ?? 'a few'} days`
          : ''),
    wheelEnd: end,
    mechanism: `history ${event.event}`,
    kind: 'factor',
    seen: (cause) => {
      if (cause === null) return 1;
      const plain = a.find(`history.${event.event}.${cause}`, 1);
      return (
        a.find(
          `history.${event.event}${outcome}.${cause}`,
          outcome && event.event !== 'sensor-replaced' ? plain : 1,
        ) ** weight
      );
    },
  };
};

const checkFinding = (
  check: Check,
  i: number,
  end: WheelEnd | null,
  sizes: TyreSizes,
  context: EvidenceContext,
): Finding | null => {
  const { a } = context;
  if (check.check === 'battery' || check.check === 'tyres') return null;
  if (check.check === 'meter.resistance' && check.of === 'new-part') return null;
  const range = end ? (context.ohmRange?.(end) ?? null) : null;
  const explained = check.check === 'live' && sizesExplain(check, end, sizes, a);
  const notGrowing =
    check.check === 'live' &&
    check.growsWithSpeed === false &&
    (check.pattern === 'reads-high' || check.pattern === 'reads-low');
  const chance =
    (which: 'seen' | 'normal'): NonNullable<Finding['normal']> =>
    (cause, architecture) => {
      const reading = readCheck(check, architecture.sensor, a, range);
      if (!reading) return 1;
      const result = which === 'seen' ? reading.result : (NORMAL_RESULT[reading.table] ?? reading.result);
      const base = checkChance(reading.table, result, cause, a);
      if (which === 'normal' || cause !== 'tyre') return base;
      return Math.min(
        1,
        base *
          (explained ? a.get('tyres.explained.tyre') : 1) *
          (notGrowing ? a.get('live.ratio-not-growing.tyre') : 1),
      );
    };
  const result =
    'result' in check
      ? check.result
      : check.check === 'live'
        ? check.pattern
        : check.check === 'meter.resistance'
          ? `${check.ohms}${typeof check.ohms === 'number' ? ' ohm' : ''}`
          : check.check === 'ring.teeth'
            ? `${check.counted} where ${check.expected} are expected`
            : `${check.volts} V`;
  const anyReading = readCheck(check, 'passive', a, range) ?? readCheck(check, 'active', a);
  return {
    path: `checks[${i}]`,
    label: `${CHECK_IN_WORDS[check.check]}: ${result.replace(/-/g, ' ')}`,
    wheelEnd: end,
    mechanism: mechanismOf(check.check, check.check === 'live' ? check.pattern : ''),
    kind: 'check',
    seen: chance('seen'),
    normal: chance('normal'),
    isNormal: anyReading !== null && NORMAL_RESULT[anyReading.table] === anyReading.result,
  };
};

/** Whether the sizes fitted explain a measured ratio at this wheel end. */
const sizesExplain = (
  check: Extract<Check, { check: 'live' }>,
  end: WheelEnd | null,
  sizes: TyreSizes,
  a: Assumptions,
): boolean => {
  if (check.percent == null || !end || (check.pattern !== 'reads-low' && check.pattern !== 'reads-high'))
    return false;
  const measured = Math.abs(check.percent) * (check.pattern === 'reads-low' ? -1 : 1);
  return compareTyres(sizes, a.get('tyres.differ-percent')).odd.some(
    (odd) =>
      odd.wheelEnd === end && Math.abs(odd.readsPercent - measured) <= a.get('tyres.ratio-slack-percent'),
  );
};

const tyreFindings = (sizes: TyreSizes, path: string, context: EvidenceContext): Finding[] => {
  const { a, ends, axles } = context;
  const comparison = compareTyres(sizes, a.get('tyres.differ-percent'));
  const finding = (end: WheelEnd, result: 'differ' | 'match', label: string): Finding => ({
    path,
    label,
    wheelEnd: settle(end, ends),
    mechanism: 'tyres',
    kind: 'check',
    seen: (cause) => checkChance('tyres', result, cause, a),
    normal: (cause) => checkChance('tyres', 'match', cause, a),
    isNormal: result === 'match',
  });
  return comparison.compared.map((end) => {
    const odd = comparison.odd.find((o) => o.wheelEnd === end);
    return odd
      ? finding(
          end,
          'differ',
          `tyre ${wheelEndInWords(end, axles)} reads ${Math.abs(odd.readsPercent).toFixed(1)} % ${odd.readsPercent < 0 ? 'low' : 'high'} against the other side by its size`,
        )
      : finding(end, 'match', 'tyre sizes match across the axle');
  });
};

const complaintsOf = (symptoms: readonly Symptom[], context: EvidenceContext): Complaint[] => {
  const { a, axles } = context;
  const at = (symptom: Symptom) => `symptoms[${symptoms.indexOf(symptom)}]`;
  const brings =
    (row: string): Complaint['brings'] =>
    (cause, end) =>
      Math.max(
        a.find(`symptom.${row}.${cause}`, 0),
        end && isCentre(end) && (row === 'speedometer' || row === 'shifting.bad')
          ? a.find(`symptom.centre-chain.${cause}`, 0)
          : 0,
      );
  const out: Complaint[] = [];
  const lamps = symptoms.filter((s) => LAMPS.has(s));
  if (lamps.length > 0)
    out.push({
      paths: lamps.map(at),
      label: lamps.map((s) => SYMPTOM_IN_WORDS[s]).join(', '),
      leak: a.get('symptom.lamps.leak'),
      brings: brings('lamps'),
    });
  const single: Array<[Symptom[], string]> = [
    [['abs.activates-when-stopping'], 'abs.activates-when-stopping'],
    [['speedometer.dead', 'speedometer.erratic'], 'speedometer'],
    [['shifting.bad'], 'shifting.bad'],
    [['noise.wheel'], 'noise.wheel'],
    [['steering.heavy'], 'steering.heavy'],
    [['message.tyre-monitor'], 'message.tyre-monitor'],
  ];
  for (const [any, row] of single) {
    const present = symptoms.filter((s) => any.includes(s));
    if (present.length > 0)
      out.push({
        paths: present.map(at),
        label: present.map((s) => SYMPTOM_IN_WORDS[s]).join(', '),
        leak: a.get(`symptom.${row}.leak`),
        brings: brings(row),
      });
  }
  if (symptoms.includes('lamp.rear-abs'))
    out.push({
      paths: [at('lamp.rear-abs')],
      label: SYMPTOM_IN_WORDS['lamp.rear-abs'],
      leak: a.get('symptom.lamps.leak'),
      brings: (cause, end) =>
        end === null || axleOf(end) === axles ? a.find(`symptom.lamps.${cause}`, 0) : 0,
    });
  return out;
};

const sharedFindings = (
  docket: Docket,
  codes: readonly UnderstoodCode[],
  a: Assumptions,
): SharedFinding[] => {
  const out: SharedFinding[] = [];
  const supplyOr = (key: string) => (shared: ReadonlySet<Cause>) =>
    a.get(shared.has('supply') ? `${key}.supply` : `${key}.otherwise`);
  codes.forEach((code, i) => {
    if (code.voltage && !codes.slice(0, i).some((earlier) => earlier.voltage))
      out.push({
        path: `codes[${i}]`,
        label: `code ${code.code}: ${code.meaning}`,
        seen: supplyOr('voltage-code'),
      });
  });
  const unrelated = new Set(
    codes
      .filter((code) => code.role === 'other' || code.role === 'unknown')
      .map((code) => code.module ?? '?'),
  );
  if (unrelated.size >= a.get('many-modules.count'))
    out.push({
      path: 'codes',
      label: `codes in ${unrelated.size} modules that have nothing to do with wheel speed`,
      seen: supplyOr('many-modules'),
    });
  (docket.history ?? []).forEach((event, i) => {
    if (event.event !== 'battery-flat' && event.event !== 'battery-replaced') return;
    const fade =
      event.daysAgo == null
        ? a.get('history.unknown-when')
        : Math.exp(-event.daysAgo / a.get('history.fade-days'));
    out.push({
      path: `history[${i}]`,
      label: EVENT_IN_WORDS[event.event],
      seen: (shared) => (shared.has('supply') ? a.get(`history.${event.event}.supply`) ** fade : 1),
    });
  });
  (docket.checks ?? []).forEach((check, i) => {
    const reading = check.check === 'battery' ? readCheck(check, 'active', a) : null;
    if (reading)
      out.push({
        path: `checks[${i}]`,
        label: `${CHECK_IN_WORDS.battery}: ${reading.result}`,
        seen: (shared) => checkChance('battery', reading.result, shared.has('supply') ? 'supply' : null, a),
      });
  });
  return out;
};

/** Events of the whole vehicle: they touch every wheel end. */
const battery = new Set(['battery-flat', 'battery-replaced']);

/**
 * Turns a docket into evidence. Every fact keeps the path it comes from, so that its effect can be shown beside it.
 * Facts without a wheel end are tied to `corner` when that is settled, and else to the corner complained of.
 */
export const gatherEvidence = (
  docket: Docket,
  codes: readonly UnderstoodCode[],
  corner: WheelEnd | null,
  context: EvidenceContext,
): Evidence => {
  const { a, ends } = context;
  const findings: Finding[] = [];
  codes.forEach((code, i) => {
    if (code.role !== 'root') return;
    const at = [...new Set(code.wheelEnds.map((end) => settle(end, ends)).filter((end) => end !== null))];
    if (at.length === 0) findings.push(codeFinding(code, i, corner, a));
    else for (const end of at) findings.push(codeFinding(code, i, end, a));
  });
  (docket.history ?? []).forEach((event, i) => {
    if (battery.has(event.event)) {
      for (const end of ends) findings.push(historyFinding(event, i, end, a));
      return;
    }
    findings.push(historyFinding(event, i, settle(event.wheelEnd, ends) ?? corner, a));
  });
  const sizes: TyreSizes = (docket.checks ?? []).reduce<TyreSizes>(
    (sofar, check) => (check.check === 'tyres' ? { ...sofar, ...check.sizes } : sofar),
    docket.vehicle?.tyres ?? {},
  );
  (docket.checks ?? []).forEach((check, i) => {
    const finding = checkFinding(check, i, settle(check.wheelEnd, ends) ?? corner, sizes, context);
    if (finding) findings.push(finding);
  });
  if (Object.keys(sizes).length > 0) {
    const i = (docket.checks ?? []).findIndex((check) => check.check === 'tyres');
    findings.push(...tyreFindings(sizes, i >= 0 ? `checks[${i}]` : 'vehicle.tyres', context));
  }
  const named = settle(docket.wheelEnd, ends);
  if (named)
    findings.push({
      path: 'wheelEnd',
      label: `the customer names ${wheelEndInWords(named, context.axles)}`,
      wheelEnd: named,
      mechanism: 'claim',
      kind: 'present',
      seen: (cause) => (cause === null || SHARED.has(cause) ? a.get('claim.sound') : a.get('claim.faulty')),
    });
  return {
    findings: findings.map((finding) => ({
      ...finding,
      seen: onceEach(finding.seen),
      ...(finding.normal ? { normal: onceEach(finding.normal) } : {}),
    })),
    complaints: complaintsOf(docket.symptoms ?? [], context),
    shared: sharedFindings(docket, codes, a),
  };
};
