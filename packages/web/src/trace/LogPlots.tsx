import { wheelEndInWords, type TraceReading } from '@hardy/core/words';
import Button from '@mui/material/Button';
import type { Remote } from 'comlink';
import { useEffect, useMemo, useState, type KeyboardEvent } from 'react';
import { WheelLineKey } from '../drawings/WheelLineKey.tsx';
import { wheelLine } from '../drawings/wheelLines.ts';
import { SpeedPlot, type PlotCurve } from './SpeedPlot.tsx';
import type { Curves, TraceApi, WheelEvents } from './traceApi.ts';
import { useSpareHeight } from './useSpareHeight.ts';
import { TurnPicture } from './TurnPicture.tsx';

interface Props {
  reading: TraceReading;
  worker: Remote<TraceApi>;
  selected: number;
  /** Keeps the stretch shown on the docket; null where none is at hand. */
  onKeep: ((as: 'before' | 'after', from: number, to: number) => void) | null;
}

const COLUMNS = 820;
const NO_MARKS: readonly number[] = [];

/** The speeds, what is left against the common motion, and the events of the chosen wheel on its turn. */
export function LogPlots({ reading, worker, selected, onKeep }: Props) {
  const end = Math.max(1, reading.seconds);
  const spare = useSpareHeight();
  const [span, setSpan] = useState<readonly [number, number]>([0, end]);
  const [curves, setCurves] = useState<Curves | null>(null);
  const [events, setEvents] = useState<WheelEvents | null>(null);
  const [from, to] = span;

  useEffect(() => {
    let current = true;
    void worker.curves(from, to, COLUMNS).then((answer) => {
      if (current) setCurves(answer);
    });
    return () => {
      current = false;
    };
  }, [worker, from, to]);
  useEffect(() => {
    let current = true;
    void worker.events(selected).then((answer) => {
      if (current) setEvents(answer);
    });
    return () => {
      current = false;
    };
  }, [worker, selected]);

  const move = (start: number, stop: number) => {
    const width = Math.min(end, Math.max(0.5, stop - start));
    const first = Math.min(end - width, Math.max(0, start));
    setSpan([first, first + width]);
  };
  const scale = (by: number) => {
    const middle = (from + to) / 2;
    move(middle - ((to - from) * by) / 2, middle + ((to - from) * by) / 2);
  };
  const shift = (by: number) => move(from + (to - from) * by, to + (to - from) * by);
  const keys = (event: KeyboardEvent) => {
    const act = {
      '+': () => scale(0.5),
      '-': () => scale(2),
      ArrowLeft: () => shift(-0.25),
      ArrowRight: () => shift(0.25),
      '0': () => setSpan([0, end]),
    }[event.key];
    if (!act) return;
    event.preventDefault();
    act();
  };

  const axles = Math.max(2, ...reading.findings.map(({ wheelEnd }) => Number(wheelEnd[1])));
  const names = reading.findings.map(({ wheelEnd }) => wheelEnd);
  const lines = (which: 'wheels' | 'residuals'): PlotCurve[] =>
    curves
      ? curves[which].map((curve, i) => ({
          label: names[i] ?? '',
          curve,
          ...wheelLine(i, i === selected),
        }))
      : [];
  // Curves are drawn anew only when the stretch or the chosen wheel changes.
  // eslint-disable-next-line react-hooks/exhaustive-deps
  const speeds = useMemo(() => lines('wheels'), [curves, selected]);
  // eslint-disable-next-line react-hooks/exhaustive-deps
  const left = useMemo(() => lines('residuals').filter((_, i) => i === selected), [curves, selected]);
  const finding = reading.findings[selected];
  const marks = events?.seconds ?? NO_MARKS;
  return (
    // Keys move the stretch shown; the buttons do the same.
    <div className="log-plots" onKeyDown={keys}>
      <div className="row-head">
        <h2 className="kicker">Wheel speeds</h2>
        <ul className="plot-legend" aria-label="Lines">
          {names.map((name, i) => (
            <WheelLineKey key={name} name={name} i={i} chosen={i === selected} />
          ))}
        </ul>
        <div className="plot-tools" role="group" aria-label="Stretch of the log shown">
          <Button onClick={() => shift(-0.25)} aria-label="Earlier">
            {'\u2190'}
          </Button>
          <Button onClick={() => scale(0.5)} aria-label="Closer">
            +
          </Button>
          <Button onClick={() => scale(2)} aria-label="Wider">
            {'\u2212'}
          </Button>
          <Button onClick={() => shift(0.25)} aria-label="Later">
            {'\u2192'}
          </Button>
          <Button onClick={() => setSpan([0, end])}>whole log</Button>
          {onKeep && (
            <>
              <Button onClick={() => onKeep('before', from, to)}>keep as before</Button>
              <Button onClick={() => onKeep('after', from, to)}>keep as after</Button>
            </>
          )}
        </div>
      </div>
      <SpeedPlot
        label={`Speeds of ${names.length} wheels from ${from.toFixed(0)} to ${to.toFixed(0)} seconds`}
        unit="km/h"
        curves={speeds}
        from={from}
        to={to}
        height={236 + 0.55 * spare}
        marks={NO_MARKS}
        onZoom={move}
      />
      <div className="log-lower">
        <div className="log-residual">
          <h2 className="kicker">
            {wheelEndInWords(names[selected] ?? 'A1L', axles)} against the common motion, events marked below
          </h2>
          <SpeedPlot
            label={`Quick deviation of ${names[selected]} from the common motion; ${marks.length} events`}
            unit="km/h"
            curves={left}
            from={from}
            to={to}
            height={196 + 0.45 * spare}
            marks={marks}
            onZoom={move}
          />
        </div>
        <figure className="log-turn">
          <figcaption className="kicker">on the wheel&rsquo;s turn</figcaption>
          <TurnPicture places={events?.places ?? []} found={finding?.pattern === 'once-per-turn'} />
        </figure>
      </div>
    </div>
  );
}
