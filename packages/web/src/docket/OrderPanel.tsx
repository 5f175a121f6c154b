import {
  beforeItLeaves,
  openDeposits,
  partsOf,
  takeCore,
  CAME_BACK,
  piecesOut,
  readyPieces,
  skipLine,
  takeSkipped,
  PART_IN_WORDS,
  wheelEndInWords,
  type Advice,
  type CameBack,
  type ChosenOffer,
  type Docket,
} from '@hardy/core/words';
import type { OrderView } from '@hardy/core/contract';
import Button from '@mui/material/Button';
import { today } from '../today.ts';
import { useState } from 'react';
import { Link } from 'react-router';
import { Choice } from '../desk/Choice.tsx';
import { PartDrawing } from '../drawings/PartDrawing.tsx';
import { price } from '../format.ts';
import { resultInWords } from './outcomeWords.ts';
import { orderLines, otherNumberNow } from './orderLines.ts';
import { ClaimsPanel } from './ClaimsPanel.tsx';
import { OrderTable } from './OrderTable.tsx';
import { ProofFields } from './ProofFields.tsx';
import { PromiseForm } from './PromiseForm.tsx';
import type { Change } from './factEdits.ts';

interface Props {
  id: string;
  docket: Docket;
  advice: Advice;
  order: OrderView | null;
  change: Change;
  onChange: (label: string, chosen: ChosenOffer) => void;
  onHandOver: () => void;
  onBack: (partNumber: string, how: CameBack) => void;
  onPutBack: () => void;
  onClose: () => void;
}

const BACK_IN_WORDS: Readonly<Record<CameBack, string>> = {
  unopened: 'as it left',
  opened: 'opened',
  bad: 'bad from the box: exchange',
};

