import { Migration } from '@mikro-orm/migrations';

export class Migration20261125022737 extends Migration {

  override async up(): Promise<void> {
    this.addSql(`create table "product" ("id" uuid not null, "class" varchar(60) not null, "name" varchar(200) not null, "figures" jsonb not null, "created_at" timestamptz not null, "deleted_at" timestamptz null, "version" int not null default 1, constraint "product_pkey" primary key ("id"));`);

    this.addSql(`create table "lot" ("id" uuid not null, "product_id" uuid not null, "label" varchar(80) not null, "size_g" double precision not null, "left_g" double precision not null, "opened" date null, "expires" date null, "price_eur" double precision null, "version" int not null default 1, constraint "lot_pkey" primary key ("id"));`);
    this.addSql(`alter table "lot" add constraint "lot_product_id_label_unique" unique ("product_id", "label");`);

    this.addSql(`alter table "lot" add constraint "lot_product_id_foreign" foreign key ("product_id") references "product" ("id") on update cascade on delete cascade;`);
  }

  override async down(): Promise<void> {
    this.addSql(`alter table "lot" drop constraint "lot_product_id_foreign";`);

    this.addSql(`drop table if exists "product" cascade;`);

    this.addSql(`drop table if exists "lot" cascade;`);
  }

}
