import { createWriteStream, existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import yauzl, { type Entry, type ZipFile } from 'yauzl';
import { CannotOpen } from '../store/cannotOpen.ts';
import { hashOf } from './backupManifest.ts';
import { SHOP_LIST, ShopList } from './packShop.ts';

/** More than this unpacked is no shop: a zip may say little and hold much. */
const MOST_BYTES = 64 * 2 ** 30;
const MOST_FILES = 21;
/** Files lie side by side: a name with a way in it is none of ours. */
const PLAIN_NAME = /^[\w.-]{1,80}$/;

const opened = (zip: string): Promise<ZipFile> =>
  new Promise((resolve, reject) =>
    yauzl.open(zip, { lazyEntries: true, validateEntrySizes: true }, (error, file) =>
      error ? reject(error) : resolve(file),
    ),
  );
const contentOf = (file: ZipFile, entry: Entry): Promise<NodeJS.ReadableStream> =>
  new Promise((resolve, reject) =>
    file.openReadStream(entry, (error, stream) => (error ? reject(error) : resolve(stream))),
  );

/** Takes the files out one by one, into a folder. */
const takeOut = async (zip: string, folder: string): Promise<void> => {
  const file = await opened(zip);
  let bytes = 0;
  let files = 0;
  try {
    await new Promise<void>((resolve, reject) => {
      file.on('error', reject);
      file.on('end', resolve);
      file.on('entry', (entry: Entry) => {
        bytes += entry.uncompressedSize;
        if (++files > MOST_FILES || bytes > MOST_BYTES) return reject(new Error('it holds more than a shop'));
        if (!PLAIN_NAME.test(entry.fileName) || /^\.+$/.test(entry.fileName))
          return reject(new Error(`it holds "${entry.fileName.slice(0, 80)}", which is no file of a shop`));
        contentOf(file, entry)
          .then((content) =>
            pipeline(content, createWriteStream(join(folder, entry.fileName), { flags: 'wx' })),
          )
          .then(() => file.readEntry(), reject);
      });
      file.readEntry();
    });
  } finally {
    file.close();
  }
};

const listIn = (zip: string, folder: string): ShopList => {
  let said: unknown;
  try {
    said = JSON.parse(readFileSync(join(folder, SHOP_LIST), 'utf8'));
  } catch {
    throw new CannotOpen(zip, `it is no packed shop: it has no ${SHOP_LIST} that can be read`);
  }
  const list = ShopList.safeParse(said);
  if (!list.success) throw new CannotOpen(zip, `its ${SHOP_LIST} is not of a shop of this version`);
  return list.data;
};

/**
 * Unpacks a shop into a new folder and holds every file against its checksum: what comes out can be restored like a backup.
 * The folder is the caller's to delete.
 * @throws CannotOpen naming what is not as it was packed; nothing is left behind
 */
export const unpackShop = async (zip: string): Promise<string> => {
  const folder = mkdtempSync(join(tmpdir(), 'hardy-unpack-'));
  try {
    await takeOut(zip, folder).catch((error: unknown) => {
      throw new CannotOpen(zip, `it cannot be unpacked (${(error as Error).message})`);
    });
    for (const { name, sha256, bytes } of listIn(zip, folder).files) {
      const file = join(folder, name);
      if (!existsSync(file)) throw new CannotOpen(zip, `${name} is not in it`);
      const found = await hashOf(file);
      if (found.bytes !== bytes || found.sha256 !== sha256)
        throw new CannotOpen(zip, `${name} is not as it was packed; take another copy`);
    }
    return folder;
  } catch (error) {
    rmSync(folder, { recursive: true, force: true });
    throw error;
  }
};
