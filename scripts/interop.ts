import { execFileSync, spawn } from 'node:child_process';
import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import type { AddressInfo, Server } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { CHROMIUM_ARGS } from '../e2e/chromiumArgs.ts';
import {
  framesOfCodes,
  openMeter,
  openReader,
  readAll,
  writeFrameLog,
} from '../packages/devices/src/index.ts';
import { ADDRESS, BenchStation, meterStand, readerStand } from '../packages/stand-ins/src/index.ts';
import { caller, hasEnded, isOpen, ownServer } from './ownServer.ts';
import { writeSection } from './writeSection.ts';

/*
 * What we say on the wire, read by tools that are not ours, from Debian's packages: where one is missing its line says so
 * and nothing fails. Use: npm run interop [-- --dry] [-- --counts FILE]
 */
interface Line {
  readonly what: string;
  readonly tool: string;
  readonly found: string;
  readonly ok: boolean | null;
}
const lines: Line[] = [];
const folder = mkdtempSync(join(tmpdir(), 'interop-'));
const has = (tool: string): boolean => {
  try {
    execFileSync('which', [tool], { stdio: 'ignore' });
    return true;
  } catch {
    return false;
  }
};
const run = (tool: string, args: readonly string[]): string =>
  execFileSync(tool, args, { encoding: 'utf8', stdio: ['ignore', 'pipe', 'ignore'], timeout: 60_000 });
const listen = (server: Server, port = 0): Promise<number> =>
  new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, '127.0.0.1', () => resolve((server.address() as AddressInfo).port));
  });
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
/** `program` is what is run, where it has another name than its package. */
const trying = async (what: string, tool: string, act: () => Promise<string> | string, program = tool) => {
  if (!has(program)) {
    lines.push({ what, tool, found: 'skipped: it is not installed here', ok: null });
    return;
  }
  try {
    lines.push({ what, tool, found: await act(), ok: true });
  } catch (error) {
    lines.push({
      what,
      tool,
      found: error instanceof Error ? (error.message.split('\n')[0] ?? '') : String(error),
      ok: false,
    });
  }
};

/** Debian's own: the package is installed for it. */
const PYTHON = process.env.HARDY_PYTHON ?? '/usr/bin/python3';
/** Port that ISO 13400-2 gives to diagnostics: tools know the traffic by it. */
const DIAGNOSTICS = 13400;
const station = new BenchStation(11);
station.probes = { wheelEnd: 'A1L', plug: 'loom', pins: 'feed to ground', turnsPerSecond: 0 };

await trying('diagnostic traffic: no malformed frame, the same codes', 'tshark', async () => {
  const file = join(folder, 'wire.pcapng');
  const stand = readerStand(station);
  await listen(stand, DIAGNOSTICS);
  const capture = spawn('tshark', ['-i', 'lo', '-f', `tcp port ${DIAGNOSTICS}`, '-w', file, '-q'], {
    stdio: ['ignore', 'ignore', 'pipe'],
  });
  await new Promise<void>((resolve) => {
    capture.stderr.on('data', (said: Buffer) => {
      if (said.toString().includes('Capturing')) resolve();
    });
    setTimeout(resolve, 8000);
  });
  await pause(1000);
  const reader = await openReader({ host: '127.0.0.1', port: DIAGNOSTICS });
  const controllers = [
    { name: 'Brakes', address: ADDRESS.brakes },
    { name: 'Engine', address: ADDRESS.engine },
    { name: 'Gearbox', address: ADDRESS.gearbox },
  ];
  const { codes } = await readAll(reader, controllers);
  await reader.wheelSpeeds(controllers[0] as (typeof controllers)[number]);
  await reader.clearCodes(controllers[0] as (typeof controllers)[number]);
  reader.close();
  stand.close();
  await pause(1500);
  capture.kill('SIGINT');
  await new Promise((resolve) => capture.on('exit', resolve));
  const malformed = run('tshark', ['-r', file, '-Y', '_ws.malformed || _ws.expert.severity == error']).trim();
  if (malformed) throw new Error(`malformed: ${malformed.split('\n')[0] ?? ''}`);
  const frames = run('tshark', ['-r', file, '-Y', 'doip']).trim().split('\n').filter(Boolean).length;
  const services = run('tshark', ['-r', file, '-Y', 'uds', '-T', 'fields', '-e', 'uds.sid'])
    .trim()
    .split('\n')
    .filter(Boolean).length;
  if (frames === 0 || services === 0) throw new Error('nothing was decoded');
  const whole = run('tshark', ['-r', file, '-Y', 'uds.sid == 0x19', '-V']);
  const bytes = run('tshark', [
    '-r',
    file,
    '-Y',
    'uds.sid == 0x19 && doip.source_address == 0x1001',
    '-T',
    'fields',
    '-e',
    'tcp.payload',
  ]).replace(/[^0-9a-f]/g, '');
  for (const { code, module } of codes) {
    if (module !== 'Brakes') continue;
    const [base = '', failure = '00'] = code.split('-');
    const number = (('PCBU'.indexOf(base[0] ?? '') << 14) | parseInt(base.slice(1), 16))
      .toString(16)
      .padStart(4, '0');
    if (!bytes.includes(`${number}${failure.toLowerCase()}`))
      throw new Error(`${code} is not in what it decoded`);
  }
  return `${frames} frames and ${services} services decoded, ${codes.length} codes, ${/Malformed/i.test(whole) ? 'some malformed' : 'none malformed'}`;
});

