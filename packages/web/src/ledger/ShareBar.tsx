import type { LedgerShare } from '@hardy/core/contract';

const WIDTH = 160;

/** So many of so many, in words. */
export const shareInWords = ({ n, of, interval }: LedgerShare): string =>
  interval === null
    ? 'none counted'
    : `${n} of ${of}: ${Math.round(interval.mean * 100)} in 100, between ${Math.round(interval.low * 100)} and ${Math.round(interval.high * 100)}`;

/** A share as a mark on a line from none to all, with the stretch it most likely lies in. */
export function ShareBar({ share }: { share: LedgerShare }) {
  const { interval } = share;
  return (
    <svg width={WIDTH} height="14" viewBox={`0 0 ${WIDTH} 14`} role="img" aria-label={shareInWords(share)}>
      <line x1="0" x2={WIDTH} y1="7" y2="7" stroke="var(--hairline)" />
      {interval && (
        <>
          <line
            x1={interval.low * WIDTH}
            x2={Math.max(interval.high * WIDTH, interval.low * WIDTH + 1)}
            y1="7"
            y2="7"
            stroke="var(--ink)"
            strokeWidth="5"
            opacity="0.35"
          />
          <line
            x1={interval.mean * WIDTH}
            x2={interval.mean * WIDTH}
            y1="1"
            y2="13"
            stroke="var(--signal)"
            strokeWidth="2"
          />
        </>
      )}
    </svg>
  );
}
