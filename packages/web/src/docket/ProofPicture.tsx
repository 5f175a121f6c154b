import { wheelEndInWords, type KeptStretch, type WheelNames } from '@hardy/core/words';
import { Line, LineChart, XAxis, YAxis } from 'recharts';
import { WheelLineKey } from '../drawings/WheelLineKey.tsx';
import { wheelLine } from '../drawings/wheelLines.ts';

interface Props {
  before: KeptStretch | null;
  after: KeptStretch | null;
  /** The wheel the docket is about. */
  wheelEnd: string | null;
  names: WheelNames;
}

const speedsOf = (stretch: KeptStretch): number[] =>
  stretch.wheels.flatMap(({ kmh }) => kmh.filter((speed): speed is number => speed !== null));

/** By how much the wheel differs from the mean of the others at most, in km/h; null where that cannot be told. */
const apartBy = (stretch: KeptStretch, wheelEnd: string): number | null => {
  const own = stretch.wheels.find((each) => each.wheelEnd === wheelEnd);
  const others = stretch.wheels.filter((each) => each.wheelEnd !== wheelEnd);
  const gaps = (own?.kmh ?? []).flatMap((speed, i) => {
    const beside = others.flatMap(({ kmh }) => kmh[i] ?? []);
    return speed === null || beside.length === 0
      ? []
      : [Math.abs(speed - beside.reduce((sum, each) => sum + each, 0) / beside.length)];
  });
  return gaps.length > 0 ? Math.max(...gaps) : null;
};

function Stretch({
  title,
  stretch,
  most,
  wheelEnd,
  names,
}: Omit<Props, 'before' | 'after'> & {
  title: string;
  stretch: KeptStretch | null;
  most: number;
}) {
  if (!stretch)
    return (
      <div>
        <h3 className="kicker">{title}</h3>
        <p className="soft small">No log kept yet: open one on the trace bench and keep a stretch of it.</p>
      </div>
    );
  const length = Math.max(0, ...stretch.wheels.map(({ kmh }) => kmh.length));
  const rows = Array.from({ length }, (_, i) => ({
    t: stretch.from + ((stretch.to - stretch.from) * Math.floor(i / 2)) / Math.max(1, length / 2 - 1),
    ...Object.fromEntries(stretch.wheels.map(({ wheelEnd: end, kmh }) => [end, kmh[i] ?? null])),
  }));
  const apart = wheelEnd === null ? null : apartBy(stretch, wheelEnd);
  return (
    <div>
      <h3 className="kicker">
        {title}, km/h <span className="soft">{stretch.name}</span>
      </h3>
      <div aria-hidden="true">
        <LineChart
          data={rows}
          width={216}
          height={150}
          margin={{ top: 4, right: 6, bottom: 0, left: 0 }}
          accessibilityLayer={false}
        >
          <XAxis
            dataKey="t"
            type="number"
            domain={['dataMin', 'dataMax']}
            tickCount={3}
            tickFormatter={(t: number) => `${Math.round(t)} s`}
            fontSize={11}
          />
          <YAxis domain={[0, most]} ticks={[0, most / 2, most]} width={26} fontSize={11} />
          {stretch.wheels.map(({ wheelEnd: end }, i) => {
            const { colour, dash, width } = wheelLine(i, end === wheelEnd);
            return (
              <Line
                key={end}
                dataKey={end}
                stroke={colour}
                strokeWidth={width}
                strokeDasharray={dash.join(' ')}
                dot={false}
                isAnimationActive={false}
              />
            );
          })}
        </LineChart>
      </div>
      {wheelEnd !== null && apart !== null && (
        <p className="small">
          {wheelEndInWords(wheelEnd, names)}: at most {apart.toFixed(1)} km/h from the others
        </p>
      )}
    </div>
  );
}

/** The wheel speeds before and after the fix, side by side on one scale. */
export function ProofPicture({ before, after, wheelEnd, names }: Props) {
  const kept = [before, after].filter((each): each is KeptStretch => each !== null);
  if (kept.length === 0) return null;
  const most = Math.max(10, Math.ceil(Math.max(...kept.flatMap(speedsOf)) / 10) * 10);
  const ends = [...new Set(kept.flatMap(({ wheels }) => wheels.map((wheel) => wheel.wheelEnd)))];
  return (
    <figure className="proof-picture" aria-label="Wheel speeds before and after the fix">
      <div className="proof-halves">
        <Stretch title="Before" stretch={before} most={most} wheelEnd={wheelEnd} names={names} />
        <Stretch title="After" stretch={after} most={most} wheelEnd={wheelEnd} names={names} />
      </div>
      <ul className="plot-legend" aria-label="Lines">
        {ends.map((end, i) => (
          <WheelLineKey key={end} name={end} i={i} chosen={end === wheelEnd} />
        ))}
      </ul>
    </figure>
  );
}
