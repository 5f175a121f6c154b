import type { Comeback, DocketView } from '@hardy/core/contract';
import { wheelEndInWords, type Docket, type WheelNames } from '@hardy/core/words';
import Button from '@mui/material/Button';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { call, problemInWords } from '../api/client.ts';
import { resultInWords } from './outcomeWords.ts';

interface Props {
  id: string;
  docket: Docket;
  names: WheelNames;
}

const warranty = ({ warrantyUntil, underWarranty }: Comeback): string =>
  warrantyUntil === null
    ? 'no warranty known'
    : underWarranty
      ? `under warranty until ${warrantyUntil}`
      : `warranty ran out ${warrantyUntil}`;

/** What was sold to this vehicle or this customer before, under what advice, and whether this is that job come back. */
export function ComebackPanel({ id, docket, names }: Props) {
  const queries = useQueryClient();
  const { name = null, phone = null } = docket.customer ?? {};
  const { plate = null, fleetNumber = null } = docket.vehicle ?? {};
  const found = useQuery({
    queryKey: ['comebacks', id, name, phone, plate, fleetNumber, docket.comebackOf ?? null],
    queryFn: ({ signal }) => call('GET /dockets/:id/comebacks', { params: { id }, signal }),
  });
  const link = useMutation({
    mutationFn: (of: number) => call('POST /dockets/:id/comebacks', { params: { id }, body: { of } }),
    onSuccess: (view: DocketView) => {
      queries.setQueryData(['docket', id], view);
      void queries.invalidateQueries();
    },
  });
  const sales = (found.data ?? []).filter(({ sameVehicle, linked }) => sameVehicle || linked);
  if (sales.length === 0) return null;
  return (
    <section className="comebacks" aria-label="Sold before to this vehicle">
      <h2 className="kicker">Sold before to this vehicle</h2>
      <ul>
        {sales.slice(0, 3).map((sale) => (
          <li key={sale.id}>
            <p>
              <Link to={`/docket/${sale.id}`}>{sale.number}</Link>: <strong>{sale.what}</strong>
              {sale.wheelEnd ? ` ${wheelEndInWords(sale.wheelEnd, names)}` : ''}
              {sale.tier ? `, ${sale.tier}` : ''}, {sale.daysAgo} {sale.daysAgo === 1 ? 'day' : 'days'} ago,{' '}
              <span className={sale.underWarranty ? 'look-here' : 'soft'}>{warranty(sale)}</span>
            </p>
            <p className="soft small">
              advised then: {sale.advised}
              {sale.outcome ? ` \u00B7 ${resultInWords(sale.outcome)}` : ''}
            </p>
            {sale.linked ? (
              <p className="look-here">This docket came back from it.</p>
            ) : (
              !docket.comebackOf &&
              !docket.outcome && (
                <Button disabled={link.isPending} onClick={() => link.mutate(sale.number)}>
                  This is {sale.number} come back
                </Button>
              )
            )}
          </li>
        ))}
      </ul>
      {link.error && (
        <p className="look-here" role="alert">
          {problemInWords(link.error)}
        </p>
      )}
    </section>
  );
}