await trying('the meter by SCPI: the same reading', 'lxi', async () => {
  const stand = meterStand(station);
  const port = await listen(stand);
  const ask = (text: string): Promise<string> =>
    new Promise((resolve, reject) => {
      const asked = spawn('lxi', ['scpi', '--address', '127.0.0.1', '--raw', '--port', String(port), text]);
      let out = '';
      asked.stdout.on('data', (said: Buffer) => (out += said.toString()));
      asked.on('error', reject);
      asked.on('exit', () => resolve(out.trim()));
      setTimeout(() => asked.kill(), 10_000);
    });
  const identity = await ask('*IDN?');
  const theirs = Number(await ask('MEAS:VOLT:DC?'));
  const meter = await openMeter({ host: '127.0.0.1', port });
  const ours = await meter.measure('voltsDc');
  meter.close();
  stand.close();
  if (identity !== meter.identity) throw new Error(`it says it is "${identity}"`);
  if (ours.is !== 'steady' || !(Math.abs(theirs - ours.value) < 0.05 * Math.abs(ours.value)))
    throw new Error(`theirs ${theirs}, ours ${JSON.stringify(ours)}`);
  return `${identity}: ${theirs.toFixed(3)} V by it, ${ours.value.toFixed(3)} V by us`;
});

await trying(
  'a frame log of trailer codes',
  'python3-can',
  () => {
    const file = join(folder, 'trailer.log');
    const codes = [789, 790, 791].map((spn) => ({
      source: 0x0b,
      spn,
      fmi: 5,
      count: 2,
      status: 'active' as const,
    }));
    const frames = framesOfCodes(codes, 0x0b, 'active');
    writeFileSync(file, writeFrameLog(frames));
    const reader =
      'import can,sys; print(";".join("%X#%s" % (m.arbitration_id, m.data.hex().upper()) for m in can.CanutilsLogReader(sys.argv[1])))';
    const theirs = run(PYTHON, ['-c', reader, file]).trim();
    const ours = frames
      .map(
        ({ id, data }) =>
          `${id.toString(16).toUpperCase()}#${Buffer.from(data).toString('hex').toUpperCase()}`,
      )
      .join(';');
    if (theirs !== ours) throw new Error(`it reads ${theirs}`);
    return `${frames.length} frames, the same identifiers and bytes`;
  },
  PYTHON,
);

