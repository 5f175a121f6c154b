import { lexicon } from '../text/lexicon.ts';
import type { HistoryEvent } from '../vocabulary/docket.ts';
import { EVENT_IN_WORDS } from '../vocabulary/inWords.ts';
import type { Chip } from '../vocabulary/intakeReading.ts';
import type { EventName } from '../vocabulary/words.ts';
import type { LocatedPosition } from '../positions/readPositions.ts';
import { agoIn, durationAt } from './when.ts';
import { clausesOf, type SourceText } from './sourceText.ts';

const DONE =
  'replaced|renewed|changed|fitted|done|was replaced|was changed|was fitted|was renewed|was done|been replaced|been changed|been done|put in|swapped for a new one|has been replaced|is new|were replaced|were changed|were fitted|were done|just replaced|just fitted';
const FITTED =
  'new|fitted a new|fitted new|put a new|put new|put in a new|replaced the|replaced|changed the|changed|renewed the|renewed|fitted a|had a new|another|second|third|second new|third new|already replaced the|swapped in a new';

const done = (things: string): string =>
  things
    .split('|')
    .flatMap((thing) => [
      ...DONE.split('|').map((d) => `${thing} ${d}`),
      ...FITTED.split('|').map((f) => `${f} ${thing}`),
    ])
    .join('|');

/** Work done before, as people say it. */
const EVENTS = lexicon<EventName>([
  [
    `${done('sensor|sensors|wheel speed sensor|abs sensor|wheel sensor|speed sensor')}|two sensors|three sensors|sensors in a month`,
    'sensor-replaced',
  ],
  [done('ring|tone ring|abs ring|reluctor|toothed ring|reluctor ring'), 'ring-replaced'],
  [done('hub|hub assembly|bearing|wheel bearing|hubs|bearings|wheel hub|hub bearing'), 'hub-replaced'],
  [done('tyre|tyres|tire|tires|set of tyres|rubber'), 'tyre-replaced'],
  [done('sender|speed sender|diff sender|speedo sender'), 'sender-replaced'],
  [
    `${done('connector|plug|connector kit')}|connector repaired|plug repaired|wiring repaired|loom repaired|repaired the wiring|repaired the connector|soldered the wires|rewired|wiring was repaired|wires repaired|repaired the loom`,
    'connector-repaired',
  ],
  [
    `${done('ball joint|ball joints|shock|shocks|shock absorber|shock absorbers|strut|struts|spring|springs|wishbone|arm|lower arm|suspension|knuckle|track rod end|control arm|drop link')}|suspension work|worked on the suspension`,
    'suspension-work',
  ],
  [
    `${done('pads|discs|brake pads|brake discs|brakes|calipers|caliper|brake shoes|shoes|drums|rotors')}|brake job|brake work|brake service`,
    'brake-work',
  ],
  [
    `${done('drive shaft|driveshaft|shaft|axle shaft|half shaft|cv joint|cv|halfshaft|cv boot')}`,
    'axle-shaft-work',
  ],
  [done('battery'), 'battery-replaced'],
  [
    'flat battery|battery flat|battery went flat|battery was flat|dead battery|battery died|battery dead|jump started|jumped it|jump start|battery ran down|battery drained|had to jump it',
    'battery-flat',
  ],
]);

const NO_CHANGE = lexicon<true>([
  [
    'no difference|no change|didnt fix it|did not fix it|did not cure it|didnt cure it|still the same|made no difference|not cured|same fault|light stayed on|lamp stayed on|nothing changed|didnt help|did not help|changed nothing',
    true,
  ],
]);
const GOOD_FOR = lexicon<true>([
  [
    'good for|lasted|ok for|fine for|worked for|cured it for|went out for|fixed it for|stayed off for|away for|came back after|back after|back within|returned after|was fine for|was ok for|was good for|light off for',
    true,
  ],
]);

/** Reads what was done lately, when, and whether it helped. */
export const readHistory = (
  source: SourceText,
  positions: readonly LocatedPosition[],
  today: string,
): { history: HistoryEvent[]; chips: Chip[] } => {
  const history: HistoryEvent[] = [];
  const chips: Chip[] = [];
  const clauses = clausesOf(source.tokens);
  clauses.forEach((clause, c) => {
    const tokens = source.tokens.slice(clause.from, clause.to);
    const hits = EVENTS.all(tokens);
    hits.forEach((hit, h) => {
      const from = clause.from + hit.from;
      const to = clause.from + hit.to;
      const limit = hits[h + 1] ? clause.from + (hits[h + 1]?.from ?? 0) : clause.to;
      const scope = source.tokens.slice(h === 0 ? clause.from : to, limit);
      const offset = h === 0 ? clause.from : to;
      const ago = agoIn(scope, today);
      const next = clauses[c + 1];
      const afterwards = hits[h + 1]
        ? scope
        : [...scope, ...source.tokens.slice(clause.to, next?.to ?? clause.to)];
      let lasted: number | null = null;
      let lastedAt = -1;
      for (const good of GOOD_FOR.all(afterwards)) {
        const stretch = durationAt(afterwards, good.to);
        if (stretch) {
          lasted = stretch.days;
          lastedAt = good.from;
          source.take(offset + good.from, offset + stretch.to);
        }
      }
      const unchanged = NO_CHANGE.all(afterwards)[0];
      if (unchanged && lastedAt < 0) source.take(offset + unchanged.from, offset + unchanged.to);
      source.take(from, to);
      if (ago) source.take(offset + ago.from, offset + ago.to);
      const start = source.tokens[from]?.start ?? 0;
      const end = source.tokens[to - 1]?.end ?? 0;
      const sentence = [
        source.tokens[clause.from]?.start ?? 0,
        source.tokens[clause.to - 1]?.end ?? 0,
      ] as const;
      const at = positions
        .filter(
          (p) =>
            p.start >= sentence[0] && p.end <= sentence[1] && p.wheelEnds.length > 0 && p.role !== 'denied',
        )
        .sort(
          (x, y) =>
            Math.min(Math.abs(x.start - end), Math.abs(start - x.end)) -
            Math.min(Math.abs(y.start - end), Math.abs(start - y.end)),
        )[0];
      const ends = hit.meaning.startsWith('battery') ? [null] : at ? at.wheelEnds : [null];
      for (const wheelEnd of ends) {
        history.push({
          event: hit.meaning,
          wheelEnd,
          daysAgo: ago?.days ?? null,
          ...(lasted !== null
            ? { cured: 'for-a-while' as const, daysUntilReturn: lasted }
            : unchanged
              ? { cured: 'no' as const }
              : {}),
        });
        const label = [
          EVENT_IN_WORDS[hit.meaning],
          ago ? `${ago.days} days ago` : null,
          lasted !== null ? `good for ${lasted} days` : unchanged ? 'no change' : null,
        ]
          .filter(Boolean)
          .join(', ');
        chips.push({ kind: 'history', label, words: source.text.slice(start, end), start, end, note: null });
      }
    });
  });
  return { history, chips };
};
