/* What the page's worker needs to study wheel-speed logs: the signal room without the rest of the core. */
export { readTrace, type TraceStudy } from './signal/readTrace.ts';
export { LogReader, type ReadLog } from './signal/read/logReader.ts';
export { guessMapping } from './signal/read/guessMapping.ts';
export type { LogMapping, MappingGuess } from './signal/read/mapping.ts';
export { SPEED_UNITS, TIME_UNITS, type SpeedUnit, type TimeUnit } from './signal/read/units.ts';
export { sampleAt, thinPerPixel, type Curve } from './signal/perPixel.ts';
export { generateLog } from './signal/generate/generateLog.ts';
export { logToCsv } from './signal/logToCsv.ts';
export { BadInput } from './vocabulary/badInput.ts';
export { parseTyreSize } from './vocabulary/tyreSize.ts';
