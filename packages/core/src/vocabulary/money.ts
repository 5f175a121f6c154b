import { add, dinero, halfUp, multiply, toSnapshot, transformScale } from 'dinero.js';

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

/** Hundredths: what prices are kept in, whatever the shop's currency is called. */
const HUNDREDTHS = { code: 'XXX', base: 10, exponent: 2 } as const;
const inCents = (cents: number) => dinero({ amount: cents, currency: HUNDREDTHS });

/** A share of a price in percent, to two decimals of a percent, rounded half up to the cent: 15 % of 4010 is 602. */
export const shareOfCents = (cents: number, percent: number): number =>
  toSnapshot(
    transformScale(multiply(inCents(cents), { amount: Math.round(percent * 100), scale: 4 }), 2, halfUp),
  ).amount;

/** Price times pieces, summed, in cents. */
export const totalCents = (lines: ReadonlyArray<{ cents: number; quantity: number }>): number =>
  toSnapshot(
    lines.reduce((sum, { cents, quantity }) => add(sum, multiply(inCents(cents), quantity)), inCents(0)),
  ).amount;

/** A price in the units people say, as cents: 41.5 is 4150. */
export const toCents = (amount: number): number => Math.round(amount * 100);
