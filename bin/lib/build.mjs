import { existsSync, readFileSync, writeFileSync } from "node:fs";
import path from "node:path";
import { hashOf } from "./hash.mjs";
import { run } from "./run.mjs";

const SOURCES = ["src", "public", "package.json", "package-lock.json", "next.config.ts", "postcss.config.mjs", "tsconfig.json"];

/** Build the app when its sources have changed since the last build. */
export function buildApp(root) {
  const stamp = path.join(root, ".next", "wanderjahr-build");
  const sources = hashOf(root, SOURCES);
  if (existsSync(stamp) && readFileSync(stamp, "utf8") === sources) return;
  console.log("Building …");
  run(path.join(root, "node_modules", ".bin", "next"), ["build"], { cwd: root, stdio: ["ignore", "ignore", "inherit"] });
  writeFileSync(stamp, sources);
}
