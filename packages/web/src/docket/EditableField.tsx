import { useId, useState } from 'react';

interface Props {
  label: string;
  value: string | null | undefined;
  options?: readonly string[];
  placeholder?: string;
  said?: string | undefined;
  onChange: (value: string | null) => void;
}

/** One fact of the vehicle, edited where it stands: a choice, or text that counts on Enter or when left. */
export function EditableField({ label, value, options, placeholder, said, onChange }: Props) {
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const commit = () => {
    if (draft !== null && draft.trim() !== (value ?? '')) onChange(draft.trim() || null);
    setDraft(null);
  };
  return (
    <div className="field">
      <dt>
        <label htmlFor={id}>{label}</label>
      </dt>
      <dd>
        {options ? (
          <select id={id} value={value ?? ''} onChange={(event) => onChange(event.target.value || null)}>
            <option value="">not known</option>
            {options.map((option) => (
              <option key={option}>{option}</option>
            ))}
          </select>
        ) : (
          <input
            id={id}
            value={draft ?? value ?? ''}
            placeholder={placeholder ?? 'not known'}
            onChange={(event) => setDraft(event.target.value)}
            onBlur={commit}
            onKeyDown={(event) => {
              if (event.key === 'Enter') commit();
              if (event.key === 'Escape') setDraft(null);
            }}
          />
        )}
        {said && <span className="fact-said">{said}</span>}
      </dd>
    </div>
  );
}
