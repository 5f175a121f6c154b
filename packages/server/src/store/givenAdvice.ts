import type { Advice, Docket } from '@hardy/core';
import type { EntityManager } from '@mikro-orm/better-sqlite';
import { today } from './catalogueStore.ts';
import { POINTER } from './cataloguePointer.ts';
import { GivenAdviceRow, SettingRow } from './entities.ts';
import { learnedFor } from './learnedStore.ts';
import { shopSettings } from './shopStore.ts';

/** Advice as it stood when something was taken, and what learning had put in place of judgement that day. */
export interface GivenAdvice {
  readonly at: Date;
  readonly advice: Advice;
  readonly learned: Readonly<Record<string, number>>;
}

/** Keeps the advice as it stands when something is taken, with the numbers it was given under. */
export const keepAdvice = async (
  tx: EntityManager,
  docketId: string,
  version: number,
  { docket, advice }: { docket: Docket; advice: Advice },
  at: Date,
): Promise<void> => {
  const shop = await shopSettings(tx);
  const { overrides: learned } = await learnedFor(tx, shop, docket.vehicle?.catalogueId ?? null, today());
  const { overrides, school } = shop;
  const pointer = await tx.findOne(SettingRow, { key: POINTER });
  await tx.insert(GivenAdviceRow, {
    docketId,
    version,
    at,
    advice: JSON.stringify(advice),
    settings: JSON.stringify({ overrides, school, learned }),
    catalogue: pointer?.value ?? null,
  });
};

/** The advice a docket’s order was last taken under; null where nothing was taken, or before such was kept. */
export const adviceGiven = async (em: EntityManager, docketId: string): Promise<GivenAdvice | null> => {
  const [row] = await em.find(GivenAdviceRow, { docketId }, { orderBy: { id: 'desc' }, limit: 1 });
  if (!row) return null;
  const { learned = {} } = JSON.parse(row.settings) as { learned?: Record<string, number> };
  return { at: row.at, advice: JSON.parse(row.advice) as Advice, learned };
};
