import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { addRows, dotFrom } from './rowSums.ts';

const value = fc.double({ min: -5, max: 5, noNaN: true });
const tables = fc.integer({ min: 1, max: 12 }).chain((width) =>
  fc.record({
    rows: fc.array(fc.array(value, { minLength: width, maxLength: width }), { minLength: 1, maxLength: 9 }),
    x: fc.array(value, { minLength: width, maxLength: width }),
    from: fc.constantFrom(0, 1),
  }),
);

test('sums over rows are those of one row after another, however many there are', () => {
  fc.assert(
    fc.property(tables, ({ rows, x, from }) => {
      const typed = rows.map((row) => Float64Array.from(row));
      const by = Float64Array.from(rows, (_, row) => row - 2.5);
      const into = Float64Array.from(x);
      addRows(into, typed, by, from);
      into.forEach((sum, t) => {
        const added = t < from ? 0 : rows.reduce((all, row, r) => all + (by[r] ?? 0) * (row[t] ?? 0), 0);
        expect(sum).toBeCloseTo((x[t] ?? 0) + added, 9);
      });
      typed.forEach((row, r) => {
        const dot = (rows[r] ?? []).reduce((all, each, t) => (t < from ? all : all + each * (x[t] ?? 0)), 0);
        expect(dotFrom(Float64Array.from(x), row, from)).toBeCloseTo(dot, 9);
      });
    }),
  );
});
