import { readLog } from './read/logReader.ts';
import type { LogMapping } from './read/mapping.ts';
import { readTrace, type TraceOptions, type TraceStudy } from './readTrace.ts';

/**
 * Reads a log's text and studies it: the whole of `hardy trace`.
 * @throws BadInput when the text is no log or shows no drive.
 */
export const readTraceText = (
  text: string,
  options: TraceOptions & { readonly mapping?: LogMapping | null } = {},
): TraceStudy => {
  const { log, interval } = readLog(text, {
    mapping: options.mapping ?? null,
    circumference: options.circumference ?? null,
  });
  return readTrace(log, interval, options);
};
