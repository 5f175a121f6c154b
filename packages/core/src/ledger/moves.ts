import type { CauseShare, LedgerEntry } from '../vocabulary/ledgerEntry.ts';
import { cellsOf, faultsOf, partsOfKey } from './counts.ts';
import type { LearnedNumber } from './learn.ts';

/** The number that a cell of causes moves: of the first fault its cause stands for, they move together. */
export const numberOfCell = (cell: string): Pick<LearnedNumber, 'key' | 'line'> => {
  const [kind, first = '', second = '', , last = ''] = partsOfKey(cell);
  const faultOf = (cause: string): string => faultsOf(cause)[0] ?? cause;
  if (kind === 'cause') return { key: `prior.${faultOf(first)}`, line: null };
  if (kind === 'build') return { key: `build.${first}.${faultOf(second)}`, line: null };
  return { key: `line.${second}.${faultOf(last)}`, line: first };
};

/** By how much a number stands above judgement: 1 where nothing moved it. */
export type Moved = (number: Pick<LearnedNumber, 'key' | 'line'>) => number;

const nameOf = ({ key, line }: Pick<LearnedNumber, 'key' | 'line'>): string => `${line ?? ''} ${key}`;

/** By how much what was learned stands above judgement. */
export const movedByLearning = (numbers: readonly LearnedNumber[]): Moved => {
  const by = new Map(numbers.map((number) => [nameOf(number), number.learned / number.prior]));
  return (number) => by.get(nameOf(number)) ?? 1;
};

/** By how much a cause at a place of a vehicle is moved in all: by everyone, its build, its line. */
export const movedAt =
  (moved: Moved) =>
  (
    { cause, place }: Pick<CauseShare, 'cause' | 'place'>,
    entry: Pick<LedgerEntry, 'builds' | 'line'>,
  ): number =>
    cellsOf(entry, cause, place).reduce((product, cell) => product * moved(numberOfCell(cell)), 1);
