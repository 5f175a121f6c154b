import type { WheelLog } from './wheelLog.ts';

/** A log as the contract's CSV: `time_s` and one `<wheel end>_kmh` column each. */
export const logToCsv = (log: Pick<WheelLog, 'time' | 'wheels'>, digits = 2): string => {
  const rows: string[] = [['time_s', ...log.wheels.map(({ wheelEnd }) => `${wheelEnd}_kmh`)].join(',')];
  for (let s = 0; s < log.time.length; s++)
    rows.push(
      [
        (log.time[s] as number).toFixed(3),
        ...log.wheels.map(({ kmh }) => {
          const v = kmh[s] as number;
          return v === v ? v.toFixed(digits) : '';
        }),
      ].join(','),
    );
  return `${rows.join('\n')}\n`;
};
