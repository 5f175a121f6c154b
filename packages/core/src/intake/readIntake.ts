import { correctionsIn, struckBy } from '../text/corrections.ts';
import { CLOSED_WORDS } from '../text/closedWords.ts';
import { corrected } from '../text/spelling.ts';
import type { Token } from '../text/tokens.ts';
import { BadInput } from '../vocabulary/badInput.ts';
import { findConflicts } from '../positions/findConflicts.ts';
import type { PositionContext } from '../positions/placePhrase.ts';
import { readPositions, type LocatedPosition } from '../positions/readPositions.ts';
import type { Chip, IntakeReading } from '../vocabulary/intakeReading.ts';
import { DOUBT_ASKS } from '../vocabulary/doubtWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { wheelEndAt, wheelEndInWords } from '../vocabulary/wheelEndWords.ts';
import { dangerDoubts } from './askDanger.ts';
import type { IntakeContext } from './context.ts';
import { has } from './frames/clause.ts';
import { hearFacts, plainItems } from './hearFacts.ts';
import { linesFromJson } from './jsonReport.ts';
import { leftOverChips } from './leftOver.ts';
import { numbersIn } from './numbers.ts';
import { placeFacts } from './placeFacts.ts';
import { readCaller } from './readCaller.ts';
import { readCodeLines, type CodeLine } from './readCodeLines.ts';
import { findTyreSizes, placeTyres } from './readTyres.ts';
import { readVehicle } from './readVehicle.ts';
import { wheelResolver } from './resolveWheels.ts';
import { rolesFromFacts } from './rolesFromFacts.ts';
import { sourceText, type SourceText } from './sourceText.ts';
import {
  groupPlaces,
  SIZE_MARK,
  unitsOf,
  type NumberAt,
  type PlaceGroup,
  type Said,
  type Unit,
} from './units.ts';
import { HEARD_EXACTLY, HEARD_WORDS } from './words/index.ts';
import type { Item } from './words/item.ts';

/** A scan report of 1 MB with room to spare. */
const MOST_CHARACTERS = 1_100_000;
/** What a customer says is shorter than this; the rest of a text with more words is not speech. */
const MOST_WORDS = 4000;
/** No word of any language or code is longer. */
const LONGEST_WORD = 200;

/** The text up to where it holds as many words as are read as speech. */
const spokenPart = (text: string): { speech: string; cut: boolean } => {
  let words = 0;
  for (const match of text.matchAll(/[\p{L}\d]+|[^\s\p{L}\d\u0001]/gu)) {
    if (match[0].length > LONGEST_WORD) return { speech: text.slice(0, match.index), cut: true };
    if (++words > MOST_WORDS) return { speech: text.slice(0, match.index), cut: true };
  }
  return { speech: text, cut: false };
};

const blank = (
  text: string,
  spans: ReadonlyArray<{ start: number; end: number }>,
  mark = '\u0001',
): string => {
  let out = '';
  let at = 0;
  for (const span of [...spans].sort((a, b) => a.start - b.start)) {
    const start = Math.max(at, span.start);
    if (span.end <= start) continue;
    // A mark that is no word keeps what stood on both sides of a code from running together.
    out += text.slice(at, start) + mark.padEnd(span.end - start, ' ');
    at = span.end;
  }
  return out + text.slice(at);
};

/** Stands for a token that has been read as something else. */
const READ = '\u0002';
const PLACE_WORD =
  /^(front|rear|back|left|right|side|sides|driver|drivers|passenger|middle|near|off|all|both|four)$/;
/** Words inside a place that are also things: `rear left wheel sensor`. */
const ALSO_THINGS = /^(wheel|wheels|hub|tyre|tire|sensor|sensors|abs|wss|speed|bearing)$/;
/** Kinds of phrases whose words of place speak of no wheel: `came back after`, `rear abs light`. */
const PLACELESS = new Set<Item['is']>(['check', 'cured', 'complaint', 'gone', 'want', 'nothingSaid', 'live']);

const masked = (tokens: readonly Token[], at: (i: number) => boolean): Token[] =>
  tokens.map((token, i) => (at(i) ? { ...token, norm: READ } : token));

