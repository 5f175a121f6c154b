import type { BenchEnd, BenchProbes, MeterQuantity } from '@hardy/core/contract';
import type { Check, CheckName, WheelEnd } from '@hardy/core/words';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { useParams } from 'react-router';
import { call, problemInWords } from '../api/client.ts';
import { checkFromMeter, readingInWords } from './checkFromMeter.ts';
import { isOthers, OTHER_VEHICLE, useDevices } from './useDevices.ts';

interface Props {
  check: CheckName;
  /** Of what a resistance is taken. */
  of: 'sensor' | 'harness' | 'new-part';
  wheelEnd: WheelEnd | null;
  /** Fills in what stands, so that it is seen with its arithmetic before it is added. */
  onFigures: (figures: Readonly<Record<string, string>>) => void;
  onAdd: (check: Check) => void;
}

type Where = Pick<BenchProbes, 'plug' | 'pins' | 'turnsPerSecond'>;
const HOW: Partial<
  Record<CheckName, { readonly what: MeterQuantity; readonly unit: string; readonly where: Where }>
> = {
  'meter.resistance': {
    what: 'ohms',
    unit: 'ohm',
    where: { plug: 'sensor', pins: 'across', turnsPerSecond: 0 },
  },
  'meter.supply': {
    what: 'voltsDc',
    unit: 'V',
    where: { plug: 'loom', pins: 'feed to ground', turnsPerSecond: 0 },
  },
  'meter.ac': { what: 'voltsAc', unit: 'V', where: { plug: 'sensor', pins: 'across', turnsPerSecond: 1 } },
};

/** Takes a measured check from the meter on the bench, where one is named. */
export function ReadMeter({ check, of, wheelEnd, onFigures, onAdd }: Props) {
  const { id = null } = useParams();
  const { data: devices } = useDevices();
  const [said, setSaid] = useState<string | null>(null);
  const [result, setResult] = useState<Check | null>(null);
  const [busy, setBusy] = useState(false);
  const how = HOW[check];
  if (!how || wheelEnd === null || !devices?.devices.some(({ kind }) => kind === 'meter')) return null;
  if (isOthers(devices, id)) return <p className="look-here">{OTHER_VEHICLE}</p>;
  const { what, unit, where } = how;
  const probes: BenchProbes = {
    ...where,
    wheelEnd: wheelEnd as BenchEnd,
    plug: check === 'meter.resistance' && of === 'harness' ? 'loom' : where.plug,
  };
  const read = async () => {
    setBusy(true);
    setSaid(null);
    setResult(null);
    try {
      // A new part is not on the vehicle: its probes are put by hand.
      if (devices.bench?.vehicle && of !== 'new-part')
        await call('POST /devices/bench/probes', { body: probes });
      const measured = await call('POST /devices/meter/measure', { body: { what } });
      const made = checkFromMeter(what, measured, probes);
      const { reading, celsius } = measured;
      setSaid(`${readingInWords(measured, unit)}${typeof made === 'string' ? `. ${made}` : ''}`);
      if (reading.is === 'steady')
        onFigures({
          [what === 'ohms' ? 'ohms' : 'volts']: String(Number(reading.value.toPrecision(4))),
          ...(celsius === null ? {} : { temperatureC: String(celsius) }),
          ...(what === 'voltsAc' ? { turnsPerSecond: String(probes.turnsPerSecond) } : {}),
        });
      else if (typeof made !== 'string') setResult(of === 'new-part' ? ({ ...made, of } as Check) : made);
    } catch (problem) {
      setSaid(problemInWords(problem));
    } finally {
      setBusy(false);
    }
  };
  return (
    <p className="read-meter">
      <Button disabled={busy} onClick={() => void read()}>
        Read the meter
      </Button>{' '}
      {said && <span role="status">{said}</span>}{' '}
      {result && (
        <Button variant="contained" onClick={() => onAdd(result)}>
          Add it so
        </Button>
      )}
    </p>
  );
}
