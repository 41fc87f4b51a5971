import { MikroORM } from "@mikro-orm/postgresql";
import { config } from "../src/store/config";

/** `create` writes a migration from the entities, `up` applies what is pending, `check` fails when one is missing. */
async function main(): Promise<void> {
  const orm = await MikroORM.init(config);
  const migrator = orm.getMigrator();
  const what = process.argv[2];
  if (what === "create") console.log((await migrator.createMigration()).fileName || "no changes");
  else if (what === "up") await migrator.up();
  else if (what === "check") {
    // indexes on expressions are written by hand in migrations, so the ORM would drop them
    const missing = (await orm.schema.getUpdateSchemaSQL()).split("\n").filter((line) => /^(create|alter)/.test(line));
    if (missing.length > 0) throw new Error(`the entities have changed, run npm run migration:\n${missing.join("\n")}`);
  } else throw new Error("usage: migrate create | up | check");
  await orm.close(true);
}

main().catch((error: unknown) => {
  console.error(error);
  process.exit(1);
});
