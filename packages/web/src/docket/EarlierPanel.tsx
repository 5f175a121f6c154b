import type { DocketLine } from '@hardy/core/contract';
import type { Docket } from '@hardy/core/words';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { call } from '../api/client.ts';
import { age } from '../format.ts';
import type { Change } from './factEdits.ts';
import { EraseDialog } from './EraseDialog.tsx';

const List = ({ title, dockets }: { title: string; dockets: readonly DocketLine[] }) =>
  dockets.length === 0 ? null : (
    <details className="earlier" open={dockets.length <= 3}>
      <summary>
        {title}: {dockets.length}
      </summary>
      <ul>
        {dockets.map((docket) => (
          <li key={docket.id}>
            <Link to={`/docket/${docket.id}`}>{docket.number}</Link>{' '}
            <span className="soft">
              {age(docket.createdAt)} ago, {docket.outcome?.replace(/-/g, ' ') ?? docket.state}
            </span>{' '}
            {docket.headline}
          </li>
        ))}
      </ul>
    </details>
  );

interface Props {
  id: string;
  docket: Docket;
  change: Change;
}

/** Who this may be again, what this customer and this vehicle came for before, and how to erase who it was. */
export function EarlierPanel({ id, docket, change }: Props) {
  const { name = null, phone = null, firm = null } = docket.customer ?? {};
  const said = [name, phone, firm].join('|');
  const { plate = null, fleetNumber = null } = docket.vehicle ?? {};
  const [erasing, setErasing] = useState(false);
  const earlier = useQuery({
    queryKey: ['earlier', id, said, plate, fleetNumber],
    queryFn: ({ signal }) => call('GET /dockets/:id/earlier', { params: { id }, signal }),
  });
  const asked = phone ?? name ?? '';
  const known = useQuery({
    queryKey: ['customers', asked],
    queryFn: ({ signal }) => call('GET /customers', { query: { q: asked }, signal }),
    enabled: asked.length >= 2 && !(name && phone),
  });
  const others = (known.data ?? []).filter(
    (customer) =>
      [customer.name, customer.phone, customer.firm].join('|') !== said && customer.phone !== null,
  );
  return (
    <>
      {others.length > 0 && (
        <div className="answers" role="group" aria-label="Known customers">
          {others.slice(0, 3).map((customer) => (
            <Button
              key={customer.id}
              onClick={() =>
                change('customer found again', (d) => ({
                  ...d,
                  customer: {
                    ...d.customer,
                    name: customer.name,
                    phone: customer.phone,
                    firm: customer.firm,
                  },
                }))
              }
            >
              {[customer.name, customer.firm, customer.phone].filter(Boolean).join(', ')}?
            </Button>
          ))}
        </div>
      )}
      <List title="This customer before" dockets={earlier.data?.customer ?? []} />
      <List title="This vehicle before" dockets={earlier.data?.vehicle ?? []} />
      {earlier.data?.customerId != null && (
        <>
          <Button
            variant="text"
            component={Link}
            to={`/ledger?show=figures&customer=${earlier.data.customerId}`}
          >
            what came of it so far
          </Button>
          <Button variant="text" onClick={() => setErasing(true)}>
            erase this customer{'\u2026'}
          </Button>
          <EraseDialog
            open={erasing}
            customerId={earlier.data.customerId}
            docketId={id}
            who={[name, firm, phone].filter(Boolean).join(', ')}
            onClose={() => setErasing(false)}
          />
        </>
      )}
    </>
  );
}
