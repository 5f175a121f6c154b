const startsWith = (bytes: Uint8Array, ...mark: number[]): boolean =>
  mark.every((byte, i) => bytes[i] === byte);

const SAMPLE = 400;
const LEAST_BYTES = 8;
/** From this share of zero bytes in every other place on, it is text in two bytes a letter. */
const ZEROS = 0.4;

/** Every other byte is zero: Latin letters in two bytes each. */
const halfZero = (bytes: Uint8Array, odd: 0 | 1): boolean => {
  const sample = bytes.subarray(0, SAMPLE);
  if (sample.length < LEAST_BYTES) return false;
  let zeros = 0;
  for (let i = odd; i < sample.length; i += 2) if (sample[i] === 0) zeros++;
  return zeros > sample.length * ZEROS;
};

/** Whether a file begins as UTF-16 does, with a byte order mark or without, and which. */
export const utf16Of = (head: Uint8Array): 'utf-16le' | 'utf-16be' | null => {
  if (startsWith(head, 0xff, 0xfe) || halfZero(head, 1)) return 'utf-16le';
  if (startsWith(head, 0xfe, 0xff) || halfZero(head, 0)) return 'utf-16be';
  return null;
};
