import { Migration } from '@mikro-orm/migrations';

/** The catalogue’s tables, and the index that parts are searched by, kept up by triggers: a trigram index finds pieces of words. */
export class Catalogue001Schema extends Migration {
  override up(): void {
    for (const sql of [
      `create table "vehicle" ("id" text not null, "make" text not null, "model" text not null, "kind" text not null, "built_from" text not null, "built_to" text null, "axles" integer not null, "driveline" text not null, "steering_side" text null, "knuckle" text null, "electric" integer not null, "tyre" text null, "dictionary" text null, "platform" text null, primary key ("id"))`,
      `create table "sensing" ("id" integer not null primary key autoincrement, "vehicle_id" text not null, "position" text not null, "sensor" text null, "mounting" text null, "target" text null, "ring_sold_alone" integer null)`,
      `create table "fleet" ("fleet_number" text not null, "plate" text null, "vin" text null, "vehicle_id" text not null, "build_date" text null, "salt_exposure" text null, "distance_km" real null, "note" text null, primary key ("fleet_number"))`,
      `create table "part" ("number" text not null, "part_class" text not null, "tier" text not null, "brand" text not null, "description" text not null, "price_cents" integer not null, "stock" integer not null, "bin" text null, "supplier_days" real not null, "warranty_months" integer not null, "plain_number" text not null default '', "pack_quantity" integer not null default 1, "branch_stock" integer not null default 0, "barcode" text null, "superseded_by" text null, "interchange" text null, "contents" text not null default '[]', "measures" text not null default '{}', "looks" text not null default '{}', "ohms_low" real null, "ohms_high" real null, "cost_cents" integer null, "core_cents" integer not null default 0, primary key ("number"))`,
      `create table "application" ("id" integer not null primary key autoincrement, "part_number" text not null, "vehicle_id" text not null, "wheel_ends" text not null, "built_from" text null, "built_to" text null, "conditions" text not null default '{}', "row_key" text not null default '')`,
      `create table "job_note" ("id" integer not null primary key autoincrement, "vehicle_id" text not null, "axle" integer not null, "part_class" text not null, "labour_hours" real not null, "access" text not null, "tools" text not null, "torques" text not null)`,
      `create table "companion_rule" ("id" integer not null primary key autoincrement, "part_class" text not null, "vehicle_id" text null, "companion_number" text not null, "quantity" integer not null, "why" text not null)`,
      `create table "dictionary_entry" ("id" integer not null primary key autoincrement, "dictionary" text not null, "code" text not null, "module" text not null, "text" text not null)`,
      `create index "vehicle_make_index" on "vehicle" ("make")`,
      `create index "vehicle_model_index" on "vehicle" ("model")`,
      `create index "vehicle_kind_index" on "vehicle" ("kind")`,
      `create index "sensing_vehicle_id_index" on "sensing" ("vehicle_id")`,
      `create index "fleet_plate_index" on "fleet" ("plate")`,
      `create index "fleet_vin_index" on "fleet" ("vin")`,
      `create index "fleet_vehicle_id_index" on "fleet" ("vehicle_id")`,
      `create index "part_part_class_index" on "part" ("part_class")`,
      ...['plain_number', 'barcode', 'superseded_by', 'interchange'].map(
        (column) => `create index "part_${column}_index" on "part" ("${column}")`,
      ),
      `create index "application_part_number_index" on "application" ("part_number")`,
      `create index "application_vehicle_id_part_number_index" on "application" ("vehicle_id", "part_number")`,
      `create unique index "application_row_key_unique" on "application" ("row_key")`,
      `create index "job_note_vehicle_id_index" on "job_note" ("vehicle_id")`,
      `create index "companion_rule_part_class_index" on "companion_rule" ("part_class")`,
      `create index "companion_rule_vehicle_id_index" on "companion_rule" ("vehicle_id")`,
      `create index "dictionary_entry_code_index" on "dictionary_entry" ("code")`,
      `create index "dictionary_entry_dictionary_code_index" on "dictionary_entry" ("dictionary", "code")`,
      `create virtual table "part_search" using fts5("number" unindexed, "words", tokenize = 'trigram')`,
    ])
      this.addSql(sql);
    const words = (row: string) =>
      `${row}."number" || ' ' || ${row}."plain_number" || ' ' || ${row}."description" || ' ' || ${row}."brand" || ' ' || replace(${row}."part_class", '-', ' ')`;
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
