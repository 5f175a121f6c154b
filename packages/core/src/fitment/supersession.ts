import type { CataloguePart } from '../vocabulary/catalogue.ts';

/**
 * The newest part of a chain of supersessions. A chain that leads out of what is known, or round in a circle, ends at
 * the last part that can be sold.
 */
export const newestOf = (
  part: CataloguePart,
  byNumber: ReadonlyMap<string, CataloguePart>,
): CataloguePart => {
  const seen = new Set([part.number]);
  let now = part;
  while (now.supersededBy) {
    const next = byNumber.get(now.supersededBy);
    if (!next || seen.has(next.number)) return now;
    seen.add(next.number);
    now = next;
  }
  return now;
};

/** The chain from a number to the newest, numbers in order. */
export const chainOf = (part: CataloguePart, byNumber: ReadonlyMap<string, CataloguePart>): string[] => {
  const chain = [part.number];
  let now = part;
  while (now.supersededBy && !chain.includes(now.supersededBy)) {
    chain.push(now.supersededBy);
    const next = byNumber.get(now.supersededBy);
    if (!next) break;
    now = next;
  }
  return chain;
};

/** Numbers whose chain comes back to themselves. */
export const circlesIn = (parts: ReadonlyArray<Pick<CataloguePart, 'number' | 'supersededBy'>>): string[] => {
  const next = new Map(parts.map((part) => [part.number, part.supersededBy]));
  const state = new Map<string, 'open' | 'done'>();
  const circles = new Set<string>();
  for (const { number } of parts) {
    const path: string[] = [];
    let at: string | null | undefined = number;
    while (at && !state.has(at)) {
      state.set(at, 'open');
      path.push(at);
      at = next.get(at);
    }
    if (at && state.get(at) === 'open') path.slice(path.indexOf(at)).forEach((each) => circles.add(each));
    path.forEach((each) => state.set(each, 'done'));
  }
  return [...circles].sort();
};
