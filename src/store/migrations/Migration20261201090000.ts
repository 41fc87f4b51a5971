import { Migration } from "@mikro-orm/migrations";

/** Each writing makes a head due under a mark of its own: what was worked out before it does not settle it. */
export class Migration20261201090000 extends Migration {
  override async up(): Promise<void> {
    this.addSql(`create sequence treatment_due_mark;`);
    this.addSql(`alter table "treatment_due" add column "mark" bigint not null default nextval('treatment_due_mark');`);
    this.addSql(this.becomesDue("do update set mark = nextval('treatment_due_mark')"));
  }

  override async down(): Promise<void> {
    this.addSql(this.becomesDue("do nothing"));
    this.addSql(`alter table "treatment_due" drop column "mark"; drop sequence treatment_due_mark;`);
  }

  private becomesDue(known: string): string {
    return `create or replace function treatment_is_due() returns trigger language plpgsql as $$ begin
      insert into treatment_due select t.id from treatment t
      where t.closed_at is null and ((tg_argv[0] = 'treatment' and t.id = (to_jsonb(new) ->> 'id')::uuid) or (tg_argv[0] = 'piece' and t.piece_id = (to_jsonb(new) ->> tg_argv[1])::uuid))
      order by t.id on conflict (treatment_id) ${known}; return new; end $$;`;
  }
}
