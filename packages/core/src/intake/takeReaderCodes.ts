import type { ReaderCodes } from '../vocabulary/devices.ts';
import type { Docket, DocketCode } from '../vocabulary/docket.ts';

const normal = (text: string | null | undefined): string =>
  (text ?? '').toUpperCase().replace(/[^0-9A-Z]/g, '');

/**
 * A docket with what a reader found. What was read of a controller takes the place of what was known of it; a code that
 * somebody typed stays unless it was read now, then with its words.
 *
 * After the fix, with the codes cleared, it is the proof: nothing back leaves the codes the job was done for where they are,
 * and says so; a code that is back is the newest truth.
 */
export const takeReaderCodes = (docket: Docket, { codes, read, wasCleared }: ReaderCodes): Docket => {
  const isProof = wasCleared && docket.chosen != null;
  if (isProof && codes.length === 0)
    return { ...docket, codesCleared: true, proof: { ...docket.proof, codesBack: false } };
  const names = new Set(read.map(normal));
  const before = docket.codes ?? [];
  const again = (code: DocketCode) =>
    codes.some(
      (now) =>
        normal(now.code) === normal(code.code) &&
        (!code.module || normal(code.module) === normal(now.module)),
    );
  const kept = before.filter((code) => !again(code) && !names.has(normal(code.module)));
  const found = codes.map((now): DocketCode => {
    const known = before.find(
      (code) =>
        normal(code.code) === normal(now.code) &&
        (!code.module || normal(code.module) === normal(now.module)),
    );
    return { ...known, ...now };
  });
  return {
    ...docket,
    reader: 'full',
    modulesRead: [...new Set([...(docket.modulesRead ?? []), ...read])].slice(0, 60),
    codes: [...kept, ...found].slice(0, 500),
    ...(wasCleared ? { codesCleared: true } : {}),
    ...(isProof ? { proof: { ...docket.proof, codesBack: true } } : {}),
  };
};
