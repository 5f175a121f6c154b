import Sqlite from 'better-sqlite3';
import {
  closeSync,
  createWriteStream,
  existsSync,
  mkdtempSync,
  openSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
  writeSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import yazl from 'yazl';
import { z } from 'zod';
import { CannotOpen } from '../store/cannotOpen.ts';
import { toDisk } from '../store/toDisk.ts';
import { backUp } from './backup.ts';
import { BACKUP_FILES, hashOf } from './backupManifest.ts';

/** The list in a packed shop: which files are in it, and what each must be. Written last. */
export const SHOP_LIST = 'shop.json';
export const ShopList = z.object({
  format: z.literal('hardy-spoke/shop'),
  version: z.literal(1),
  at: z.iso.datetime(),
  files: z
    .array(
      z.object({
        name: z.string().regex(/^[\w.-]{1,80}$/),
        sha256: z.string().regex(/^[0-9a-f]{64}$/),
        bytes: z.number().int().min(0),
      }),
    )
    .min(1)
    .max(20),
});
export type ShopList = z.infer<typeof ShopList>;

/** Every docket as a line of JSON, for those who want to read a shop without its database. */
const DOCKETS = 'dockets.jsonl';

const writeDockets = (database: string, to: string): void => {
  const connection = new Sqlite(database, { readonly: true });
  const file = openSync(to, 'w');
  try {
    // One by one: a shop of years does not fit into memory as text.
    for (const row of connection.prepare('select document from docket order by number').iterate())
      writeSync(file, `${String((row as { document: unknown }).document)}\n`);
  } finally {
    closeSync(file);
    connection.close();
  }
};

/** A packed shop that was made. */
export interface PackedShop {
  readonly file: string;
  readonly bytes: number;
  readonly files: ShopList['files'];
}

/**
 * Packs a whole shop into one zip beside a running server too: its database and catalogue, verified as a backup is, its
 * dockets as lines of JSON, and a list with checksums.
 * @throws CannotOpen where the database cannot be read, or the zip is there already
 */
export const packShop = async (
  database: string,
  zip: string,
  { now = new Date(), training = true }: { readonly now?: Date; readonly training?: boolean } = {},
): Promise<PackedShop> => {
  if (existsSync(zip)) throw new CannotOpen(zip, 'it is there already; give another name');
  if (!existsSync(dirname(zip)))
    throw new CannotOpen(zip, `the folder ${dirname(zip)} is not there; make it first`);
  const folder = mkdtempSync(join(tmpdir(), 'hardy-pack-'));
  const beside = `${zip}.making`;
  try {
    const { folder: made } = await backUp(database, folder, 'command', { now, training });
    writeDockets(join(made, BACKUP_FILES.database), join(made, DOCKETS));
    const files = await Promise.all(
      readdirSync(made)
        .sort()
        .map(async (name) => ({ name, ...(await hashOf(join(made, name))) })),
    );
    const list: ShopList = { format: 'hardy-spoke/shop', version: 1, at: now.toISOString(), files };
    const archive = new yazl.ZipFile();
    for (const { name } of files) archive.addFile(join(made, name), name, { mtime: now });
    archive.addBuffer(Buffer.from(JSON.stringify(list, null, 2)), SHOP_LIST, { mtime: now });
    archive.end();
    await pipeline(archive.outputStream, createWriteStream(beside));
    toDisk(beside);
    renameSync(beside, zip);
    toDisk(dirname(zip));
    return { file: zip, bytes: statSync(zip).size, files };
  } finally {
    rmSync(beside, { force: true });
    rmSync(folder, { recursive: true, force: true });
  }
};
