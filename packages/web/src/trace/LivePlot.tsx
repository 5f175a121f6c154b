import { useEffect, useRef } from 'react';
import uPlot from 'uplot';
import 'uplot/dist/uPlot.min.css';
import { wheelLine } from '../drawings/wheelLines.ts';
import type { LiveRecording } from './liveRecording.ts';
import { plotAxes } from './plotAxes.ts';

interface Props {
  recording: LiveRecording;
  height: number;
}

/** So many seconds are shown; the rest is recorded. */
const SHOWN_S = 20;
const LEAST_KMH = 10;

/** Speeds as they come, drawn once a frame and only when something came: one plot for all of it, fed anew. */
export function LivePlot({ recording, height }: Props) {
  const host = useRef<HTMLDivElement>(null);
  const { length: wheels } = recording.names;
  useEffect(() => {
    const element = host.current;
    if (!element || wheels === 0) return;
    const plot = new uPlot(
      {
        width: element.clientWidth,
        height,
        legend: { show: false },
        cursor: { show: false },
        scales: {
          x: { time: false },
          y: { range: (_, __, most) => [0, Math.max(LEAST_KMH, Math.ceil((most ?? 0) / 10) * 10)] },
        },
        axes: plotAxes('km/h'),
        series: [
          {},
          ...recording.names.map((label, i) => {
            const { colour, dash, width } = wheelLine(i, false);
            return { label, stroke: colour, dash, width: width * 1.3, points: { show: false } };
          }),
        ],
      },
      [[], ...recording.names.map(() => [])] as unknown as uPlot.AlignedData,
      element,
    );
    let drawn = -1;
    let frame = 0;
    const draw = () => {
      frame = requestAnimationFrame(draw);
      const { seconds, kmh } = recording;
      if (seconds.length === drawn) return;
      drawn = seconds.length;
      const from = recording.since(SHOWN_S);
      plot.setData([seconds.slice(from), ...kmh.map((each) => each.slice(from))]);
    };
    frame = requestAnimationFrame(draw);
    const fit = new ResizeObserver(() => plot.setSize({ width: element.clientWidth, height }));
    fit.observe(element);
    return () => {
      cancelAnimationFrame(frame);
      fit.disconnect();
      plot.destroy();
    };
  }, [recording, wheels, height]);
  return (
    <div
      ref={host}
      role="img"
      aria-label={`Speeds of ${wheels} wheels over the last ${SHOWN_S} seconds`}
      className="plot"
      style={{ height }}
    />
  );
}
