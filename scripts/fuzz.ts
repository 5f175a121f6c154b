import { API, type ApiName } from '@hardy/core/contract';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { request } from 'node:http';
import { connect, type Server } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { gzipSync } from 'node:zlib';
import { randomFrom } from '../packages/core/src/chance/random.ts';
import { chaosProxy } from './chaosProxy.ts';
import { startStandIns } from './standIns.mjs';
import { caller, hasEnded, isOpen, memoryOf, ownServer } from './ownServer.ts';

/*
 * Sends seeded nonsense to a server of its own: known ways in with what they take, spoilt in every way we could think
 * of, and bytes that are no request. No answer may be a fault of ours (500 and above), none may be missing, and the
 * server may not grow. `npm run fuzz -- --count 200000 --seed 1`
 */
const { values } = parseArgs({
  options: {
    count: { type: 'string', default: '200000' },
    seed: { type: 'string', default: '1' },
    port: { type: 'string', default: '4393' },
    /** Whether devices and suppliers misbehave. */
    chaos: { type: 'boolean', default: false },
  },
});
const COUNT = Number(values.count);
const PORT = Number(values.port);
const AT_ONCE = 16;
/** A request without an answer for so long hangs, in milliseconds. */
const HANGS_MS = 20_000;
/** One in so many opens a docket or reckons advice: the rest would wait for those. */
const COSTLY = new Set<ApiName>([
  'POST /dockets',
  'POST /advise',
  'GET /dockets/:id/compare',
  'PUT /dockets/:id',
  'POST /dockets/:id/words',
  'POST /dockets/:id/undo',
  'POST /dockets/:id/redo',
  'POST /match',
  'POST /preview',
  'PATCH /shop',
  'POST /imports/:id/run',
  'POST /devices/bench/vehicle',
  'POST /devices/bench/drive',
  'POST /devices/find',
  'POST /devices/reader/read',
  'POST /practice/visits',
  'POST /practice/visits/:id/deeds',
  'POST /practice/visits/:id/replay',
  'POST /practice/exercises',
  'POST /practice/answers',
]);
/** A stream without an end: it is no answer one waits for. */
const ENDLESS: ApiName = 'GET /devices/reader/live';
const COSTLY_SHARE = 0.06;

const ROOT = join(import.meta.dirname, '..');

const random = randomFrom(Number(values.seed));
const NAMES = (Object.keys(API) as ApiName[]).filter((name) => name !== ENDLESS);
const CHEAP = NAMES.filter((name) => !COSTLY.has(name));

const folder = mkdtempSync(join(tmpdir(), 'fuzz-'));
const standIns = await startStandIns(join(folder, 'devices.json'));
const proxies: Server[] = [];
/** The port of a device, or of what misbehaves in front of it. */
const through = async (port: number): Promise<number> => {
  if (!values.chaos) return port;
  const proxy = await chaosProxy(port, () => random.next());
  proxies.push(proxy.server);
  return proxy.port;
};
const urlThrough = async (url: string): Promise<string> =>
  `http://127.0.0.1:${await through(Number(new URL(url).port))}`;
interface Named {
  readonly reader: { readonly port: number };
  readonly meter: { readonly port: number };
  readonly bench: { readonly url: string };
  readonly suppliers: Readonly<Record<string, { readonly url: string }>>;
}
const named = JSON.parse(readFileSync(standIns.file, 'utf8')) as Named;
writeFileSync(
  standIns.file,
  JSON.stringify({
    reader: { ...named.reader, port: await through(named.reader.port) },
    meter: { ...named.meter, port: await through(named.meter.port) },
    bench: { url: await urlThrough(named.bench.url) },
    suppliers: Object.fromEntries(
      await Promise.all(
        Object.entries(named.suppliers).map(
          async ([id, { url }]) => [id, { url: await urlThrough(url) }] as const,
        ),
      ),
    ),
  }),
);
const server = ownServer({
  root: ROOT,
  port: PORT,
  database: join(folder, 'fuzz.sqlite'),
  demo: true,
  devices: standIns.file,
});
const faults: string[] = [];
server.stderr?.on('data', (text: Buffer) => faults.push(text.toString()));
await isOpen(server);

