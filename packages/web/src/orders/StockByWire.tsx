import { centsInWords } from '@hardy/core/words';
import Button from '@mui/material/Button';
import { useMutation } from '@tanstack/react-query';
import { call, problemInWords } from '../api/client.ts';

interface Props {
  supplier: string;
  partNumber: string;
}

/** What the supplier has of a part, by branch, and what it costs today: asked by wire when one wants to know. */
export function StockByWire({ supplier, partNumber }: Props) {
  const stock = useMutation({
    mutationFn: () => call('GET /suppliers/:id/stock', { params: { id: supplier }, query: { partNumber } }),
  });
  const { data, error } = stock;
  if (data)
    return (
      <p className="soft" role="status">
        {data.branches
          .map(({ branch, pieces, days }) => `${branch} ${pieces} (${days === 1 ? '1 day' : `${days} days`})`)
          .join(', ')}
        ; {centsInWords(data.priceCents)} each today
      </p>
    );
  if (error)
    return (
      <p className="look-here" role="alert">
        {problemInWords(error)}
      </p>
    );
  return (
    <>
      {' '}
      <Button variant="text" disabled={stock.isPending} onClick={() => stock.mutate()}>
        ask their stock
      </Button>
    </>
  );
}
