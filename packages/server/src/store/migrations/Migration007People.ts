import { Migration } from '@mikro-orm/migrations';

const NAMES = ['name', 'phone', 'firm'] as const;
const said = (field: string) => `json_extract("document", '$.customer.${field}')`;
const anySaid = NAMES.map((field) => `${said(field)} is not null`).join(' or ');

/**
 * Who a customer is in a table of its own: dockets and their history hold its number. Dockets are found by phone, firm,
 * plate and part number too. What is erased on request is kept count of, without saying whose it was; only while one
 * erases may the history be rewritten.
 */
export class Migration007People extends Migration {
  override up(): void {
    for (const sql of [
      `create table "person" ("id" integer not null primary key autoincrement, "name" text null, "phone" text null, "firm" text null, "name_key" text null, "phone_key" text null, "erased_at" datetime null)`,
      `create index "person_name_key_index" on "person" ("name_key")`,
      `create index "person_phone_key_index" on "person" ("phone_key")`,
      `create table "erasure" ("id" integer not null primary key autoincrement, "at" datetime not null, "dockets" integer not null, "changes" integer not null)`,
      `create trigger "erasure_no_update" before update on "erasure" begin select raise(abort, 'history is append-only'); end`,
      `create trigger "erasure_no_delete" before delete on "erasure" begin select raise(abort, 'history is append-only'); end`,
      `create table "erasing" ("id" integer not null primary key)`,
      `drop trigger "docket_change_no_update"`,
      `insert into "person" ("name", "phone", "firm", "name_key", "phone_key")
         select distinct ${said('name')}, ${said('phone')}, ${said('firm')}, lower(${said('name')}), nullif(${phoneKey(said('phone'))}, '')
         from (select "document" from "docket" union select "document" from "docket_change") where ${anySaid}`,
      ...['docket', 'docket_change'].map(
        (table) =>
          `update "${table}" set "document" = json_set(json_remove("document", ${NAMES.map((field) => `'$.customer.${field}'`).join(', ')}), '$.customer.person', (select "id" from "person" where ${NAMES.map((field) => `"${field}" is ${said(field)}`).join(' and ')} limit 1)) where ${anySaid}`,
      ),
      `create trigger "docket_change_no_update" before update on "docket_change" when not exists (select 1 from "erasing") begin select raise(abort, 'history is append-only'); end`,
      `drop trigger "given_advice_no_update"`,
      `create trigger "given_advice_no_update" before update on "given_advice" when not exists (select 1 from "erasing") begin select raise(abort, 'history is append-only'); end`,
      `create index "docket_change_person" on "docket_change" (json_extract("document", '$.customer.person'))`,
      ...[
        `"person_id" integer null`,
        `"plate" text null`,
        `"phone" text null`,
        `"firm" text null`,
        `"parts" text null`,
      ].map((column) => `alter table "docket" add column ${column}`),
      `update "docket" set "person_id" = json_extract("document", '$.customer.person'), "plate" = json_extract("document", '$.vehicle.plate'), "parts" = (select group_concat(json_extract(value, '$.partNumber'), ' ') from json_each("document", '$.chosen.lines'))`,
      `update "docket" set "phone" = (select "phone" from "person" where "id" = "person_id"), "firm" = (select "firm" from "person" where "id" = "person_id") where "person_id" is not null`,
      `create index "docket_person_id_index" on "docket" ("person_id")`,
      `create index "docket_plate_index" on "docket" ("plate")`,
      ...['add', 'change', 'drop'].map((trigger) => `drop trigger "docket_search_${trigger}"`),
      `drop table "docket_search"`,
      `create virtual table "docket_search" using fts5(${SEARCHED.map(([name]) => `"${name}"`).join(', ')}, tokenize = 'trigram')`,
      // What is taken out of the index is overwritten, not only left out.
      `insert into "docket_search" ("docket_search", "rank") values ('secure-delete', 1)`,
      `insert into "docket_search" (${COLUMNS}) select ${values('')} from "docket"`,
      `create trigger "docket_search_add" after insert on "docket" begin insert into "docket_search" (${COLUMNS}) values (${values('new.')}); end`,
      `create trigger "docket_search_change" after update on "docket" when ${SEARCHED.map(([, column]) => `old."${column}" is not new."${column}"`).join(' or ')} begin update "docket_search" set ${SEARCHED.map(([name]) => `"${name}" = ${valueOf(name, 'new.')}`).join(', ')} where "rowid" = old."number"; end`,
      `create trigger "docket_search_drop" after delete on "docket" begin delete from "docket_search" where "rowid" = old."number"; end`,
    ])
      this.addSql(sql);
  }
}

/** Columns of the index with those of a docket they are made from. */
const SEARCHED = [
  ['vehicle', 'vehicle_name'],
  ['fleet', 'fleet_number'],
  ['customer', 'customer_name'],
  ['headline', 'headline'],
  ['number', 'number'],
  ['plate', 'plate'],
  ['phone', 'phone'],
  ['firm', 'firm'],
  ['parts', 'parts'],
] as const;
const COLUMNS = ['"rowid"', ...SEARCHED.map(([name]) => `"${name}"`)].join(', ');

/** A phone number as it is compared: without what people write between its digits. */
function phoneKey(value: string): string {
  return ['-', '/', '(', ')', '.', ' '].reduce((text, sign) => `replace(${text}, '${sign}', '')`, value);
}
/** Numbers are found however they are written: as they stand, and without what stands between. */
function valueOf(name: string, row: string): string {
  const column = SEARCHED.find(([each]) => each === name)?.[1] ?? name;
  const value = `${row}"${column}"`;
  return name === 'phone' || name === 'plate' || name === 'parts'
    ? `${value} || ' ' || ${name === 'parts' ? `replace(replace(${value}, '-', ''), '.', '')` : phoneKey(value)}`
    : value;
}
function values(row: string): string {
  return [`${row}"number"`, ...SEARCHED.map(([name]) => valueOf(name, row))].join(', ');
}
