import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { allot, outstanding, receivePart, settlePart, type Asked, type PartShelf } from './partShelf.ts';

const TODAY = '2026-11-26';
const asked = (docket: string, more: Partial<Asked> = {}): Asked => ({
  docket,
  wanted: 0,
  handed: 0,
  returned: 0,
  opened: 0,
  until: null,
  ...more,
});
const settle = (shelf: PartShelf, docket: string, more: Partial<Asked>): PartShelf => {
  const settled = settlePart(shelf, asked(docket, more), TODAY);
  if ('short' in settled) throw new Error(`short ${settled.short}`);
  return settled.shelf;
};
const aside = (shelf: PartShelf) =>
  Object.fromEntries(shelf.claims.map(({ docket, reserved }) => [docket, reserved]));
const empty = (onHand: number): PartShelf => ({ onHand, claims: [] });

describe('one part on the shelf', () => {
  test('two desks want the last one: the first has it put aside, the other waits', () => {
    const both = settle(settle(empty(1), 'a', { wanted: 1 }), 'b', { wanted: 1 });
    expect(aside(both)).toEqual({ a: 1, b: 0 });
    expect(settlePart(both, asked('b', { wanted: 1, handed: 1 }), TODAY)).toEqual({ short: 1 });
  });

  test('put back, it goes to the one who waits', () => {
    const both = settle(settle(empty(1), 'a', { wanted: 1 }), 'b', { wanted: 1 });
    expect(aside(settle(both, 'a', {}))).toEqual({ b: 1 });
  });

  test('a quote that has run out keeps nothing aside', () => {
    const quoted = settle(empty(1), 'a', { wanted: 1, until: '2026-11-26' });
    expect(aside(quoted)).toEqual({ a: 1 });
    expect(aside(allot(quoted, '2026-11-27'))).toEqual({ a: 0 });
  });

  test('taken and handed over in one go, and all of it undone', () => {
    const sold = settle(empty(2), 'a', { wanted: 1, handed: 1 });
    expect(sold.onHand).toBe(1);
    expect(settle(sold, 'a', { wanted: 1 }).onHand).toBe(2);
    expect(settle(sold, 'a', {})).toEqual(empty(2));
  });

  test('brought back as it left it is on the shelf again; opened it is not', () => {
    const sold = settle(empty(1), 'a', { wanted: 1, handed: 1 });
    expect(settle(sold, 'a', { wanted: 1, handed: 1, returned: 1 }).onHand).toBe(1);
    expect(settle(sold, 'a', { wanted: 1, handed: 1, opened: 1 }).onHand).toBe(0);
  });

  test('what comes in goes first to whom it was ordered for', () => {
    const waiting = settle(settle(empty(0), 'a', { wanted: 1 }), 'b', { wanted: 1 });
    expect(aside(receivePart(waiting, 1, ['b'], TODAY).shelf)).toEqual({ a: 0, b: 1 });
    expect(aside(receivePart(waiting, 3, ['b'], TODAY).shelf)).toEqual({ a: 1, b: 1 });
  });

  test('a count that found less takes from who came last', () => {
    const both = settle(settle(empty(2), 'a', { wanted: 1 }), 'b', { wanted: 1 });
    expect(aside(allot({ ...both, onHand: 1 }, TODAY))).toEqual({ a: 1, b: 0 });
  });
});

/** What desks do with one part, in any order. */
const deed = fc.oneof(
  fc.record({
    do: fc.constant('say' as const),
    docket: fc.constantFrom('a', 'b', 'c'),
    wanted: fc.integer({ min: 0, max: 4 }),
    handed: fc.integer({ min: 0, max: 4 }),
    returned: fc.integer({ min: 0, max: 2 }),
    opened: fc.integer({ min: 0, max: 2 }),
    until: fc.constantFrom(null, '2026-11-25', '2026-11-26', '2026-12-24'),
  }),
  fc.record({
    do: fc.constant('receive' as const),
    quantity: fc.integer({ min: 1, max: 4 }),
    ordered: fc.uniqueArray(fc.constantFrom('a', 'b', 'c')),
  }),
);

test('whatever desks take, put back, order, receive, sell and return, in any order: every piece is accounted for', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 5 }), fc.array(deed, { maxLength: 40 }), (begin, deeds) => {
      let shelf = empty(begin);
      let moved = 0;
      for (const each of deeds) {
        const settled =
          each.do === 'receive'
            ? receivePart(shelf, each.quantity, each.ordered, TODAY)
            : settlePart(
                shelf,
                asked(each.docket, {
                  ...each,
                  // Nothing comes back that did not leave.
                  returned: Math.min(each.returned, each.handed),
                  opened: Math.min(each.opened, Math.max(0, each.handed - each.returned)),
                }),
                TODAY,
              );
        if ('short' in settled) {
          expect(settled.short).toBeGreaterThan(0);
          continue;
        }
        shelf = settled.shelf;
        moved += settled.moves.reduce((sum, { change }) => sum + change, 0);
        const put = shelf.claims.reduce((sum, { reserved }) => sum + reserved, 0);
        const out = shelf.claims.reduce((sum, { handed, returned }) => sum + handed - returned, 0);
        expect(shelf.onHand).toBeGreaterThanOrEqual(0);
        expect(put).toBeLessThanOrEqual(shelf.onHand);
        expect(shelf.onHand).toBe(begin + moved);
        expect(out).toBeGreaterThanOrEqual(0);
        const free = shelf.onHand - put;
        for (const claim of shelf.claims) {
          expect(claim.reserved).toBeGreaterThanOrEqual(0);
          expect(claim.reserved).toBeLessThanOrEqual(outstanding(claim, TODAY));
          // Nobody waits while a free one lies there.
          if (free > 0) expect(claim.reserved).toBe(outstanding(claim, TODAY));
        }
      }
    }),
    { numRuns: 400 },
  );
});

test('saying the same twice changes nothing', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 3 }), fc.integer({ min: 0, max: 3 }), (onHand, wanted) => {
      const once = settle(empty(onHand), 'a', { wanted });
      const twice = settlePart(once, asked('a', { wanted }), TODAY);
      expect(twice).toEqual({ shelf: once, moves: [] });
    }),
  );
});
