import { useState } from 'react';
import { isPractice } from '../space.ts';

/** Words typed at the practice counter never come up at the shop's own. */
const PREFIX = isPractice ? 'hardy.practice.draft.' : 'hardy.draft.';

/** What was typed before the page was loaded anew; null where nothing was, or it cannot be read. */
export const readDraft = <T>(key: string): T | null => {
  try {
    return JSON.parse(sessionStorage.getItem(PREFIX + key) ?? 'null') as T | null;
  } catch {
    return null;
  }
};

/** Keeps what is being typed for the case that the page is loaded anew; null: it was taken over, or given up. */
export const keepDraft = (key: string, value: unknown): void => {
  try {
    if (value === null) sessionStorage.removeItem(PREFIX + key);
    else sessionStorage.setItem(PREFIX + key, JSON.stringify(value));
  } catch {
    // A browser that keeps nothing: what is typed stays on the screen.
  }
};

/**
 * Something that is being typed: it outlives a reload of the page. Null: nothing is. Giving it null forgets it. `key`
 * names the field on this desk; it is read once.
 */
export const useDraft = <T>(key: string): [T | null, (value: T | null) => void] => {
  const [value, setValue] = useState<T | null>(() => readDraft<T>(key));
  return [
    value,
    (next) => {
      keepDraft(key, next);
      setValue(next);
    },
  ];
};
