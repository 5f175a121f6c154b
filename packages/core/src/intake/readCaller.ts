/** The caller as far as the words name them. */
export interface Caller {
  readonly name: string | null;
  readonly phone: string | null;
}

const PHONE =
  /(?<![\p{L}\d])(?:phone|tel|telephone|mobile|mob|call|call me on|ring|ring me on|number is|on)\s*(?:no\.?|number|is|me|him|her|back|on|:)*\s*(?<digits>\+?\d[\d ()/-]{5,18}\d)(?![\p{L}\d])/iu;
const NAME =
  /(?:[Mm]y name is|[Nn]ame is|[Nn]ame:|[Cc]aller is|[Cc]ustomer is|[Tt]his is|[Cc]ustomer:|[Cc]aller:)\s+(?<name>\p{Lu}\p{Ll}+(?:\s+\p{Lu}\p{Ll}+)?)/u;

/** Reads a name and a telephone number that are said to be ones. Numbers that nobody called so are left alone. */
export const readCaller = (
  text: string,
): { caller: Caller; spans: Array<{ start: number; end: number }> } => {
  const spans: Array<{ start: number; end: number }> = [];
  const phone = PHONE.exec(text);
  if (phone) spans.push({ start: phone.index, end: phone.index + phone[0].length });
  const name = NAME.exec(text);
  if (name) spans.push({ start: name.index, end: name.index + name[0].length });
  return {
    caller: { name: name?.groups?.name ?? null, phone: phone?.groups?.digits?.trim() ?? null },
    spans,
  };
};
