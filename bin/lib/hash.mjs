import { createHash } from "node:crypto";
import { existsSync, readdirSync, readFileSync, statSync } from "node:fs";
import path from "node:path";

/** One hash over files and folders below `root`, by path and content; tests left out. */
export function hashOf(root, names) {
  const hash = createHash("sha256");
  const add = (name) => {
    const file = path.join(root, name);
    if (statSync(file).isDirectory()) for (const inner of readdirSync(file).sort()) add(path.join(name, inner));
    else if (!/\.(test|fixture)\.tsx?$/.test(name)) hash.update(name).update("\0").update(readFileSync(file));
  };
  for (const name of names) if (existsSync(path.join(root, name))) add(name);
  return hash.digest("hex");
}

/** What heads are worked out by: of another hash they are worked out anew. */
export const STAMPED = ["src/core", "src/work"];
