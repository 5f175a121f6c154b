import { BadInput } from '../vocabulary/badInput.ts';
import { utf16Of } from './utf16.ts';

/** The platform's decoder; the same in Node and in browsers, but in neither's ECMAScript library. */
declare const TextDecoder: new (
  label: string,
  options?: { fatal?: boolean },
) => { decode(bytes: Uint8Array): string };

/** How many unprintable characters in a hundred still pass for text. */
const MOST_CONTROLS = 2;

/**
 * Text from the bytes of a file: UTF-8, UTF-16 with or without a byte order mark, else Latin-1 (Windows-1252).
 * @throws BadInput when the bytes are no text.
 */
export const decodeText = (bytes: Uint8Array, name = ''): string => {
  const decode = (label: string, fatal = false) => new TextDecoder(label, { fatal }).decode(bytes);
  const wide = utf16Of(bytes);
  let text: string;
  if (wide) text = decode(wide);
  else {
    try {
      text = decode('utf-8', true);
    } catch {
      text = decode('windows-1252');
    }
  }
  const sample = text.slice(0, 20000);
  const controls = (sample.match(/[\u0000-\u0008\u000E-\u001F\uFFFD]/g) ?? []).length;
  if (controls * 100 > Math.max(1, sample.length) * MOST_CONTROLS)
    throw new BadInput(name, 'is not text; give phone notes or a scan report as text, CSV or JSON');
  return text.replace(/^\uFEFF/, '');
};
