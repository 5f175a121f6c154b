/* What a worker of the page needs to advise and compare by itself, before the server has answered. */
export { advise } from '../advice/advise.ts';
export { compareBench, type CompareBench, type Turned } from '../advice/compareDocket.ts';
export type { Knowledge } from '../advice/knowledge.ts';
export { DIAL_RULES } from '../compare/dials.ts';
export { parseDocket } from '../vocabulary/parseDocket.ts';
