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
import type { KeyboardEvent } from 'react';
import { Choice } from '../desk/Choice.tsx';
import { useDraft } from '../desk/useDraft.ts';

const RESULT_IN_WORDS: Readonly<Record<OutcomeResult, string>> = {
  cured: 'Cured',
  'came-back': 'Came back',
  'wrong-part': 'Wrong part',
  'returned-unused': 'Returned unused',
};

interface Props {
  docketId: string;
  open: boolean;
  outcome: Outcome | null;
  onClose: () => void;
  onSave: (outcome: Outcome | null) => void;
}

interface Draft {
  readonly result: OutcomeResult | null;
  readonly cause: Cause | '';
  readonly note: string;
}

/** Closing a docket: what happened, and what was really wrong if it is known. */
export function CloseDialog({ open, onClose, ...rest }: Props) {
  return (
    <DeskDialog open={open} onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="close-title">
      {open && <CloseForm onClose={onClose} {...rest} />}
    </DeskDialog>
  );
}

function CloseForm({ docketId, outcome, onClose, onSave }: Omit<Props, 'open'>) {
  const [draft, setDraft] = useDraft<Draft>(`close.${docketId}`);
  const {
    result,
    cause = '',
    note,
  } = draft ?? {
    result: outcome?.result ?? null,
    cause: outcome?.trueCause ?? '',
    note: outcome?.note ?? '',
  };
  const put = (more: Partial<Draft>) => setDraft({ result, cause, note, ...more });
  const save = (next: Outcome | null) => {
    setDraft(null);
    onSave(next);
  };
  const keys = (event: KeyboardEvent) => {
    if (/^(INPUT|TEXTAREA|SELECT)$/.test((event.target as HTMLElement).tagName)) return;
    const picked = OUTCOME_RESULTS[Number(event.key) - 1];
    if (picked) {
      event.preventDefault();
      put({ result: picked });
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
        if (result) save({ result, trueCause: cause || null, note: note.trim() || null });
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
              onClick={() => put({ result: name })}
            >
              <kbd>{i + 1}</kbd> {RESULT_IN_WORDS[name]}
            </Button>
          ))}
        </div>
        <label className="stacked">
          What was really wrong, if it is known
          <Choice<Cause | ''>
            value={cause}
            onChoice={(picked) => put({ cause: picked })}
            options={[
              { value: '', label: 'not known' },
              ...CAUSES.map((name) => ({ value: name, label: CAUSE_SHORT[name] })),
            ]}
          />
        </label>
        <TextField
          label="Note"
          value={note}
          onChange={(event) => put({ note: event.target.value })}
          fullWidth
          multiline
          minRows={2}
          slotProps={{ htmlInput: { maxLength: 1000 } }}
        />
      </DialogContent>
      <DialogActions>
        {outcome && (
          <Button variant="text" onClick={() => save(null)}>
            Open it again
          </Button>
        )}
        <Button
          onClick={() => {
            setDraft(null);
            onClose();
          }}
        >
          Cancel
        </Button>
        <Button type="submit" variant="contained" disabled={!result}>
          {outcome ? 'Save' : 'Close docket'}
        </Button>
      </DialogActions>
    </form>
  );
}