/** Tokens in which only places are left to be found: vehicles and phrases with words of place in them are out. */
const forPlaces = (tokens: readonly Token[], source: SourceText): Token[] => {
  const out = new Uint8Array(tokens.length);
  for (const hit of HEARD_EXACTLY.all(masked(tokens, (i) => source.taken(i)))) {
    const long = hit.to - hit.from > 1;
    const lamp =
      hit.meaning.is === 'lampName' &&
      /^(light|lamp|lights|lamps|warning|on|came|message|blocked|unavailable|fault)$/.test(
        tokens[hit.to]?.norm ?? '',
      );
    if (!long || !(PLACELESS.has(hit.meaning.is) || lamp)) continue;
    // "the ring back left": the last word belongs to a place.
    if (
      /^(left|right)$/.test(tokens[hit.to]?.norm ?? '') &&
      /^(back|front|rear)$/.test(tokens[hit.to - 1]?.norm ?? '')
    )
      continue;
    const placed = tokens.slice(hit.from, hit.to).some((token) => PLACE_WORD.test(token.norm));
    // "both sides" as a wish and as a place are told apart by the wish's other words.
    if (placed) out.fill(1, hit.from, hit.to);
  }
  return masked(tokens, (i) => out[i] === 1 || source.taken(i));
};

/** Items of the text outside what was read as a place, a vehicle or a correction. */
const itemsOf = (
  tokens: readonly Token[],
  positions: readonly LocatedPosition[],
  source: SourceText,
): Said[] => {
  const out = new Uint8Array(tokens.length);
  for (const { from, to } of positions)
    for (let i = from; i < to; i++) if (!ALSO_THINGS.test(tokens[i]?.norm ?? '')) out[i] = 1;
  for (const { from, to, kind } of correctionsIn(tokens)) if (kind === 'between') out.fill(1, from, to);
  return HEARD_WORDS.all(masked(tokens, (i) => out[i] === 1 || source.taken(i)));
};

const allWheels = (axles: number): WheelEnd[] =>
  Array.from({ length: axles }, (_, i) => [wheelEndAt(i + 1, 'left'), wheelEndAt(i + 1, 'right')]).flat();

/** Numbers outside of places and vehicles: the 2 of `axle 2 left` measures nothing. */
const numbersAt = (
  text: string,
  tokens: readonly Token[],
  positions: readonly LocatedPosition[],
  source: SourceText,
): NumberAt[] => {
  const placed = new Uint8Array(tokens.length);
  for (const { from, to } of positions) placed.fill(1, from, to);
  let i = 0;
  return numbersIn(text).flatMap((number) => {
    while (i < tokens.length && (tokens[i]?.end ?? 0) <= number.start) i++;
    let to = i;
    while (to < tokens.length && (tokens[to]?.start ?? Infinity) < number.end) to++;
    return to > i && !source.taken(i) && !placed[i] ? [{ ...number, from: i, to }] : [];
  });
};

/** Codes with the corner said right beside them, and without those that were taken back. */
const cornersOfCodes = (
  lines: readonly CodeLine[],
  positions: readonly LocatedPosition[],
  tokens: readonly Token[],
  units: readonly Unit[],
): CodeLine[] => {
  const tokenAt = (start: number): number => {
    let low = 0;
    let high = tokens.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((tokens[middle]?.end ?? 0) <= start) low = middle + 1;
      else high = middle;
    }
    return low;
  };
  const spoken = lines.map((line) => {
    const from = tokenAt(line.chip.start);
    return { line, from, to: from + 1 };
  });
  const struck = struckBy(correctionsIn(tokens), spoken);
  const kept = spoken.filter((_, i) => !struck.has(i));
  const unitOf = new Map<number, Unit>();
  for (const unit of units) for (let i = unit.from; i < unit.to; i++) unitOf.set(i, unit);
  const perUnit = new Map<Unit | undefined, number>();
  for (const { from } of kept) perUnit.set(unitOf.get(from), (perUnit.get(unitOf.get(from)) ?? 0) + 1);
  let p = 0;
  return kept.map(({ line, from }) => {
    const { code, chip, description } = line;
    if (description || code.wheelEnd || kept.length === 1) return line;
    while (p < positions.length && (positions[p]?.start ?? 0) < chip.end) p++;
    const unit = unitOf.get(from);
    const place = unit?.group?.places.length === 1 ? unit.group.places[0] : undefined;
    const next = positions[p];
    const mine =
      place && perUnit.get(unit) === 1 ? place : next && next.start - chip.end <= 3 ? next : undefined;
    return mine?.wheelEnds.length === 1 ? { ...line, code: { ...code, wheelEnd: mine.wheelEnds[0] } } : line;
  });
};

const NEED_IN_WORDS = {
  steeringSide: 'steering side',
  trafficSide: 'side of the road',
  axle: 'axle',
  side: 'side',
} as const;

