import { Migration } from '@mikro-orm/migrations';

/** What selling needs beside the parts: who sends them, whether they are new, and when something goes along. */
export class Catalogue002Sale extends Migration {
  override up(): void {
    for (const sql of [
      `create table "supplier" ("id" text not null, "name" text not null, "days" real not null, "order_until" text null, "phone" text null, "note" text null, primary key ("id"))`,
      `alter table "part" add column "supplier" text null`,
      `alter table "part" add column "state" text not null default 'new'`,
      `create index "part_supplier_index" on "part" ("supplier")`,
      `alter table "companion_rule" add column "conditions" text not null default '{}'`,
      `alter table "companion_rule" add column "once_per_order" integer not null default false`,
    ])
      this.addSql(sql);
  }
}
