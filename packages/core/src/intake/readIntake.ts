import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { assumptionsWith } from '../assumptions/assumptions.ts';
import { correctionsIn } from '../text/corrections.ts';
import { corrected } from '../text/spelling.ts';
import { writtenForm, type WrittenForm } from '../text/written/writtenForm.ts';
import { BadInput } from '../vocabulary/badInput.ts';
import { findConflicts } from '../positions/findConflicts.ts';
import type { PositionContext } from '../positions/placePhrase.ts';
import { readPositions } from '../positions/readPositions.ts';
import type { Chip, IntakeReading } from '../vocabulary/intakeReading.ts';
import { DOUBT_ASKS } from '../vocabulary/doubtWords.ts';
import { wheelEndInWords, wheelsOf } from '../vocabulary/wheelEndWords.ts';
import { dangerDoubts } from './askDanger.ts';
import { cornersOfCodes } from './codeCorners.ts';
import type { IntakeContext } from './context.ts';
import { cornerChip } from './cornerChip.ts';
import { has } from './frames/clause.ts';
import { hearFacts } from './hearFacts.ts';
import { plainItems } from './plainItems.ts';
import { linesFromJson } from './jsonReport.ts';
import { leftOverChips } from './leftOver.ts';
import { placeFacts } from './placeFacts.ts';
import { readCaller } from './readCaller.ts';
import { readSale } from './readSale.ts';
import { readCodeLines } from './readCodeLines.ts';
import { findTyreSizes, placeTyres } from './readTyres.ts';
import { readVehicle } from './readVehicle.ts';
import { wheelResolver } from './resolveWheels.ts';
import { rolesFromFacts } from './rolesFromFacts.ts';
import { sourceText } from './sourceText.ts';
import { blank, MOST_WORDS, spokenPart } from './spokenPart.ts';
import { forPlaces, itemsOf, numbersAt } from './tokensLeft.ts';
import { SIZE_MARK } from './clauseEnds.ts';
import { groupPlaces } from './groupPlaces.ts';
import type { PlaceGroup, Unit } from './unit.ts';
import { unitsOf } from './units.ts';
import { READER_SPELLING } from './words/index.ts';
import type { Item } from './words/item.ts';

/** Judgement numbers where no shop has set its own. */
const DEFAULTS = assumptionsWith();

/** A scan report of 1 MB with room to spare. */
const MOST_CHARACTERS = 1_100_000;

/** Whether a clause says something of its place, heard as a fact or not. */
const saysSomething = (unit: Unit): boolean =>
  unit.numbers.some((n) => n.measure === 'ohm') ||
  has(unit, 'look', 'play', 'rocking', 'moves', 'noise', 'live', 'open', 'complaint', 'deed', 'unchecked');

