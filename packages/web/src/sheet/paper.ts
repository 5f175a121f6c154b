/** A page about one part, as it is told. */
export interface Paper {
  readonly title: string;
  readonly fitted: boolean;
  readonly rows: ReadonlyArray<readonly [string, string]>;
  readonly foot: string;
  /** What the open file holds beside the docket. */
  readonly file: object;
}

/** Rows that have something to say. */
export const told = (
  rows: ReadonlyArray<readonly [name: string, value: string | null | undefined]>,
): Paper['rows'] => rows.filter((row): row is readonly [string, string] => Boolean(row[1]));
