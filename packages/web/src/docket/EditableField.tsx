import { useId } from 'react';
import { InlineSelect, InlineText } from './Inline.tsx';

interface Props {
  label: string;
  value: string | null | undefined;
  options?: ReadonlyArray<string | { readonly value: string; readonly label: string }>;
  /** So many characters and no more. */
  longest?: number;
  placeholder?: string;
  said?: string | undefined;
  problemWith?: (text: string) => string | null;
  onChange: (value: string | null) => void;
}

/** One fact of the vehicle with its name, edited where it stands. */
export function EditableField(props: Props) {
  const { label, value, options, longest, placeholder, said, onChange } = props;
  const id = useId();
  const problemWith = (text: string): string | null =>
    longest !== undefined && text.length > longest
      ? `at most ${longest} characters; this has ${text.length}`
      : (props.problemWith?.(text) ?? null);
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
            options={options.map((option) =>
              typeof option === 'string' ? { value: option, label: option } : option,
            )}
            onChange={onChange}
          />
        ) : (
          <InlineText
            id={id}
            name={label}
            value={value}
            {...(placeholder ? { placeholder } : {})}
            problemWith={problemWith}
            onChange={onChange}
          />
        )}
        {said && <span className="fact-said">{said}</span>}
      </dd>
    </div>
  );
}
