import { BadInput, delimiterOf, utf16Of } from '@hardy/core';
import { CsvError, parse, type Info } from 'csv-parse';
import { createReadStream } from 'node:fs';
import { open } from 'node:fs/promises';
import { pipeline, Transform } from 'node:stream';

/** One row of a file with the line it begins on (the heading is line 1) and how many bytes have been read so far. */
export interface CsvRow {
  readonly cells: Record<string, string>;
  readonly line: number;
  readonly bytes: number;
}

/** A longer row is none: a quote was opened and not closed, or the file is no table. */
const LONGEST_ROW = 1_000_000;
const PIECE = 1 << 16;
/** A file of more lines is no catalogue. */
const MAXIMUM_LINES = 10_000_000;

const piecesOf = (file: string): AsyncIterable<Buffer> => createReadStream(file, { highWaterMark: PIECE });

/** Whether all of a file is UTF-8: a shop's file may have its first accent in the last row. */
const isUtf8 = async (file: string): Promise<boolean> => {
  const decoder = new TextDecoder('utf-8', { fatal: true });
  try {
    for await (const piece of piecesOf(file)) decoder.decode(piece, { stream: true });
    decoder.decode();
    return true;
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ERR_ENCODING_INVALID_ENCODED_DATA') return false;
    throw error;
  }
};

const HEAD = 400;

/** UTF-16 by its mark or its zero bytes, UTF-8 when it is that, else Windows-1252. */
const encodingOf = async (file: string): Promise<string> => {
  const handle = await open(file);
  try {
    const { buffer, bytesRead } = await handle.read(Buffer.alloc(HEAD), 0, HEAD, 0);
    const wide = utf16Of(buffer.subarray(0, bytesRead));
    if (wide) return wide;
  } finally {
    await handle.close();
  }
  return (await isUtf8(file)) ? 'utf-8' : 'windows-1252';
};

/** What a file says in its first line, to see what divides its cells. */
const headingOf = async (file: string, encoding: string): Promise<string> => {
  const decoder = new TextDecoder(encoding);
  for await (const piece of piecesOf(file))
    return decoder.decode(piece, { stream: true }).split(/\r?\n/, 1)[0] ?? '';
  return '';
};

/** Bytes in any encoding to UTF-8, counted as they pass. */
const toText = (encoding: string, count: (bytes: number) => void): Transform => {
  const decoder = new TextDecoder(encoding);
  return new Transform({
    transform(piece: Buffer, _encoding, done) {
      count(piece.length);
      done(null, decoder.decode(piece, { stream: true }));
    },
    flush(done) {
      done(null, decoder.decode());
    },
  });
};

/** Where our own end of the pipeline is left early, nobody is left to be told of it. */
const left = (): void => undefined;

const WRONG: Readonly<Partial<Record<CsvError['code'], string>>> = {
  CSV_QUOTE_NOT_CLOSED: 'opens a quote that is never closed',
  CSV_MAX_RECORD_SIZE: `is longer than ${LONGEST_ROW / 1e6} MB; a quote may have been opened and not closed`,
};

/**
 * The rows of a CSV file one after another, however large: comma or semicolon, any of the usual encodings. Columns that
 * are none of `columns` are told to `unknown`.
 * @throws BadInput when the heading names hardly a column, a quote is not closed or a row has no end.
 */
export async function* csvRows(
  file: string,
  name: string,
  columns: readonly string[],
  unknown: (column: string) => void = () => undefined,
): AsyncGenerator<CsvRow> {
  const encoding = await encodingOf(file);
  let bytes = 0;
  const rows = pipeline(
    createReadStream(file, { highWaterMark: PIECE }),
    toText(encoding, (read) => (bytes += read)),
    parse({
      bom: true,
      delimiter: delimiterOf(await headingOf(file, encoding)),
      relax_column_count: true,
      relax_quotes: true,
      // A piece of a file may be nothing but line ends: each as a record would fill the memory.
      skip_empty_lines: true,
      max_record_size: LONGEST_ROW,
      info: true,
    }),
    left,
  ) as unknown as AsyncIterable<{ record: string[]; info: Info }>;
  let heading: string[] | null = null;
  let line = 1;
  try {
    for await (const { record, info } of rows) {
      // A quoted cell may run over several lines of the file.
      const begins =
        info.lines - record.reduce((breaks, cell) => breaks + (cell.match(/\r\n?|\n/g)?.length ?? 0), 0);
      line = info.lines + 1;
      if (line > MAXIMUM_LINES)
        throw new BadInput(name, `has more than ${MAXIMUM_LINES} lines; send it in parts`);
      if (!heading) {
        heading = record.map((cell) => cell.trim());
        const missing = columns.filter((column) => !heading?.includes(column));
        if (missing.length > columns.length / 2)
          throw new BadInput(
            name,
            `has no heading with ${columns.join(', ')}; the first row names the columns`,
          );
        heading.filter((column) => column && !columns.includes(column)).forEach(unknown);
        continue;
      }
      if (record.length === 1 && !record[0]?.trim()) continue;
      yield {
        cells: Object.fromEntries(heading.map((column, i) => [column, record[i] ?? ''])),
        line: begins,
        bytes,
      };
    }
  } catch (error) {
    if (error instanceof CsvError)
      throw new BadInput(`${name} line ${line}`, WRONG[error.code] ?? error.message);
    throw error;
  }
}
