import { wheelEndInWords, type Check } from '@hardy/core/words';
import { parseTyreSize, type CheckSetting } from '@hardy/core/metering';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useDraft } from '../desk/useDraft.ts';
import { Told } from './MeasureForm.tsx';

interface Props {
  known: Readonly<Record<string, string>>;
  setting: CheckSetting;
  onAdd: (check: Check) => void;
}

/** Tyre sizes wheel by wheel; one that is like the others need only be typed once. */
export function TyresForm({ known, setting, onAdd: add }: Props) {
  // Every axle has tyres, also one whose speed is taken at its centre.
  const wheels = Array.from({ length: setting.axles }, (_, i) => [`A${i + 1}L`, `A${i + 1}R`]).flat();
  const [draft, setSizes] = useDraft<Record<string, string>>(`${window.location.pathname} tyres`);
  const sizes = draft ?? known;
  const onAdd = (made: Check) => {
    setSizes(null);
    add(made);
  };
  const filled = Object.fromEntries(Object.entries(sizes).filter(([, size]) => size.trim() !== ''));
  const unread = Object.values(filled).filter((size) => !parseTyreSize(size));
  const check: Check = { check: 'tyres', sizes: filled };
  const ready = Object.keys(filled).length >= 2 && unread.length === 0;
  const first = Object.values(filled)[0];
  return (
    <form
      className="measure-form"
      onSubmit={(event) => {
        event.preventDefault();
        if (ready) onAdd(check);
      }}
    >
      <div className="tyre-grid">
        {wheels.map((end) => (
          <TextField
            key={end}
            label={wheelEndInWords(end, setting)}
            value={sizes[end] ?? ''}
            placeholder="205/55 R16"
            onChange={(event) => setSizes({ ...sizes, [end]: event.target.value })}
            error={Boolean(sizes[end]?.trim()) && !parseTyreSize(sizes[end] ?? '')}
            size="small"
          />
        ))}
      </div>
      <div className="reading-form">
        <Button
          disabled={!first}
          onClick={() =>
            setSizes(
              Object.fromEntries(
                wheels.map((end) => [end, sizes[end]?.trim() ? (sizes[end] ?? '') : (first ?? '')]),
              ),
            )
          }
        >
          the rest are the same
        </Button>
        <Button type="submit" variant="contained" disabled={!ready}>
          Add
        </Button>
      </div>
      {Object.keys(filled).length > 0 && <Told check={check} setting={setting} />}
    </form>
  );
}
