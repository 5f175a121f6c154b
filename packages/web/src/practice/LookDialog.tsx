import type { VisitView } from '@hardy/core/contract';
import { CHECK_IN_WORDS, CHECK_NAMES, type CheckName, type PracticeDeed } from '@hardy/core/words';
import Button from '@mui/material/Button';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useState } from 'react';
import { Choice } from '../desk/Choice.tsx';
import { DeskDialog } from '../desk/DeskDialog.tsx';
import { submitOnEnter } from './submitOnEnter.ts';

/** Looks that tell of the whole vehicle. */
const ALL_ROUND: ReadonlySet<CheckName> = new Set(['live', 'tyres', 'battery', 'lamps', 'brake.fluid']);
const CHECKS = CHECK_NAMES.map((value) => ({ value, label: CHECK_IN_WORDS[value] }));

interface Props {
  visit: VisitView;
  onClose: () => void;
  onDeed: (deed: PracticeDeed) => void;
}

/** A check, and the wheel it is made at. */
export function LookDialog({ visit, onClose, onDeed }: Props) {
  const [check, setCheck] = useState<CheckName>('visual.connector');
  const [at, setAt] = useState<string>(visit.wheels[0]?.wheelEnd ?? 'A1L');
  const all = ALL_ROUND.has(check);
  return (
    <DeskDialog open onClose={onClose} aria-labelledby="look-title">
      <form
        onKeyDown={submitOnEnter}
        onSubmit={(event) => {
          event.preventDefault();
          onClose();
          // Tyres, battery and lamps are asked of any wheel: they tell of all.
          const wheel = all && check !== 'live' ? (visit.wheels[0]?.wheelEnd ?? null) : all ? null : at;
          onDeed({ kind: 'check', check, at: wheel });
        }}
      >
        <DialogTitle id="look-title">Look, feel, meter</DialogTitle>
        <DialogContent className="practice-fields">
          <label htmlFor="look-check">What</label>
          <Choice id="look-check" value={check} options={CHECKS} onChoice={setCheck} fullWidth autoFocus />
          {!all && (
            <>
              <label htmlFor="look-at">Where</label>
              <Choice
                id="look-at"
                value={at}
                options={visit.wheels.map(({ wheelEnd, words }) => ({ value: wheelEnd, label: words }))}
                onChoice={setAt}
                fullWidth
              />
            </>
          )}
          {all && <p className="soft">It tells of the whole vehicle.</p>}
        </DialogContent>
        <DialogActions>
          <Button onClick={onClose}>Leave it</Button>
          <Button type="submit" variant="contained">
            Do it
          </Button>
        </DialogActions>
      </form>
    </DeskDialog>
  );
}
