/* Trouble codes as three bytes: two of the code by SAE J2012, one of what failed (SAE J2012-DA). */

const SYSTEMS = 'PCBU';

/** `C0031-13` as three bytes. @throws TypeError for what is no such code */
export const codeBytes = (code: string): [number, number, number] => {
  const found = /^([PCBU])([0-3])([0-9A-F]{3})(?:-([0-9A-F]{2}))?$/.exec(code);
  if (!found) throw new TypeError(`"${code}" is no code of SAE J2012`);
  const [, system = '', first = '', rest = '', failure = '00'] = found;
  const number = (SYSTEMS.indexOf(system) << 14) | (Number(first) << 12) | parseInt(rest, 16);
  return [number >> 8, number & 0xff, parseInt(failure, 16)];
};

/** Three bytes as a code; without what failed where that byte is nought. */
export const codeText = (high: number, low: number, failure: number): string => {
  const number = (high << 8) | low;
  const text = `${SYSTEMS[number >> 14] ?? ''}${(number >> 12) & 3}${(number & 0xfff).toString(16).toUpperCase().padStart(3, '0')}`;
  return failure === 0 ? text : `${text}-${failure.toString(16).toUpperCase().padStart(2, '0')}`;
};
