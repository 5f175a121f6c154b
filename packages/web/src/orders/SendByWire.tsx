import { centsInWords } from '@hardy/core/words';
import Button from '@mui/material/Button';
import { useMutation } from '@tanstack/react-query';
import { call, problemInWords } from '../api/client.ts';

interface Props {
  orderId: string;
  /** Not once it is confirmed: then only what was said stays. */
  canSend: boolean;
  onDone: () => void;
}

/** Sends an order to the supplier’s service; a price that is another than the catalogue’s is asked about before anything is ordered. */
export function SendByWire({ orderId, canSend, onDone }: Props) {
  const wire = useMutation({
    mutationFn: (atTodaysPrices: boolean) =>
      call('POST /orders/:id/wire', { params: { id: orderId }, body: { atTodaysPrices } }),
    onSettled: onDone,
  });
  const { data, error } = wire;
  return (
    <>
      {canSend && (
        <Button variant="contained" disabled={wire.isPending} onClick={() => wire.mutate(false)}>
          {wire.isPending ? 'sending\u2026' : 'Send by wire'}
        </Button>
      )}
      {error && (
        <p className="look-here wire-said" role="alert">
          {problemInWords(error)}
        </p>
      )}
      {data && (
        <div className="wire-said" role="status">
          {data.said.map((line) => (
            <p key={line}>{line}</p>
          ))}
          {data.changed.length > 0 && (
            <>
              <ul>
                {data.changed.map(({ partNumber, wasCents, nowCents }) => (
                  <li key={partNumber}>
                    <span className="mono">{partNumber}</span> was {centsInWords(wasCents)}, is{' '}
                    {centsInWords(nowCents)}
                  </li>
                ))}
              </ul>
              <Button variant="contained" disabled={wire.isPending} onClick={() => wire.mutate(true)}>
                Order at today{'\u2019'}s prices
              </Button>
            </>
          )}
        </div>
      )}
    </>
  );
}
