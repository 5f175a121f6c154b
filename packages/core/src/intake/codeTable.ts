import Papa from 'papaparse';

/** Which column of a table holds what; null where it has no such column. */
export interface CodeColumns {
  readonly delimiter: ',' | ';' | '\t' | '|';
  readonly code: number;
  readonly text: number | null;
  readonly status: number | null;
  readonly module: number | null;
  /** For SPN tables, the column of the failure mode. */
  readonly fmi: number | null;
}

const HEADINGS = {
  code: /^(?:fault |error |trouble )?(?:code|dtc|codes|number|spn|dtc code|code no)\.?$/i,
  text: /^(?:description|text|meaning|fault|message|fault text|code text|designation|details?)$/i,
  status: /^(?:status|state|type|fault status|presence)$/i,
  fmi: /^fmi$/i,
  module: /^(?:module|ecu|system|controller|control unit|unit|control module|node|source)$/i,
} as const;

const DELIMITERS = ['\t', ';', '|', ','] as const;

/** Fields of one line of a table, quotes respected. */
export const fieldsOf = (line: string, delimiter: CodeColumns['delimiter']): string[] =>
  (Papa.parse<string[]>(line, { delimiter }).data[0] ?? []).map((field) => field.trim());

/** The columns a heading line names, or null when the line is no heading of a code table. */
export const columnsFrom = (line: string): CodeColumns | null => {
  if (line.length > 400 || !/code|dtc|number|spn/i.test(line)) return null;
  for (const delimiter of DELIMITERS) {
    if (!line.includes(delimiter)) continue;
    const fields = fieldsOf(line, delimiter);
    const at = (heading: RegExp): number | null => {
      const i = fields.findIndex((field) => heading.test(field));
      return i < 0 ? null : i;
    };
    const code = at(HEADINGS.code);
    const others = {
      text: at(HEADINGS.text),
      status: at(HEADINGS.status),
      module: at(HEADINGS.module),
      fmi: at(HEADINGS.fmi),
    };
    if (code !== null && Object.values(others).some((i) => i !== null && i !== code))
      return { delimiter, code, ...others };
  }
  return null;
};
