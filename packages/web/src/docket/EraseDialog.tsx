import Button from '@mui/material/Button';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useMutation } from '@tanstack/react-query';
import { BASE } from '../space.ts';
import { call, problemInWords } from '../api/client.ts';
import { DeskDialog } from '../desk/DeskDialog.tsx';
import { queryClient } from '../state/queryClient.ts';

interface Props {
  open: boolean;
  customerId: number;
  docketId: string;
  who: string;
  onClose: () => void;
}

/** Erasing who a customer is: what goes, what stays, and that it cannot be undone. */
export function EraseDialog({ open, customerId, docketId, who, onClose }: Props) {
  const erase = useMutation({
    mutationFn: () => call('POST /customers/:id/erase', { params: { id: String(customerId) }, body: {} }),
    onSuccess: async () => {
      onClose();
      await queryClient.invalidateQueries();
      // The page still holds what was typed: it is read anew, without it.
      window.location.assign(`${BASE}/docket/${docketId}`);
    },
  });
  return (
    <DeskDialog open={open} onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="erase-title">
      <DialogTitle id="erase-title">Erase {who}?</DialogTitle>
      <DialogContent>
        {erase.error && (
          <p className="look-here" role="alert">
            {problemInWords(erase.error)}
          </p>
        )}
        <p>
          Name, phone and firm go from every docket, from its words, its history and the search; plate and VIN
          too, unless it is a fleet{'\u2019'}s vehicle. What was wrong, what was sold and what came of it
          stays. It cannot be undone.
        </p>
        <p className="soft gap">
          Backups made before still hold it, until they expire after sixty days at most.
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
    </DeskDialog>
  );
}
