import type { CheckKind } from '../../checkKinds/checkKind.ts';
import { CHECK_KINDS } from '../../checkKinds/checkKinds.ts';
import type { CheckName } from '../../checkKinds/checkTypes.ts';
import type { Check, LivePattern } from '../../vocabulary/check.ts';
import type { Item, ItemLine } from './item.ts';

/** `back at once`, `came back at once`, `comes back at once`: what comes back, in every form. */
const back = (ends: string): string =>
  ends
    .split('|')
    .flatMap((end) =>
      [
        'back',
        'came back',
        'comes back',
        'come back',
        'coming back',
        'came back on',
        'comes back on',
        'is back',
        'was back',
        'back on',
      ].map((start) => `${start} ${end}`),
    )
    .join('|');

/** What a phrase of a check's result says: a live pattern is of its own kind, other results are the check made. */
const saidOf = (check: CheckName, result: string): Item =>
  check === 'live'
    ? { is: 'live', pattern: result as LivePattern }
    : { is: 'check', check: { check, result } as Check };

/** The phrases the kinds of check give for their results. */
const OF_THE_KINDS: readonly ItemLine[] = CHECK_KINDS.flatMap(
  ({ name, said, comesBack }: CheckKind & { name: CheckName }) => [
    ...Object.entries(said ?? {}).map(([result, words]): ItemLine => [words, saidOf(name, result)]),
    ...Object.entries(comesBack ?? {}).map(([result, ends]): ItemLine => [back(ends), saidOf(name, result)]),
  ],
);

/** What a live graph shows, what a trial shows, and what a meter says in words. */
export const LIVE: readonly ItemLine[] = [
  ...OF_THE_KINDS,
  [
    'open|open circuit|open-circuit|ol|o l|infinite|infinity|no continuity|reads open|meter reads open|reads ol|no resistance reading|infinite resistance|off the scale|over limit|overload|over range|overrange|metered open|meters open|measures open|shows ol|no circuit|infinite ohms',
    { is: 'open' },
  ],
  [
    'dead short|shorted|short circuit|shorted out|reads short|zero ohms|zero resistance|reads shorted|short to earth|shorted to earth|reads as a short|short to ground|shorted to ground|earthed',
    { is: 'short' },
  ],
  [
    'reading jumps|reading unstable|meter jumps|resistance jumps|resistance unstable|unstable reading|meter unsteady|reading wanders|wanders|unstable|jumps when touched|reading moves about|reading wont settle|wont settle|fluctuates|jumps|jump|jumping|jumpy|changes|unsteady',
    { is: 'jumps' },
  ],
  ['nothing|zero|none|nil|not a thing|nowt', { is: 'nothing' }],
  [
    'no change|nothing changed|nothing changes|nothing happens|stays steady|steady|no difference|makes no difference|didnt change|does not change|doesnt change|unchanged|nothing happened|stays the same',
    { is: 'same' },
  ],
];
