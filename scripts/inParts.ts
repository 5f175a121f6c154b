import { fork } from 'node:child_process';
import { availableParallelism } from 'node:os';

/** Set in the processes that do a part: the first seed, and how many. */
const PART = 'HARDY_SCRIPT_PART';

/**
 * Does `count` seeds from `first` on in as many processes as there are cores: each runs the same script, and there `play` alone.
 * Parts come back in the order of their seeds.
 */
export const inParts = async <T>(
  script: string,
  first: number,
  count: number,
  play: (from: number, count: number, told: () => void) => T,
): Promise<T[]> => {
  const part = process.env[PART];
  if (part) {
    const [from = 0, many = 0] = part.split(' ').map(Number);
    const done = play(from, many, () => process.send?.(1));
    await new Promise<void>((sent) => void process.send?.([done], () => sent()));
    process.exit(0);
  }
  const processes = Math.max(1, Math.min(availableParallelism(), count));
  const began = performance.now();
  let ready = 0;
  return Promise.all(
    Array.from({ length: processes }, (_, p) => {
      const from = Math.floor((count * p) / processes);
      const many = Math.floor((count * (p + 1)) / processes) - from;
      return new Promise<T>((resolve, reject) => {
        const worker = fork(script, process.argv.slice(2), {
          execArgv: ['--import', 'tsx'],
          env: { ...process.env, [PART]: `${first + from} ${many}` },
          serialization: 'advanced',
        });
        worker.on('error', reject);
        worker.on('exit', (code) => code !== 0 && reject(new Error(`a part ended with ${code}`)));
        worker.on('message', (message) => {
          if (Array.isArray(message)) return resolve(message[0] as T);
          if (++ready % 50 === 0)
            process.stderr.write(
              `${ready} of ${count}, ${Math.round((performance.now() - began) / 1000)} s\n`,
            );
        });
      });
    }),
  );
};
