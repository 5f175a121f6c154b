import { describe, expect, test } from '@jest/globals';
import type { Docket } from '../vocabulary/docket.ts';
import { orderView, type Coming } from './orderView.ts';
import type { Claim } from './partShelf.ts';
import { supplierCsv, supplierFile } from './supplierFile.ts';

const TERMS = { today: '2026-11-26', restockingPercent: 10 };
const claim = (more: Partial<Claim> = {}): Claim => ({
  docket: 'd',
  since: 1,
  wanted: 2,
  handed: 0,
  returned: 0,
  opened: 0,
  reserved: 0,
  until: null,
  ...more,
});
const coming = (more: Partial<Coming> = {}): Coming => ({
  partNumber: 'P',
  supplier: 'depot',
  orderNumber: 5001,
  open: 0,
  received: 0,
  promised: '2026-12-01',
  promisedBy: 'Marit',
  ...more,
});
const docket = (more: Partial<Docket> = {}): Docket => ({
  format: 'hardy-spoke/docket',
  version: 1,
  ...more,
});
const view = (its: Claim | null, comes: Coming[] = [], about: Docket = docket()) => {
  const { lines, next } = orderView([{ partNumber: 'P', claim: its, coming: comes }], about, TERMS);
  return { ...lines[0]!, next };
};

describe('where an order stands', () => {
  test.each([
    ['nothing on the shelf, nobody asked', claim(), [], 'to-order', 'order'],
    [
      'some on the shelf, the rest on its way',
      claim({ reserved: 1 }),
      [coming({ open: 1 })],
      'waiting',
      'wait',
    ],
    ['some on its way, not enough', claim(), [coming({ open: 1 })], 'to-order', 'order'],
    ['all put aside', claim({ reserved: 2 }), [], 'ready', 'hand-over'],
    ['one gone, one put aside', claim({ handed: 1, reserved: 1 }), [], 'ready', 'hand-over'],
    ['all gone', claim({ handed: 2 }), [], 'handed', 'prove'],
    ['put aside too long', claim({ until: '2026-11-25' }), [], 'let-go', 'renew'],
    ['a part no shelf has', null, [], 'not-stocked', 'hand-over'],
  ] as const)('%s', (_, its, comes, state, next) => {
    expect(view(its, [...comes])).toMatchObject({ state, next });
  });

  test('what came from a supplier is called about where there is a phone, and only then', () => {
    const came = [coming({ received: 2 })];
    expect(view(claim({ reserved: 2 }), came, docket({ customer: { phone: '555' } })).next).toBe('call');
    expect(view(claim({ reserved: 2 }), came).next).toBe('hand-over');
    expect(view(claim({ reserved: 2 }), [], docket({ customer: { phone: '555' } })).next).toBe('hand-over');
  });

  test('a day somebody was told is newer than what the order says', () => {
    const told = docket({ promised: [{ partNumber: 'P', on: '2026-12-09', by: 'the ferry office' }] });
    expect(view(claim(), [coming({ open: 2 })], told)).toMatchObject({
      promised: '2026-12-09',
      promisedBy: 'the ferry office',
    });
    expect(view(claim(), [coming({ open: 2 })])).toMatchObject({
      promised: '2026-12-01',
      promisedBy: 'Marit',
    });
  });

  test('a closed docket is closed, wherever its pieces are', () => {
    expect(view(claim(), [], docket({ outcome: { result: 'cured' } })).next).toBe('closed');
  });
});

describe('the file a supplier gets', () => {
  const line = (docketNumber: number, partNumber: string, quantity: number) => ({
    partNumber,
    description: '=1+1',
    docketId: String(docketNumber),
    docketNumber,
    quantity,
    confirmed: null,
    promised: null,
    promisedBy: null,
    received: 0,
  });
  const file = supplierFile(
    {
      id: 'x',
      number: 5001,
      supplier: 'depot',
      supplierName: 'The Depot',
      state: 'sent',
      sentAt: '2026-11-26T10:00:00.000Z',
      unanswered: null,
      lines: [line(1, 'A', 1), line(2, 'B', 2), line(3, 'A', 3)],
    },
    'Harbour Parts Counter',
  );

  test('sums a part over dockets and says nothing of customers', () => {
    expect(file.lines.map(({ partNumber, quantity }) => [partNumber, quantity])).toEqual([
      ['A', 4],
      ['B', 2],
    ]);
    expect(JSON.stringify(file)).not.toMatch(/docket(Id|Number)/);
  });

  test('in a spreadsheet no cell is run', () => {
    expect(supplierCsv(file).split('\n')[1]).toBe("5001,A,'=1+1,4");
  });
});
