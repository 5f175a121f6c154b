/* Seeded chance alone: for those who may know nothing else of the core. */
export { randomFrom, type Random } from '../chance/random.ts';
