import { CHECK_KINDS } from '../../../checkKinds/checkKinds.ts';
import type { CheckName } from '../../../checkKinds/checkTypes.ts';
import { PART_CLASSES, PART_IN_WORDS, PART_WORK } from '../../../partKinds/partData.ts';
import type { WorkLine } from '../../../partKinds/partWork.ts';
import type { PartClass } from '../../../vocabulary/words.ts';
import type { Told } from '../told.ts';
import { always } from './always.ts';
import { cautions } from './cautions.ts';
import { check } from './check.ts';
import { face } from './face.ts';
import { frame } from './frame.ts';
import { noPart } from './noPart.ts';
import { prove } from './prove.ts';
import { quote } from './quote.ts';
import { snap } from './snap.ts';
import { stop } from './stop.ts';
import { ways } from './ways.ts';

/** The lines of a part's work, by what they are. */
export interface WorkTexts {
  readonly access: readonly string[];
  readonly stays: readonly string[];
  readonly tools: readonly string[];
  readonly steps: readonly string[];
  readonly torques: readonly string[];
}
/** A check as a sheet tells it. */
export interface CheckTexts {
  readonly words: string;
  readonly how: readonly string[];
  readonly results: Readonly<Record<string, readonly [word: string, means: string]>>;
}

const textOf = (line: WorkLine): string => (typeof line === 'string' ? line : line.text);
const work = Object.fromEntries(
  PART_CLASSES.map((part): [PartClass, WorkTexts] => {
    const { access, stays, tools, steps, torques } = PART_WORK[part];
    return [
      part,
      { access, stays, tools, steps: steps.map(textOf), torques: torques.map(({ what }) => what) },
    ];
  }),
) as Readonly<Record<PartClass, WorkTexts>>;

const checks = Object.fromEntries(
  CHECK_KINDS.map(({ name, words, how, results }): [string, CheckTexts] => [
    name,
    {
      words,
      how,
      results: Object.fromEntries(
        Object.entries(results as Record<string, string>).map(([word, means]) => [
          word,
          [word.replace(/-/g, ' '), means] as const,
        ]),
      ),
    },
  ]),
) as Readonly<Record<CheckName, CheckTexts>>;

/** English: what parts and checks say of themselves, and the texts of the sheets. */
export const en = {
  face,
  frame,
  parts: PART_IN_WORDS,
  work,
  checks,
  cautions,
  snap,
  always,
  prove,
  check,
  noPart,
  stop,
  ways,
  quote,
};

export type SheetTexts = Told<typeof en>;
