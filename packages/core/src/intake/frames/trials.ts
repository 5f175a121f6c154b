import {
  all,
  check,
  deniedAt,
  first,
  has,
  saysWord,
  spanOf,
  speaksOf,
  type Frame,
  type Heard,
} from './clause.ts';
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
  return saysWord(clause, /^(cuts|out|comes|goes|intermittent|kills|dies|stops|loses|breaks)$/)
    ? [check(clause, wiggle, { check: 'wiggle', result: 'changes' })]
    : [];
};

/** Swapped from side to side, cleared and driven: whole phrases. */
export const trialFrame: Frame = (clause) => {
  const { unit, sentence, tokens } = clause;
  if (clause.doubtful) return [];
  const again = first(unit, 'again');
  const speed = unit.numbers.find((number) => number.measure === 'speed');
  if (again && speed && !deniedAt(unit, again.from))
    return [check(clause, spanOf(again, speed), { check: 'clear-and-drive', result: 'back-when-driven' })];
  return all(unit, 'check').flatMap((item): Heard[] => {
    const said = item.meaning.check;
    if (said.check === 'wiggle') return [];
    // "the code stayed the same" tells of no swap.
    if (said.check === 'swap' && tokens[item.to]?.norm === 'the' && tokens[item.to + 1]?.norm === 'same')
      return [];
    const onBumps = said.check === 'clear-and-drive' && said.result === 'back-on-bumps';
    if (
      onBumps &&
      (has(unit, 'moves', 'noise', 'rocking') ||
        speaksOf(unit, 'suspension') ||
        sentence.some((other) => has(other, 'live') || speaksOf(other, 'speed')))
    )
      return [];
    if (deniedAt(unit, item.from) && said.check !== 'brake.fluid') {
      if (said.check === 'swap') return [];
      if (said.check === 'clear-and-drive' && said.result !== 'stays-away') return [];
    }
    if (said.check === 'brake.fluid' && deniedAt(unit, item.from)) return [];
    return [check(clause, item, said)];
  });
};

/** The brake fluid and its level; a leak at a brake is the fluid's as well. */
export const fluidFrame: Frame = (clause) => {
  const { unit, tokens, sentence } = clause;
  if (clause.doubtful) return [];
  const before = sentence.slice(0, sentence.indexOf(unit));
  const own = all(unit, 'thing').find((item) => item.meaning.thing === 'fluid');
  const hits = FLUID_LEVELS.all(tokens.slice(unit.from, unit.to)).sort(
    (a, b) => rank(b.meaning) - rank(a.meaning),
  );
  const leak = hits[0]?.meaning === 'leaking' && !speaksOf(unit, 'other', 'steering', 'tyre');
  const spoken = leak && (speaksOf(unit, 'brakes') || before.some((other) => speaksOf(other, 'fluid')));
  const [hit] = hits;
  const last = before.at(-1);
  const goesOn =
    last !== undefined &&
    speaksOf(last, 'fluid') &&
    all(unit, 'thing').length === 0 &&
    hit?.meaning === 'low';
  if (!hit || !(own || spoken || goesOn)) return [];
  const at = { from: unit.from + hit.from, to: unit.from + hit.to };
  const denied = deniedAt(unit, at.from);
  // "no leak" says nothing of the level; "not low" does.
  if (denied && hit.meaning === 'leaking') return [];
  const result = denied ? (hit.meaning === 'low' ? 'full' : 'low') : hit.meaning;
  return [check(clause, spanOf(own, at), { check: 'brake.fluid', result })];
};

const rank = (level: string): number => ['full', 'low', 'leaking'].indexOf(level);
