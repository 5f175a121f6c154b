import { numbersOf, type Check, type CheckName, type WheelEnd } from '@hardy/core/words';
import { doubtUnit, tellCheck, type CheckSetting } from '@hardy/core/metering';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { useDraft } from '../desk/useDraft.ts';
import { ReadMeter } from '../devices/ReadMeter.tsx';
import { useLimits } from './limits.ts';
import { measuredCheck } from './measureFields.ts';

interface Props {
  check: CheckName;
  wheelEnd: WheelEnd | null;
  setting: CheckSetting;
  onAdd: (check: Check) => void;
}

const OF = [
  { value: 'sensor', label: 'the sensor' },
  { value: 'harness', label: 'the loom' },
  { value: 'new-part', label: 'the new part' },
] as const;

/** What a reading amounts to, in words beside a mark. */
export function Told({ check, setting }: { check: Check; setting: CheckSetting }) {
  const told = tellCheck(check, setting, useLimits());
  return (
    <div className={`told told-${told.says}`} role="status">
      <strong>
        {told.says === 'nothing' ? 'says nothing' : told.says === 'sound' ? 'sound' : 'points to a fault'}
      </strong>
      <ul>
        {told.lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </div>
  );
}

/** Numbers of a measured check, the arithmetic done while typing, and a question when a unit looks mistyped. */
export function MeasureForm({ check, wheelEnd, setting, onAdd: add }: Props) {
  const fields = numbersOf(check);
  const [draft, setValues] = useDraft<Record<string, string>>(
    `${window.location.pathname} ${check} ${wheelEnd ?? ''}`,
  );
  const values = draft ?? Object.fromEntries(fields.map(({ key, field }) => [key, field.start ?? '']));
  const onAdd = (made: Check) => {
    setValues(null);
    add(made);
  };
  const [of, setOf] = useState<(typeof OF)[number]['value']>('sensor');
  const made = measuredCheck(check, values, check === 'meter.resistance' ? { of } : {}, wheelEnd);
  const ready = made !== null && typeof made !== 'string' ? made : null;
  const limits = useLimits();
  const doubt = ready ? doubtUnit(ready, limits) : null;
  return (
    <form
      className="measure-form"
      onSubmit={(event) => {
        event.preventDefault();
        if (ready && !doubt) onAdd(ready);
      }}
    >
      {check === 'meter.resistance' && (
        <div className="answers" role="group" aria-label="Resistance of what">
          {OF.map(({ value, label }) => (
            <Button
              key={value}
              variant={of === value ? 'contained' : 'outlined'}
              aria-pressed={of === value}
              onClick={() => setOf(value)}
            >
              {label}
            </Button>
          ))}
        </div>
      )}
      <ReadMeter
        check={check}
        of={of}
        wheelEnd={wheelEnd}
        onFigures={(figures) => setValues({ ...values, ...figures })}
        onAdd={onAdd}
      />
      <div className="reading-form">
        {fields.map(({ key, field: { ask, unit } }) => (
          <TextField
            key={key}
            label={`${ask}, ${unit}`}
            value={values[key] ?? ''}
            onChange={(event) => setValues({ ...values, [key]: event.target.value })}
            size="small"
            slotProps={{ htmlInput: { inputMode: 'text' } }}
          />
        ))}
        <Button type="submit" variant="contained" disabled={!ready || doubt !== null}>
          Add
        </Button>
      </div>
      {typeof made === 'string' && (
        <p className="look-here" role="alert">
          {made}
        </p>
      )}
      {ready && doubt && (
        <div className="told told-faulty" role="alert">
          <strong>{doubt.ask}</strong> <span className="soft">{doubt.because}</span>
          <div className="answers">
            <Button onClick={() => onAdd(doubt.instead)}>{doubt.labels[0]}</Button>
            <Button onClick={() => onAdd({ ...ready, confirmed: true })}>really {doubt.labels[1]}</Button>
          </div>
        </div>
      )}
      {ready && !doubt && <Told check={ready} setting={setting} />}
    </form>
  );
}
