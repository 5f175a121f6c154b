import Button from '@mui/material/Button';
import { useQueries } from '@tanstack/react-query';
import { Link, useSearchParams } from 'react-router';
import { call, problemInWords } from '../api/client.ts';
import { useTitle } from '../desk/useTitle.ts';
import { Barcode } from './Barcode.tsx';
import './shelf.css';

/** Labels for bins: number, words, bin and a code to scan. */
export function Labels() {
  const [params] = useSearchParams();
  const numbers = params.get('numbers') ?? '';
  const asked = useQueries({
    queries: numbers
      .split(',')
      .filter(Boolean)
      .map((number) => ({
        queryKey: ['part', number],
        queryFn: ({ signal }: { signal: AbortSignal }) =>
          call('GET /parts/:number', { params: { number }, signal }),
      })),
  });
  const views = asked.flatMap(({ data }) => data ?? []);
  const error = asked.find((each) => each.error)?.error ?? null;
  useTitle('Bin labels');
  return (
    <main className="print-page">
      <div className="print-tools">
        <Button variant="contained" onClick={() => window.print()}>
          Print
        </Button>
        <Button component={Link} to="/shelf">
          Back to the shelf
        </Button>
      </div>
      <h1 className="unseen">Bin labels</h1>
      {error && <p role="alert">{problemInWords(error)}</p>}
      <ul className="labels">
        {views.map(({ part }) => (
          <li key={part.number}>
            <strong className="mono">{part.number}</strong>
            <span>{part.description}</span>
            <span>{part.bin ? `bin ${part.bin}` : 'no bin yet'}</span>
            <Barcode code={part.number} label={`Code 128 of ${part.number}`} />
            {part.barcode && <Barcode code={part.barcode} label={`Barcode ${part.barcode}`} />}
          </li>
        ))}
      </ul>
    </main>
  );
}
