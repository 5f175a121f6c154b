import { Migration } from '@mikro-orm/migrations';

/**
 * What a shop of many years needs: an index to find dockets by, kept up by triggers, and lists in their order without
 * sorting. Changes have a name their maker gave them, so that one sent twice is made once; what replaces a row of a
 * history is refused like what updates or deletes it.
 */
export class Migration005Search extends Migration {
  override up(): void {
    this.addSql(`alter table "docket_change" add column "change_id" text null`);
    this.addSql(`create unique index "docket_change_change_id_unique" on "docket_change" ("change_id")`);
    this.addSql(
      `create trigger "docket_change_no_replace" before insert on "docket_change" when exists (select 1 from "docket_change" where "id" = new."id" or ("docket_id" = new."docket_id" and "version" = new."version")) begin select raise(abort, 'history is append-only'); end`,
    );
    this.addSql(
      `create trigger "shop_change_no_replace" before insert on "shop_change" when exists (select 1 from "shop_change" where "version" = new."version") begin select raise(abort, 'history is append-only'); end`,
    );
    this.addSql(`create index "docket_state_updated_at_index" on "docket" ("state", "updated_at")`);
    this.addSql(`create index "docket_outcome_index" on "docket" ("outcome")`);
    // By the docket's number: a row's place in the file may change, its number never.
    this.addSql(
      `create virtual table "docket_search" using fts5("vehicle", "fleet", "customer", "headline", "number", tokenize = 'trigram')`,
    );
    const columns = `"rowid", "vehicle", "fleet", "customer", "headline", "number"`;
    const values = (row: string) =>
      `${row}"number", ${row}"vehicle_name", ${row}"fleet_number", ${row}"customer_name", ${row}"headline", ${row}"number"`;
    this.addSql(`insert into "docket_search" (${columns}) select ${values('')} from "docket"`);
    this.addSql(
      `create trigger "docket_search_add" after insert on "docket" begin insert into "docket_search" (${columns}) values (${values('new.')}); end`,
    );
    this.addSql(
      `create trigger "docket_search_change" after update on "docket" when old."vehicle_name" is not new."vehicle_name" or old."fleet_number" is not new."fleet_number" or old."customer_name" is not new."customer_name" or old."headline" is not new."headline" begin update "docket_search" set "vehicle" = new."vehicle_name", "fleet" = new."fleet_number", "customer" = new."customer_name", "headline" = new."headline" where "rowid" = old."number"; end`,
    );
    this.addSql(
      `create trigger "docket_search_drop" after delete on "docket" begin delete from "docket_search" where "rowid" = old."number"; end`,
    );
  }
}
