import type { Advice, Docket, Outcome } from '@hardy/core/words';
import { DeskDialog } from '../desk/DeskDialog.tsx';
import { OutcomeForm } from './OutcomeForm.tsx';

interface Props {
  docketId: string;
  docket: Docket;
  vehicle: Advice['vehicle'];
  currency: string;
  open: boolean;
  onClose: () => void;
  onSave: (outcome: Outcome | null) => void;
}

/** Closing a docket: what happened, and what was really wrong if it is known. */
export function CloseDialog({ open, onClose, ...rest }: Props) {
  return (
    <DeskDialog open={open} onClose={onClose} maxWidth="md" fullWidth aria-labelledby="close-title">
      {open && <OutcomeForm onClose={onClose} {...rest} />}
    </DeskDialog>
  );
}
