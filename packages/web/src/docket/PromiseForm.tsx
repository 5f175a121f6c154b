import type { OrderLineView } from '@hardy/core/contract';
import type { Docket } from '@hardy/core/words';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { Choice } from '../desk/Choice.tsx';
import { useDraft } from '../desk/useDraft.ts';
import type { Change } from './factEdits.ts';

type Promised = NonNullable<Docket['promised']>[number];

interface Props {
  docketId: string;
  /** Lines that are waited for. */
  lines: readonly OrderLineView[];
  change: Change;
}

/** Someone said when a part will be here: which, when, and who. */
export function PromiseForm({ docketId, lines, change }: Props) {
  const [kept, setDraft] = useDraft<Promised>(`promise.${docketId}`);
  const draft = kept ?? { partNumber: lines[0]?.partNumber ?? '', on: '', by: '' };
  const put = (more: Partial<Promised>) => setDraft({ ...draft, ...more });
  return (
    <details>
      <summary>Someone promised a day</summary>
      <form
        className="answers"
        onSubmit={(event) => {
          event.preventDefault();
          change(`${draft.partNumber} promised`, (d) => ({ ...d, promised: [...(d.promised ?? []), draft] }));
          setDraft(null);
        }}
      >
        <Choice
          label="Part that is promised"
          value={draft.partNumber}
          onChoice={(partNumber) => put({ partNumber })}
          options={lines.map(({ partNumber }) => ({ value: partNumber, label: partNumber }))}
        />
        <TextField
          label="For the day"
          type="date"
          size="small"
          value={draft.on}
          onChange={(event) => put({ on: event.target.value })}
          slotProps={{ inputLabel: { shrink: true } }}
        />
        <TextField
          label="By whom"
          size="small"
          value={draft.by}
          onChange={(event) => put({ by: event.target.value })}
          slotProps={{ htmlInput: { maxLength: 120 } }}
        />
        <Button type="submit" disabled={!draft.on || !draft.by.trim()}>
          Note it
        </Button>
      </form>
    </details>
  );
}
