import { Migration } from "@mikro-orm/migrations";

/** Log entries carry the version of their body, and who did it. */
export class Migration20261126170000 extends Migration {
  override async up(): Promise<void> {
    this.addSql(`alter table "log_entry" add column "v" int not null default 1, add column "by" varchar(200) null;`);
  }

  override async down(): Promise<void> {
    this.addSql(`alter table "log_entry" drop column "v", drop column "by";`);
  }
}
