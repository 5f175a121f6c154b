import { useSyncExternalStore } from 'react';

/** What the bench takes at its least, in CSS pixels: strip, heads, both plots and their edges. */
const LEAST = 610;

const watch = (changed: () => void): (() => void) => {
  window.addEventListener('resize', changed);
  return () => window.removeEventListener('resize', changed);
};

/** Height of the window that the bench does not need: the plots share it, so that no bare bench is left. */
export const useSpareHeight = (): number =>
  useSyncExternalStore(watch, () => Math.max(0, window.innerHeight - LEAST));
