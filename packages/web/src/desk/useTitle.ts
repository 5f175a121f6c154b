import { useEffect } from 'react';

/** Names the page in its tab and in the browser's history: what it is of first, so that tabs can be told apart. */
export const useTitle = (...parts: ReadonlyArray<string | number | null | undefined>): void => {
  const title = [
    ...parts.filter((part) => part !== null && part !== undefined && part !== ''),
    'Hardy Spoke',
  ].join(' \u00B7 ');
  useEffect(() => {
    document.title = title;
  }, [title]);
};
