import { Migration } from '@mikro-orm/migrations';

/** First schema. The history of a docket can be added to, never changed: the database itself refuses. */
export class Migration001Schema extends Migration {
  override up(): void {
    this.addSql(
      `create table "application" ("id" integer not null primary key autoincrement, "part_number" text not null, "vehicle_id" text not null, "wheel_ends" text not null, "built_from" text null, "built_to" text null)`,
    );
    this.addSql(`create index "application_part_number_index" on "application" ("part_number")`);
    this.addSql(
      `create index "application_vehicle_id_part_number_index" on "application" ("vehicle_id", "part_number")`,
    );
    this.addSql(
      `create table "docket_change" ("id" integer not null primary key autoincrement, "docket_id" text not null, "version" integer not null, "content" integer not null, "parent" integer null, "kind" text not null, "label" text not null, "document" text not null, "at" datetime not null)`,
    );
    this.addSql(`create index "docket_change_docket_id_index" on "docket_change" ("docket_id")`);
    this.addSql(
      `create unique index "docket_change_docket_id_version_unique" on "docket_change" ("docket_id", "version")`,
    );
    this.addSql(
      `create table "companion_rule" ("id" integer not null primary key autoincrement, "part_class" text not null, "vehicle_id" text null, "companion_number" text not null, "quantity" integer not null, "why" text not null)`,
    );
    this.addSql(`create index "companion_rule_part_class_index" on "companion_rule" ("part_class")`);
    this.addSql(`create index "companion_rule_vehicle_id_index" on "companion_rule" ("vehicle_id")`);
    this.addSql(
      `create table "dictionary_entry" ("id" integer not null primary key autoincrement, "dictionary" text not null, "code" text not null, "module" text not null, "text" text not null)`,
    );
    this.addSql(`create index "dictionary_entry_code_index" on "dictionary_entry" ("code")`);
    this.addSql(
      `create index "dictionary_entry_dictionary_code_index" on "dictionary_entry" ("dictionary", "code")`,
    );
    this.addSql(
      `create table "docket" ("id" text not null, "number" integer not null, "version" integer not null, "content" integer not null, "state" text not null, "wheel_end" text null, "vehicle_name" text null, "fleet_number" text null, "customer_name" text null, "action" text not null, "headline" text not null, "outcome" text null, "document" text not null, "created_at" datetime not null, "updated_at" datetime not null, "closed_at" datetime null, primary key ("id"))`,
    );
    this.addSql(`create unique index "docket_number_unique" on "docket" ("number")`);
    this.addSql(`create index "docket_state_index" on "docket" ("state")`);
    this.addSql(`create index "docket_wheel_end_index" on "docket" ("wheel_end")`);
    this.addSql(`create index "docket_fleet_number_index" on "docket" ("fleet_number")`);
    this.addSql(`create index "docket_created_at_index" on "docket" ("created_at")`);
    this.addSql(`create index "docket_updated_at_index" on "docket" ("updated_at")`);
    this.addSql(`create index "docket_closed_at_index" on "docket" ("closed_at")`);
    this.addSql(
      `create table "fleet" ("fleet_number" text not null, "plate" text null, "vin" text null, "vehicle_id" text not null, "build_date" text null, "salt_exposure" text null, "distance_km" real null, "note" text null, primary key ("fleet_number"))`,
    );
    this.addSql(`create index "fleet_plate_index" on "fleet" ("plate")`);
    this.addSql(`create index "fleet_vin_index" on "fleet" ("vin")`);
    this.addSql(`create index "fleet_vehicle_id_index" on "fleet" ("vehicle_id")`);
    this.addSql(
      `create table "job_note" ("id" integer not null primary key autoincrement, "vehicle_id" text not null, "axle" integer not null, "part_class" text not null, "labour_hours" real not null, "access" text not null, "tools" text not null, "torques" text not null)`,
    );
    this.addSql(`create index "job_note_vehicle_id_index" on "job_note" ("vehicle_id")`);
    this.addSql(
      `create table "part" ("number" text not null, "part_class" text not null, "tier" text not null, "brand" text not null, "description" text not null, "price_cents" integer not null, "stock" integer not null, "bin" text null, "supplier_days" real not null, "warranty_months" integer not null, primary key ("number"))`,
    );
    this.addSql(`create index "part_part_class_index" on "part" ("part_class")`);
    this.addSql(
      `create table "sensing" ("id" integer not null primary key autoincrement, "vehicle_id" text not null, "position" text not null, "sensor" text null, "mounting" text null, "target" text null, "ring_sold_alone" integer null)`,
    );
    this.addSql(`create index "sensing_vehicle_id_index" on "sensing" ("vehicle_id")`);
    this.addSql(`create table "setting" ("key" text not null, "value" text not null, primary key ("key"))`);
    this.addSql(
      `create table "vehicle" ("id" text not null, "make" text not null, "model" text not null, "kind" text not null, "built_from" text not null, "built_to" text null, "axles" integer not null, "driveline" text not null, "steering_side" text null, "knuckle" text null, "electric" integer not null, "tyre" text null, "dictionary" text null, primary key ("id"))`,
    );
    this.addSql(`create index "vehicle_make_index" on "vehicle" ("make")`);
    this.addSql(`create index "vehicle_model_index" on "vehicle" ("model")`);
    this.addSql(`create index "vehicle_kind_index" on "vehicle" ("kind")`);
    for (const verb of ['update', 'delete'])
      this.addSql(
        `create trigger "docket_change_no_${verb}" before ${verb} on "docket_change" begin select raise(abort, 'history is append-only'); end`,
      );
  }
}
