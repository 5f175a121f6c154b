import type { AssumptionLine } from '@hardy/core/contract';
import { useState } from 'react';
import { Field } from '../desk/Field.tsx';
import { useDraft } from '../desk/useDraft.ts';
import { assumptionName, unitInWords, valueInWords } from './assumptionName.ts';

interface Props {
  line: AssumptionLine;
  /** What the shop set, if anything. */
  value: number | undefined;
  currency: string;
  /** Null: back to the default. */
  onChange: (value: number | null) => void;
}

/** One judgement number changed where it stands: it counts on Enter or when left, within its range. */
export function AssumptionValue({ line, value, currency, onChange }: Props) {
  const unit = unitInWords(line.unit, currency);
  const now = value ?? line.value;
  const [draft, setDraft] = useDraft<string>(`setup ${line.key}`);
  const [shown, setShown] = useState(now);
  if (shown !== now) {
    // What was typed is in force now, or another value is.
    setShown(now);
    setDraft(null);
  }
  const text = draft ?? String(now);
  const typed = Number(text.replace(',', '.'));
  const bad = text.trim() === '' || !Number.isFinite(typed) || typed < line.min || typed > line.max;
  const keep = () => {
    if (!bad && typed === now) setDraft(null);
    if (!bad && typed !== now) onChange(typed === line.value ? null : typed);
  };
  return (
    <div className="assumption-value">
      <Field
        label={`${assumptionName(line.key)}, ${unit}`}
        bad={bad}
        value={text}
        size={7}
        onText={setDraft}
        onBlur={keep}
        onKeyDown={(event) => {
          // The table's own keys are for moving between cells, not within a number.
          event.stopPropagation();
          if (event.key === 'Enter') keep();
          if (event.key === 'Escape') setDraft(null);
        }}
      />{' '}
      {bad ? (
        <span className="look-here">
          from {line.min} to {line.max}
        </span>
      ) : (
        <span className="soft">{unit === 'probability' ? valueInWords(typed, unit) : unit}</span>
      )}
    </div>
  );
}
