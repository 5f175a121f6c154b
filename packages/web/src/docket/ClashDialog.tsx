import { type MergeClash } from '@hardy/core/words';
import Button from '@mui/material/Button';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useState } from 'react';
import { DeskDialog } from '../desk/DeskDialog.tsx';
import type { Conflict } from '../state/editQueue.ts';

const shown = (value: unknown): string =>
  value == null ? 'not given' : typeof value === 'string' ? value : JSON.stringify(value);

/** `vehicle.saltExposure` as people read it: vehicle, salt exposure; places in lists count from one. */
const placeInWords = ({ place }: MergeClash): string =>
  place
    .map((step) =>
      typeof step === 'number' ? String(step + 1) : step.replace(/([A-Z])/g, ' $1').toLowerCase(),
    )
    .join(', ');

interface Props {
  clash: Conflict | null;
  /** Your value at these places, theirs at the others. */
  onChoose: (yours: readonly MergeClash[]) => void;
}

/** Two people changed one docket: what only one of them touched is kept of both; the rest is chosen, field by field. */
export function ClashDialog({ clash, onChoose }: Props) {
  return (
    <DeskDialog open={clash !== null} maxWidth="md" fullWidth aria-labelledby="clash-title">
      {clash && <Clashes key={JSON.stringify(clash.clashes)} clash={clash} onChoose={onChoose} />}
    </DeskDialog>
  );
}

function Clashes({ clash, onChoose }: { clash: Conflict } & Pick<Props, 'onChoose'>) {
  const [yours, setYours] = useState<ReadonlySet<number>>(new Set());
  const take = (i: number, mine: boolean) =>
    setYours((sofar) => {
      const next = new Set(sofar);
      if (mine) next.add(i);
      else next.delete(i);
      return next;
    });
  if (!clash.merged)
    return (
      <>
        <DialogTitle id="clash-title">This docket was changed meanwhile</DialogTitle>
        <DialogContent>
          <p>
            Someone else changed it, so “{clash.label}” would take back another thing now. Look at it as it
            is, then go back if you still want to.
          </p>
        </DialogContent>
        <DialogActions>
          <Button variant="contained" autoFocus onClick={() => onChoose([])}>
            Show it as it is
          </Button>
        </DialogActions>
      </>
    );
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        onChoose(clash.clashes.filter((_, i) => yours.has(i)));
      }}
    >
      <DialogTitle id="clash-title">This docket was changed meanwhile</DialogTitle>
      <DialogContent>
        <p>
          Everything only one of you changed is kept of both. {clash.clashes.length === 1 ? 'This' : 'These'}{' '}
          both of you changed; choose:
        </p>
        <table className="order clashes">
          <thead>
            <tr>
              <th scope="col">What</th>
              <th scope="col">Before</th>
              <th scope="col">Theirs</th>
              <th scope="col">Yours</th>
            </tr>
          </thead>
          <tbody>
            {clash.clashes.map((each, i) => (
              <tr key={placeInWords(each)}>
                <td>{placeInWords(each)}</td>
                <td className="soft">{shown(each.before)}</td>
                {(['theirs', 'yours'] as const).map((side) => (
                  <td key={side}>
                    <Button
                      variant={yours.has(i) === (side === 'yours') ? 'contained' : 'outlined'}
                      aria-pressed={yours.has(i) === (side === 'yours')}
                      aria-label={`${placeInWords(each)}: ${side}, ${shown(each[side])}`}
                      onClick={() => take(i, side === 'yours')}
                    >
                      {shown(each[side])}
                    </Button>
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </DialogContent>
      <DialogActions>
        <Button type="submit" variant="contained">
          Keep it so
        </Button>
      </DialogActions>
    </form>
  );
}
