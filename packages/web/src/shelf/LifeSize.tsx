import Button from '@mui/material/Button';
import { useEffect, useState } from 'react';
import { Link, useParams } from 'react-router';
import { call } from '../api/client.ts';
import { PartToScale } from './PartToScale.tsx';
import type { PartAnswer } from './types.ts';

/** A part on paper at its own size: the old one is laid on it. */
export function LifeSize() {
  const { number = '' } = useParams();
  const [view, setView] = useState<PartAnswer | null>(null);
  const [error, setError] = useState<string | null>(null);
  useEffect(() => {
    call<PartAnswer>(`/parts/${encodeURIComponent(number)}`).then(setView, (problem: unknown) =>
      setError(problem instanceof Error ? problem.message : String(problem)),
    );
  }, [number]);
  return (
    <main className="print-page">
      <div className="print-tools">
        <Button variant="contained" onClick={() => window.print()}>
          Print
        </Button>
        <Button component={Link} to={`/shelf?part=${encodeURIComponent(number)}`}>
          Back to the shelf
        </Button>
      </div>
      {error && <p role="alert">{error}</p>}
      {view && (
        <>
          <h1 className="mono">{view.part.number}</h1>
          <p>
            {view.part.description}. Print at 100 %, not fitted to the page; measure the bar before you trust
            the drawing. Reference only: the maker&rsquo;s data come first.
          </p>
          <PartToScale part={view.part} lifeSize />
        </>
      )}
    </main>
  );
}
