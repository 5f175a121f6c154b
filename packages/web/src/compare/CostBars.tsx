import type { ComparedWay } from '@hardy/core/words';
import { Bar, BarChart, type BarShapeProps, ErrorBar, ReferenceLine, XAxis, YAxis } from 'recharts';
import { money } from '../format.ts';
import { COST_GROUPS, grouped } from './costGroups.ts';
import { roundTicks } from './roundTicks.ts';

const ROW_HEIGHT = 52;
const AXIS_HEIGHT = 24;

interface Props {
  ways: readonly ComparedWay[];
  width: number;
  currency: string;
}

/** Patterns, so that the parts of a bar are told apart without colour. */
function CostPatterns() {
  return (
    <defs>
      <pattern id="cost-labour" width="6" height="6" patternUnits="userSpaceOnUse">
        <rect width="6" height="6" fill="#8b9093" />
      </pattern>
      <pattern
        id="cost-seizure"
        width="6"
        height="6"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <rect width="6" height="6" fill="#f7f3ea" />
        <rect width="3" height="6" fill="#b93a10" />
      </pattern>
      <pattern id="cost-waiting" width="6" height="6" patternUnits="userSpaceOnUse">
        <rect width="6" height="6" fill="#f7f3ea" />
        <circle cx="3" cy="3" r="1.6" fill="#1c2226" />
      </pattern>
      <pattern
        id="cost-comeback"
        width="5"
        height="5"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(-45)"
      >
        <rect width="5" height="5" fill="#f7f3ea" />
        <rect width="2" height="5" fill="#1c2226" />
      </pattern>
      <pattern id="cost-later" width="6" height="4" patternUnits="userSpaceOnUse">
        <rect width="6" height="4" fill="#f7f3ea" />
        <rect width="6" height="1" fill="#565c5e" />
      </pattern>
    </defs>
  );
}

const fillOf = (key: string): string => (key === 'parts' ? '#1c2226' : `url(#cost-${key})`);

/** What each pattern stands for. */
export function CostLegend() {
  return (
    <ul className="cost-legend" aria-label="What the bars are made of">
      {COST_GROUPS.map(({ key, label }) => (
        <li key={key}>
          <svg width="22" height="10" aria-hidden="true">
            <CostPatterns />
            <rect width="22" height="10" fill={fillOf(key)} stroke="#1c2226" />
          </svg>
          {label}
        </li>
      ))}
      <li>
        <svg width="30" height="10" aria-hidden="true">
          <path d="M1 5H29M1 1V9M29 1V9" stroke="#1c2226" fill="none" />
          <path d="M14 1L18 5L14 9L10 5Z" fill="#b93a10" />
        </svg>
        8 in 10 jobs, half at the mark
      </li>
    </ul>
  );
}

/** A mark at the end of a bar that is not drawn: where half the jobs cost less. */
const HalfMark = ({ x = 0, y = 0, width = 0, height = 0 }: BarShapeProps) => (
  <path d={`M${x + width} ${y + height / 2 - 5}l5 5l-5 5l-5 -5Z`} fill="#b93a10" stroke="#f7f3ea" />
);

/** Expected cost of every way on one money axis, in its parts, with the span that 8 in 10 jobs fall within. */
export function CostBars({ ways, width, currency }: Props) {
  const rows = ways.map((way) => ({
    id: way.id,
    ...grouped(way.costs),
    p50: way.allIn.p50,
    span: [Math.max(0, way.allIn.p50 - way.allIn.p10), Math.max(0, way.allIn.p90 - way.allIn.p50)],
  }));
  const most = Math.max(1, ...ways.map((way) => Math.max(way.allIn.p90, way.allIn.mean)));
  const ticks = roundTicks(0, most, 4);
  const common = {
    data: rows,
    layout: 'vertical' as const,
    // A picture beside its table: nothing in it takes the keyboard.
    accessibilityLayer: false,
    width,
    height: ways.length * ROW_HEIGHT + AXIS_HEIGHT,
    margin: { top: 0, right: 12, bottom: 0, left: 4 },
  };
  const axes = (
    <>
      <XAxis
        type="number"
        domain={[0, ticks.at(-1) ?? most]}
        ticks={ticks}
        allowDataOverflow
        height={AXIS_HEIGHT}
        tickFormatter={(value: number) => money(value, currency)}
        tick={{ fill: '#565c5e', fontSize: 12 }}
        stroke="#cfc6b2"
      />
      <YAxis type="category" dataKey="id" hide />
    </>
  );
  return (
    <div
      className="cost-bars"
      role="img"
      aria-label="Expected cost of each way in its parts; the same figures stand in the table"
    >
      <BarChart {...common} stackOffset="sign" barSize={16}>
        <CostPatterns />
        {axes}
        <ReferenceLine x={0} stroke="#1c2226" />
        {COST_GROUPS.map(({ key }) => (
          <Bar
            key={key}
            dataKey={key}
            stackId="cost"
            fill={fillOf(key)}
            stroke="#1c2226"
            strokeWidth={0.5}
            isAnimationActive={false}
          />
        ))}
      </BarChart>
      <div className="cost-spans">
        <BarChart {...common} barSize={16}>
          {axes}
          <Bar dataKey="p50" fill="none" shape={HalfMark} isAnimationActive={false}>
            <ErrorBar dataKey="span" direction="x" width={5} strokeWidth={1.2} stroke="#1c2226" />
          </Bar>
        </BarChart>
      </div>
    </div>
  );
}