const cornerChip = (p: LocatedPosition, context: PositionContext): Chip => {
  const place = p.wheelEnds.map((end) => wheelEndInWords(end, context)).join(', ');
  const role = p.role === 'past' ? ' (before)' : p.role === 'denied' ? ' (not this)' : '';
  return {
    kind: 'corner',
    label: p.needs ? `${p.text}: which ${NEED_IN_WORDS[p.needs]}?` : `${place}${role}`,
    words: p.text,
    start: p.start,
    end: p.end,
    note: p.needs ? 'not placed yet' : null,
    carried: p.carried ?? false,
  };
};

/** Whether a clause says something of its place, heard as a fact or not. */
const saysSomething = (unit: Unit): boolean =>
  unit.numbers.some((n) => n.measure === 'ohm') ||
  has(unit, 'look', 'play', 'rocking', 'moves', 'noise', 'live', 'open', 'complaint', 'deed', 'unchecked');

/** Items that say how something was meant, and are understood though no fact stands on them alone. */
const UNDERSTOOD = new Set<Item['is']>([
  'not',
  'only',
  'gone',
  'off',
  'byItself',
  'stays',
  'again',
  'doubt',
  'wanted',
  'same',
  'rest',
  'amount',
  'spun',
  'thing',
  'deed',
  'cured',
  'lasted',
  'want',
  'reader',
  'cleared',
  'nothingSaid',
  'unchecked',
  'nothing',
  'sound',
]);

/**
 * Reads free text, phone notes or a whole scan report into facts. Codes and their descriptions come first, then the
 * vehicle, then places. What is left is cut into clauses; each clause's frames give facts; one resolver gives every
 * fact its wheel from its own clause or by stated rules of carrying over. What no reader understood stays visible. A
 * report given as JSON is read as lines of columns; chips then point into those lines.
 *
 * @throws BadInput when the text is too long to be read at once.
 */
