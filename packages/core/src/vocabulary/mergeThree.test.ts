import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { isSame, mergeThree, settleClashes } from './mergeThree.ts';

const check = (wheelEnd: string, result: string) => ({ check: 'bearing.play', wheelEnd, result });

describe('two people on one document', () => {
  test('fields that only one of them changed are as that one left them', () => {
    const before = { vehicle: { plate: 'A' }, wants: ['today'] };
    const { merged, clashes } = mergeThree<object>(
      before,
      { vehicle: { plate: 'A', saltExposure: 'high' }, wants: ['today'] },
      { vehicle: { plate: 'B' }, wants: ['today'], customer: { name: 'Other desk' } },
    );
    expect(clashes).toEqual([]);
    expect(merged).toEqual({
      vehicle: { plate: 'B', saltExposure: 'high' },
      wants: ['today'],
      customer: { name: 'Other desk' },
    });
  });

  test('a field both changed is told with what it was and both values; theirs stands until a person chooses', () => {
    const { merged, clashes } = mergeThree(
      { vehicle: { plate: 'A' } },
      { vehicle: { plate: 'mine' } },
      { vehicle: { plate: 'theirs' } },
    );
    expect(clashes).toEqual([{ place: ['vehicle', 'plate'], before: 'A', theirs: 'theirs', yours: 'mine' }]);
    expect(merged.vehicle.plate).toBe('theirs');
    expect(settleClashes(merged, clashes).vehicle.plate).toBe('mine');
    expect(settleClashes(merged, [])).toEqual(merged);
  });

  test('facts that both added are all there, one that both added alike is there once', () => {
    const before = { checks: [check('A1L', 'none')] };
    const { merged, clashes } = mergeThree(
      before,
      { checks: [...before.checks, check('A1R', 'some'), check('A2L', 'none')] },
      { checks: [...before.checks, check('A1R', 'some'), check('A2R', 'none')] },
    );
    expect(clashes).toEqual([]);
    expect(merged.checks).toEqual([
      check('A1L', 'none'),
      check('A1R', 'some'),
      check('A2R', 'none'),
      check('A2L', 'none'),
    ]);
  });

  test('one takes a fact out, the other changes another: both hold', () => {
    const { merged, clashes } = mergeThree(
      { checks: [check('A1L', 'none'), check('A1R', 'none')] },
      { checks: [check('A1R', 'none')] },
      { checks: [check('A1L', 'none'), check('A1R', 'some')] },
    );
    expect(clashes).toEqual([]);
    expect(merged.checks).toEqual([check('A1R', 'some')]);
  });

  test('one takes a fact out that the other changed: it is asked, either way round', () => {
    const before = { checks: [check('A1L', 'none')] };
    const changed = { checks: [check('A1L', 'some')] };
    const none = { checks: [] as typeof before.checks };
    const mineGone = mergeThree(before, none, changed);
    expect(mineGone.clashes).toHaveLength(1);
    expect(settleClashes(mineGone.merged, mineGone.clashes)).toEqual(none);
    const theirsGone = mergeThree(before, changed, none);
    expect(theirsGone.clashes).toHaveLength(1);
    expect(theirsGone.merged).toEqual(none);
    expect(settleClashes(theirsGone.merged, theirsGone.clashes)).toEqual(changed);
  });

  const docket = fc.record(
    {
      plate: fc.constantFrom('A', 'B', 'C'),
      vehicle: fc.record(
        { salt: fc.constantFrom('low', 'high'), axles: fc.integer({ min: 1, max: 3 }) },
        { requiredKeys: [] },
      ),
      checks: fc.array(
        fc.record({
          check: fc.constantFrom('x', 'y'),
          end: fc.constantFrom('A1L', 'A1R'),
          result: fc.integer({ min: 0, max: 3 }),
        }),
        { maxLength: 5 },
      ),
      wants: fc.array(fc.constantFrom('today', 'cheapest', 'self'), { maxLength: 3 }),
    },
    { requiredKeys: [] },
  );

  test('law: where one side changed nothing the other stands; the same change on both sides is made once', () => {
    fc.assert(
      fc.property(docket, docket, (before, after) => {
        const count = (list: unknown[] | undefined) =>
          (list ?? []).map((each) => JSON.stringify(each)).sort();
        for (const { merged, clashes } of [
          mergeThree(before, after, before),
          mergeThree(before, before, after),
          mergeThree(before, after, after),
        ]) {
          expect(clashes).toEqual([]);
          expect(isSame(merged, after)).toBe(true);
          expect(count(merged.checks)).toEqual(count(after.checks));
        }
      }),
    );
  });

  test('law: nothing either side added to a list is lost, and what both left alone is there', () => {
    fc.assert(
      fc.property(docket, docket, docket, (before, yours, theirs) => {
        const { merged, clashes } = mergeThree(before, yours, theirs);
        const has = (list: unknown[] | undefined, each: unknown) =>
          (list ?? []).some((other) => isSame(each, other));
        for (const each of before.checks ?? [])
          if (has(yours.checks, each) && has(theirs.checks, each))
            expect(has(merged.checks, each)).toBe(true);
        const settled = settleClashes(merged, clashes);
        // The word of one who chose his own side everywhere is on it.
        for (const { place, yours: value } of clashes)
          if (place.length === 1)
            expect(isSame((settled as Record<string, unknown>)[String(place[0])], value)).toBe(true);
      }),
    );
  });
});
