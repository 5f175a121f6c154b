import type { z } from 'zod';
import { BadInput } from './badInput.ts';
import { mustBeShallow } from './depth.ts';

type Path = ReadonlyArray<PropertyKey>;

/** A path as people write it: `checks[2].result`. */
const pathInWords = (path: Path): string =>
  path.reduce<string>((sofar, step) => {
    if (typeof step === 'number') return `${sofar}[${step}]`;
    return sofar ? `${sofar}.${String(step)}` : String(step);
  }, '');

const valueAt = (input: unknown, path: Path): unknown =>
  path.reduce<unknown>(
    (at, step) =>
      at !== null && typeof at === 'object' ? (at as Record<PropertyKey, unknown>)[step] : undefined,
    input,
  );

const shown = (value: unknown): string => {
  const json = JSON.stringify(value) ?? 'nothing';
  return json.length > 60 ? `${json.slice(0, 57)}...` : json;
};

/** The issue that went deepest tells most: for a union, look into the branch that fits best. */
const deepest = (issue: z.core.$ZodIssue): z.core.$ZodIssue => {
  if (issue.code !== 'invalid_union' || issue.errors.length === 0) return issue;
  const candidates = issue.errors.flat().map((inner) => ({ ...inner, path: [...issue.path, ...inner.path] }));
  const best = candidates.reduce<z.core.$ZodIssue | null>(
    (sofar, next) => (sofar === null || next.path.length > sofar.path.length ? next : sofar),
    null,
  );
  if (best && best.path.length > issue.path.length) return deepest(best);
  // A word of a list that is not in it: the list tells more than that nothing fits.
  return candidates.find((inner) => inner.code === 'invalid_value') ?? issue;
};

const explain = (issue: z.core.$ZodIssue, input: unknown): string => {
  const value = valueAt(input, issue.path);
  switch (issue.code) {
    case 'invalid_value':
      return value === undefined
        ? `is missing; use one of ${issue.values.map(String).join(' | ')}`
        : `${shown(value)} is not known here; use ${issue.values.length > 1 ? 'one of ' : ''}${issue.values.map(String).join(' | ')}`;
    case 'invalid_union':
      if ('discriminator' in issue && issue.discriminator)
        return `${shown(value)} is not a known ${issue.discriminator}`;
      return `${shown(value)} is not of a kind that fits here`;
    case 'invalid_type':
      return value === undefined
        ? `is missing; give ${issue.expected}`
        : `${shown(value)} is not ${issue.expected}`;
    case 'invalid_format':
      return `${shown(value)} ${issue.message}`;
    case 'too_small':
      return `${shown(value)} is too small; at least ${String(issue.minimum)}`;
    case 'too_big':
      return `${shown(value)} is too large; at most ${String(issue.maximum)}`;
    case 'invalid_key': {
      const inner = issue.issues[0];
      return `${shown(issue.path.at(-1))} ${inner?.message ?? 'is not a key known here'}`;
    }
    default:
      return issue.message;
  }
};

/**
 * Validates data from outside against a schema.
 * @throws BadInput naming the first problem's path, with every problem in `problems`.
 */
export const parse = <S extends z.ZodType>(schema: S, input: unknown, at = ''): z.output<S> => {
  mustBeShallow(input);
  const result = schema.safeParse(input);
  if (result.success) return result.data;
  const problems = result.error.issues.slice(0, 50).map((raw) => {
    const issue = deepest(raw);
    const path = pathInWords(issue.path);
    return { path: [at, path].filter(Boolean).join('.'), message: explain(issue, input) };
  });
  const first = problems[0] ?? { path: at, message: 'cannot be read' };
  throw new BadInput(first.path, first.message, problems);
};
