/* What is said of practice, with the schemas that check it. */
export { Account, ExerciseView, PracticeDeed, SentWith, Skill, SKILLS } from '../vocabulary/practice.ts';