export const readIntake = (given: string, context: IntakeContext): IntakeReading => {
  if (given.length > MOST_CHARACTERS)
    throw new BadInput(
      'text',
      `is ${(given.length / 1e6).toFixed(1)} million characters long; at most ${(MOST_CHARACTERS / 1e6).toFixed(1)} million are read at once, so cut it in two`,
    );
  const text = linesFromJson(given) ?? given;
  const known = new Set(context.dictionary.map((entry) => entry.code.toUpperCase()));
  const { codes: codeLines, consumed } = readCodeLines(text, (code) => known.has(code));
  const { speech: spoken, cut } = spokenPart(blank(text, consumed));
  const { caller, spans } = readCaller(spoken);
  const tyresFound = findTyreSizes(spoken);
  const speech = blank(blank(spoken, spans), tyresFound, SIZE_MARK);
  const source = sourceText(speech);
  const { vehicle, chips: vehicleChips, vehicleRow, asks: vehicleAsks } = readVehicle(source, context);

  const positionContext: PositionContext = {
    // What is said of this vehicle outranks what was taken for granted.
    steeringSide: vehicle.steeringSide ?? context.steeringSide ?? vehicleRow?.steeringSide ?? null,
    trafficSide: vehicle.trafficSide ?? context.trafficSide ?? null,
    axles: context.axles ?? vehicle.axles ?? vehicleRow?.axles ?? null,
    trailer: (vehicle.driveline ?? vehicleRow?.driveline) === 'trailer',
  };
  const tokens = corrected(source.tokens, CLOSED_WORDS);
  const found = readPositions(speech, positionContext, forPlaces(tokens, source)).positions;
  const items = itemsOf(tokens, found, source);
  const numbers = numbersAt(speech, tokens, found, source);
  const units = unitsOf(tokens, groupPlaces(found, tokens, items, numbers), items, numbers);
  const heard = hearFacts(tokens, units, context.today);
  const withFacts = new Set(heard.filter((fact) => fact.is !== 'complaint').map(({ unit }) => unit));
  const resolve = wheelResolver(
    units,
    (unit) => withFacts.has(unit) || saysSomething(unit),
    (unit) => withFacts.has(unit),
    allWheels(positionContext.axles ?? 2),
  );
  const facts = placeFacts(heard, resolve, units, tokens, text, context.moves ?? {});

  const unitStarts = units.map((unit) => tokens[unit.from]?.start ?? 0);
  const unitAt = (start: number): Unit | null => {
    let low = 0;
    let high = units.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((unitStarts[middle] ?? 0) <= start) low = middle + 1;
      else high = middle;
    }
    const unit = units[low - 1];
    return unit && (tokens[unit.to - 1]?.end ?? 0) > start ? unit : null;
  };
  const { tyres, placed: tyresPlaced } = placeTyres(
    tyresFound,
    unitAt,
    (unit) => resolve(unit, 'sound'),
    allWheels(positionContext.axles ?? 2),
  );
  // Wheels that were compared by tyre or named with a code of their own are several corners, not a disagreement.
  const startsOf = (groups: readonly PlaceGroup[]) =>
    groups.flatMap(({ places }) => places.map(({ start }) => start));
  const ofTyres = new Set(
    startsOf(
      tyresFound.flatMap((tyre) => {
        const unit = unitAt(tyre.start);
        return unit ? (resolve(unit, 'sound').group ?? []) : [];
      }),
    ),
  );
  const felt = units.filter((unit) => has(unit, 'play', 'noise', 'rocking', 'moves'));
  const compared = new Set([...ofTyres, ...startsOf(felt.flatMap(({ group }) => group ?? []))]);
  const positions = rolesFromFacts(found, units, facts.placed, compared, ofTyres);
  const codes = cornersOfCodes(codeLines, found, tokens, units);
  const { wants, reader, codesCleared } = plainItems(units);
  const doubts = dangerDoubts(units, heard, tokens, text);
  const asks = [
    ...doubts.map(({ about, words }) => ({
      about: 'danger',
      words,
      ask: `\u201C${words}\u201D: ${DOUBT_ASKS[about]}`,
    })),
    ...facts.asks,
    ...vehicleAsks,
  ];

  for (const position of positions) source.take(position.from, position.to);
  for (const fact of heard) for (const span of [fact, ...(fact.also ?? [])]) source.take(span.from, span.to);
  for (const item of items) if (UNDERSTOOD.has(item.meaning.is)) source.take(item.from, item.to);
  for (const { from, to } of correctionsIn(tokens)) source.take(from, to);
  for (const unit of units) if (has(unit, 'lasted')) source.take(unit.from, unit.to);
  const leftChips = leftOverChips(source, text);

  const plainChips: Chip[] = items.flatMap(({ meaning, from, to }): Chip[] => {
    if (meaning.is !== 'want' && meaning.is !== 'reader') return [];
    const start = tokens[from]?.start ?? 0;
    const end = tokens[to - 1]?.end ?? 0;
    const label =
      meaning.is === 'want' ? `wants: ${meaning.want.replace(/-/g, ' ')}` : `reader: ${meaning.reader}`;
    return [{ kind: 'wish', label, words: text.slice(start, end), start, end, note: null }];
  });
  const tyreChips: Chip[] = tyresPlaced.map(({ size, start, end, wheelEnds, carried }) => ({
    kind: 'tyre',
    label: `tyre ${size}${wheelEnds.length ? ` ${wheelEnds.map((e) => wheelEndInWords(e, positionContext)).join(', ')}` : ''}`,
    words: size,
    start,
    end,
    carried,
    note: wheelEnds.length ? null : 'which wheel is not said',
  }));

  const chips = [
    ...codes.map(({ chip }, i) => ({ ...chip, path: `codes[${i}]` })),
    ...vehicleChips,
    ...positions.map((p) => cornerChip(p, positionContext)),
    ...facts.chips,
    ...plainChips,
    ...tyreChips,
    ...leftChips,
  ].sort((a, b) => a.start - b.start);
  return {
    format: 'hardy-spoke/intake',
    version: 1,
    positions: positions.map(
      ({
        start: _s,
        end: _e,
        from: _f,
        to: _t,
        struck: _k,
        reference: _r,
        oneOf: _o,
        axle: _x,
        all: _a,
        ...position
      }) => position,
    ),
    conflicts: findConflicts(positions, positionContext),
    codes: codes.map(({ code }) => code),
    symptoms: facts.symptoms,
    history: facts.history,
    checks: facts.checks,
    tyres,
    vehicle,
    ...(reader ? { reader } : {}),
    ...(wants.length > 0 ? { wants } : {}),
    ...(codesCleared ? { codesCleared } : {}),
    ...(caller.name || caller.phone ? { customer: caller } : {}),
    ...(asks.length > 0 ? { asks } : {}),
    ...(doubts.length > 0 ? { doubts } : {}),
    leftOver: leftChips.map(({ words }) => words),
    chips,
    notes: [
      ...(cut ? [`only the first ${MOST_WORDS} words outside the code lists were read as notes`] : []),
      ...codes.flatMap(({ chip }) => (chip.note ? [chip.note] : [])),
    ],
  };
};
