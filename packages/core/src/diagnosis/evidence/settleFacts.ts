import type { UnderstoodCode } from '../../codes/readCodes.ts';
import { worstFirst } from '../../checkKinds/checkData.ts';
import type { Check } from '../../vocabulary/check.ts';
import type { Docket } from '../../vocabulary/docket.ts';
import type { WheelEnd } from '../../vocabulary/wheelEnd.ts';

/** A reading is taken again when the check, the wheel, what was metered and what it was swapped with are the same. */
const sameReading = (check: Check, at: WheelEnd | null): string =>
  [
    check.check,
    at ?? '',
    check.check === 'meter.resistance' ? check.of : '',
    check.check === 'swap' ? (check.with ?? '') : '',
  ].join('|');

const textOf = (thing: object): string =>
  JSON.stringify(
    Object.entries(thing)
      .filter(([key, value]) => value != null && key !== 'confirmed')
      .sort(([x], [y]) => (x < y ? -1 : 1)),
  );

const repeats = (list: readonly object[], path: string, aside: Map<string, string>): void => {
  const seen = new Set<string>();
  list.forEach((thing, i) => {
    const text = textOf(thing);
    if (seen.has(text)) aside.set(`${path}[${i}]`, 'the same again: it counts once');
    seen.add(text);
  });
};

/**
 * One code of one controller that means the same each time is one code, however a reader words it: it counts once.
 */
const repeatedCodes = (codes: readonly UnderstoodCode[], aside: Map<string, string>): void => {
  const seen = new Set<string>();
  codes.forEach(({ module, code, status, signal, role, wheelEnds, voltage, self }, i) => {
    const same = [module, code, status, signal, role, wheelEnds, voltage, self];
    const text = JSON.stringify(same).toLowerCase();
    if (seen.has(text) && !aside.has(`codes[${i}]`))
      aside.set(`codes[${i}]`, 'the same code again: it counts once');
    seen.add(text);
  });
};

/**
 * Facts that count for nothing beside another, by path, each with why. What is written down twice is one fact. Of two
 * readings of one thing the later counts; of play, growl and fluid the worse, until someone strikes it out.
 *
 * @param codes the docket’s codes as they were understood
 * @param at the wheel end a check speaks of, as the reasoning settles it
 * @param says whether a check says anything there: one that does not takes nothing back
 */
export const settleFacts = (
  docket: Docket,
  codes: readonly UnderstoodCode[],
  at: (check: Check) => WheelEnd | null,
  says: (check: Check) => boolean,
): Map<string, string> => {
  const aside = new Map<string, string>();
  repeats(docket.codes ?? [], 'codes', aside);
  repeatedCodes(codes, aside);
  repeats(docket.history ?? [], 'history', aside);
  const standing = new Map<string, number>();
  const checks = docket.checks ?? [];
  checks.forEach((check, i) => {
    if (check.check === 'tyres' || !says(check)) return;
    const key = sameReading(check, at(check));
    const earlier = standing.get(key);
    if (earlier === undefined) {
      standing.set(key, i);
      return;
    }
    const before = checks[earlier] as Check;
    // Of play, noise and fluid the worse stands until someone strikes it out.
    const [was, is] = [worstFirst(before), worstFirst(check)];
    if (textOf(before) === textOf(check)) aside.set(`checks[${i}]`, 'the same again: it counts once');
    else if (was !== null && is !== null && was >= is)
      aside.set(`checks[${i}]`, 'a worse one stands: strike that out if it was wrong');
    else {
      aside.set(
        `checks[${earlier}]`,
        is !== null ? 'a worse one was found since' : 'read again since: the later reading counts',
      );
      standing.set(key, i);
    }
  });
  return aside;
};
