import { Migration } from "@mikro-orm/migrations";

/** Lists are read a page at a time, in any of their orders: by what is promised, by when one may touch it, by its mark. */
export class Migration20261127040000 extends Migration {
  override async up(): Promise<void> {
    this.addSql(`alter table "treatment_head" add column "touch_at" timestamptz null;`);
    this.addSql(`create index treatment_head_touch on treatment_head (touch_at, treatment_id);`);
    this.addSql(`create index treatment_head_timed on treatment_head (treatment_id) where timed;`);
    for (const [name, which] of [["open", "closed_at is null"], ["shut", "closed_at is not null"]])
      this.addSql(`create index treatment_${name}_promised on treatment ((coalesce(promised, 'infinity'::date)), id) where deleted_at is null and ${which};`);
    this.addSql(`drop index treatment_closed;`);
    this.addSql(`create index treatment_closed on treatment (closed_at, id) where deleted_at is null and closed_at is not null;`);
    // HF-9 stands before HF-10
    this.addSql(`create collation if not exists marks (provider = icu, locale = 'en-u-kn-true');`);
    this.addSql(`create index piece_reference on piece ((reference collate marks));`);
    this.addSql(`create index piece_mark on piece (lower(reference));`);
  }

  override async down(): Promise<void> {
    this.addSql(`drop index piece_mark; drop index piece_reference; drop collation marks;`);
    this.addSql(`drop index treatment_closed;`);
    this.addSql(`create index treatment_closed on treatment (closed_at desc) where deleted_at is null and closed_at is not null;`);
    this.addSql(`drop index treatment_shut_promised; drop index treatment_open_promised; drop index treatment_head_timed; drop index treatment_head_touch;`);
    this.addSql(`alter table "treatment_head" drop column "touch_at";`);
  }
}
