import { languageOf, type LanguageCode } from '@hardy/core/sheets';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import { Link } from 'react-router';

interface Props {
  docketId: string;
  /** Absent: the page is told in one language only. */
  language?: LanguageCode;
  onTurn?: () => void;
  children?: ReactNode;
}

/** What can be done with a page that leaves the counter: back, another language, print, and what the screen adds. */
export function PaperTools({ docketId, language, onTurn, children }: Props) {
  return (
    <div className="sheet-tools">
      <Button className="on-bench" component={Link} to={`/docket/${docketId}`}>
        Back to the docket <kbd>b</kbd>
      </Button>
      {language && (
        <Button
          className="on-bench"
          onClick={onTurn}
          aria-label={`Language: ${languageOf(language).name}. Change.`}
        >
          {languageOf(language).name} <kbd>l</kbd>
        </Button>
      )}
      <Button className="on-bench" onClick={() => window.print()}>
        Print <kbd>p</kbd>
      </Button>
      {children}
    </div>
  );
}