const PORT = 4790;
const database = join(folder, 'shop.sqlite');
const server = ownServer({
  root: join(import.meta.dirname, '..'),
  port: PORT,
  database,
  demo: true,
  backups: join(folder, 'backups'),
});
await isOpen(server);
const address = `http://127.0.0.1:${PORT}`;
const api = caller(`${address}/api`);
const browser = await chromium.launch({
  executablePath: process.env.HARDY_CHROMIUM ?? '/usr/bin/chromium',
  args: CHROMIUM_ARGS,
});
try {
  const page = await (await browser.newContext({ deviceScaleFactor: 3 })).newPage();
  await trying('every label of a bin, from a picture', 'zbarimg', async () => {
    const parts = await api<Array<{ number: string }>>('GET', '/parts');
    const numbers = parts.slice(0, 12).map(({ number }) => number);
    await page.goto(`${address}/shelf/labels?numbers=${numbers.join(',')}`);
    await page
      .locator('.barcode')
      .nth(numbers.length - 1)
      .waitFor();
    await page.waitForLoadState('networkidle');
    const file = join(folder, 'labels.png');
    await page.screenshot({ path: file, fullPage: true });
    const seen = new Set(run('zbarimg', ['-q', '--raw', file]).trim().split('\n'));
    const missing = numbers.filter((number) => !seen.has(number));
    if (missing.length > 0) throw new Error(`not read: ${missing.join(', ')}`);
    return `${numbers.length} of ${numbers.length} part numbers, ${seen.size} codes in all`;
  });
  const { dockets } = await api<{ dockets: Array<{ id: string; number: string }> }>(
    'GET',
    '/dockets?limit=1',
  );
  const [docket] = dockets;
  if (!docket) throw new Error('the demo has no docket');
  await page.goto(`${address}/docket/${docket.id}/sheet`);
  await page.locator('.barcode').first().waitFor();
  await trying('the code of a sheet, from a picture', 'zbarimg', async () => {
    const file = join(folder, 'sheet.png');
    await page.screenshot({ path: file, fullPage: true });
    const seen = run('zbarimg', ['-q', '--raw', file]).trim();
    if (!seen.includes(docket.number)) throw new Error(`it reads "${seen}"`);
    return seen.split('\n').join(', ');
  });
  await trying('the text of a sheet, from its PDF', 'pdftotext', async () => {
    const file = join(folder, 'sheet.pdf');
    const heading = await page.locator('main h1, main h2').allInnerTexts();
    await page.pdf({ path: file, format: 'A4' });
    const text = run('pdftotext', [file, '-']).replace(/\s+/g, ' ');
    const missing = heading
      .map((each) => each.replace(/\s+/g, ' ').trim())
      .filter((each) => each && !text.toLowerCase().includes(each.toLowerCase()));
    if (!text.includes(docket.number)) throw new Error('the number of the docket is not in it');
    return `${text.length} characters, the docket's number among them, ${heading.length - missing.length} of ${heading.length} headings`;
  });
} finally {
  await browser.close();
  server.kill('SIGTERM');
  await hasEnded(server);
}
await trying('a backup is sound', 'sqlite3', () => {
  execFileSync(
    'npx',
    ['tsx', 'packages/cli/src/main.ts', 'backup', '--database', database, '--to', join(folder, 'kept')],
    { stdio: 'ignore' },
  );
  const files = readdirSync(join(folder, 'kept'), { recursive: true, encoding: 'utf8' }).filter((name) =>
    name.endsWith('.sqlite'),
  );
  if (files.length === 0) throw new Error('no database in the backup');
  for (const name of files) {
    const said = run('sqlite3', [join(folder, 'kept', name), 'PRAGMA integrity_check;']).trim();
    if (said !== 'ok') throw new Error(`${name}: ${said.split('\n')[0] ?? ''}`);
  }
  return `${files.length} files: ok`;
});

rmSync(folder, { recursive: true, force: true });
const table = [
  '| what | read by | found |',
  '| --- | --- | --- |',
  ...lines.map(
    ({ what, tool, found, ok }) =>
      `| ${what} | \`${tool}\` | ${ok === false ? `**failed**: ${found}` : found} |`,
  ),
].join('\n');
console.log(table);
const counts = process.argv.indexOf('--counts');
if (counts > 0) writeFileSync(process.argv[counts + 1] ?? 'interop.json', JSON.stringify(lines));
if (!process.argv.includes('--dry'))
  writeSection('formats.md', 'interop', `Made by \`npm run interop\`.\n\n${table}`);
process.exit(lines.some(({ ok }) => ok === false) ? 1 : 0);
