import { Check } from '../vocabulary/check.ts';
import { HistoryEvent, type DocketSymptom } from '../vocabulary/docket.ts';
import { EVENT_IN_WORDS, SYMPTOM_IN_WORDS } from '../vocabulary/inWords.ts';
import type { Chip, IntakeReading } from '../vocabulary/intakeReading.ts';
import type { Token } from '../text/tokens.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { symptomOf } from '../vocabulary/complaints.ts';
import { checkInWords } from '../checkKinds/checkData.ts';
import type { Heard } from './frames/clause.ts';
import type { Placed } from './resolveWheels.ts';
import type { Unit } from './unit.ts';

type Ask = NonNullable<IntakeReading['asks']>[number];

/** Checks of the whole vehicle: they take a wheel only where their own clause says one. */
const WHOLE: ReadonlySet<string> = new Set(['battery', 'lamps', 'clear-and-drive']);
/** A worst look says what a lesser one beside it says. */
const WITHIN: Readonly<Record<string, string>> = {
  'broken-lock': 'shell-broken',
  'loose-pins': 'shell-broken',
};

export interface PlacedFact {
  readonly heard: Heard;
  readonly place: Placed;
}

export interface PlacedFacts {
  readonly checks: Check[];
  readonly symptoms: DocketSymptom[];
  readonly history: HistoryEvent[];
  readonly chips: Chip[];
  readonly asks: Ask[];
  readonly placed: readonly PlacedFact[];
}

const soundResult = (check: Check): boolean =>
  ('result' in check && ['sound', 'none', 'steady', 'full'].includes(check.result)) ||
  (check.check === 'live' && check.pattern === 'normal');

/** Whether a fact says that something is well. */
export const isSound = ({ check }: Heard): boolean => check !== undefined && soundResult(check);

const NOWHERE: Placed = { wheelEnds: [], carried: false, asked: false, group: null };

const eventLabel = (event: HistoryEvent): string =>
  [
    EVENT_IN_WORDS[event.event],
    event.daysAgo == null ? null : `${event.daysAgo} days ago`,
    event.daysUntilReturn != null
      ? `good for ${event.daysUntilReturn} days`
      : event.cured === 'no'
        ? 'no change'
        : event.cured === 'yes'
          ? 'cured it'
          : null,
  ]
    .filter(Boolean)
    .join(', ');

/** A swap names the wheel that had the fault first, then the one it was swapped with. */
const swappedWheels = (
  unit: Unit,
  units: readonly Unit[],
): { place: Placed; other: WheelEnd | null } | null => {
  const places = units
    .filter((u) => u.sentence === unit.sentence && u.group !== null)
    .flatMap((u) => u.group?.places ?? [])
    .filter((place) => place.wheelEnds.length === 1);
  const [one, two] = places;
  // "swapped left and right": which of the two had the fault is not said.
  if (!one)
    return places.length === 0 && units.some((u) => u.sentence === unit.sentence && u.group !== null)
      ? { place: { wheelEnds: [], carried: false, asked: true, group: null }, other: null }
      : null;
  const other = two?.wheelEnds[0] ?? null;
  return {
    place: { wheelEnds: one.wheelEnds, carried: !unit.group, asked: false, group: null },
    other: other === one.wheelEnds[0] ? null : other,
  };
};

/** The same event told twice, once with less said of it, is one event. */
const withoutTwins = (history: readonly HistoryEvent[]): HistoryEvent[] =>
  history.filter(
    (event, i) =>
      !history.some(
        (other, k) =>
          k !== i &&
          other.event === event.event &&
          (event.wheelEnd == null || other.wheelEnd === event.wheelEnd) &&
          event.daysAgo == null &&
          event.cured == null &&
          (other.daysAgo != null || other.cured != null),
      ),
  );

