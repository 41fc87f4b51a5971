import { spawn, spawnSync } from "node:child_process";

/** Run a command to its end with its output shown; throws when it fails. */
export function run(command, args, options = {}) {
  const { status, error } = spawnSync(command, args, { stdio: "inherit", ...options });
  if (error) throw error;
  if (status !== 0) throw Object.assign(new Error(`${command} ${args.join(" ")} ended with ${status}`), { status });
}

/** Run a command quietly; its output is in the answer. */
export function quiet(command, args, options = {}) {
  return spawnSync(command, args, { encoding: "utf8", ...options });
}

/** Run a command beside others: how it ended, and all that it said. */
export async function heard(command, args, env) {
  const proc = spawn(command, args, { env, stdio: ["ignore", "pipe", "pipe"] });
  const said = [];
  for (const stream of [proc.stdout, proc.stderr]) stream.on("data", (chunk) => said.push(chunk));
  const code = await new Promise((resolve) => proc.once("close", resolve));
  return { code, output: Buffer.concat(said).toString() };
}

/** A server keeps what it allocated for pictures in few places: in many, each stays as large as its largest ever was (glibc, mallopt 3). */
export const FEW_ARENAS = { MALLOC_ARENA_MAX: "2" };

/** A child that is stopped when this process is asked to stop. */
export function child(command, args, options = {}) {
  return spawn(command, args, { stdio: "inherit", ...options });
}

/** Bring a promise for a child's end. */
export function ended(proc) {
  return new Promise((resolve) => proc.once("exit", (code, signal) => resolve({ code, signal })));
}
