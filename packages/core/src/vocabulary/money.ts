/** Money in words, whole units: `moneyInWords(27.4, 'EUR')` is `\u20AC27`. Currency by its ISO 4217 letters. */
export const moneyInWords = (amount: number, currency: string): string =>
  new Intl.NumberFormat('en-GB', { style: 'currency', currency, maximumFractionDigits: 0 }).format(amount);

/** A price as written, `41.50` or `41`, in cents without passing through a fraction. Null when it is no price. */
export const centsFrom = (text: string): number | null => {
  const match = /^(\d{1,9})(?:[.,](\d{1,2}))?$/.exec(text.trim());
  return match ? Number(match[1]) * 100 + Number((match[2] ?? '').padEnd(2, '0')) : null;
};

/** Cents as written: `4150` is `41.50`. */
export const centsInWords = (cents: number): string =>
  `${Math.floor(cents / 100)}.${String(cents % 100).padStart(2, '0')}`;