const base = `http://127.0.0.1:${PORT}/api`;
const made = await caller(base)<{ id: string; docket: object }>('POST', '/dockets', {
  words: 'merrowby 2018 minibus, abs light, C0A31-13 front left, no play',
});

/** Somebody who practises, and a customer of theirs. */
const learner = await caller(base)<{ id: string }>('POST', '/practice/learners', { name: 'Ada' });
const visit = await caller(base)<{ id: string }>('POST', '/practice/visits', {
  learnerId: learner.id,
  level: 2,
});

/** The same with a whole sale on it: what spoils it reaches shelf, suppliers and customers too. */
const sold = {
  ...made.docket,
  customer: { name: 'Ina Firth', phone: '555 0111', firm: 'Firth Nets', kind: 'garage' },
  chosen: {
    part: 'sensor',
    wheelEnd: 'A1L',
    partNumber: 'WS30026',
    lines: ['WS30026', 'SB-06', 'GR-10'].map((partNumber) => ({
      partNumber,
      description: 'a part',
      brand: null,
      tier: null,
      quantity: 1,
      unitCents: 100,
      listCents: 100,
      depositCents: 0,
      bin: null,
      why: 'it does',
      wheelEnd: 'A1L',
      companion: partNumber !== 'WS30026',
    })),
    on: '2026-11-26',
    priceCents: 100,
    allInMeanCents: 100,
    cures: 0.5,
  },
  handed: [{ partNumber: 'SB-06', quantity: 1, on: '2026-11-26' }],
  returned: [{ partNumber: 'SB-06', quantity: 1, opened: false, on: '2026-11-26' }],
  elsewhere: [{ kind: 'dealer', what: 'x', cents: 100, withWork: true }],
  wishes: [{ what: 'lamp', matters: 'must' }],
  neededBy: '2026-12-01',
};

const STRANGE: readonly unknown[] = [
  null,
  true,
  0,
  -1,
  1e308,
  -0.5,
  1e21,
  '',
  ' ',
  '\0',
  'a\0b',
  '\ud800',
  '\uFFFF',
  '😀'.repeat(50),
  'x'.repeat(5000),
  '__proto__',
  'constructor',
  'toString',
  "'; drop table docket; --",
  '<img src=x onerror=alert(1)>',
  '../../etc/passwd',
  '%00',
  '${7*7}',
  [],
  {},
  [[]],
  [null],
  { __proto__: 1 },
  { constructor: { prototype: {} } },
  'A1L',
  'A99L',
  '2026-13-45',
  '1e5',
  'NaN',
  'Infinity',
  '٣',
  'İ',
  'C0031-13',
  'lamp.abs',
];
const deep = (levels: number): string => '['.repeat(levels) + ']'.repeat(levels);

/** A value with one place of it spoilt. */
const spoilt = (value: unknown): unknown => {
  if (random.next() < 0.25 || typeof value !== 'object' || value === null) return random.pick(STRANGE);
  if (Array.isArray(value)) {
    const list = [...(value as unknown[])];
    const at = random.below(list.length + 1);
    if (random.next() < 0.2) return Array.from({ length: 600 }, () => list[0] ?? 1);
    list[at] = spoilt(list[at]);
    return list;
  }
  const fields = { ...(value as Record<string, unknown>) };
  const keys = Object.keys(fields);
  const key = random.next() < 0.2 || keys.length === 0 ? String(random.pick(STRANGE)) : random.pick(keys);
  if (random.next() < 0.2) delete fields[key];
  else fields[key] = spoilt(fields[key]);
  return fields;
};

