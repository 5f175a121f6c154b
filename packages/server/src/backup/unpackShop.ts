import { createWriteStream, mkdtempSync, rmSync, statfsSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buffer } from 'node:stream/consumers';
import { pipeline } from 'node:stream/promises';
import yauzl, { type Entry, type ZipFile } from 'yauzl';
import { CannotOpen } from '../store/cannotOpen.ts';
import { hashOf } from './backupManifest.ts';
import { SHOP_LIST, ShopList } from './packShop.ts';

const MAXIMUM_FILES = 21;
/** A list is small; a larger one is none. */
const MAXIMUM_LIST_BYTES = 1 << 20;
/** A database packs to a tenth of its size or so. What packs this well, from this size on, was made to fill a disk. */
const MAXIMUM_RATIO = 200;
const RATIO_FROM_BYTES = 20 << 20;
/** Space that must stay free beside what is unpacked, in bytes. */
const SPARE_BYTES = 50e6;
const MB = 1e6;
/** Files lie side by side: a name with a path in it is none of ours. */
const PLAIN_NAME = /^[\w.-]{1,80}$/;

const opened = (zip: string): Promise<ZipFile> =>
  new Promise((resolve, reject) =>
    yauzl.open(zip, { lazyEntries: true, autoClose: false, validateEntrySizes: true }, (error, file) =>
      error ? reject(error) : resolve(file),
    ),
  );
const contentOf = (file: ZipFile, entry: Entry): Promise<NodeJS.ReadableStream> =>
  new Promise((resolve, reject) =>
    file.openReadStream(entry, (error, stream) => (error ? reject(error) : resolve(stream))),
  );

/** The entries of a zip by name; nothing of them is read yet. @throws Error for more, or other names, than a shop has */
const entriesOf = (file: ZipFile): Promise<Map<string, Entry>> =>
  new Promise((resolve, reject) => {
    const entries = new Map<string, Entry>();
    file.on('error', reject);
    file.on('end', () => resolve(entries));
    file.on('entry', (entry: Entry) => {
      const { fileName } = entry;
      if (entries.size >= MAXIMUM_FILES) return reject(new Error('it holds more than a shop'));
      if (!PLAIN_NAME.test(fileName) || /^\.+$/.test(fileName) || entries.has(fileName))
        return reject(new Error(`it holds "${fileName.slice(0, 80)}", which is no file of a shop`));
      entries.set(fileName, entry);
      file.readEntry();
    });
    file.readEntry();
  });

const listIn = async (zip: string, file: ZipFile, entry: Entry | undefined): Promise<ShopList> => {
  let content: unknown;
  try {
    if (!entry || entry.uncompressedSize > MAXIMUM_LIST_BYTES) throw new Error('no list');
    content = JSON.parse((await buffer(await contentOf(file, entry))).toString('utf8'));
  } catch {
    throw new CannotOpen(zip, `it is no packed shop: it has no ${SHOP_LIST} that can be read`);
  }
  const list = ShopList.safeParse(content);
  if (!list.success) throw new CannotOpen(zip, `its ${SHOP_LIST} is not of a shop of this version`);
  return list.data;
};

/**
 * Checks what a zip says of itself before anything is written: it holds the files of its list, of the sizes in the list,
 * not packed beyond belief, and they fit on the disk.
 * @throws CannotOpen naming what is wrong
 */
const checkEntries = (
  zip: string,
  entries: ReadonlyMap<string, Entry>,
  { files }: ShopList,
  folder: string,
): void => {
  let needed = SPARE_BYTES;
  for (const { name, bytes } of files) {
    const entry = entries.get(name);
    if (!entry) throw new CannotOpen(zip, `${name} is not in it`);
    if (entry.uncompressedSize !== bytes)
      throw new CannotOpen(zip, `${name} is not as it was packed; take another copy`);
    if (bytes > RATIO_FROM_BYTES && bytes > MAXIMUM_RATIO * Math.max(1, entry.compressedSize))
      throw new CannotOpen(
        zip,
        `${name} would grow from ${Math.ceil(entry.compressedSize / MB)} to ${Math.ceil(bytes / MB)} MB, which no shop does; take another copy`,
      );
    needed += bytes;
  }
  const { bavail, bsize } = statfsSync(folder);
  if (bavail * bsize < needed)
    throw new CannotOpen(
      zip,
      `unpacking needs ${Math.ceil(needed / MB)} MB in ${tmpdir()} and ${Math.floor((bavail * bsize) / MB)} MB are free; make room`,
    );
};

/**
 * Unpacks a shop into a new folder and compares every file with its checksum: what comes out can be restored like a
 * backup. The folder is the caller's to delete.
 * @throws CannotOpen naming what is not as it was packed; nothing is left behind
 */
export const unpackShop = async (zip: string): Promise<string> => {
  const folder = mkdtempSync(join(tmpdir(), 'hardy-unpack-'));
  const unreadable = (error: unknown): never => {
    throw new CannotOpen(zip, `it cannot be unpacked (${(error as Error).message})`);
  };
  try {
    const file = await opened(zip).catch(unreadable);
    try {
      const entries = await entriesOf(file).catch(unreadable);
      const list = await listIn(zip, file, entries.get(SHOP_LIST));
      checkEntries(zip, entries, list, folder);
      for (const { name, sha256 } of list.files) {
        const to = join(folder, name);
        const entry = entries.get(name) as Entry;
        await contentOf(file, entry)
          .then((content) => pipeline(content, createWriteStream(to, { flags: 'wx', mode: 0o600 })))
          .catch(unreadable);
        if ((await hashOf(to)).sha256 !== sha256)
          throw new CannotOpen(zip, `${name} is not as it was packed; take another copy`);
      }
    } finally {
      file.close();
    }
    return folder;
  } catch (error) {
    rmSync(folder, { recursive: true, force: true });
    throw error;
  }
};
