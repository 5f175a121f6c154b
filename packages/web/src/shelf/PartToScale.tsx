import type { CataloguePart } from '@hardy/core/words';
import type { ReactNode } from 'react';

type Figures = Readonly<Record<string, number>>;

interface Props {
  part: CataloguePart;
  /** What was measured of the old part: drawn dashed over the candidate. */
  measured?: Figures;
  /** The figure asked for, marked. */
  mark?: string | null;
  /** Print one millimetre as one millimetre, with a bar to check it by. */
  lifeSize?: boolean;
}

const TAU = 2 * Math.PI;
const MARGIN = 12;
const CHECK_BAR = 50;

const toothed = (cx: number, cy: number, outside: number, root: number, teeth: number): string => {
  const points: string[] = [];
  for (let i = 0; i < teeth; i++)
    for (const [share, r] of [
      [0, root],
      [0.02, outside],
      [0.5, outside],
      [0.52, root],
    ] as const) {
      const angle = ((i + share) / teeth) * TAU;
      points.push(`${(cx + r * Math.cos(angle)).toFixed(3)} ${(cy + r * Math.sin(angle)).toFixed(3)}`);
    }
  return `M${points.join('L')}Z`;
};

/** A length with its figure: lines at both ends, the words beside it. Millimetres. */
function Dimension({
  x1,
  x2,
  y,
  words,
  marked,
}: {
  x1: number;
  x2: number;
  y: number;
  words: string;
  marked: boolean;
}) {
  return (
    <g className={marked ? 'dimension marked' : 'dimension'}>
      <line x1={x1} x2={x2} y1={y} y2={y} />
      <line x1={x1} x2={x1} y1={y - 1.5} y2={y + 1.5} />
      <line x1={x2} x2={x2} y1={y - 1.5} y2={y + 1.5} />
      <text x={(x1 + x2) / 2} y={y - 1.2}>
        {words}
      </text>
    </g>
  );
}

interface Drawing {
  readonly width: number;
  readonly height: number;
  readonly body: ReactNode;
}

const ring = (m: Figures, slots: boolean, over: Figures, mark: string | null): Drawing => {
  const outside = (m.outsideDiameter ?? 100) / 2;
  const inside = (m.insideDiameter ?? outside * 1.6) / 2;
  const c = outside + MARGIN;
  const depth = Math.min(3.5, (outside - inside) * 0.45);
  const teeth = m.teeth ?? 48;
  return {
    width: 2 * c,
    height: 2 * c + 16,
    body: (
      <>
        <path
          d={toothed(c, c, outside, outside - depth, teeth)}
          className={slots ? 'metal slotted' : 'metal'}
        />
        <circle cx={c} cy={c} r={inside} className="hole" />
        {over.outsideDiameter && <circle cx={c} cy={c} r={over.outsideDiameter / 2} className="measured" />}
        {over.insideDiameter && <circle cx={c} cy={c} r={over.insideDiameter / 2} className="measured" />}
        {over.teeth && (
          <path d={toothed(c, c, outside + 1.6, outside + 0.4, over.teeth)} className="measured" />
        )}
        <Dimension
          x1={c - inside}
          x2={c + inside}
          y={c}
          words={`${(2 * inside).toFixed(1)}`}
          marked={mark === 'insideDiameter'}
        />
        <Dimension
          x1={c - outside}
          x2={c + outside}
          y={2 * c + 2}
          words={`${(2 * outside).toFixed(1)}`}
          marked={mark === 'outsideDiameter'}
        />
        <text
          x={c}
          y={2 * c + 11}
          className={mark === 'teeth' || mark === 'height' ? 'figure-words marked' : 'figure-words'}
        >
          {teeth} {slots ? 'slots' : 'teeth'}, {m.height ?? '?'} mm high
        </text>
      </>
    ),
  };
};

