import { centsFrom, ELSEWHERE_KINDS, type Comparison, type Elsewhere } from '@hardy/core/words';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import { Choice } from '../desk/Choice.tsx';
import { useDraft } from '../desk/useDraft.ts';
import { without, type Change } from '../docket/factEdits.ts';
import { money } from '../format.ts';

interface Props {
  docketId: string;
  comparison: Comparison;
  change: Change;
}
interface Draft {
  readonly kind: Elsewhere['kind'];
  readonly what: string;
  readonly price: string;
  readonly fee: string;
  readonly withWork: boolean;
}
const NOTHING: Draft = { kind: 'dealer', what: '', price: '', fee: '', withWork: true };
const KIND_IN_WORDS: Readonly<Record<Elsewhere['kind'], string>> = {
  dealer: 'a dealer',
  garage: 'a garage',
  part: 'a part seen cheaper',
  used: 'a used part',
  brought: 'a part they bring',
};

/** Prices the customer was named elsewhere, each beside our best way. */
export function ElsewherePanel({ docketId, comparison, change }: Props) {
  const [kept, setDraft] = useDraft<Draft>(`elsewhere.${docketId}`);
  const draft = kept ?? NOTHING;
  const put = (more: Partial<Draft>) => setDraft({ ...draft, ...more });
  const cents = centsFrom(draft.price);
  const fee = draft.fee.trim() ? centsFrom(draft.fee) : 0;
  const isBad = (draft.price !== '' && cents === null) || fee === null;
  return (
    <section aria-label="Prices from elsewhere">
      <h2 className="kicker">From elsewhere</h2>
      <ul>
        {comparison.elsewhere.map((way, i) => (
          <li key={`${way.label}-${i}`} className="elsewhere">
            <strong>{way.label}</strong> {money(way.sure, comparison.currency)} sure,{' '}
            {money(way.mean, comparison.currency)} all in. {way.sentence}{' '}
            <Button
              variant="text"
              aria-label={`Take ${way.label} off`}
              onClick={() =>
                change('price from elsewhere taken off', (d) => ({
                  ...d,
                  elsewhere: without(d.elsewhere, i),
                }))
              }
            >
              {'\u00D7'}
            </Button>
          </li>
        ))}
      </ul>
      <form
        className="elsewhere-form"
        onSubmit={(event) => {
          event.preventDefault();
          if (cents === null || fee === null || !draft.what.trim()) return;
          const entry: Elsewhere = {
            kind: draft.kind,
            what: draft.what.trim(),
            cents,
            ...(fee > 0 ? { feeCents: fee } : {}),
            withWork: draft.withWork,
          };
          change('price from elsewhere', (d) => ({ ...d, elsewhere: [...(d.elsewhere ?? []), entry] }));
          setDraft(null);
        }}
      >
        <Choice<Elsewhere['kind']>
          label="Who asks it"
          value={draft.kind}
          onChoice={(kind) => put({ kind, withWork: kind === 'dealer' || kind === 'garage' })}
          options={ELSEWHERE_KINDS.map((value) => ({ value, label: KIND_IN_WORDS[value] }))}
        />
        <TextField
          label="What"
          size="small"
          value={draft.what}
          onChange={(event) => put({ what: event.target.value })}
          slotProps={{ htmlInput: { maxLength: 300 } }}
        />
        <TextField
          label="Price"
          size="small"
          value={draft.price}
          error={isBad}
          helperText={isBad ? 'write 120 or 120.50' : ''}
          onChange={(event) => put({ price: event.target.value })}
        />
        <TextField
          label="Fee for finding out"
          size="small"
          value={draft.fee}
          onChange={(event) => put({ fee: event.target.value })}
        />
        <FormControlLabel
          control={
            <Checkbox
              size="small"
              checked={draft.withWork}
              onChange={(event) => put({ withWork: event.target.checked })}
            />
          }
          label="work is in it"
        />
        <Button type="submit" disabled={cents === null || fee === null || !draft.what.trim()}>
          Put it beside
        </Button>
      </form>
    </section>
  );
}