/** Items that say how something was meant, and are understood though no fact stands on them alone. */
const UNDERSTOOD = new Set<Item['is']>([
  'not',
  'only',
  'gone',
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
 * report given as JSON is read as lines of columns; chips then point into those lines. What is spelled out or misheard by a
 * phone is read in its written form; chips point into the text as given.
 *
 * @throws BadInput when the text is too long to be read at once.
 */
export const readIntake = (given: string, context: IntakeContext): IntakeReading => {
  if (given.length > MOST_CHARACTERS)
    throw new BadInput(
      'text',
      `is ${(given.length / 1e6).toFixed(1)} million characters long; at most ${(MOST_CHARACTERS / 1e6).toFixed(1)} million are read at once, so cut it in two`,
    );
  const lines = linesFromJson(given) ?? given;
  const written = writtenForm(lines);
  const reading = readWritten(written.text, context);
  return written.text === lines ? reading : inGivenWords(reading, written, lines);
};

/** The reading with its chips where the words stand in the text as given. */
const inGivenWords = (reading: IntakeReading, { given }: WrittenForm, text: string): IntakeReading => {
  const chips = reading.chips.map((chip): Chip => {
    const span = given(chip.start, chip.end);
    const words = text.slice(span.start, span.end);
    const label = chip.kind === 'left-over' ? words : chip.label;
    return {
      ...chip,
      ...span,
      words,
      label,
      ...(chip.clause ? { clause: given(chip.clause.start, chip.clause.end) } : {}),
    };
  });
  return {
    ...reading,
    chips,
    leftOver: chips.filter(({ kind }) => kind === 'left-over').map(({ words }) => words),
  };
};

/** Reads a text in written form. */
const readWritten = (text: string, context: IntakeContext): IntakeReading => {
  const known = new Set(context.dictionary.map((entry) => entry.code.toUpperCase()));
  const { codes: codeLines, consumed } = readCodeLines(text, (code) => known.has(code));
  const { speech: spoken, cut } = spokenPart(blank(text, consumed));
  const { caller, spans: ofCaller } = readCaller(spoken);
  const sale = readSale(spoken, context.today);
  const spans = [...ofCaller, ...sale.spans];
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
  const wheels = wheelsOf(positionContext.axles ?? 2);
  const tokens = corrected(source.tokens, READER_SPELLING);
  const corrections = correctionsIn(tokens);
  const found = readPositions(speech, positionContext, forPlaces(tokens, source)).positions;
  const items = itemsOf(tokens, found, corrections, source);
  const numbers = numbersAt(speech, tokens, found, source);
  const units = unitsOf(tokens, groupPlaces(found, tokens, items, numbers), items, numbers);
  const limits = context.assumptions ?? DEFAULTS;
  const heard = hearFacts(tokens, units, corrections, context.today, limits);
  const withFacts = new Set(heard.filter((fact) => fact.is !== 'complaint').map(({ unit }) => unit));
  const resolve = wheelResolver(
    units,
    (unit) => withFacts.has(unit) || saysSomething(unit),
    (unit) => withFacts.has(unit),
    wheels,
  );
  const facts = placeFacts(heard, resolve, units, tokens, text, context.moves ?? {});

  const unitOf = new Map<number, Unit>();
  for (const unit of units) for (let i = unit.from; i < unit.to; i++) unitOf.set(i, unit);
  const unitAt = (start: number): Unit | null => unitOf.get(source.indexAt(start)) ?? null;
  const { tyres, placed: tyresPlaced } = placeTyres(
    tyresFound,
    unitAt,
    (unit) => resolve(unit, 'sound'),
    wheels,
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
  const placed = rolesFromFacts(found, units, facts.placed, compared, ofTyres, limits);
  const codes = cornersOfCodes(codeLines, found, corrections, unitOf, (position) => source.indexAt(position));
  // Corners that codes have each for themselves are several corners, not a disagreement; one that a person names is.
  const coded = new Set(codes.flatMap(({ code }) => code.wheelEnd ?? []));
  const isOfCode = ({ wheelEnds }: { readonly wheelEnds: readonly WheelEnd[] } = { wheelEnds: [] }) =>
    wheelEnds.length === 1 && wheelEnds.every((end) => coded.has(end));
  const positions = placed.map((position, i) =>
    !position.joinedBy && isOfCode(position) && isOfCode(placed[i - 1])
      ? { ...position, joinedBy: 'and' as const }
      : position,
  );
  const { wants, reader, codesCleared } = plainItems(units, tokens);
  const wishes = sale.wishes(facts.symptoms);
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
  for (const { from, to } of corrections) source.take(from, to);
  for (const unit of units) if (has(unit, 'lasted')) source.take(unit.from, unit.to);
  const doubtChips: Chip[] = doubts.flatMap(({ words }): Chip[] => {
    const start = text.indexOf(words);
    if (start < 0) return [];
    source.takeRange(start, start + words.length);
    return [
      {
        kind: 'check',
        label: `${words}: not sure`,
        words,
        start,
        end: start + words.length,
        note: 'asked',
        asked: true,
      },
    ];
  });
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
    ...doubtChips,
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
    ...(caller.name || caller.phone || sale.firm || sale.kind
      ? {
          customer: {
            ...caller,
            ...(sale.firm ? { firm: sale.firm } : {}),
            ...(sale.kind ? { kind: sale.kind } : {}),
          },
        }
      : {}),
    ...(sale.budgetCents !== null ? { budgetCents: sale.budgetCents } : {}),
    ...(sale.neededBy ? { neededBy: sale.neededBy } : {}),
    ...(wishes.length > 0 ? { wishes } : {}),
    ...(asks.length > 0 ? { asks } : {}),
    ...(doubts.length > 0 ? { doubts } : {}),
    leftOver: chips.filter(({ kind }) => kind === 'left-over').map(({ words }) => words),
    chips,
    notes: [
      ...(cut ? [`only the first ${MOST_WORDS} words outside the code lists were read as notes`] : []),
      ...codes.flatMap(({ chip }) => (chip.note ? [chip.note] : [])),
    ],
  };
};
