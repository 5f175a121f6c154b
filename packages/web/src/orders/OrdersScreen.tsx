import type { SupplierOrder, ToOrder } from '@hardy/core/contract';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { call, problemInWords } from '../api/client.ts';
import { Desk } from '../desk/Desk.tsx';
import { useKeys } from '../desk/useKeys.ts';
import { useTitle } from '../desk/useTitle.ts';
import { ConfirmDialog } from './ConfirmDialog.tsx';
import { OrderSheet } from './OrderSheet.tsx';
import { ReceiveDialog } from './ReceiveDialog.tsx';
import { StockByWire } from './StockByWire.tsx';
import './orders.css';

/** When the next order of the day goes out, as one says it. */
const untilInWords = ({ days, orderUntil }: ToOrder): string =>
  [
    orderUntil && `order until ${orderUntil}`,
    days !== null && (days === 1 ? 'here in 1 day' : `here in ${days} days`),
  ]
    .filter(Boolean)
    .join(' \u00B7 ');

interface MissingProps {
  list: ToOrder;
  onSend: () => void;
  busy: boolean;
  /** Whether the supplier can be asked by wire. */
  byWire: boolean;
}

function Missing({ list, onSend, busy, byWire }: MissingProps) {
  return (
    <li className="supplier">
      <div className="row-head">
        <h3>{list.supplierName}</h3>
        <span className="soft">
          {untilInWords(list)}
          {list.phone ? ` \u00B7 ${list.phone}` : ''}
        </span>
        <Button variant="contained" disabled={busy} onClick={onSend}>
          Order {list.lines.length}
        </Button>
      </div>
      <ul>
        {list.lines.map((line) => (
          <li key={`${line.docketId}-${line.partNumber}`}>
            {line.quantity} <span className="mono">{line.partNumber}</span> {line.description}{' '}
            <Link to={`/docket/${line.docketId}`}>docket {line.docketNumber}</Link>
            {byWire && <StockByWire supplier={list.supplier} partNumber={line.partNumber} />}
          </li>
        ))}
      </ul>
    </li>
  );
}

/** What is missing from suppliers over all dockets, and the orders sent: confirmed, received, short. */
export function OrdersScreen() {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const [confirming, setConfirming] = useState<SupplierOrder | null>(null);
  const [receiving, setReceiving] = useState<SupplierOrder | null>(null);
  const all = useQuery({ queryKey: ['orders'], queryFn: ({ signal }) => call('GET /orders', { signal }) });
  const done = () => {
    void queries.invalidateQueries({ queryKey: ['orders'] });
    void queries.invalidateQueries({ queryKey: ['docket'] });
  };
  const send = useMutation({
    mutationFn: ({ id, supplier }: { id: string; supplier: string }) =>
      call('POST /orders', { body: { id, supplier } }),
    onSettled: done,
  });
  useTitle('Suppliers');
  useKeys({ b: () => void navigate('/') });
  const failure = send.error ?? (all.data ? null : all.error);
  const open = all.data?.orders.filter(({ state }) => state !== 'closed') ?? [];
  const closed = all.data?.orders.filter(({ state }) => state === 'closed') ?? [];
  return (
    <Desk>
      <div className="sheet orders-sheet">
        <div className="docket-head">
          <h1>Suppliers</h1>
          <span className="soft">what dockets wait for, collected by who sends it</span>
          <span className="docket-tools">
            <Button variant="text" component={Link} to="/">
              counter <kbd>b</kbd>
            </Button>
          </span>
        </div>
        {failure && (
          <p className="look-here" role="alert">
            {problemInWords(failure)}
          </p>
        )}
        {!all.data && !failure && <Skeleton variant="rectangular" height={300} />}
        {all.data && (
          <div className="orders-zones">
            <section aria-label="To be ordered">
              <h2 className="kicker">To be ordered</h2>
              {all.data.toOrder.length === 0 && (
                <p className="empty">
                  Nothing is missing. What a docket takes that is not on the shelf stands here.
                </p>
              )}
              <ul>
                {all.data.toOrder.map((list) => (
                  <Missing
                    key={list.supplier}
                    list={list}
                    busy={send.isPending}
                    byWire={all.data.wires.includes(list.supplier)}
                    onSend={() => send.mutate({ id: crypto.randomUUID(), supplier: list.supplier })}
                  />
                ))}
              </ul>
            </section>
            <section aria-label="Under way">
              <h2 className="kicker">Under way</h2>
              {open.length === 0 && <p className="empty">No order is under way.</p>}
              {open.map((order) => (
                <OrderSheet
                  key={order.id}
                  order={order}
                  onConfirm={() => setConfirming(order)}
                  onReceive={() => setReceiving(order)}
                  onDone={done}
                  byWire={all.data.wires.includes(order.supplier)}
                />
              ))}
              {closed.length > 0 && (
                <details>
                  <summary>
                    {closed.length} {closed.length === 1 ? 'order is' : 'orders are'} done
                  </summary>
                  {closed.map((order) => (
                    <OrderSheet key={order.id} order={order} />
                  ))}
                </details>
              )}
            </section>
          </div>
        )}
      </div>
      <ConfirmDialog order={confirming} onClose={() => setConfirming(null)} onDone={done} />
      <ReceiveDialog order={receiving} onClose={() => setReceiving(null)} onDone={done} />
    </Desk>
  );
}
