import {
  acrossFrom,
  CHECK_IN_WORDS,
  CHECK_NAMES,
  CHECK_RESULTS,
  checkWithResult,
  kindOf,
  numbersOf,
  wheelEndInWords,
  type Check,
  type CheckName,
  type WheelEnd,
} from '@hardy/core/words';
import { explainRatio, type CheckSetting } from '@hardy/core/metering';
import Button from '@mui/material/Button';
import { DeskDialog } from '../desk/DeskDialog.tsx';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { useDraft } from '../desk/useDraft.ts';
import { FindingPicture } from '../drawings/FindingPicture.tsx';
import { MeasureForm } from './MeasureForm.tsx';
import { numberTyped } from './measureFields.ts';
import { TyresForm } from './TyresForm.tsx';

interface Props {
  open: boolean;
  /** The check to begin with, when one was asked for. */
  first: CheckName | null;
  corner: WheelEnd | null;
  ends: readonly WheelEnd[];
  setting: (wheelEnd: WheelEnd | null) => CheckSetting;
  tyres: Readonly<Record<string, string>>;
  onClose: () => void;
  onAdd: (check: Check) => void;
}

const letter = (i: number): string => String.fromCharCode(97 + i);
const isRatio = (result: string): boolean => result === 'reads-high' || result === 'reads-low';

/** A check in three keys: which (a letter), where (already the corner), what was found (a number). */
export function AddCheckDialog({ open, onClose, ...rest }: Props) {
  return (
    <DeskDialog open={open} onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="add-check-title">
      {open && <AddCheck key={rest.first ?? 'any'} {...rest} />}
    </DeskDialog>
  );
}

function AddCheck({ first, corner, ends, setting, tyres, onAdd }: Omit<Props, 'open' | 'onClose'>) {
  const [check, setCheck] = useState<CheckName | null>(first);
  const [end, setEnd] = useState<WheelEnd | null>(corner);
  const [ratio, setRatio] = useState<string | null>(null);
  const body = useRef<HTMLDivElement>(null);
  const results: readonly string[] = check ? CHECK_RESULTS[check] : [];
  const byWheel = check === null || kindOf(check).speaksOf === 'wheel' || kindOf(check).speaksOf === 'brakes';
  const measured = check !== null && (numbersOf(check).length > 0 || check === 'tyres');
  const here = setting(end);
  useEffect(() => {
    // Where only numbers can be given, typing starts in their field.
    const field = measured && results.length === 0 ? body.current?.querySelector('input') : null;
    (field ?? body.current)?.focus();
  }, [check, measured, results.length, ratio]);
  const pick = (result: string) => {
    if (!check) return;
    if (check === 'live' && isRatio(result)) setRatio(result);
    else if (check === 'swap')
      onAdd({ ...checkWithResult(check, result, end), with: end ? acrossFrom(end) : null } as Check);
    else onAdd(checkWithResult(check, result, end));
  };
  const keys = (event: KeyboardEvent) => {
    if ((event.target as HTMLElement).tagName === 'INPUT' || event.ctrlKey || event.metaKey || event.altKey)
      return;
    if (!check) {
      const name = event.key.length === 1 ? CHECK_NAMES[event.key.charCodeAt(0) - 97] : undefined;
      if (name) {
        event.preventDefault();
        setCheck(name);
      }
      return;
    }
    const result = ratio === null ? results[Number(event.key) - 1] : undefined;
    if (result) {
      event.preventDefault();
      pick(result);
    }
  };
  return (
    // The keys are a second way: every choice is a button as well.
    <div onKeyDown={keys} tabIndex={-1} ref={body} className="dialog-body">
      <DialogTitle id="add-check-title">
        {check ? CHECK_IN_WORDS[check].replace(/^./, (c) => c.toUpperCase()) : 'Which check was made?'}
      </DialogTitle>
      <DialogContent>
        {byWheel && (
          <div className="answers" role="group" aria-label="At which wheel">
            {ends.map((wheelEnd) => (
              <Button
                key={wheelEnd}
                variant={wheelEnd === end ? 'contained' : 'outlined'}
                aria-pressed={wheelEnd === end}
                onClick={() => setEnd(wheelEnd)}
              >
                {wheelEndInWords(wheelEnd, here)}
              </Button>
            ))}
          </div>
        )}
        {!check && (
          <ul className="results two-columns">
            {CHECK_NAMES.map((name, i) => (
              <li key={name}>
                <Button onClick={() => setCheck(name)}>
                  <kbd>{letter(i)}</kbd>
                  <span className="result-name">{CHECK_IN_WORDS[name]}</span>
                </Button>
              </li>
            ))}
          </ul>
        )}
        {check && results.length > 0 && ratio === null && (
          <ul className="results">
            {results.map((result, i) => (
              <li key={result}>
                <Button onClick={() => pick(result)}>
                  <kbd>{i + 1}</kbd>
                  <FindingPicture check={check} result={result} />
                  <span className="result-name">{result.replace(/-/g, ' ')}</span>
                </Button>
              </li>
            ))}
          </ul>
        )}
        {check && numbersOf(check).length > 0 && (
          <MeasureForm key={check} check={check} wheelEnd={end} setting={here} onAdd={onAdd} />
        )}
        {check === 'tyres' && <TyresForm known={tyres} setting={here} onAdd={onAdd} />}
        {check === 'live' && ratio !== null && (
          <RatioForm pattern={ratio} end={end} setting={here} onAdd={onAdd} />
        )}
      </DialogContent>
    </div>
  );
}

interface RatioProps {
  pattern: string;
  end: WheelEnd | null;
  setting: CheckSetting;
  onAdd: (check: Check) => void;
}

/** By how much a wheel reads off, and what explains it: tyres, teeth, wear. */
function RatioForm({ pattern, end, setting, onAdd }: RatioProps) {
  const [draft, setText] = useDraft<string>(`${window.location.pathname} ratio ${end ?? ''}`);
  const text = draft ?? '';
  const sign = pattern === 'reads-low' ? -1 : 1;
  const typed = numberTyped(text.replace(/%\s*$/, ''), '%');
  const percent = typed === null ? null : sign * Math.abs(typed);
  const reasons = percent === null ? [] : explainRatio(percent, { tyre: setting.tyre ?? null }, 5);
  const add = (extra: object) => {
    setText(null);
    onAdd({ check: 'live', wheelEnd: end, pattern, ...extra } as Check);
  };
  return (
    <form
      className="measure-form"
      onSubmit={(event) => {
        event.preventDefault();
        if (percent !== null) add({ percent, growsWithSpeed: true });
      }}
    >
      <div className="reading-form">
        <TextField
          label={`${pattern === 'reads-low' ? 'low' : 'high'} by, %`}
          value={text}
          onChange={(event) => setText(event.target.value)}
          size="small"
          autoFocus
        />
        <Button type="submit" variant="contained" disabled={percent === null}>
          Add
        </Button>
        <Button onClick={() => add({})}>not measured</Button>
      </div>
      {reasons.length > 0 && (
        <div className="told" role="status">
          <strong>explained by</strong>
          <ul>
            {reasons.map(({ because, leftPercent }) => (
              <li key={because}>
                {because}; {Math.abs(leftPercent).toFixed(2)} % left over
              </li>
            ))}
          </ul>
        </div>
      )}
    </form>
  );
}
