/** Dialogs that are open: while one is, keys are its own. One that is closing is open no more. */
const open = new Set<symbol>();

export const isDialogOpen = (): boolean => open.size > 0;

/** Notes an open dialog; what it returns notes that it closed. */
export const dialogOpened = (): (() => void) => {
  const mine = Symbol('dialog');
  open.add(mine);
  return () => void open.delete(mine);
};
