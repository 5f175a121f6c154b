import { Children, isValidElement, useState, type ReactElement, type ReactNode } from 'react';
import type { EditableField } from './EditableField.tsx';

type Field = ReactElement<Parameters<typeof EditableField>[0]>;

const isField = (child: ReactNode): child is Field => isValidElement(child);
const isKnown = ({ props: { value } }: Field): boolean =>
  value !== null && value !== undefined && value !== '';

/**
 * Fields of facts: those that are known stand in the open, the others are one line with their names until it is opened.
 * A field keeps its place while the fold is open, so that nothing moves from under the hand.
 */
export function KnownFirst({ className, children }: { className: string; children: ReactNode }) {
  const fields = Children.toArray(children).filter(isField);
  const [open, setOpen] = useState(false);
  const [folded, setFolded] = useState<ReadonlySet<string>>(new Set());
  const unknown = fields.filter((field) => (open ? folded.has(field.props.label) : !isKnown(field)));
  const known = fields.filter((field) => !unknown.includes(field));
  return (
    <>
      <dl className={className}>{known}</dl>
      {unknown.length > 0 && (
        <details
          className="not-known"
          open={open}
          onToggle={(event) => {
            const { open: now } = event.currentTarget;
            setFolded(new Set(unknown.map(({ props }) => props.label)));
            setOpen(now);
          }}
        >
          <summary>
            {open
              ? 'not known'
              : `not known: ${unknown.map(({ props }) => props.label.replace(/,.*/, '').toLowerCase()).join(', ')}`}
          </summary>
          <dl className={className}>{unknown}</dl>
        </details>
      )}
    </>
  );
}