/** The order: the parts, what goes with them, where each lies, what leaves now, and the way to the sheets. */
export function OrderPanel({
  id,
  docket,
  advice,
  order,
  change,
  onChange,
  onHandOver,
  onBack,
  onPutBack,
  onClose,
}: Props) {
  const { chosen } = docket;
  const [how, setHow] = useState<CameBack>('unopened');
  if (!chosen) return null;
  const lines = orderLines(docket, advice);
  const other = otherNumberNow(docket, advice);
  const parts = partsOf(chosen);
  const ready = order ? readyPieces(order) : [];
  const waiting = (order?.lines ?? []).filter(({ state }) => state === 'to-order' || state === 'waiting');
  const out = (order?.lines ?? []).filter(({ partNumber }) => piecesOut(docket, partNumber) > 0);
  return (
    <section aria-label="Order">
      <div className="row-head">
        <h2 className="kicker">Order</h2>
        {(docket.handed ?? []).length === 0 && (
          <Button variant="text" onClick={onPutBack}>
            put back
          </Button>
        )}
      </div>
      <div className="order-head">
        <PartDrawing part={chosen.part} size={52} />
        <div>
          <h3>
            {chosen.label
              ? `${chosen.label}, ${wheelEndInWords(chosen.wheelEnd, advice.vehicle)}`
              : parts
                  .map(
                    ({ part, wheelEnd }) =>
                      `${PART_IN_WORDS[part]}, ${wheelEndInWords(wheelEnd, advice.vehicle)}`,
                  )
                  .join('; ')}
          </h3>
          <p className="soft">
            cures in {Math.round(chosen.cures * 100)} of 100 {'\u00B7'} all in{' '}
            {price(chosen.allInMeanCents / 100, advice.currency)} when taken
          </p>
        </div>
      </div>
      {other && (
        <p className="look-here" role="alert">
          What is known now points to <span className="mono">{other}</span> instead. Put it back and take it
          again.
        </p>
      )}
      <div className="answers">
        {ready.length > 0 && (
          <Button onClick={onHandOver} variant={order?.next === 'hand-over' ? 'contained' : 'outlined'}>
            Hand over {ready.reduce((sum, { quantity }) => sum + quantity, 0)} <kbd>h</kbd>
          </Button>
        )}
        <Button
          component={Link}
          to={`/docket/${id}/sheet`}
          variant={ready.length > 0 ? 'outlined' : 'contained'}
        >
          Sheets <kbd>p</kbd>
        </Button>
        {order?.next === 'renew' && (
          <Button variant="contained" onClick={() => onChange('put aside again', { ...chosen, on: today() })}>
            Put it aside again
          </Button>
        )}
        {order?.next === 'order' && (
          <Button component={Link} to="/orders">
            Suppliers
          </Button>
        )}
        <Button onClick={onClose}>
          {docket.outcome ? 'What happened' : 'Close docket'} <kbd>x</kbd>
        </Button>
      </div>
      <OrderTable
        lines={lines}
        currency={advice.currency}
        order={order}
        {...(chosen.lines?.length
          ? { onSkip: (at: number) => onChange('left out at the customer\u2019s wish', skipLine(chosen, at)) }
          : {})}
      />
      {(chosen.skipped ?? []).length > 0 && (
        <div>
          <p className="soft small">Left out at the customer{'\u2019'}s wish; it stands on the sheet:</p>
          <ul className="chips">
            {chosen.skipped?.map((line, i) => (
              <li key={`${line.partNumber}-${i}`}>
                <Button
                  variant="text"
                  onClick={() => onChange('goes along after all', takeSkipped(chosen, i))}
                  aria-label={`Take the ${line.description} after all`}
                >
                  + {line.quantity} {line.description}
                </Button>
              </li>
            ))}
          </ul>
        </div>
      )}
      {ready.length > 0 && (
        <details className="before-it-leaves" open>
          <summary>Before it leaves</summary>
          <ul>
            {beforeItLeaves(docket, chosen, advice.vehicle).map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </details>
      )}
      {order?.next === 'prove' && <ProofFields docket={docket} change={change} />}
      {waiting.length > 0 && <PromiseForm docketId={id} lines={waiting} change={change} />}
      {openDeposits(docket).map(({ partNumber, depositCents }) => (
        <p key={partNumber} className="answers">
          <span className="soft">
            Deposit open on {partNumber}: {price(depositCents / 100, advice.currency)}
          </span>
          <Button onClick={() => change('old part came in', (d) => takeCore(d, partNumber, today()))}>
            The old part came in
          </Button>
        </p>
      ))}
      {out.length > 0 && (
        <details>
          <summary>Something came back</summary>
          <p className="answers">
            <Choice<CameBack>
              label="How it came back"
              value={how}
              onChoice={setHow}
              options={CAME_BACK.map((value) => ({ value, label: BACK_IN_WORDS[value] }))}
            />
            {out.map(({ partNumber, backCents, keptCents }) => (
              <span key={partNumber}>
                <Button onClick={() => onBack(partNumber, how)}>{partNumber} came back</Button>{' '}
                {how === 'unopened' && (
                  <span className="soft small">
                    {price(backCents / 100, advice.currency)} paid back
                    {keptCents > 0 ? `, ${price(keptCents / 100, advice.currency)} kept for restocking` : ''}
                  </span>
                )}
              </span>
            ))}
          </p>
        </details>
      )}
      {(docket.returned ?? []).length > 0 && (
        <p className="soft small">
          Came back:{' '}
          {docket.returned?.map(({ partNumber, on }, i) => (
            <Link key={`${partNumber}-${i}`} to={`/docket/${id}/return/${i + 1}`}>
              {partNumber} on {on}{' '}
            </Link>
          ))}
        </p>
      )}
      <ClaimsPanel
        id={id}
        docket={docket}
        currency={advice.currency}
        change={change}
        parts={[...new Set(out.map(({ partNumber }) => partNumber))].filter((number) =>
          lines.some((line) => line.partNumber === number && line.companion !== true),
        )}
      />
      {(docket.declined ?? []).length > 0 && (
        <details>
          <summary>{docket.declined?.length} other ways were compared and left</summary>
          <ul>
            {docket.declined?.map((way) => (
              <li key={way.way}>
                {way.advised && <strong>advised: </strong>}
                {way.label}, {price(way.allInMeanCents / 100, advice.currency)} all in: {way.because}
              </li>
            ))}
          </ul>
        </details>
      )}
      {docket.outcome && (
        <p className="look-here" role="status">
          Closed: {resultInWords(docket.outcome.result)}
          {docket.outcome.note ? `. ${docket.outcome.note}` : ''}
        </p>
      )}
    </section>
  );
}
