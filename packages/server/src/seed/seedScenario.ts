import type { MikroORM } from '@mikro-orm/better-sqlite';
import { createDocket, saveDocket } from '../store/docketStore.ts';
import { putRows } from '../store/catalogueRows.ts';
import { SettingRow } from '../store/entities.ts';
import { readScenario } from './readScenario.ts';

const HOUR = 3600_000;

/** Fills an empty database with a scenario. Returns false, and changes nothing, when there is something in it already. */
export const seedScenario = async (
  orm: MikroORM,
  folder: string,
  now: Date = new Date(),
): Promise<boolean> => {
  if ((await orm.em.fork().count(SettingRow, {})) > 0) return false;
  const scenario = await readScenario(folder);
  const em = orm.em.fork();
  await em.transactional(async (tx) => {
    for (const { table, rows } of scenario.catalogue) await putRows(tx, table, rows);
    await tx.insert(SettingRow, { key: 'shop', value: JSON.stringify(scenario.shop) });
  });
  for (const { docket, openedHoursAgo, closedHoursAgo } of [...scenario.dockets].sort(
    (x, y) => y.openedHoursAgo - x.openedHoursAgo,
  )) {
    const fork = orm.em.fork();
    const opened = new Date(now.getTime() - openedHoursAgo * HOUR);
    const { outcome, chosen, ...fresh } = docket;
    const view = await createDocket(fork, fresh, opened);
    let version = view.version;
    if (chosen) {
      const ordered = await saveDocket(
        fork,
        view.id,
        version,
        { ...fresh, chosen },
        'offer chosen',
        new Date(opened.getTime() + HOUR / 10),
      );
      version = ordered.version;
    }
    if (outcome && closedHoursAgo !== null)
      await saveDocket(
        fork,
        view.id,
        version,
        docket,
        'docket closed',
        new Date(now.getTime() - closedHoursAgo * HOUR),
      );
  }
  return true;
};
