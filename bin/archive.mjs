import path from "node:path";
import { startCluster } from "./lib/postgres.mjs";
import { run } from "./lib/run.mjs";

const ROOT = path.resolve(import.meta.dirname, "..");

/** With the app running or not: the database is the running one, else it is started for as long as this takes. */
const cluster = process.env.DATABASE_URL
  ? undefined
  : await startCluster({ folder: path.join(ROOT, ".data", "pg"), firstPort: 54317, databases: ["wanderjahr"] });
if (cluster) process.env.DATABASE_URL = cluster.url("wanderjahr");
const tsx = path.join(ROOT, "node_modules", ".bin", "tsx");
try {
  run(tsx, ["bin/prepare.ts"], { cwd: ROOT });
  run(tsx, ["bin/archive.ts", ...process.argv.slice(2)], { cwd: ROOT });
} catch (error) {
  // what went wrong was said by the one that was run
  process.exitCode = error.status ?? 1;
} finally {
  cluster?.stop();
}
