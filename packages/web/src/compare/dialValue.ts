import { money } from '../format.ts';

/** Where a dial stands, with its unit. */
export const dialValue = (value: number, unit: string, currency: string): string => {
  if (unit === 'probability') return `${Math.round(value * 100)} in 100`;
  if (unit === 'years') return `${Math.round(value * 10) / 10} ${value === 1 ? 'year' : 'years'}`;
  return `${money(value, currency)}${unit === 'money/h' ? '/h' : unit === 'money/day' ? '/day' : ''}`;
};
