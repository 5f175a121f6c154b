import { format } from 'date-fns/format';
import { formatDistanceToNowStrict } from 'date-fns/formatDistanceToNowStrict';

/** Money to the whole unit: what people compare by. */
export const money = (amount: number, currency: string): string =>
  new Intl.NumberFormat('en-GB', { style: 'currency', currency, maximumFractionDigits: 0 }).format(amount);

/** Money to the cent: what people pay. */
export const price = (amount: number, currency: string): string =>
  new Intl.NumberFormat('en-GB', { style: 'currency', currency }).format(amount);

/** How long ago, short: `3 hours`. */
export const age = (iso: string): string => formatDistanceToNowStrict(new Date(iso));

/** A chance as a count of a hundred. */
export const inHundred = (p: number): string => `${Math.round(p * 100)} in 100`;

/** Hours of work: `1.9 h`. */
export const hours = (h: number): string => `${h.toFixed(1)} h`;

/** A time of day with seconds: `14:05:09`. */
export const clock = (iso: string): string => format(new Date(iso), 'HH:mm:ss');
