import { Migration } from "@mikro-orm/migrations";

/** What treatments will still take, a line each, so that the cabinet need not look into every head. */
export class Migration20261201100000 extends Migration {
  override async up(): Promise<void> {
    this.addSql(`create table "treatment_need" ("treatment_id" uuid not null, "nth" int not null, "class" varchar(60) not null, "product" varchar(40) not null, "grams" double precision not null, "began" timestamptz not null, "need" jsonb not null, constraint "treatment_need_pkey" primary key ("treatment_id", "nth"));`);
    this.addSql(`alter table "treatment_need" add constraint "treatment_need_treatment_id_foreign" foreign key ("treatment_id") references "treatment" ("id") on update cascade on delete cascade;`);
    this.addSql(`create index treatment_need_first on treatment_need (class, product, began, treatment_id, nth);`);
    // a treatment that is closed or taken away takes nothing more
    this.addSql(`create function treatment_needs_nothing() returns trigger language plpgsql as $$ begin
      delete from treatment_need where treatment_id = new.id; return new; end $$;`);
    this.addSql(`create trigger treatment_ends after update of closed_at, deleted_at on treatment for each row
      when (new.closed_at is not null or new.deleted_at is not null) execute function treatment_needs_nothing();`);
    // every head is worked out anew, and its lines with it
    this.addSql(`update treatment_head set stamp = '';`);
    this.addSql(`alter table "treatment_head" drop column "needs";`);
  }

  override async down(): Promise<void> {
    this.addSql(`drop trigger treatment_ends on treatment; drop function treatment_needs_nothing; drop table "treatment_need";`);
    this.addSql(`alter table "treatment_head" add column "needs" jsonb not null default '[]';`);
  }
}
