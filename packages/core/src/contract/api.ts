import { z } from 'zod';
import { Knowledge } from '../advice/knowledge.ts';
import { Advice } from '../vocabulary/advice.ts';
import { BenchBus, BenchDrive, BenchEnd, BenchProbes, BenchState, BenchWork } from '../vocabulary/bench.ts';
import { Check, CHECK_NAMES } from '../vocabulary/check.ts';
import { MeterQuantity, ReaderCodes } from '../vocabulary/devices.ts';
import { CataloguePart } from '../vocabulary/catalogue.ts';
import { Comparison } from '../vocabulary/comparison.ts';
import { Docket } from '../vocabulary/docket.ts';
import { LearnedCounts } from '../ledger/tally.ts';
import {
  BadPart,
  Calibration,
  Comeback,
  LearnedLine,
  LedgerFigures,
  Unheard,
} from '../vocabulary/ledgerViews.ts';
import { WeakPlace } from '../vocabulary/weakPlace.ts';
import { IntakeReading } from '../vocabulary/intakeReading.ts';
import { TOOLS } from '../vocabulary/partFigures.ts';
import { LONGEST, MOST_ORDER_LINES } from '../vocabulary/longest.ts';
import { SupplierOrder, SupplierOrderFile, ToOrder } from '../vocabulary/supplierOrder.ts';
import { ShopChange } from '../vocabulary/shop.ts';
import { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { Cause, PartClass, Side } from '../vocabulary/words.ts';
import { BackupsView } from './backupViews.ts';
import { ChangeLine, CustomerLine, DocketLine, DocketLines, DocketView, Figures } from './docketViews.ts';
import { Cleared, DevicesView, Measured, StockSaid, WireAnswer } from './deviceViews.ts';
import { PRACTICE_API } from './practiceApi.ts';
import { ImportMode, ImportProgress, MatchAnswer, PartView } from './partViews.ts';
import { AssumptionLine, ShopView, TurnedAnswer, VehicleLine } from './shopViews.ts';

/** Text that is read: as long as a pasted scan report may be. */
const MOST_TEXT = 1_100_000;
const version = z.number().int().min(1);
/** A name its maker gives a docket or a change, so that one sent twice is made once. */
const made = z.uuid();

/** Chips a person moved to another wheel, by key. */
const Moves = z.record(z.string().max(300), WheelEnd.nullable());
const words = z.string().min(1).max(MOST_TEXT);
const orderedNumber = z.string().min(1).max(LONGEST.partNumber);
const pieces = z.number().int().min(0).max(10_000);
const Step = z.strictObject({ version, changeId: made.nullish() });

export const IntakeRequest = z.strictObject({
  text: z.string().max(MOST_TEXT),
  moves: Moves.optional(),
  steeringSide: Side.nullish(),
  trafficSide: Side.nullish(),
  axles: z.number().int().min(1).max(9).nullish(),
});
export type IntakeRequest = z.infer<typeof IntakeRequest>;

const filterText = z.string().max(80).optional();
const LedgerQuery = z.strictObject({
  from: z.iso.date().optional(),
  to: z.iso.date().optional(),
  line: filterText,
  part: PartClass.optional(),
  wheelEnd: WheelEnd.optional(),
  cause: Cause.optional(),
  desk: filterText,
  customer: z.coerce.number().int().min(1).optional(),
});

/** One way in: what it takes in its address and its body, and what it answers. */
interface Endpoint {
  readonly query?: z.ZodType;
  readonly body?: z.ZodType;
  readonly answer: z.ZodType;
}

const nothing = z.strictObject({});
const forDocket = z.strictObject({ docketId: z.string().min(1).max(80) });
/** Nothing comes back but that it was done. */
const done = z.null();

/**
 * The whole API, one line a way in: the server checks what comes by it, the pages take their types from it, the tests
 * hold every answer against it. A docket in a body is `unknown` here: `parseDocket` reads it, with its own messages.
 */
export const API = {
  'GET /health': { answer: z.object({ ok: z.literal(true) }) },

  'GET /dockets': {
    query: z.strictObject({
      state: z.enum(['all', 'current', 'open', 'ordered', 'closed']).default('current'),
      q: z.string().max(100).default(''),
      limit: z.coerce.number().int().min(1).max(500).default(100),
      offset: z.coerce.number().int().min(0).max(1_000_000).default(0),
    }),
    answer: DocketLines,
  },
  'POST /dockets': {
    body: z.union([
      z.strictObject({ id: made.nullish(), words, moves: Moves.optional() }),
      z.strictObject({ id: made.nullish(), docket: z.unknown() }),
    ]),
    answer: DocketView,
  },
  'GET /dockets/:id': { answer: DocketView },
  'PUT /dockets/:id': {
    body: z.strictObject({
      version,
      docket: z.unknown(),
      label: z.string().min(1).max(200),
      changeId: made.nullish(),
    }),
    answer: DocketView,
  },
  'POST /dockets/:id/words': {
    /** The words are heard on the newest version; the one the page had is only for its record. */
    body: z.strictObject({ version, words, moves: Moves.optional(), changeId: made.nullish() }),
    answer: DocketView,
  },
  'POST /dockets/:id/undo': { body: Step, answer: DocketView },
  'POST /dockets/:id/redo': { body: Step, answer: DocketView },
  'GET /dockets/:id/knowledge': { answer: Knowledge },
  'GET /dockets/:id/compare': {
    query: z.strictObject({
      seed: z.coerce
        .number()
        .int()
        .min(0)
        .max(2 ** 31 - 1)
        .optional(),
    }),
    answer: Comparison,
  },
  'GET /dockets/:id/history': { answer: z.array(ChangeLine) },
  'GET /dockets/:id/file': { answer: Docket },
  /** Earlier dockets of its customer and of its vehicle. */
  'GET /dockets/:id/earlier': {
    answer: z.object({
      customerId: z.number().int().nullable(),
      customer: z.array(DocketLine),
      vehicle: z.array(DocketLine),
    }),
  },
  'GET /customers': {
    query: z.strictObject({ q: z.string().max(100).default('') }),
    answer: z.array(CustomerLine),
  },
  /** Erases who a customer is, for good: words, history and search; the job’s facts stay. */
  'POST /customers/:id/erase': {
    body: z.strictObject({}),
    answer: z.object({ dockets: z.number().int(), changes: z.number().int() }),
  },
  /** When something was erased, and how much; not whose. */
  'GET /erasures': {
    answer: z.array(z.object({ at: z.iso.datetime(), dockets: z.number().int(), changes: z.number().int() })),
  },
  'GET /figures': { answer: Figures },

  /** Closed dockets counted, by filter: days inclusive. */
  'GET /ledger': {
    query: LedgerQuery,
    answer: z.object({
      figures: LedgerFigures,
      lines: z.array(z.object({ id: z.string(), name: z.string() })),
      desks: z.array(z.string()),
      bad: z.array(BadPart),
      weak: z.array(WeakPlace),
    }),
  },
  'GET /ledger/file': { query: LedgerQuery, answer: z.string() },
  'GET /ledger/calibration': { query: LedgerQuery, answer: Calibration },
  /** Orders handed over of which nobody said what came of it, oldest first. */
  'GET /ledger/unheard': {
    query: z.strictObject({ limit: z.coerce.number().int().min(1).max(200).default(50) }),
    answer: z.object({ unheard: z.array(Unheard), total: z.number().int() }),
  },
  'GET /ledger/learned': { answer: z.array(LearnedLine) },
  /** Learned counts, without customers; and those of another shop poured in. */
  'GET /ledger/counts': { answer: LearnedCounts },
  'POST /ledger/counts': {
    body: z.unknown(),
    answer: z.object({ shop: z.string(), counts: z.number().int() }),
  },
  'POST /ledger/relearn': { body: z.strictObject({}), answer: z.object({ jobs: z.number().int() }) },
  /** Earlier sales that a docket may have come back from. */
  'GET /dockets/:id/comebacks': { answer: z.array(Comeback) },
  /** Says that a docket came back from an earlier one: both are linked, the earlier outcome is corrected. */
  'POST /dockets/:id/comebacks': {
    body: z.strictObject({ of: z.number().int().min(1), changeId: made.nullish() }),
    answer: DocketView,
  },

  /** What is missing from suppliers, and the orders sent. */
  'GET /orders': {
    answer: z.object({
      toOrder: z.array(ToOrder),
      orders: z.array(SupplierOrder),
      /** Suppliers that take orders by wire. */
      wires: z.array(z.string()),
    }),
  },
  'POST /orders': {
    body: z.strictObject({ id: made.nullish(), supplier: z.string().min(1).max(LONGEST.supplier) }),
    answer: SupplierOrder,
  },
  /** The order as the supplier gets it: JSON, or CSV for a spreadsheet. */
  'GET /orders/:id/file': {
    query: z.strictObject({ as: z.enum(['json', 'csv']).default('json') }),
    answer: SupplierOrderFile,
  },
  'POST /orders/:id/confirm': {
    body: z.strictObject({
      by: z.string().min(1).max(LONGEST.customerName),
      lines: z
        .array(
          z.strictObject({ partNumber: orderedNumber, quantity: pieces, promised: z.iso.date().nullish() }),
        )
        .min(1)
        .max(MOST_ORDER_LINES),
    }),
    answer: SupplierOrder,
  },
  'POST /orders/:id/receive': {
    body: z.strictObject({
      /** A name its maker gives it: sent twice it is booked once. */
      id: made,
      lines: z.array(z.strictObject({ partNumber: orderedNumber, quantity: pieces })).max(MOST_ORDER_LINES),
      close: z.boolean(),
    }),
    answer: SupplierOrder,
  },

  /** What a supplier's service says it has of a part. */
  'GET /suppliers/:id/stock': {
    query: z.strictObject({ partNumber: orderedNumber }),
    answer: StockSaid,
  },
  /** Sends an order by wire, and writes down what is coming. */
  'POST /orders/:id/wire': {
    body: z.strictObject({ atTodaysPrices: z.boolean() }),
    answer: WireAnswer,
  },

  ...PRACTICE_API,

  /** The devices of the start-up file. Where they are can be named nowhere else. */
  'GET /devices': { answer: DevicesView },
  /** Asks every one of them whether it answers. */
  'POST /devices/find': { body: nothing, answer: DevicesView },
  /** Begins to read every controller; how far it is stands in `GET /devices`. */
  'POST /devices/reader/read': { body: forDocket, answer: DevicesView },
  'POST /devices/reader/stop': { body: nothing, answer: DevicesView },
  /** Clears the codes of every controller: refused while a wheel turns or a stop stands on the docket. */
  'POST /devices/reader/clear': {
    body: z.strictObject({ docketId: z.string().min(1).max(80), sure: z.literal(true) }),
    answer: Cleared,
  },
  /** Wheel speeds as they go, as events of a stream: one array of milliseconds and km/h each. */
  'GET /devices/reader/live': {
    query: z.strictObject({ hz: z.coerce.number().int().min(10).max(50).default(50) }),
    answer: z.string(),
  },
  /** The codes in a frame log of a vehicle's bus. */
  'POST /devices/frame-log': { body: z.strictObject({ text: words }), answer: ReaderCodes },
  'POST /devices/meter/measure': { body: z.strictObject({ what: MeterQuantity }), answer: Measured },
  /** The bench that stands in for a vehicle. */
  'POST /devices/bench/vehicle': {
    body: forDocket.extend({
      seed: z
        .number()
        .int()
        .min(0)
        .max(2 ** 31 - 1)
        .nullish(),
    }),
    answer: BenchState,
  },
  /** What runs over its bus, as a frame log. */
  'GET /devices/bench/frame-log': { answer: BenchBus },
  'POST /devices/bench/drive': { body: BenchDrive, answer: BenchState },
  'POST /devices/bench/skip': { body: nothing, answer: BenchState },
  'POST /devices/bench/work': { body: BenchWork, answer: BenchState },
  'POST /devices/bench/probes': { body: BenchProbes, answer: BenchState },
  'POST /devices/bench/check': {
    body: z.strictObject({ check: z.enum(CHECK_NAMES), wheelEnd: BenchEnd }),
    answer: z.object({ found: Check.nullable() }),
  },

  'POST /intake': { body: IntakeRequest, answer: IntakeReading },
  'POST /preview': {
    body: IntakeRequest.extend({
      /** The docket the words are added to; absent for a new one. */
      docketId: z.string().max(80).nullish(),
      /** The knowledge the page already holds. */
      have: z.string().max(200).nullish(),
    }),
    answer: z.object({
      reading: IntakeReading,
      docket: Docket,
      tag: z.string(),
      /** Null where the page holds it already. */
      knowledge: Knowledge.nullable(),
    }),
  },
  'POST /advise': { body: z.unknown(), answer: Advice },

  'GET /vehicles': { answer: z.array(VehicleLine) },
  'GET /shop': { answer: ShopView },
  'PATCH /shop': {
    /** Which version it was made on: another in between is told, with both sides (409). */
    body: z.strictObject({ version: z.number().int().min(0), change: ShopChange }),
    answer: ShopView,
  },
  'GET /shop/turned': { answer: TurnedAnswer },

  'GET /backups': { answer: BackupsView },
  /** Starts a backup; how far it is stands in the list. */
  'POST /backups': { body: z.strictObject({}), answer: BackupsView },
  /** Deletes one by its name; the newest stays. */
  'DELETE /backups/:name': { answer: BackupsView },

  'GET /assumptions': { answer: z.array(AssumptionLine) },

  'GET /parts': {
    query: z.strictObject({ q: z.string().max(120).default(''), class: PartClass.nullish() }),
    answer: z.array(CataloguePart),
  },
  'GET /parts/:number': { answer: PartView },
  'POST /match': {
    body: z.strictObject({
      partClass: PartClass,
      vehicleId: z.string().max(80).nullish(),
      readings: z
        .array(
          z.strictObject({
            key: z.string().max(40),
            value: z.union([z.number().min(0).max(10000), z.string().max(40)]),
            tool: z.enum(TOOLS),
          }),
        )
        .max(20),
    }),
    answer: MatchAnswer,
  },

  /** The newest import since the server began, or what became of one it was ended in. */
  'GET /imports': { answer: z.object({ import: ImportProgress.nullable() }) },
  'POST /imports': { body: z.strictObject({}), answer: z.object({ id: z.string() }) },
  'POST /imports/:id/run': { body: z.strictObject({ mode: ImportMode }), answer: z.object({}) },
  'GET /imports/:id': { answer: ImportProgress },
  'DELETE /imports/:id': { answer: done },
} as const satisfies Readonly<Record<string, Endpoint>>;

export type Api = typeof API;
export type ApiName = keyof Api;
/** What an endpoint answers. */
export type Answer<N extends ApiName> = z.output<Api[N]['answer']>;
/** What an endpoint takes as its body. */
export type Body<N extends ApiName> = Api[N] extends { body: infer B extends z.ZodType }
  ? z.input<B>
  : undefined;
/** What an endpoint takes behind the question mark. */
export type Query<N extends ApiName> = Api[N] extends { query: infer Q extends z.ZodType }
  ? z.input<Q>
  : undefined;
