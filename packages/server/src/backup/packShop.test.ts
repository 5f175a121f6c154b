import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import {
  createWriteStream,
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import yazl from 'yazl';
import { openScenario } from '../tests/openScenario.ts';
import { packShop, SHOP_LIST } from './packShop.ts';
import { restoreBackup } from './restore.ts';
import { unpackShop } from './unpackShop.ts';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'hardy-zip-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));
const zipOf = async (files: Readonly<Record<string, string | Buffer>>): Promise<string> => {
  const zip = join(folder, 'made.zip');
  const archive = new yazl.ZipFile();
  for (const [name, content] of Object.entries(files)) archive.addBuffer(Buffer.from(content), name);
  archive.end();
  await pipeline(archive.outputStream, createWriteStream(zip));
  return zip;
};
/** Puts the same number of other bytes for some bytes of a file. */
const swapped = (file: string, from: string, to: string) => {
  const bytes = readFileSync(file);
  const at = bytes.indexOf(from);
  expect(at).toBeGreaterThan(0);
  bytes.write(to, at);
  writeFileSync(file, bytes);
};

test('a whole shop goes into one zip beside its server, and comes back by one command with every row', async () => {
  const server = await openScenario();
  const view = (
    await server.api('POST', '/dockets', { words: 'merrowby 2018 minibus, abs light front left' })
  ).body as { number: number };
  const zip = join(folder, 'shop.zip');
  const { files } = await packShop(server.database, zip);
  expect(files.map(({ name }) => name)).toEqual([
    'catalogue.sqlite',
    'database.sqlite',
    'dockets.jsonl',
    'manifest.json',
  ]);
  await expect(packShop(server.database, zip)).rejects.toThrow(/there already/);
  await server.running.stop();
  const unpacked = await unpackShop(zip);
  const lines = readFileSync(join(unpacked, 'dockets.jsonl'), 'utf8').trim().split('\n');
  expect(lines.map((line) => (JSON.parse(line) as { format: string }).format)).toEqual(
    lines.map(() => 'hardy-spoke/docket'),
  );
  const restored = await restoreBackup(unpacked, join(folder, 'other.sqlite'));
  rmSync(unpacked, { recursive: true });
  expect(restored.rows.docket).toBe(lines.length);
  const again = await openScenario(false, undefined, join(folder, 'other.sqlite'));
  const listed = (await again.api('GET', `/dockets?q=${view.number}`)).body as { dockets: unknown[] };
  expect(listed.dockets).toHaveLength(1);
  expect(((await again.api('GET', '/parts?q=ring')).body as unknown[]).length).toBeGreaterThan(0);
  await again.running.stop();
});

describe('what is no packed shop is refused, and nothing is left behind', () => {
  const list = (files: unknown) =>
    JSON.stringify({ format: 'hardy-spoke/shop', version: 1, at: '2026-11-27T00:00:00.000Z', files });
  const good = {
    name: 'a.txt',
    sha256: 'ca978112ca1bbdcafac231b39a23dc4da786eff8147c4e72b9807785afee48bb',
    bytes: 1,
  };
  const refused = async (zip: string, why: RegExp) => {
    const before = readdirSync(tmpdir()).filter((name) => name.startsWith('hardy-unpack-')).length;
    await expect(unpackShop(zip)).rejects.toThrow(why);
    expect(readdirSync(tmpdir()).filter((name) => name.startsWith('hardy-unpack-'))).toHaveLength(before);
  };
  test('no zip, a cut one, one without a list, another program’s list', async () => {
    writeFileSync(join(folder, 'x.zip'), 'nothing of a zip');
    await refused(join(folder, 'x.zip'), /cannot be unpacked/);
    await refused(await zipOf({ 'a.txt': 'a' }), /has no shop\.json/);
    await refused(await zipOf({ [SHOP_LIST]: '{"format":"other"}' }), /not of a shop of this version/);
    const whole = await zipOf({ [SHOP_LIST]: list([good]), 'a.txt': 'a' });
    writeFileSync(whole, readFileSync(whole).subarray(0, 60));
    await refused(whole, /cannot be unpacked/);
  });
  test('a file that is missing, or not as it was packed', async () => {
    await refused(await zipOf({ [SHOP_LIST]: list([good]) }), /a\.txt is not in it/);
    await refused(await zipOf({ [SHOP_LIST]: list([good]), 'a.txt': 'b' }), /a\.txt is not as it was packed/);
  });
  test('a name with a way out of the folder', async () => {
    const zip = await zipOf({ [SHOP_LIST]: list([good]), 'xx_evil.txt': 'a' });
    swapped(zip, 'xx_evil.txt', '../evil.txt');
    const bytes = readFileSync(zip);
    bytes.write('../evil.txt', bytes.lastIndexOf('xx_evil.txt'));
    writeFileSync(zip, bytes);
    await refused(zip, /cannot be unpacked/);
    expect(existsSync(join(tmpdir(), 'evil.txt'))).toBe(false);
  });
  test('one that would fill the disk, before anything of it is written', async () => {
    const bytes = 60 << 20;
    const bomb = await zipOf({
      [SHOP_LIST]: list([{ ...good, name: 'database.sqlite', bytes }]),
      'database.sqlite': Buffer.alloc(bytes),
    });
    expect(statSync(bomb).size).toBeLessThan(1 << 20);
    await refused(bomb, /would grow from 1 to 63 MB/);
    await refused(
      await zipOf({ [SHOP_LIST]: list([{ ...good, bytes: 2 }]), 'a.txt': 'a' }),
      /not as it was packed/,
    );
  });
});
