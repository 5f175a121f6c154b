import type { Assumptions } from '../assumptions/assumptions.ts';
import { CHECK_LIKELIHOODS } from '../assumptions/checkLikelihoods.ts';
import type { Cause } from '../vocabulary/words.ts';

/** Results a check's table knows, by table name; read off the assumptions so that there is one source. */
const RESULTS: ReadonlyMap<string, readonly string[]> = (() => {
  const results = new Map<string, string[]>();
  for (const key of Object.keys(CHECK_LIKELIHOODS)) {
    const match = /^check\.(.+)\.nothing\.([^.]+)$/.exec(key);
    if (match?.[1] && match[2]) results.set(match[1], [...(results.get(match[1]) ?? []), match[2]]);
  }
  return results;
})();

/** The results a check can have. Empty for a table that does not exist. */
export const resultsOf = (table: string): readonly string[] => RESULTS.get(table) ?? [];

const cache = new WeakMap<Assumptions, Map<string, number>>();

/** Chance of `result` under `cause` (null: nothing wrong), rows brought to a sum of one. */
export const checkChance = (table: string, result: string, cause: Cause | null, a: Assumptions): number => {
  let known = cache.get(a);
  if (!known) cache.set(a, (known = new Map<string, number>()));
  const key = `${table}|${cause ?? ''}|${result}`;
  const hit = known.get(key);
  if (hit !== undefined) return hit;
  const prefix = (name: string) => `check.${table}.${name}`;
  const own =
    cause !== null && a.find(`${prefix(cause)}.${result}`, -1) >= 0 ? prefix(cause) : prefix('nothing');
  const total = resultsOf(table).reduce((sum, r) => sum + a.find(`${own}.${r}`, 0), 0);
  const value = total > 0 ? a.find(`${own}.${result}`, 0) / total : 0;
  known.set(key, value);
  return value;
};
