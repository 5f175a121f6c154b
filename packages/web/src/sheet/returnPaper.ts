import { soldOn } from '@hardy/core/words';
import type { DocketView } from '@hardy/core/contract';
import { price } from '../format.ts';
import { told, type Paper } from './paper.ts';

/** A return for the books; null where there is none of that number. */
export const returnPaper = (view: DocketView, n: number): Paper | null => {
  const { docket, advice, order } = view;
  const back = docket.returned?.[n - 1];
  if (!back) return null;
  const line = docket.chosen?.lines?.find(({ partNumber }) => partNumber === back.partNumber);
  const state = order?.lines.find(({ partNumber }) => partNumber === back.partNumber);
  const whole = !back.opened && back.bad !== true;
  const rows: ReadonlyArray<readonly [string, string | null | undefined]> = [
    ['Part number', back.partNumber],
    ['Description', line?.description],
    ['Brand, tier', [line?.brand, line?.tier].filter(Boolean).join(', ')],
    ['Quantity', String(back.quantity)],
    ['Sold on', soldOn(docket, back.partNumber)],
    ['Came back on', back.on],
    ['How', back.bad ? 'bad from the box: exchanged' : back.opened ? 'opened' : 'as it left'],
    [
      'Paid back',
      whole && state
        ? `${price(state.backCents / 100, advice.currency)}${state.keptCents > 0 ? `, ${price(state.keptCents / 100, advice.currency)} kept for restocking` : ''}`
        : null,
    ],
  ];
  return {
    title: 'Return',
    fitted: false,
    rows: told(rows),
    foot: 'Looked at by the counter before anything was paid back.',
    file: { soldOn: soldOn(docket, back.partNumber), returned: back },
  };
};
