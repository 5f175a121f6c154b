import type { ShopChange, ShopSettings } from './shop.ts';

/** The settings as they are after a change. */
export const changedShop = (
  settings: ShopSettings,
  { overrides, ways, ...change }: ShopChange,
): ShopSettings => ({
  ...settings,
  ...(Object.fromEntries(
    Object.entries(change).filter(([, value]) => value !== undefined),
  ) as Partial<ShopSettings>),
  ways: {
    ...settings.ways,
    ...(Object.fromEntries(Object.entries(ways ?? {}).filter(([, value]) => value !== undefined)) as Partial<
      ShopSettings['ways']
    >),
  },
  overrides: Object.fromEntries(
    Object.entries({ ...settings.overrides, ...overrides }).filter(
      (entry): entry is [string, number] => entry[1] !== null,
    ),
  ),
});
