/**
 * `name=value; name=value` as one cell holds it. Names and values are trimmed; an empty cell is no pair at all.
 * @returns null when a piece has no `=`.
 */
export const readPairs = (cell: string): Record<string, string> | null => {
  const pairs: Record<string, string> = {};
  for (const piece of cell.split(';')) {
    if (!piece.trim()) continue;
    const at = piece.indexOf('=');
    if (at < 1) return null;
    pairs[piece.slice(0, at).trim()] = piece.slice(at + 1).trim();
  }
  return pairs;
};

/** Pairs in the order of their names, as a cell. */
export const writePairs = (pairs: Readonly<Record<string, string | number>>): string =>
  Object.keys(pairs)
    .sort()
    .map((name) => `${name}=${pairs[name]}`)
    .join('; ');

/** Characters a spreadsheet takes for the start of a formula. */
const FORMULA = /^[=+\-@\t\r]/;

/** A cell that a spreadsheet shows and never runs: text that looks like a formula gets an apostrophe before it. */
export const safeCell = (text: string): string =>
  FORMULA.test(text) && !/^-?\d+([.,]\d+)?$/.test(text) ? `'${text}` : text;

/** A cell as it was meant: without the apostrophe `safeCell` put there. */
export const plainCell = (text: string): string => (/^'[=+\-@\t\r]/.test(text) ? text.slice(1) : text);
