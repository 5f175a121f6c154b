import type { ShopChange, ShopSettings } from './shop.ts';

type Numbers = Readonly<Record<string, number>>;

/** Numbers after a change: null takes one away. */
const withChanges = (
  numbers: Numbers,
  change: Readonly<Record<string, number | null>> | undefined,
): Record<string, number> =>
  Object.fromEntries(
    Object.entries({ ...numbers, ...change }).filter((entry): entry is [string, number] => entry[1] !== null),
  );

/** The settings as they are after a change. */
export const changedShop = (
  settings: ShopSettings,
  { overrides, frozen, ways, ...change }: ShopChange,
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
  overrides: withChanges(settings.overrides, overrides),
  frozen: withChanges(settings.frozen, frozen),
});