/** A thing that was found bad is not sound as well: "not corroded, but the lock is broken". */
const withoutSoundTwins = (checks: readonly Check[]): Check[] => {
  const placeOf = (check: Check): string => `${check.check} ${check.wheelEnd ?? ''}`;
  const bad = new Set(
    checks
      .filter((check) => !soundResult(check) && !('result' in check && check.result === 'not-visible'))
      .map(placeOf),
  );
  return checks.filter(
    (check) => !(check.check.startsWith('visual.') && soundResult(check) && bad.has(placeOf(check))),
  );
};

/** Why a fact cannot stand on a docket, or null. */
const refusedBecause = ({ check, event }: Heard): string | null => {
  const read = check ? Check.safeParse(check) : event ? HistoryEvent.safeParse(event) : null;
  if (!read || read.success) return null;
  const [issue] = read.error.issues;
  return issue ? `${issue.path.join('.')}: ${issue.message}` : 'not a figure that can be kept';
};

/** Gives every fact its wheels and makes checks, complaints, history and chips of them. */
export const placeFacts = (
  heard: readonly Heard[],
  resolve: (unit: Unit, kind: 'finding' | 'work' | 'sound') => Placed,
  units: readonly Unit[],
  tokens: readonly Token[],
  text: string,
  moves: Readonly<Record<string, WheelEnd | null>>,
): PlacedFacts => {
  const checks: Check[] = [];
  const symptoms: DocketSymptom[] = [];
  const history: HistoryEvent[] = [];
  const chips: Chip[] = [];
  const asks: Ask[] = [];
  const placed: PlacedFact[] = [];
  const times = new Map<string, number>();
  const known = new Map<string, unknown>();
  /** The fact each chip stands for, so that its place on the docket is known in the end. */
  const factOf = new Map<Chip, Check | HistoryEvent | DocketSymptom>();

  /** Puts a fact on a list, or finds the same one there: what is said twice is one fact. */
  const add = <T>(list: T[], fact: T): T => {
    const written = JSON.stringify(fact);
    const before = known.get(written) as T | undefined;
    if (before !== undefined) return before;
    known.set(written, fact);
    list.push(fact);
    return fact;
  };
  const show = (chip: Chip, fact: Check | HistoryEvent | DocketSymptom | undefined): void => {
    chips.push(chip);
    if (fact !== undefined) factOf.set(chip, fact);
  };

  for (const fact of [...heard].sort((a, b) => a.from - b.from)) {
    const start = tokens[fact.from]?.start ?? 0;
    const end = tokens[fact.to - 1]?.end ?? start;
    const words = text.slice(start, end);
    const nth = times.get(words) ?? 0;
    times.set(words, nth + 1);
    const key = `${words.toLowerCase()}#${nth}`;
    const clause = {
      start: tokens[fact.unit.from]?.start ?? start,
      end: tokens[fact.unit.to - 1]?.end ?? end,
    };
    const base = { words, start, end, note: fact.note, clause };

    // A figure no docket takes is not lost: it stays in the words, with the reason.
    const refusal = refusedBecause(fact);
    if (refusal !== null) {
      chips.push({ kind: 'left-over', label: words, words, start, end, note: refusal, clause });
      continue;
    }

    if (fact.is === 'complaint' && fact.symptom) {
      const symptom = fact.symptom;
      const twin = symptoms.findIndex((other) => symptomOf(other) === symptomOf(symptom));
      // The last word wins: a lamp that was on and is gone now is gone.
      if (twin >= 0 && JSON.stringify(symptoms[twin]) === JSON.stringify(symptom)) continue;
      if (twin >= 0) symptoms.splice(twin, 1);
      symptoms.push(symptom);
      placed.push({ heard: fact, place: NOWHERE });
      const cured = typeof symptom === 'object' && symptom.cured === 'yes';
      show(
        {
          ...base,
          kind: 'complaint',
          label: `${SYMPTOM_IN_WORDS[symptomOf(symptom)]}${cured ? ': gone' : ''}`,
        },
        symptom,
      );
      continue;
    }
    if (fact.is === 'event' && fact.event) {
      const event = fact.event;
      const whole = event.event.startsWith('battery');
      const found = whole
        ? NOWHERE
        : resolve(fact.unit.group ? fact.unit : (fact.placeAs ?? fact.unit), 'work');
      const all = found.group?.places.some((place) => place.all) ?? false;
      const moved = key in moves;
      const ends = moved ? (moves[key] ? [moves[key]] : []) : all ? [] : found.wheelEnds;
      const [told] = (ends.length > 0 ? ends : [null]).map((wheelEnd) =>
        add(history, { ...event, wheelEnd }),
      );
      placed.push({ heard: fact, place: found });
      show(
        {
          ...base,
          kind: 'history',
          label: eventLabel(event),
          wheelEnds: [...ends],
          carried: !moved && found.carried && ends.length > 0,
          asked: !moved && found.asked,
          key: whole ? null : key,
          moved,
        },
        told,
      );
      continue;
    }
    if (!fact.check) continue;
    const { check } = fact;
    const whole = WHOLE.has(check.check) || (check.check === 'brake.fluid' && !fact.unit.group);
    const swapped = check.check === 'swap' ? swappedWheels(fact.unit, units) : null;
    const found = whole
      ? NOWHERE
      : (swapped?.place ?? resolve(fact.unit, soundResult(check) ? 'sound' : 'finding'));
    const moved = key in moves;
    if (fact.is === 'noise' && !moved && found.wheelEnds.length === 0 && !found.group?.choice) {
      if (!symptoms.some((other) => symptomOf(other) === 'noise.wheel')) {
        add(symptoms, 'noise.wheel');
        show({ ...base, kind: 'complaint', label: SYMPTOM_IN_WORDS['noise.wheel'] }, 'noise.wheel');
        placed.push({ heard: fact, place: NOWHERE });
      }
      continue;
    }
    const ends = moved ? (moves[key] ? [moves[key]] : []) : found.wheelEnds;
    const lesser = 'result' in check ? WITHIN[check.result] : undefined;
    const said = ends.length > 0 ? ends : [null];
    const told = said.flatMap((wheelEnd) => {
      const covered =
        lesser !== undefined &&
        checks.some(
          (other) =>
            other.check === check.check &&
            'result' in other &&
            other.result === lesser &&
            (other.wheelEnd ?? null) === wheelEnd,
        );
      if (covered) return [];
      return add(checks, {
        ...check,
        ...(wheelEnd === null ? {} : { wheelEnd }),
        ...(swapped?.other ? { with: swapped.other } : {}),
      });
    });
    placed.push({ heard: fact, place: found });
    show(
      {
        ...base,
        kind: 'check',
        label: checkInWords(check),
        wheelEnds: [...ends],
        carried: !moved && found.carried && ends.length > 0,
        asked: !moved && found.asked,
        key: whole ? null : key,
        moved,
      },
      told[0],
    );
    if (!moved && found.asked && !asks.some((ask) => ask.about === 'wheelEnd'))
      asks.push({ about: 'wheelEnd', words, ask: `\u201C${words}\u201D: at which wheel?` });
  }
  const kept = { checks: withoutSoundTwins(checks), symptoms, history: withoutTwins(history) };
  const paths = new Map(
    Object.entries(kept).flatMap(([name, list]) =>
      (list as Array<Check | DocketSymptom | HistoryEvent>).map(
        (fact, i) => [fact, `${name}[${i}]`] as const,
      ),
    ),
  );
  const pathOf = (chip: Chip): string | null => {
    const fact = factOf.get(chip);
    return fact === undefined ? null : (paths.get(fact) ?? null);
  };
  return { ...kept, chips: chips.map((chip) => ({ ...chip, path: pathOf(chip) })), asks, placed };
};
