import { FAILURE_MODES } from '../codeMeaning.ts';
import type { Grammar, ParsedCode } from './grammar.ts';

/** SAE J1939-71: controller #1 and #2, which report on themselves. */
const CONTROLLERS = new Set([629, 630]);

/** SAE J1939: SPN 789-794 are the wheel speed sensors of axles 1 to 3, left before right. */
export const spnCorner = (spn: number): string | null =>
  spn >= 789 && spn <= 794 ? `A${Math.floor((spn - 789) / 2) + 1}${(spn - 789) % 2 ? 'R' : 'L'}` : null;

/** SAE J1939: `SPN 789 FMI 5`, `789/5`, `s789 f5`, `SPN:789 FMI:5`, `SPN 789`. */
const parse = (text: string): ParsedCode | null => {
  const match =
    /^SPN[\s:#.=-]*(\d{1,6})(?:[\s,;/.-]*FMI[\s:#.=-]*(\d{1,2}))?$/i.exec(text.trim()) ??
    /^s\s?(\d{1,6})[\s,;/-]*f\s?(\d{1,2})$/i.exec(text.trim()) ??
    /^(\d{2,6})\s?\/\s?(\d{1,2})$/.exec(text.trim());
  if (!match) return null;
  const spn = Number(match[1]);
  const fmi = match[2] === undefined ? null : Number(match[2]);
  if (fmi !== null && fmi > 31) return null;
  const code = fmi === null ? `SPN ${spn}` : `SPN ${spn} FMI ${fmi}`;
  const corner = spnCorner(spn);
  return {
    grammar: 'spn',
    code,
    corrected: null,
    lookUps: [code],
    standard: 'SAE J1939',
    failure: fmi === null ? null : (FAILURE_MODES[fmi] ?? null),
    reserved: corner ? { wheelEnd: corner, firm: true } : null,
    says: CONTROLLERS.has(spn) ? 'self-of-brakes' : null,
  };
};

const scan: Grammar['scan'] = (line, found) => {
  for (const match of line.matchAll(
    /(?<![\p{L}\d])SPN[\s:#.=-]*\d{1,6}(?:[\s,;/.-]*FMI[\s:#.=-]*\d{1,2})?(?![\p{L}\d])/giu,
  ))
    found(match.index, match.index + match[0].length, parse(match[0]));
  for (const match of line.matchAll(/(?<![\p{L}\d])s\s?\d{3,6}[\s,;/-]*f\s?\d{1,2}(?![\p{L}\d])/giu))
    found(match.index, match.index + match[0].length, parse(match[0]));
  for (const match of line.matchAll(/(?<![\p{L}\d/.,-])(\d{3})\s?\/\s?(\d{1,2})(?![\p{L}\d/])/gu)) {
    const wheel = Number(match[1]) >= 789 && Number(match[1]) <= 797;
    if (wheel && Number(match[2]) in FAILURE_MODES)
      found(match.index, match.index + match[0].length, parse(match[0]));
  }
};

/** SAE J1939. */
export const spn: Grammar = { name: 'spn', parse, scan };
