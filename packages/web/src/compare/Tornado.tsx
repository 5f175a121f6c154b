import type { Sensitivity } from '@hardy/core/words';
import { Bar, BarChart, ReferenceLine, XAxis, YAxis } from 'recharts';
import { money } from '../format.ts';
import { dialValue } from './dialValue.ts';
import { roundTicks } from './roundTicks.ts';

interface Props {
  sensitivities: readonly Sensitivity[];
  best: string;
  rival: string;
  currency: string;
}

/** What matters most: by how much the best way leads at either plausible end of each input, widest first. */
export function Tornado({ sensitivities, best, rival, currency }: Props) {
  const rows = sensitivities
    .map((s) => ({
      label: s.label,
      span: [Math.min(s.swing.low, s.swing.high), Math.max(s.swing.low, s.swing.high)] as [number, number],
      words: `${dialValue(s.swing.lowAt, s.unit, currency)} to ${dialValue(s.swing.highAt, s.unit, currency)}`,
    }))
    .filter(({ span }) => span[1] - span[0] > 0.5)
    .sort((x, y) => y.span[1] - y.span[0] - (x.span[1] - x.span[0]));
  if (rows.length === 0)
    return <p className="soft">Nothing one might reckon with turns the order of these two.</p>;
  const ticks = roundTicks(
    Math.min(0, ...rows.map(({ span }) => span[0])),
    Math.max(0, ...rows.map(({ span }) => span[1])),
    3,
  );
  return (
    <figure className="tornado">
      <figcaption className="soft">
        by how much <strong>{best}</strong> leads <strong>{rival}</strong>; left of the line it trails
      </figcaption>
      <div className="tornado-zones">
        <ul>
          {rows.map(({ label, words, span }) => (
            <li key={label}>
              {label} <span className="soft">{words}</span>
              <span className="unseen">
                : leads by {money(span[0], currency)} to {money(span[1], currency)}
              </span>
            </li>
          ))}
        </ul>
        <div aria-hidden="true">
          <BarChart
            data={rows}
            layout="vertical"
            accessibilityLayer={false}
            width={230}
            height={rows.length * 24 + 22}
            margin={{ top: 0, right: 16, bottom: 0, left: 4 }}
            barSize={12}
          >
            <XAxis
              type="number"
              domain={[ticks[0] ?? 0, ticks.at(-1) ?? 0]}
              ticks={ticks}
              height={22}
              tickFormatter={(value: number) => money(value, currency)}
              tick={{ fill: '#565c5e', fontSize: 12 }}
              stroke="#cfc6b2"
            />
            <YAxis type="category" dataKey="label" hide />
            <Bar dataKey="span" fill="#1c2226" isAnimationActive={false} />
            <ReferenceLine x={0} stroke="#b93a10" strokeWidth={2} />
          </BarChart>
        </div>
      </div>
    </figure>
  );
}
