import { statSync } from "node:fs";
import path from "node:path";
import { closeStore } from "../src/store/orm";
import { archiveTo, restoreFrom } from "../src/work/archive";

/** `backup [file]` writes the whole shop into a zip; `restore <file>` brings one in. */
async function main(): Promise<void> {
  const [what, named] = process.argv.slice(2);
  const now = new Date();
  const file = path.resolve(named ?? `wanderjahr-${now.toISOString().slice(0, 10)}.zip`);
  if (what === "restore" && !named) throw new Error("name the file: npm run restore -- wanderjahr-2026-10-07.zip");
  const { treatments, photographs, known, left_out } = await (what === "restore" ? restoreFrom(file, now) : archiveTo(file, now));
  const size = (statSync(file).size / 1e6).toFixed(1);
  console.log(
    what === "restore"
      ? `${treatments} treatments and ${photographs} photographs are in${known > 0 ? `; ${known} were here already and stay as they are` : ""}.`
      : `${treatments} treatments and ${photographs} photographs, ${size} MB: ${file}`,
  );
  for (const { what, because } of left_out) console.error(`Left out: ${what}: ${because}.`);
  // whoever calls this by a script sees that not everything is there
  if (left_out.length > 0) process.exitCode = 3;
  await closeStore();
}

main().catch((error: Error) => {
  console.error(error.message);
  process.exit(1);
});
