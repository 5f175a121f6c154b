import type { PartClass } from '../vocabulary/words.ts';
import type { Cause } from '../vocabulary/words.ts';
import type { Line } from '../vocabulary/sheet.ts';
import type { FitJob, Fitted } from './fitJob.ts';
import { figure, say } from './line.ts';

/** What was wrong, as far as it decides how its cure is proved. */
export type Proved = 'ring' | 'joint' | 'tyre' | 'bearing' | 'sender' | 'plain';

const BY_PART: Readonly<Record<PartClass, Proved>> = {
  sensor: 'plain',
  'tone-ring': 'ring',
  'hub-assembly': 'bearing',
  'axle-shaft': 'ring',
  'connector-kit': 'joint',
  sender: 'sender',
};
export const provedBy = (parts: readonly Fitted[]): Proved[] => [
  ...new Set(parts.map(({ part }) => BY_PART[part])),
];

const BY_CAUSE: Partial<Readonly<Record<Cause, Proved>>> = { tyre: 'tyre', wiring: 'joint', seating: 'ring' };
export const provedAfter = (cause: Cause | null): Proved[] => [(cause && BY_CAUSE[cause]) ?? 'plain'];

/** What the proof depends on, whatever was fitted. */
export type Means = Pick<FitJob, 'reader' | 'trailer' | 'ways' | 'a'>;

const within = ({ a }: Means) => ({ percent: figure(a.get('proof.speeds-within')) });

/** What clears the codes, by what reads them; where nobody said, both ways are told. */
const clearing = ({ reader, ways }: Means): Line[] => [
  say(
    `prove/${{ full: 'full-clear', engine: 'engine-only', none: 'no-reader', unknown: 'any-reader' }[reader ?? 'unknown']}`,
  ),
  ...(reader !== 'full' && ways.clearing === 'battery-lead' ? [say('prove/battery-lead')] : []),
];

/**
 * How the code is cleared and the fix proved: before the cover goes back, by what reads codes, by what was wrong, and what
 * may take a drive. Nobody is sent to provoke an anti-lock stop.
 */
export const proofOf = (means: Means, proved: readonly Proved[]): Line[] => [
  ...(proved.includes('tyre') || proved.includes('sender') ? [] : [say('prove/by-hand')]),
  ...(means.reader === 'none' || means.reader === 'engine' ? [] : [say('prove/before-after', within(means))]),
  ...clearing(means),
  say('prove/key-cycle'),
  say(means.trailer ? 'prove/drive-trailer' : 'prove/drive'),
  ...proved.flatMap((what) => (what === 'plain' ? [] : [say(`prove/${what}`, within(means))])),
  say('prove/brake'),
  ...(means.reader === 'full' ? [say('prove/full-again')] : []),
  say('always/road'),
  say('prove/back'),
];
