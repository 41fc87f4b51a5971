import { Migration } from "@mikro-orm/migrations";

/** What holds for the whole shop: one row. */
export class Migration20261127010000 extends Migration {
  override async up(): Promise<void> {
    this.addSql(`create table "shop" ("id" int not null default 1 check ("id" = 1), "version" int not null, "data" jsonb not null, constraint "shop_pkey" primary key ("id"));`);
  }

  override async down(): Promise<void> {
    this.addSql(`drop table "shop";`);
  }
}
