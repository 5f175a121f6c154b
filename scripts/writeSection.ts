import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** Puts generated text between `<!-- name -->` and `<!-- /name -->` of a page of the docs. */
export const writeSection = (page: string, name: string, text: string): void => {
  const file = join(import.meta.dirname, '..', 'docs', page);
  const old = readFileSync(file, 'utf8');
  const start = `<!-- ${name} -->`;
  const end = `<!-- /${name} -->`;
  const from = old.indexOf(start);
  const to = old.indexOf(end);
  if (from < 0 || to < from) throw new Error(`docs/${page} has no section ${name}`);
  writeFileSync(file, `${old.slice(0, from + start.length)}\n\n${text.trim()}\n\n${old.slice(to)}`);
};
