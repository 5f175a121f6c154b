const here = (globalThis as { location?: { pathname: string } }).location?.pathname ?? '';

/**
 * Which counter this page stands at: the shop's own, or the practice counter, which is the same application on a database of
 * its own, under `/practice`. It is known from the address once, when the page is loaded: between the two one loads anew. A
 * thread stands at neither.
 */
export const isPractice = /^\/practice(\/|$)/.test(here);

/** What goes before every address of this counter. */
export const BASE = isPractice ? '/practice' : '';

/** An address of this counter without what goes before it. */
export const ownPath = (path: string): string =>
  isPractice ? path.replace(/^\/practice(?=\/|$)/, '') || '/' : path;
