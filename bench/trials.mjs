import { spawnSync } from "node:child_process";
import { mkdirSync, readFileSync, rmSync, statfsSync, writeFileSync } from "node:fs";
import path from "node:path";
import { setTimeout as pause } from "node:timers/promises";
import { buildApp } from "../bin/lib/build.mjs";
import { ensurePackages } from "../bin/lib/packages.mjs";
import { freePort, startCluster } from "../bin/lib/postgres.mjs";
import { child, ended, run } from "../bin/lib/run.mjs";
import { answering } from "../bin/lib/serving.mjs";

/**
 * What becomes of entries while the database is killed, its connections are cut, it is away, or its disk is full. Everything runs on
 * loopback, on a database of its own that is durable as the user's is, for at most ROUNDS kills. Counts are printed; nothing is timed.
 */
const ROUNDS = Number(process.env.ROUNDS ?? 12);
const WRITERS = 4;
const TRIES = 60;
const ROOT = path.resolve(import.meta.dirname, "..");
const FOLDER = path.join(ROOT, ".data", "trials-pg");
const BIN = path.join(ROOT, "node_modules", ".bin");

process.chdir(ROOT);
Object.assign(process.env, { NEXT_TELEMETRY_DISABLED: "1", TZ: "Europe/Berlin" });
ensurePackages(ROOT);
buildApp(ROOT);
const failed = [await kills(), await cuts(), await outage(), await fullDisk()].filter((held) => !held).length;
process.exit(failed === 0 ? 0 : 1);

