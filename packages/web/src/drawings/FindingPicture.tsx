import type { ReactNode } from 'react';
import './drawings.css';

const toothRow = (skip: readonly number[] = [], wide: number | null = null, lift = 0): ReactNode => {
  const teeth: ReactNode[] = [];
  let x = 4;
  for (let i = 0; i < 9; i++) {
    if (i === wide) x += 5;
    if (!skip.includes(i)) teeth.push(<path key={i} d={`M${x} ${24 - lift}v-9h4v9`} />);
    x += 6.6;
  }
  return (
    <>
      <path d={`M2 ${24 - lift}h60M2 ${32 - lift}h60`} />
      {teeth}
    </>
  );
};

const specks = (points: ReadonlyArray<readonly [number, number]>): ReactNode =>
  points.map(([x, y]) => (
    <circle key={`${x} ${y}`} cx={x} cy={y} r="1.3" fill="currentColor" stroke="none" />
  ));

const RUST = specks([
  [10, 28],
  [17, 26],
  [24, 29],
  [31, 27],
  [38, 29],
  [45, 26],
  [52, 28],
  [14, 30],
  [35, 30],
]);

const tip = (
  <>
    <path d="M22 4h20v14h-20z M26 18h12v14h-12z" />
    <path d="M42 8h12" />
  </>
);

const face = (pins: ReactNode): ReactNode => (
  <>
    <path d="M10 8h44v24h-44z M28 8v-4h8v4" />
    {pins}
  </>
);
const pin = (x: number, d = 0): ReactNode => <rect key={x} x={x} y={16 + d} width="8" height="8" />;

const lead = <path d="M2 20c12-10 20 10 30 0s20-8 30 0" />;

/** Poles of an encoder as a magnetic card shows them: dark beside light. */
const poles = (missing: readonly number[] = [], faint = false): ReactNode => (
  <>
    <path d="M2 12h60v16h-60z" />
    {Array.from({ length: 12 }, (_, i) =>
      missing.includes(i) ? null : (
        <rect
          key={i}
          x={2 + i * 5}
          y={12}
          width="2.5"
          height="16"
          fill="currentColor"
          stroke="none"
          opacity={faint ? 0.12 : 0.85}
        />
      ),
    )}
  </>
);

/** A bearing in section: two rings, balls between, and how the flange stands to them. */
const bearing = (tilt: number, pitted: boolean): ReactNode => (
  <>
    <path d="M8 6h40v6h-40zM8 28h40v6h-40z" />
    <circle cx="20" cy="20" r="7" />
    <circle cx="38" cy="20" r="7" />
    {pitted &&
      specks([
        [17, 14],
        [23, 26],
        [35, 14],
        [41, 25],
        [29, 12],
        [28, 28],
      ])}
    <path d="M54 4v32" transform={`rotate(${tilt} 54 20)`} strokeWidth="2" />
    {tilt !== 0 && <path d="M54 4v32" strokeDasharray="2 2" />}
  </>
);

/** Line drawings of what each look-at check may find, by check and result. */
const PICTURES: Readonly<Record<string, Readonly<Record<string, ReactNode>>>> = {
  'visual.ring': {
    sound: toothRow(),
    cracked: (
      <>
        {toothRow([], 5)}
        <path d="M37 24l-2 3 3 2-2 3" strokeWidth="2" />
      </>
    ),
    loose: (
      <>
        {toothRow([], null, 3)}
        <path d="M6 34h52" strokeDasharray="3 2" />
      </>
    ),
    'missing-teeth': toothRow([4, 5]),
    rusted: (
      <>
        {toothRow()}
        {RUST}
      </>
    ),
    dirty: (
      <>
        {toothRow()}
        <path d="M8 20c4-6 8 2 14-3s10 4 16-1 10 2 16-2" strokeWidth="4" opacity="0.5" />
      </>
    ),
    'not-visible': (
      <>
        <path d="M4 20c14-14 42-14 56 0c-14 14-42 14-56 0z" />
        <path d="M8 34L56 6" strokeWidth="2" />
      </>
    ),
  },
  encoder: {
    sound: poles(),
    'poles-damaged': poles([5, 6]),
    'wrong-side-in': poles([], true),
  },
  bearing: {
    sound: bearing(0, false),
    pitted: bearing(0, true),
    play: bearing(9, false),
  },
  'visual.sensor': {
    sound: tip,
    broken: (
      <>
        <path d="M22 4h20v14h-20z M26 18v5l4 3 3-3 5 4v-9" />
        <path d="M27 34h10" strokeDasharray="2 2" />
      </>
    ),
    corroded: (
      <>
        {tip}
        {specks([
          [24, 19],
          [28, 22],
          [36, 20],
          [40, 19],
          [31, 26],
          [35, 29],
        ])}
      </>
    ),
    rubbed: (
      <>
        {tip}
        <path d="M27 30h10M27 28h10M28 26h8" />
      </>
    ),
    'metal-on-tip': (
      <>
        {tip}
        <path d="M24 33l3 3M29 32l1 5M34 32l-1 5M39 33l-3 3" strokeWidth="2" />
      </>
    ),
    loose: (
      <>
        <g transform="rotate(14 32 18)">{tip}</g>
        <path d="M12 22h8M44 22h8" />
      </>
    ),
    'lead-damaged': (
      <>
        {tip}
        <path d="M54 8l3-4M54 8l4 2M54 8l3 5" />
      </>
    ),
  },
  'visual.connector': {
    sound: face([pin(18), pin(38)]),
    corroded: face([
      pin(18),
      pin(38),
      specks([
        [18, 16],
        [22, 20],
        [26, 24],
        [40, 18],
        [44, 23],
        [38, 26],
        [30, 20],
      ]),
    ]),
    'broken-lock': (
      <>
        <path d="M10 8h44v24h-44z M28 8l-3-3M36 8l5-4" strokeWidth="1.5" />
        {pin(18)}
        {pin(38)}
      </>
    ),
    'loose-pins': face([
      pin(18),
      <rect key="out" x="40" y="21" width="6" height="6" strokeDasharray="2 1.500" />,
    ]),
    'earlier-repair': (
      <>
        {face([pin(18), pin(38)])}
        <path d="M2 20h8M54 20h8" />
        <path d="M3 16h5v8h-5zM56 16h5v8h-5z" fill="currentColor" />
      </>
    ),
  },
  'visual.harness': {
    sound: lead,
    chafed: (
      <>
        {lead}
        <path d="M28 16l3 6M31 15l3 6M34 15l3 6" />
      </>
    ),
    cut: <path d="M2 20c12-10 18 8 25 2M37 18c8-6 16-4 25 2M27 22l3-5M37 18l-3 5" />,
    corroded: (
      <>
        {lead}
        {specks([
          [24, 22],
          [28, 19],
          [32, 20],
          [36, 16],
          [40, 18],
        ])}
      </>
    ),
    'earlier-repair': (
      <>
        {lead}
        <path d="M24 15h14v10h-14z" fill="currentColor" opacity="0.6" />
      </>
    ),
  },
};

/** A small drawing of a result, where one helps; nothing otherwise. Says nothing the word beside it does not. */
export function FindingPicture({ check, result }: { check: string; result: string }) {
  const picture = PICTURES[check]?.[result];
  return picture ? (
    <svg viewBox="0 0 64 40" className="finding-picture" aria-hidden="true">
      {picture}
    </svg>
  ) : null;
}
