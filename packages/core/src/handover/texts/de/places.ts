import { axleOf, sideOf, type WheelNames } from '../../../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../../../vocabulary/wheelEnd.ts';

/** A wheel end as one says it: `hinten links`, `Achse 3 rechts`. */
export const placeOf = (wheelEnd: WheelEnd, { axles, driveline, trailer }: WheelNames): string => {
  const axle = axleOf(wheelEnd);
  const side = { left: 'links', right: 'rechts', centre: 'Mitte' }[sideOf(wheelEnd) ?? 'centre'];
  if ((axles ?? 2) === 2 && axle <= 2 && driveline !== 'trailer' && !trailer)
    return `${axle === 1 ? 'vorn' : 'hinten'} ${side}`;
  return `Achse ${axle} ${side}`;
};
