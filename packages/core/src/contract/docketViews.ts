import { z } from 'zod';
import { Advice } from '../vocabulary/advice.ts';
import { Docket } from '../vocabulary/docket.ts';
import { OrderView } from '../vocabulary/orderView.ts';
import { Action } from '../vocabulary/words.ts';
import { WheelEnd } from '../vocabulary/wheelEnd.ts';

export const DocketState = z.enum(['open', 'ordered', 'closed']);
export type DocketState = z.infer<typeof DocketState>;

const when = z.iso.datetime();

/** A docket with what is advised on it, as the API shows it. */
export const DocketView = z.object({
  id: z.string(),
  number: z.number().int(),
  version: z.number().int(),
  state: DocketState,
  createdAt: when,
  updatedAt: when,
  closedAt: when.nullable(),
  canUndo: z.boolean(),
  canRedo: z.boolean(),
  docket: Docket,
  advice: Advice,
  /** Where the order stands with shelf and suppliers; null where nothing was taken. */
  order: OrderView.nullable(),
});
export type DocketView = z.infer<typeof DocketView>;

/** A line of the docket list. */
export const DocketLine = z.object({
  id: z.string(),
  number: z.number().int(),
  state: DocketState,
  wheelEnd: WheelEnd.nullable(),
  vehicleName: z.string().nullable(),
  fleetNumber: z.string().nullable(),
  customerName: z.string().nullable(),
  action: Action,
  headline: z.string(),
  outcome: z.string().nullable(),
  createdAt: when,
  updatedAt: when,
  closedAt: when.nullable(),
});
export type DocketLine = z.infer<typeof DocketLine>;

/** A customer as the counter finds it again. */
export const CustomerLine = z.object({
  id: z.number().int(),
  name: z.string().nullable(),
  phone: z.string().nullable(),
  firm: z.string().nullable(),
  dockets: z.number().int().min(0),
});
export type CustomerLine = z.infer<typeof CustomerLine>;

/** A page of the list: its lines, and how many there are in all; `isMore` where no more than `total` were counted. */
export const DocketLines = z.object({
  dockets: z.array(DocketLine),
  total: z.number().int().min(0),
  isMore: z.boolean(),
});
export type DocketLines = z.infer<typeof DocketLines>;

/** Today's figures. */
export const Figures = z.object({
  openedToday: z.number().int(),
  closedToday: z.number().int(),
  open: z.number().int(),
  ordered: z.number().int(),
  closed: z.object({
    cured: z.number().int(),
    cameBack: z.number().int(),
    wrongPart: z.number().int(),
    notCured: z.number().int(),
    unused: z.number().int(),
  }),
});
export type Figures = z.infer<typeof Figures>;

/** One entry of a docket's history. */
export const ChangeLine = z.object({
  version: z.number().int(),
  at: when,
  kind: z.enum(['create', 'edit', 'undo', 'redo']),
  label: z.string(),
});
export type ChangeLine = z.infer<typeof ChangeLine>;

/** A place that two people changed differently; absent values are not there on that side. */
const Clashing = z.object({
  place: z.array(z.union([z.string(), z.number()])),
  before: z.unknown(),
  theirs: z.unknown(),
  yours: z.unknown(),
});

/** What a 409 carries beside its words: both sides put together, and what a person has to choose. */
export const Clash = z.object({
  yourVersion: z.number().int(),
  theirVersion: z.number().int(),
  theirs: Docket,
  /** Null where nothing can be put together: a step back on a newer version. */
  merged: Docket.nullable(),
  clashes: z.array(Clashing),
});
export type Clash = z.infer<typeof Clash>;