const face = (
  m: Figures,
  looks: Readonly<Record<string, string>>,
  x: number,
  y: number,
  mark: string | null,
): ReactNode => {
  const cavities = m.cavities ?? 2;
  const pitch = m.pitch ?? 3;
  const width = pitch * (cavities - 1) + 8;
  const rib = looks.keying === 'A' ? x + 3 : looks.keying === 'C' ? x + width - 3 : x + width / 2;
  return (
    <g>
      <rect x={x} y={y} width={width} height={9} rx={1.2} className="metal" />
      <rect x={rib - 1} y={y - 1.6} width={2} height={1.8} className="ink" />
      {looks.seal === 'yes' && (
        <rect x={x + 0.8} y={y + 0.8} width={width - 1.6} height={7.4} rx={1} className="hairline" />
      )}
      {Array.from({ length: cavities }, (_, i) =>
        looks.sex === 'sockets' ? (
          <rect key={i} x={x + 4 + i * pitch - 0.6} y={y + 3.6} width={1.2} height={1.8} className="hole" />
        ) : (
          <rect key={i} x={x + 4 + i * pitch - 0.5} y={y + 3.8} width={1} height={1.4} className="ink" />
        ),
      )}
      <text
        x={x + width / 2}
        y={y + 13.5}
        className={mark === 'colour' || mark === 'keying' ? 'figure-words marked' : 'figure-words'}
      >
        {looks.colour ?? ''} plug, rib {looks.keying ?? '?'}
      </text>
      {cavities > 1 && (
        <Dimension
          x1={x + 4}
          x2={x + 4 + pitch * (cavities - 1)}
          y={y + 23}
          words={`${pitch}`}
          marked={mark === 'pitch'}
        />
      )}
    </g>
  );
};

const sensor = (
  m: Figures,
  looks: Readonly<Record<string, string>>,
  over: Figures,
  mark: string | null,
): Drawing => {
  const reach = m.reach ?? 30;
  const tip = m.tipDiameter ?? 16;
  const hole = m.holeOffset ?? 20;
  const flange = tip + 2 * hole + 6;
  const y = MARGIN + 8;
  const x = MARGIN + 16;
  const middle = y + tip / 2;
  return {
    width: x + reach + 96,
    height: y + Math.max(tip, hole + 10) + 40,
    body: (
      <>
        <rect x={x} y={middle - tip / 2} width={reach} height={tip} rx={1.5} className="metal" />
        <rect
          x={x - 6}
          y={middle - tip / 2 - 3}
          width={6}
          height={tip / 2 + hole + 9}
          rx={1.5}
          className="metal"
        />
        <circle cx={x - 3} cy={middle + hole} r={2.2} className="hole" />
        <path d={`M${x - 6} ${middle}h-6c-6 0-6 8-2 10`} className="lead" />
        {over.reach && (
          <rect x={x} y={middle - tip / 2} width={over.reach} height={tip} className="measured" />
        )}
        {over.tipDiameter && (
          <rect
            x={x}
            y={middle - over.tipDiameter / 2}
            width={reach}
            height={over.tipDiameter}
            className="measured"
          />
        )}
        <Dimension x1={x} x2={x + reach} y={y - 5} words={`${reach}`} marked={mark === 'reach'} />
        <text
          x={x + reach + 3}
          y={middle + 1.5}
          className={mark === 'tipDiameter' ? 'figure-words left marked' : 'figure-words left'}
        >
          {'\u2300'} {tip}
        </text>
        <text
          x={x + 3}
          y={middle + hole + 1.5}
          className={mark === 'holeOffset' ? 'figure-words left marked' : 'figure-words left'}
        >
          hole {hole}
        </text>
        <text
          x={MARGIN}
          y={middle + hole + 16}
          className={
            mark === 'leadLength' || mark === 'clips' ? 'figure-words left marked' : 'figure-words left'
          }
        >
          lead {m.leadLength ?? '?'} mm{m.clips === undefined ? '' : `, ${m.clips} clips`}
          {flange > 0 ? '' : ''}
        </text>
        {face(m, looks, x + reach + 30, y - 2, mark)}
      </>
    ),
  };
};

