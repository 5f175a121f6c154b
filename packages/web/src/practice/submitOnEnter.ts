import type { KeyboardEvent } from 'react';

/** Enter anywhere in a form sends it: a list of the system's own takes no Enter. Buttons keep theirs. */
export const submitOnEnter = (event: KeyboardEvent<HTMLFormElement>): void => {
  if (event.key !== 'Enter' || (event.target instanceof Element && event.target.closest('button'))) return;
  event.preventDefault();
  event.currentTarget.requestSubmit();
};
