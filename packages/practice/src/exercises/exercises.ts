import type { Skill } from '@hardy/core/words';
import { corner } from './corner.ts';
import type { Exercise, SkillExercises } from './exercise.ts';
import { lookAlike } from './lookAlike.ts';
import { meter } from './meter.ts';
import { picture } from './picture.ts';
import { price } from './price.ts';
import { root } from './root.ts';
import { speeds } from './speeds.ts';

/** Every skill with its kinds of question. */
export const EXERCISES: readonly SkillExercises[] = [corner, root, meter, speeds, picture, lookAlike, price];

const ofSkill = (skill: Skill): SkillExercises => {
  const found = EXERCISES.find((each) => each.skill === skill);
  if (!found) throw new RangeError(`there are no exercises for "${skill}"`);
  return found;
};

/** Kinds of question of a skill, each with where its difficulty is thought to lie, logits. */
export const variantsOf = (skill: Skill): Readonly<Record<string, number>> => ofSkill(skill).variants;

/** @throws RangeError for a kind of question that there is not */
export const drawExercise = (skill: Skill, variant: string, seed: number): Exercise => {
  if (!Object.hasOwn(variantsOf(skill), variant))
    throw new RangeError(`there is no kind of question "${variant}" of ${skill}`);
  return ofSkill(skill).draw(variant, seed);
};
