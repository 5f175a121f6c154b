import {
  CHECK_IN_WORDS,
  wheelEndInWords,
  type Check,
  type CheckName,
  type WheelEnd,
} from '@hardy/core/plain';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import {
  CHECK_MEASURES,
  CHECK_ORDER,
  pickableResults,
  checkWithMeasure,
  checkWithResult,
} from './checkResults.ts';

interface Props {
  open: boolean;
  /** The check to begin with, when one was asked for. */
  first: CheckName | null;
  corner: WheelEnd | null;
  ends: readonly WheelEnd[];
  axles: number;
  onClose: () => void;
  onAdd: (check: Check) => void;
}

const letter = (i: number): string => String.fromCharCode(97 + i);

/** A check in three keys: which (a letter), where (already the corner), what was found (a number). */
export function AddCheckDialog({ open, first, corner, ends, axles, onClose, onAdd }: Props) {
  return (
    <Dialog open={open} onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="add-check-title">
      {open && (
        <AddCheck
          key={first ?? 'any'}
          first={first}
          corner={corner}
          ends={ends}
          axles={axles}
          onAdd={onAdd}
        />
      )}
    </Dialog>
  );
}

function AddCheck({ first, corner, ends, axles, onAdd }: Omit<Props, 'open' | 'onClose'>) {
  const [check, setCheck] = useState<CheckName | null>(first);
  const [end, setEnd] = useState<WheelEnd | null>(corner);
  const [reading, setReading] = useState('');
  const body = useRef<HTMLDivElement>(null);
  useEffect(() => {
    // Where only a number can be given, typing starts in its field.
    const field = check && pickableResults(check).length === 0 ? body.current?.querySelector('input') : null;
    (field ?? body.current)?.focus();
  }, [check]);
  const results = check ? pickableResults(check) : [];
  const measure = check ? CHECK_MEASURES[check] : undefined;
  const value = Number(reading.replace(',', '.'));
  const readingProblem =
    reading.trim() === ''
      ? null
      : !Number.isFinite(value) || value < 0 || value > (measure?.max ?? 0)
        ? `a number from 0 to ${measure?.max} ${measure?.unit}`
        : null;
  const keys = (event: KeyboardEvent) => {
    if ((event.target as HTMLElement).tagName === 'INPUT' || event.ctrlKey || event.metaKey || event.altKey)
      return;
    if (!check) {
      const i = event.key.length === 1 ? event.key.charCodeAt(0) - 97 : -1;
      const name = CHECK_ORDER[i];
      if (name) {
        event.preventDefault();
        setCheck(name);
      }
      return;
    }
    const result = results[Number(event.key) - 1];
    if (result) {
      event.preventDefault();
      onAdd(checkWithResult(check, result, end));
    }
  };
  return (
    // The keys are a second way: every choice is a button as well.
    <div onKeyDown={keys} tabIndex={-1} ref={body} className="dialog-body">
      <DialogTitle id="add-check-title">
        {check ? CHECK_IN_WORDS[check].replace(/^./, (c) => c.toUpperCase()) : 'Which check was made?'}
      </DialogTitle>
      <DialogContent>
        <div className="answers" role="group" aria-label="At which wheel">
          {ends.map((wheelEnd) => (
            <Button
              key={wheelEnd}
              variant={wheelEnd === end ? 'contained' : 'outlined'}
              aria-pressed={wheelEnd === end}
              onClick={() => setEnd(wheelEnd)}
            >
              {wheelEndInWords(wheelEnd, axles)}
            </Button>
          ))}
        </div>
        {!check && (
          <ul className="results">
            {CHECK_ORDER.map((name, i) => (
              <li key={name}>
                <Button onClick={() => setCheck(name)}>
                  <kbd>{letter(i)}</kbd>
                  <span className="result-name">{CHECK_IN_WORDS[name]}</span>
                </Button>
              </li>
            ))}
          </ul>
        )}
        {check && results.length > 0 && (
          <ul className="results">
            {results.map((result, i) => (
              <li key={result}>
                <Button onClick={() => onAdd(checkWithResult(check, result, end))}>
                  <kbd>{i + 1}</kbd>
                  <span className="result-name">{result.replace(/-/g, ' ')}</span>
                </Button>
              </li>
            ))}
          </ul>
        )}
        {check && measure && (
          <form
            className="reading-form"
            onSubmit={(event) => {
              event.preventDefault();
              if (reading.trim() && !readingProblem) onAdd(checkWithMeasure(check, value, end));
            }}
          >
            <TextField
              label={`${measure.label}, ${measure.unit}`}
              value={reading}
              onChange={(event) => setReading(event.target.value)}
              error={readingProblem !== null}
              helperText={readingProblem ?? ' '}
              size="small"
              slotProps={{ htmlInput: { inputMode: 'decimal' } }}
            />
            <Button type="submit" variant="contained" disabled={!reading.trim() || readingProblem !== null}>
              Add
            </Button>
          </form>
        )}
      </DialogContent>
    </div>
  );
}
