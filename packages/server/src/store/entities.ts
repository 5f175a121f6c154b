import { defineEntity, p, type InferEntity } from '@mikro-orm/core';

/** A docket: the validated document, with the columns people search and sort by. */
export const DocketRow = defineEntity({
  name: 'DocketRow',
  tableName: 'docket',
  indexes: [{ properties: ['state', 'updatedAt'] }],
  properties: {
    id: p.string().primary(),
    number: p.integer().unique(),
    version: p.integer(),
    /** Content version shown now: that of an edit, or of the edit an undo went back to. */
    content: p.integer(),
    state: p.string().index(),
    wheelEnd: p.string().nullable().index(),
    vehicleName: p.string().nullable(),
    fleetNumber: p.string().nullable().index(),
    customerName: p.string().nullable(),
    action: p.string(),
    headline: p.text(),
    outcome: p.string().nullable().index(),
    document: p.text(),
    createdAt: p.datetime().index(),
    updatedAt: p.datetime().index(),
    closedAt: p.datetime().nullable().index(),
  },
});
export type DocketRow = InferEntity<typeof DocketRow>;

/** One change of a docket. Rows are only ever added. `parent` is the content version it was made on. */
export const ChangeRow = defineEntity({
  name: 'ChangeRow',
  tableName: 'docket_change',
  uniques: [{ properties: ['docketId', 'version'] }],
  properties: {
    id: p.integer().primary().autoincrement(),
    docketId: p.string().index(),
    version: p.integer(),
    content: p.integer(),
    parent: p.integer().nullable(),
    kind: p.string(),
    label: p.string(),
    /** The name its maker gave it: one that is sent twice is made once. */
    changeId: p.string().nullable().unique(),
    document: p.text(),
    at: p.datetime(),
  },
});
export type ChangeRow = InferEntity<typeof ChangeRow>;

/** Settings of the shop, one JSON value a key. */
export const SettingRow = defineEntity({
  name: 'SettingRow',
  tableName: 'setting',
  properties: { key: p.string().primary(), value: p.text() },
});

/** One change of the shop's settings. Rows are only ever added. */
export const ShopChangeRow = defineEntity({
  name: 'ShopChangeRow',
  tableName: 'shop_change',
  properties: {
    version: p.integer().primary().autoincrement(false),
    /** JSON of what was changed, and of the settings after it. */
    change: p.text(),
    settings: p.text(),
    at: p.datetime(),
  },
});

/** The database’s own; the catalogue has a file and entities of its own. */
export const ENTITIES = [DocketRow, ChangeRow, SettingRow, ShopChangeRow];
