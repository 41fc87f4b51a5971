import { readFileSync } from "node:fs";

/** A process by its number and, where the system tells, the moment it began: numbers are given out again. */
export function identity(pid = process.pid) {
  const began = fields(pid)[19];
  return began === undefined ? String(pid) : `${pid} ${began}`;
}

/** What the system tells of a process after its name, which stands in brackets and may hold anything: its state first, its start twentieth. */
function fields(pid) {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, "utf8");
    return stat.slice(stat.lastIndexOf(")") + 2).split(" ");
  } catch {
    return [];
  }
}

/** It has ended, and nobody has asked how: to most it looks alive. */
export const isZombie = (pid) => fields(pid)[0] === "Z";

/** Whether the very process that an identity was taken of still runs. */
export function lives(told) {
  const pid = Number.parseInt(told, 10);
  if (!(pid > 0)) return false;
  try {
    process.kill(pid, 0);
  } catch (error) {
    if (error.code !== "EPERM") return false;
  }
  return !isZombie(pid) && identity(pid) === told.trim();
}

/** The name of a process; empty where none runs, or the system does not tell. */
export function nameOf(pid) {
  try {
    return readFileSync(`/proc/${pid}/comm`, "utf8").trim();
  } catch {
    return "";
  }
}
