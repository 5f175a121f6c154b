import Dialog, { type DialogProps } from '@mui/material/Dialog';
import { useLayoutEffect } from 'react';
import { dialogOpened } from './dialogs.ts';

/** A dialog of the desk: while it is open the keys are its own, and from the moment it closes they are the desk's. */
export function DeskDialog(props: DialogProps) {
  const { open } = props;
  useLayoutEffect(() => (open ? dialogOpened() : undefined), [open]);
  return <Dialog {...props} />;
}
