import type { SupplierOrder } from '@hardy/core/contract';
import Button from '@mui/material/Button';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useMutation } from '@tanstack/react-query';
import { useId, type ReactNode } from 'react';
import { problemInWords } from '../api/client.ts';
import { DeskDialog } from '../desk/DeskDialog.tsx';
import type { Pieces } from './pieces.ts';

/** What a dialog about one order needs. */
export interface OrderDialogProps {
  /** Null: none is open. */
  order: SupplierOrder | null;
  onClose: () => void;
  /** Told when something was written down. */
  onDone: () => void;
}

interface Props extends Omit<OrderDialogProps, 'order'> {
  title: string;
  /** What the button that writes it down says. */
  action: string;
  save: () => Promise<unknown>;
  children: ReactNode;
}

/** A dialog about the pieces of an order; its form stays until it was taken. */
export function PiecesDialog({ title, action, save, onClose, onDone, children }: Props) {
  const id = useId();
  const saving = useMutation({
    mutationFn: save,
    onSuccess: () => {
      onDone();
      onClose();
    },
  });
  return (
    <DeskDialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby={id}>
      <form
        className="dialog-body"
        onSubmit={(event) => {
          event.preventDefault();
          saving.mutate();
        }}
      >
        <DialogTitle id={id}>{title}</DialogTitle>
        <DialogContent>
          {saving.error && (
            <p className="look-here" role="alert">
              {problemInWords(saving.error)}
            </p>
          )}
          {children}
        </DialogContent>
        <DialogActions>
          <Button onClick={onClose}>Not yet</Button>
          <Button type="submit" variant="contained" disabled={saving.isPending}>
            {action}
          </Button>
        </DialogActions>
      </form>
    </DeskDialog>
  );
}

/** One part of the order with what is asked about it. */
export function Piece({ pieces, children }: { pieces: Pieces; children: ReactNode }) {
  return (
    <div className="order-piece">
      <p>
        <span className="mono">{pieces.partNumber}</span> {pieces.description}
      </p>
      {children}
    </div>
  );
}
