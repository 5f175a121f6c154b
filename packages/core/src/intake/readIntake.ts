import { BadInput } from '../vocabulary/badInput.ts';
import type { PositionContext } from '../positions/placePhrase.ts';
import { readPositions, type LocatedPosition } from '../positions/readPositions.ts';
import { tokenise } from '../text/tokens.ts';
import type { Chip, IntakeReading } from '../vocabulary/intakeReading.ts';
import type { TyreSizes } from '../vocabulary/tyreSizes.ts';
import { wheelEndAt, wheelEndInWords } from '../vocabulary/wheelEndWords.ts';
import type { IntakeContext } from './context.ts';
import { linesFromJson } from './jsonReport.ts';
import { CHECK_PHRASES, readChecks } from './readChecks.ts';
import { readCodeLines } from './readCodeLines.ts';
import { readHistory } from './readHistory.ts';
import { readSymptoms } from './readSymptoms.ts';
import { findTyreSizes, readVehicle } from './readVehicle.ts';
import { sourceText } from './sourceText.ts';

/** Words that carry nothing by themselves; they are not shown as left over. */
const SMALL_WORDS = new Set(
  'a an the and or but of on at in to is it its it\u2019s i we he she they my his her our their for with from by that this these those there was were has have had be been am are so as up now then just says said thinks think reckon reckons customer light lamp warning please wants want need needs says abs wheel speed sensor code codes fault faults hi hello thanks again still also out side corner one ones not no yes when after before me us him fitted done make model vin year vehicle status description stopping took cleared only new front rear left right everywhere'.split(
    ' ',
  ),
);

/** A scan report of 1 MB with room to spare. */
const MOST_CHARACTERS = 1_100_000;

const NOT_WORTH = /^[^\p{L}\d]+$/u;

/** What a customer says is shorter than this; the rest of a text with more words is not speech. */
const MOST_WORDS = 4000;

/** The text up to where it holds as many words as are read as speech. */
const spokenPart = (text: string): { speech: string; cut: boolean } => {
  let words = 0;
  for (const match of text.matchAll(/[\p{L}\d]+|[^\s\p{L}\d\u0001]/gu)) {
    if (match[0].length > LONGEST_WORD) return { speech: text.slice(0, match.index), cut: true };
    if (++words > MOST_WORDS) return { speech: text.slice(0, match.index), cut: true };
  }
  return { speech: text, cut: false };
};

/** No word of any language or code is longer. */
const LONGEST_WORD = 200;

const blank = (text: string, spans: ReadonlyArray<{ start: number; end: number }>): string => {
  let out = '';
  let at = 0;
  for (const span of [...spans].sort((a, b) => a.start - b.start)) {
    const start = Math.max(at, span.start);
    if (span.end <= start) continue;
    // A mark that is no word keeps what stood on both sides of a code from running together.
    out += text.slice(at, start) + '\u0001'.padEnd(span.end - start, ' ');
    at = span.end;
  }
  return out + text.slice(at);
};

