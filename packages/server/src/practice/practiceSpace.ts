import { copyFile } from 'node:fs/promises';
import { constants } from 'node:fs';
import { basename } from 'node:path';
import type { Thinkers } from '../advising/thinkers.ts';
import { newCatalogueFile } from '../store/cataloguePointer.ts';
import { SettingRow } from '../store/entities.ts';
import { openStore, type Store } from '../store/openStore.ts';

const SHOP = 'shop';
/** Where the practice database says whose catalogue it has a copy of. */
const COPY_OF = 'practice-catalogue-of';

/**
 * A database of its own beside the shop's, for practice: nothing done there can reach a docket, the ledger, the shelf or a
 * supplier, for it is another file. It has a copy of the catalogue and of the settings, and is opened when it is first needed.
 */
export class PracticeSpace {
  #open: Promise<Store> | null = null;

  constructor(
    private readonly shop: Store,
    readonly thinkers: Thinkers,
  ) {}

  /** The practice database; the catalogue and settings are brought up to those of the shop. */
  async store(): Promise<Store> {
    this.#open ??= openStore(`${this.shop.file}.practice`);
    // What could not be opened is tried anew when it is next asked for.
    this.#open.catch(() => (this.#open = null));
    const store = await this.#open;
    await this.#follow(store);
    return store;
  }

  async #follow(store: Store): Promise<void> {
    const from = await this.shop.catalogue.file();
    const em = store.orm.em.fork();
    const copied = await em.findOne(SettingRow, { key: COPY_OF });
    const settings = await this.shop.orm.em.fork().findOne(SettingRow, { key: SHOP });
    if (settings) await em.upsert(SettingRow, { key: SHOP, value: settings.value });
    if (copied?.value === basename(from)) return;
    const to = newCatalogueFile(store.file);
    await copyFile(from, to, constants.COPYFILE_FICLONE);
    await store.catalogue.change(to, async (tx) => {
      await tx.upsert(SettingRow, { key: COPY_OF, value: basename(from) });
    });
  }

  async close(): Promise<void> {
    const store = await this.#open?.catch(() => null);
    await store?.close();
  }
}
