import { digitsIn, type Grammar, type ParsedCode } from './grammar.ts';

const numbered = (text: string): ParsedCode => {
  const code = text.toUpperCase();
  return { grammar: 'maker', code, corrected: null, lookUps: [code], standard: null };
};

const parse = (text: string): ParsedCode | null =>
  /^[0-9A-F]{2,5}$/i.test(text.trim()) && digitsIn(text) >= 2 ? numbered(text.trim()) : null;

/** A maker's number counts in running text when a dictionary has it and a word such as "code" or a module stands by. */
const scan: Grammar['scan'] = (line, found, known) => {
  for (const match of line.matchAll(/(?<![\p{L}\d.,/-])([0-9A-F]{2,5})(?![\p{L}\d]|[.,/-]\d)/giu)) {
    const text = match[0];
    if ((text.match(/\d/g) ?? []).length < 2) continue;
    const before = line.slice(Math.max(0, match.index - 40), match.index);
    const after = line.slice(match.index + text.length);
    const introduced =
      /(?:code|codes|dtc|fault|error|fault no\.?|fault number|code no\.?|code number)\s*[:#]?\s*$/i.test(
        before,
      );
    const described =
      /(?:number|no\.?|nr\.?)\s*$/i.test(before) &&
      /^\s+.{0,30}(?:wheel speed|speed sensor|abs sensor|wheel sensor)/i.test(after);
    if (text.length === 2 && !(introduced && /^\d\d$/.test(text))) continue;
    const leads =
      before.trim() === '' && /^\s*[-:;,\t|\u2013]|^\s+[A-Za-z]/.test(after) && after.trim().length > 3;
    if (/^(?:19|20)\d\d$/.test(text) && !introduced) continue;
    if (/^\s*(ohm|ohms|km|miles|mph|v|volts?|rpm|days?|weeks?|%)/i.test(after)) continue;
    if (
      introduced ||
      described ||
      (leads && known(text.toUpperCase())) ||
      (known(text.toUpperCase()) && /[:;|\t]/.test(line))
    )
      found(match.index, match.index + text.length, numbered(text));
  }
};

/** A maker's own number: two to five decimal or hex digits. */
export const maker: Grammar = { name: 'maker', parse, scan };
