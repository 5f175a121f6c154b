import {
  CAUSES,
  CAUSE_SHORT,
  OUTCOME_RESULTS,
  type Cause,
  type Outcome,
  type OutcomeResult,
} from '@hardy/core/words';
import Button from '@mui/material/Button';
import { DeskDialog } from '../desk/DeskDialog.tsx';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { useState, type KeyboardEvent } from 'react';
import { Choice } from '../desk/Choice.tsx';

const RESULT_IN_WORDS: Readonly<Record<OutcomeResult, string>> = {
  cured: 'Cured',
  'came-back': 'Came back',
  'wrong-part': 'Wrong part',
  'returned-unused': 'Returned unused',
};

interface Props {
  open: boolean;
  outcome: Outcome | null;
  onClose: () => void;
  onSave: (outcome: Outcome | null) => void;
}

/** Closing a docket: what happened, and what was really wrong if it is known. */
export function CloseDialog({ open, outcome, onClose, onSave }: Props) {
  return (
    <DeskDialog open={open} onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="close-title">
      {open && <CloseForm outcome={outcome} onClose={onClose} onSave={onSave} />}
    </DeskDialog>
  );
}

function CloseForm({ outcome, onClose, onSave }: Omit<Props, 'open'>) {
  const [result, setResult] = useState<OutcomeResult | null>(outcome?.result ?? null);
  const [cause, setCause] = useState<Cause | ''>(outcome?.trueCause ?? '');
  const [note, setNote] = useState(outcome?.note ?? '');
  const keys = (event: KeyboardEvent) => {
    if (/^(INPUT|TEXTAREA|SELECT)$/.test((event.target as HTMLElement).tagName)) return;
    const picked = OUTCOME_RESULTS[Number(event.key) - 1];
    if (picked) {
      event.preventDefault();
      setResult(picked);
    }
  };
  return (
    <form
      className="dialog-body"
      tabIndex={-1}
      ref={(node) => {
        if (node && !node.contains(document.activeElement)) node.focus();
      }}
      onKeyDown={keys}
      onSubmit={(event) => {
        event.preventDefault();
        if (result) onSave({ result, trueCause: cause || null, note: note.trim() || null });
      }}
    >
      <DialogTitle id="close-title">What happened?</DialogTitle>
      <DialogContent>
        <div className="answers" role="group" aria-label="Outcome">
          {OUTCOME_RESULTS.map((name, i) => (
            <Button
              key={name}
              variant={name === result ? 'contained' : 'outlined'}
              aria-pressed={name === result}
              onClick={() => setResult(name)}
            >
              <kbd>{i + 1}</kbd> {RESULT_IN_WORDS[name]}
            </Button>
          ))}
        </div>
        <label className="stacked">
          What was really wrong, if it is known
          <Choice<Cause | ''>
            value={cause}
            onChoice={setCause}
            options={[
              { value: '', label: 'not known' },
              ...CAUSES.map((name) => ({ value: name, label: CAUSE_SHORT[name] })),
            ]}
          />
        </label>
        <TextField
          label="Note"
          value={note}
          onChange={(event) => setNote(event.target.value)}
          fullWidth
          multiline
          minRows={2}
          slotProps={{ htmlInput: { maxLength: 1000 } }}
        />
      </DialogContent>
      <DialogActions>
        {outcome && (
          <Button variant="text" onClick={() => onSave(null)}>
            Open it again
          </Button>
        )}
        <Button onClick={onClose}>Cancel</Button>
        <Button type="submit" variant="contained" disabled={!result}>
          {outcome ? 'Save' : 'Close docket'}
        </Button>
      </DialogActions>
    </form>
  );
}
