import { createHash } from "node:crypto";
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import path from "node:path";
import { isFree, startCluster } from "./lib/postgres.mjs";
import { child, ended, run } from "./lib/run.mjs";

const ROOT = path.resolve(import.meta.dirname, "..");
const DEV = process.argv.includes("--dev");
const EMPTY = process.argv.includes("--empty");
const PORT = Number(process.env.PORT ?? 3210);
const HOST = "127.0.0.1";
const BIN = path.join(ROOT, "node_modules", ".bin");

process.chdir(ROOT);
process.env.NEXT_TELEMETRY_DISABLED = "1";

try {
  await main();
} catch (error) {
  console.error(`\nWanderjahr did not start. ${error.message}`);
  process.exit(1);
}

async function main() {
  const [major, minor] = process.versions.node.split(".").map(Number);
  if (major < 20 || (major === 20 && minor < 9)) throw new Error(`Node.js 20.9 or newer is needed; this is ${process.versions.node}.`);
  if (!(await isFree(PORT))) throw new Error(`Port ${PORT} is taken. Stop what runs there, or choose another: PORT=3211 npm start`);
  installPackages();
  const cluster = await database();
  const stop = () => cluster?.mine && cluster.stop();
  try {
    run(path.join(BIN, "tsx"), ["bin/prepare.ts", ...(EMPTY ? [] : ["--demo"])]);
    if (!EMPTY && !process.env.SHOP_NAME) process.env.SHOP_NAME = "Haldenau Fairground Collection";
    if (!DEV) build();
    await serve(stop);
  } finally {
    stop();
  }
}

/** Packages from the lock file, when they are missing or the lock file has changed. */
function installPackages() {
  const stamp = path.join(ROOT, "node_modules", ".wanderjahr-lock");
  const wanted = hashOf(["package-lock.json"]);
  if (existsSync(stamp) && readFileSync(stamp, "utf8") === wanted) return;
  if (!existsSync(path.join(BIN, "next")) || existsSync(stamp)) {
    console.log("Installing packages from the lock file …");
    run("npm", ["ci", "--no-audit", "--no-fund", "--loglevel=error"]);
  }
  writeFileSync(stamp, wanted);
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

/** Build when sources have changed since the last build. */
function build() {
  const stamp = path.join(ROOT, ".next", "wanderjahr-build");
  const sources = hashOf(["src", "package-lock.json", "next.config.ts", "postcss.config.mjs", "tsconfig.json"]);
  if (existsSync(stamp) && readFileSync(stamp, "utf8") === sources) return;
  console.log("Building …");
  run(path.join(BIN, "next"), ["build"], { stdio: ["ignore", "ignore", "inherit"] });
  writeFileSync(stamp, sources);
}

async function serve(stop) {
  const next = child(path.join(BIN, "next"), [DEV ? "dev" : "start", "-H", HOST, "-p", String(PORT)], {
    stdio: ["ignore", DEV ? "inherit" : "ignore", "inherit"],
  });
  let asked = false;
  for (const signal of ["SIGINT", "SIGTERM", "SIGHUP"])
    process.on(signal, () => {
      asked = true;
      next.kill("SIGTERM");
    });
  await answering();
  console.log(`\nWanderjahr is at http://${HOST}:${PORT}\nStop it with Ctrl-C.`);
  const { code } = await ended(next);
  stop();
  process.exit(asked ? 0 : (code ?? 1));
}

async function answering() {
  for (let tries = 0; tries < 240; tries++) {
    try {
      await fetch(`http://${HOST}:${PORT}/api/health`);
      return;
    } catch {
      await new Promise((resolve) => setTimeout(resolve, 250));
    }
  }
  throw new Error("The server did not answer within a minute.");
}

/** One hash over files and folders, by path and content. */
function hashOf(paths) {
  const hash = createHash("sha256");
  const add = (file) => {
    if (statSync(file).isDirectory()) for (const name of readdirSync(file).sort()) add(path.join(file, name));
    else if (!/\.test\.tsx?$/.test(file)) hash.update(file).update("\0").update(readFileSync(file));
  };
  for (const each of paths) if (existsSync(each)) add(each);
  return hash.digest("hex");
}
