/* How long and how many things may be: one source for the shop, its devices and its suppliers. */
export { LONGEST, MOST_ORDER_LINES, MOST_PIECES } from '../vocabulary/longest.ts';
