import Button from '@mui/material/Button';
import { lazy, Suspense, useState, type ReactNode } from 'react';
import { Link, NavLink } from 'react-router';
import { isPractice } from '../space.ts';
import { ShortcutsDialog } from './ShortcutsDialog.tsx';
import { useKeys } from './useKeys.ts';
import { useScanner } from './useScanner.ts';

const ROOMS = [
  { to: '/shelf', name: 'Shelf' },
  { to: '/orders', name: 'Suppliers' },
  { to: '/ledger', name: 'Ledger' },
  { to: '/trace', name: 'Trace bench' },
  { to: '/devices', name: 'Devices' },
  { to: '/setup', name: 'Setup' },
] as const;

const PracticeBar = lazy(() =>
  import('../practice/PracticeBar.tsx').then((m) => ({ default: m.PracticeBar })),
);

/** The bench: a dark strip with the name, what the screen puts there, and help; below it the sheet. */
export function Desk({ strip, children }: { strip?: ReactNode; children: ReactNode }) {
  const [help, setHelp] = useState(false);
  useScanner();
  useKeys({ '?': () => setHelp(true) });
  return (
    <div className={isPractice ? 'desk practice-desk' : 'desk'}>
      <header className="strip">
        <Link to="/" className="wordmark" aria-label="Hardy Spoke, to the counter">
          <img src="/spoke.svg" alt="" width={28} height={28} />
          <span>Hardy Spoke</span>
        </Link>
        <div className="strip-middle">{strip}</div>
        <nav className="rooms" aria-label="Screens">
          {isPractice && <NavLink to="/hall">Practice hall</NavLink>}
          {ROOMS.map(({ to, name }) => (
            <NavLink key={to} to={to}>
              {name}
            </NavLink>
          ))}
          {/* Another counter, on other books: the page is loaded anew. */}
          {isPractice ? <a href="/">Leave practice</a> : <a href="/practice/hall">Practice</a>}
        </nav>
        <Button className="on-bench" onClick={() => setHelp(true)} aria-label="Show the keys">
          Keys <kbd>?</kbd>
        </Button>
      </header>
      {isPractice && (
        <Suspense fallback={null}>
          <PracticeBar />
        </Suspense>
      )}
      <main>{children}</main>
      {isPractice && (
        <p className="watermark" aria-hidden="true">
          practice, for no vehicle
        </p>
      )}
      <ShortcutsDialog open={help} onClose={() => setHelp(false)} />
    </div>
  );
}
