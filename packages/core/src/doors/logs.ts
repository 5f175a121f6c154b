/* What the trace bench's worker needs to read a wheel-speed log and study it. */
export { generateLog } from '../signal/generate/generateLog.ts';
export { logToCsv } from '../signal/logToCsv.ts';
export { keepStretch } from '../signal/keepStretch.ts';
export { sampleAt, thinPerPixel, type Curve } from '../signal/perPixel.ts';
export { guessMapping } from '../signal/read/guessMapping.ts';
export { LogReader } from '../signal/read/logReader.ts';
export type { LogMapping, MappingGuess } from '../signal/read/mapping.ts';
export type { SpeedUnit, TimeUnit } from '../signal/read/units.ts';
export { readTrace, type TraceStudy } from '../signal/readTrace.ts';
export { utf16Of } from '../text/utf16.ts';
export { BadInput } from '../vocabulary/badInput.ts';
export { parseTyreSize } from '../vocabulary/tyreSize.ts';
