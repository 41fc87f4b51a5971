import { Migration } from "@mikro-orm/migrations";

/** The finish that a part is to have when it is done, where that is another than it has now. */
export class Migration20261202010000 extends Migration {
  override async up(): Promise<void> {
    this.addSql(`alter table "part" add column "finish_to_be" varchar(40) null;`);
  }

  override async down(): Promise<void> {
    this.addSql(`alter table "part" drop column "finish_to_be";`);
  }
}
