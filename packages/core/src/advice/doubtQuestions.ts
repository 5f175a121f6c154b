import type { Question } from '../vocabulary/advice.ts';
import type { Check } from '../vocabulary/check.ts';
import type { Doubt } from '../vocabulary/docket.ts';
import { DOUBT_ASKS } from '../vocabulary/doubtWords.ts';
import type { Symptom } from '../vocabulary/words.ts';

/** What an answer to a doubt puts on the docket. */
export interface DoubtAnswer {
  readonly check?: Check;
  readonly symptom?: Symptom;
}

const ANSWERS: Readonly<Record<Doubt['about'], ReadonlyArray<readonly [label: string, says: DoubtAnswer]>>> =
  {
    play: [
      ['clear play', { check: { check: 'bearing.play', result: 'clear' } }],
      ['slight play', { check: { check: 'bearing.play', result: 'slight' } }],
      ['no play', { check: { check: 'bearing.play', result: 'none' } }],
    ],
    growl: [
      ['it growls', { check: { check: 'bearing.noise', result: 'growl' } }],
      ['no growl', { check: { check: 'bearing.noise', result: 'none' } }],
    ],
    pedal: [
      ['soft or sinking', { symptom: 'pedal.soft' }],
      ['firm', {}],
    ],
    heat: [
      ['hot or smoking', { symptom: 'wheel.hot' }],
      ['not hot', {}],
    ],
    fluid: [
      ['leaking', { check: { check: 'brake.fluid', result: 'leaking' } }],
      ['low', { check: { check: 'brake.fluid', result: 'low' } }],
      ['full', { check: { check: 'brake.fluid', result: 'full' } }],
    ],
  };

/** Asks about words of danger that were heard and not surely meant. `about` is `doubt:` and its place on the docket. */
export const doubtQuestions = (doubts: readonly Doubt[]): Question[] =>
  doubts.map(({ about, words, wheelEnd }, i) => ({
    about: `doubt:${i}`,
    ask: `\u201C${words}\u201D: ${DOUBT_ASKS[about]}`,
    because: 'heard, but not surely meant; it may be a danger, so it is asked first',
    answers: ANSWERS[about].map(([label, { check, symptom }]) => ({
      label,
      value: JSON.stringify({
        ...(check ? { check: wheelEnd ? { ...check, wheelEnd } : check } : {}),
        ...(symptom ? { symptom } : {}),
      }),
    })),
  }));
