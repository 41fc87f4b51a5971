import { spawnSync } from "node:child_process";
import path from "node:path";
import { buildApp } from "./lib/build.mjs";
import { ensurePackages } from "./lib/packages.mjs";
import { ensurePackage } from "./lib/system.mjs";

const ROOT = path.resolve(import.meta.dirname, "..");

/** Moments at which a run that hangs on hour, season or zone would show it. The last is ten minutes before the hour that comes twice. */
const MOMENTS = {
  "a winter night": "2027-01-17T02:40:00+01:00",
  "a summer noon": "2027-07-14T12:05:00+02:00",
  "the hour that comes twice": "2026-10-25T02:50:00+02:00",
};

/** The whole run, or the steps that are named, at each of these moments: every process of it is told another time by Debian's faketime. */
process.chdir(ROOT);
ensurePackages(ROOT);
for (const name of ["postgresql", "chromium", "faketime"]) ensurePackage(name);
buildApp(ROOT);
const failed = Object.entries(MOMENTS).filter(([name, moment]) => !passesAt(name, moment));
console.log(`\n${Object.keys(MOMENTS).length - failed.length} moments passed, ${failed.length} failed`);
process.exit(failed.length === 0 ? 0 : 1);

function passesAt(name, moment) {
  const shift = Math.round((Date.parse(moment) - Date.now()) / 1000);
  console.log(`\n${name}, ${moment}`);
  // an offset means the same in every zone; waits and the files on disk keep the real time
  const env = { ...process.env, FAKETIME_DONT_FAKE_MONOTONIC: "1", NO_FAKE_STAT: "1", CLOCK_SHIFT_MS: String(shift * 1000) };
  const told = ["-f", `${shift < 0 ? "" : "+"}${shift}s`, process.execPath, "bin/test.mjs", ...process.argv.slice(2)];
  return spawnSync("faketime", told, { env, stdio: "inherit" }).status === 0;
}
