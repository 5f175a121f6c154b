import { Migration } from '@mikro-orm/migrations';

/**
 * Ids of changes belong to their docket and to what they change. Lists follow the order of the changes, not the clock.
 * An order that is sent by wire is kept until its answer has come.
 */
export class Migration010Whole extends Migration {
  override up(): void {
    for (const sql of [
      `alter table "docket_change" add column "content_hash" text null`,
      `drop index "docket_change_change_id_unique"`,
      `create unique index "docket_change_docket_id_change_id_unique" on "docket_change" ("docket_id", "change_id")`,
      `alter table "docket" add column "content_hash" text null`,
      `alter table "docket" add column "changed" integer not null default 0`,
      `update "docket" set "changed" = "ordered"."n" from (select "id", row_number() over (order by "updated_at", "number") as "n" from "docket") as "ordered" where "ordered"."id" = "docket"."id"`,
      `create index "docket_changed_index" on "docket" ("changed")`,
      `create index "docket_state_changed_index" on "docket" ("state", "changed")`,
      `drop index "docket_state_updated_at_index"`,
      `alter table "supplier_receipt" add column "content_hash" text null`,
      `create table "wire_outbox" ("order_id" text not null, "sent" text not null, "at" datetime not null, "problem" text null, primary key ("order_id"))`,
    ])
      this.addSql(sql);
  }
}
