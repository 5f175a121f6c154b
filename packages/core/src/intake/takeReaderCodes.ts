import { isBrakeController } from '../codes/codeTexts.ts';
import type { ReaderCodes } from '../vocabulary/devices.ts';
import type { Docket, DocketCode } from '../vocabulary/docket.ts';

const normal = (text: string | null | undefined): string =>
  (text ?? '').toUpperCase().replace(/[^0-9A-Z]/g, '');

/** Whether two entries are one code: the same number, of the same controller where both name one. */
const isSame = (known: DocketCode, now: ReaderCodes['codes'][number]): boolean =>
  normal(known.code) === normal(now.code) && (!known.module || normal(known.module) === normal(now.module));

/**
 * A docket with what a reader found. What was read of a controller takes the place of what was known of it; a code that
 * somebody typed stays unless it was read now, then with its words.
 *
 * After the fix, with the codes cleared, it is the proof, as far as the brakes' own controller answered: none of its codes
 * back leaves those the job was done for where they are, and says so; one that is back is the newest truth. A controller
 * that did not answer proves nothing.
 */
export const takeReaderCodes = (docket: Docket, { codes, read, unread, wasCleared }: ReaderCodes): Docket => {
  const before = docket.codes ?? [];
  const brakesRead = unread.length === 0 || read.some((name) => isBrakeController(name) === true);
  const isBack = codes.some(
    (now) => isBrakeController(now.module) !== false || before.some((known) => isSame(known, now)),
  );
  const isProof = wasCleared && docket.chosen != null && brakesRead;
  const isProved = isProof && !isBack;
  const names = new Set(read.map(normal));
  const kept = before.filter(
    (known) => !codes.some((now) => isSame(known, now)) && (isProved || !names.has(normal(known.module))),
  );
  const found = codes.map((now): DocketCode => ({ ...before.find((known) => isSame(known, now)), ...now }));
  return {
    ...docket,
    ...(brakesRead ? { reader: 'full' as const } : {}),
    modulesRead: [...new Set([...(docket.modulesRead ?? []), ...read])].slice(0, 60),
    codes: [...kept, ...found].slice(0, 500),
    ...(wasCleared && brakesRead ? { codesCleared: true } : {}),
    ...(isProof ? { proof: { ...docket.proof, codesBack: isBack } } : {}),
  };
};
