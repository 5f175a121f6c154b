import { BadInput } from '@hardy/core';
import { createReadStream } from 'node:fs';
import { open } from 'node:fs/promises';
import Papa from 'papaparse';

/** One row of a file with the line it begins on (the heading is line 1) and how many bytes have been read so far. */
export interface CsvRow {
  readonly cells: Record<string, string>;
  readonly line: number;
  readonly bytes: number;
}

const HEAD = 65536;

/** UTF-16 by its mark or its zero bytes, UTF-8 when it is that, else Windows-1252. */
const encodingOf = async (file: string): Promise<string> => {
  const handle = await open(file);
  try {
    const head = Buffer.alloc(HEAD);
    const { bytesRead } = await handle.read(head, 0, HEAD, 0);
    const bytes = head.subarray(0, bytesRead);
    if (bytes[0] === 0xff && bytes[1] === 0xfe) return 'utf-16le';
    if (bytes[0] === 0xfe && bytes[1] === 0xff) return 'utf-16be';
    if (bytesRead > 3 && bytes[1] === 0 && bytes[3] === 0) return 'utf-16le';
    try {
      // Cut before a character that the head may have split.
      new TextDecoder('utf-8', { fatal: true }).decode(bytes.subarray(0, Math.max(0, bytesRead - 4)));
      return 'utf-8';
    } catch {
      return 'windows-1252';
    }
  } finally {
    await handle.close();
  }
};

/**
 * The rows of a CSV file one after another, however large: comma or semicolon, any of the usual encodings.
 * @throws BadInput when a column is missing from the heading.
 */
export async function* csvRows(
  file: string,
  name: string,
  columns: readonly string[],
): AsyncGenerator<CsvRow> {
  const decoder = new TextDecoder(await encodingOf(file));
  let rest = '';
  let heading: string[] | null = null;
  let delimiter = ',';
  let next = 1;
  let bytes = 0;
  const rowsOf = function* (text: string): Generator<CsvRow> {
    for (const cells of Papa.parse<string[]>(text, { delimiter }).data) {
      const line = next;
      // A quoted cell may run over several lines of the file.
      next += 1 + cells.reduce((breaks, cell) => breaks + (cell.match(/\n/g)?.length ?? 0), 0);
      if (!heading) {
        heading = cells.map((cell) => cell.replace(/^\uFEFF/, '').trim());
        const missing = columns.filter((column) => !heading?.includes(column));
        if (missing.length > columns.length / 2)
          throw new BadInput(
            name,
            `has no heading with ${columns.join(', ')}; the first row names the columns`,
          );
        continue;
      }
      if (cells.length === 1 && !cells[0]?.trim()) continue;
      yield { cells: Object.fromEntries(heading.map((column, i) => [column, cells[i] ?? ''])), line, bytes };
    }
  };
  /** The last line break outside quotes: a quoted cell may run over several lines. */
  const lastBreak = (text: string): number => {
    let quotes = 0;
    for (let i = 0; i < text.length; i++) if (text.charCodeAt(i) === 34) quotes++;
    let at = text.length - 1;
    let odd = quotes % 2;
    for (; at >= 0; at--) {
      const code = text.charCodeAt(at);
      if (code === 34) odd ^= 1;
      else if (code === 10 && odd === 0) return at;
    }
    return -1;
  };
  for await (const chunk of createReadStream(file, { highWaterMark: 1 << 18 })) {
    const buffer = chunk as Buffer;
    bytes += buffer.length;
    rest += decoder.decode(buffer, { stream: true });
    if (!heading) {
      const first = rest.slice(0, Math.max(0, rest.indexOf('\n')));
      delimiter = first.split(';').length > first.split(',').length ? ';' : ',';
    }
    const end = lastBreak(rest);
    if (end < 0) continue;
    yield* rowsOf(rest.slice(0, end));
    rest = rest.slice(end + 1);
  }
  rest += decoder.decode();
  if (rest.trim()) yield* rowsOf(rest);
}
