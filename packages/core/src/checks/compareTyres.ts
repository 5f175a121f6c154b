import type { TyreSizes } from '../vocabulary/tyreSizes.ts';
import { acrossFrom, axleOf } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { parseTyreSize, readsAgainst } from '../vocabulary/tyreSize.ts';

/** A wheel whose tyre differs from its neighbours: how it reads against them, in percent. */
export interface OddTyre {
  readonly wheelEnd: WheelEnd;
  readonly against: WheelEnd;
  readonly readsPercent: number;
}

export interface TyreComparison {
  readonly odd: OddTyre[];
  /** Wheel ends whose tyre could be compared across the axle. */
  readonly compared: WheelEnd[];
  /** Sizes that could not be read. */
  readonly unread: Array<{ wheelEnd: WheelEnd; size: string }>;
}

/**
 * Finds the odd tyre out on each axle. Of two that differ the odd one is that which also differs from the other
 * axle; where that does not tell, both are named.
 */
export const compareTyres = (sizes: TyreSizes, limitPercent: number): TyreComparison => {
  const read = Object.entries(sizes).map(([wheelEnd, size]) => ({
    wheelEnd,
    size,
    tyre: parseTyreSize(size),
  }));
  const tyreAt = new Map(read.flatMap(({ wheelEnd, tyre }) => (tyre ? [[wheelEnd, tyre] as const] : [])));
  const odd: OddTyre[] = [];
  const compared: WheelEnd[] = [];
  for (const [wheelEnd, tyre] of tyreAt) {
    const across = acrossFrom(wheelEnd);
    const other = across ? tyreAt.get(across) : undefined;
    if (!across || !other) continue;
    compared.push(wheelEnd);
    const readsPercent = readsAgainst(tyre, other);
    if (Math.abs(readsPercent) < limitPercent) continue;
    const elsewhere = [...tyreAt]
      .filter(([end]) => axleOf(end) !== axleOf(wheelEnd))
      .map(([, t]) => t.diameter);
    const misfit = (diameter: number): number =>
      elsewhere.length === 0 ? 0 : Math.min(...elsewhere.map((d) => Math.abs(d - diameter)));
    if (misfit(tyre.diameter) >= misfit(other.diameter))
      odd.push({ wheelEnd, against: across, readsPercent });
  }
  return {
    odd,
    compared,
    unread: read.filter(({ tyre }) => !tyre).map(({ wheelEnd, size }) => ({ wheelEnd, size })),
  };
};
