import { CAUSES, CAUSE_SHORT, PART_CLASSES, PART_IN_WORDS } from '@hardy/core/words';
import { Choice } from '../desk/Choice.tsx';
import { Field } from '../desk/Field.tsx';
import type { LedgerFilter } from './ledgerFilter.ts';

interface Props {
  filter: LedgerFilter;
  lines: ReadonlyArray<{ id: string; name: string }>;
  desks: readonly string[];
  onChange: (filter: LedgerFilter) => void;
}

const ENDS = ['A1L', 'A1R', 'A2L', 'A2R', 'A3L', 'A3R', 'A2C'] as const;
const any = { value: '', label: 'any' };

/** What of the ledger is looked at. */
export function LedgerFilters({ filter, lines, desks, onChange }: Props) {
  const put = (name: keyof LedgerFilter) => (value: string) => onChange({ ...filter, [name]: value });
  return (
    <div className="ledger-filters" role="group" aria-label="Which jobs">
      <label>
        from{' '}
        <Field value={filter.from} size={10} placeholder="YYYY-MM-DD" onText={put('from')} label="From day" />
      </label>
      <label>
        to <Field value={filter.to} size={10} placeholder="YYYY-MM-DD" onText={put('to')} label="To day" />
      </label>
      <label>
        line{' '}
        <Choice
          label="Vehicle line"
          value={filter.line}
          onChoice={put('line')}
          options={[any, ...lines.map(({ id, name }) => ({ value: id, label: name }))]}
        />
      </label>
      <label>
        part{' '}
        <Choice
          label="Part class"
          value={filter.part}
          onChoice={put('part')}
          options={[any, ...PART_CLASSES.map((part) => ({ value: part, label: PART_IN_WORDS[part] }))]}
        />
      </label>
      <label>
        corner{' '}
        <Choice
          label="Corner"
          value={filter.wheelEnd}
          onChoice={put('wheelEnd')}
          options={[any, ...ENDS.map((end) => ({ value: end, label: end }))]}
        />
      </label>
      <label>
        cause{' '}
        <Choice
          label="Cause"
          value={filter.cause}
          onChoice={put('cause')}
          options={[any, ...CAUSES.map((cause) => ({ value: cause, label: CAUSE_SHORT[cause] }))]}
        />
      </label>
      {desks.length > 0 && (
        <label>
          desk{' '}
          <Choice
            label="Desk"
            value={filter.desk}
            onChoice={put('desk')}
            options={[any, ...desks.map((desk) => ({ value: desk, label: desk }))]}
          />
        </label>
      )}
    </div>
  );
}
