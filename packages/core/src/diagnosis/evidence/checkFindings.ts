import type { Assumptions } from '../../assumptions/assumptions.ts';
import { compareTyres } from '../../checks/compareTyres.ts';
import { checkInWords, SOUND_RESULT } from '../../checkKinds/checkData.ts';
import { kindOf } from '../../checkKinds/checkTypes.ts';
import { readCheck } from '../../checks/readCheck.ts';
import type { Check } from '../../vocabulary/check.ts';
import type { TyreSizes } from '../../vocabulary/tyreSizes.ts';
import { wheelEndInWords } from '../../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../../vocabulary/wheelEnd.ts';
import { checkChance, jointChance } from '../checkTable.ts';
import type { Fault } from '../../faultKinds/faultData.ts';
import type { Finding } from '../finding.ts';
import { mechanismOf } from '../mechanism.ts';
import type { SensedEnd } from '../sensedEnd.ts';
import type { EvidenceContext } from './context.ts';

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

type ReadCheck = NonNullable<ReturnType<typeof readCheck>>;
type Readings = Readonly<Record<'passive' | 'active', ReadCheck | null>>;
type Chances = Pick<Finding, 'seen' | 'normal' | 'says' | 'jointly'>;

const made = new WeakMap<Assumptions, Map<string, Chances>>();
const inShort = (reading: ReadCheck | null): string => (reading ? `${reading.table} ${reading.result}` : '-');

/**
 * How likely a reading is, by fault and kind of sensor. The same reading at two wheels is one set of functions: what follows from it
 * is worked out once.
 */
const chancesOf = (readings: Readings, explained: boolean, notGrowing: boolean, a: Assumptions): Chances => {
  const kept = made.get(a) ?? new Map<string, Chances>();
  made.set(a, kept);
  const key = `${inShort(readings.passive)}|${inShort(readings.active)}|${explained} ${notGrowing}`;
  const known = kept.get(key);
  if (known) return known;
  type Which = 'seen' | 'normal';
  const resultOf = (reading: ReadCheck, which: Which): string =>
    which === 'seen' ? reading.result : (SOUND_RESULT[reading.table] ?? reading.result);
  const chanceIn = (reading: ReadCheck | null, which: Which, fault: Fault | null): number => {
    if (!reading) return 1;
    const base = checkChance(reading.table, resultOf(reading, which), fault, a);
    if (which === 'normal' || fault !== 'tyre') return base;
    return Math.min(
      1,
      base *
        (explained ? a.get('tyres.explained.tyre') : 1) *
        (notGrowing ? a.get('live.ratio-not-growing.tyre') : 1),
    );
  };
  const jointIn = (reading: ReadCheck | null, which: Which, faults: readonly Fault[]): number | null =>
    reading ? jointChance(reading.table, resultOf(reading, which), faults, a) : null;
  // Where either sensor reads the same, the sensor is not asked for: what follows is worked out once for both.
  const either = readings.passive;
  const chances: Chances =
    inShort(readings.passive) === inShort(readings.active)
      ? {
          seen: (fault) => chanceIn(either, 'seen', fault),
          normal: (fault) => chanceIn(either, 'normal', fault),
          jointly: (faults, which) => jointIn(either, which, faults),
        }
      : {
          seen: (fault, { sensor }) => chanceIn(readings[sensor], 'seen', fault),
          normal: (fault, { sensor }) => chanceIn(readings[sensor], 'normal', fault),
          jointly: (faults, which, { sensor }) => jointIn(readings[sensor], which, faults),
          says: ({ sensor }) => readings[sensor] !== null,
        };
  kept.set(key, chances);
  return chances;
};

/** A check at a wheel end; null where it speaks of something else, or can say nothing however the wheel end is built. */
export const checkFinding = (
  check: Check,
  i: number,
  end: SensedEnd | null,
  sizes: TyreSizes,
  context: EvidenceContext,
): Finding | null => {
  const { a } = context;
  if (kindOf(check.check).speaksOf !== 'wheel') return null;
  const range = end ? (context.ohmRange?.(end) ?? null) : null;
  const readings = {
    passive: readCheck(check, 'passive', a, range),
    active: readCheck(check, 'active', a, range),
  };
  const either = readings.passive ?? readings.active;
  if (!either) return null;
  const live = check.check === 'live' ? check : null;
  const explained = live !== null && sizesExplain(live, end, sizes, a);
  const notGrowing =
    live?.growsWithSpeed === false && (live.pattern === 'reads-high' || live.pattern === 'reads-low');
  return {
    path: `checks[${i}]`,
    label: checkInWords(check),
    wheelEnd: end,
    mechanism: mechanismOf(check.check, either.result),
    kind: 'check',
    isNormal: SOUND_RESULT[either.table] === either.result,
    ...chancesOf(readings, explained, notGrowing, a),
  };
};

/** Tyre sizes compared across each axle. */
export const tyreFindings = (sizes: TyreSizes, path: string, context: EvidenceContext): Finding[] => {
  const { a, ends, names } = context;
  const comparison = compareTyres(sizes, a.get('tyres.differ-percent'));
  const finding = (end: WheelEnd, result: 'differ' | 'match', label: string): Finding => ({
    path,
    label,
    wheelEnd: ends.at(end),
    mechanism: 'tyres',
    kind: 'check',
    seen: (fault) => checkChance('tyres', result, fault, a),
    normal: (fault) => checkChance('tyres', 'match', fault, a),
    isNormal: result === 'match',
  });
  return comparison.compared.map((end) => {
    const odd = comparison.odd.find((o) => o.wheelEnd === end);
    return odd
      ? finding(
          end,
          'differ',
          `tyre ${wheelEndInWords(end, names)} reads ${Math.abs(odd.readsPercent).toFixed(1)} % ${odd.readsPercent < 0 ? 'low' : 'high'} against the other side by its size`,
        )
      : finding(end, 'match', 'tyre sizes match across the axle');
  });
};
