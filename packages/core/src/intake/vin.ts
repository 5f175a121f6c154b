/** A vehicle identification number as read, with what can be said of it. */
export interface ReadVin {
  readonly vin: string;
  /** What was forgiven: letters that a VIN never has. */
  readonly corrected: string | null;
  /** ISO 3779 leaves position 9 to the maker; where it is a check digit it either fits or not. */
  readonly checkDigit: 'fits' | 'does not fit';
  /** Model years that position 10 may stand for, newest first; empty where it is no year letter. */
  readonly modelYears: readonly number[];
}

const VALUES: Readonly<Record<string, number>> = {
  ...Object.fromEntries('0123456789'.split('').map((digit) => [digit, Number(digit)])),
  ...Object.fromEntries('ABCDEFGH'.split('').map((letter, i) => [letter, i + 1])),
  ...Object.fromEntries('JKLMN'.split('').map((letter, i) => [letter, i + 1])),
  P: 7,
  R: 9,
  ...Object.fromEntries('STUVWXYZ'.split('').map((letter, i) => [letter, i + 2])),
};
const WEIGHTS = [8, 7, 6, 5, 4, 3, 2, 10, 0, 9, 8, 7, 6, 5, 4, 3, 2];
/** Year letters of position 10: 1980 is A; the cycle is 30 years; I, O, Q, U, Z and 0 are not used. */
const YEARS = 'ABCDEFGHJKLMNPRSTVWXY123456789';
const FIRST_YEAR = 1980;

/** The check digit of position 9: weighted sum modulo eleven, ten written X (ISO 3779 practice, as in 49 CFR 565). */
export const checkDigitOf = (vin: string): string => {
  const sum = [...vin].reduce((total, letter, i) => total + (VALUES[letter] ?? 0) * (WEIGHTS[i] ?? 0), 0);
  return sum % 11 === 10 ? 'X' : String(sum % 11);
};

/** Why a word that looks like a VIN is not one, or null: wrong length or letters. */
export const vinProblem = (text: string): string | null => {
  const length = text.length;
  if (length !== 17) return `a VIN has 17 characters; this has ${length}`;
  const odd = [...new Set(text.toUpperCase().replace(/[A-HJ-NPR-Z0-9]/g, ''))];
  return odd.length > 0 ? `a VIN has no ${odd.join(' or ')}` : null;
};

/**
 * Reads a VIN of 17 characters. The letters I, O and Q are never used in one: they are taken for 1 and 0.
 * Null when it is not of that form.
 */
export const readVin = (text: string, today: string): ReadVin | null => {
  const upper = text.toUpperCase();
  if (!/^[A-Z0-9]{17}$/.test(upper) || (upper.match(/\d/g) ?? []).length < 4) return null;
  const vin = upper.replace(/[OQ]/g, '0').replace(/I/g, '1');
  const at = YEARS.indexOf(vin[9] ?? '');
  const newest = Number(today.slice(0, 4)) + 1;
  const modelYears =
    at < 0 ? [] : [2, 1, 0].map((cycle) => FIRST_YEAR + at + 30 * cycle).filter((year) => year <= newest);
  return {
    vin,
    corrected: vin === upper ? null : `${upper} read as ${vin}: a VIN has no I, O or Q`,
    checkDigit: vin[8] === checkDigitOf(vin) ? 'fits' : 'does not fit',
    modelYears,
  };
};
