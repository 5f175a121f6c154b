import { foundOnIt, PART_IN_WORDS, soldOn, wheelEndInWords, type Claim } from '@hardy/core/words';
import type { DocketView } from '@hardy/core/contract';
import { price } from '../format.ts';
import { told, type Paper } from './paper.ts';

const rowsOf = (view: DocketView, claim: Claim): ReadonlyArray<readonly [string, string]> => {
  const { docket, advice } = view;
  const line = docket.chosen?.lines?.find(({ partNumber }) => partNumber === claim.partNumber);
  const end = line?.wheelEnd ?? docket.chosen?.wheelEnd;
  const rows: ReadonlyArray<readonly [string, string | null | undefined]> = [
    ['Part number', claim.partNumber],
    ['Description', line?.description ?? (docket.chosen ? PART_IN_WORDS[docket.chosen.part] : null)],
    ['Brand, tier', [line?.brand, line?.tier].filter(Boolean).join(', ')],
    ['Batch', claim.batch],
    ['Quantity', String(claim.quantity)],
    ['Sold on', soldOn(docket, claim.partNumber)],
    [
      'Fitted at',
      claim.fromBox ? 'not fitted: bad from the box' : end && wheelEndInWords(end, advice.vehicle),
    ],
    ['Vehicle', [advice.vehicle.name, docket.vehicle?.buildDate].filter(Boolean).join(', built ')],
    [
      'Distance',
      docket.vehicle?.distanceKm == null ? null : `${docket.vehicle.distanceKm.toLocaleString('en-GB')} km`,
    ],
    ['Claimed on', claim.on],
    ['Found on the part', foundOnIt(claim)],
    ['Supplier\u2019s answer', [claim.answeredOn, claim.answer].filter(Boolean).join(': ')],
    [
      'Settled by',
      claim.settled === 'refund'
        ? `refund ${claim.refundCents == null ? '' : price(claim.refundCents / 100, advice.currency)}`
        : claim.settled,
    ],
  ];
  return told(rows);
};

/** A claim for its supplier; null where there is none of that number. */
export const claimPaper = (view: DocketView, n: number): Paper | null => {
  const claim = view.docket.claims?.[n - 1];
  return claim
    ? {
        title: claim.fromBox ? 'Claim: bad from the box' : 'Claim under warranty',
        fitted: !claim.fromBox,
        rows: rowsOf(view, claim),
        foot: 'The returned part lies with this page until it is answered.',
        file: { soldOn: soldOn(view.docket, claim.partNumber), claim },
      }
    : null;
};
