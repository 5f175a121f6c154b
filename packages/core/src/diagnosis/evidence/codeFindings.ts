import type { Assumptions } from '../../assumptions/assumptions.ts';
import type { UnderstoodCode } from '../../codes/readCodes.ts';
import { isBrakeController } from '../../codes/codeTexts.ts';
import type { Docket } from '../../vocabulary/docket.ts';
import type { SensedEnd } from '../sensedEnd.ts';
import type { Chance, Finding } from '../finding.ts';

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

/** Chances of codes that say the same with one status, made once: a reader lists one code at many wheel ends. */
const chancesOf = new WeakMap<Assumptions, Map<string, Chance>>();

/** Chance of a code under each fault, by what it says and whether it is active now. */
const codeChance = ({ signal, status }: UnderstoodCode, cleared: boolean, a: Assumptions): Chance => {
  const meaning = signal ?? 'generic';
  const made = chancesOf.get(a) ?? new Map<string, Chance>();
  chancesOf.set(a, made);
  const key = `${meaning} ${status} ${cleared}`;
  const known = made.get(key);
  if (known) return known;
  const nothing = a.get('code.nothing');
  const stale = status === 'stored' || status === 'history';
  const past =
    (stale ? a.get('code.not-active') : status === 'active' ? a.get('code.active-none-present') : 1) *
    (cleared ? a.get('code.cleared.none-present') : 1);
  const present =
    status === 'stored'
      ? a.get('code.stored-present')
      : status === 'history'
        ? a.get('code.history-present')
        : 1;
  const fromSupply =
    a.get(status === 'active' ? 'code.with-supply.active' : 'code.with-supply') *
    (cleared ? a.get('code.cleared.supply') : 1);
  const seen: Chance = (fault) => {
    if (fault === null) return nothing;
    if (fault === 'module') return a.get('code.with-module');
    if (fault === 'supply') return Math.max(nothing, fromSupply);
    const chance = a.find(`code.${meaning}.${fault}`, nothing);
    return Math.max(nothing, fault === 'none-present' ? Math.min(0.95, chance * past) : chance * present);
  };
  made.set(key, seen);
  return seen;
};

/** A root code at a wheel end. */
export const codeFinding = (
  code: UnderstoodCode,
  i: number,
  end: SensedEnd | null,
  cleared: boolean,
  a: Assumptions,
): Finding => ({
  path: `codes[${i}]`,
  label: `code ${code.code}: ${code.meaning}`,
  wheelEnd: end,
  mechanism: DEAD_MEANINGS.has(code.signal ?? 'generic') ? 'dead signal' : 'bad signal',
  kind: 'present',
  seen: codeChance(code, cleared, a),
});

/**
 * Whether the brake controller was read, so that a wheel it does not name counts as silent: it was named as read, or a
 * wheel-speed code came out of it. Null or an engine-only reader: it cannot be known.
 */
const brakeControllerRead = (docket: Docket, codes: readonly UnderstoodCode[]): boolean => {
  if (docket.reader === 'engine' || docket.reader === 'none') return false;
  if ((docket.modulesRead ?? []).some((module) => isBrakeController(module) === true)) return true;
  return codes.some(
    (code) =>
      code.role === 'root' || code.self || (code.module !== null && isBrakeController(code.module) === true),
  );
};

/** Silence of a brake controller that was read, at every wheel end it does not name. */
export const silenceFindings = (
  docket: Docket,
  codes: readonly UnderstoodCode[],
  ends: readonly SensedEnd[],
  named: ReadonlySet<SensedEnd>,
  a: Assumptions,
): Finding[] => {
  if (!brakeControllerRead(docket, codes)) return [];
  const seen: Chance = (fault) => (fault === null ? 1 : a.find(`silent.${fault}`, 1));
  return ends
    .filter((end) => !named.has(end))
    .map((end) => ({
      path: 'modulesRead',
      label: 'the brake controller was read and names no fault here',
      wheelEnd: end,
      mechanism: 'silence',
      kind: 'absent' as const,
      seen,
    }));
};
