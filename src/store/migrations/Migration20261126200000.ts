import { Migration } from "@mikro-orm/migrations";

/** Batches mixed for several treatments, every change of a jar as an entry, and the air of every hour that a clock used. */
export class Migration20261126200000 extends Migration {
  override async up(): Promise<void> {
    this.addSql(`create table "batch" ("id" uuid not null, "at" timestamptz not null, "by" varchar(200) null, "class" varchar(60) not null, "lot_id" uuid null, "mixed_g" double precision not null, "left_g" double precision not null, "left_over" text check ("left_over" in ('thrown', 'kept')) not null, "portions" jsonb not null, constraint "batch_pkey" primary key ("id"));`);
    this.addSql(`create table "lot_change" ("id" uuid not null, "lot_id" uuid not null, "line" int not null, "at" timestamptz not null, "delta_g" double precision not null, "left_g" double precision not null, "because" text check ("because" in ('put in', 'weighed', 'mixed', 'taken back', 'thrown away', 'brought in')) not null, "piece" varchar(200) null, "entry" uuid null, "batch" uuid null, "by" varchar(200) null, constraint "lot_change_pkey" primary key ("id"));`);
    this.addSql(`alter table "lot_change" add constraint "lot_change_lot_id_line_unique" unique ("lot_id", "line");`);
    this.addSql(`create index "lot_change_entry_index" on "lot_change" ("entry");`);
    this.addSql(`alter table "lot_change" add constraint "lot_change_lot_id_foreign" foreign key ("lot_id") references "lot" ("id") on update cascade on delete cascade;`);
    this.addSql(`alter table "batch" add constraint "batch_lot_id_foreign" foreign key ("lot_id") references "lot" ("id") on update cascade on delete set null;`);
    this.addSql(`create table "climate_hour" ("at" timestamptz not null, "temp_c" double precision not null, "rh_pct" double precision not null, constraint "climate_hour_pkey" primary key ("at"));`);
  }

  override async down(): Promise<void> {
    this.addSql(`drop table "batch"; drop table "lot_change"; drop table "climate_hour";`);
  }
}
