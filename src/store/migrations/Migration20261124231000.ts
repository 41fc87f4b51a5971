import { Migration } from "@mikro-orm/migrations";

/** Find-or-jump by nearness of words, the log by what closes a treatment, and the live rows. */
export class Migration20261124231000 extends Migration {
  override async up(): Promise<void> {
    this.addSql(`create extension if not exists pg_trgm;`);
    this.addSql(`create index piece_find on piece using gin ((title || ' ' || reference || ' ' || owner_reference) gin_trgm_ops);`);
    this.addSql(`create index treatment_find on treatment using gin (title gin_trgm_ops);`);
    this.addSql(`create index log_entry_closing on log_entry (treatment_id, seq) where kind in ('closed', 'reopened');`);
    this.addSql(`create index log_entry_corrects on log_entry (corrects) where corrects is not null;`);
    this.addSql(`create index treatment_live on treatment (piece_id) where deleted_at is null;`);
    this.addSql(`create index photograph_live on photograph (treatment_id) where deleted_at is null;`);
    this.addSql(`create index climate_reading_at on climate_reading (at);`);
    this.addSql(`alter table photograph alter column bytes set storage external;`);
  }

  override async down(): Promise<void> {
    for (const index of ["piece_find", "treatment_find", "log_entry_closing", "log_entry_corrects", "treatment_live", "photograph_live", "climate_reading_at"])
      this.addSql(`drop index ${index};`);
  }
}
