import Button from '@mui/material/Button';
import { useState, type ReactNode } from 'react';
import { Link, NavLink } from 'react-router';
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

/** The bench: a dark strip with the name, what the screen puts there, and help; below it the sheet. */
export function Desk({ strip, children }: { strip?: ReactNode; children: ReactNode }) {
  const [help, setHelp] = useState(false);
  useScanner();
  useKeys({ '?': () => setHelp(true) });
  return (
    <div className="desk">
      <header className="strip">
        <Link to="/" className="wordmark" aria-label="Hardy Spoke, to the counter">
          <img src="/spoke.svg" alt="" width={28} height={28} />
          <span>Hardy Spoke</span>
        </Link>
        <div className="strip-middle">{strip}</div>
        <nav className="rooms" aria-label="Screens">
          {ROOMS.map(({ to, name }) => (
            <NavLink key={to} to={to}>
              {name}
            </NavLink>
          ))}
        </nav>
        <Button className="on-bench" onClick={() => setHelp(true)} aria-label="Show the keys">
          Keys <kbd>?</kbd>
        </Button>
      </header>
      <main>{children}</main>
      <ShortcutsDialog open={help} onClose={() => setHelp(false)} />
    </div>
  );
}
