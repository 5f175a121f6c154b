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

interface Paper {
  readonly title: string;
  readonly fitted: boolean;
  readonly rows: ReadonlyArray<readonly [string, string]>;
  readonly foot: string;
  /** What the open file holds beside the docket. */
  readonly file: object;
}

/** A page about one part, for the supplier or for the books, with the same as an open file; who the customer is stands on neither. */
function PartPaper({
  kind,
  paper,
}: {
  kind: 'claim' | 'return';
  paper: (view: DocketView, n: number) => Paper | null;
}) {
  const { id = '', n = '1' } = useParams();
  const navigate = useNavigate();
  const { view } = useDocket(id);
  const shown = view ? paper(view, Number(n)) : null;
  useTitle(shown?.title ?? kind, view ? `docket ${view.number}` : null);
  useKeys({ b: () => void navigate(`/docket/${id}`), p: () => window.print() });
  if (!view) return null;
  // A plate is who somebody is, too.
  const anonymous: DocketView = {
    ...view,
    docket: {
      ...view.docket,
      customer: null,
      vehicle: { ...view.docket.vehicle, plate: null, fleetNumber: null },
    },
  };
  const file = {
    format: `hardy-spoke/${kind}`,
    version: 1,
    docket: view.number,
    vehicle: view.advice.vehicle.name,
    ...shown?.file,
  };
  return (
    <div className="paper-desk">
      <PaperTools docketId={id}>
        {shown && (
          <Button
            className="on-bench"
            component="a"
            download={`${kind}-${view.number}-${n}.json`}
            href={`data:application/json,${encodeURIComponent(JSON.stringify(file, null, 2))}`}
          >
            file
          </Button>
        )}
      </PaperTools>
      <main className="paper">
        {shown ? (
          <>
            <PaperHead
              view={anonymous}
              title={shown.title}
              part={view.docket.chosen?.part ?? null}
              wheelEnd={shown.fitted ? (view.docket.chosen?.wheelEnd ?? null) : null}
            />
            <table className="claim-rows">
              <tbody>
                {shown.rows.map(([name, value]) => (
                  <tr key={name}>
                    <th scope="row">{name}</th>
                    <td>{value}</td>
                  </tr>
                ))}
              </tbody>
            </table>
            <p className="soft">{shown.foot} Signed at the counter: ____________________</p>
          </>
        ) : (
          <p>
            There is no {kind} {n} on this docket.
          </p>
        )}
      </main>
    </div>
  );
}

const claimPaper = (view: DocketView, n: number): Paper | null => {
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

const returnPaper = (view: DocketView, n: number): Paper | null => {
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
    rows: rows.filter((row): row is readonly [string, string] => Boolean(row[1])),
    foot: 'Looked at by the counter before anything was paid back.',
    file: { soldOn: soldOn(docket, back.partNumber), returned: back },
  };
};

/** A claim as a page of its own, for the supplier. */
export const ClaimScreen = () => <PartPaper kind="claim" paper={claimPaper} />;

/** A return as a page of its own. */
export const ReturnScreen = () => <PartPaper kind="return" paper={returnPaper} />;
