import { existsSync } from "node:fs";
import { quiet, run } from "./run.mjs";

/** Debian packages by name, and what shows that they are there. */
const PACKAGES = {
  postgresql: { there: () => newestPostgres() !== undefined, needs: "PostgreSQL" },
  faketime: { there: () => quiet("sh", ["-c", "command -v faketime"]).status === 0, needs: "faketime" },
  chromium: { there: () => existsSync("/usr/bin/chromium"), needs: "Chromium" },
};

/** Install a Debian package when it is missing: as root or through sudo; else say the one command to run. */
export function ensurePackage(name) {
  const { there, needs } = PACKAGES[name];
  if (there()) return;
  const command = `apt-get update && apt-get install -y ${name}`;
  const root = process.getuid?.() === 0;
  const sudo = !root && quiet("sudo", ["-n", "true"]).status === 0;
  if (!root && !sudo) throw new Error(`${needs} is missing. Run this once, then start again:\n\n  sudo sh -c "${command}"\n`);
  console.log(`Installing ${needs} …`);
  const env = { ...process.env, DEBIAN_FRONTEND: "noninteractive" };
  run(root ? "sh" : "sudo", root ? ["-c", command] : ["sh", "-c", command], { env, stdio: ["ignore", "ignore", "inherit"] });
  if (!there()) throw new Error(`${needs} was installed but can't be found.`);
}

/** The folder with the newest PostgreSQL's programs. */
export function newestPostgres() {
  if (process.env.PGBIN) return process.env.PGBIN;
  const found = quiet("sh", ["-c", "ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -1"]).stdout.trim();
  return found && existsSync(`${found}/initdb`) ? found : undefined;
}
