import { Migration } from "@mikro-orm/migrations";

/** Photographs that were added before only what shows them was kept are gone through once. */
export class Migration20261201080000 extends Migration {
  override async up(): Promise<void> {
    this.addSql(`alter table "photograph" add column "bare" boolean not null default false;`);
    this.addSql(`create index photograph_to_bare on photograph (id) where not bare;`);
  }

  override async down(): Promise<void> {
    this.addSql(`alter table "photograph" drop column "bare";`);
  }
}
