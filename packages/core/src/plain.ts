/* What a page needs of the core to show advice: words and types, no validator and no reasoning. */
export * from './vocabulary/wordLists.ts';
export * from './vocabulary/wheelEndWords.ts';
export * from './vocabulary/inWords.ts';
export * from './vocabulary/imperial.ts';
export * from './text/decodeText.ts';
export * from './vocabulary/partFigures.ts';
export * from './vocabulary/partNumber.ts';
export type * from './vocabulary/catalogue.ts';
export type * from './vocabulary/words.ts';
export type * from './vocabulary/wheelEnd.ts';
export type * from './vocabulary/check.ts';
export type * from './vocabulary/docket.ts';
export type * from './vocabulary/shop.ts';
export type * from './vocabulary/advice.ts';
export type * from './vocabulary/intakeReading.ts';
export type * from './vocabulary/traceReading.ts';
