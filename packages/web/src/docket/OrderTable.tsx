import type { OrderedLine } from '@hardy/core/words';
import type { OrderView } from '@hardy/core/contract';
import Button from '@mui/material/Button';
import { price } from '../format.ts';
import { listedLines, orderTotal } from './orderLines.ts';
import { stateInWords } from './orderWords.ts';
import './docket.css';

interface Props {
  lines: readonly OrderedLine[];
  currency: string;
  /** Where each part is, where that is known. */
  order: OrderView | null;
  /** Leaves out what goes along, by its place among the lines. */
  onSkip?: (at: number) => void;
}

/** The lines of an order at the counter: where each part lies and stands, why it goes along, and the sum. */
export function OrderTable({ lines, currency, order, onSkip }: Props) {
  const { parts, deposits } = orderTotal(lines);
  return (
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
        {listedLines(lines).map(({ line, at }, i) => {
          const state = order?.lines.find(({ partNumber }) => partNumber === line.partNumber);
          return (
            <tr key={`${line.partNumber}-${i}`}>
              <td>
                <span className="mono">{line.partNumber ?? 'to be identified'}</span>
                {line.companion ? ' ' : <br />}
                {line.description}
                {!line.companion && (
                  <span className="soft"> {[line.brand, line.tier].filter(Boolean).join(', ')}</span>
                )}
                {line.companion && (
                  <span className="order-why">
                    {line.why}
                    {onSkip && (state?.handed ?? 0) === 0 && (
                      <Button
                        variant="text"
                        className="order-skip"
                        aria-label={`Leave out the ${line.description}`}
                        onClick={() => onSkip(at)}
                      >
                        leave out
                      </Button>
                    )}
                  </span>
                )}
                {state && (!line.companion || state.state !== 'ready') && (
                  <span className={`order-state order-state-${state.state}`}>{stateInWords(state)}</span>
                )}
              </td>
              <td className="mono">{line.bin ?? (line.partNumber ? 'order' : '\u2014')}</td>
              <td>{line.quantity}</td>
              <td className="nowrap">{price((line.unitCents * line.quantity) / 100, currency)}</td>
            </tr>
          );
        })}
      </tbody>
      <tfoot>
        <tr>
          <th scope="row" colSpan={3}>
            Parts in all
          </th>
          <td className="nowrap">{price(parts / 100, currency)}</td>
        </tr>
        {deposits > 0 && (
          <tr>
            <th scope="row" colSpan={3}>
              Deposit, back when the old part comes in
            </th>
            <td className="nowrap">{price(deposits / 100, currency)}</td>
          </tr>
        )}
      </tfoot>
    </table>
  );
}
