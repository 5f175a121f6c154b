import type { BenchEnd, BenchProbes, Measured, MeterQuantity } from '@hardy/core/contract';
import {
  CHECK_IN_WORDS,
  wheelEndInWords,
  type Check,
  type WheelEnd,
  type WheelNames,
} from '@hardy/core/words';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { call } from '../api/client.ts';
import { Choice, plainOptions } from '../desk/Choice.tsx';
import { changeDocket } from '../state/useDocket.ts';
import { checkFromMeter, readingInWords } from './checkFromMeter.ts';
import { lookAgain, OTHER_VEHICLE } from './useDevices.ts';

interface Props {
  docketId: string;
  /** Wheels that can be probed. */
  ends: readonly WheelEnd[];
  corner: WheelEnd | null;
  names: WheelNames;
  /** Whether probes are put by us, on the bench: else by hand. */
  onBench: boolean;
  /** The bench has another docket's vehicle on it. */
  isOther: boolean;
  act: (how: () => Promise<unknown>) => void;
}

const ASK: ReadonlyArray<readonly [MeterQuantity, string, string]> = [
  ['ohms', 'Ohms', 'ohm'],
  ['voltsDc', 'Volts DC', 'V'],
  ['voltsAc', 'Volts AC', 'V'],
];
const PLUGS = [
  { value: 'sensor', label: 'the sensor\u2019s side of the plug' },
  { value: 'loom', label: 'the loom\u2019s side of the plug' },
] as const;
const PINS = ['across', 'signal to ground', 'feed to ground'] as const;
const TURNS = [
  { value: '0', label: 'wheel at rest' },
  { value: '1', label: 'wheel turned by hand, 1 turn a second' },
] as const;

interface Shown {
  readonly what: MeterQuantity;
  readonly unit: string;
  readonly measured: Measured;
  readonly probes: BenchProbes;
}

/** The meter: where its probes are, what it shows, and the check that amounts to. */
export function MeterPanel({ docketId, ends, corner, names, onBench, isOther, act }: Props) {
  const [picked, setEnd] = useState<WheelEnd | null>(null);
  const [plug, setPlug] = useState<BenchProbes['plug']>('sensor');
  const [pins, setPins] = useState<BenchProbes['pins']>('across');
  const [turns, setTurns] = useState<'0' | '1'>('0');
  const [shown, setShown] = useState<Shown | null>(null);
  const end = picked ?? corner ?? ends[0] ?? 'A1L';
  const measure = (what: MeterQuantity, unit: string) =>
    act(async () => {
      const probes: BenchProbes = {
        wheelEnd: end as BenchEnd,
        plug,
        pins,
        turnsPerSecond: Number(turns),
      };
      setShown(null);
      if (onBench) await call('POST /devices/bench/probes', { body: probes });
      const measured = await call('POST /devices/meter/measure', { body: { what } });
      setShown({ what, unit, measured, probes });
      await lookAgain();
    });
  const check: Check | string | null = shown && checkFromMeter(shown.what, shown.measured, shown.probes);
  return (
    <section className="card" aria-label="Meter">
      <h2 className="kicker">Meter</h2>
      <p className="meter-probes">
        probes on{' '}
        <Choice
          value={end}
          onChoice={setEnd}
          label="Wheel"
          options={ends.map((value) => ({ value, label: wheelEndInWords(value, names) }))}
        />{' '}
        <Choice value={plug} onChoice={setPlug} label="Side of the plug" options={PLUGS} />{' '}
        <Choice value={pins} onChoice={setPins} label="Pins" options={plainOptions(PINS)} />{' '}
        <Choice value={turns} onChoice={setTurns} label="Wheel turned" options={TURNS} />
      </p>
      <p className="device-acts">
        {ASK.map(([what, label, unit]) => (
          <Button key={what} disabled={isOther} onClick={() => measure(what, unit)}>
            {label}
          </Button>
        ))}
      </p>
      {isOther && <p className="look-here">{OTHER_VEHICLE}</p>}
      {shown && (
        <div className="meter-shows" role="status">
          <output className="meter-figure">{readingInWords(shown.measured, shown.unit)}</output>
          {typeof check === 'string' ? (
            <p className="soft">{check}</p>
          ) : (
            check && (
              <Button
                variant="contained"
                onClick={() =>
                  act(async () => {
                    await changeDocket(docketId, `${CHECK_IN_WORDS[check.check]}: from the meter`, (d) => ({
                      ...d,
                      checks: [...(d.checks ?? []), check],
                    }));
                    setShown(null);
                  })
                }
              >
                Put it on the docket
              </Button>
            )
          )}
        </div>
      )}
    </section>
  );
}
