import { createConnection, type Socket } from 'node:net';
import { DeviceTrouble } from './deviceTrouble.ts';

/** Bytes to and from a device, and how it ended. */
export interface ByteStream {
  write(bytes: Uint8Array): void;
  /** The next bytes; null when the device closed in good order. @throws DeviceTrouble when it broke, was silent, or was stopped */
  read(withinMs: number, signal?: AbortSignal): Promise<Uint8Array | null>;
  close(): void;
}

/** More than this unread from one device is not an answer. */
const MOST_WAITING = 1 << 20;

/**
 * Connects to a device by TCP.
 * @throws DeviceTrouble `unreachable` when nothing answers there in time
 */
export const connectTo = (
  name: string,
  host: string,
  port: number,
  withinMs: number,
  signal?: AbortSignal,
): Promise<ByteStream> =>
  new Promise((resolve, reject) => {
    const socket = createConnection({ host, port });
    const fail = (kind: 'unreachable' | 'stopped', why: string) => {
      clearTimeout(timer);
      socket.destroy();
      reject(new DeviceTrouble(kind, why));
    };
    const timer = setTimeout(
      () => fail('unreachable', `The ${name} does not answer. Is it switched on and plugged in?`),
      withinMs,
    );
    signal?.addEventListener('abort', () => fail('stopped', 'Stopped.'), { once: true });
    socket.once('error', () =>
      fail('unreachable', `The ${name} cannot be reached. Is it switched on and plugged in?`),
    );
    socket.once('connect', () => {
      clearTimeout(timer);
      socket.setNoDelay(true);
      resolve(streamOf(name, socket));
    });
  });

/** A socket as a stream one reads by asking. */
const streamOf = (name: string, socket: Socket): ByteStream => {
  const chunks: Uint8Array[] = [];
  let waiting = 0;
  let ended: 'open' | 'closed' | DeviceTrouble = 'open';
  let wake: () => void = () => undefined;
  socket.removeAllListeners('error');
  socket.on('data', (chunk: Buffer) => {
    waiting += chunk.length;
    if (waiting > MOST_WAITING) {
      ended = new DeviceTrouble('garbage', `The ${name} sends without end. Unplug it and plug it in again.`);
      socket.destroy();
    } else chunks.push(new Uint8Array(chunk));
    wake();
  });
  socket.on('error', () => {
    if (ended === 'open')
      ended = new DeviceTrouble('gone', `The ${name} was cut off. Is its cable still in?`);
    wake();
  });
  socket.on('close', () => {
    if (ended === 'open') ended = 'closed';
    wake();
  });
  return {
    write: (bytes) => {
      if (ended === 'open') socket.write(bytes);
    },
    read: (withinMs, signal) =>
      new Promise((resolve, reject) => {
        const take = (): boolean => {
          const chunk = chunks.shift();
          if (chunk) {
            waiting -= chunk.length;
            resolve(chunk);
          } else if (signal?.aborted) reject(new DeviceTrouble('stopped', 'Stopped.'));
          else if (ended === 'closed') resolve(null);
          else if (ended !== 'open') reject(ended);
          else return false;
          return true;
        };
        if (take()) return;
        const done = () => {
          clearTimeout(timer);
          signal?.removeEventListener('abort', onWake);
          wake = () => undefined;
        };
        const onWake = () => {
          if (take()) done();
        };
        const timer = setTimeout(() => {
          done();
          reject(new DeviceTrouble('silent', `The ${name} did not answer in time.`));
        }, withinMs);
        wake = onWake;
        signal?.addEventListener('abort', onWake, { once: true });
      }),
    close: () => socket.destroy(),
  };
};
