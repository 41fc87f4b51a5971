import { Migration } from '@mikro-orm/migrations';

export class Migration20261124230000 extends Migration {

  override async up(): Promise<void> {
    this.addSql(`create table "climate_reading" ("id" uuid not null, "at" timestamptz not null, "source" text check ("source" in ('hand', 'sensor')) not null, "temp_c" double precision not null, "rh_pct" double precision not null, constraint "climate_reading_pkey" primary key ("id"));`);

    this.addSql(`create table "piece" ("id" uuid not null, "title" varchar(200) not null, "reference" varchar(80) not null, "owner_reference" varchar(200) not null default '', "kind" varchar(40) not null, "created_at" timestamptz not null, "deleted_at" timestamptz null, "version" int not null default 1, constraint "piece_pkey" primary key ("id"));`);

    this.addSql(`create table "part" ("id" uuid not null, "piece_id" uuid not null, "name" varchar(200) not null, "substrate" varchar(40) not null, "finish" varchar(40) not null, "position" int not null, constraint "part_pkey" primary key ("id"));`);

    this.addSql(`create table "treatment" ("id" uuid not null, "piece_id" uuid not null, "part_id" uuid not null, "title" varchar(200) not null, "promised" date null, "created_at" timestamptz not null, "deleted_at" timestamptz null, "version" int not null default 0, constraint "treatment_pkey" primary key ("id"));`);

    this.addSql(`create table "photograph" ("id" uuid not null, "treatment_id" uuid not null, "taken_at" timestamptz not null, "moment" text check ("moment" in ('before', 'during', 'after')) not null, "caption" varchar(300) not null, "mime" varchar(40) not null, "width" int not null, "height" int not null, "sha256" varchar(64) not null, "bytes" bytea not null, "thumbnail" bytea not null, "deleted_at" timestamptz null, constraint "photograph_pkey" primary key ("id"));`);

    this.addSql(`create table "log_entry" ("id" uuid not null, "treatment_id" uuid not null, "seq" int not null, "key" varchar(80) not null, "at" timestamptz not null, "corrects" uuid null, "kind" varchar(40) not null, "body" jsonb not null, constraint "log_entry_pkey" primary key ("id"));`);
    this.addSql(`alter table "log_entry" add constraint "log_entry_treatment_id_seq_unique" unique ("treatment_id", "seq");`);
    this.addSql(`alter table "log_entry" add constraint "log_entry_treatment_id_key_unique" unique ("treatment_id", "key");`);

    this.addSql(`alter table "part" add constraint "part_piece_id_foreign" foreign key ("piece_id") references "piece" ("id") on update cascade on delete cascade;`);

    this.addSql(`alter table "treatment" add constraint "treatment_piece_id_foreign" foreign key ("piece_id") references "piece" ("id") on update cascade on delete cascade;`);
    this.addSql(`alter table "treatment" add constraint "treatment_part_id_foreign" foreign key ("part_id") references "part" ("id") on update cascade on delete cascade;`);

    this.addSql(`alter table "photograph" add constraint "photograph_treatment_id_foreign" foreign key ("treatment_id") references "treatment" ("id") on update cascade on delete cascade;`);

    this.addSql(`alter table "log_entry" add constraint "log_entry_treatment_id_foreign" foreign key ("treatment_id") references "treatment" ("id") on update cascade on delete cascade;`);
  }

  override async down(): Promise<void> {
    this.addSql(`alter table "part" drop constraint "part_piece_id_foreign";`);

    this.addSql(`alter table "treatment" drop constraint "treatment_piece_id_foreign";`);

    this.addSql(`alter table "treatment" drop constraint "treatment_part_id_foreign";`);

    this.addSql(`alter table "photograph" drop constraint "photograph_treatment_id_foreign";`);

    this.addSql(`alter table "log_entry" drop constraint "log_entry_treatment_id_foreign";`);

    this.addSql(`drop table if exists "climate_reading" cascade;`);

    this.addSql(`drop table if exists "piece" cascade;`);

    this.addSql(`drop table if exists "part" cascade;`);

    this.addSql(`drop table if exists "treatment" cascade;`);

    this.addSql(`drop table if exists "photograph" cascade;`);

    this.addSql(`drop table if exists "log_entry" cascade;`);
  }

}
