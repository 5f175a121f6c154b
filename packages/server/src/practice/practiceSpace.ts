import { constants } from 'node:fs';
import { copyFile } from 'node:fs/promises';
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
  #following: Promise<void> = Promise.resolve();

  constructor(
    private readonly shop: Store,
    readonly thinkers: Thinkers,
    /** Told when its catalogue or its settings became others. */
    private readonly changed: () => void,
  ) {}

  /** The practice database; the catalogue and settings are brought up to those of the shop, one after the other. */
  async store(): Promise<Store> {
    this.#open ??= openStore(`${this.shop.file}.practice`);
    // What could not be opened is tried anew when it is next asked for.
    this.#open.catch(() => (this.#open = null));
    const store = await this.#open;
    this.#following = this.#following.catch(() => undefined).then(() => this.#follow(store));
    await this.#following;
    return store;
  }

  async #follow(store: Store): Promise<void> {
    const em = store.orm.em.fork();
    const read = (from: Store, key: string) => from.orm.em.fork().findOne(SettingRow, { key });
    const [from, copied, settings, own] = await Promise.all([
      this.shop.catalogue.file(),
      read(store, COPY_OF),
      read(this.shop, SHOP),
      read(store, SHOP),
    ]);
    if (settings && settings.value !== own?.value) {
      await em.upsert(SettingRow, { key: SHOP, value: settings.value });
      this.changed();
    }
    if (copied?.value === basename(from)) return;
    const to = newCatalogueFile(store.file);
    await copyFile(from, to, constants.COPYFILE_FICLONE);
    await store.catalogue.change(to, async (tx) => {
      await tx.upsert(SettingRow, { key: COPY_OF, value: basename(from) });
    });
    this.changed();
  }

  async close(): Promise<void> {
    const store = await this.#open?.catch(() => null);
    await this.#following.catch(() => undefined);
    await store?.close();
  }
}
