import { Migration } from '@mikro-orm/migrations';

const appendOnly = (table: string): string[] =>
  ['update', 'delete'].map(
    (verb) =>
      `create trigger "${table}_no_${verb}" before ${verb} on "${table}" begin select raise(abort, 'history is append-only'); end`,
  );

/**
 * The sale: what lies on the shelf and for whom it is put aside, how it moved, what suppliers were asked for, and the
 * advice as it was given when something was taken.
 */
export class Migration006Sale extends Migration {
  override up(): void {
    for (const sql of [
      `create table "shelf_level" ("part_number" text not null, "counted" integer not null, "on_hand" integer not null, primary key ("part_number"))`,
      `create table "shelf_claim" ("id" integer not null primary key autoincrement, "part_number" text not null, "docket_id" text not null, "since" integer not null, "wanted" integer not null, "handed" integer not null, "returned" integer not null, "opened" integer not null, "reserved" integer not null, "until" text null)`,
      `create unique index "shelf_claim_part_number_docket_id_unique" on "shelf_claim" ("part_number", "docket_id")`,
      `create index "shelf_claim_docket_id_index" on "shelf_claim" ("docket_id")`,
      `create table "shelf_move" ("id" integer not null primary key autoincrement, "part_number" text not null, "docket_id" text null, "kind" text not null, "quantity" integer not null, "change" integer not null, "on_hand" integer not null, "at" datetime not null)`,
      `create index "shelf_move_part_number_index" on "shelf_move" ("part_number")`,
      ...appendOnly('shelf_move'),
      `create table "supplier_order" ("id" text not null, "number" integer not null, "supplier" text not null, "state" text not null, "sent_at" datetime not null, primary key ("id"))`,
      `create unique index "supplier_order_number_unique" on "supplier_order" ("number")`,
      `create index "supplier_order_state_index" on "supplier_order" ("state")`,
      `create table "supplier_order_line" ("id" integer not null primary key autoincrement, "order_id" text not null, "docket_id" text not null, "part_number" text not null, "description" text not null, "quantity" integer not null, "confirmed" integer null, "promised" text null, "promised_by" text null, "received" integer not null, "closed" integer not null)`,
      `create index "supplier_order_line_order_id_index" on "supplier_order_line" ("order_id")`,
      `create index "supplier_order_line_docket_id_index" on "supplier_order_line" ("docket_id")`,
      `create table "supplier_receipt" ("id" text not null, "order_id" text not null, "at" datetime not null, primary key ("id"))`,
      `create index "supplier_receipt_order_id_index" on "supplier_receipt" ("order_id")`,
      `create table "given_advice" ("id" integer not null primary key autoincrement, "docket_id" text not null, "version" integer not null, "at" datetime not null, "advice" text not null, "settings" text not null, "catalogue" text null)`,
      `create index "given_advice_docket_id_index" on "given_advice" ("docket_id")`,
      ...appendOnly('given_advice'),
    ])
      this.addSql(sql);
  }
}
