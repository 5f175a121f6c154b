import { parseTyreSize } from '@hardy/core/logs';
import { useState } from 'react';
import { Field } from '../desk/Field.tsx';

interface Props {
  metres: number | null;
  /** A tyre size known from the docket. */
  tyre: string | null;
  onChange: (metres: number | null) => void;
}

/** Rolling circumference over pi times the diameter: the tyre flattens where it stands. Rule of thumb, 0.96 to 0.97. */
const ROLLING = 0.965;

const metresFrom = (text: string): number | null | undefined => {
  const trimmed = text.trim();
  if (trimmed === '') return null;
  const tyre = parseTyreSize(trimmed);
  if (tyre) return (Math.PI * tyre.diameter * ROLLING) / 1000;
  const value = Number(trimmed.replace(',', '.').replace(/\s*m$/, ''));
  return value >= 0.5 && value <= 6 ? value : undefined;
};

/** Metres a turn or a tyre size, when known; else the turn is searched. */
export function CircumferenceField({ metres, tyre, onChange }: Props) {
  const [text, setText] = useState(metres === null ? (tyre ?? '') : metres.toFixed(3));
  const read = metresFrom(text);
  const use = () => {
    if (read !== undefined && read !== metres) onChange(read);
  };
  return (
    <form
      className="circumference gap"
      onSubmit={(event) => {
        event.preventDefault();
        use();
      }}
    >
      <label>
        Metres a turn, or tyre size <Field value={text} size={12} onText={setText} onBlur={use} />
      </label>
      <span className={read === undefined ? 'look-here' : 'soft'}>
        {read === undefined
          ? 'a number from 0.5 to 6, or a size such as 205/55 R16'
          : read === null
            ? 'not given: searched from 1.5 to 3.45 m'
            : `${read.toFixed(3)} m (${(read / 0.3048).toFixed(2)} ft)`}
      </span>
    </form>
  );
}
