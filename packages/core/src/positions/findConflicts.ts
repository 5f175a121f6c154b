import type { PositionConflict, ReadPosition } from '../vocabulary/intakeReading.ts';
import { wheelEndInWords } from '../vocabulary/wheelEndWords.ts';
import type { PositionContext } from './placePhrase.ts';

/**
 * Corner phrases that name different wheels although nothing says they are two corners: each pair with the reason.
 */
export const findConflicts = (
  positions: readonly ReadPosition[],
  context: Pick<PositionContext, 'axles' | 'steeringSide'> & { readonly trailer?: boolean },
): PositionConflict[] => {
  const corners = positions.filter((p) => (p.role ?? 'corner') === 'corner' && p.wheelEnds.length > 0);
  const conflicts: PositionConflict[] = [];
  for (let i = 1; i < corners.length; i++) {
    const a = corners[i - 1] as ReadPosition;
    const b = corners[i] as ReadPosition;
    if (b.joinedBy === 'and' || b.joinedBy === 'or') continue;
    if (a.wheelEnds.some((end) => b.wheelEnds.includes(end))) continue;
    const where = (p: ReadPosition) => p.wheelEnds.map((end) => wheelEndInWords(end, context)).join(' and ');
    const relative = (p: ReadPosition) => /driver|passenger|\bd\W?s\b|\bp\W?s\b/i.test(p.text);
    const steering =
      context.steeringSide && (relative(a) || relative(b))
        ? ` on a vehicle steered from the ${context.steeringSide}`
        : '';
    conflicts.push({
      texts: [a.text, b.text],
      because: `"${a.text}" is ${where(a)}${steering}, "${b.text}" is ${where(b)}: they are not the same wheel`,
    });
  }
  return conflicts;
};
