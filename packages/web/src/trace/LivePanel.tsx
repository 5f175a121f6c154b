import type { Assumptions } from '@hardy/core/metering';
import { wheelEndInWords } from '@hardy/core/words';
import Button from '@mui/material/Button';
import { useEffect, useState } from 'react';
import { call, problemInWords } from '../api/client.ts';
import { isOthers, lookAgain, OTHER_VEHICLE, useDevices } from '../devices/useDevices.ts';
import { useKeys } from '../desk/useKeys.ts';
import { useLimits } from '../docket/limits.ts';
import { WheelLineKey } from '../drawings/WheelLineKey.tsx';
import { LivePlot } from './LivePlot.tsx';
import { useLive } from './useLive.ts';
import { useSpareHeight } from './useSpareHeight.ts';

interface Props {
  /** The docket the log would be for; null: none. */
  docketId: string | null;
  /** Ends it; what was recorded is studied like any log. */
  onStudy: (log: File) => void;
  onLeave: () => void;
}

/** The figures are read, not watched: so often is enough, ms. */
const FIGURES_MS = 250;
/** A wheel that shows much less or more than the middle of the others. */
const isOff = (kmh: readonly number[], i: number, limits: Assumptions): boolean => {
  const others = kmh.filter((_, k) => k !== i).sort((x, y) => x - y);
  const middle = others[others.length >> 1] ?? 0;
  return (
    middle > limits.get('live.apart-from') &&
    Math.abs((kmh[i] ?? 0) / middle - 1) > limits.get('live.apart-share')
  );
};

/** Wheel speeds from the reader as they go, recorded; stopped, they are a log on the bench. */
export function LivePanel({ docketId, onStudy, onLeave }: Props) {
  const { recording, state, problem } = useLive();
  const { data: devices } = useDevices();
  const spare = useSpareHeight();
  const limits = useLimits();
  const [now, setNow] = useState<readonly number[]>([]);
  const [trouble, setTrouble] = useState<string | null>(null);
  useEffect(() => {
    const timer = setInterval(() => setNow(recording.now), FIGURES_MS);
    return () => clearInterval(timer);
  }, [recording]);
  const samples = recording.seconds.length;
  const isOther = isOthers(devices, docketId);
  const study = () => {
    if (!isOther && recording.seconds.length > 0) onStudy(recording.toFile(new Date()));
  };
  const drive = () => {
    setTrouble(null);
    call('POST /devices/bench/drive', { body: { drive: 'town' } })
      .then(lookAgain)
      .catch((why: unknown) => setTrouble(problemInWords(why)));
  };
  const bench = devices?.bench ?? null;
  useKeys({
    s: study,
    Escape: onLeave,
    ...(bench?.vehicle && !bench.driving && { g: drive }),
  });
  const axles = Math.max(2, recording.names.length / 2);
  return (
    <section aria-label="Live speeds">
      <div className="row-head">
        <h2 className="kicker">
          {state === 'waiting'
            ? 'waiting for the reader'
            : state === 'running'
              ? 'live from the reader'
              : 'broken off'}
        </h2>
        <span className="soft">
          {samples.toLocaleString('en-GB')} samples, {(recording.seconds.at(-1) ?? 0).toFixed(0)} s recorded
        </span>
        <span className="plot-tools">
          {bench?.vehicle && (
            <Button disabled={bench.driving !== null} onClick={drive}>
              {bench.driving ? `driving, ${bench.driving.kmh.toFixed(0)} km/h` : 'Drive the bench vehicle'}{' '}
              <kbd>g</kbd>
            </Button>
          )}
          <Button variant="contained" disabled={samples === 0 || isOther} onClick={study}>
            Stop and study it <kbd>s</kbd>
          </Button>
          <Button variant="text" onClick={onLeave}>
            leave <kbd>Esc</kbd>
          </Button>
        </span>
      </div>
      {isOther && (
        <p className="look-here" role="alert">
          {OTHER_VEHICLE}
        </p>
      )}
      {(problem ?? trouble) && (
        <p className="look-here" role="alert">
          {problem ?? trouble}
        </p>
      )}
      <ul className="live-figures" aria-label="Speeds now">
        {recording.names.map((name, i) => (
          <li key={name} className={isOff(now, i, limits) ? 'live-off' : ''}>
            <span className="soft">{wheelEndInWords(name, axles)}</span>
            <span className="mono live-kmh">{(now[i] ?? 0).toFixed(1)}</span> km/h
            <span className="live-word">{isOff(now, i, limits) ? 'off the others' : ''}</span>
          </li>
        ))}
      </ul>
      <ul className="plot-legend" aria-label="Lines">
        {recording.names.map((name, i) => (
          <WheelLineKey key={name} name={name} i={i} chosen={false} />
        ))}
      </ul>
      <LivePlot recording={recording} height={300 + 0.8 * spare} />
    </section>
  );
}
