import Button from '@mui/material/Button';
import { DeskDialog } from '../desk/DeskDialog.tsx';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import type { Conflict } from '../state/editQueue.ts';

const shown = (value: unknown): string =>
  value == null ? '\u2014' : typeof value === 'string' ? value : JSON.stringify(value);

/** Two people changed one docket: both sides' values, and the choice. */
export function ClashDialog({
  clash,
  onKeep,
}: {
  clash: Conflict | null;
  onKeep: (side: 'mine' | 'theirs') => void;
}) {
  return (
    <DeskDialog open={clash !== null} maxWidth="md" fullWidth aria-labelledby="clash-title">
      <DialogTitle id="clash-title">This docket was changed meanwhile</DialogTitle>
      <DialogContent>
        <p>Nothing is lost. Where the two differ:</p>
        <table className="order">
          <thead>
            <tr>
              <th scope="col">What</th>
              <th scope="col">Theirs</th>
              <th scope="col">Yours</th>
            </tr>
          </thead>
          <tbody>
            {clash?.differences.map((difference) => (
              <tr key={difference.path}>
                <td className="mono">{difference.path}</td>
                <td>{shown(difference.theirs)}</td>
                <td>{shown(difference.yours)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </DialogContent>
      <DialogActions>
        <Button onClick={() => onKeep('theirs')}>Keep theirs</Button>
        {clash?.yours && (
          <Button variant="contained" onClick={() => onKeep('mine')}>
            Put mine on top
          </Button>
        )}
      </DialogActions>
    </DeskDialog>
  );
}
