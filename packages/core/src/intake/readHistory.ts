import { lexicon } from '../text/lexicon.ts';
import type { Token } from '../text/tokens.ts';
import type { HistoryEvent } from '../vocabulary/docket.ts';
import { EVENT_IN_WORDS } from '../vocabulary/inWords.ts';
import type { Chip } from '../vocabulary/intakeReading.ts';
import type { EventName } from '../vocabulary/words.ts';
import type { LocatedPosition } from '../positions/readPositions.ts';
import { agoIn, durationAt } from './when.ts';
import { clausesOf, type SourceText } from './sourceText.ts';

/** Things that are replaced or worked on, and the event that is. */
const THINGS = lexicon<EventName>([
  [
    'sensor|sensors|wheel speed sensor|abs sensor|wheel sensor|speed sensor|wheel speed sensors|abs sensors',
    'sensor-replaced',
  ],
  ['ring|tone ring|abs ring|reluctor|toothed ring|reluctor ring', 'ring-replaced'],
  [
    'hub|hub assembly|bearing|wheel bearing|hubs|bearings|wheel hub|hub bearing|wheel bearings',
    'hub-replaced',
  ],
  ['tyre|tyres|tire|tires|set of tyres|rubber', 'tyre-replaced'],
  ['sender|speed sender|diff sender|speedo sender', 'sender-replaced'],
  ['connector|plug|connector kit|wiring|loom|wires|connection|joint in the arch', 'connector-repaired'],
  [
    'ball joint|ball joints|shock|shocks|shock absorber|shock absorbers|strut|struts|spring|springs|wishbone|lower arm|suspension|knuckle|track rod end|control arm|drop link',
    'suspension-work',
  ],
  [
    'pads|discs|brake pads|brake discs|brakes|calipers|caliper|brake shoes|shoes|drums|pads and discs|discs and pads|brake',
    'brake-work',
  ],
  ['drive shaft|driveshaft|axle shaft|half shaft|cv joint|cv|halfshaft|cv boot|shaft', 'axle-shaft-work'],
  ['battery', 'battery-replaced'],
]);

/** What was done to them. */
const DONE = lexicon<true>([
  [
    'replaced|renewed|changed|fitted|done|put in|new|newly fitted|swapped for a new one|repaired|fixed|soldered|overhauled|work|job|service|worked on|spliced|another|second|third|two|three|did',
    true,
  ],
]);

/** Said of what is wanted, not of what was done. */
const WANTED = lexicon<true>([
  [
    'want|wants|need|needs|needing|order|sell|sell me|price for|price of|quote|buy|buying|looking for|after a|get a|has to be|should be|must be|to be|wants to|would like|thinking of',
    true,
  ],
]);

/** Events told without naming what was done to what. */
const PHRASES = lexicon<EventName>([
  [
    'flat battery|battery flat|battery went flat|battery was flat|dead battery|battery died|battery dead|battery is flat|battery is dead|jump started|jumped it|jump start|battery ran down|battery drained|had to jump it|boosted it',
    'battery-flat',
  ],
  ['rewired|resoldered', 'connector-repaired'],
]);

/** Words between a thing and what was done to it: `sender on the diff changed`, `new left front hub`. */
const REACH = 5;

/** Events of a clause: whole phrases, else each thing with the nearest deed. */
const eventsIn = (tokens: readonly Token[]): Array<{ from: number; to: number; meaning: EventName }> => {
  const phrases = PHRASES.all(tokens);
  const free = (hit: { from: number; to: number }) =>
    !phrases.some((p) => hit.from < p.to && hit.to > p.from);
  const things = THINGS.all(tokens).filter(free);
  const deeds = DONE.all(tokens);
  const wanted = WANTED.all(tokens);
  const out: Array<{ from: number; to: number; meaning: EventName }> = [...phrases];
  things.forEach((thing, k) => {
    const before = things[k - 1]?.to ?? 0;
    const after = things[k + 1]?.from ?? tokens.length;
    const gap = (deed: { from: number; to: number }) =>
      deed.to <= thing.from ? thing.from - deed.to : deed.from - thing.to;
    const near = deeds
      .filter(
        (deed) =>
          deed.from >= before &&
          deed.to <= after &&
          (deed.to <= thing.from || deed.from >= thing.to) &&
          gap(deed) <= REACH,
      )
      .sort((x, y) => gap(x) - gap(y))[0];
    if (!near) return;
    const from = Math.min(near.from, thing.from);
    if (
      wanted.some((w) => w.to <= thing.from && thing.from - w.to <= 3) ||
      /^(not|never|no)$/.test(tokens[from - 1]?.norm ?? '')
    )
      return;
    out.push({ from, to: Math.max(near.to, thing.to), meaning: thing.meaning });
  });
  return out.sort((x, y) => x.from - y.from);
};

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
    const hits = eventsIn(tokens);
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
