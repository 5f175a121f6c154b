import { assumptionsWith, changedShop, parse, ShopSettings, type ShopChange } from '@hardy/core';
import type { ShopView } from '@hardy/core/contract';
import type { EntityManager } from '@mikro-orm/better-sqlite';
import { problem } from '../problem.ts';
import { SettingRow, ShopChangeRow } from './entities.ts';

const SHOP = 'shop';

/** The shop's settings as they stand. */
export const shopSettings = async (em: EntityManager): Promise<ShopSettings> => {
  const row = await em.findOne(SettingRow, { key: SHOP });
  return parse(ShopSettings, row ? JSON.parse(row.value) : {}, SHOP);
};

/** The settings with the number of the change that made them; 0 for those a shop began with. */
export const shopView = async (em: EntityManager): Promise<ShopView> => {
  const last = await em.findOne(ShopChangeRow, { version: { $gt: 0 } }, { orderBy: { version: 'desc' } });
  return { ...(await shopSettings(em)), version: last?.version ?? 0 };
};

/**
 * Changes the settings made on a version, and keeps the change for good.
 * @throws BadInput for a number that is none or out of its range; 409 with both sides where another change came between.
 */
export const changeShop = (
  em: EntityManager,
  version: number,
  change: ShopChange,
  at: Date = new Date(),
): Promise<ShopView> =>
  em.transactional(async (tx) => {
    const { version: theirVersion, ...theirs } = await shopView(tx);
    if (version !== theirVersion)
      throw problem(
        409,
        'Changed meanwhile',
        `the settings were changed by someone else: you had version ${version}, they are at ${theirVersion}. Nothing was kept; both sides are below.`,
        { yourVersion: version, theirVersion, theirs, yours: change },
      );
    const settings = changedShop(theirs, change);
    assumptionsWith(settings.overrides);
    const next = version + 1;
    await tx.upsert(SettingRow, { key: SHOP, value: JSON.stringify(settings) });
    await tx.insert(ShopChangeRow, {
      version: next,
      change: JSON.stringify(change),
      settings: JSON.stringify(settings),
      at,
    });
    return { ...settings, version: next };
  });
