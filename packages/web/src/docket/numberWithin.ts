/** A number as typed at the counter, within a range: its value, or one sentence on what is wrong and how to mend it. */
export const numberWithin = (
  text: string,
  unit: string,
  least: number,
  most: number,
): { value: number } | { problem: string } => {
  const plain = text
    .trim()
    .replace(new RegExp(`\\s*${unit}$`, 'i'), '')
    // A point or comma before three figures stands between thousands where whole numbers that large are meant.
    .replace(most >= 10000 ? /[ .,'](?=\d{3}(?:\D|$))/g : / /g, '')
    .replace(',', '.');
  const value = Number(plain);
  if (plain === '' || !Number.isFinite(value))
    return { problem: `"${text.trim()}" is not a number; give ${unit}, such as ${Math.round(most / 50)}` };
  if (value < least || value > most)
    return { problem: `from ${least.toLocaleString('en-GB')} to ${most.toLocaleString('en-GB')} ${unit}` };
  return { value };
};
