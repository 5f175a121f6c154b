import Button from '@mui/material/Button';
import { useEffect, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { call } from '../api/client.ts';
import { Barcode } from './Barcode.tsx';
import type { PartAnswer } from './types.ts';

/** Labels for bins: number, words, bin and a code to scan. */
export function Labels() {
  const [params] = useSearchParams();
  const numbers = params.get('numbers') ?? '';
  const [views, setViews] = useState<PartAnswer[]>([]);
  const [error, setError] = useState<string | null>(null);
  useEffect(() => {
    Promise.all(
      numbers
        .split(',')
        .filter(Boolean)
        .map((number) => call<PartAnswer>(`/parts/${encodeURIComponent(number)}`)),
    ).then(setViews, (problem: unknown) =>
      setError(problem instanceof Error ? problem.message : String(problem)),
    );
  }, [numbers]);
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
      {error && <p role="alert">{error}</p>}
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
