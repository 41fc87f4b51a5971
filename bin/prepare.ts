import { readdir, readFile } from "node:fs/promises";
import path from "node:path";
import { MikroORM } from "@mikro-orm/postgresql";
import { readDossier, shiftDossier } from "../src/formats/dossier";
import { config } from "../src/store/config";
import { closeStore, em } from "../src/store/orm";
import { isEmpty } from "../src/store/queries";
import { importCabinet } from "../src/work/cabinet";
import { importDossier } from "../src/work/dossiers";
import { bareAll } from "../src/work/photographs";

const DEMO = path.resolve(process.cwd(), "demo");

/** Bring the database up to date; with `--demo`, bring the demo world into an empty one. */
async function main(): Promise<void> {
  const orm = await MikroORM.init({ ...config, debug: false });
  // two first starts on one database take turns, whatever folder they are in
  await orm.em.fork().transactional(async (tx) => {
    await tx.execute("select pg_advisory_xact_lock(hashtextextended('prepare', 0))");
    await orm.getMigrator().up();
    if (process.argv.includes("--demo") && (await isEmpty(await em()))) await loadDemo();
  });
  const bared = await bareAll();
  if (bared > 0) console.log(`${bared} photographs were taken down to what shows them: where they were taken is no longer in them.`);
  await orm.close(true);
  await closeStore();
}

/** Through the same import that users have; every time is moved so that the demo's present is now. */
async function loadDemo(): Promise<void> {
  const now = Date.now();
  const files = (await readdir(DEMO)).filter((file) => file.endsWith(".dossier.json") && !file.startsWith("practice")).sort();
  for (const file of files) {
    const read = readDossier(JSON.parse(await readFile(path.join(DEMO, file), "utf8")));
    if (!read.ok) throw new Error(`${file}: ${read.detail} ${JSON.stringify(read.errors)}`);
    await importDossier(shiftDossier(read.dossier, now - Date.parse(read.dossier.exported_at)));
  }
  const jars = await importCabinet(shiftDates(await readFile(path.join(DEMO, "cabinet.csv"), "utf8"), now), false, new Date(now));
  console.log(`The demo world is in: ${files.length} treatments, ${jars.lots} jars.`);
}

/** The demo's present, as `demo/make.ts` sets it. */
const DEMO_DAY = Date.parse("2026-10-07T12:00:00Z");

/** Every date of a list moved by as many days as have passed since the demo's present. */
function shiftDates(text: string, now: number): string {
  return text.replaceAll(/\d{4}-\d{2}-\d{2}/g, (date) => new Date(Date.parse(date) + now - DEMO_DAY).toISOString().slice(0, 10));
}

main().catch((error: unknown) => {
  console.error(error);
  process.exit(1);
});
