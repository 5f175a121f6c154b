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

/** How the typed words were read: one chip a thing, its kind in front, what was not understood in grey at its place. */
export function Chips({ reading }: { reading: IntakeReading }) {
  return (
    <div>
      <ul className="chips" aria-label="How this was read">
        {reading.chips.map((chip) => (
          <li
            key={`${chip.start}-${chip.kind}-${chip.label}`}
            className={`chip chip-${chip.kind}`}
            title={`from the words \u201C${chip.words}\u201D${chip.note ? `; ${chip.note}` : ''}`}
          >
            <span className="chip-kind">{KIND_IN_WORDS[chip.kind]}</span>
            <span className={chip.kind === 'code' ? 'mono' : undefined}>{chip.label}</span>
            {chip.note && <span className="chip-note">{chip.note}</span>}
          </li>
        ))}
      </ul>
      {reading.conflicts.map((conflict) => (
        <p key={conflict.because} className="look-here" role="status">
          These disagree: {conflict.because}.
        </p>
      ))}
    </div>
  );
}
