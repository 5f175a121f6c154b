import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { gzipSync } from 'node:zlib';

const DIST = join(fileURLToPath(new URL('..', import.meta.url)), 'packages/web/dist');

/** Compressed script the Counter loads at first: what the page names, and what those files import at once. */
export const firstLoadBytes = (): number | null => {
  if (!existsSync(join(DIST, 'index.html'))) return null;
  const page = readFileSync(join(DIST, 'index.html'), 'utf8');
  const queue = [...page.matchAll(/(?:src|href)="\/(assets\/[^"]+\.js)"/g)].map((match) => match[1] ?? '');
  const seen = new Set<string>();
  let bytes = 0;
  while (queue.length > 0) {
    const file = queue.pop() ?? '';
    if (seen.has(file)) continue;
    seen.add(file);
    const code = readFileSync(join(DIST, file), 'utf8');
    bytes += gzipSync(code).length;
    for (const match of code.matchAll(/(?:^|[;}])import(?:[^"'`()]*?from)?\s*["']\.\/([^"']+\.js)["']/g))
      queue.push(`assets/${match[1]}`);
  }
  return bytes;
};
