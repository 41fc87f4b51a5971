import { spawnSync } from "node:child_process";
import { mkdirSync, readFileSync, rmSync, statfsSync, writeFileSync } from "node:fs";
import path from "node:path";
import { setTimeout as pause } from "node:timers/promises";
import { chromium } from "@playwright/test";
import { buildApp } from "../bin/lib/build.mjs";
import { ensurePackages } from "../bin/lib/packages.mjs";
import { freePort, startCluster } from "../bin/lib/postgres.mjs";
import { child, ended, run } from "../bin/lib/run.mjs";
import { answering, CHROMIUM } from "../bin/lib/serving.mjs";

/**
 * What becomes of entries while the database is killed, its connections are cut, it is away, its disk is full, the shop is saved, and two
 * windows of a device write; of a shop that is backed up, of sixty photographs, and of requests that nobody means. Everything runs on
 * loopback, on a database of its own that is durable as the user's is. Counts are printed; nothing is timed. Names of trials as arguments
 * run only these.
 */
const ROUNDS = Number(process.env.ROUNDS ?? 12);
const WRITERS = 4;
const TRIES = 60;
/** How often the shop is saved, and each of two readers reads, meanwhile. */
const [SAVES, READS] = [60, 40];
const ROOT = path.resolve(import.meta.dirname, "..");
const FOLDER = path.join(ROOT, ".data", "trials-pg");
const BIN = path.join(ROOT, "node_modules", ".bin");

