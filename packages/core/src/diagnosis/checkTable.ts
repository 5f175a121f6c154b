import type { Assumptions } from '../assumptions/assumptions.ts';
import { CHECK_TABLES } from '../checkKinds/checkData.ts';
import type { Fault } from '../faultKinds/faultData.ts';

/** The results a check can have. Empty for a table that does not exist. */
export const resultsOf = (table: string): readonly string[] =>
  Object.keys(CHECK_TABLES[table]?.nothing ?? {});

const cache = new WeakMap<Assumptions, Map<string, number>>();

/** Chance of `result` under `fault` (null: nothing wrong), rows brought to a sum of one. */
export const checkChance = (table: string, result: string, fault: Fault | null, a: Assumptions): number =>
  rowChance(table, result, fault !== null && CHECK_TABLES[table]?.rows[fault] ? fault : 'nothing', a);

/** Chance of `result` under two faults that bring it about together; null where they are two stories. */
export const jointChance = (
  table: string,
  result: string,
  faults: readonly Fault[],
  a: Assumptions,
): number | null => {
  const together = CHECK_TABLES[table]?.together;
  if (!together || faults.length !== 2) return null;
  const key = [...faults].sort().join('+');
  return together[key] ? rowChance(table, result, key, a) : null;
};

const rowChance = (table: string, result: string, own: string, a: Assumptions): number => {
  let known = cache.get(a);
  if (!known) cache.set(a, (known = new Map<string, number>()));
  const key = `${table}|${own}|${result}`;
  const hit = known.get(key);
  if (hit !== undefined) return hit;
  const total = resultsOf(table).reduce((sum, r) => sum + a.find(`check.${table}.${own}.${r}`, 0), 0);
  const value = total > 0 ? a.find(`check.${table}.${own}.${result}`, 0) / total : 0;
  known.set(key, value);
  return value;
};
