import Button from '@mui/material/Button';
import type { ReactNode } from 'react';

/** One fact with what it did to the answer, and a way to drop it. */
export function Fact({
  children,
  said,
  onRemove,
  what,
  mark,
}: {
  children: ReactNode;
  said?: string | undefined;
  onRemove?: () => void;
  what: string;
  mark?: string;
}) {
  return (
    <li className="fact">
      <div className="fact-main">
        <div className="fact-text">
          {mark && <span className="fact-mark">{mark}</span>}
          {children}
        </div>
        {onRemove && (
          <Button className="fact-drop" variant="text" onClick={onRemove} aria-label={`Drop: ${what}`}>
            {'\u00D7'}
          </Button>
        )}
      </div>
      {said && <p className="fact-said">{said}</p>}
    </li>
  );
}
