import { createServer, type AddressInfo } from 'node:net';
import { randomFrom } from '../packages/core/src/chance/random.ts';
import {
  DeviceTrouble,
  encodeFrame,
  openMeter,
  openReader,
  readAll,
  TYPE,
} from '../packages/devices/src/index.ts';

/*
 * Random and truncated frames at the clients of reader and meter: none may hang, none may end in anything but an answer or a
 * sentence. Use: npm run fuzz-devices [frames] [seed]
 */
const wanted = Number(process.argv[2] ?? 100_000);
const random = randomFrom(Number(process.argv[3] ?? 1));
const TYPES = [...Object.values(TYPE), 0x0001, 0x4001, 0xffff];
const CONTROLLERS = [0x1001, 0x1002, 0x1003].map((address) => ({
  name: `controller ${address.toString(16)}`,
  address,
}));

const bytes = (n: number): Uint8Array => Uint8Array.from({ length: n }, () => random.below(256));
/** A frame to a request: right, right but for its payload, of another, cut, or none at all. */
const frame = (asked: Uint8Array): Uint8Array => {
  const kind = random.next();
  if (kind < 0.002) return bytes(random.below(60));
  const from = asked.slice(10, 12);
  const service = asked[12] ?? 0;
  const payload =
    kind < 0.75
      ? Uint8Array.from([
          ...(random.chance(0.9) ? from : bytes(2)),
          0x0e,
          0x80,
          ...random.pick([
            [service + 0x40, ...asked.slice(13, 15), ...bytes(4 * random.below(6))],
            [service + 0x40, ...bytes(random.below(30))],
            [0x7f, service, random.chance(0.5) ? 0x78 : random.below(256)],
            [random.below(256), ...bytes(random.below(10))],
          ]),
        ])
      : bytes(random.below(40));
  const whole = encodeFrame({ type: kind < 0.75 ? TYPE.message : random.pick(TYPES), payload });
  return kind > 0.998 ? whole.slice(0, random.below(whole.length)) : whole;
};
const ODD_LINES = ['nan', '', '-113,"Undefined header"', 'A,B,C,D', '1e', '\u0000'];
const line = (): string =>
  (random.chance(0.85)
    ? random.pick(['+1.2E+03', '9.9E37', `${random.between(0, 5000)}`])
    : random.pick([...ODD_LINES, '7'.repeat(random.below(2000))])) + (random.chance(0.97) ? '\n' : '');

const counts = new Map<string, number>();
const count = (what: string) => counts.set(what, (counts.get(what) ?? 0) + 1);
let sent = 0;
let asReader = true;
const server = createServer((socket) => {
  socket.on('error', () => socket.destroy());
  const reads = asReader;
  socket.on('data', (asked) => {
    const request = new Uint8Array(asked as Buffer);
    const isActivation = reads && request[3] === TYPE.activationRequest;
    if (isActivation) {
      socket.write(
        encodeFrame({
          type: TYPE.activationResponse,
          payload: Uint8Array.of(0x0e, 0x80, 0x10, 0, 0x10, 0, 0, 0, 0),
        }),
      );
      return;
    }
    if (!reads && request[0] === 0x2a) {
      socket.write('Bench,M1,0,1\n');
      return;
    }
    for (let i = 1 + random.below(reads ? 8 : 2); i > 0; i--) {
      sent++;
      socket.write(reads ? frame(request) : line());
    }
    if (random.chance(0.02)) socket.destroy();
  });
});
await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
const where = { host: '127.0.0.1', port: (server.address() as AddressInfo).port };
const patience = { connectMs: 1000, answerMs: 30, pendingMs: 60 };
let longest = 0;
while (sent < wanted) {
  asReader = random.chance(0.7);
  const began = performance.now();
  try {
    if (asReader) {
      const reader = await openReader(where, patience);
      try {
        await readAll(reader, CONTROLLERS);
        await reader.wheelSpeeds(CONTROLLERS[0] as (typeof CONTROLLERS)[number]);
        count('reader: an answer');
      } finally {
        reader.close();
      }
    } else {
      const meter = await openMeter(where, 30);
      try {
        count(`meter: ${(await meter.measure('ohms')).is}`);
      } finally {
        meter.close();
      }
    }
  } catch (error) {
    if (!(error instanceof DeviceTrouble)) throw error;
    count(`${asReader ? 'reader' : 'meter'}: ${error.kind}`);
  }
  longest = Math.max(longest, performance.now() - began);
}
server.close();
console.log(`${sent} frames and lines, longest wait ${Math.round(longest)} ms`);
for (const [what, times] of [...counts].sort()) console.log(`${what}: ${times}`);
