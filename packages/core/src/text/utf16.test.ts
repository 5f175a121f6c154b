import { expect, test } from '@jest/globals';
import { decodeText } from './decodeText.ts';
import { utf16Of } from './utf16.ts';

const wide = (text: string): Uint8Array => Uint8Array.from(Buffer.from(text, 'utf16le'));
const turned = (bytes: Uint8Array): Uint8Array =>
  bytes.map((_, i) => bytes[i % 2 === 0 ? i + 1 : i - 1] ?? 0);

test('UTF-16 is told by its mark, or by the zeros of Latin letters, in either order', () => {
  const plain = wide('module,code,text');
  expect(utf16Of(plain)).toBe('utf-16le');
  expect(utf16Of(turned(plain))).toBe('utf-16be');
  expect(utf16Of(Uint8Array.of(0xff, 0xfe, 65, 0))).toBe('utf-16le');
  expect(utf16Of(Uint8Array.of(0xfe, 0xff, 0, 65))).toBe('utf-16be');
});

test('other text is not taken for it, however short', () => {
  for (const text of ['', 'a', 'C0031', 'module,code', 's\u00e9nsor arri\u00e8re gauche'])
    for (const encoding of ['utf8', 'latin1'] as const)
      expect(utf16Of(Uint8Array.from(Buffer.from(text, encoding)))).toBeNull();
});

test('the same text comes out of every encoding', () => {
  const text = 'C0031-13 s\u00e9nsor, 12 \u00b5s';
  const plain = Buffer.from(text, 'utf8');
  for (const bytes of [
    plain,
    Buffer.from(text, 'latin1'),
    Buffer.concat([Buffer.from([0xef, 0xbb, 0xbf]), plain]),
    wide(text),
    wide(`\uFEFF${text}`),
    turned(wide(`\uFEFF${text}`)),
  ])
    expect(decodeText(Uint8Array.from(bytes))).toBe(text);
});
