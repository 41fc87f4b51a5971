import { existsSync, readFileSync, writeFileSync } from "node:fs";
import path from "node:path";
import { hashOf } from "./hash.mjs";
import { run } from "./run.mjs";

/** Packages from the lock file, when they are missing or the lock file has changed since they were installed. */
export function ensurePackages(root) {
  const stamp = path.join(root, "node_modules", ".wanderjahr-lock");
  const wanted = hashOf(root, ["package-lock.json"]);
  if (existsSync(stamp) && readFileSync(stamp, "utf8") === wanted) return;
  console.log("Installing packages from the lock file …");
  run("npm", ["ci", "--no-audit", "--no-fund", "--loglevel=error"], { cwd: root });
  writeFileSync(stamp, wanted);
}
