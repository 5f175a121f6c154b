import type { Chip, IntakeReading } from '@hardy/core/plain';

const KIND_IN_WORDS: Readonly<Record<Chip['kind'], string>> = {
  vehicle: 'vehicle',
  code: 'code',
  corner: 'corner',
  complaint: 'complaint',
  history: 'before',
  check: 'checked',
  tyre: 'tyre',
  'left-over': 'not understood',
};

interface Props {
  reading: IntakeReading;
  /** Picks the words a chip came from, so that typing changes them. */
  onChange: (chip: Chip) => void;
  /** Takes the words out of the text. */
  onDrop: (chip: Chip) => void;
}

/** More chips than this are counted, not drawn: a long report is read on the docket. */
const MOST_DRAWN = 60;

/**
 * How the words were read: one chip a thing, its kind in front, what was not understood in grey at its place. A chip
 * pressed picks its words in the line, to be typed over; its cross takes them out.
 */
export function Chips({ reading, onChange, onDrop }: Props) {
  const drawn = reading.chips.slice(0, MOST_DRAWN);
  return (
    <div>
      <ul className="chips" aria-label="How this was read">
        {drawn.map((chip) => (
          <li key={`${chip.start}-${chip.kind}-${chip.label}`} className={`chip chip-${chip.kind}`}>
            <button
              type="button"
              className="chip-main"
              onClick={() => onChange(chip)}
              title={`from the words \u201C${chip.words}\u201D${chip.note ? `; ${chip.note}` : ''}; press to change them`}
            >
              <span className="chip-kind">{KIND_IN_WORDS[chip.kind]}</span>
              <span className={chip.kind === 'code' ? 'mono' : undefined}>{chip.label}</span>
              {chip.note && <span className="chip-note">{chip.note}</span>}
            </button>
            <button
              type="button"
              className="chip-drop"
              onClick={() => onDrop(chip)}
              aria-label={`Drop ${chip.label}`}
            >
              {'\u00D7'}
            </button>
          </li>
        ))}
        {reading.chips.length > MOST_DRAWN && (
          <li className="chip chip-left-over">and {reading.chips.length - MOST_DRAWN} more</li>
        )}
      </ul>
      {reading.conflicts.map((conflict) => (
        <p key={conflict.because} className="look-here" role="status">
          These disagree: {conflict.because}.
        </p>
      ))}
    </div>
  );
}
