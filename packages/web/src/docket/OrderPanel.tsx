import { PART_IN_WORDS, wheelEndInWords, type Advice, type Docket } from '@hardy/core/plain';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { PartDrawing } from '../drawings/PartDrawing.tsx';
import { price } from '../format.ts';
import { orderLines, orderTotal } from './orderLines.ts';

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
            {PART_IN_WORDS[chosen.part]}, {wheelEndInWords(chosen.wheelEnd, advice.vehicle.axles)}
          </h3>
          <p className="soft">
            cures in {Math.round(chosen.cures * 100)} of 100 {'\u00B7'} all in{' '}
            {price(chosen.allInMean, advice.currency)} when taken
          </p>
        </div>
      </div>
      <table className="order">
        <thead>
          <tr>
            <th scope="col">Part</th>
            <th scope="col">Bin</th>
            <th scope="col">Qty</th>
            <th scope="col">Price</th>
          </tr>
        </thead>
        <tbody>
          {lines.map((line, i) => (
            <tr key={`${line.partNumber}-${i}`}>
              <td>
                <span className="mono">{line.partNumber ?? 'to be identified'}</span>
                <br />
                {line.description}
                <span className="soft"> {[line.brand, line.tier].filter(Boolean).join(', ')}</span>
                {i > 0 && <span className="fact-said">{line.why}</span>}
              </td>
              <td className="mono">{line.bin ?? (line.stock === 0 ? 'order' : '\u2014')}</td>
              <td>{line.quantity}</td>
              <td className="nowrap">{price(line.unitPrice * line.quantity, advice.currency)}</td>
            </tr>
          ))}
        </tbody>
        <tfoot>
          <tr>
            <th scope="row" colSpan={3}>
              Parts in all
            </th>
            <td className="nowrap">{price(orderTotal(lines), advice.currency)}</td>
          </tr>
        </tfoot>
      </table>
      <div className="answers">
        <Button component={Link} to={`/docket/${id}/sheet`} variant="contained">
          Hand-over sheet <kbd>p</kbd>
        </Button>
        <Button onClick={onClose}>
          {docket.outcome ? 'What happened' : 'Close docket'} <kbd>x</kbd>
        </Button>
      </div>
      {docket.outcome && (
        <p className="look-here" role="status">
          Closed: {docket.outcome.result.replace(/-/g, ' ')}
          {docket.outcome.note ? `. ${docket.outcome.note}` : ''}
        </p>
      )}
    </section>
  );
}
