import type { LogMapping, MappingGuess, SpeedUnit, TimeUnit } from '@hardy/core/logs';
import Button from '@mui/material/Button';
import { DeskDialog } from '../desk/DeskDialog.tsx';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useState } from 'react';
import { Choice, plainOptions } from '../desk/Choice.tsx';
import { Field } from '../desk/Field.tsx';

const SPEEDS: readonly SpeedUnit[] = ['km/h', 'mph', 'm/s', 'ft/s', 'rpm', 'rad/s'];
const TIMES: readonly TimeUnit[] = ['s', 'ms', 'us', 'min', 'clock', 'days'];
const ENDS = ['A1L', 'A1R', 'A2L', 'A2R', 'A3L', 'A3R'];
const END_WORDS: Readonly<Record<string, string>> = {
  A1L: 'axle 1 left (front left)',
  A1R: 'axle 1 right (front right)',
  A2L: 'axle 2 left (rear left)',
  A2R: 'axle 2 right (rear right)',
  A3L: 'axle 3 left',
  A3R: 'axle 3 right',
};
const ROLES = [
  { value: 'nothing', label: 'not used' },
  { value: 'time', label: 'time' },
  ...ENDS.map((end) => ({ value: end, label: END_WORDS[end] ?? end })),
  { value: 'vehicle', label: 'vehicle speed' },
];

interface Props {
  guess: MappingGuess | null;
  onClose: () => void;
  onUse: (mapping: LogMapping) => void;
}

/** Which column is what, asked once for each kind of log: the first rows stand below the choices. */
export function MappingDialog({ guess, onClose, onUse }: Props) {
  return (
    <DeskDialog
      open={guess !== null}
      onClose={onClose}
      maxWidth="lg"
      fullWidth
      aria-labelledby="mapping-title"
    >
      {guess && <Choices key={guess.headings.join('|')} guess={guess} onClose={onClose} onUse={onUse} />}
    </DeskDialog>
  );
}

const roleFrom = (mapping: LogMapping, column: number): string => {
  if (mapping.time === column) return 'time';
  if (mapping.vehicle?.column === column) return 'vehicle';
  return mapping.wheels.find((wheel) => wheel.column === column)?.wheelEnd ?? 'nothing';
};

function Choices({ guess, onClose, onUse }: Props & { guess: MappingGuess }) {
  const [roles, setRoles] = useState(() => guess.headings.map((_, c) => roleFrom(guess.mapping, c)));
  const [unit, setUnit] = useState<SpeedUnit>(guess.mapping.wheels.find((w) => w.unit)?.unit ?? 'km/h');
  const [timeUnit, setTimeUnit] = useState<TimeUnit>(guess.mapping.timeUnit ?? 's');
  const [rate, setRate] = useState('10');
  const time = roles.indexOf('time');
  const wheels = roles.flatMap((role, column) =>
    ENDS.includes(role) ? [{ column, wheelEnd: role, unit }] : [],
  );
  const twice = ENDS.find((end) => roles.filter((role) => role === end).length > 1);
  const problem =
    wheels.length < 2
      ? 'Choose at least two wheel columns: wheels are judged against each other.'
      : twice
        ? `${END_WORDS[twice]} is chosen twice.`
        : time < 0 && !(Number(rate) > 0)
          ? 'Without a time column say how many samples a second there are.'
          : null;
  const vehicle = roles.indexOf('vehicle');
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (!problem)
          onUse({
            ...guess.mapping,
            time: time < 0 ? null : time,
            timeUnit: time < 0 ? null : timeUnit,
            rateHz: time < 0 ? Number(rate) : null,
            wheels,
            vehicle: vehicle < 0 ? null : { column: vehicle, unit },
          });
      }}
    >
      <DialogTitle id="mapping-title">Which column is what?</DialogTitle>
      <DialogContent>
        <p className="gap soft">
          {guess.missing.length > 0
            ? `Could not tell ${guess.missing.join(', and ')}.`
            : 'As recognised from the headings.'}{' '}
          What you choose is remembered for logs with these headings.
        </p>
        <div className="mapping-units gap">
          <label>
            Wheel speeds in{' '}
            <Choice<SpeedUnit> value={unit} onChoice={setUnit} options={plainOptions(SPEEDS)} />
          </label>
          {time >= 0 ? (
            <label>
              Time in{' '}
              <Choice<TimeUnit>
                value={timeUnit}
                onChoice={setTimeUnit}
                options={TIMES.map((u) => ({
                  value: u,
                  label: u === 'clock' ? 'clock or date and time' : u,
                }))}
              />
            </label>
          ) : (
            <label>
              Samples a second <Field value={rate} size={6} inputMode="decimal" onText={setRate} />
            </label>
          )}
        </div>
        <div className="scroll-x">
          <table className="mapping">
            <thead>
              <tr>
                {guess.headings.map((heading, c) => (
                  <th key={c} scope="col">
                    {heading || `column ${c + 1}`}
                  </th>
                ))}
              </tr>
              <tr>
                {guess.headings.map((heading, c) => (
                  <td key={c}>
                    <Choice
                      label={`What ${heading || `column ${c + 1}`} is`}
                      value={roles[c] ?? 'nothing'}
                      onChoice={(role) => setRoles(roles.map((other, i) => (i === c ? role : other)))}
                      options={ROLES}
                    />
                  </td>
                ))}
              </tr>
            </thead>
            <tbody>
              {guess.preview.map((row, r) => (
                <tr key={r}>
                  {guess.headings.map((_, c) => (
                    <td key={c} className="mono">
                      {row[c] ?? ''}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        <p role="status" className={problem ? 'look-here' : 'soft'}>
          {problem ?? `${wheels.length} wheels chosen.`}
        </p>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave it</Button>
        <Button type="submit" variant="contained" disabled={problem !== null}>
          Read the log
        </Button>
      </DialogActions>
    </form>
  );
}
