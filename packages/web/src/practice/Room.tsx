import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Desk } from '../desk/Desk.tsx';

interface Props {
  title: string;
  /** What stands beside the title, softly. */
  note?: ReactNode;
  tools?: ReactNode;
  /** Said before anything else. */
  problem: string | null;
  className?: string;
  /** Whether a way back to the hall is shown: not in the hall itself. */
  toHall?: boolean;
  children: ReactNode;
}

/** A room of practice: its title, what one can do there, what went wrong, and what is in it. */
export function Room({ title, note, tools, problem, className, toHall = true, children }: Props) {
  return (
    <Desk>
      <div className={`sheet ${className ?? ''}`}>
        <div className="docket-head">
          <h1>{title}</h1>
          <span className="soft">{note}</span>
          <span className="docket-tools">
            {tools}
            {toHall && (
              <Button variant="text" component={Link} to="/hall">
                hall <kbd>b</kbd>
              </Button>
            )}
          </span>
        </div>
        {problem && (
          <p className="look-here" role="alert">
            {problem}
          </p>
        )}
        {children}
      </div>
    </Desk>
  );
}
