import type { SupplierOrder } from '@hardy/core/contract';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { age } from '../format.ts';
import { day } from '../docket/orderWords.ts';
import { SendByWire } from './SendByWire.tsx';

const STATE_IN_WORDS: Readonly<Record<SupplierOrder['state'], string>> = {
  sent: 'sent, not confirmed',
  confirmed: 'confirmed',
  'part-received': 'some of it is here',
  closed: 'done',
};

interface Props {
  order: SupplierOrder;
  onConfirm?: () => void;
  onReceive?: () => void;
  onDone?: () => void;
  /** Whether it can be sent by wire. */
  byWire?: boolean;
}

/** One order to a supplier: its lines with what was promised and what came, its file, and what can be done with it. */
export function OrderSheet({ order, onConfirm, onReceive, onDone, byWire = false }: Props) {
  return (
    <article className="supplier" aria-label={`Order ${order.number}`}>
      <div className="row-head">
        <h3>
          <span className="mono">{order.number}</span> {order.supplierName}
        </h3>
        <span className="soft">
          {STATE_IN_WORDS[order.state]} {'\u00B7'} {age(order.sentAt)} ago
        </span>
      </div>
      <table className="order">
        <thead>
          <tr>
            <th scope="col">Part</th>
            <th scope="col">Docket</th>
            <th scope="col">Asked</th>
            <th scope="col">Promised</th>
            <th scope="col">Here</th>
          </tr>
        </thead>
        <tbody>
          {order.lines.map((line) => (
            <tr key={`${line.docketId}-${line.partNumber}`}>
              <td>
                <span className="mono">{line.partNumber}</span> {line.description}
              </td>
              <td>
                <Link to={`/docket/${line.docketId}`}>{line.docketNumber}</Link>
              </td>
              <td>{line.quantity}</td>
              <td>
                {line.confirmed === null
                  ? '\u2014'
                  : `${line.confirmed}${line.promised ? `, ${day(line.promised)}` : ''}${line.promisedBy ? ` (${line.promisedBy})` : ''}`}
              </td>
              <td>{line.received}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {order.unanswered && (
        <p className="look-here" role="status">
          Sent by wire {age(order.unanswered.at)} ago, no answer yet.{' '}
          {order.unanswered.problem ?? 'It is still being asked for.'} Send it again, or ask by phone: the
          supplier may have it.
        </p>
      )}
      <div className="answers">
        {onReceive && (
          <Button variant={byWire && order.state === 'sent' ? 'outlined' : 'contained'} onClick={onReceive}>
            It is here
          </Button>
        )}
        {onConfirm && <Button onClick={onConfirm}>They said</Button>}
        {byWire && onDone && (
          <SendByWire orderId={order.id} canSend={order.state === 'sent'} onDone={onDone} />
        )}
        <Button variant="text" component="a" href={`/api/orders/${order.id}/file?as=csv`}>
          CSV
        </Button>
        <Button variant="text" component="a" href={`/api/orders/${order.id}/file?as=json`}>
          JSON
        </Button>
      </div>
    </article>
  );
}
