/** What the bars on a sheet say: a docket, for a scanner at the counter. */
export const docketCode = (number: number): string => `HSD${number}`;

/** The docket that a scanned code or `docket 1010` names; null for any other text. */
export const docketOfCode = (text: string): number | null => {
  const match = /^\s*(?:HSD|docket\s+)(\d{1,9})\s*$/i.exec(text);
  return match ? Number(match[1]) : null;
};