/**
 * Reads free text, phone notes or a whole scan report into facts. Codes and their descriptions come first, then the
 * vehicle, then positions, which place history, checks and tyres. What no reader understood stays visible. A report
 * given as JSON is read as lines of columns; chips then point into those lines.
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
  const { speech, cut } = spokenPart(blank(text, consumed));
  const source = sourceText(speech);
  // Before the vehicle: "awd light" is a lamp, not a driveline.
  const { symptoms, chips: symptomChips } = readSymptoms(source, CHECK_PHRASES.all(source.tokens));
  const { vehicle, chips: vehicleChips, vehicleRow } = readVehicle(source, context);

  const positionContext: PositionContext = {
    steeringSide: context.steeringSide ?? vehicle.steeringSide ?? vehicleRow?.steeringSide ?? null,
    trafficSide: context.trafficSide,
    axles: context.axles ?? vehicle.axles ?? vehicleRow?.axles ?? null,
    trailer: (vehicle.driveline ?? vehicleRow?.driveline) === 'trailer',
  };
  const tyresFound = findTyreSizes(speech);
  // Lamps named for an axle ("rear abs light") are complaints, not corners: their words are out before positions are read.
  const forPositions = blank(
    speech,
    [...symptomChips, ...tyresFound].filter(({ start }) => speech[start] !== undefined),
  );
  const { positions, conflicts } = readPositions(forPositions, positionContext, tokenise(forPositions));
  for (const position of positions) source.takeRange(position.start, position.end);

  const { history, chips: historyChips } = readHistory(source, positions, context.today);
  const { checks, chips: checkChips } = readChecks(source, positions);

  const tyres: TyreSizes = {};
  const tyreChips: Chip[] = tyresFound.map(({ size, start, end }) => {
    source.takeRange(start, end);
    const near = positions
      .filter((p) => p.wheelEnds.length > 0)
      .sort((a, b) => Math.abs(a.start - start) - Math.abs(b.start - start))[0];
    const rest =
      /(?:others?|the rest|other three|remaining)(?: (?:are|is|three|wheels|tyres|have))*\W*$/i.test(
        speech.slice(0, start),
      );
    const all = Array.from({ length: positionContext.axles ?? 2 }, (_, i) => [
      wheelEndAt(i + 1, 'left'),
      wheelEndAt(i + 1, 'right'),
    ]).flat();
    const ends = rest ? all.filter((e) => !(e in tyres)) : (near?.wheelEnds ?? []);
    for (const end of ends) tyres[end] ??= size;
    return {
      kind: 'tyre',
      label: `tyre ${size}${ends.length ? ` ${ends.map((e) => wheelEndInWords(e, positionContext)).join(', ')}` : ''}`,
      words: size,
      start,
      end,
      note: ends.length ? null : 'which wheel is not said',
    };
  });

  const codes = codeLines.map(({ code, chip, description }) => {
    if (description) return code;
    // A corner said right after a code, as in "C0A31-13 front left", is the corner of that code.
    const next = positions.find(
      (p) =>
        p.start >= chip.end && p.start - chip.end <= 3 && /^[\s,:-]*$/.test(text.slice(chip.end, p.start)),
    );
    const alone = codeLines.length === 1 ? null : next;
    return alone?.wheelEnds.length === 1 ? { ...code, wheelEnd: alone.wheelEnds[0] } : code;
  });

  const cornerLabel = (p: LocatedPosition): string => {
    const place = p.wheelEnds.map((end) => wheelEndInWords(end, positionContext)).join(', ');
    const role = p.role === 'past' ? ' (before)' : p.role === 'denied' ? ' (not this)' : '';
    return p.needs
      ? `${p.text}: which ${p.needs === 'steeringSide' ? 'steering side' : p.needs === 'trafficSide' ? 'side of the road' : p.needs}?`
      : `${place}${role}`;
  };
  const cornerChips: Chip[] = positions.map((p) => ({
    kind: 'corner',
    label: cornerLabel(p),
    words: p.text,
    start: p.start,
    end: p.end,
    note: p.needs ? 'not placed yet' : null,
  }));

  const leftChips: Chip[] = [];
  let run: { start: number; end: number } | null = null;
  const close = () => {
    if (run) {
      const words = text.slice(run.start, run.end);
      if (!NOT_WORTH.test(words))
        leftChips.push({ kind: 'left-over', label: words, words, ...run, note: null });
    }
    run = null;
  };
  source.tokens.forEach((token, i) => {
    const noise =
      token.kind !== 'word' ||
      source.taken(i) ||
      SMALL_WORDS.has(token.norm) ||
      (token.norm.length < 2 && !/\d/.test(token.norm));
    if (noise) return close();
    run = run ? { start: run.start, end: token.end } : { start: token.start, end: token.end };
  });
  close();

  const chips = [
    ...codeLines.map(({ chip }) => chip),
    ...vehicleChips,
    ...cornerChips,
    ...symptomChips,
    ...historyChips,
    ...checkChips,
    ...tyreChips,
    ...leftChips,
  ].sort((a, b) => a.start - b.start);
  return {
    format: 'hardy-spoke/intake',
    version: 1,
    positions: positions.map(({ start: _start, end: _end, ...position }) => position),
    conflicts,
    codes,
    symptoms,
    history,
    checks,
    tyres,
    vehicle,
    leftOver: leftChips.map(({ words }) => words),
    chips,
    notes: [
      ...(cut ? [`only the first ${MOST_WORDS} words outside the code lists were read as notes`] : []),
      ...codeLines.flatMap(({ chip }) => (chip.note ? [chip.note] : [])),
    ],
  };
};
