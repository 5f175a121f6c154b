import { Migration } from '@mikro-orm/migrations';

/**
 * Figures, barcodes, supersession, kits and conditions; and the index that parts are searched by, kept up by triggers:
 * a trigram index finds pieces of words and forgives a misspelt one.
 */
export class Migration002Catalogue extends Migration {
  override up(): void {
    this.addSql(`alter table "vehicle" add column "platform" text null`);
    for (const column of [
      `"plain_number" text not null default ''`,
      `"pack_quantity" integer not null default 1`,
      `"branch_stock" integer not null default 0`,
      `"barcode" text null`,
      `"superseded_by" text null`,
      `"interchange" text null`,
      `"contents" text not null default '[]'`,
      `"measures" text not null default '{}'`,
      `"looks" text not null default '{}'`,
      `"ohms_low" real null`,
      `"ohms_high" real null`,
    ])
      this.addSql(`alter table "part" add column ${column}`);
    this.addSql(
      `update "part" set "plain_number" = upper(replace(replace(replace("number", '-', ''), '.', ''), ' ', ''))`,
    );
    for (const column of ['plain_number', 'barcode', 'superseded_by', 'interchange'])
      this.addSql(`create index "part_${column}_index" on "part" ("${column}")`);
    this.addSql(`alter table "application" add column "conditions" text not null default '{}'`);
    this.addSql(`alter table "application" add column "row_key" text not null default ''`);
    this.addSql(
      `update "application" set "row_key" = "part_number" || '|' || "vehicle_id" || '|' || "wheel_ends" || '|' || coalesce("built_from", '') || '|'`,
    );
    this.addSql(`create unique index "application_row_key_unique" on "application" ("row_key")`);
    this.addSql(
      `create virtual table "part_search" using fts5("number" unindexed, "words", tokenize = 'trigram')`,
    );
    const words = (row: string) =>
      `${row}."number" || ' ' || ${row}."plain_number" || ' ' || ${row}."description" || ' ' || ${row}."brand" || ' ' || replace(${row}."part_class", '-', ' ')`;
    this.addSql(
      `insert into "part_search" ("rowid", "number", "words") select "rowid", "number", ${words('"part"')} from "part"`,
    );
    this.addSql(
      `create trigger "part_search_add" after insert on "part" begin insert into "part_search" ("rowid", "number", "words") values (new."rowid", new."number", ${words('new')}); end`,
    );
    this.addSql(
      `create trigger "part_search_change" after update on "part" begin update "part_search" set "number" = new."number", "words" = ${words('new')} where "rowid" = old."rowid"; end`,
    );
    this.addSql(
      `create trigger "part_search_drop" after delete on "part" begin delete from "part_search" where "rowid" = old."rowid"; end`,
    );
  }
}
