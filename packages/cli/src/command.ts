import { BadInput } from '@hardy/core';
import { run } from './run.ts';

const oneLine = (text: string): string => text.replace(/\s+/g, ' ').trim();

/** Where a command writes. */
export interface Output {
  readonly out: (text: string) => void;
  readonly error: (text: string) => void;
}

/**
 * Runs one command line: its result goes to the output, a mistake to the error output in one line.
 * @returns the exit code: 0, 1 for what the user can mend, 2 for a fault of the program
 */
export const command = async (
  args: readonly string[],
  now: Date,
  { out, error }: Output,
): Promise<number> => {
  try {
    const said = await run(args, now);
    out(typeof said === 'string' ? `${said}\n` : `${JSON.stringify(said, null, 2)}\n`);
    return 0;
  } catch (thrown) {
    const isTheirs = thrown instanceof BadInput;
    const message = thrown instanceof Error ? thrown.message : String(thrown);
    error(`${isTheirs ? '' : 'internal fault: '}${oneLine(message)}\n`);
    return isTheirs ? 1 : 2;
  }
};
