import type { Calibration } from '@hardy/core/contract';
import { ErrorBar, ReferenceLine, Scatter, ScatterChart, XAxis, YAxis } from 'recharts';
import { shareInWords } from './ShareBar.tsx';

type Kind = Calibration['kinds'][number];

const NAMES: Readonly<Record<Kind['kind'], string>> = {
  causes: 'Causes',
  cures: 'Cures',
  snaps: 'Snapped sensors',
  comebacks: 'Comebacks',
};

const figure = (value: number | null): string => (value === null ? '' : value.toFixed(3));

function KindChart({ kind }: { kind: Kind }) {
  const points = kind.bins.map(({ meanSaid, share }) => ({
    x: meanSaid * 100,
    y: (share.interval?.mean ?? 0) * 100,
    band: [
      ((share.interval?.mean ?? 0) - (share.interval?.low ?? 0)) * 100,
      ((share.interval?.high ?? 0) - (share.interval?.mean ?? 0)) * 100,
    ],
  }));
  return (
    <figure aria-label={`${NAMES[kind.kind]}: what was said and what was so`}>
      <figcaption className="kicker">
        {NAMES[kind.kind]} <span className="soft">said {kind.said} times</span>
      </figcaption>
      <div className="calibration">
        <div aria-hidden="true">
          <ScatterChart
            width={250}
            height={190}
            margin={{ top: 6, right: 8, bottom: 4, left: 0 }}
            accessibilityLayer={false}
          >
            <XAxis type="number" dataKey="x" domain={[0, 100]} ticks={[0, 50, 100]} fontSize={11} />
            <YAxis
              type="number"
              dataKey="y"
              domain={[0, 100]}
              ticks={[0, 50, 100]}
              width={30}
              fontSize={11}
            />
            <ReferenceLine
              segment={[
                { x: 0, y: 0 },
                { x: 100, y: 100 },
              ]}
              stroke="#6d767a"
              strokeDasharray="4 3"
            />
            <Scatter data={points} fill="#b93a10" isAnimationActive={false}>
              <ErrorBar dataKey="band" direction="y" width={4} stroke="#1c2226" />
            </Scatter>
          </ScatterChart>
        </div>
        <table className="ledger-table small">
          <thead>
            <tr>
              <th scope="col">said, in 100</th>
              <th scope="col">was so</th>
            </tr>
          </thead>
          <tbody>
            {kind.bins.map(({ from, to, share }) => (
              <tr key={from}>
                <th scope="row">
                  {Math.round(from * 100)} to {Math.round(to * 100)}
                </th>
                <td>{shareInWords(share)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </figure>
  );
}

/** When it said so much in a hundred, how often it was so; and how good that was against saying the same always. */
export function CalibrationView({ calibration }: { calibration: Calibration }) {
  const { kinds, bands, hours } = calibration;
  if (kinds.length === 0) return <p className="empty">Nothing that was said has been heard of yet.</p>;
  return (
    <>
      <p className="soft">
        Points on the dashed line: as often so as it was said. The bar is where the true share most likely
        lies; of few jobs it is long. Only what was said at the time counts.
      </p>
      <div className="calibrations">
        {kinds.map((kind) => (
          <KindChart key={kind.kind} kind={kind} />
        ))}
      </div>
      <table className="ledger-table" aria-label="Scores">
        <thead>
          <tr>
            <th scope="col">Lower is better</th>
            <th scope="col">squared error: as said</th>
            <th scope="col">always the base rate</th>
            <th scope="col">last month{'\u2019'}s tables</th>
            <th scope="col">log score: as said</th>
            <th scope="col">base rate</th>
            <th scope="col">last month{'\u2019'}s</th>
          </tr>
        </thead>
        <tbody>
          {kinds.map(({ kind, brier, log }) => (
            <tr key={kind}>
              <th scope="row">{NAMES[kind]}</th>
              <td>{figure(brier.said)}</td>
              <td>{figure(brier.baseRate)}</td>
              <td>{figure(brier.before)}</td>
              <td>{figure(log.said)}</td>
              <td>{figure(log.baseRate)}</td>
              <td>{figure(log.before)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p>
        {bands.map(({ kind, share }) => (
          <span key={kind}>
            {share.of > 0
              ? `Money: 80 in 100 should be paid within what was said; ${shareInWords(share)}. `
              : 'Nobody has told yet what was paid. '}
          </span>
        ))}
        {hours.ratio
          ? `Hours told against hours said: ${hours.ratio.mean.toFixed(2)} times (${hours.ratio.low.toFixed(2)} to ${hours.ratio.high.toFixed(2)}), ${hours.n} jobs.`
          : ''}
      </p>
    </>
  );
}
