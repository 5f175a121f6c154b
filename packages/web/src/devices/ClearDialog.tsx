import type { ReaderCodes } from '@hardy/core/contract';
import Button from '@mui/material/Button';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useMutation } from '@tanstack/react-query';
import { call, problemInWords } from '../api/client.ts';
import { DeskDialog } from '../desk/DeskDialog.tsx';
import { lookAgain } from './useDevices.ts';

interface Props {
  open: boolean;
  docketId: string;
  /** What was read last; null: nothing was. */
  known: ReaderCodes | null;
  onClose: () => void;
}

/** Clearing codes: what is lost by it, and a press that says one is sure. */
export function ClearDialog({ open, docketId, known, onClose }: Props) {
  const clear = useMutation({
    mutationFn: () => call('POST /devices/reader/clear', { body: { docketId, sure: true } }),
    onSettled: lookAgain,
  });
  const close = () => {
    clear.reset();
    onClose();
  };
  const done = clear.data;
  return (
    <DeskDialog open={open} onClose={close} maxWidth="sm" fullWidth aria-labelledby="clear-title">
      <DialogTitle id="clear-title">Clear the codes of every controller?</DialogTitle>
      <DialogContent>
        {clear.error && (
          <p className="look-here" role="alert">
            {problemInWords(clear.error)}
          </p>
        )}
        {done ? (
          <div role="status">
            <p>Cleared: {done.cleared.join(', ') || 'none'}.</p>
            {done.refused.map(({ name, why }) => (
              <p key={name} className="look-here">
                {name}: {why}
              </p>
            ))}
            <p className="soft">
              The lamp goes out after a start and a drive above walking pace in which nothing is found. Read
              again after that drive.
            </p>
          </div>
        ) : (
          <>
            <p>What is lost with them, for good:</p>
            <ul className="device-lost">
              <li>which wheel it was and whether it stood or came and went</li>
              <li>what each controller noted with it: speed, voltage, how often</li>
              <li>what other controllers learned: some drives must be made again before they are ready</li>
            </ul>
            <p className={known ? 'soft' : 'look-here'}>
              {known
                ? `Read before: ${known.codes.map(({ code }) => code).join(', ') || 'no codes'}.`
                : 'Nothing was read yet. Read first: a code that is gone tells nobody anything.'}
            </p>
            <p className="soft">It is refused while a wheel turns, or while this docket says stop.</p>
          </>
        )}
      </DialogContent>
      <DialogActions>
        {/* A button of its own when it is done: the one that had the focus is gone, and Escape must be heard. */}
        <Button key={done ? 'close' : 'keep'} onClick={close} autoFocus>
          {done ? 'Close' : 'Keep them'}
        </Button>
        {!done && (
          <Button variant="contained" disabled={clear.isPending} onClick={() => clear.mutate()}>
            Clear
          </Button>
        )}
      </DialogActions>
    </DeskDialog>
  );
}