const hub = (m: Figures, over: Figures, mark: string | null): Drawing => {
  const flange = (m.flange ?? 140) / 2;
  const circle = (m.boltCircle ?? 108) / 2;
  const pilot = (m.pilot ?? 60) / 2;
  const studs = m.studs ?? 5;
  const c = flange + MARGIN;
  return {
    width: 2 * c,
    height: 2 * c + 16,
    body: (
      <>
        <circle cx={c} cy={c} r={flange} className="metal" />
        <circle cx={c} cy={c} r={circle} className="hairline" strokeDasharray="2 1.500" />
        <circle cx={c} cy={c} r={pilot} className="metal" />
        {(m.splines ?? 0) > 0 ? (
          <path d={toothed(c, c, pilot * 0.48, pilot * 0.42, m.splines ?? 27)} className="hole" />
        ) : (
          <circle cx={c} cy={c} r={pilot * 0.3} className="hairline" />
        )}
        {Array.from({ length: studs }, (_, i) => (
          <circle
            key={i}
            cx={c + circle * Math.sin((i / studs) * TAU)}
            cy={c - circle * Math.cos((i / studs) * TAU)}
            r={6}
            className="hole"
          />
        ))}
        {(['flange', 'boltCircle', 'pilot'] as const).map((key) =>
          over[key] ? <circle key={key} cx={c} cy={c} r={(over[key] ?? 0) / 2} className="measured" /> : null,
        )}
        <Dimension
          x1={c - flange}
          x2={c + flange}
          y={2 * c + 2}
          words={`${2 * flange}`}
          marked={mark === 'flange'}
        />
        <text
          x={c}
          y={2 * c + 11}
          className={mark && mark !== 'flange' ? 'figure-words marked' : 'figure-words'}
        >
          {studs} on {2 * circle}, pilot {2 * pilot}, {m.splines ?? '?'} splines
        </text>
      </>
    ),
  };
};

const shaft = (m: Figures, over: Figures, mark: string | null): Drawing => {
  const length = m.length ?? 600;
  return {
    width: length + 2 * MARGIN,
    height: 74,
    body: (
      <>
        <rect x={MARGIN} y={30} width={length} height={14} className="metal" />
        <rect x={MARGIN} y={20} width={60} height={34} rx={6} className="metal" />
        <rect x={MARGIN + length - 60} y={20} width={60} height={34} rx={6} className="metal" />
        {over.length && <rect x={MARGIN} y={28} width={over.length} height={18} className="measured" />}
        <Dimension x1={MARGIN} x2={MARGIN + length} y={14} words={`${length}`} marked={mark === 'length'} />
        <text x={MARGIN + length / 2} y={66} className="figure-words">
          {m.splines ?? '?'} splines, ring of {m.teeth ?? '?'} teeth
        </text>
      </>
    ),
  };
};

const drawingOf = (part: CataloguePart, over: Figures, mark: string | null): Drawing | null => {
  const { measures: m, looks } = part;
  if (Object.keys(m).length === 0) return null;
  switch (part.partClass) {
    case 'tone-ring':
      return ring(m, looks.form === 'slots', over, mark);
    case 'sensor':
    case 'sender':
      return sensor(m, looks, over, mark);
    case 'hub-assembly':
      return hub(m, over, mark);
    case 'axle-shaft':
      return shaft(m, over, mark);
    case 'connector-kit':
      return { width: 70, height: 44, body: face(m, looks, MARGIN + 8, MARGIN, mark) };
    default:
      return null;
  }
};

/** A part drawn to scale from its figures, with what was measured over it; printed life size with a check bar. */
export function PartToScale({ part, measured = {}, mark = null, lifeSize = false }: Props) {
  const drawing = drawingOf(part, measured, mark);
  if (!drawing) return <p className="none">no figures in the catalogue to draw it from</p>;
  const height = drawing.height + (lifeSize ? 14 : 0);
  const width = lifeSize ? Math.max(drawing.width, CHECK_BAR + 2 * MARGIN) : drawing.width;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      {...(lifeSize ? { width: `${width}mm`, height: `${height}mm` } : {})}
      className={lifeSize ? 'to-scale life-size' : 'to-scale'}
      role="img"
      aria-label={`${part.description}, drawn to scale from its figures in millimetres`}
    >
      {drawing.body}
      {lifeSize && (
        <Dimension
          x1={MARGIN}
          x2={MARGIN + CHECK_BAR}
          y={height - 4}
          words={`check: this bar is ${CHECK_BAR} mm`}
          marked={false}
        />
      )}
    </svg>
  );
}
