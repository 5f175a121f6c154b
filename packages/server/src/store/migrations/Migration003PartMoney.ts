import { Migration } from '@mikro-orm/migrations';

/** What a part costs the shop, and the deposit on the old one. */
export class Migration003PartMoney extends Migration {
  override up(): void {
    this.addSql(`alter table "part" add column "cost_cents" integer null`);
    this.addSql(`alter table "part" add column "core_cents" integer not null default 0`);
  }
}
