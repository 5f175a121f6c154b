import type { ReactNode } from 'react';

const screen = (inside: ReactNode): ReactNode => (
  <>
    <path d="M10 4h44v32h-44z" />
    {inside}
  </>
);

/** Line drawings for words that are neither a part nor what a look finds. */
const SKETCHES: Readonly<Record<string, ReactNode>> = {
  lines: screen(<path d="M16 12h20M16 19h32M16 26h14" />),
  'one line': screen(
    <>
      <path d="M16 12h20M16 26h14" opacity="0.4" />
      <path d="M14 16h36v7h-36z" fill="currentColor" />
    </>,
  ),
  curves: screen(<path d="M14 30l10-14 10 4 8-10 8 3M14 32h36" />),
  wiped: screen(<path d="M16 12h20M16 19h32M16 26h14M12 34L52 6" />),
  echo: (
    <>
      <circle cx="14" cy="20" r="5" fill="currentColor" />
      <path d="M24 12a11 11 0 0 1 0 16M32 8a17 17 0 0 1 0 24M40 4a23 23 0 0 1 0 32" />
    </>
  ),
  meter: (
    <>
      <path d="M18 3h28v34h-28zM22 7h20v10h-20z" />
      <circle cx="32" cy="26" r="5" />
      <path d="M32 26l3-4M22 37c-6 4-12-2-16-8M42 37c6 4 12-2 16-8" />
    </>
  ),
  caliper: <path d="M4 12h56M4 12v-6h10v6M14 12v16M24 12v16l-4 6M14 28l4 6M24 6h20v6h-20z" />,
  wrench: <path d="M6 30l34-18M44 10a6 6 0 1 1 8 4M6 30l-2 4 5 1 2-4M24 20l4 6" />,
  reader: (
    <>
      <path d="M14 4h36v24h-36zM19 9h26v10h-26zM24 23h4M36 23h4M32 28v8M26 36h12" />
    </>
  ),
  corner: (
    <>
      <path d="M20 4h24v32h-24z" opacity="0.5" />
      <path d="M14 6h6v9h-6zM44 25h6v9h-6zM14 25h6v9h-6z" />
      <path d="M44 6h6v9h-6z" fill="currentColor" />
    </>
  ),
  road: (
    <>
      <path d="M8 36V4M56 36V4" />
      <path d="M32 4v8M32 17v8M32 30v6" />
      <path d="M14 10h10v18h-10z" fill="currentColor" />
    </>
  ),
  again: <path d="M16 26a16 13 0 1 1 8 8M24 34l-7-1 3-7" />,
  money: (
    <>
      <circle cx="24" cy="20" r="12" />
      <path d="M36 12a12 12 0 1 1 0 16M24 14v12M20 17h8M20 23h8" />
    </>
  ),
  together: (
    <>
      <path d="M8 8h20v24h-20z" />
      <path d="M36 10h8v8h-8zM48 10h8v8h-8zM36 22h8v8h-8zM48 22h8v8h-8z" />
    </>
  ),
};

/** A small drawing of a word; nothing where there is none. */
export function Sketch({ of }: { of: string }) {
  return (
    <svg viewBox="0 0 64 40" className="finding-picture" aria-hidden="true">
      {SKETCHES[of]}
    </svg>
  );
}
