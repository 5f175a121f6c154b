import type { CostPart } from '@hardy/core/words';

/** What the bars are made of: a few groups that can be told apart by their pattern. */
export const COST_GROUPS = [
  { key: 'parts', label: 'parts', kinds: ['parts', 'companions', 'core', 'tax'] },
  { key: 'labour', label: 'labour', kinds: ['labour', 'supplies'] },
  { key: 'seizure', label: 'seized sensor', kinds: ['seizure'] },
  { key: 'waiting', label: 'waiting', kinds: ['waiting'] },
  { key: 'comeback', label: 'not cured', kinds: ['comeback'] },
  { key: 'later', label: 'later', kinds: ['later', 'bearing', 'spared'] },
] as const satisfies ReadonlyArray<{ key: string; label: string; kinds: ReadonlyArray<CostPart['kind']> }>;

type CostGroup = (typeof COST_GROUPS)[number]['key'];

/** The expected cost by group. */
export const grouped = (costs: readonly CostPart[]): Record<CostGroup, number> =>
  Object.fromEntries(
    COST_GROUPS.map(({ key, kinds }) => [
      key,
      costs.reduce(
        (sum, { kind, amount }) => ((kinds as readonly string[]).includes(kind) ? sum + amount : sum),
        0,
      ),
    ]),
  ) as Record<CostGroup, number>;
