import type { Docket } from '@hardy/core/words';
import { EditableField } from './EditableField.tsx';
import type { Change } from './factEdits.ts';
import { numberWithin } from './numberWithin.ts';

type Proof = NonNullable<Docket['proof']>;

/** What was seen when the fix was proved: how soon the lamps went out, how well the speeds agree, whether a code is back. */
export function ProofFields({ docket, change }: { docket: Docket; change: Change }) {
  const { proof } = docket;
  const put = (label: string, more: Partial<Proof>) =>
    change(label, (d) => ({ ...d, proof: { ...d.proof, ...more } }));
  const number = (
    label: string,
    field: 'lampsOutMetres' | 'speedsWithinPercent',
    unit: string,
    most: number,
  ) => (
    <EditableField
      label={label}
      value={proof?.[field] == null ? null : String(proof[field])}
      problemWith={(text) => {
        const read = numberWithin(text, unit, 0, most);
        return 'problem' in read ? read.problem : null;
      }}
      onChange={(text) => {
        const read = text === null ? { value: null } : numberWithin(text, unit, 0, most);
        if ('value' in read) put(label.toLowerCase(), { [field]: read.value });
      }}
    />
  );
  return (
    <section aria-label="Proof">
      <h2 className="kicker">Proved by</h2>
      <dl className="vehicle-fields">
        {number('Lamps out after, m', 'lampsOutMetres', 'm', 1_000_000)}
        {number('Speeds agree within, %', 'speedsWithinPercent', '%', 100)}
        <EditableField
          label="Codes back"
          value={proof?.codesBack == null ? null : proof.codesBack ? 'yes' : 'no'}
          options={['yes', 'no']}
          onChange={(value) =>
            put('codes read again', { codesBack: value === null ? null : value === 'yes' })
          }
        />
      </dl>
    </section>
  );
}
