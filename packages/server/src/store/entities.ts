import { defineEntity, p, type InferEntity } from '@mikro-orm/core';

/** A docket: the validated document, with the columns people search and sort by. */
export const DocketRow = defineEntity({
  name: 'DocketRow',
  tableName: 'docket',
  indexes: [{ properties: ['state', 'changed'] }],
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
    /** Who the customer is, by number; the other three are for lists and for searching. */
    personId: p.integer().nullable().index(),
    customerName: p.string().nullable(),
    phone: p.string().nullable(),
    firm: p.string().nullable(),
    plate: p.string().nullable().index(),
    /** Numbers of the parts taken. */
    parts: p.text().nullable(),
    action: p.string(),
    headline: p.text(),
    outcome: p.string().nullable().index(),
    document: p.text(),
    createdAt: p.datetime().index(),
    updatedAt: p.datetime().index(),
    /** Counts up with every change of any docket: the order of lists, whatever the clock says. */
    changed: p.integer().default(0).index(),
    /** What it was opened from, so that one sent twice is opened once; null where nobody named it. */
    contentHash: p.string().nullable(),
    closedAt: p.datetime().nullable().index(),
  },
});
export type DocketRow = InferEntity<typeof DocketRow>;

/** One change of a docket. Rows are only ever added. `parent` is the content version it was made on. */
export const ChangeRow = defineEntity({
  name: 'ChangeRow',
  tableName: 'docket_change',
  uniques: [{ properties: ['docketId', 'version'] }, { properties: ['docketId', 'changeId'] }],
  indexes: [
    {
      name: 'docket_change_person',
      expression: `create index "docket_change_person" on "docket_change" (json_extract("document", '$.customer.person'))`,
    },
  ],
  properties: {
    id: p.integer().primary().autoincrement(),
    docketId: p.string().index(),
    version: p.integer(),
    content: p.integer(),
    parent: p.integer().nullable(),
    kind: p.string(),
    label: p.string(),
    /** The name its maker gave it: one that is sent twice is made once. */
    changeId: p.string().nullable(),
    /** What was sent under that name. */
    contentHash: p.string().nullable(),
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

/** Who a customer is, as some docket said it; erased on request. */
export const PersonRow = defineEntity({
  name: 'PersonRow',
  tableName: 'person',
  properties: {
    id: p.integer().primary().autoincrement(),
    name: p.string().nullable(),
    phone: p.string().nullable(),
    firm: p.string().nullable(),
    /** As they are compared. */
    nameKey: p.string().nullable().index(),
    phoneKey: p.string().nullable().index(),
    erasedAt: p.datetime().nullable(),
  },
});
export type PersonRow = InferEntity<typeof PersonRow>;

/** That something was erased, and how much; not whose. Rows are only ever added. */
export const ErasureRow = defineEntity({
  name: 'ErasureRow',
  tableName: 'erasure',
  properties: {
    id: p.integer().primary().autoincrement(),
    at: p.datetime(),
    dockets: p.integer(),
    changes: p.integer(),
  },
});

/** Pieces of a part on the shelf since the catalogue’s count; another count begins anew. */
export const LevelRow = defineEntity({
  name: 'LevelRow',
  tableName: 'shelf_level',
  properties: { partNumber: p.string().primary(), counted: p.integer(), onHand: p.integer() },
});

/** What a docket has to do with a part. */
export const ClaimRow = defineEntity({
  name: 'ClaimRow',
  tableName: 'shelf_claim',
  uniques: [{ properties: ['partNumber', 'docketId'] }],
  properties: {
    id: p.integer().primary().autoincrement(),
    partNumber: p.string(),
    docketId: p.string().index(),
    since: p.integer(),
    wanted: p.integer(),
    handed: p.integer(),
    returned: p.integer(),
    opened: p.integer(),
    reserved: p.integer(),
    until: p.string().nullable(),
  },
});

/** One movement of pieces. Rows are only ever added. */
export const MoveRow = defineEntity({
  name: 'MoveRow',
  tableName: 'shelf_move',
  properties: {
    id: p.integer().primary().autoincrement(),
    partNumber: p.string().index(),
    docketId: p.string().nullable(),
    kind: p.string(),
    quantity: p.integer(),
    change: p.integer(),
    onHand: p.integer(),
    at: p.datetime(),
  },
});

/** What a supplier was asked for. */
export const SupplierOrderRow = defineEntity({
  name: 'SupplierOrderRow',
  tableName: 'supplier_order',
  properties: {
    id: p.string().primary(),
    number: p.integer().unique(),
    supplier: p.string(),
    state: p.string().index(),
    sentAt: p.datetime(),
  },
});
export type SupplierOrderRow = InferEntity<typeof SupplierOrderRow>;

export const SupplierLineRow = defineEntity({
  name: 'SupplierLineRow',
  tableName: 'supplier_order_line',
  properties: {
    id: p.integer().primary().autoincrement(),
    orderId: p.string().index(),
    docketId: p.string().index(),
    partNumber: p.string(),
    description: p.string(),
    quantity: p.integer(),
    confirmed: p.integer().nullable(),
    promised: p.string().nullable(),
    promisedBy: p.string().nullable(),
    received: p.integer(),
    /** No more of it is coming. */
    closed: p.boolean(),
  },
});
export type SupplierLineRow = InferEntity<typeof SupplierLineRow>;

/** Something came in from a supplier: by its name, so that one sent twice is booked once. */
export const ReceiptRow = defineEntity({
  name: 'ReceiptRow',
  tableName: 'supplier_receipt',
  properties: {
    id: p.string().primary(),
    orderId: p.string().index(),
    at: p.datetime(),
    contentHash: p.string().nullable(),
  },
});

/** An order that was sent to a supplier by wire and whose answer is not written down yet. */
export const WireOutboxRow = defineEntity({
  name: 'WireOutboxRow',
  tableName: 'wire_outbox',
  properties: {
    orderId: p.string().primary(),
    /** The message, as JSON. */
    sent: p.text(),
    at: p.datetime(),
    /** Why there is no answer; null while one may still come. */
    problem: p.string().nullable(),
  },
});

/** The advice as it stood when something was taken, with the numbers it was given under. Rows are only ever added. */
export const GivenAdviceRow = defineEntity({
  name: 'GivenAdviceRow',
  tableName: 'given_advice',
  properties: {
    id: p.integer().primary().autoincrement(),
    docketId: p.string().index(),
    version: p.integer(),
    at: p.datetime(),
    advice: p.text(),
    settings: p.text(),
    catalogue: p.string().nullable(),
  },
});

/** A closed docket as the ledger counts it; no customer stands in the entry. */
export const LedgerRow = defineEntity({
  name: 'LedgerRow',
  tableName: 'ledger_entry',
  properties: {
    docketId: p.string().primary(),
    number: p.integer(),
    closedOn: p.string().index(),
    line: p.string().nullable().index(),
    wheelEnd: p.string().nullable(),
    part: p.string().nullable(),
    cause: p.string().nullable(),
    desk: p.string().nullable(),
    personId: p.integer().nullable().index(),
    result: p.string(),
    entry: p.text(),
    /** What it added to the counts, to the grain. */
    counts: p.text(),
  },
});

/** What was counted, by shop, key and month; an empty name is this shop. */
export const CountRow = defineEntity({
  name: 'CountRow',
  tableName: 'learned_count',
  properties: {
    shop: p.string().primary(),
    key: p.string().primary(),
    month: p.string().primary(),
    n: p.double(),
    e: p.double(),
    x: p.double(),
    jobs: p.double(),
  },
});

/** Somebody who practises. */
export const LearnerRow = defineEntity({
  name: 'LearnerRow',
  tableName: 'learner',
  properties: { id: p.string().primary(), name: p.string().unique(), at: p.datetime() },
});

/** A round set for all. */
export const PracticeRoundRow = defineEntity({
  name: 'PracticeRoundRow',
  tableName: 'practice_round',
  properties: {
    id: p.string().primary(),
    name: p.string(),
    level: p.integer(),
    customers: p.integer(),
    seed: p.integer(),
    at: p.datetime(),
  },
});

/** A customer in practice: which, and what was done; all else follows. */
export const PracticeVisitRow = defineEntity({
  name: 'PracticeVisitRow',
  tableName: 'practice_visit',
  properties: {
    id: p.string().primary(),
    learnerId: p.string().index(),
    roundId: p.string().nullable().index(),
    /** The how-manieth of its round, from 0. */
    place: p.integer(),
    level: p.integer(),
    /** Seed of the life that was found for it. */
    life: p.integer(),
    /** The vehicle as it is known at the counter, and as the bench takes it. */
    given: p.text(),
    words: p.text(),
    deeds: p.text(),
    docketId: p.string().nullable(),
    helped: p.boolean(),
    over: p.boolean(),
    account: p.text().nullable(),
    at: p.datetime(),
    endedAt: p.datetime().nullable(),
  },
});

export type PracticeVisitRow = InferEntity<typeof PracticeVisitRow>;

export const PracticeAnswerRow = defineEntity({
  name: 'PracticeAnswerRow',
  tableName: 'practice_answer',
  properties: {
    id: p.integer().primary().autoincrement(),
    learnerId: p.string().index(),
    skill: p.string(),
    variant: p.string(),
    seed: p.integer(),
    right: p.boolean(),
    ms: p.integer(),
    /** What was thought of the learner at this skill once it was answered, logits. */
    ability: p.double(),
    variance: p.double(),
    at: p.datetime(),
  },
});

/** How hard a kind of question proved, logits. */
export const PracticeQuestionRow = defineEntity({
  name: 'PracticeQuestionRow',
  tableName: 'practice_question',
  properties: {
    skill: p.string().primary(),
    variant: p.string().primary(),
    hardness: p.double(),
    variance: p.double(),
  },
});

/** When a kind of question that was missed comes again. */
export const PracticeCardRow = defineEntity({
  name: 'PracticeCardRow',
  tableName: 'practice_card',
  properties: {
    learnerId: p.string().primary(),
    skill: p.string().primary(),
    variant: p.string().primary(),
    card: p.text(),
    due: p.datetime(),
  },
});

/** The database’s own; the catalogue has a file and entities of its own. */
export const ENTITIES = [
  DocketRow,
  ChangeRow,
  SettingRow,
  ShopChangeRow,
  LevelRow,
  ClaimRow,
  MoveRow,
  SupplierOrderRow,
  SupplierLineRow,
  ReceiptRow,
  WireOutboxRow,
  GivenAdviceRow,
  PersonRow,
  ErasureRow,
  LedgerRow,
  CountRow,
  LearnerRow,
  PracticeRoundRow,
  PracticeVisitRow,
  PracticeAnswerRow,
  PracticeQuestionRow,
  PracticeCardRow,
];
