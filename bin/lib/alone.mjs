import { mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from "node:fs";
import path from "node:path";
import { setTimeout as pause } from "node:timers/promises";
import { identity, lives } from "./process.mjs";

const PAUSE_MS = 250;

/** Do `work` while no other start does it in this folder; one that is at it is waited for, and what a killed one left is taken away. */
export async function alone(folder, work) {
  mkdirSync(folder, { recursive: true });
  const file = path.join(folder, "starting");
  for (let said = false; !take(file); said = true) {
    const other = told(file);
    if (other !== undefined && !lives(other)) {
      clear(file, other);
      continue;
    }
    if (!said && other !== undefined)
      console.log(`Another start is at work here (process ${Number.parseInt(other, 10)}): waiting for it …`);
    await pause(PAUSE_MS);
  }
  try {
    return await work();
  } finally {
    rmSync(file, { force: true });
  }
}

function take(file) {
  try {
    writeFileSync(file, identity(), { flag: "wx" });
    return true;
  } catch (error) {
    if (error.code === "EEXIST") return false;
    throw error;
  }
}

function told(file) {
  try {
    return readFileSync(file, "utf8");
  } catch {
    return undefined;
  }
}

/** Two may find it left over at once: one moves it away, and puts it back where it was another's by then. */
function clear(file, stale) {
  const aside = `${file}.${process.pid}`;
  try {
    renameSync(file, aside);
  } catch {
    return;
  }
  if (told(aside) === stale) rmSync(aside, { force: true });
  else renameSync(aside, file);
}
