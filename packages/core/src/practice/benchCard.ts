import { hasRing, type Architecture } from '../diagnosis/architecture.ts';
import type { Check, CheckName } from '../vocabulary/check.ts';
import type { Work } from '../offers/fixes.ts';
import type { Docket } from '../vocabulary/docket.ts';
import type { PartClass } from '../vocabulary/words.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';

/** What one does next on a job. */
export type Deed =
  | { kind: 'check'; check: CheckName; at: WheelEnd | null }
  | { kind: 'parts'; parts: readonly PartClass[]; at: WheelEnd }
  | { kind: 'work'; work: Work; at: WheelEnd | null }
  /** Looks up, or asks, how a wheel end is built. */
  | { kind: 'ask'; at: WheelEnd }
  | { kind: 'refer' };

/** What the card sees of the job. */
export interface CardSight {
  readonly docket: Docket;
  readonly corner: WheelEnd | null;
  readonly architecture: Architecture | null;
  /** Whether a code of the corner speaks of a dead circuit, or of a ratio. */
  readonly code: 'dead' | 'ratio' | 'signal' | 'none';
  readonly tried: ReadonlySet<string>;
}

type Rule = readonly [says: string, deed: (s: CardSight, look: Look) => Deed | null];
/** The last result of a check at the corner, or null. */
type Look = (check: CheckName) => string | null;

const resultOf = (check: Check): string => {
  if ('result' in check) return check.result;
  if (check.check === 'live') return check.pattern;
  if (check.check === 'meter.resistance')
    return typeof check.ohms === 'string'
      ? check.ohms
      : check.ohms < 800
        ? 'low'
        : check.ohms > 2500
          ? 'high'
          : 'in-range';
  if (check.check === 'meter.supply')
    return check.volts >= 4.5 ? 'present' : check.volts < 1 ? 'absent' : 'low';
  if (check.check === 'meter.ac') return check.volts >= 0.1 ? 'good' : check.volts < 0.02 ? 'none' : 'weak';
  return '';
};

const part = (s: CardSight, ...parts: PartClass[]): Deed | null =>
  s.corner && !s.tried.has(parts.join('+')) ? { kind: 'parts', parts, at: s.corner } : null;
const work = (s: CardSight, what: Work): Deed | null =>
  s.tried.has(`work:${what}`) ? null : { kind: 'work', work: what, at: s.corner };
const look = (s: CardSight, done: Look, check: CheckName): Deed | null =>
  s.corner && done(check) === null ? { kind: 'check', check, at: s.corner } : null;
const sensorPart = (s: CardSight): PartClass =>
  s.architecture?.mounting === 'in-hub' ? 'hub-assembly' : 'sensor';
const targetPart = (s: CardSight): PartClass =>
  !s.architecture || !hasRing(s.architecture)
    ? 'hub-assembly'
    : s.architecture.ringSoldAlone
      ? 'tone-ring'
      : s.architecture.target === 'ring-on-shaft'
        ? 'axle-shaft'
        : 'hub-assembly';
const isIn = (result: string | null, words: string): boolean =>
  result !== null && words.split(' ').includes(result);
const reads = (s: CardSight): boolean => s.docket.reader === 'full';

/**
 * A card on the wall of a good workshop: the order of a careful mechanic, the joint first, then meter or live speeds,
 * play, ring and tip; the first find is acted on. It knows no odds and no prices. Fixed before it was first played.
 */
