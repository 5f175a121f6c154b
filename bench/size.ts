/** Whether everything runs once in a small size: its figures mean nothing, but that it runs to the end does. */
const IS_TINY = process.argv.includes('--tiny');

/** The size of a measurement: the one that means something, or the small one of `npm run bench -- --tiny`. */
export const sized = (full: number, tiny: number): number => (IS_TINY ? tiny : full);
