import { Migration } from '@mikro-orm/migrations';

/** Every change of the shop's settings, kept for good: its number is the version of the settings. */
export class Migration004ShopHistory extends Migration {
  override up(): void {
    this.addSql(
      `create table "shop_change" ("version" integer not null primary key, "change" text not null, "settings" text not null, "at" datetime not null)`,
    );
    for (const verb of ['update', 'delete'])
      this.addSql(
        `create trigger "shop_change_no_${verb}" before ${verb} on "shop_change" begin select raise(abort, 'history is append-only'); end`,
      );
  }
}
