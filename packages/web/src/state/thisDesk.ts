import type { Docket } from '@hardy/core/words';

const KEY = 'this desk';

/** The name of the desk this browser stands on; null where it has none. It is the browser’s own, not the shop’s. */
export const thisDesk = (): string | null => {
  try {
    return localStorage.getItem(KEY) || null;
  } catch {
    return null;
  }
};

export const nameDesk = (name: string): void => {
  try {
    if (name.trim()) localStorage.setItem(KEY, name.trim().slice(0, 60));
    else localStorage.removeItem(KEY);
  } catch {
    // A forbidden store only means a desk without a name.
  }
};

/** A docket with the desk it is sold at: the one where something was first taken. */
export const soldHere = (docket: Docket): Docket => ({ ...docket, desk: docket.desk ?? thisDesk() });
