import { Migration } from '@mikro-orm/migrations';

/** What came of closed dockets, and what was counted of it. */
export class Migration008Ledger extends Migration {
  override up(): void {
    for (const sql of [
      `create table "ledger_entry" ("docket_id" text not null, "number" integer not null, "closed_on" text not null, "line" text null, "wheel_end" text null, "part" text null, "cause" text null, "desk" text null, "person_id" integer null, "result" text not null, "entry" text not null, "counts" text not null, primary key ("docket_id"))`,
      `create index "ledger_entry_closed_on_index" on "ledger_entry" ("closed_on")`,
      `create index "ledger_entry_line_index" on "ledger_entry" ("line")`,
      `create index "ledger_entry_person_id_index" on "ledger_entry" ("person_id")`,
      `create table "learned_count" ("shop" text not null, "key" text not null, "month" text not null, "n" double not null, "e" double not null, "x" double not null, "jobs" double not null, primary key ("shop", "key", "month"))`,
    ])
      this.addSql(sql);
  }
}
