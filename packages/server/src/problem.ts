import { BadInput } from '@hardy/core';
import createError, { isHttpError, type HttpError } from 'http-errors';
import type { Context, Next } from 'koa';

/** An error of the API as RFC 9457 tells it; `more` adds members of its own. */
export const problem = (
  status: number,
  title: string,
  detail: string,
  more: Readonly<Record<string, unknown>> = {},
): HttpError => createError(status, detail, { title, more });

export const notFound = (what: string): HttpError =>
  problem(404, 'Not found', `${what} is not here; check its number`);

/** Titles of what Koa and its parsers throw. */
const TITLES: Readonly<Partial<Record<number, readonly [title: string, detail: string]>>> = {
  413: ['Too large', 'that is more than can be taken at once; send less'],
};

/** Codes of what unpacks a body, for one that is not packed as it says. */
const NOT_PACKED = /^(Z_|ERR__ERROR_|ERR_BROTLI|ERR_PADDING)/;

const FULL = [507, 'Disk full', 'the disk is full: nothing was changed; make room and try again'] as const;
const READ_ONLY = [
  503,
  'Not writable',
  'the database may not be written now: nothing was changed; reading goes on',
] as const;
const DISK_FAULT = [
  503,
  'Disk fault',
  'the disk does not answer as it should: nothing was changed; look at the disk',
] as const;
const TOO_MANY_FILES = [
  503,
  'Busy',
  'the server has too many files open: nothing was changed; try again in a moment',
] as const;
const MADE_ALREADY = [
  409,
  'Made already',
  'the same was made at the same moment by someone else; nothing was changed. Read it again.',
] as const;

/** What the disk or the file under the database can no longer do, by the code of the driver or the operating system. */
const BY_CODE: ReadonlyArray<readonly [begins: string, status: number, title: string, detail: string]> = [
  ['ENOSPC', ...FULL],
  ['EDQUOT', ...FULL],
  ['EFBIG', ...FULL],
  ['EROFS', ...READ_ONLY],
  ['EACCES', ...READ_ONLY],
  ['EPERM', ...READ_ONLY],
  ['EIO', ...DISK_FAULT],
  ['EMFILE', ...TOO_MANY_FILES],
  ['ENFILE', ...TOO_MANY_FILES],
  ['SQLITE_CONSTRAINT_UNIQUE', ...MADE_ALREADY],
  ['SQLITE_CONSTRAINT_PRIMARYKEY', ...MADE_ALREADY],
  [
    'HARDY_MOVED',
    503,
    'Database moved',
    'the database file was moved or replaced under the running server: nothing was changed; put it back, or start the server again',
  ],
  ['SQLITE_FULL', ...FULL],
  ['SQLITE_READONLY', ...READ_ONLY],
  [
    'SQLITE_BUSY',
    503,
    'Busy',
    'the database is held by another program: nothing was changed; try again in a moment',
  ],
  [
    'SQLITE_LOCKED',
    503,
    'Busy',
    'the database is held by another program: nothing was changed; try again in a moment',
  ],
  ['SQLITE_IOERR', ...DISK_FAULT],
  [
    'SQLITE_CANTOPEN',
    503,
    'Disk fault',
    'the database file cannot be opened now: nothing was changed; look at the disk',
  ],
  ['SQLITE_CORRUPT', 503, 'Damaged', 'the database is damaged here: nothing was changed; restore a backup'],
  ['SQLITE_NOTADB', 503, 'Damaged', 'the database is damaged: nothing was changed; restore a backup'],
];

/** The driver’s code of an error. One that kept a transaction from beginning is told by what ends the transaction, without it. */
const codeOf = (error: unknown): string => {
  const { code, message } = error as { code?: unknown; message?: unknown };
  if (typeof code === 'string') return code;
  return String(message).startsWith('Transaction query already complete') ? 'SQLITE_READONLY' : '';
};

/** Answers every error as problem+json: bad input with its path, anything else without its innards. */
export const problems = async (ctx: Context, next: Next): Promise<void> => {
  const answer = (
    status: number,
    title: string,
    detail: string,
    more: Readonly<Record<string, unknown>> = {},
  ) => {
    ctx.status = status;
    ctx.body = JSON.stringify({ type: 'about:blank', title, status, detail, ...more });
    ctx.type = 'application/problem+json';
  };
  try {
    await next();
    if (ctx.status === 404 && ctx.body == null && ctx.path.startsWith('/api/'))
      answer(404, 'Not found', `nothing answers at ${ctx.path}`);
  } catch (error) {
    if (error instanceof BadInput)
      return answer(400, 'Bad input', error.message, { path: error.path, problems: error.problems });
    if (isHttpError(error) && 'title' in error)
      return answer(error.status, String(error.title), error.message, error.more as Record<string, unknown>);
    // What Koa and its parsers refuse is the sender's to mend.
    const { status, code } = error as { status?: unknown; code?: unknown };
    if (typeof code === 'string' && NOT_PACKED.test(code))
      return answer(400, 'Bad request', 'the request says that it is compressed, and is not');
    if (typeof status === 'number' && status >= 400 && status < 500) {
      const [title, detail] = TITLES[status] ?? [
        'Bad request',
        `the request cannot be read: ${(error as Error).message}`,
      ];
      return answer(status, title, detail);
    }
    const known = BY_CODE.find(([begins]) => codeOf(error).startsWith(begins));
    // Two that make the same at once are no fault of the server.
    if (known?.[1] !== 409) ctx.app.emit('error', error, ctx);
    if (known) {
      if (known[1] >= 500) ctx.set('Retry-After', '5');
      return answer(known[1], known[2], known[3]);
    }
    answer(500, 'Internal fault', 'something broke on the server; nothing was changed');
  }
};
