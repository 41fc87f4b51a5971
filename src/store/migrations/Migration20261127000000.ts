import { Migration } from "@mikro-orm/migrations";

/** When a treatment was closed stands in its own row, and what lists show of it is kept beside it: pages cost what is open, not what was ever written. */
export class Migration20261127000000 extends Migration {
  override async up(): Promise<void> {
    this.addSql(`alter table "treatment" add column "closed_at" timestamptz null;`);
    this.addSql(`update treatment t set closed_at = (select max(c.at) from log_entry c where c.treatment_id = t.id and c.kind = 'closed'
      and not exists (select 1 from log_entry r where r.treatment_id = t.id and r.kind = 'reopened' and r.seq > c.seq
        and not exists (select 1 from log_entry w where w.corrects = r.id))
      and not exists (select 1 from log_entry w where w.corrects = c.id));`);
    this.addSql(`create table "treatment_head" ("treatment_id" uuid not null, "version" int not null, "piece_version" int not null, "stamp" varchar(64) not null, "at" timestamptz not null, "temp_c" double precision not null, "runs" boolean not null, "timed" boolean not null, "mixes" jsonb not null, "needs" jsonb not null, "item" jsonb not null, constraint "treatment_head_pkey" primary key ("treatment_id"));`);
    this.addSql(`alter table "treatment_head" add constraint "treatment_head_treatment_id_foreign" foreign key ("treatment_id") references "treatment" ("id") on update cascade on delete cascade;`);
    this.addSql(`create index treatment_open on treatment (created_at) where deleted_at is null and closed_at is null;`);
    this.addSql(`create index treatment_closed on treatment (closed_at desc) where deleted_at is null and closed_at is not null;`);
    this.addSql(`drop index log_entry_closing;`);
    this.addSql(`create index piece_removed on piece (id) where deleted_at is not null;`);
    this.addSql(`create index piece_near on piece using gist ((title || ' ' || reference) gist_trgm_ops);`);
    this.addSql(`create index treatment_near on treatment using gist (title gist_trgm_ops);`);
    // whoever writes a log, a treatment or a piece says in the same transaction whose head is behind
    this.addSql(`create table "treatment_due" ("treatment_id" uuid not null, constraint "treatment_due_pkey" primary key ("treatment_id"));`);
    this.addSql(`alter table "treatment_due" add constraint "treatment_due_treatment_id_foreign" foreign key ("treatment_id") references "treatment" ("id") on update cascade on delete cascade;`);
    this.addSql(`create function treatment_is_due() returns trigger language plpgsql as $$ begin
      insert into treatment_due select t.id from treatment t
      where t.closed_at is null and ((tg_argv[0] = 'treatment' and t.id = (to_jsonb(new) ->> 'id')::uuid) or (tg_argv[0] = 'piece' and t.piece_id = (to_jsonb(new) ->> tg_argv[1])::uuid))
      on conflict do nothing; return new; end $$;`);
    for (const [table, argument] of [["piece", "'piece', 'id'"], ["part", "'piece', 'piece_id'"], ["treatment", "'treatment'"]])
      this.addSql(`create trigger ${table}_makes_due after insert or update on ${table} for each row execute function treatment_is_due(${argument});`);
    this.addSql(`insert into treatment_due select id from treatment where closed_at is null;`);
  }

  override async down(): Promise<void> {
    this.addSql(`create index log_entry_closing on log_entry (treatment_id, seq) where kind in ('closed', 'reopened');`);
    for (const table of ["piece", "part", "treatment"]) this.addSql(`drop trigger ${table}_makes_due on ${table};`);
    this.addSql(`drop function treatment_is_due; drop table "treatment_due";`);
    this.addSql(`drop index piece_removed; drop index piece_near; drop index treatment_near;`);
    this.addSql(`drop index treatment_open; drop index treatment_closed; drop table "treatment_head";`);
    this.addSql(`alter table "treatment" drop column "closed_at";`);
  }
}
