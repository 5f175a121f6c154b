import type { EntityManager } from '@mikro-orm/better-sqlite';
import { randomUUID } from 'node:crypto';
import { ChangeRow, DocketRow } from '../store/entities.ts';
import { inChunks } from '../store/inChunks.ts';
import { fillLedger } from '../store/ledgerStore.ts';
import { documentOf } from '../store/people.ts';
import type { ClosedDocket } from './readYear.ts';

const DAY = 86_400_000;
/** The scenario’s own dockets begin after this number. */
const LAST_NUMBER = 1000;
/** Whoever was handed parts so lately and was not heard of is still to be asked. */
const STILL_ASKED_DAYS = 25;

/**
 * Lays out dockets that were closed in the past, with what the ledger counts of them, as they were said then: no advice is
 * reckoned anew, and nothing moves on the shelf, for what lies there was counted after them.
 */
export const layOutYear = async (
  tx: EntityManager,
  year: readonly ClosedDocket[],
  now: Date,
): Promise<void> => {
  const dockets = [];
  const changes = [];
  const entries = [];
  for (const [i, { docket, entry, daysAgo, action, headline }] of year.entries()) {
    const number = LAST_NUMBER - year.length + 1 + i;
    const id = randomUUID();
    const at = new Date(now.getTime() - Math.max(1, daysAgo) * DAY);
    const isAsked = entry.result === 'never-heard' && daysAgo <= STILL_ASKED_DAYS;
    const kept = isAsked ? { ...docket, outcome: null } : docket;
    const { document, personId } = await documentOf(tx, kept);
    const { chosen, customer, vehicle, outcome } = kept;
    dockets.push({
      id,
      number,
      version: 1,
      content: 1,
      state: isAsked ? 'ordered' : 'closed',
      wheelEnd: chosen?.wheelEnd ?? null,
      vehicleName: vehicle?.name ?? null,
      fleetNumber: null,
      personId,
      customerName: customer?.name ?? null,
      phone: customer?.phone ?? null,
      firm: null,
      plate: null,
      parts: (chosen?.lines ?? []).flatMap(({ partNumber }) => partNumber ?? []).join(' ') || null,
      action,
      headline,
      outcome: outcome?.result ?? null,
      document,
      createdAt: at,
      updatedAt: at,
      changed: 0,
      contentHash: null,
      closedAt: isAsked ? null : at,
    });
    changes.push({
      docketId: id,
      version: 1,
      content: 1,
      parent: null,
      kind: 'create',
      label: 'docket opened',
      changeId: null,
      contentHash: null,
      document,
      at,
    });
    if (!isAsked) entries.push({ id, entry: { ...entry, docket: number }, personId });
  }
  await inChunks(dockets, (some) => tx.insertMany(DocketRow, some));
  await inChunks(changes, (some) => tx.insertMany(ChangeRow, some));
  await fillLedger(tx, entries);
};
