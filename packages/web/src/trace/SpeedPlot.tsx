import { useEffect, useRef } from 'react';
import uPlot from 'uplot';
import 'uplot/dist/uPlot.min.css';
import type { Curve } from '@hardy/core/logs';
import { plotAxes } from './plotAxes.ts';

export interface PlotCurve {
  readonly label: string;
  readonly curve: Curve;
  readonly colour: string;
  readonly dash: number[];
  readonly width: number;
}

interface Props {
  label: string;
  unit: string;
  curves: readonly PlotCurve[];
  /** Seconds shown. */
  from: number;
  to: number;
  height: number;
  /** Times in seconds of events to mark along the bottom. */
  marks: readonly number[];
  onZoom: (from: number, to: number) => void;
}

const SIGNAL = '#b93a10';

const nulled = (values: Float64Array): Array<number | null> =>
  Array.from(values, (value) => (Number.isNaN(value) ? null : value));

/** Curves over time on one canvas; drag to look closer. What it shows is also told in words beside it. */
export function SpeedPlot({ label, unit, curves, from, to, height, marks, onZoom }: Props) {
  const host = useRef<HTMLDivElement>(null);
  const zoom = useRef(onZoom);
  useEffect(() => {
    zoom.current = onZoom;
  });
  useEffect(() => {
    const element = host.current;
    if (!element || curves.length === 0) return;
    const data = uPlot.join(
      curves.map(({ curve }) => [curve.x, nulled(curve.y)] as unknown as uPlot.AlignedData),
    );
    const plot = new uPlot(
      {
        width: element.clientWidth,
        height,
        legend: { show: false },
        cursor: { drag: { x: true, y: false, setScale: false }, points: { show: false } },
        scales: { x: { time: false, min: from, max: to } },
        axes: plotAxes(unit),
        series: [
          {},
          ...curves.map((curve) => ({
            label: curve.label,
            stroke: curve.colour,
            width: curve.width,
            dash: curve.dash,
            spanGaps: false,
            points: { show: false },
          })),
        ],
        hooks: {
          setSelect: [
            (u) => {
              const left = u.posToVal(u.select.left, 'x');
              const right = u.posToVal(u.select.left + u.select.width, 'x');
              u.setSelect({ left: 0, top: 0, width: 0, height: 0 }, false);
              if (right > left) zoom.current(left, right);
            },
          ],
          draw: [
            (u) => {
              const { ctx, bbox } = u;
              ctx.save();
              ctx.fillStyle = SIGNAL;
              for (const t of marks) {
                if (t < from || t > to) continue;
                const x = u.valToPos(t, 'x', true);
                ctx.beginPath();
                ctx.moveTo(x, bbox.top + bbox.height - 9);
                ctx.lineTo(x - 4, bbox.top + bbox.height);
                ctx.lineTo(x + 4, bbox.top + bbox.height);
                ctx.fill();
              }
              ctx.restore();
            },
          ],
        },
      },
      data,
      element,
    );
    const fit = new ResizeObserver(() => plot.setSize({ width: element.clientWidth, height }));
    fit.observe(element);
    return () => {
      fit.disconnect();
      plot.destroy();
    };
  }, [curves, from, to, height, marks, unit]);
  return <div ref={host} role="img" aria-label={label} className="plot" style={{ height }} />;
}
