import { constants } from 'node:fs';
import { copyFile } from 'node:fs/promises';
import { basename } from 'node:path';
import { CATALOGUE_COPIED_FROM, newCatalogueFile } from '../store/cataloguePointer.ts';
import { SettingRow } from '../store/entities.ts';
import { openStore, type Store } from '../store/openStore.ts';
import { trainingFileOf } from '../store/trainingFile.ts';

const SHOP = 'shop';

/**
 * A database of its own beside the shop's, for practice: nothing done there can reach a docket, the ledger, the shelf or a
 * supplier, for it is another file. It has a copy of the catalogue and of the settings, and is opened when it is first needed.
 */
export class PracticeSpace {
  #open: Promise<Store> | null = null;
  #following: Promise<void> = Promise.resolve();
  #followed = -1;

  constructor(
    private readonly shop: Store,
    /** Counts up whenever the shop's catalogue or settings changed. */
    private readonly epoch: () => number,
    /** Told when its own became others. */
    private readonly changed: () => void,
  ) {}

  /** The practice database. Where the shop's catalogue or settings changed, its own are brought up to them first. */
  async store(): Promise<Store> {
    this.#open ??= openStore(trainingFileOf(this.shop.file));
    // What could not be opened is tried anew when it is next asked for.
    this.#open.catch(() => (this.#open = null));
    const store = await this.#open;
    this.#following = this.#following
      .catch(() => undefined)
      .then(async () => {
        const epoch = this.epoch();
        if (epoch === this.#followed) return;
        await this.#follow(store);
        this.#followed = epoch;
      });
    await this.#following;
    return store;
  }

  async #follow(store: Store): Promise<void> {
    const em = store.orm.em.fork();
    const read = (from: Store, key: string) => from.orm.em.fork().findOne(SettingRow, { key });
    const [from, copied, settings, own] = await Promise.all([
      this.shop.catalogue.file(),
      read(store, CATALOGUE_COPIED_FROM),
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
      await tx.upsert(SettingRow, { key: CATALOGUE_COPIED_FROM, value: basename(from) });
    });
    this.changed();
  }

  async close(): Promise<void> {
    const store = await this.#open?.catch(() => null);
    await this.#following.catch(() => undefined);
    await store?.close();
  }
}
