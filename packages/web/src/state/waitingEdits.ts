import { isPractice } from '../space.ts';
import type { QueuedEdit } from './editQueue.ts';

const PREFIX = isPractice ? 'hardy.practice.waiting.' : 'hardy.waiting.';
const TAB = 'hardy.tab';

/** This tab’s name: others of the same browser keep their own changes. */
const tabName = (): string => {
  const known = sessionStorage.getItem(TAB);
  if (known) return known;
  const name = crypto.randomUUID();
  sessionStorage.setItem(TAB, name);
  return name;
};

const keyOf = (docketId: string): string => `${PREFIX}${docketId}.${tabName()}`;

/** Keeps the changes of a docket that the server has not taken, also when the page is closed. */
export const keepWaiting = (docketId: string, edits: readonly QueuedEdit[]): void => {
  try {
    if (edits.length === 0) localStorage.removeItem(keyOf(docketId));
    else localStorage.setItem(keyOf(docketId), JSON.stringify(edits));
  } catch {
    // A browser that keeps nothing: the changes wait as long as the page is open.
  }
};

/**
 * Changes of a docket that waited when a page was closed or loaded anew, of whichever tab. One that was sent already is
 * known to the server by its name and made once.
 */
export const readWaiting = (docketId: string): QueuedEdit[] => {
  try {
    const known = new Map<string, QueuedEdit>();
    const keys = Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i) ?? '');
    for (const key of keys.filter((each) => each.startsWith(`${PREFIX}${docketId}.`))) {
      for (const edit of JSON.parse(localStorage.getItem(key) ?? '[]') as QueuedEdit[])
        known.set(edit.changeId, edit);
      localStorage.removeItem(key);
    }
    const edits = [...known.values()];
    keepWaiting(docketId, edits);
    return edits;
  } catch {
    return [];
  }
};