const GOOD: Partial<Record<ApiName, () => unknown>> = {
  'POST /dockets': () =>
    random.next() < 0.5
      ? { words: random.pick(['abs light front left', 'C0031-13', 'fennick gritter no play']) }
      : { docket: random.next() < 0.5 ? made.docket : sold },
  'PUT /dockets/:id': () => ({
    version: 1 + random.below(4),
    docket: random.next() < 0.5 ? made.docket : sold,
    label: 'fuzz',
  }),
  'POST /dockets/:id/words': () => ({ version: 1, words: 'no play front left' }),
  'POST /dockets/:id/undo': () => ({ version: 1 + random.below(3) }),
  'POST /dockets/:id/redo': () => ({ version: 1 + random.below(3) }),
  'POST /intake': () => ({ text: 'abs light front left', axles: 2 }),
  'POST /preview': () => ({ text: 'abs light front left', docketId: made.id }),
  'POST /advise': () => made.docket,
  'PATCH /shop': () => ({ version: 0, change: { overrides: { 'labour.rate': 80 } } }),
  'POST /match': () => ({ partClass: 'tone-ring', readings: [{ key: 'teeth', value: 48, tool: 'eye' }] }),
  'POST /orders': () => ({ supplier: random.pick(['corvane-direct', 'halvarn-islands', 'any']) }),
  'POST /orders/:id/confirm': () => ({
    by: 'the depot',
    lines: [{ partNumber: 'WS-4007', quantity: 1, promised: '2030-01-01' }],
  }),
  'POST /orders/:id/receive': () => ({ lines: [{ partNumber: 'WS-4007', quantity: 1 }], close: false }),
  'POST /customers/:id/erase': () => ({}),
  'POST /ledger/counts': () => ({
    format: 'hardy-spoke/learned-counts',
    version: 1,
    shop: 'another',
    counts: [{ key: 'cause|ring', month: '2026-07', n: 3, e: 2, x: 3, jobs: 9 }],
  }),
  'POST /ledger/relearn': () => ({}),
  'POST /dockets/:id/comebacks': () => ({ of: 1001 + random.below(12) }),
  'POST /orders/:id/wire': () => ({ atTodaysPrices: true }),
  'POST /devices/find': () => ({}),
  'POST /devices/reader/read': () => ({ docketId: made.id }),
  'POST /devices/reader/stop': () => ({}),
  'POST /devices/reader/clear': () => ({ docketId: made.id, sure: true }),
  'POST /devices/meter/measure': () => ({ what: random.pick(['ohms', 'voltsDc', 'voltsAc']) }),
  'POST /devices/bench/vehicle': () => ({ docketId: made.id, seed: random.below(1000) }),
  'POST /devices/frame-log': () => ({ text: '(0.000000) bus 18FECA0B#04FF15030501FFFF\n' }),
  'POST /devices/bench/drive': () => ({ drive: random.pick(['yard', 'town']) }),
  'POST /devices/bench/skip': () => ({}),
  'POST /devices/bench/work': () => ({ wheelEnd: 'A1L', fit: 'sensor', work: null }),
  'POST /devices/bench/probes': () => ({
    wheelEnd: 'A1R',
    plug: 'sensor',
    pins: 'across',
    turnsPerSecond: 1,
  }),
  'POST /devices/bench/check': () => ({ check: 'visual.ring', wheelEnd: 'A1L' }),
  'POST /practice/learners': () => ({ name: random.pick(['Ada', 'Ben']) }),
  'POST /practice/visits': () => ({ learnerId: learner.id, level: 1 + random.below(5) }),
  'POST /practice/visits/:id/docket': () => ({ docketId: made.id }),
  'POST /practice/visits/:id/deeds': () => ({
    after: 0,
    deed: random.pick([
      { kind: 'question', about: 'lamps' },
      { kind: 'check', check: 'visual.ring', at: 'A1L' },
      { kind: 'parts', parts: ['sensor'], at: 'A1L' },
      { kind: 'refer' },
    ]),
    sent: { sheet: true, stop: false },
  }),
  'POST /practice/visits/:id/uncover': () => ({}),
  'POST /practice/visits/:id/replay': () => ({ keep: 0 }),
  'POST /practice/rounds': () => ({ name: 'round', level: 1, customers: 2 }),
  'POST /practice/exercises': () => ({
    learnerId: learner.id,
    skill: random.pick(['corner', 'meter', null]),
  }),
  'POST /practice/answers': () => ({
    learnerId: learner.id,
    skill: 'corner',
    variant: 'plain',
    seed: random.below(100),
    answer: 'A1L',
    ms: 5,
  }),
  'POST /imports': () => ({}),
  'POST /imports/:id/run': () => ({ mode: 'whole' }),
};

