export { start, type Options, type Running } from './start.ts';
export { createApp } from './app.ts';
export { readScenario } from './seed/readScenario.ts';
