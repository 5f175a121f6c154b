import Button from '@mui/material/Button';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useMutation } from '@tanstack/react-query';
import { BASE } from '../space.ts';
import { call, problemInWords } from '../api/client.ts';
import { DeskDialog } from '../desk/DeskDialog.tsx';
import { HeldBackups } from '../setup/HeldBackups.tsx';
import { useBackups } from '../setup/useBackups.ts';
import { queryClient } from '../state/queryClient.ts';

interface Props {
  open: boolean;
  customerId: number;
  docketId: string;
  who: string;
  onClose: () => void;
}

/** Erasing who a customer is: what goes, what stays, that it cannot be undone, and which backups hold it afterwards. */
export function EraseDialog({ open, customerId, docketId, who, onClose }: Props) {
  const erase = useMutation({
    mutationFn: () => call('POST /customers/:id/erase', { params: { id: String(customerId) }, body: {} }),
  });
  const leave = async () => {
    onClose();
    await queryClient.invalidateQueries();
    // The page still holds what was typed: it is read again, without it.
    window.location.assign(`${BASE}/docket/${docketId}`);
  };
  return (
    <DeskDialog
      open={open}
      onClose={erase.isSuccess ? () => void leave() : onClose}
      maxWidth="sm"
      fullWidth
      aria-labelledby="erase-title"
    >
      {erase.isSuccess ? (
        <ErasedStep onDone={() => void leave()} />
      ) : (
        <>
          <DialogTitle id="erase-title">Erase {who}?</DialogTitle>
          <DialogContent>
            {erase.error && (
              <p className="look-here" role="alert">
                {problemInWords(erase.error)}
              </p>
            )}
            <p>
              Name, phone and firm go from every docket, from its words, its history and the search; plate and
              VIN too, unless it is a fleet{'\u2019'}s vehicle. What was wrong, what was sold and what came of
              it stays. It cannot be undone.
            </p>
            <p className="soft gap">
              Backups made before still hold it. The next step lists them and can delete them. Files that were
              exported, printed or copied elsewhere are not reached.
            </p>
          </DialogContent>
          <DialogActions>
            <Button onClick={onClose} autoFocus>
              Keep
            </Button>
            <Button variant="contained" disabled={erase.isPending} onClick={() => erase.mutate()}>
              Erase for good
            </Button>
          </DialogActions>
        </>
      )}
    </DeskDialog>
  );
}

/** After an erasure: a new backup is made, and the older ones that still hold the customer can be deleted. */
function ErasedStep({ onDone }: { onDone: () => void }) {
  const { view, remove, error } = useBackups(true);
  const isMade = view?.backups[0]?.erased === 0;
  const problem = error ? problemInWords(error) : view?.problem;
  return (
    <>
      <DialogTitle id="erase-title">Erased</DialogTitle>
      <DialogContent>
        {problem && (
          <p className="look-here" role="alert">
            {problem}
          </p>
        )}
        {view?.folder === null && <p>This server makes no backups: none holds the customer.</p>}
        {view?.folder != null && !isMade && (
          <p role="status">
            Making a backup without the customer{'\u2026'}{' '}
            {view.making ? `${Math.round(view.making.progress * 100)} %` : ''}
          </p>
        )}
        {view && isMade && (
          <>
            <p role="status">The newest backup is without the customer.</p>
            <HeldBackups view={view} busy={remove.isPending} onDelete={(names) => remove.mutate(names)} />
          </>
        )}
      </DialogContent>
      <DialogActions>
        <Button variant="contained" onClick={onDone} autoFocus>
          Done
        </Button>
      </DialogActions>
    </>
  );
}