const inAddress = (): string => {
  const value = random.pick(STRANGE);
  const text = typeof value === 'string' ? value : JSON.stringify(value);
  try {
    return random.next() < 0.1 ? '%E0%A4%A' : encodeURIComponent(text).slice(0, 300);
  } catch {
    return '%ED%A0%80';
  }
};
const idFor = (name: ApiName): string =>
  name.includes('/practice/visits') ? visit.id : name.includes('/practice/learners') ? learner.id : made.id;
const addressOf = (name: ApiName): string => {
  let path = name
    .slice(name.indexOf(' ') + 1)
    .replace(/:\w+/g, () => (random.next() < 0.5 ? idFor(name) : inAddress()));
  if (random.next() < 0.3)
    path += `?${random.pick(['q', 'state', 'limit', 'offset', 'seed', 'class', 'x'])}=${inAddress()}`;
  // The practice counter is the same application on another database.
  return `${random.next() < 0.15 ? '/practice' : ''}/api${path}`;
};

interface Sent {
  readonly method: string;
  readonly path: string;
  readonly headers: Record<string, string>;
  readonly body: Buffer | null;
}
const drawn = (): Sent => {
  const name = random.next() < COSTLY_SHARE ? random.pick([...COSTLY]) : random.pick(CHEAP);
  const method =
    random.next() < 0.04
      ? random.pick(['PUT', 'PATCH', 'DELETE', 'OPTIONS', 'HEAD', 'POST'])
      : (name.split(' ')[0] ?? 'GET');
  const headers: Record<string, string> = {};
  let body: Buffer | null = null;
  if (!['GET', 'HEAD', 'DELETE'].includes(method)) {
    const good = GOOD[name]?.() ?? {};
    let text = JSON.stringify(random.next() < 0.25 ? good : spoilt(good)) ?? '';
    const way = random.next();
    if (way < 0.03) text = deep(20_000);
    else if (way < 0.06) text = text.slice(0, random.below(text.length + 1));
    else if (way < 0.08) text = text.replaceAll('"', '\0');
    body = Buffer.from(text, random.next() < 0.03 ? 'utf16le' : 'utf8');
    headers['content-type'] =
      random.next() < 0.95
        ? 'application/json'
        : random.pick([
            'text/plain',
            'application/json; charset=nonsense',
            'multipart/form-data',
            'application/x-www-form-urlencoded',
          ]);
    const packed = random.next();
    if (packed < 0.02) headers['content-encoding'] = random.pick(['gzip', 'deflate', 'br', 'nonsense']);
    else if (packed < 0.04) {
      headers['content-encoding'] = 'gzip';
      body = gzipSync(body);
      if (random.next() < 0.5) body = body.subarray(0, body.length >> 1);
    }
  }
  const odd = random.next();
  if (odd < 0.02) headers.host = random.pick(['evil.example', '127.0.0.1:1@x', '']);
  else if (odd < 0.04) headers.origin = 'http://evil.example';
  else if (odd < 0.06) headers.accept = 'x'.repeat(3000);
  return { method, path: addressOf(name), headers, body };
};

const counts = new Map<number | string, number>();
const wrong: string[] = [];
const count = (what: number | string) => counts.set(what, (counts.get(what) ?? 0) + 1);

