import { advise, CATALOGUE_TABLES } from '@hardy/core';
import type { EntityManager } from '@mikro-orm/better-sqlite';
import { openCatalogueFile, seal } from '../store/catalogueFile.ts';
import { newCatalogueFile } from '../store/cataloguePointer.ts';
import { putRows, rawRows, rawRun } from '../store/catalogueRows.ts';
import { knowledgeFor, today } from '../store/catalogueStore.ts';
import { DocketStore } from '../store/docketStore.ts';
import { DocketRow, SettingRow, ShopChangeRow } from '../store/entities.ts';
import type { Store } from '../store/openStore.ts';
import { layOutYear } from './layOutYear.ts';
import { readYear } from './readYear.ts';
import { readScenario, type Scenario } from './readScenario.ts';

const HOUR = 3600_000;
const SHOP = 'shop';

/** Whether nothing at all was ever put into a database: no settings, no docket, no row of a catalogue. */
const isEmpty = async (em: EntityManager): Promise<boolean> => {
  if ((await em.count(SettingRow, { key: SHOP })) > 0) return false;
  if ((await em.count(DocketRow, {})) > 0 || (await em.count(ShopChangeRow, {})) > 0) return false;
  for (const { name } of CATALOGUE_TABLES)
    if ((await rawRows(em, `select 1 from "${name}" limit 1`)).length > 0) return false;
  return true;
};

const layOut = async (em: EntityManager, { dockets }: Scenario, now: Date): Promise<void> => {
  const store = new DocketStore(em, async (tx, docket) => advise(docket, await knowledgeFor(tx, docket)));
  for (const { docket, openedHoursAgo, closedHoursAgo } of [...dockets].sort(
    (x, y) => y.openedHoursAgo - x.openedHoursAgo,
  )) {
    const opened = new Date(now.getTime() - openedHoursAgo * HOUR);
    const { outcome, chosen, ...fresh } = docket;
    const view = await store.create(fresh, { at: opened });
    let version = view.version;
    if (chosen) {
      const at = new Date(opened.getTime() + HOUR / 10);
      const ordered = await store.save(view.id, version, { ...fresh, chosen }, { label: 'offer chosen', at });
      version = ordered.version;
    }
    if (outcome && closedHoursAgo !== null) {
      const at = new Date(now.getTime() - closedHoursAgo * HOUR);
      await store.save(view.id, version, docket, { label: 'docket closed', at });
    }
  }
};

/** Dockets laid out in the past are listed by their times, not in the order in which they were written. */
const numberByTime = (tx: EntityManager): Promise<unknown> =>
  rawRun(
    tx,
    `update docket set changed = ordered.n from
       (select id, row_number() over (order by updated_at, number) as n from docket) as ordered
     where ordered.id = docket.id`,
  );

/**
 * Fills an empty database with a scenario: all of it goes in, or nothing does. Returns false, and changes nothing, when
 * there is anything in it already.
 *
 * @param withYear whether the year of closed dockets that it brings goes in too
 */
export const seedScenario = async (
  { orm, file, catalogue }: Store,
  folder: string,
  now: Date = new Date(),
  withYear = false,
): Promise<boolean> => {
  if (!(await isEmpty(orm.em.fork()))) return false;
  const scenario = await readScenario(folder);
  const year = withYear ? await readYear(folder, today(now)) : null;
  const to = newCatalogueFile(file);
  const filled = await openCatalogueFile(to);
  await filled.em.fork().transactional(async (tx) => {
    for (const { table, rows } of scenario.catalogue) await putRows(tx, table, rows);
  });
  await filled.close();
  seal(to);
  await catalogue.change(to, async (tx) => {
    await tx.insert(SettingRow, { key: SHOP, value: JSON.stringify(scenario.shop) });
    if (year) await layOutYear(tx, year, now);
    await layOut(tx, scenario, now);
    await numberByTime(tx);
  });
  return true;
};
