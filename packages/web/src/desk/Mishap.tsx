import Button from '@mui/material/Button';
import { useEffect, useState, type ReactNode } from 'react';
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary';
import { useLocation } from 'react-router';

/** Remembers over a reload that one was made for a piece that did not come: a second would go round in circles. */
const RELOADED = 'hardy-spoke/reloaded';

/** A piece of the pages that the server has no more: it was built anew since this page was opened. */
const isMissingPiece = (error: unknown): boolean =>
  error instanceof Error &&
  /dynamically imported module|importing a module script|preload/i.test(error.message);

/** Whether loading the page anew may help and was not tried yet for this address. */
const isWorthReloading = (error: unknown): boolean =>
  isMissingPiece(error) && sessionStorage.getItem(RELOADED) !== window.location.pathname;

function Mishap({ error, resetErrorBoundary }: FallbackProps) {
  const words = error instanceof Error ? error.message : String(error);
  const [reloads] = useState(() => isWorthReloading(error));
  useEffect(() => {
    if (!reloads) return;
    sessionStorage.setItem(RELOADED, window.location.pathname);
    window.location.reload();
  }, [reloads]);
  if (reloads)
    return (
      <main className="sheet">
        <p role="status">Loading the page anew{'\u2026'}</p>
      </main>
    );
  return (
    <main className="sheet">
      <h1>This screen could not be shown</h1>
      <p className="gap" role="alert">
        {isMissingPiece(error)
          ? 'A piece of it did not come: the server was stopped or renewed meanwhile.'
          : 'Something in it broke. What was kept on the server is safe.'}
      </p>
      <p className="gap answers">
        <Button variant="contained" onClick={resetErrorBoundary}>
          Try again
        </Button>
        <Button onClick={() => window.location.reload()}>Load the page anew</Button>
        <Button href="/">To the counter</Button>
      </p>
      <p className="soft small">{words}</p>
    </main>
  );
}

/** Whatever breaks in a screen is told on it, with a way on; never a blank page. Another address begins anew. */
export function WithMishaps({ children }: { children: ReactNode }) {
  const { pathname } = useLocation();
  return (
    <ErrorBoundary FallbackComponent={Mishap} resetKeys={[pathname]}>
      {children}
    </ErrorBoundary>
  );
}
