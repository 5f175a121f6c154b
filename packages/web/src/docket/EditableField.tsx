import { useId } from 'react';
import { InlineSelect, InlineText } from './Inline.tsx';

interface Props {
  label: string;
  value: string | null | undefined;
  options?: readonly string[];
  placeholder?: string;
  said?: string | undefined;
  problemWith?: (text: string) => string | null;
  onChange: (value: string | null) => void;
}

/** One fact of the vehicle with its name, edited where it stands. */
export function EditableField({ label, value, options, placeholder, said, problemWith, onChange }: Props) {
  const id = useId();
  return (
    <div className="field">
      <dt>
        <label htmlFor={id}>{label}</label>
      </dt>
      <dd>
        {options ? (
          <InlineSelect
            id={id}
            value={value}
            none="not known"
            options={options.map((option) => ({ value: option, label: option }))}
            onChange={onChange}
          />
        ) : (
          <InlineText
            id={id}
            name={label}
            value={value}
            {...(placeholder ? { placeholder } : {})}
            {...(problemWith ? { problemWith } : {})}
            onChange={onChange}
          />
        )}
        {said && <span className="fact-said">{said}</span>}
      </dd>
    </div>
  );
}
