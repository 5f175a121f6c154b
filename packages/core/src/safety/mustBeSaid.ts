import { complaintsNow } from '../vocabulary/complaints.ts';
import type { Docket } from '../vocabulary/docket.ts';
import { DOUBT_ASKS } from '../vocabulary/doubtWords.ts';
import { wheelEndInWords, type WheelNames } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import type { Dangers } from './dangers.ts';

/** A wheel that may be unsafe and of which too little is known: where, or null where nobody said. */
interface Suspect {
  readonly wheelEnd: WheelEnd | null;
  readonly because: string;
}

/** Wheels that growl and were not rocked, or have a little play and were not spun: half of what would forbid driving. */
const suspectsOf = (docket: Docket, dangers: Dangers, corner: WheelEnd | null): Suspect[] => {
  const checks = docket.checks ?? [];
  const at = (end: WheelEnd | null | undefined): WheelEnd | null => end ?? corner;
  const has = (name: 'bearing.play' | 'bearing.noise', end: WheelEnd | null): boolean =>
    checks.some((check) => check.check === name && (at(check.wheelEnd) === end || end === null));
  const unsafe = new Set(dangers.wheels.map(({ wheelEnd }) => wheelEnd));
  const found = checks.flatMap((check): Suspect[] => {
    const wheelEnd = at(check.wheelEnd);
    if (unsafe.has(wheelEnd)) return [];
    if (check.check === 'bearing.noise' && check.result === 'growl' && !has('bearing.play', wheelEnd))
      return [{ wheelEnd, because: 'it growls and was not rocked: rock it, lifted, before it is driven' }];
    if (check.check === 'bearing.play' && check.result === 'slight' && !has('bearing.noise', wheelEnd))
      return [
        {
          wheelEnd,
          because: 'a little play and not spun: spin it, lifted; a growl with play forbids driving',
        },
      ];
    return [];
  });
  const hums = complaintsNow(docket).includes('noise.wheel');
  if (hums && !unsafe.size && !has('bearing.play', corner))
    found.push({
      wheelEnd: null,
      because: 'a wheel growls: rock each one, lifted, before it is driven far',
    });
  return found;
};

/**
 * What must be said for safety beside any verdict: every wheel that may be unsafe and of which half is known, and every
 * word of danger nobody has answered for. What forbids driving outright is the verdict itself, see `dangersOf`.
 */
export const mustBeSaid = (
  docket: Docket,
  dangers: Dangers,
  corner: WheelEnd | null,
  names: WheelNames,
): string[] => [
  ...new Set([
    ...suspectsOf(docket, dangers, corner).map(({ wheelEnd, because }) =>
      wheelEnd ? `${wheelEndInWords(wheelEnd, names)}: ${because}` : because,
    ),
    ...(docket.doubts ?? []).map(
      ({ about, words }) => `\u201C${words}\u201D may be a danger: ${DOUBT_ASKS[about]}`,
    ),
  ]),
];
