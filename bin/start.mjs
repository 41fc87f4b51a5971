import { existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import path from "node:path";
import { alone } from "./lib/alone.mjs";
import { buildApp } from "./lib/build.mjs";
import { hashOf, STAMPED } from "./lib/hash.mjs";
import { ensurePackages } from "./lib/packages.mjs";
import { isFree, startCluster } from "./lib/postgres.mjs";
import { child, ended, FEW_ARENAS, run } from "./lib/run.mjs";
import { answering } from "./lib/serving.mjs";

const ROOT = path.resolve(import.meta.dirname, "..");
const DEV = process.argv.includes("--dev");
const EMPTY = process.argv.includes("--empty");
const PORT = Number(process.env.PORT ?? 3210);
const HOST = "127.0.0.1";
const BIN = path.join(ROOT, "node_modules", ".bin");

process.chdir(ROOT);
process.env.NEXT_TELEMETRY_DISABLED = "1";

// Ctrl-C reaches the children too; here it only must not end this process before the database is stopped
let asked = false;
let server;
for (const signal of ["SIGINT", "SIGTERM", "SIGHUP"])
  process.on(signal, () => {
    asked = true;
    server?.kill("SIGTERM");
  });

try {
  process.exit(await main());
} catch (error) {
  if (!asked) console.error(`\nWanderjahr did not start. ${error.message}`);
  process.exit(asked ? 0 : 1);
}

async function main() {
  const [major, minor] = process.versions.node.split(".").map(Number);
  if (major < 20 || (major === 20 && minor < 9)) throw new Error(`Node.js 20.9 or newer is needed; this is ${process.versions.node}.`);
  if (!(await isFree(PORT))) throw new Error(`Port ${PORT} is taken. Stop what runs there, or choose another: PORT=3211 npm start`);
  let cluster;
  try {
    // two starts at once would install, migrate and build over one another
    await alone(path.join(ROOT, ".data"), async () => {
      ensurePackages(ROOT);
      cluster = await database();
      prepare(cluster);
      process.env.APP_STAMP = hashOf(ROOT, STAMPED);
      if (!EMPTY && !process.env.SHOP_NAME) process.env.SHOP_NAME = "Haldenau Fairground Collection";
      if (!DEV) buildApp(ROOT);
      workOut(cluster);
    });
    return await serve();
  } finally {
    cluster?.stop();
  }
}

/** The database that DATABASE_URL names, or a private cluster in the data folder. */
async function database() {
  if (process.env.DATABASE_URL) {
    console.log("Using the database that DATABASE_URL names.");
    return undefined;
  }
  mkdirSync(path.join(ROOT, ".data"), { recursive: true });
  const cluster = await startCluster({ folder: path.join(ROOT, ".data", "pg"), firstPort: 54317, databases: ["wanderjahr"] });
  process.env.DATABASE_URL = cluster.url("wanderjahr");
  return cluster;
}

/** Migrate and load the demo; skipped for a cluster of one's own that these very files have prepared already. */
function prepare(cluster) {
  const stamp = cluster && path.join(cluster.home, "prepared");
  const wanted = `${hashOf(ROOT, ["src/store", "demo"])} ${EMPTY ? "empty" : "demo"}`;
  if (stamp && existsSync(stamp) && readFileSync(stamp, "utf8") === wanted) return;
  run(path.join(BIN, "tsx"), ["bin/prepare.ts", ...(EMPTY ? [] : ["--demo"])]);
  if (stamp) writeFileSync(stamp, wanted);
}

/** What lists show is worked out by this build before the first page asks; skipped where it is already. */
function workOut(cluster) {
  const stamp = cluster && path.join(cluster.home, "worked-out");
  if (stamp && existsSync(stamp) && readFileSync(stamp, "utf8") === process.env.APP_STAMP) return;
  run(path.join(BIN, "tsx"), ["bin/heads.ts", "--behind"]);
  if (stamp) writeFileSync(stamp, process.env.APP_STAMP);
}

async function serve() {
  server = child(path.join(BIN, "next"), [DEV ? "dev" : "start", "-H", HOST, "-p", String(PORT)], {
    stdio: ["ignore", DEV ? "inherit" : "ignore", "inherit"],
    env: { ...process.env, ...FEW_ARENAS },
  });
  const end = ended(server);
  await Promise.race([answering(`http://${HOST}:${PORT}/api/health`), end]);
  if (server.exitCode === null && !asked) console.log(`\nWanderjahr is at http://${HOST}:${PORT}\nStop it with Ctrl-C.`);
  const { code } = await end;
  return asked ? 0 : (code ?? 1);
}
