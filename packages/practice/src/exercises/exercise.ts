import type { ExerciseShows, Skill } from '@hardy/core/words';

/** A question with its answer. */
export interface Exercise {
  readonly prompt: string;
  readonly shows: ExerciseShows;
  readonly choices: ReadonlyArray<{ readonly key: string; readonly words: string }>;
  /** The key of the right choice, or the right number. */
  readonly answer: string | number;
  readonly unit: string | null;
  /** Why, in a sentence or two. */
  readonly why: string;
}

/** Kinds of question of one skill, each made without end by a seed. */
export interface SkillExercises {
  readonly skill: Skill;
  /** By name: where its difficulty is thought to lie, logits; practice moves it. */
  readonly variants: Readonly<Record<string, number>>;
  readonly draw: (variant: string, seed: number) => Exercise;
}

export const NOTHING_SHOWN: ExerciseShows = { as: 'nothing' };

/** A number in the head is right within so much of it. */
const WITHIN = 0.1;

/** Whether an answer is right: the key, or a number within a tenth. */
export const isRight = ({ answer }: Exercise, given: string): boolean => {
  if (typeof answer === 'string') return given === answer;
  const number = Number(given.replace(',', '.'));
  return (
    given.trim() !== '' && Number.isFinite(number) && Math.abs(number - answer) <= WITHIN * Math.abs(answer)
  );
};
