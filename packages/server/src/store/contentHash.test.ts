import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { contentHash, differenceOf } from './contentHash.ts';

describe('what was sent under a name', () => {
  test('alike content has one hash, whatever the order of its keys', () => {
    expect(contentHash({ a: 1, b: [{ c: 2, d: 3 }] })).toBe(contentHash({ b: [{ d: 3, c: 2 }], a: 1 }));
    expect(contentHash({ a: 1 })).not.toBe(contentHash({ a: 2 }));
    expect(contentHash([1, 2])).not.toBe(contentHash([2, 1]));
    expect(contentHash(undefined)).toBe(contentHash(null));
  });

  test('a change laid on another version is the same change', () => {
    const mine = differenceOf(
      { codes: ['A'], vehicle: { year: 1 } },
      { codes: ['A', 'X'], vehicle: { year: 2 } },
    );
    const rebased = differenceOf(
      { codes: ['B', 'A'], vehicle: { year: 1, plate: 'p' }, wants: ['w'] },
      { codes: ['X', 'B', 'A'], vehicle: { year: 2, plate: 'p' }, wants: ['w'] },
    );
    expect(rebased).toEqual(mine);
    expect(differenceOf({ codes: ['A'] }, { codes: ['A', 'Y'] })).not.toEqual(mine);
  });

  test('only what is the same has no difference', () => {
    fc.assert(
      fc.property(fc.jsonValue(), fc.jsonValue(), (a, b) => {
        expect(differenceOf(a, structuredClone(a))).toBeUndefined();
        // Lists are compared as bags: order is no change of a docket.
        const alike = (x: unknown): unknown =>
          Array.isArray(x)
            ? x.map((each) => contentHash(each)).sort()
            : typeof x === 'object' && x !== null
              ? Object.fromEntries(
                  Object.entries(x)
                    .sort()
                    .map(([key, value]) => [key, alike(value)]),
                )
              : x;
        if (differenceOf(a, b) === undefined) expect(contentHash(alike(a))).toBe(contentHash(alike(b)));
      }),
    );
  });
});
