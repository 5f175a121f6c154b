import { isPickedFault } from '../checkKinds/checkData.ts';
import type { UnderstoodCode } from '../codes/readCodes.ts';
import type { PositionContext } from '../positions/placePhrase.ts';
import { findConflicts } from '../positions/findConflicts.ts';
import { readPositions } from '../positions/readPositions.ts';
import type { SensedEnds } from '../diagnosis/sensedEnd.ts';
import type { ReadPosition } from '../vocabulary/intakeReading.ts';
import type { Docket } from '../vocabulary/docket.ts';
import { wheelEndInWords } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';

/** A corner, or a shared cause, is named from these odds on: the contract's words, not a setting. */
export const BETTER_THAN_EVEN = 0.5;

/** The corner as the facts name it, and where they disagree. */
export interface CornerFacts {
  readonly named: WheelEnd | null;
  /** The corner facts without one are tied to. */
  readonly settled: WheelEnd | null;
  readonly conflicts: Array<{ texts: string[]; because: string }>;
  readonly positions: ReadPosition[];
}

/** Phrases kept on the docket, read again with what is known by now: a steering side given later places them. */
const placed = (docket: Docket, context: PositionContext): ReadPosition[] =>
  (docket.positions ?? []).map((p) => {
    const kept: ReadPosition = {
      text: p.text,
      wheelEnds: p.wheelEnds,
      needs: p.needs ?? null,
      ...(p.role ? { role: p.role } : {}),
      ...(p.joinedBy ? { joinedBy: p.joinedBy } : {}),
    };
    if (!p.needs) return kept;
    const again = readPositions(p.text, context).positions[0];
    return again ? { ...kept, wheelEnds: again.wheelEnds, needs: again.needs } : kept;
  });

/** Whether a check found something wrong at a wheel end: that outranks what was said. */
const foundAt = (docket: Docket, end: WheelEnd): boolean =>
  (docket.checks ?? []).some((check) => check.wheelEnd === end && isPickedFault(check));

/** Reads the corner from the customer's words and the root codes. */
export const cornerFacts = (
  docket: Docket,
  codes: readonly UnderstoodCode[],
  context: PositionContext,
  ends: SensedEnds,
): CornerFacts => {
  const positions = placed(docket, context);
  const corners = positions.filter((p) => (p.role ?? 'corner') === 'corner' && p.wheelEnds.length > 0);
  const answered = docket.wheelEnd ?? null;
  const conflicts = answered ? [] : findConflicts(positions, context);
  const said = [...new Set(corners.flatMap((p) => p.wheelEnds))];
  const named = answered ?? (conflicts.length === 0 && said.length === 1 ? (said[0] ?? null) : null);
  const coded = [...new Set(codes.filter((code) => code.role === 'root').flatMap((code) => code.wheelEnds))];
  const settledByCheck = [...coded, ...(named ? [named] : [])].some((end) => foundAt(docket, end));
  // A side of an axle with one sender at its centre is that sender, where the codes speak of it.
  const signal = ends.at(named) ?? named;
  if (named && signal && coded.length > 0 && !coded.includes(signal) && !settledByCheck) {
    const codeAt = codes.find((code) => code.role === 'root' && code.wheelEnds.length > 0);
    conflicts.push({
      texts: [wheelEndInWords(named, context), codeAt?.code ?? ''],
      because: `the customer names ${wheelEndInWords(named, context)}, but code ${codeAt?.code ?? ''} is for ${coded.map((end) => wheelEndInWords(end, context)).join(' and ')}`,
    });
  }
  return {
    named,
    settled: conflicts.length > 0 ? null : coded.length === 1 ? (coded[0] ?? null) : named,
    conflicts,
    positions,
  };
};
