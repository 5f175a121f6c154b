import { createHash } from 'node:crypto';

type Fields = Readonly<Record<string, unknown>>;
const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** JSON with sorted keys: alike values are written alike. */
const canonical = (value: unknown): string =>
  JSON.stringify(value, (_key, each: unknown) =>
    isFields(each) ? Object.fromEntries(Object.entries(each).sort(([a], [b]) => (a < b ? -1 : 1))) : each,
  ) ?? 'null';

/** The hash of what was sent under a name, in hexadecimal. */
export const contentHash = (content: unknown): string =>
  createHash('sha256').update(canonical(content)).digest('hex');

/**
 * What a change does to a document, whatever version it is laid on: fields with their new values, and what was added to
 * and removed from lists. Two changes that do the same have the same difference.
 */
export const differenceOf = (before: unknown, after: unknown): unknown => {
  if (isFields(before) && isFields(after)) {
    const keys = [...new Set([...Object.keys(before), ...Object.keys(after)])];
    const entries = keys
      .map((key) => [key, differenceOf(before[key], after[key])] as const)
      .filter(([, difference]) => difference !== undefined);
    return entries.length > 0 ? Object.fromEntries(entries) : undefined;
  }
  if (Array.isArray(before) && Array.isArray(after)) {
    const left = before.map(canonical);
    const added: string[] = [];
    for (const each of after.map(canonical)) {
      const at = left.indexOf(each);
      if (at < 0) added.push(each);
      else left.splice(at, 1);
    }
    return added.length > 0 || left.length > 0 ? { added: added.sort(), removed: left.sort() } : undefined;
  }
  return canonical(before) === canonical(after) ? undefined : { is: canonical(after) };
};