/** The app on a fresh durable database for as long as `work` takes. */
async function served(folder, work) {
  rmSync(folder, { recursive: true, force: true });
  const options = { folder, firstPort: 54617, databases: ["trials"] };
  const cluster = await startCluster(options);
  const env = { ...process.env, DATABASE_URL: cluster.url("trials") };
  run(path.join(BIN, "tsx"), ["bin/prepare.ts"], { env, stdio: "ignore" });
  const port = await freePort(3511);
  const app = child(path.join(BIN, "next"), ["start", "-H", "127.0.0.1", "-p", String(port)], { env, stdio: "ignore" });
  const end = ended(app);
  try {
    await answering(`http://127.0.0.1:${port}/api/health`);
    return await work({ base: `http://127.0.0.1:${port}`, cluster, again: () => startCluster(options) });
  } finally {
    app.kill("SIGTERM");
    await end;
    cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

async function ask(base, method, url, body) {
  try {
    const answer = await fetch(base + url, { method, headers: { "content-type": "application/json" }, body: body && JSON.stringify(body) });
    return { status: answer.status, value: await answer.json(), retry: answer.headers.get("retry-after") };
  } catch {
    return { status: 0 };
  }
}

async function newTreatment(base) {
  const ids = { id: crypto.randomUUID(), treatment_id: crypto.randomUUID() };
  const part = { name: "rim", substrate: "stoneware", finish: "glaze" };
  const head = { title: "Trial jar", reference: `T-${ids.id.slice(0, 8)}`, owner_reference: "", kind: "vessel" };
  const { status } = await ask(base, "POST", "/api/pieces", { ...ids, ...head, part, treatment_title: "rim chip" });
  if (status !== 201) throw new Error(`the trial piece was answered with ${status}`);
  return ids.treatment_id;
}

/** Writes notes one after the other, each until it is acknowledged, as a device does; counts every status that it saw. */
async function writer(base, treatment, going, seen) {
  const acknowledged = [];
  for (let version = 0; going(); version++) {
    const key = crypto.randomUUID();
    const entry = { key, version, body: { kind: "noted", station: "survey", text: key } };
    for (let tries = 0; tries < TRIES; tries++) {
      const { status, retry } = await ask(base, "POST", `/api/treatments/${treatment}/log`, entry);
      seen.set(status, (seen.get(status) ?? 0) + 1);
      if (status === 503 && !retry) seen.set("503 without Retry-After", (seen.get("503 without Retry-After") ?? 0) + 1);
      if (status === 201) {
        acknowledged.push(key);
        break;
      }
      await pause(100);
    }
  }
  return { treatment, acknowledged };
}

/** What was acknowledged against what stands in the logs. */
async function compared(base, written) {
  let [lost, doubled, all] = [0, 0, 0];
  for (const { treatment, acknowledged } of written) {
    const { value } = await ask(base, "GET", `/api/treatments/${treatment}/dossier`);
    const notes = value.treatment.log.map(({ body }) => body.text);
    all += acknowledged.length;
    lost += acknowledged.filter((key) => !notes.includes(key)).length;
    doubled += notes.length - new Set(notes).size;
  }
  return { all, lost, doubled };
}

/** Writers write while `fault` strikes; prints what they saw, and what stands in the record. */
async function struck(name, base, fault) {
  const seen = new Map();
  let going = true;
  const treatments = await Promise.all(Array.from({ length: WRITERS }, () => newTreatment(base)));
  const writers = treatments.map((treatment) => writer(base, treatment, () => going, seen));
  await pause(500);
  await fault();
  await pause(500);
  going = false;
  const { all, lost, doubled } = await compared(base, await Promise.all(writers));
  const wrong = [...seen].filter(([status]) => ![201, 503, 507, 0].includes(status));
  const statuses = [...seen].map(([status, count]) => `${status}: ${count}`).join(", ");
  console.log(`${name.padEnd(22)} ${all} acknowledged, ${lost} lost, ${doubled} doubled; answers ${statuses}`);
  return lost === 0 && doubled === 0 && wrong.length === 0;
}

function kills() {
  return served(FOLDER, ({ base, cluster, again }) =>
    struck(`${ROUNDS} kills of PostgreSQL`, base, async () => {
      for (let round = 0; round < ROUNDS; round++) {
        const pid = Number.parseInt(readFileSync(path.join(cluster.home, "data", "postmaster.pid"), "utf8"), 10);
        process.kill(pid, "SIGKILL");
        await pause(300);
        await again();
        await pause(200 + 400 * (round % 3));
      }
    }),
  );
}

function cuts() {
  const cut = "select pg_terminate_backend(pid) from pg_stat_activity where datname = 'trials' and pid <> pg_backend_pid()";
  return served(FOLDER, ({ base, cluster }) =>
    struck(`${ROUNDS} cut connections`, base, async () => {
      for (let round = 0; round < ROUNDS; round++) {
        spawnSync("psql", [cluster.url("postgres"), "-c", cut]);
        await pause(250);
      }
    }),
  );
}

function outage() {
  return served(FOLDER, ({ base, cluster, again }) =>
    struck("away for three seconds", base, async () => {
      cluster.stop();
      const page = await fetch(`${base}/`);
      console.log(
        `${"".padEnd(22)} the Bench meanwhile: ${page.status}, “${/The record can’t be reached/.exec(await page.text())?.[0] ?? "?"}”`,
      );
      await pause(3000);
      await again();
    }),
  );
}

/** On a small disk in memory, where the system lets one be made. */
async function fullDisk() {
  const disk = path.join("/tmp", `wanderjahr-disk-${process.pid}`);
  mkdirSync(disk, { mode: 0o755 });
  if (spawnSync("mount", ["-t", "tmpfs", "-o", "size=160m,mode=755", "tmpfs", disk]).status !== 0) {
    rmSync(disk, { recursive: true });
    console.log(`${"a full disk".padEnd(22)} not tried: this system lets no disk be made (it needs root)`);
    return true;
  }
  try {
    return await served(path.join(disk, "pg"), ({ base }) =>
      struck("a full disk", base, async () => {
        const ballast = path.join(disk, "ballast");
        const { bavail, bsize } = statfsSync(disk);
        writeFileSync(ballast, Buffer.alloc(Math.max(0, bavail * bsize - 4096)));
        await pause(4000);
        rmSync(ballast);
        await pause(2000);
      }),
    );
  } finally {
    spawnSync("umount", [disk]);
    rmSync(disk, { recursive: true, force: true });
  }
}
