/* Services of ISO 14229-1 that are used here. */

export const SERVICE = {
  session: 0x10,
  clear: 0x14,
  readCodes: 0x19,
  readData: 0x22,
  stillHere: 0x3e,
  refused: 0x7f,
} as const;
/** A positive answer is the service and this. */
export const ANSWERS = 0x40;
/** Extended diagnostic session. */
export const EXTENDED = 0x03;
/** Codes by status mask. */
export const BY_STATUS = 0x02;
/** All groups of codes. */
export const ALL_GROUPS = [0xff, 0xff, 0xff] as const;
/** Bits of a code's status: the test fails now; it is confirmed. */
export const FAILS_NOW = 0x01;
export const CONFIRMED = 0x08;
/** Refusals, by the byte that says why. */
export const REFUSAL = {
  notSupported: 0x11,
  conditions: 0x22,
  outOfRange: 0x31,
  pending: 0x78,
} as const;

const WORDS: Readonly<Record<number, string>> = {
  0x10: 'it refuses',
  0x11: 'it does not know this request',
  0x12: 'it does not know this form of the request',
  0x13: 'it was asked with a wrong length',
  0x21: 'it is busy; ask again',
  0x22: 'conditions are not right: ignition on, engine off, standing still',
  0x31: 'it does not know what was asked for',
  0x33: 'it is locked',
  0x7e: 'not in this session',
  0x7f: 'not in this session',
};
/** A refusal as one would say it. */
export const refusalInWords = (why: number): string =>
  WORDS[why] ?? `it refuses (reason ${why.toString(16).padStart(2, '0')})`;

/** Data identifiers of the bench vehicle: one for each wheel speed in order of wheel ends, and the supply. */
export const DATA = { wheelSpeeds: 0xf450, supply: 0xf451 } as const;
/** A wheel's speed is sent in so many parts of a km/h, the supply in so many of a volt. */
export const PER_KMH = 100;
export const PER_VOLT = 1000;
