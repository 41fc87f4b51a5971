import { Migration } from "@mikro-orm/migrations";

/** What is still to do at a treatment as blocks of hands with their lags, so that the week is planned without working out every log. */
export class Migration20261201220000 extends Migration {
  override async up(): Promise<void> {
    this.addSql(`alter table "treatment_head" add column "blocks" jsonb not null default '{"blocks":[],"lags":[]}';`);
    // every head is worked out anew, and its blocks with it
    this.addSql(`update treatment_head set stamp = '';`);
  }

  override async down(): Promise<void> {
    this.addSql(`alter table "treatment_head" drop column "blocks";`);
  }
}
