import type { IntakeContext } from '../../../intake/context.ts';
import { readIntake } from '../../../intake/readIntake.ts';
import { factsOf } from '../readingFacts.ts';
import type { GeneratedText } from './makeText.ts';

/** Facts said, heard, on a wrong wheel and heard though not said, by kind. */
export interface Tally {
  texts: number;
  said: number;
  heard: number;
  wrongWheel: number;
  added: number;
  readonly byKind: Map<string, { said: number; heard: number; wrongWheel: number }>;
  readonly worst: Array<{ words: string; missing: string[]; extra: string[] }>;
}

export const emptyTally = (): Tally => ({
  texts: 0,
  said: 0,
  heard: 0,
  wrongWheel: 0,
  added: 0,
  byKind: new Map(),
  worst: [],
});

const POSITION = /^(corner|denied|past) /;
const anyWheel = (fact: string): string => fact.replace(/\bA\d[LRC]\b/, '*');
const kindOf = (fact: string): string =>
  fact.includes('.') && !fact.includes(' ') ? 'complaint' : (fact.split(' ')[0] ?? '');

/** Reads a generated text and counts what became of its facts. */
export const tallyText = (text: GeneratedText, context: IntakeContext, tally: Tally): void => {
  const left = factsOf(readIntake(text.words, context)).filter((fact) => !POSITION.test(fact));
  const missing: string[] = [];
  tally.texts++;
  for (const fact of text.facts) {
    const kind = kindOf(fact);
    const row = tally.byKind.get(kind) ?? { said: 0, heard: 0, wrongWheel: 0 };
    tally.byKind.set(kind, row);
    row.said++;
    tally.said++;
    const at = left.indexOf(fact);
    if (at >= 0) {
      left.splice(at, 1);
      row.heard++;
      tally.heard++;
    } else missing.push(fact);
  }
  for (const fact of missing) {
    const moved = left.some((other) => /\bA\d[LRC]\b/.test(other) && anyWheel(other) === anyWheel(fact));
    if (moved) {
      tally.wrongWheel++;
      const row = tally.byKind.get(kindOf(fact));
      if (row) row.wrongWheel++;
    }
  }
  tally.added += left.length;
  if (missing.length > 0 || left.length > 0) tally.worst.push({ words: text.words, missing, extra: left });
};
