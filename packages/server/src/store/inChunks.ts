/** So many rows go into one statement: SQLite takes 32,766 values at once. */
const ROWS = 500;

/** Does something to rows, some hundreds at a time, in their order. */
export const inChunks = async <T>(
  rows: readonly T[],
  act: (some: T[]) => Promise<unknown>,
): Promise<void> => {
  for (let at = 0; at < rows.length; at += ROWS) await act(rows.slice(at, at + ROWS));
};
