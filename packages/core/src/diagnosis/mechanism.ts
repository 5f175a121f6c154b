import type { CheckName } from '../vocabulary/check.ts';

const DEAD_PATTERNS = new Set(['no-signal', 'drops-out']);

/** What a check's result is a report of: results that share a mechanism at a wheel end do not count twice. */
export const mechanismOf = (check: CheckName, result: string): string =>
  check !== 'live' ? check : DEAD_PATTERNS.has(result) ? 'dead signal' : 'bad signal';
