import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import type { LocatedPosition } from './locatedPosition.ts';
import type { PositionContext } from './placePhrase.ts';
import { relatedWheel, type RelatedPlace } from './relations.ts';
import type { Role, Span } from './roles.ts';

/** Adds the places that were told by another place, each where it stands. */
export const withRelated = (
  located: readonly LocatedPosition[],
  related: readonly RelatedPlace[],
  context: PositionContext,
  locate: (span: Span) => Pick<LocatedPosition, 'text' | 'start' | 'end' | 'from' | 'to'>,
  sentenceOf: (token: number) => number,
  roleAt: (span: Span) => Role,
): LocatedPosition[] => {
  const all = [...located] as LocatedPosition[];
  const out: Array<LocatedPosition | null> = [];
  let next = 0;
  let last: WheelEnd | null = null;
  const follow = (position: LocatedPosition) => {
    if (position.wheelEnds.length === 1) last = position.wheelEnds[0] ?? null;
    else if (position.wheelEnds.length > 1) last = null;
    out.push(position);
  };
  for (const place of related) {
    while (next < all.length && (all[next]?.from ?? 0) < place.from) follow(all[next++] as LocatedPosition);
    const leans = place.reference === null ? null : all[place.reference];
    const ahead = last === null ? all[next] : undefined;
    const near =
      ahead && sentenceOf(ahead.from) === sentenceOf(place.from) && ahead.wheelEnds.length === 1
        ? (ahead.wheelEnds[0] ?? null)
        : null;
    const from = leans
      ? leans.wheelEnds.length === 1
        ? (leans.wheelEnds[0] ?? null)
        : null
      : (last ?? near);
    const end = from === null ? null : relatedWheel(place.relation, from, context.axles);
    if (leans) {
      all[place.reference as number] = { ...leans, role: 'denied', reference: true };
      while (next < all.length && (all[next]?.from ?? 0) < place.to) follow(all[next++] as LocatedPosition);
    }
    const role = roleAt(place);
    follow({
      ...locate(place),
      wheelEnds: end ? [end] : [],
      needs: end ? null : 'side',
      ...(role === 'corner' ? {} : { role }),
    });
  }
  while (next < all.length) follow(all[next++] as LocatedPosition);
  return out.filter((position): position is LocatedPosition => position !== null);
};
