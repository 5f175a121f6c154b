import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Docket, OrderedLine } from '../vocabulary/docket.ts';
import { bringBack, CAME_BACK, handOver } from './handOver.ts';
import { openDeposits, refundOf, takeCore } from './refund.ts';

const line = (unitCents: number, depositCents = 0): OrderedLine => ({
  partNumber: 'HX-1',
  description: 'hub, renewed in exchange',
  brand: null,
  tier: null,
  quantity: 1,
  unitCents,
  listCents: unitCents,
  depositCents,
  bin: null,
  why: 'the part itself',
});
const docket: Docket = {
  format: 'hardy-spoke/docket',
  version: 1,
  chosen: {
    part: 'hub-assembly',
    wheelEnd: 'A1L',
    lines: [line(10000, 3500)],
    priceCents: 10000,
    allInMeanCents: 20000,
    cures: 0.9,
  },
};
const ready = {
  partNumber: 'HX-1',
  wanted: 1,
  handed: 0,
  aside: 1,
  coming: 0,
  supplier: null,
  orderNumber: null,
  promised: null,
  promisedBy: null,
  came: false,
  backCents: 0,
  keptCents: 0,
  state: 'ready' as const,
};
const taken = handOver(docket, { lines: [ready], next: 'hand-over' }, '2026-11-26');

describe('what is paid back', () => {
  test('as it left: less the share for restocking; opened: nothing; bad from the box: exchanged, nothing is kept', () => {
    expect(refundOf(line(4010), 'unopened', 15)).toEqual({ backCents: 3408, keptCents: 602 });
    expect(refundOf(line(4010), 'opened', 15)).toEqual({ backCents: 0, keptCents: 4010 });
    expect(refundOf(line(4010), 'bad', 15)).toEqual({ backCents: 0, keptCents: 0 });
  });

  test('no cent is lost or made, whatever the price and the share', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1e8 }),
        fc.integer({ min: 0, max: 10000 }),
        fc.constantFrom(...CAME_BACK),
        (cents, hundredths, how) => {
          const { backCents, keptCents } = refundOf(line(cents), how, hundredths / 100);
          expect(backCents + keptCents).toBe(how === 'bad' ? 0 : cents);
          expect(Math.min(backCents, keptCents)).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });
});

describe('deposits', () => {
  test('are open while the customer has the part and the old one has not come in', () => {
    expect(openDeposits(docket)).toEqual([]);
    expect(openDeposits(taken)).toEqual([{ partNumber: 'HX-1', quantity: 1, depositCents: 3500 }]);
    expect(openDeposits(takeCore(taken, 'HX-1', '2026-11-27'))).toEqual([]);
    // Brought back itself there is no old part to wait for.
    expect(openDeposits(bringBack(taken, 'HX-1', 'unopened', '2026-11-27'))).toEqual([]);
  });
});
