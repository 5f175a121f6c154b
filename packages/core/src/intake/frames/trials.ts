import { all, check, deniedAt, first, has, saysWord, spanOf, type Frame, type Heard } from './clause.ts';
import { FLUID_LEVELS } from '../words/complaints.ts';

/** Wiggled: whether anything changed is said beside it or right after. */
export const wiggleFrame: Frame = (clause) => {
  const { unit, sentence } = clause;
  const wiggle = all(unit, 'check').find((item) => item.meaning.check.check === 'wiggle');
  if (!wiggle || clause.doubtful) return [];
  const at = sentence.indexOf(unit);
  const told = [
    unit,
    ...sentence.slice(at + 1, at + 3),
    ...(at > 0 ? [sentence[at - 1] as typeof unit] : []),
  ];
  for (const other of told) {
    if (has(other, 'same'))
      return [
        check(clause, spanOf(wiggle, other === unit ? first(unit, 'same') : null), {
          check: 'wiggle',
          result: 'steady',
        }),
      ];
    const moved = [...all(other, 'live'), ...all(other, 'jumps'), ...all(other, 'open')][0];
    if (moved)
      return [
        check(clause, spanOf(wiggle, other === unit ? moved : null), {
          check: 'wiggle',
          result: deniedAt(other, moved.from) ? 'steady' : 'changes',
        }),
      ];
    if (first(other, 'nothing')) return [check(clause, wiggle, { check: 'wiggle', result: 'steady' })];
  }
  return saysWord(clause, /^(cuts|out|comes|goes|intermittent)$/)
    ? [check(clause, wiggle, { check: 'wiggle', result: 'changes' })]
    : [];
};

/** Swapped from side to side, cleared and driven: whole phrases. */
export const trialFrame: Frame = (clause) => {
  const { unit, sentence } = clause;
  if (clause.doubtful) return [];
  return all(unit, 'check').flatMap((item): Heard[] => {
    const said = item.meaning.check;
    if (said.check === 'wiggle') return [];
    const onBumps = said.check === 'clear-and-drive' && said.result === 'back-on-bumps';
    if (onBumps && sentence.some((other) => all(other, 'live').length > 0)) return [];
    if (deniedAt(unit, item.from) && said.check !== 'brake.fluid') {
      if (said.check === 'swap') return [];
      if (said.check === 'clear-and-drive' && said.result !== 'stays-away') return [];
    }
    if (said.check === 'brake.fluid' && deniedAt(unit, item.from)) return [];
    return [check(clause, item, said)];
  });
};

/** The brake fluid and its level. */
export const fluidFrame: Frame = (clause) => {
  const { unit, tokens } = clause;
  if (clause.doubtful) return [];
  const fluid = all(unit, 'thing').find((item) => item.meaning.thing === 'fluid');
  if (!fluid) return [];
  const near = tokens.slice(unit.from, unit.to);
  const hit = FLUID_LEVELS.all(near).sort((a, b) => rank(b.meaning) - rank(a.meaning))[0];
  if (!hit) return [];
  const at = { from: unit.from + hit.from, to: unit.from + hit.to };
  const denied = deniedAt(unit, at.from);
  // "no leak" says nothing of the level; "not low" does.
  if (denied && hit.meaning === 'leaking') return [];
  const result = denied ? (hit.meaning === 'low' ? 'full' : 'low') : hit.meaning;
  return [check(clause, spanOf(fluid, at), { check: 'brake.fluid', result })];
};

const rank = (level: string): number => ['full', 'low', 'leaking'].indexOf(level);
