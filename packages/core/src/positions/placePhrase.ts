import { oppositeSide, wheelEndAt, wheelsOf } from '../vocabulary/wheelEndWords.ts';
import type { PositionNeed, Side } from '../vocabulary/words.ts';
import type { Phrase } from './phrase.ts';

/** What is known of the vehicle that turns words into wheel ends. Null: not known. */
export interface PositionContext {
  readonly steeringSide: Side | null;
  readonly trafficSide: Side | null;
  readonly axles: number | null;
  readonly trailer: boolean;
}

/** Places a phrase on the vehicle, or says the one thing that is missing. `mirrored`: seen from the front. */
export const placePhrase = (
  p: Phrase,
  mirrored: boolean,
  context: PositionContext,
): { wheelEnds: string[]; needs: PositionNeed | null } => {
  const missing = (needs: PositionNeed) => ({ wheelEnds: [], needs });
  if (p.direct) return { wheelEnds: [p.direct], needs: null };
  const axles = context.axles ?? (context.trailer ? null : 2);
  const sides = ['left', 'right'] as const;
  if (p.all) {
    if (axles === null) return missing('axle');
    return {
      wheelEnds: wheelsOf(axles),
      needs: null,
    };
  }
  let side: Side | 'both' | null = null;
  switch (p.side) {
    case 'left':
    case 'right':
      side = mirrored ? oppositeSide(p.side) : p.side;
      break;
    case 'driver':
    case 'passenger':
      if (!context.steeringSide) return missing('steeringSide');
      side = p.side === 'driver' ? context.steeringSide : oppositeSide(context.steeringSide);
      break;
    case 'near':
    case 'off':
      if (!context.trafficSide) return missing('trafficSide');
      side = p.side === 'near' ? context.trafficSide : oppositeSide(context.trafficSide);
      break;
    case 'same':
      return missing('side');
    case 'both':
      side = 'both';
      break;
    case null:
      side = p.axle !== null && (p.both || p.plural) ? 'both' : null;
  }
  let axle: number | null = null;
  if (p.axle === 'front') axle = 1;
  else if (p.axle === 'rear' || (p.axle === null && p.centre)) axle = axles;
  else if (p.axle === 'middle') axle = axles === null || context.axles === null || axles === 3 ? 2 : null;
  else if (typeof p.axle === 'number')
    axle = context.axles === null || p.axle <= context.axles ? p.axle : null;
  if (p.centre)
    return axle === null ? missing('axle') : { wheelEnds: [wheelEndAt(axle, 'centre')], needs: null };
  if (axle === null) {
    if (p.axle === null && p.both && side !== null && side !== 'both' && axles === 2)
      return { wheelEnds: [wheelEndAt(1, side), wheelEndAt(2, side)], needs: null };
    return missing('axle');
  }
  if (side === null) return missing('side');
  return {
    wheelEnds: side === 'both' ? sides.map((s) => wheelEndAt(axle, s)) : [wheelEndAt(axle, side)],
    needs: null,
  };
};
