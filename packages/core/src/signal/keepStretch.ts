import { KEPT_SPEEDS, type KeptStretch } from '../vocabulary/sale.ts';
import { sampleAt } from './perPixel.ts';
import type { WheelLog } from './wheelLog.ts';

const COLUMNS = KEPT_SPEEDS / 2;
const rounded = (kmh: number): number => Math.round(Math.min(500, Math.max(0, kmh)) * 10) / 10;

/**
 * A stretch of a log small enough for a docket: each wheel’s lowest and highest speed in each of sixty columns, so that a
 * dip once a turn still shows. Speeds in km/h to a tenth; null where a column has no sample.
 *
 * @param from, to seconds of the log
 */
export const keepStretch = (log: WheelLog, name: string, from: number, to: number): KeptStretch => {
  const first = sampleAt(log.time, from);
  const last = Math.max(first + 1, sampleAt(log.time, to));
  const edge = (column: number) => first + Math.floor(((last - first) * column) / COLUMNS);
  return {
    name,
    from,
    to,
    wheels: log.wheels.map(({ wheelEnd, kmh }) => ({
      wheelEnd,
      kmh: Array.from({ length: COLUMNS }).flatMap((_, column) => {
        // In a stretch of few samples one stands in several columns.
        const start = Math.min(edge(column), log.time.length - 1);
        const speeds = [...kmh.subarray(start, Math.max(start + 1, edge(column + 1)))].filter(
          (speed) => !Number.isNaN(speed),
        );
        return speeds.length === 0
          ? [null, null]
          : [rounded(Math.min(...speeds)), rounded(Math.max(...speeds))];
      }),
    })),
  };
};
