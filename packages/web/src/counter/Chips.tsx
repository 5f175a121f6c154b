import { wheelEndInWords, wheelsOf, type Chip, type IntakeReading, type WheelEnd } from '@hardy/core/words';
import type { KeyboardEvent } from 'react';
import ButtonBase from '@mui/material/ButtonBase';

const KIND_IN_WORDS: Readonly<Record<Chip['kind'], string>> = {
  vehicle: 'vehicle',
  code: 'code',
  corner: 'corner',
  complaint: 'complaint',
  history: 'before',
  check: 'checked',
  tyre: 'tyre',
  wish: 'wish',
  'left-over': 'not understood',
};

interface Props {
  reading: IntakeReading;
  /** The words that were read, for the clause a chip came from. */
  text: string;
  axles: number;
  /** How a chip's fact moved the answer, where it did. */
  effectOf: (chip: Chip) => string | null;
  /** What the line beneath says already: nothing is asked twice. */
  said: readonly string[];
  /** Picks the words a chip came from, so that typing changes them. */
  onChange: (chip: Chip) => void;
  /** Takes the words out of the text. */
  onDrop: (chip: Chip) => void;
  /** Moves what a chip says to another wheel; null is no wheel. */
  onMove: (chip: Chip, wheelEnd: WheelEnd | null) => void;
}

/** More chips than this are counted, not drawn: a long report is read on the docket. */
const MOST_DRAWN = 60;

/** The wheel after, or before, the one a chip stands at; behind the last one comes no wheel. */
const neighbour = (chip: Chip, axles: number, step: 1 | -1): WheelEnd | null => {
  const ring: Array<WheelEnd | null> = [...wheelsOf(axles), null];
  const at = ring.indexOf(chip.wheelEnds?.length === 1 ? (chip.wheelEnds[0] ?? null) : null);
  return ring[(at + step + ring.length) % ring.length] ?? null;
};

const howKnown = (chip: Chip): string =>
  chip.moved ? 'moved by hand' : chip.asked ? 'which wheel?' : chip.carried ? 'carried over' : '';

/**
 * How the words were read: one chip a thing, its kind in front, what was not understood in grey at its place. A chip
 * pressed picks its words in the line, to be typed over; its cross takes them out. A chip of a wheel names the wheel and
 * how it is known; the arrow keys move it to the next wheel.
 */
export function Chips({ reading, text, axles, effectOf, said, onChange, onDrop, onMove }: Props) {
  const drawn = reading.chips.slice(0, MOST_DRAWN);
  const movable = (chip: Chip) => chip.key != null;
  const keys = (event: KeyboardEvent, chip: Chip) => {
    const step = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    if (!step || !movable(chip)) return;
    event.preventDefault();
    onMove(chip, neighbour(chip, axles, step));
  };
  const titleOf = (chip: Chip): string =>
    [
      chip.clause
        ? `said in \u201C${text.slice(chip.clause.start, chip.clause.end)}\u201D`
        : `from the words \u201C${chip.words}\u201D`,
      chip.note,
      'press to change the words',
      movable(chip) ? 'arrow keys move it to another wheel' : null,
    ]
      .filter(Boolean)
      .join('; ');
  return (
    <div>
      <ul className="chips" aria-label="How this was read">
        {drawn.map((chip) => {
          const effect = effectOf(chip);
          const ends = chip.wheelEnds ?? [];
          const known = howKnown(chip);
          return (
            <li
              key={`${chip.start}-${chip.kind}-${chip.key ?? chip.label}`}
              className={`chip chip-${chip.kind} ${chip.asked ? 'chip-asked' : ''}`}
            >
              <ButtonBase
                className="chip-main"
                onClick={() => onChange(chip)}
                onKeyDown={(event) => keys(event, chip)}
                {...(movable(chip) ? { 'aria-keyshortcuts': 'ArrowRight ArrowLeft' } : {})}
                title={titleOf(chip)}
              >
                <span className="chip-kind">{KIND_IN_WORDS[chip.kind]}</span>
                <span className={chip.kind === 'code' ? 'mono' : undefined}>{chip.label}</span>
                {chip.note && <span className="chip-note">{chip.note}</span>}
                {effect && <span className="chip-effect">{effect}</span>}
              </ButtonBase>
              {movable(chip) && (
                <ButtonBase
                  className={`chip-wheel ${chip.carried || chip.asked ? 'chip-wheel-carried' : ''}`}
                  onClick={() => onMove(chip, neighbour(chip, axles, 1))}
                  onKeyDown={(event) => keys(event, chip)}
                  aria-keyshortcuts="ArrowRight ArrowLeft"
                  aria-label={`${chip.label}: ${ends.map((end) => wheelEndInWords(end, axles)).join(' and ') || 'no wheel'}${known ? `, ${known}` : ''}; press to move it to the next wheel`}
                  title="press, or use the arrow keys, to move it to the next wheel"
                >
                  {ends.length > 0
                    ? ends.map((end) => wheelEndInWords(end, axles)).join(', ')
                    : chip.asked
                      ? 'which wheel?'
                      : 'any wheel'}
                  {ends.length > 0 && known && <span className="chip-known">{known}</span>}
                </ButtonBase>
              )}
              <ButtonBase
                className="chip-drop"
                onClick={() => onDrop(chip)}
                aria-label={`Drop ${chip.label}`}
              >
                {'\u00D7'}
              </ButtonBase>
            </li>
          );
        })}
        {reading.chips.length > MOST_DRAWN && (
          <li className="chip chip-left-over">and {reading.chips.length - MOST_DRAWN} more</li>
        )}
      </ul>
      {reading.conflicts
        .filter(({ because }) => !said.some((line) => line.includes(because)))
        .map((conflict) => (
          <p key={conflict.because} className="look-here" role="status">
            These disagree: {conflict.because}.
          </p>
        ))}
      {(reading.asks ?? [])
        .filter(({ ask }) => !said.includes(ask))
        .map(({ ask }) => (
          <p key={ask} className="look-here" role="status">
            {ask}
          </p>
        ))}
    </div>
  );
}