process.chdir(ROOT);
Object.assign(process.env, { NEXT_TELEMETRY_DISABLED: "1", TZ: "Europe/Berlin" });
ensurePackages(ROOT);
buildApp(ROOT);
/** Tables that can't be derived from others. */
const STORED = [
  ...["shop", "piece", "part", "treatment", "log_entry", "photograph"],
  ...["product", "lot", "batch", "lot_change", "climate_reading", "climate_hour"],
];
const TRIALS = { kills, cuts, outage, fullDisk, shopSaved, windows, backup, photographs, oddRequests };
const wanted = process.argv.slice(2);
let failed = 0;
for (const [name, trial] of Object.entries(TRIALS)) if (wanted.length === 0 || wanted.includes(name)) failed += (await trial()) ? 0 : 1;
console.log(`\n${failed} of the trials failed`);
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
async function writer(base, treatment, going, seen, from = 0) {
  const acknowledged = [];
  for (let version = from; going(); version++) {
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
  try {
    await pause(500);
    await fault();
    await pause(500);
  } finally {
    going = false;
  }
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

/** The rest of a disk as one file; what the database takes of it meanwhile is missing from it, and the disk is as full. */
function fill(file, disk) {
  const { bavail, bsize } = statfsSync(disk);
  try {
    writeFileSync(file, Buffer.alloc(Math.max(0, bavail * bsize - 4096)));
  } catch (error) {
    if (error.code !== "ENOSPC") throw error;
  }
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
        fill(ballast, disk);
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

/** While logs are written the shop is saved over and over, and pages that keep heads are read. */
function shopSaved() {
  return served(FOLDER, ({ base }) =>
    struck("the shop is saved", base, async () => {
      const [saved] = await Promise.all([saveOften(base), readOften(base), readOften(base)]);
      console.log(`${"".padEnd(22)} the shop saved ${saved} times of ${SAVES}, ${2 * READS} pages read`);
    }),
  );
}

async function saveOften(base) {
  const shop = {
    name: "Trial",
    people: [],
    from: "08:00",
    to: "18:00",
    days: ["mon"],
    closed: [],
    time_zone: "Europe/Berlin",
    units: "mm",
  };
  const tools = { drills_missing: [], jig_mm: 12, bit_mm: 6, papers: [], clamps: 0, sensor: "simulated", sounds: false, flash: true };
  const seen = [];
  for (let version = 0; version < SAVES; version++)
    seen.push(await ask(base, "PUT", "/api/shop", { ...shop, ...tools, scale_step_g: version % 2 ? 0.1 : 0.01, version }));
  const odd = seen.find(({ status }) => status >= 500 && status !== 503);
  if (odd) throw new Error(`saving the shop was answered with ${odd.status}`);
  return seen.filter(({ status }) => status === 200).length;
}

async function readOften(base) {
  for (let i = 0; i < READS; i++) await (await fetch(`${base}${i % 2 ? "/" : "/objects"}`)).arrayBuffer();
}

/** Two windows of one browser write at once, and the answer to the first is slow: both entries stand, none waits for ever. */
function windows() {
  return served(FOLDER, async ({ base }) => {
    const browser = await chromium.launch(CHROMIUM);
    let [lost, kept] = [0, 0];
    for (let round = 0; round < ROUNDS; round++) {
      const ids = [await readyTreatment(base), await readyTreatment(base)];
      const context = await browser.newContext();
      const pages = await Promise.all(ids.map(() => context.newPage()));
      await Promise.all(pages.map((page, i) => page.goto(`${base}/treatments/${ids[i]}/ready`, { waitUntil: "networkidle" })));
      await pages[0].route("**/log", async (route) => {
        await pause(600);
        await route.continue();
      });
      const press = (page) =>
        page
          .getByRole("button", { name: /^Done: / })
          .first()
          .click();
      await press(pages[0]);
      await pause(100 + 40 * round);
      await press(pages[1]);
      const entries = async (id) => (await ask(base, "GET", `/api/treatments/${id}/dossier`)).value.treatment.log.length;
      for (let tries = 0; tries < 40 && (await Promise.all(ids.map(entries))).some((count) => count < 3); tries++) await pause(250);
      for (const id of ids) lost += (await entries(id)) < 3 ? 1 : 0;
      kept += await pages[0].getByRole("button", { name: /kept here/ }).count();
      await context.close();
    }
    await browser.close();
    console.log(`${"two windows write".padEnd(22)} ${2 * ROUNDS} pressed, ${lost} lost, ${kept} still kept on the device`);
    return lost === 0 && kept === 0;
  });
}

/** Surveyed and matched: its first preparation is one press. */
async function readyTreatment(base) {
  const id = await newTreatment(base);
  const damage = { kind: "chip", length_mm: 20, depth_mm: 5, thickness_mm: 5 };
  const chain = [{ role: "filler", class: "epoxy-putty" }];
  const bodies = [
    { kind: "surveyed", survey: { damage, service: {} } },
    { kind: "matched", stance: "service", chain },
  ];
  for (const [version, body] of bodies.entries())
    await ask(base, "POST", `/api/treatments/${id}/log`, { key: crypto.randomUUID(), version, body });
  return id;
}

/** What was written under all of this goes out in a backup and comes in equal in another database, table by table. */
function backup() {
  return served(FOLDER, async ({ base, cluster }) => {
    const going = performance.now() + 3000;
    const treatments = await Promise.all(Array.from({ length: WRITERS }, () => readyTreatment(base)));
    await Promise.all(treatments.map((id) => writer(base, id, () => performance.now() < going, new Map(), 2)));
    await ask(base, "POST", "/api/climate", { source: "hand", temp_C: 17.3, rh_pct: 44 });
    const file = path.join(ROOT, ".data", "trial.zip");
    const other = (await startCluster({ folder: FOLDER, firstPort: 54617, databases: ["trials_other"] })).url("trials_other");
    const archive = (url, ...args) =>
      run(path.join(BIN, "tsx"), ["bin/archive.ts", ...args], { env: { ...process.env, DATABASE_URL: url }, stdio: "ignore" });
    archive(cluster.url("trials"), "backup", file);
    run(path.join(BIN, "tsx"), ["bin/prepare.ts"], { env: { ...process.env, DATABASE_URL: other }, stdio: "ignore" });
    archive(other, "restore", file);
    rmSync(file);
    const sums = (url) =>
      Object.fromEntries(
        STORED.map((table) => {
          const sql = `select count(*) || ' ' || coalesce(md5(string_agg(t::text, '|' order by t::text)), '') from ${table} t`;
          return [table, spawnSync("psql", [url, "-At", "-c", sql], { encoding: "utf8" }).stdout.trim()];
        }),
      );
    const [before, after] = [sums(cluster.url("trials")), sums(other)];
    const differ = STORED.filter((table) => before[table] !== after[table]);
    const rows = STORED.reduce((sum, table) => sum + Number.parseInt(before[table], 10), 0);
    console.log(
      `${"backup and restore".padEnd(22)} ${rows} rows in ${STORED.length} tables, ${differ.length} tables differ ${differ.join(", ")}`,
    );
    return differ.length === 0 && rows > 0;
  });
}

/** Sixty photographs out and in, by the memory of the app. */
function photographs() {
  return spawnSync(path.join(BIN, "tsx"), ["bench/dossier.ts"], { stdio: ["ignore", "inherit", "inherit"] }).status === 0;
}

/** Out of the description's schemas and out of hostile texts. */
function oddRequests() {
  return served(FOLDER, async ({ base }) => {
    await readyTreatment(base);
    return (
      spawnSync(path.join(BIN, "tsx"), ["bench/fuzz.ts", base, "2000", String(Date.now() % 1e6)], {
        stdio: ["ignore", "inherit", "inherit"],
      }).status === 0
    );
  });
}
