import type { Side } from './words.ts';
import type { WheelEnd } from './wheelEnd.ts';

/** Axle number of a wheel end, counted from 1 at the front. */
export const axleOf = (wheelEnd: WheelEnd): number => Number(wheelEnd[1]);

/** `left`, `right`, or null for a centre sender. */
export const sideOf = (wheelEnd: WheelEnd): Side | null =>
  wheelEnd[2] === 'L' ? 'left' : wheelEnd[2] === 'R' ? 'right' : null;

export const isCentre = (wheelEnd: WheelEnd): boolean => wheelEnd[2] === 'C';

/** The wheel end at `axle` on `side`. */
export const wheelEndAt = (axle: number, side: Side | 'centre'): WheelEnd =>
  `A${axle}${side === 'left' ? 'L' : side === 'right' ? 'R' : 'C'}`;

/** Every wheel of a vehicle with so many axles, front to rear, left before right. */
export const wheelsOf = (axles: number): WheelEnd[] =>
  Array.from({ length: axles }, (_, i) => [wheelEndAt(i + 1, 'left'), wheelEndAt(i + 1, 'right')]).flat();

export const oppositeSide = (side: Side): Side => (side === 'left' ? 'right' : 'left');

/** The wheel end across the axle, or null for a centre sender. */
export const acrossFrom = (wheelEnd: WheelEnd): WheelEnd | null => {
  const side = sideOf(wheelEnd);
  return side === null ? null : wheelEndAt(axleOf(wheelEnd), oppositeSide(side));
};

/** What naming a wheel end needs to know of the vehicle. */
export interface WheelNames {
  readonly axles?: number | null | undefined;
  readonly driveline?: string | null | undefined;
  readonly trailer?: boolean | undefined;
}

/**
 * The wheel end in words a customer would use: `front left` on a vehicle of two axles, `axle 2 left` on others and on
 * trailers, which have no front wheels. Example: `wheelEndInWords('A2R', { axles: 2 })` is `rear right`.
 */
export const wheelEndInWords = (
  wheelEnd: WheelEnd,
  names: WheelNames | number | null | undefined,
): string => {
  const { axles, driveline, trailer }: WheelNames =
    typeof names === 'number' ? { axles: names } : (names ?? {});
  const axle = axleOf(wheelEnd);
  const side = sideOf(wheelEnd) ?? 'centre';
  if ((axles ?? 2) === 2 && axle <= 2 && driveline !== 'trailer' && !trailer)
    return `${axle === 1 ? 'front' : 'rear'} ${side}`;
  return `axle ${axle} ${side}`;
};
