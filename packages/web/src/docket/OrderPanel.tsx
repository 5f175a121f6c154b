import { PART_IN_WORDS, wheelEndInWords, type Advice, type Docket } from '@hardy/core/words';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { PartDrawing } from '../drawings/PartDrawing.tsx';
import { price } from '../format.ts';
import { orderLines, otherNumberNow } from './orderLines.ts';
import { OrderTable } from './OrderTable.tsx';

interface Props {
  id: string;
  docket: Docket;
  advice: Advice;
  onPutBack: () => void;
  onClose: () => void;
}

/** The order: the part, what goes with it, where it lies, and the way to the sheet. */
export function OrderPanel({ id, docket, advice, onPutBack, onClose }: Props) {
  const chosen = docket.chosen;
  if (!chosen) return null;
  const lines = orderLines(docket, advice);
  const other = otherNumberNow(docket, advice);
  return (
    <section aria-label="Order">
      <div className="row-head">
        <h2 className="kicker">Order</h2>
        <Button variant="text" onClick={onPutBack}>
          put back
        </Button>
      </div>
      <div className="order-head">
        <PartDrawing part={chosen.part} size={52} />
        <div>
          <h3>
            {chosen.label ?? PART_IN_WORDS[chosen.part]}, {wheelEndInWords(chosen.wheelEnd, advice.vehicle)}
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
      <OrderTable lines={lines} currency={advice.currency} counter={true} />
      <div className="answers">
        <Button component={Link} to={`/docket/${id}/sheet`} variant="contained">
          Hand-over sheet <kbd>p</kbd>
        </Button>
        <Button onClick={onClose}>
          {docket.outcome ? 'What happened' : 'Close docket'} <kbd>x</kbd>
        </Button>
      </div>
      {(docket.declined ?? []).length > 0 && (
        <details>
          <summary>{docket.declined?.length} other ways were compared and left</summary>
          <ul>
            {docket.declined?.map((way) => (
              <li key={way.way}>
                {way.label}, {price(way.allInMeanCents / 100, advice.currency)} all in: {way.because}
              </li>
            ))}
          </ul>
        </details>
      )}
      {docket.outcome && (
        <p className="look-here" role="status">
          Closed: {docket.outcome.result.replace(/-/g, ' ')}
          {docket.outcome.note ? `. ${docket.outcome.note}` : ''}
        </p>
      )}
    </section>
  );
}
