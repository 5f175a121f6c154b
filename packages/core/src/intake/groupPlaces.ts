import type { Token } from '../text/tokens.ts';
import type { LocatedPosition } from '../positions/locatedPosition.ts';
import { takesOut } from '../positions/choices.ts';
import { BREAKS, STOPS } from './clauseEnds.ts';
import { PREDICATES, type NumberAt, type PlaceGroup, type Said } from './unit.ts';

/** Whether a predicate stands beside a span before the next mark or joining word, on one side of it. */
const predicateBeside = (
  tokens: readonly Token[],
  predicates: Uint8Array,
  from: number,
  step: 1 | -1,
): boolean => {
  for (let i = from; i >= 0 && i < tokens.length; i += step) {
    if (predicates[i]) return true;
    const word = tokens[i]?.norm ?? '';
    if (STOPS.has(word) || BREAKS.has(word) || tokens[i]?.kind === 'newline') return false;
  }
  return false;
};

/**
 * Places that stand together: `front left and right`, `rear left or rear right`. Two places joined by "and" of which the
 * first ends one predicate and the second begins another are two: `wobbles front left and the right one is solid`.
 */
export const groupPlaces = (
  positions: readonly LocatedPosition[],
  tokens: readonly Token[],
  items: readonly Said[],
  numbers: readonly NumberAt[],
): PlaceGroup[] => {
  const predicates = new Uint8Array(tokens.length);
  for (const item of items) if (PREDICATES.has(item.meaning.is)) predicates.fill(1, item.from, item.to);
  for (const number of numbers) predicates.fill(1, number.from, number.to);
  const groups: PlaceGroup[] = [];
  for (const place of positions) {
    if (place.struck || place.reference) continue;
    const last = groups.at(-1);
    const tied = place.joinedBy === 'and' || place.joinedBy === 'or' || place.joinedBy === 'so';
    const apart =
      last !== undefined &&
      place.joinedBy === 'and' &&
      predicateBeside(tokens, predicates, place.to, 1) &&
      predicateBeside(tokens, predicates, last.from - 1, -1);
    const between = last ? tokens.slice(last.to, place.from) : [];
    if (last?.places[0]?.all && !last.except && between.length < 8 && takesOut(between.map((t) => t.norm)))
      groups[groups.length - 1] = { ...last, to: place.to, except: place };
    else if (last && tied && !place.oneOf && !apart)
      groups[groups.length - 1] = {
        from: last.from,
        to: place.to,
        places: place.joinedBy === 'so' ? [place] : [...last.places, place],
        choice: last.choice || place.joinedBy === 'or',
      };
    else groups.push({ from: place.from, to: place.to, places: [place], choice: place.oneOf === true });
  }
  return groups;
};
