import type { OrderedLine } from '@hardy/core/words';
import { price } from '../format.ts';
import { orderTotal } from './orderLines.ts';
import './docket.css';

interface Props {
  lines: readonly OrderedLine[];
  currency: string;
  /** At the counter: where each part lies, and why it goes along. The customer's sheet has neither. */
  counter: boolean;
}

/** The lines of an order with their sum. */
export function OrderTable({ lines, currency, counter }: Props) {
  const { parts, deposits } = orderTotal(lines);
  return (
    <table className="order">
      <thead>
        <tr>
          <th scope="col">Part</th>
          {counter && <th scope="col">Bin</th>}
          <th scope="col">Qty</th>
          <th scope="col">Price</th>
        </tr>
      </thead>
      <tbody>
        {lines.map((line, i) => (
          <tr key={`${line.partNumber}-${i}`}>
            <td>
              <span className="mono">{line.partNumber ?? 'to be identified'}</span>
              {counter ? <br /> : ' '}
              {line.description}
              <span className="soft">
                {' '}
                {[line.brand, counter ? line.tier : null].filter(Boolean).join(', ')}
              </span>
              {counter && i > 0 && <span className="fact-said">{line.why}</span>}
            </td>
            {counter && <td className="mono">{line.bin ?? (line.partNumber ? 'order' : '\u2014')}</td>}
            <td>{line.quantity}</td>
            <td className="nowrap">{price((line.unitCents * line.quantity) / 100, currency)}</td>
          </tr>
        ))}
      </tbody>
      <tfoot>
        <tr>
          <th scope="row" colSpan={counter ? 3 : 2}>
            Parts in all
          </th>
          <td className="nowrap">{price(parts / 100, currency)}</td>
        </tr>
        {deposits > 0 && (
          <tr>
            <th scope="row" colSpan={counter ? 3 : 2}>
              Deposit, back when the old part comes in
            </th>
            <td className="nowrap">{price(deposits / 100, currency)}</td>
          </tr>
        )}
      </tfoot>
    </table>
  );
}
