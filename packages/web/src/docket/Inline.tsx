import { useId, useState } from 'react';
import './docket.css';
import { Choice } from '../desk/Choice.tsx';
import { Field } from '../desk/Field.tsx';
import { useDraft } from '../desk/useDraft.ts';

interface TextProps {
  id?: string;
  label?: string;
  /** The field’s own name on this page, where its label stands elsewhere or is not its alone: what is typed is kept by it. */
  name?: string;
  value: string | null | undefined;
  placeholder?: string;
  mono?: boolean;
  /** Width in characters; the whole line where it is not given. */
  width?: number;
  /** What is wrong with a text and how to mend it; null where it is good. A wrong one stays in the field and is not kept. */
  problemWith?: (text: string) => string | null;
  onChange: (value: string | null) => void;
}

/** Text edited where it stands: it counts on Enter or when left, Escape takes it back. */
export function InlineText({
  id,
  label,
  name,
  value,
  placeholder = 'not known',
  mono = false,
  width,
  problemWith,
  onChange,
}: TextProps) {
  const [draft, setDraft] = useDraft<string>(`${window.location.pathname} ${name ?? label ?? ''}`);
  const [problem, setProblem] = useState<string | null>(null);
  const problemId = useId();
  const commit = () => {
    const text = draft?.trim() ?? '';
    const wrong = text ? (problemWith?.(text) ?? null) : null;
    setProblem(wrong);
    if (wrong) return;
    if (draft !== null && text !== (value ?? '')) onChange(text || null);
    setDraft(null);
  };
  const field = (
    <Field
      {...(id && { id })}
      {...(label && { label })}
      {...(width && { size: width })}
      {...(problem && { describedBy: problemId })}
      look="in-text"
      fullWidth={!width}
      bad={problem !== null}
      className={mono ? 'mono' : ''}
      value={draft ?? value ?? ''}
      placeholder={placeholder}
      onText={setDraft}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') commit();
        if (event.key === 'Escape') {
          setDraft(null);
          setProblem(null);
        }
      }}
    />
  );
  return problem === null ? (
    field
  ) : (
    <>
      {field}
      <span id={problemId} className="look-here small" role="alert">
        {problem}
      </span>
    </>
  );
}

interface SelectProps {
  id?: string;
  label?: string;
  value: string | null | undefined;
  options: ReadonlyArray<{ value: string; label: string }>;
  /** What no choice is called; left out where a choice must be made. */
  none?: string;
  onChange: (value: string | null) => void;
}

/** A choice made where it stands. */
export function InlineSelect({ id, label, value, options, none, onChange }: SelectProps) {
  return (
    <Choice
      {...(id && { id })}
      {...(label && { label })}
      look="in-text"
      value={value ?? ''}
      onChoice={(chosen) => onChange(chosen || null)}
      options={none === undefined ? options : [{ value: '', label: none }, ...options]}
    />
  );
}
