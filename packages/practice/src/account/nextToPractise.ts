import type { Account, AccountStep } from '@hardy/core/words';
import type { Assumptions } from '@hardy/core/trial';
import type { Customer } from '../customer/customer.ts';

/** One thing to practise next: what weighed most in this job, safety before money. */
export const nextToPractise = (
  { manner }: Customer,
  steps: readonly AccountStep[],
  lapses: Account['lapses'],
  a: Assumptions,
): Account['next'] => {
  const [gravest] = lapses;
  if (gravest?.what === 'safety') return { skill: null, words: `Safety first: ${gravest.words}` };
  const worst = steps.reduce<AccountStep | null>(
    (most, step) => (step.regret > (most?.regret ?? a.get('practice.speaks-from')) ? step : most),
    null,
  );
  if (worst) {
    const { deed } = worst;
    const instead = worst.better
      ? ` ${worst.better[0]?.toUpperCase()}${worst.better.slice(1)} was the better step.`
      : '';
    if (deed.kind === 'parts' && (manner === 'mirrored' || manner === 'wrong corner'))
      return {
        skill: 'corner',
        words: `The customer was sure of a corner, and parts went on before the vehicle was asked.${instead}`,
      };
    if (deed.kind === 'parts' && deed.parts.some((part) => part === 'sensor' || part === 'hub-assembly'))
      return {
        skill: 'picture',
        words: `A part was fitted while a look could still tell which.${instead}`,
      };
    if (deed.kind === 'parts')
      return { skill: 'price', words: `A dear way was taken where a cheaper one was open.${instead}` };
    if (deed.kind === 'check' && deed.check.startsWith('meter'))
      return { skill: 'meter', words: `A reading was taken that could tell little here.${instead}` };
    if (deed.kind === 'check')
      return { skill: 'speeds', words: `Minutes went into a look that could tell little here.${instead}` };
    if (deed.kind === 'refer')
      return { skill: 'root', words: `It was handed on while it could be found out here.${instead}` };
    return { skill: 'picture', words: `Work was done before it was known what is wrong.${instead}` };
  }
  if (gravest?.what === 'caution') return { skill: null, words: gravest.words };
  if (gravest?.what === 'question') return { skill: 'root', words: gravest.words };
  if (gravest?.what === 'companion') return { skill: 'price', words: gravest.words };
  if (gravest) return { skill: null, words: gravest.words };
  return { skill: null, words: 'Nothing to mend in this one. Take a harder customer.' };
};
