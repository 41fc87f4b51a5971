import { createHash } from "node:crypto";
import { chownSync, existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { createServer } from "node:net";
import path from "node:path";
import { identity, isZombie, lives, nameOf } from "./process.mjs";
import { quiet } from "./run.mjs";
import { ensurePackage, newestPostgres } from "./system.mjs";

const USER = "wanderjahr";
const SCRATCH = ["fsync = off", "synchronous_commit = off", "full_page_writes = off"];

/**
 * A private PostgreSQL cluster on loopback, without a socket, at a port of its own.
 * `scratch` trades durability for speed: for tests only. It is stopped when the last of the processes that use it has stopped it.
 */
export async function startCluster({ folder, firstPort, databases, scratch = false }) {
  ensurePackage("postgresql");
  const who = owner();
  const home = reachable(folder, who);
  const data = path.join(home, "data");
  // it keeps the machine's own time: told another by faketime, its timers, and with them its watch for deadlocks, never fire
  const env = { ...process.env, LD_PRELOAD: undefined };
  const pg = (program, args, options = {}) => quiet(path.join(newestPostgres(), program), args, { ...who, ...options, env, cwd: home });
  if (!existsSync(path.join(data, "PG_VERSION"))) initialise(pg, data);
  const portFile = path.join(home, "port");
  forgetStale(data);
  if (pg("pg_ctl", ["-D", data, "status"]).status !== 0) {
    const port = await freePort(existsSync(portFile) ? Number(readFileSync(portFile, "utf8")) : firstPort);
    writeFileSync(portFile, String(port));
    writeFileSync(path.join(data, "wanderjahr.conf"), conf(port, scratch));
    const log = path.join(home, "postgres.log");
    const up = pg("pg_ctl", ["-D", data, "-l", log, "-w", "-t", "30", "start"], { stdio: ["ignore", "ignore", "pipe"] });
    if (up.status !== 0) throw new Error(`PostgreSQL did not start:\n${tail(log)}`);
  }
  const port = Number(readFileSync(portFile, "utf8"));
  const url = (database) => `postgresql://${USER}@127.0.0.1:${port}/${database}`;
  for (const database of databases) {
    const args = ["-h", "127.0.0.1", "-p", String(port), "-U", USER, database];
    const made = pg("createdb", args);
    if (made.status !== 0 && !made.stderr.includes("already exists")) throw new Error(made.stderr);
  }
  const users = path.join(home, "users");
  mkdirSync(users, { recursive: true });
  writeFileSync(path.join(users, String(process.pid)), identity());
  return {
    url,
    home,
    stop: () => {
      rmSync(path.join(users, String(process.pid)), { force: true });
      if (!inUse(users)) pg("pg_ctl", ["-D", data, "-m", "fast", "-w", "stop"]);
    },
    drop: (database) => pg("dropdb", ["-h", "127.0.0.1", "-p", String(port), "-U", USER, "--if-exists", "--force", database]),
  };
}

/** PostgreSQL refuses to run as root: there it runs as its own system user. */
function owner() {
  if (process.getuid?.() !== 0) return {};
  const id = (flag) => Number(quiet("id", [flag, "postgres"]).stdout);
  return { uid: id("-u"), gid: id("-g") };
}

/** The data folder, or, where the database's user cannot reach it, one under /var/lib; said when it differs. */
function reachable(folder, who) {
  mkdirSync(folder, { recursive: true });
  if (who.uid === undefined) return folder;
  chownSync(folder, who.uid, who.gid);
  if (quiet("test", ["-w", folder], who).status === 0) return folder;
  const other = path.join("/var/lib/wanderjahr", createHash("sha256").update(folder).digest("hex").slice(0, 12));
  mkdirSync(other, { recursive: true, mode: 0o755 });
  chownSync(other, who.uid, who.gid);
  console.log(`The database's user can't reach ${folder}; the data is in ${other}.`);
  return other;
}

function initialise(pg, data) {
  const args = ["-D", data, "-U", USER, "-A", "trust", "-E", "UTF8", "--locale=C.UTF-8", "--no-instructions"];
  const made = pg("initdb", args);
  if (made.status !== 0) throw new Error(`initdb failed:\n${made.stderr}`);
  const file = path.join(data, "postgresql.conf");
  writeFileSync(file, `${readFileSync(file, "utf8")}\ninclude_if_exists = 'wanderjahr.conf'\n`);
}

function conf(port, scratch) {
  const lines = ["listen_addresses = '127.0.0.1'", `port = ${port}`, "unix_socket_directories = ''", "timezone = 'UTC'"];
  return [...lines, ...(scratch ? SCRATCH : []), ""].join("\n");
}

/** The first port from `from` on that nobody listens on. */
export async function freePort(from) {
  for (let port = from; port < from + 200; port++) if (await isFree(port)) return port;
  throw new Error(`no free port between ${from} and ${from + 200}`);
}

export function isFree(port) {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once("error", () => resolve(false));
    probe.listen(port, "127.0.0.1", () => probe.close(() => resolve(true)));
  });
}

/** Whether another process that runs still uses it; what killed ones left is taken away. */
function inUse(users) {
  return readdirSync(users).some((name) => {
    const file = path.join(users, name);
    if (lives(readFileSync(file, "utf8"))) return true;
    rmSync(file, { force: true });
    return false;
  });
}

/** After a crash a file may name as the database's a process that is another program by now: PostgreSQL would then refuse to start. */
function forgetStale(data) {
  const file = path.join(data, "postmaster.pid");
  if (!existsSync(file)) return;
  const pid = Number.parseInt(readFileSync(file, "utf8"), 10);
  const name = nameOf(pid);
  if (name === "" || (name.startsWith("postgres") && !isZombie(pid))) return;
  const found = isZombie(pid) ? "was killed" : `is ${name} now`;
  console.log(`The database was not stopped properly; process ${pid}, which it ran as, ${found}. It starts anew.`);
  rmSync(file);
}

function tail(file) {
  return existsSync(file) ? readFileSync(file, "utf8").split("\n").slice(-15).join("\n") : "(no log)";
}