const send = ({ method, path, headers, body }: Sent): Promise<void> =>
  new Promise((done) => {
    const told = `${method} ${path.slice(0, 120)} ${(body ?? '').toString().slice(0, 160)}`;
    const end = (what: number | string, said = '') => {
      clearTimeout(timer);
      // A device that misbehaves is told with 502 to 504: that is meant.
      const isMeant = typeof what === 'number' && what > 500 && said.includes('"title":"Device"');
      count(isMeant ? `${what} of a device` : what);
      if (!isMeant && (what === 'hang' || (typeof what === 'number' && what >= 500)))
        wrong.push(`${what} ${told} ${said}`);
      done();
    };
    const asked = request(
      {
        host: '127.0.0.1',
        port: PORT,
        method,
        path,
        headers: { ...headers, ...(body ? { 'content-length': String(body.length) } : {}) },
      },
      (answer) => {
        let said = '';
        answer.on('data', (piece: Buffer) => (said = (said + piece.toString()).slice(0, 200)));
        answer.once('end', () => end(answer.statusCode ?? 0, said));
        answer.once('error', () => end('cut'));
      },
    );
    const timer = setTimeout(() => {
      end('hang');
      asked.destroy();
    }, HANGS_MS);
    asked.once('error', (error: NodeJS.ErrnoException) => end(error.code ?? 'error'));
    asked.end(body ?? undefined);
  });

/** Bytes that are no request: answered with 400 or a closed line, never a hang. */
const bytes = (): Promise<void> =>
  new Promise((done) => {
    const line = connect(PORT, '127.0.0.1');
    const timer = setTimeout(() => {
      count('bytes: hang');
      line.destroy();
    }, HANGS_MS);
    line.once('close', () => {
      clearTimeout(timer);
      count('bytes');
      done();
    });
    line.once('error', () => undefined);
    line.resume();
    line.end(
      random.pick([
        'GET / HTTP/9.9\r\n\r\n',
        `GET /${'a'.repeat(20_000)} HTTP/1.1\r\nHost: x\r\n\r\n`,
        '\0\0\0\0',
        'POST /api/dockets HTTP/1.1\r\nHost: localhost\r\nContent-Length: -5\r\n\r\n',
        'GET /api/health HTTP/1.1\r\nHost: localhost\r\nHost: evil\r\n\r\n',
        'POST /api/dockets HTTP/1.1\r\nHost: localhost\r\nTransfer-Encoding: chunked\r\nContent-Length: 3\r\n\r\nzz\r\n',
        'GET /api/health HTTP/1.1\r\nHost: localhost\r\nX: \u0001\r\n\r\n',
      ]),
    );
  });

const levels: number[] = [];
let sent = 0;
const began = Date.now();
const desk = async () => {
  while (sent < COUNT) {
    sent++;
    if (sent % Math.ceil(COUNT / 10) === 0) {
      levels.push(Math.round(memoryOf(server)));
      process.stdout.write(`${sent} sent, ${levels.at(-1)} MB, ${wrong.length} wrong\n`);
    }
    await (random.next() < 0.005 ? bytes() : send(drawn()));
  }
};
await Promise.all(Array.from({ length: AT_ONCE }, desk));
const alive = (await fetch(`${base}/health`)).status;
server.kill('SIGTERM');
const code = await hasEnded(server);
standIns.stop();
for (const proxy of proxies) proxy.close();
rmSync(folder, { recursive: true, force: true });
process.stdout.write(
  `${COUNT} requests of seed ${values.seed} in ${Math.round((Date.now() - began) / 1000)} s: ${[...counts]
    .sort((a, b) => b[1] - a[1])
    .map(([what, n]) => `${what} ${n}`)
    .join(', ')}\n`,
);
process.stdout.write(
  `memory at each tenth, MB: ${levels.join(' ')}; alive after: ${alive}; ended with ${String(code)}\n`,
);
for (const line of wrong.slice(0, 20)) process.stdout.write(`WRONG ${line}\n`);
if (faults.length > 0) process.stdout.write(`the server said: ${faults.slice(0, 5).join('')}\n`);
// It may grow while it fills what it keeps; from the middle on it is level.
const isLevel = (levels.at(-1) ?? 0) <= 1.3 * (levels[Math.floor(levels.length / 2)] ?? Infinity);
process.exit(wrong.length === 0 && isLevel && alive === 200 && code === 0 ? 0 : 1);