export const BENCH_CARD: readonly Rule[] = [
  [
    'no corner, a reader: compare live speeds',
    (s) =>
      s.corner === null && reads(s) && !s.tried.has('live')
        ? { kind: 'check', check: 'live', at: null }
        : null,
  ],
  [
    'no corner, no reader: rock and spin each wheel',
    (s) =>
      s.corner === null && !s.tried.has('bearing.noise')
        ? { kind: 'check', check: 'bearing.noise', at: null }
        : null,
  ],
  [
    'no corner, no reader: look into every plug',
    (s) =>
      s.corner === null && !s.tried.has('visual.connector')
        ? { kind: 'check', check: 'visual.connector', at: null }
        : null,
  ],
  ['still no corner: another workshop', (s) => (s.corner === null ? { kind: 'refer' } : null)],
  [
    'a stale code: clear it and drive',
    (s, done) =>
      reads(s) &&
      (s.docket.codes ?? []).length > 0 &&
      (s.docket.codes ?? []).every((c) => c.status === 'stored')
        ? look(s, done, 'clear-and-drive')
        : null,
  ],
  [
    'it stays away: nothing to fit',
    (s, done) => (isIn(done('clear-and-drive'), 'stays-away') ? work(s, 'none-present') : null),
  ],
  [
    'a new tyre or a code of ratio: compare the sizes',
    (s, done) => (s.code === 'ratio' ? look(s, done, 'tyres') : null),
  ],
  ['sizes differ: one size', (s, done) => (isIn(done('tyres'), 'differ') ? work(s, 'tyre') : null)],
  ['look into the plug', (s, done) => look(s, done, 'visual.connector')],
  [
    'green, loose or broken: renew the joint',
    (s, done) =>
      isIn(done('visual.connector'), 'corroded loose-pins shell-broken') ? part(s, 'connector-kit') : null,
  ],
  [
    'passive: meter the coil',
    (s, done) => (s.architecture?.sensor === 'passive' ? look(s, done, 'meter.resistance') : null),
  ],
  [
    'coil open, short, off or unsteady: sensor',
    (s, done) =>
      isIn(done('meter.resistance'), 'open short low high unstable') ? part(s, sensorPart(s)) : null,
  ],
  [
    'active, dead: meter the supply',
    (s, done) =>
      s.architecture?.sensor === 'active' && s.code === 'dead' ? look(s, done, 'meter.supply') : null,
  ],
  [
    'no supply: repair the loom',
    (s, done) => (isIn(done('meter.supply'), 'absent low') ? work(s, 'loom') : null),
  ],
  ['a dead circuit, joint and feed good: sensor', (s) => (s.code === 'dead' ? part(s, sensorPart(s)) : null)],
  ['rock the wheel', (s, done) => look(s, done, 'bearing.play')],
  ['spin the wheel', (s, done) => look(s, done, 'bearing.noise')],
  [
    'play or growl: hub',
    (s, done) =>
      isIn(done('bearing.play'), 'clear slight') || isIn(done('bearing.noise'), 'growl')
        ? part(s, 'hub-assembly')
        : null,
  ],
  [
    'look at the ring',
    (s, done) => (s.architecture && hasRing(s.architecture) ? look(s, done, 'visual.ring') : null),
  ],
  [
    'ring cracked, loose, toothless or swollen: renew it',
    (s, done) =>
      isIn(done('visual.ring'), 'cracked loose missing-teeth rusted') ? part(s, targetPart(s)) : null,
  ],
  [
    'look at the tip',
    (s, done) => (s.architecture?.mounting === 'separate' ? look(s, done, 'visual.sensor') : null),
  ],
  [
    'tip broken or rubbed: sensor',
    (s, done) =>
      isIn(done('visual.sensor'), 'broken snapped rubbed lead-damaged') ? part(s, sensorPart(s)) : null,
  ],
  [
    'rust, swarf or a loose bolt: clean and set home',
    (s, done) =>
      isIn(done('visual.sensor'), 'corroded metal-on-tip loose') || isIn(done('visual.ring'), 'dirty')
        ? work(s, 'seating')
        : null,
  ],
  ['nothing to see: live speeds', (s, done) => (reads(s) ? look(s, done, 'live') : null)],
  [
    'a dip once a turn: the target',
    (s, done) => (isIn(done('live'), 'once-per-turn noisy') ? part(s, targetPart(s)) : null),
  ],
  [
    'a constant share off: tyres',
    (s, done) => (isIn(done('live'), 'reads-high reads-low') ? work(s, 'tyre') : null),
  ],
  [
    'lost when slow: seat and gap',
    (s, done) => (isIn(done('live'), 'weak-at-low-speed') ? work(s, 'seating') : null),
  ],
  [
    'nothing wrong to be seen: clear it',
    (s, done) => (isIn(done('live'), 'normal') ? work(s, 'none-present') : null),
  ],
  ['else the sensor', (s) => part(s, sensorPart(s))],
  ['then the joint', (s) => part(s, 'connector-kit')],
  ['then another workshop', () => ({ kind: 'refer' })],
];

/** The next deed by the card: the first rule that applies. */
export const byTheCard = (s: CardSight): Deed => {
  const checks = s.docket.checks ?? [];
  const done: Look = (check) => {
    const last = checks
      .filter((each) => each.check === check && (each.wheelEnd ?? s.corner) === s.corner)
      .at(-1);
    if (!last) return s.tried.has(`${check}@${s.corner ?? ''}`) ? '' : null;
    return last.check === 'tyres' ? (s.tried.has('tyres differ') ? 'differ' : 'match') : resultOf(last);
  };
  for (const [, deed] of BENCH_CARD) {
    const next = deed(s, done);
    if (next) return next;
  }
  return { kind: 'refer' };
};
