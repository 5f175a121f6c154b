import {
  explainRatio,
  frequencyAt,
  gapFactor,
  lowestReadSpeed,
  parseTyreSize,
  rollingCircumference,
  speedAt,
} from '@hardy/core/metering';
import { DeskDialog } from '../desk/DeskDialog.tsx';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useState } from 'react';
import { useLimits } from './limits.ts';
import { numberTyped } from './measureFields.ts';
import { Field } from '../desk/Field.tsx';

interface Props {
  open: boolean;
  tyre: string | null;
  onClose: () => void;
}

const KM_PER_MILE = 1.609344;

/** Bench arithmetic: frequency and speed, the lowest speed a passive sensor is read at, what explains a ratio. */
export function ArithmeticDialog({ open, tyre, onClose }: Props) {
  return (
    <DeskDialog open={open} onClose={onClose} maxWidth="md" fullWidth aria-labelledby="arithmetic-title">
      <DialogTitle id="arithmetic-title">Bench arithmetic</DialogTitle>
      <DialogContent>{open && <Sums tyre={tyre} />}</DialogContent>
    </DeskDialog>
  );
}

function Sum({
  label,
  unit,
  value,
  set,
}: {
  label: string;
  unit: string;
  value: string;
  set: (v: string) => void;
}) {
  return (
    <label className="sum-field">
      {label}
      <span>
        <Field value={value} size={9} onText={set} /> {unit}
      </span>
    </label>
  );
}

function Sums({ tyre }: { tyre: string | null }) {
  const a = useLimits();
  const [size, setSize] = useState(tyre ?? '205/55 R16');
  const [teeth, setTeeth] = useState('48');
  const [kmh, setKmh] = useState('30');
  const [hertz, setHertz] = useState('200');
  const [volts, setVolts] = useState('0.3');
  const [gap, setGap] = useState('1.2');
  const [ring, setRing] = useState('100');
  const [percent, setPercent] = useState('-2.1');
  const parsed = parseTyreSize(size);
  const circumference = parsed ? rollingCircumference(parsed.diameter, a.get('tyre.rolling')) : null;
  const n = numberTyped(teeth, 'teeth');
  const figure = (text: string, unit: string) => numberTyped(text, unit);
  const [v, f, u, g, d, p] = [
    figure(kmh, 'km/h'),
    figure(hertz, 'Hz'),
    figure(volts, 'V'),
    figure(gap, 'mm'),
    figure(ring, 'mm'),
    figure(percent, '%'),
  ];
  const ok = circumference !== null && n !== null && n > 0;
  const weaker = g !== null && d !== null && d > 0 && ok ? gapFactor(a.get('gap.usual'), g, d, n) : null;
  const lowest =
    u !== null && weaker !== null && circumference !== null
      ? lowestReadSpeed(u * weaker, a.get('ac.threshold'), circumference)
      : null;
  return (
    <div className="sums">
      <section aria-label="Frequency and speed">
        <h3>Frequency and speed</h3>
        <Sum label="Tyre" unit="" value={size} set={setSize} />
        <Sum label="Teeth or poles" unit="" value={teeth} set={setTeeth} />
        <Sum label="At" unit="km/h" value={kmh} set={setKmh} />
        <p role="status">
          {ok && v !== null ? (
            <>
              <strong>{frequencyAt(v, n, circumference).toFixed(1)} Hz</strong> to be expected at {v} km/h (
              {(v / KM_PER_MILE).toFixed(1)} mph)
            </>
          ) : (
            'a tyre size such as 205/55 R16, a number of teeth and a speed'
          )}
        </p>
        <Sum label="Measured" unit="Hz" value={hertz} set={setHertz} />
        <p role="status">
          {ok && f !== null && (
            <>
              is <strong>{speedAt(f, n, circumference).toFixed(1)} km/h</strong> (
              {(speedAt(f, n, circumference) / KM_PER_MILE).toFixed(1)} mph), {circumference.toFixed(3)} m a
              turn
            </>
          )}
        </p>
      </section>
      <section aria-label="Passive sensor: lowest speed">
        <h3>Passive sensor: lowest speed it is read at</h3>
        <Sum
          label={`AC at one turn a second, ${a.get('gap.usual')} mm gap`}
          unit="V"
          value={volts}
          set={setVolts}
        />
        <Sum label="Ring, across the teeth" unit="mm" value={ring} set={setRing} />
        <Sum label="Gap now" unit="mm" value={gap} set={setGap} />
        <p role="status">
          {lowest !== null && weaker !== null && (
            <>
              {Math.round(weaker * 100)} % of the signal is left: read from{' '}
              <strong>{lowest.toFixed(1)} km/h</strong> ({(lowest / KM_PER_MILE).toFixed(1)} mph) on, at a
              threshold of {a.get('ac.threshold')} V
            </>
          )}
        </p>
        <p className="soft">Rule of thumb; the maker&rsquo;s gap and figures come first.</p>
      </section>
      <section aria-label="What explains a ratio">
        <h3>What explains a ratio</h3>
        <Sum label="Reads off by" unit="%" value={percent} set={setPercent} />
        <ul role="status">
          {p !== null &&
            explainRatio(p, { tyre: parsed ? size : null, teeth: n }, 6).map(({ because, leftPercent }) => (
              <li key={because}>
                {because}; {Math.abs(leftPercent).toFixed(2)} % left over
              </li>
            ))}
        </ul>
      </section>
    </div>
  );
}
