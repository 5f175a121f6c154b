import type uPlot from 'uplot';

const INK = '#1c2226';
const HAIRLINE = '#cfc6b2';
const FONT = '12px Barlow, Arial, sans-serif';

/** Axes of every plot over time: seconds below, a quantity with its unit at the left. */
export const plotAxes = (unit: string): uPlot.Axis[] => [
  {
    stroke: INK,
    font: FONT,
    size: 26,
    grid: { stroke: HAIRLINE, width: 0.5 },
    ticks: { stroke: HAIRLINE, size: 4 },
    values: (_, ticks) => ticks.map((t) => `${t} s`),
  },
  {
    stroke: INK,
    font: FONT,
    size: 68,
    grid: { stroke: HAIRLINE, width: 0.5 },
    ticks: { stroke: HAIRLINE, size: 4 },
    values: (_, ticks) => ticks.map((t, i) => (i === ticks.length - 1 ? `${t} ${unit}` : `${t}`)),
  },
];
