import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { call, problemInWords } from '../api/client.ts';
import { useTitle } from '../desk/useTitle.ts';
import { PartToScale } from './PartToScale.tsx';
import './shelf.css';

/** A part on paper at its own size: the old one is laid on it. */
export function LifeSize() {
  const { number = '' } = useParams();
  const { data: view, error } = useQuery({
    queryKey: ['part', number],
    queryFn: ({ signal }) => call('GET /parts/:number', { params: { number }, signal }),
  });
  useTitle(number, 'life size');
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
      {error && <p role="alert">{problemInWords(error)}</p>}
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
