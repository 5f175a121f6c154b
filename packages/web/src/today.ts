import { localDay } from '@hardy/core/words';

/** Today at the counter, by the clock on the wall. */
export const today = (): string => localDay(new Date());
