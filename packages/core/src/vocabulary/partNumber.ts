/** A part number as it is compared: letters and digits only, capitals; `ws 30-026` and `WS30026` are one. */
export const plainNumber = (number: string): string => number.replace(/[^\p{L}\p{N}]/gu, '').toUpperCase();

/** The check digit of an EAN-13 from its first twelve digits: weights 1 and 3 by turns (GS1 General Specifications). */
export const eanCheckDigit = (twelve: string): number => {
  let sum = 0;
  for (let i = 0; i < 12; i++) sum += Number(twelve[i]) * (i % 2 === 0 ? 1 : 3);
  return (10 - (sum % 10)) % 10;
};

/** Whether a code is an EAN-13 with a right check digit. */
export const isEan13 = (code: string): boolean =>
  /^\d{13}$/.test(code) && eanCheckDigit(code.slice(0, 12)) === Number(code[12]);
