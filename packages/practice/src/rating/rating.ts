import { NORMAL_HALF } from '@hardy/core/trial';

/*
 * How able somebody is and how hard a kind of question is, on one scale (logits): the chance of a right answer is
 * 1 / (1 + exp(difficulty - ability)). Both move with every answer, the less the more is known of them (Elo 1978, with steps
 * that shrink as those of a Kalman filter do).
 */

/** A place on the scale, and how unsure it is: variance, logits squared. */
export interface Rating {
  readonly at: number;
  readonly variance: number;
}

/** What is thought of somebody before their first answer. */
export const NEWCOMER: Rating = { at: 0, variance: 1 };
/** What is thought of a kind of question before anybody answered it, about where it is thought to lie. */
export const askedFirst = (at: number): Rating => ({ at, variance: 0.5 });
/** People learn, and forget: their rating never gets surer than this. */
const SUREST = 0.02;
/** Chance of a right answer. */
export const successOf = (ability: number, difficulty: number): number =>
  1 / (1 + Math.exp(difficulty - ability));

/** Both ratings after one answer: the evidence is shared by how unsure each of them was. */
export const afterAnswer = (
  person: Rating,
  question: Rating,
  right: boolean,
): { person: Rating; question: Rating } => {
  const p = successOf(person.at, question.at);
  const information = p * (1 - p);
  const total = 1 + information * (person.variance + question.variance);
  const surprise = ((right ? 1 : 0) - p) / total;
  const less = ({ variance }: Rating) => variance * (1 - (information * variance) / total);
  return {
    person: { at: person.at + person.variance * surprise, variance: Math.max(SUREST, less(person)) },
    question: { at: question.at - question.variance * surprise, variance: less(question) },
  };
};

/** How far from it a question may be and still count as the one that is about right, logits. */
const ABOUT = 0.5;

/** The kind of question that is about as hard as is good for somebody: one of those nearest, by chance. */
export const aboutRight = (
  ability: number,
  questions: ReadonlyArray<{ readonly variant: string; readonly at: number }>,
  chance: number,
  /** The share of right answers that keeps people learning. */
  success: number,
): string => {
  const wanted = ability - Math.log(success / (1 - success));
  const far = questions.map(({ variant, at }) => ({ variant, off: Math.abs(at - wanted) }));
  const least = Math.min(...far.map(({ off }) => off));
  const near = far.filter(({ off }) => off <= least + ABOUT);
  return (near[Math.floor(chance * near.length)] ?? near[0])?.variant ?? '';
};

/** Chance of a right answer to a question of middling difficulty, with the middle ninety in a hundred of it. */
export const chanceOf = ({ at, variance }: Rating): { chance: number; low: number; high: number } => {
  const spread = NORMAL_HALF * Math.sqrt(variance);
  return { chance: successOf(at, 0), low: successOf(at - spread, 0), high: successOf(at + spread, 0) };
};

/** A mean with half of its interval of ninety in a hundred; null where one value alone tells no spread. */
export const meanWithin = (values: readonly number[]): { mean: number; give: number | null } => {
  const n = values.length;
  const mean = values.reduce((sum, each) => sum + each, 0) / Math.max(1, n);
  const variance = values.reduce((sum, each) => sum + (each - mean) ** 2, 0) / Math.max(1, n - 1);
  return { mean, give: n < 2 ? null : NORMAL_HALF * Math.sqrt(variance / n) };
};

/** How sure the difference of two scores is. */
export interface Apart {
  readonly difference: number;
  /** Half of its interval of ninety in a hundred; null where one customer alone tells no spread. */
  readonly give: number | null;
  readonly isSure: boolean;
  /** Customers each would need for a difference of this size to be told from chance; null where there is none. */
  readonly needed: number | null;
}

/** Two rounds of the same customers compared, customer by customer: what they share falls out of the difference. */
export const tellApart = (one: readonly number[], other: readonly number[]): Apart => {
  const n = Math.min(one.length, other.length);
  const { mean: difference, give } = meanWithin(
    Array.from({ length: n }, (_, i) => (one[i] as number) - (other[i] as number)),
  );
  return {
    difference,
    give,
    isSure: give !== null && Math.abs(difference) > give,
    needed:
      give === null || difference === 0 ? null : Math.max(2, Math.ceil((n * give ** 2) / difference ** 2)),
  };
};
