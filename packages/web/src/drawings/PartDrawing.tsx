import type { PartClass } from '@hardy/core/words';
import type { ReactNode } from 'react';

const TAU = Math.PI * 2;

/** Outline of a toothed ring: teeth as square steps between root and tip radius. */
const toothed = (cx: number, cy: number, tip: number, root: number, teeth: number): string => {
  const points: string[] = [];
  for (let i = 0; i < teeth; i++)
    for (const [share, r] of [
      [0, root],
      [0, tip],
      [0.5, tip],
      [0.5, root],
    ] as const) {
      const angle = ((i + share) / teeth) * TAU;
      points.push(`${(cx + r * Math.cos(angle)).toFixed(2)} ${(cy + r * Math.sin(angle)).toFixed(2)}`);
    }
  return `M${points.join('L')}Z`;
};

const around = (n: number, r: number, draw: (x: number, y: number, i: number) => ReactNode): ReactNode[] =>
  Array.from({ length: n }, (_, i) =>
    draw(32 + r * Math.cos((i / n) * TAU - Math.PI / 2), 32 + r * Math.sin((i / n) * TAU - Math.PI / 2), i),
  );

const DRAWINGS: Readonly<Record<PartClass, ReactNode>> = {
  sensor: (
    <>
      <path d="M8 26h20v12H8z M8 29h-3v6h3" />
      <path d="M28 22h9v20h-9z" />
      <path d="M31 42v8a4 4 0 0 0 8 0v-8" />
      <circle cx="35" cy="49" r="1.800" />
      <path d="M37 30c10 0 8-12 16-12M37 34c12 0 10-12 20-12" />
      <path d="M13 26v12M18 26v12" strokeDasharray="2 2" />
    </>
  ),
  'tone-ring': (
    <>
      <path d={toothed(32, 32, 26, 22.5, 40)} />
      <circle cx="32" cy="32" r="16" />
      <circle cx="32" cy="32" r="18.500" strokeDasharray="1 3" />
    </>
  ),
  'hub-assembly': (
    <>
      <circle cx="32" cy="32" r="26" />
      <circle cx="32" cy="32" r="13" />
      <circle cx="32" cy="32" r="8" />
      {around(5, 19.5, (x, y, i) => (
        <circle key={i} cx={x} cy={y} r="3" />
      ))}
      {around(24, 6.5, (x, y, i) => (
        <circle key={i} cx={x} cy={y} r="0.700" />
      ))}
    </>
  ),
  'axle-shaft': (
    <>
      <path d="M4 28h8v8H4z M12 22h12l4 6v8l-4 6H12z" />
      <path d="M28 29.500h16v5H28z" />
      <path d="M44 27l4-4h8v18h-8l-4-4z M56 29h5v6h-5z" />
      <path d="M14 19v26M17 19v26M20 19v26" strokeDasharray="2 1.500" />
      <path d="M5 28v8M7 28v8M9 28v8" />
    </>
  ),
  'connector-kit': (
    <>
      <path d="M8 16h22v32H8z" />
      <path d="M12 22h14v8H12z M12 34h14v8H12z" />
      <path d="M17 24v4M21 24v4M17 36v4M21 36v4" />
      <path d="M13 16v-4h12v4" />
      <path d="M30 26h8M30 38h8" />
      <path d="M38 23h10v6H38z M38 35h10v6H38z" />
      <path d="M48 26h11M48 38h11" />
    </>
  ),
  sender: (
    <>
      <path d="M26 4h12v10H26z" />
      <path d="M18 14h28v8H18z" />
      <path d="M22 22h20v20H22z" />
      <path d="M22 26h20M22 30h20M22 34h20M22 38h20" />
      <path d="M27 42h10v14l-5 4-5-4z" />
      <path d="M30 4V1M34 4V1" />
    </>
  ),
};

/** Our own line drawing of a part class. */
export function PartDrawing({ part, size = 48 }: { part: PartClass; size?: number }) {
  return (
    <svg
      className="part-drawing"
      viewBox="0 0 64 64"
      width={size}
      height={size}
      aria-hidden="true"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.500"
      strokeLinejoin="round"
      strokeLinecap="round"
    >
      {DRAWINGS[part]}
    </svg>
  );
}
