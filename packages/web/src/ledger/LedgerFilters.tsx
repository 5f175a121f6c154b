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

/** A filter that is chosen from a list. */
interface Picked {
  readonly name: keyof LedgerFilter;
  readonly short: string;
  readonly label: string;
  readonly from: ReadonlyArray<{ readonly value: string; readonly label: string }>;
}

const same = (value: string) => ({ value, label: value });

/** What of the ledger is looked at. */
export function LedgerFilters({ filter, lines, desks, onChange }: Props) {
  const put = (name: keyof LedgerFilter) => (value: string) => onChange({ ...filter, [name]: value });
  const picked: readonly Picked[] = [
    {
      name: 'line',
      short: 'line',
      label: 'Vehicle line',
      from: lines.map(({ id, name }) => ({ value: id, label: name })),
    },
    {
      name: 'part',
      short: 'part',
      label: 'Part class',
      from: PART_CLASSES.map((part) => ({ value: part, label: PART_IN_WORDS[part] })),
    },
    { name: 'wheelEnd', short: 'corner', label: 'Corner', from: ENDS.map(same) },
    {
      name: 'cause',
      short: 'cause',
      label: 'Cause',
      from: CAUSES.map((cause) => ({ value: cause, label: CAUSE_SHORT[cause] })),
    },
    { name: 'desk', short: 'desk', label: 'Desk', from: desks.map(same) },
  ];
  return (
    <div className="ledger-filters" role="group" aria-label="Which jobs">
      {(['from', 'to'] as const).map((name) => (
        <label key={name}>
          {name}{' '}
          <Field
            value={filter[name]}
            size={10}
            placeholder="YYYY-MM-DD"
            onText={put(name)}
            label={`${name === 'from' ? 'From' : 'To'} day`}
          />
        </label>
      ))}
      {picked
        .filter(({ from }) => from.length > 0)
        .map(({ name, short, label, from }) => (
          <label key={name}>
            {short}{' '}
            <Choice
              label={label}
              value={filter[name]}
              onChoice={put(name)}
              options={[{ value: '', label: 'any' }, ...from]}
            />
          </label>
        ))}
    </div>
  );
}
