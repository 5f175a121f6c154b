/** Names under which reports of other programs keep the parts of a code. */
const NAMES = {
  code: ['code', 'dtc', 'faultcode', 'fault_code', 'dtccode', 'errorcode', 'error', 'number', 'id'],
  text: ['text', 'description', 'desc', 'message', 'meaning', 'title', 'fault', 'name'],
  status: ['status', 'state', 'type'],
  module: ['module', 'ecu', 'system', 'controller', 'unit', 'controlunit', 'control_unit', 'node', 'source'],
} as const;

type Entry = Readonly<Record<string, unknown>>;

const isEntry = (value: unknown): value is Entry =>
  value !== null && typeof value === 'object' && !Array.isArray(value);

const said = (entry: Entry, names: readonly string[]): string | null => {
  for (const [key, value] of Object.entries(entry))
    if (
      names.includes(key.toLowerCase().replace(/[\s-]/g, '')) &&
      (typeof value === 'string' || typeof value === 'number')
    )
      return String(value);
  return null;
};

const clean = (text: string | null): string => (text ?? '').replace(/[\t\r\n]+/g, ' ').trim();
const DEEPEST = 12;

/**
 * A report given as JSON, as lines of text: one a code with its module, description and status in columns, and plain
 * strings and numbers as `name: value`. Null when the text is no JSON report.
 */
export const linesFromJson = (text: string): string | null => {
  const trimmed = text.trimStart();
  if (!trimmed.startsWith('{') && !trimmed.startsWith('[')) return null;
  let root: unknown;
  try {
    root = JSON.parse(trimmed);
  } catch {
    return null;
  }
  const lines: string[] = [];
  const walk = (value: unknown, name: string, module: string | null, depth: number): void => {
    if (depth > DEEPEST) return;
    if (Array.isArray(value)) {
      for (const item of value) walk(item, name, module, depth + 1);
      return;
    }
    if (!isEntry(value)) {
      if (typeof value === 'string' || typeof value === 'number') {
        const listOfCodes =
          NAMES.code.some((word) => name.toLowerCase().startsWith(word)) ||
          /^(codes|dtcs|faults)$/i.test(name);
        lines.push(
          listOfCodes
            ? `${module ?? ''}\t${clean(String(value))}`
            : `${clean(name)}: ${clean(String(value))}`,
        );
      }
      return;
    }
    const code = said(value, NAMES.code);
    const own = said(value, NAMES.module);
    const looksLikeCode =
      code !== null &&
      /\d/.test(code) &&
      code.length <= 20 &&
      (said(value, NAMES.text) !== null || own !== null || /^[PCBU]|SPN/i.test(code));
    if (looksLikeCode) {
      lines.push(
        [own ?? module ?? '', code, said(value, NAMES.text), said(value, NAMES.status)]
          .map((field) => clean(field))
          .join('\t'),
      );
      return;
    }
    const heading =
      own ?? (Object.values(value).some(Array.isArray) ? said(value, NAMES.text) : null) ?? module;
    for (const [key, item] of Object.entries(value)) {
      if (NAMES.module.some((word) => word === key.toLowerCase()) && typeof item === 'string') continue;
      walk(item, key, heading ?? (Array.isArray(item) ? key : module), depth + 1);
    }
  };
  walk(root, '', null, 0);
  return lines.join('\n');
};
