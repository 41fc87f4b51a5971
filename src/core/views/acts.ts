import type { Operation } from "../plan/plan.schema";
import { formatMinutes, inSentence, present } from "../units";
import { type ActState, actState, minutesAtIt } from "./actState";
import { type EdgeTimes, waitsOf } from "./edgeTimes";
import type { Worked } from "./worked";

/** What may be done with an operation. Times in ms since the epoch. */
export interface Act {
  readonly op: Operation;
  readonly state: Exclude<ActState, "closing"> | "done" | "skipped" | "blocked";
  /** From when it may be done, and until when. */
  readonly from?: number;
  readonly until?: number;
  /** Since when it is waited for. */
  readonly since?: number;
  /** The operation whose clock decides, and its material. */
  readonly clock?: string;
  /** What has to be done first. */
  readonly blocked_by?: string;
  readonly because: string;
  /** What goes wrong when it is done all the same. */
  readonly consequence?: string;
  readonly needs: "nothing" | "reason";
}

const MINUTE = 60_000;

/** Every operation with what may be done: page, keys and the server's admission ask this one function. */
export function actsOf(worked: Worked, now: number): Act[] {
  const byId = new Map(worked.repair.operations.map((operation) => [operation.id, operation]));
  const waits = waitsOf(worked);
  return worked.repair.operations.map((op) => actOf(op, byId, waits, worked, now));
}

function actOf(
  op: Operation,
  byId: ReadonlyMap<string, Operation>,
  waits: (op: Operation) => readonly EdgeTimes[],
  worked: Worked,
  now: number,
): Act {
  const mark = worked.marks.get(op.id);
  if (mark) return { op, state: mark.status, because: "", needs: "nothing" };
  const blocker = op.after.map(({ op: before }) => byId.get(before)).find((before) => before !== undefined && !worked.marks.has(before.id));
  if (blocker)
    return {
      op,
      state: "blocked",
      blocked_by: blocker.id,
      because: `First: ${inSentence(blocker.title)}`,
      consequence: outOfOrder(op),
      needs: "reason",
    };
  // once its first cup is stirred the next ones follow, whatever window that one had to meet
  if (worked.batches.has(op.id)) return { op, state: "now", because: "", needs: "nothing" };
  const timed = waits(op);
  const never = timed.find(({ never: reason }) => reason !== undefined);
  if (never?.never) return { op, state: "never", because: never.never, needs: "reason" };
  return timedAct(op, timed, now);
}

/** Looking harms nothing, however soon or late: it is never refused. */
export const isLooking = ({ kind }: Pick<Operation, "kind">): boolean => kind === "check" || kind === "photograph";

/** By its clocks: too early, too late, or now. */
function timedAct(op: Operation, timed: readonly EdgeTimes[], now: number): Act {
  const latest = timed.reduce<EdgeTimes | undefined>(
    (best, each) => (best === undefined || each.from > best.from ? each : best),
    undefined,
  );
  const closing = timed.filter(({ until }) => until !== undefined).sort((a, b) => (a.until ?? 0) - (b.until ?? 0))[0];
  const { from = 0, since: begun = now } = latest ?? {};
  const until = closing?.until;
  const waited = latest?.waits ? { from, since: begun } : {};
  const times = {
    ...waited,
    ...(until === undefined ? {} : { until, since: closing?.since ?? from }),
    ...present({ clock: closing?.clock ?? latest?.clock }),
  };
  const state = actState({ from, until, hands_min: minutesAtIt(op.hands_min) }, now);
  const needs = isLooking(op) ? "nothing" : "reason";
  if (state === "too-early") {
    const passed = `${formatMinutes((now - begun) / MINUTE)} of ${formatMinutes((from - begun) / MINUTE)}`;
    return { op, state, ...times, because: `${capital(latest?.because ?? "")}: ${passed}.`, consequence: tooEarly(op), needs };
  }
  if (state === "too-late") {
    const because = `${capital(closing?.because ?? "")}: the window has closed.`;
    return { op, state, ...times, because, consequence: tooLate(op), needs };
  }
  return { op, state: "now", ...times, because: latest?.because ?? "", needs: "nothing" };
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

const EARLY: Partial<Readonly<Record<Operation["kind"], string>>> = {
  unclamp: "The joint slips under its own weight; test it by hand, and the owner’s dates wait for full cure.",
  coat: "The coat below is still soft: it lifts, wrinkles or clouds.",
  colour: "The coat below is still soft: it lifts or muddies.",
  tint: "The coat below is still soft: it lifts or muddies.",
  grit: "Sanded too soon it clogs, and what is left sinks back under the next coat.",
  compound: "Polished too soon it sinks back and shows an edge.",
  mix: "What lies below is not ready: the next layer pulls it up or shuts its damp in.",
  place: "What lies below is not ready: it moves under the tool.",
  trim: "It tears instead of cutting.",
  carve: "It tears instead of cutting.",
  demould: "Edges break off with the form.",
  bond: "What was joined before shifts.",
  finish: "What is under it stops curing.",
};
const tooEarly = ({ kind }: Operation): string => EARLY[kind] ?? "What was laid before has not settled: it may have to be done again.";

const LATE: Partial<Readonly<Record<Operation["kind"], string>>> = {
  place: "It is past its working time: it drags and does not bond. Throw it away and mix again.",
  bond: "The glue has skinned: it no longer wets the other face.",
  clamp: "It has grabbed: shifting it now breaks the bond.",
  trim: "Too stiff to trim: file it when hard.",
  carve: "Too stiff to carve: file it when hard.",
  coat: "It has cured through: abrade it with P400, wipe it clean, then lay the next.",
  check: "It has grabbed: what has slid stays.",
  texture: "It has skinned: no tool leaves a grain in it.",
};
const tooLate = ({ kind }: Operation): string => LATE[kind] ?? "The window for it has closed.";
const outOfOrder = ({ kind }: Operation): string =>
  kind === "sign" ? "The record says what was left open." : "What it stands on is not done: it may have to be undone again.";
