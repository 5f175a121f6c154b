import { BadInput } from '@hardy/core';
import { existsSync, rmSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';

/** Where the server keeps its database unless it is told otherwise. */
const DATABASE = '.data/hardy.sqlite';

/** What `hardy backup` prints. */
export interface BackupMade {
  readonly format: 'hardy-spoke/backup-made';
  readonly version: 1;
  readonly folder: string;
  readonly rows: Readonly<Record<string, number>>;
}

/** What `hardy restore` prints. */
export interface Restoration {
  readonly format: 'hardy-spoke/restored';
  readonly version: 1;
  readonly database: string;
  /** The folder that keeps what was replaced; null where nothing was. */
  readonly replaced: string | null;
  readonly rows: Readonly<Record<string, number>>;
}

/** The part of the server that keeps data; loaded only for the commands that need it. */
const keeper = () => import('@hardy/server/backup');

const told = async <T>(act: () => Promise<T>): Promise<T> => {
  const { CannotOpen } = await keeper();
  try {
    return await act();
  } catch (error) {
    if (error instanceof CannotOpen) throw new BadInput('', error.message);
    throw error;
  }
};

/** Copies a shop’s database into a new folder, beside a running server too, and looks whether the copy is whole. */
export const backup = (database = DATABASE, to: string | undefined, training: boolean): Promise<BackupMade> =>
  told(async () => {
    const { backUp } = await keeper();
    const { folder, manifest } = await backUp(database, to ?? join(dirname(database), 'backups'), 'command', {
      training,
    });
    return {
      format: 'hardy-spoke/backup-made',
      version: 1,
      folder,
      rows: { ...manifest.database.rows, ...manifest.catalogue?.rows },
    };
  });

/** What `hardy pack` prints. */
export interface ShopPacked {
  readonly format: 'hardy-spoke/shop-packed';
  readonly version: 1;
  readonly file: string;
  readonly bytes: number;
  readonly files: ReadonlyArray<{ readonly name: string; readonly sha256: string; readonly bytes: number }>;
}

/** Packs a whole shop into one zip, beside a running server too. */
export const pack = (zip: string, database = DATABASE, training: boolean): Promise<ShopPacked> =>
  told(async () => {
    const { packShop } = await keeper();
    return {
      format: 'hardy-spoke/shop-packed',
      version: 1,
      ...(await packShop(database, zip, { training })),
    };
  });

/**
 * Puts a backup, or a packed shop, in the place of a shop’s database, which is kept aside. Refuses while a server has it
 * open.
 */
export const restore = (from: string, database = DATABASE, training: boolean): Promise<Restoration> =>
  told(async () => {
    const { restoreBackup, unpackShop } = await keeper();
    const unpacked = statSync(from, { throwIfNoEntry: false })?.isFile() ? await unpackShop(from) : null;
    try {
      return {
        format: 'hardy-spoke/restored',
        version: 1,
        ...(await restoreBackup(unpacked ?? from, database, { training })),
      };
    } finally {
      if (unpacked) rmSync(unpacked, { recursive: true, force: true });
    }
  });

/** What `hardy relearn` prints. */
export interface Relearned {
  readonly format: 'hardy-spoke/relearned';
  readonly version: 1;
  readonly database: string;
  /** Closed dockets gone through. */
  readonly jobs: number;
}

/** Learns anew from every closed docket. Refuses while a server has the database open: there Setup does it. */
export const relearn = (database = DATABASE): Promise<Relearned> =>
  told(async () => {
    const { relearnDatabase } = await keeper();
    if (!existsSync(database)) throw new BadInput(database, 'is not there; name the shop’s database');
    return { format: 'hardy-spoke/relearned', version: 1, database, ...(await relearnDatabase(database)) };
  });
