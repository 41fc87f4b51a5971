import { existsSync, mkdirSync, readFileSync, rmSync } from "node:fs";
import path from "node:path";
import { buildApp } from "./lib/build.mjs";
import { ensurePackages } from "./lib/packages.mjs";
import { freePort, startCluster } from "./lib/postgres.mjs";
import { heard, quiet } from "./lib/run.mjs";
import { ensurePackage } from "./lib/system.mjs";

const ROOT = path.resolve(import.meta.dirname, "..");
const BIN = path.join(ROOT, "node_modules", ".bin");
const DATA = path.join(ROOT, ".data");
/** `npm test -- jest` runs only the steps whose name holds one of the words. */
const only = process.argv.slice(2);
const tally = { passed: 0, failed: 0 };
/** What took how long: the slowest are told at the end. */
const times = [];
const MOST_TOLD = 10;
/** Workers of jest: as many as there are store databases. */
const WORKERS = 2;

process.chdir(ROOT);
// no test may hang on the hour: the simulated sensor reads one air all day
Object.assign(process.env, { NEXT_TELEMETRY_DISABLED: "1", TZ: "Europe/Berlin", FORCE_COLOR: "0", STEADY_AIR: "20,50" });
// a test run never touches the user's database
process.env.DATABASE_URL = "";

ensurePackages(ROOT);
mkdirSync(DATA, { recursive: true });
const cluster = await startCluster({ folder: path.join(DATA, "scratch-pg"), firstPort: 54417, databases: [], scratch: true });
try {
  await besideOneAnother(
    [
      ["types: routes", "next", ["typegen"]],
      ["types", "tsc", ["--noEmit", "-p", "."]],
    ],
    [
      ["lint and format", "biome", ["check", "--error-on-warnings", "."]],
      ["import rules", "depcruise", ["src", "--config", ".dependency-cruiser.cjs"]],
      ["dead code", "knip", []],
    ],
  );
  await jest();
  await endToEnd();
} finally {
  cluster.stop();
}
console.log("\nthe slowest:");
for (const { what, ms } of times.sort((a, b) => b.ms - a.ms).slice(0, MOST_TOLD))
  console.log(`${(ms / 1000).toFixed(1).padStart(7)} s  ${what}`);
console.log(`\n${tally.passed} passed, ${tally.failed} failed`);
process.exit(tally.failed === 0 ? 0 : 1);

function wanted(name) {
  return only.length === 0 || only.some((word) => name.includes(word));
}

/** Rows of steps, each row one after the other, the rows at the same time: there are two cores. */
async function besideOneAnother(...rows) {
  await Promise.all(
    rows.map(async (row) => {
      for (const [name, program, args] of row) await step(name, program, args);
    }),
  );
}

/** A step that passes or fails as a whole. */
async function step(name, program, args, env = {}) {
  if (!wanted(name)) return;
  const began = Date.now();
  const { code, output } = await heard(path.join(BIN, program), args, { ...process.env, ...env });
  const ok = code === 0;
  tally[ok ? "passed" : "failed"] += 1;
  took(name, Date.now() - began);
  console.log(`${ok ? "✓" : "✗"} ${name} (${((Date.now() - began) / 1000).toFixed(1)} s)`);
  if (!ok) console.log(output);
}

async function database(name) {
  cluster.drop(name);
  const fresh = await startCluster({ folder: path.join(DATA, "scratch-pg"), firstPort: 54417, databases: [name], scratch: true });
  return fresh.url(name);
}

async function jest() {
  if (!wanted("jest")) return;
  const url = await database("scratch_store_1");
  await database("scratch_store_2");
  const report = path.join(DATA, "jest.json");
  rmSync(report, { force: true });
  await step("migrations: up", "tsx", ["bin/migrate.ts", "up"], { DATABASE_URL: url });
  await step("migrations: none missing", "tsx", ["bin/migrate.ts", "check"], { DATABASE_URL: url });
  // unit tests also in a zone on the other side of the date line: no time of day may leak in
  for (const [project, zone] of [
    ["unit", "Pacific/Auckland"],
    ["store", "Europe/Berlin"],
  ]) {
    rmSync(report, { force: true });
    const { output } = await heard(
      path.join(BIN, "jest"),
      ["--selectProjects", project, "--json", `--outputFile=${report}`, `--maxWorkers=${WORKERS}`],
      { ...process.env, DATABASE_URL: url.replace(/_1$/, ""), TZ: zone },
    );
    const found = existsSync(report)
      ? JSON.parse(readFileSync(report, "utf8"))
      : { numPassedTests: 0, numFailedTests: 0, numFailedTestSuites: 1 };
    for (const { name, startTime, endTime } of found.testResults ?? []) took(path.relative(ROOT, name), endTime - startTime);
    count(
      `jest, ${project}`,
      found.numPassedTests,
      found.numFailedTests + (found.numRuntimeErrorTestSuites ?? 0) || (found.success === false ? 1 : 0),
      output,
    );
  }
}

async function endToEnd() {
  if (!wanted("e2e")) return;
  ensurePackage("chromium");
  buildApp(ROOT);
  const [empty, demo] = [await database("scratch_empty"), await database("scratch_demo")];
  await step("e2e: prepare empty", "tsx", ["bin/prepare.ts"], { DATABASE_URL: empty });
  await step("e2e: prepare demo", "tsx", ["bin/prepare.ts", "--demo"], { DATABASE_URL: demo });
  const gate = await freePort(54517);
  const away = demo.replace(/:\d+\//, `:${gate}/`);
  const report = path.join(DATA, "playwright.json");
  rmSync(report, { force: true });
  const env = {
    ...process.env,
    E2E_EMPTY_URL: empty,
    E2E_DEMO_URL: demo,
    E2E_AWAY_URL: away,
    E2E_DATABASE_PORT: new URL(demo).port,
    E2E_REPORT: report,
  };
  const files = only.filter((word) => word !== "e2e");
  const { stdout, stderr } = quiet(path.join(BIN, "playwright"), ["test", ...files], { env, maxBuffer: 1 << 28 });
  const told = existsSync(report) ? JSON.parse(readFileSync(report, "utf8")) : undefined;
  const stats = told?.stats ?? { expected: 0, unexpected: 1, flaky: 0 };
  for (const { file, title, ms } of specsIn(told?.suites ?? [])) took(`${file}: ${title}`, ms);
  count("playwright", stats.expected, stats.unexpected + stats.flaky, stdout + stderr);
}

/** Every test of the browser's report, with how long it took. */
function specsIn(suites) {
  return suites.flatMap(({ suites: inner = [], specs = [] }) => [
    ...specs.map(({ file, title, tests }) => ({
      file: `e2e/${file}`,
      title,
      ms: tests.flatMap(({ results }) => results).reduce((sum, { duration }) => sum + duration, 0),
    })),
    ...specsIn(inner),
  ]);
}

function took(what, ms) {
  times.push({ what, ms });
}

function count(name, passed, failed, output) {
  tally.passed += passed;
  tally.failed += failed;
  console.log(`${failed === 0 && passed > 0 ? "✓" : "✗"} ${name}: ${passed} passed, ${failed} failed`);
  if (passed === 0 && failed === 0) tally.failed += 1;
  if (failed > 0 || passed === 0) console.log(output);
}
