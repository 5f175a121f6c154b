import { explainRatio, type RatioContext } from '../checks/explainRatio.ts';
import type { LivePattern } from '../vocabulary/check.ts';
import type { TraceExplanation } from '../vocabulary/traceReading.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { isDeep, type WheelEvidence } from './classify.ts';

interface Told {
  readonly explains: TraceExplanation[];
  readonly sentence: string;
  readonly next: string;
}

interface Seen {
  readonly wheelEnd: WheelEnd;
  readonly pattern: LivePattern;
  readonly ratio: number | null;
  readonly evidence: WheelEvidence;
  readonly lostBelowKmh: number | null;
  /** Hardly a stretch was straight: a ratio may be a bend. */
  readonly bent: boolean;
  /** Lost no slower than a sound coil may be, and nothing on its axle to hold it against. */
  readonly unheld: boolean;
}

const percentOf = (ratio: number): string => `${(Math.abs(ratio - 1) * 100).toFixed(1)} %`;

const why = (cause: TraceExplanation['cause'], because: string): TraceExplanation => ({ cause, because });

const deadReasons = [
  why('sensor', 'an open or shorted sensor gives nothing at any speed'),
  why('wiring', 'a broken lead or a corroded joint gives nothing at any speed'),
  why('mismatched-part', 'a sensor of the other kind, or one facing the wrong way, gives nothing'),
];

const LOOK_NEXT: Readonly<Record<LivePattern, string>> = {
  normal: 'Nothing to look at here, if the complaint was felt while this was recorded.',
  'no-signal': 'Look inside the connector, then meter the sensor against its sound twin at the same plug.',
  'drops-out': 'Move the lead, plug and loom by hand while somebody watches the live speed.',
  'once-per-turn':
    'Turn the wheel slowly by hand and look at every tooth of the ring; feel the bearing for play first.',
  'reads-high': 'Read the tyre sizes at all wheels, then count the teeth of the ring against its neighbour.',
  'reads-low': 'Read the tyre sizes at all wheels, then count the teeth of the ring against its neighbour.',
  'weak-at-low-speed':
    'Draw the sensor and look for rust under its seat and dirt on the tip; measure the gap.',
  noisy: 'Rock the wheel for bearing play, then look at the ring for rust and at the tip for metal.',
};

const sentenceOf = ({ pattern, ratio, evidence, lostBelowKmh, bent, unheld }: Seen): string => {
  const { losses, turn, events, total, noise } = evidence;
  switch (pattern) {
    case 'normal':
      return ratio === null || Math.abs(ratio - 1) < 0.004
        ? 'Runs with the others.'
        : `Runs with the others, ${percentOf(ratio)} ${ratio > 1 ? 'high' : 'low'}: within wear and pressure.`;
    case 'no-signal':
      return losses.goneSince !== null && losses.share < 0.8
        ? `Worked until ${losses.goneSince.toFixed(0)} s, then nothing to the end.`
        : `No signal in ${Math.round(losses.share * 100)} of 100 moving samples.`;
    case 'drops-out':
      return `Drops out ${Math.max(losses.episodes, events.filter(isDeep).length)} times, at no one place of the turn and no one speed.`;
    case 'once-per-turn':
      return turn
        ? `Disturbed once every turn at the same place: ${turn.samples.length} times, seen on ${Math.min(turn.hits, turn.turns)} of ${turn.turns} turns slow enough to show it.`
        : 'Disturbed once every turn.';
    case 'reads-high':
    case 'reads-low':
      return bent
        ? `Reads ${percentOf(ratio ?? 1)} ${pattern === 'reads-high' ? 'high' : 'low'} here, but hardly a stretch is straight: a bend may be all it is. Record a straight one.`
        : `Reads ${percentOf(ratio ?? 1)} ${pattern === 'reads-high' ? 'high' : 'low'} at every speed: the same ratio all along.`;
    case 'weak-at-low-speed':
      return unheld
        ? `Lost below about ${lostBelowKmh} km/h, as a sound coil may be; the other wheel of the axle gives nothing to hold it against.`
        : `Lost below about ${lostBelowKmh} km/h while the others still read; sound above.`;
    case 'noisy':
      return `Restless: ${noise.times.toFixed(1)} times the noise of the other wheels, ${total} swings both ways.`;
  }
};

const reasonsFor = (seen: Seen, context: RatioContext): TraceExplanation[] => {
  switch (seen.pattern) {
    case 'normal':
      return [];
    case 'no-signal':
      return deadReasons;
    case 'drops-out':
      return [
        why('wiring', 'a joint or chafed lead opens with movement and damp'),
        why('sensor', 'a sensor element fails warm or on bumps'),
        why('bearing', 'play lets the gap breathe'),
      ];
    case 'once-per-turn':
      return [
        why('ring', 'a cracked ring has one long gap a turn; a missing tooth does the same'),
        why('encoder', 'a damaged pole of a magnetic encoder comes by once a turn'),
        why('bearing', 'a bent or loose hub swings the target once a turn'),
      ];
    case 'weak-at-low-speed':
      return [
        why('seating', 'rust or dirt under the sensor widens the gap; a wide gap fails first when slow'),
        why('ring', 'a rotted ring gives a weak signal'),
        why('sensor', 'a weak coil or magnet fails first when slow'),
      ];
    case 'noisy':
      return [
        why('bearing', 'play makes the gap breathe'),
        why('ring', 'rust or uneven teeth'),
        why('encoder', 'metal on the magnetic target'),
      ];
    case 'reads-high':
    case 'reads-low':
      // What may be a bend is explained by no tyre and no ring.
      if (seen.bent) return [];
      return explainRatio(((seen.ratio ?? 1) - 1) * 100, context).map(({ cause, because, leftPercent }) =>
        why(cause, `${because}; ${Math.abs(leftPercent).toFixed(2)} % left over`),
      );
  }
};

/** What a finding means, in words: what explains it, one sentence of what is seen, and what to look at next. */
export const explainFinding = (seen: Seen, context: RatioContext): Told => ({
  explains: reasonsFor(seen, context),
  sentence: sentenceOf(seen),
  next: LOOK_NEXT[seen.pattern],
});
