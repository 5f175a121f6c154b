/* What the page's worker needs to advise by itself, at once, before the server has answered. */
export { advise } from './advice/advise.ts';
export type { Knowledge } from './advice/knowledge.ts';
export { parseDocket } from './vocabulary/parseDocket.ts';
export { compareBench, type CompareBench, type Turned } from './advice/compareDocket.ts';
export { DIAL_RULES } from './compare/dials.ts';
