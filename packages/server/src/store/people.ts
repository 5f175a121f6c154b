import { mendDocket, type Docket } from '@hardy/core';
import type { EntityManager } from '@mikro-orm/better-sqlite';
import { PersonRow } from './entities.ts';

type Customer = NonNullable<Docket['customer']>;
/** What says who a customer is: it stands in a table of its own, nowhere else. */
const WHO = ['name', 'phone', 'firm'] as const;

/** A phone number as it is compared: without what people write between its digits. */
export const phoneKey = (phone: string | null | undefined): string | null =>
  phone?.replace(/[-/(). ]/g, '') || null;

const isAnybody = (customer: Customer | null | undefined): customer is Customer =>
  WHO.some((field) => customer?.[field] != null);

/** A docket as it is stored: who the customer is by number. */
export interface StoredDocument {
  readonly document: string;
  readonly personId: number | null;
}

/** Writes down a docket; its customer is kept once for all dockets that say the same. */
export const documentOf = async (tx: EntityManager, docket: Docket): Promise<StoredDocument> => {
  const { customer } = docket;
  if (!isAnybody(customer)) return { document: JSON.stringify(docket), personId: null };
  const { name = null, phone = null, firm = null, ...rest } = customer;
  const who = { name, phone, firm };
  const known = await tx.findOne(PersonRow, { ...who, erasedAt: null });
  const id =
    known?.id ??
    (await tx.insert(PersonRow, {
      ...who,
      nameKey: name?.toLowerCase() ?? null,
      phoneKey: phoneKey(phone),
      erasedAt: null,
    }));
  return { document: JSON.stringify({ ...docket, customer: { ...rest, person: id } }), personId: Number(id) };
};

/** A document as it was stored, by whatever version, with who the customer is; nobody where that was erased. */
export const docketOf = async (em: EntityManager, document: string): Promise<Docket> => {
  const raw = JSON.parse(document) as { customer?: (Customer & { person?: number }) | null };
  if (typeof raw.customer?.person !== 'number') return mendDocket(raw);
  const { person, ...rest } = raw.customer;
  const row = await em.findOne(PersonRow, { id: person }, { refresh: true });
  const who = row && {
    ...(row.name == null ? {} : { name: row.name }),
    ...(row.phone == null ? {} : { phone: row.phone }),
    ...(row.firm == null ? {} : { firm: row.firm }),
  };
  return mendDocket({ ...raw, customer: { ...who, ...rest } });
};
