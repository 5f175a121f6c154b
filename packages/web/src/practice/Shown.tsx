import type { ExerciseShows } from '@hardy/core/words';
import { CartesianGrid, Legend, Line, LineChart, XAxis, YAxis } from 'recharts';
import { FindingPicture } from '../drawings/FindingPicture.tsx';

/** Lines are told apart by how they are drawn, not by colour alone. */
const DASHES = ['0', '7 3', '2 2', '10 3 2 3', '1 3', '14 4'];

/** What an exercise shows beside its words. */
export function Shown({ shows }: { shows: ExerciseShows }) {
  switch (shows.as) {
    case 'nothing':
      return null;
    case 'drawing':
      return (
        <div className="exercise-drawing" role="img" aria-label="a drawing of what is seen">
          <FindingPicture check={shows.check} result={shows.result} />
        </div>
      );
    case 'table':
      return (
        <table className="exercise-table">
          <thead>
            <tr>
              {shows.head.map((each) => (
                <th key={each} scope="col">
                  {each}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {shows.rows.map((row) => (
              <tr key={row.join(' ')}>
                {row.map((cell, i) => (
                  <td key={`${i} ${cell}`}>{cell}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      );
    case 'speeds': {
      const [first] = shows.wheels;
      const data = (first?.kmh ?? []).map((_, i) => ({
        s: Math.round((i * shows.seconds * 10) / Math.max(1, (first?.kmh.length ?? 1) - 1)) / 10,
        ...Object.fromEntries(shows.wheels.map(({ name, kmh }) => [name, kmh[i]])),
      }));
      return (
        <div
          role="img"
          aria-label={`speeds of ${shows.wheels.map(({ name }) => name).join(', ')} over ${shows.seconds} seconds`}
        >
          <LineChart
            width={1000}
            height={300}
            data={data}
            margin={{ top: 8, right: 16, bottom: 20, left: 0 }}
          >
            <CartesianGrid stroke="var(--hairline)" vertical={false} />
            <XAxis dataKey="s" unit=" s" type="number" domain={[0, shows.seconds]} stroke="var(--soft)" />
            <YAxis unit=" km/h" width={70} stroke="var(--soft)" />
            <Legend iconType="plainline" iconSize={34} />
            {shows.wheels.map(({ name }, i) => (
              <Line
                key={name}
                dataKey={name}
                stroke={i % 2 === 0 ? 'var(--ink)' : 'var(--signal)'}
                strokeDasharray={DASHES[i] ?? '0'}
                strokeWidth={i < 2 ? 1.6 : 1}
                dot={false}
                isAnimationActive={false}
              />
            ))}
          </LineChart>
        </div>
      );
    }
  }
}
