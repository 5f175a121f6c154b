import { foundOnIt, PART_IN_WORDS, soldOn, wheelEndInWords, type Claim } from '@hardy/core/words';
import type { DocketView } from '@hardy/core/contract';
import Button from '@mui/material/Button';
import { useNavigate, useParams } from 'react-router';
import { useKeys } from '../desk/useKeys.ts';
import { useTitle } from '../desk/useTitle.ts';
import { price } from '../format.ts';
import { useDocket } from '../state/useDocket.ts';
import { PaperHead } from './PaperHead.tsx';
import { PaperTools } from './PaperTools.tsx';
import './sheet.css';

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
  return rows.filter((row): row is readonly [string, string] => Boolean(row[1]));
};

/** A claim as a page of its own, for the supplier; who the customer is does not stand on it. */
export function ClaimScreen() {
  const { id = '', claim: number = '1' } = useParams();
  const navigate = useNavigate();
  const { view } = useDocket(id);
  const claim = view?.docket.claims?.[Number(number) - 1] ?? null;
  useTitle('Claim', view ? `docket ${view.number}` : null);
  useKeys({ b: () => void navigate(`/docket/${id}`), p: () => window.print() });
  if (!view) return null;
  const anonymous: DocketView = { ...view, docket: { ...view.docket, customer: null } };
  return (
    <div className="paper-desk">
      <PaperTools docketId={id} language="en" onTurn={() => undefined}>
        {claim && (
          <Button
            className="on-bench"
            component="a"
            download={`claim-${view.number}-${number}.json`}
            href={`data:application/json,${encodeURIComponent(
              JSON.stringify(
                {
                  format: 'hardy-spoke/claim',
                  version: 1,
                  docket: view.number,
                  soldOn: soldOn(view.docket, claim.partNumber),
                  vehicle: view.advice.vehicle.name,
                  claim,
                },
                null,
                2,
              ),
            )}`}
          >
            file
          </Button>
        )}
      </PaperTools>
      <main className="paper">
        {claim ? (
          <>
            <PaperHead
              view={anonymous}
              title={claim.fromBox ? 'Claim: bad from the box' : 'Claim under warranty'}
              part={view.docket.chosen?.part ?? null}
              wheelEnd={claim.fromBox ? null : (view.docket.chosen?.wheelEnd ?? null)}
            />
            <table className="claim-rows">
              <tbody>
                {rowsOf(view, claim).map(([name, value]) => (
                  <tr key={name}>
                    <th scope="row">{name}</th>
                    <td>{value}</td>
                  </tr>
                ))}
              </tbody>
            </table>
            <p className="soft">
              The returned part lies with this page until it is answered. Signed at the counter:
              ____________________
            </p>
          </>
        ) : (
          <p>There is no claim {number} on this docket.</p>
        )}
      </main>
    </div>
  );
}
