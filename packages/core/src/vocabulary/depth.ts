import { BadInput } from './badInput.ts';

/** Nothing that is read here is nested deeper: what is, was made to break a reader. */
const MOST_DEEP = 60;

/** Refuses data from outside that is nested deeper than any of ours. Goes level by level: no depth breaks it. @throws BadInput */
export const mustBeShallow = (input: unknown): void => {
  let level: unknown[] = [input];
  for (let depth = 0; level.length > 0; depth++) {
    if (depth > MOST_DEEP)
      throw new BadInput('', `is nested more than ${MOST_DEEP} levels deep; nothing that is read here is`);
    level = level.flatMap((each): unknown[] =>
      typeof each === 'object' && each !== null ? Object.values(each) : [],
    );
  }
};
