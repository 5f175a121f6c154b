import { BadInput, decodeText } from '@hardy/core';
import { readFile } from 'node:fs/promises';

const READ_ERRORS: Readonly<Record<string, string>> = {
  ENOENT: 'does not exist; check the path',
  EISDIR: 'is a folder; name a file in it',
  EACCES: 'may not be read; check its permissions',
};

const fromStandardInput = async (): Promise<string> => {
  const chunks: Buffer[] = [];
  for await (const chunk of process.stdin) chunks.push(chunk as Buffer);
  return decodeText(Buffer.concat(chunks), '-');
};

/**
 * The text of a file, or of standard input for `-`.
 * @throws BadInput when it cannot be read.
 */
export const readSource = async (file: string): Promise<string> => {
  if (file === '-') return fromStandardInput();
  try {
    return decodeText(await readFile(file), file);
  } catch (error) {
    if (error instanceof BadInput) throw error;
    const code = (error as NodeJS.ErrnoException).code ?? '';
    throw new BadInput(file, READ_ERRORS[code] ?? `cannot be read (${code})`);
  }
};
