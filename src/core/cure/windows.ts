import type { StageTime } from "./running";
import { type ActName, type StartKind, WINDOWS, type WindowRow } from "./windows.data";

/** A window in clock time; ms since the epoch. */
export interface ActWindow {
  readonly row: WindowRow;
  readonly from: number;
  readonly until?: number;
}

/** A clock with its stages and windows in the climate it runs in. */
export interface RunningClock {
  readonly start: number;
  readonly stages: readonly StageTime[];
  readonly windows: readonly ActWindow[];
}

/** Where a clock stands now. `closing`: the last 15 minutes, or the last quarter, of an open window. */
export type Standing =
  | { readonly state: "go" | "closing"; readonly window: ActWindow; readonly next?: ActWindow }
  | { readonly state: "off"; readonly since: number; readonly next: ActWindow }
  | { readonly state: "never"; readonly reason: string };

const CLOSING_MS = 15 * 60_000;

/** The windows of a clock, in order. A window that its material has no stage for, or never reaches, is left out. */
export function windowsOf(kind: StartKind, start: number, stages: readonly StageTime[]): ActWindow[] {
  const at = (stage: string | undefined) => (stage === "start" ? start : stages.find((time) => time.stage === stage)?.at);
  return WINDOWS.filter(({ of }) => of === kind).flatMap((row) => {
    const from = at(row.opens) ?? (row.closes === undefined ? (at("hard") ?? stages.at(-1)?.at) : undefined);
    if (from === undefined) return [];
    const until = at(row.closes);
    return [{ row, from, ...(until === undefined ? {} : { until }) }];
  });
}

/** What the hands may do now; windows whose act is done, or that have passed, are over. */
export function standing({ start, windows, stages }: RunningClock, done: ReadonlySet<ActName>, now: number): Standing {
  const ahead = windows.filter(({ row, until }) => !done.has(row.act) && (until === undefined || until > now));
  const [first, second] = ahead;
  if (first === undefined) {
    const never = stages.find(({ reason }) => reason !== undefined);
    return { state: "never", reason: never?.reason ?? "Nothing is left to wait for." };
  }
  const next = second === undefined ? {} : { next: second };
  if (first.from > now) return { state: "off", since: lastBefore(windows, first, start), next: first };
  return { state: isClosing(first, now) ? "closing" : "go", window: first, ...next };
}

function isClosing({ from, until }: ActWindow, now: number): boolean {
  if (until === undefined) return false;
  return until - now <= Math.max(CLOSING_MS, (until - from) / 4);
}

/** Waiting counts from the window before, or from the start. */
function lastBefore(windows: readonly ActWindow[], window: ActWindow, start: number): number {
  const before = windows[windows.indexOf(window) - 1];
  return before?.until ?? before?.from ?? start;
}
