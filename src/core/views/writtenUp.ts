import type { Operation } from "../plan/plan.schema";
import { inSentence, present, type ReadTime, readTime, type Wall } from "../units";
import { actState, minutesAtIt } from "./actState";
import { type EdgeTimes, edgeTimes, waitsOf } from "./edgeTimes";
import type { OperationView } from "./operationView";
import type { Worked } from "./worked";

/** Something that an open operation waits for. Minutes as planned; ms since the epoch as the clock says that runs already. */
interface UpWait {
  readonly op: string;
  readonly min_min: number;
  readonly max_min?: number;
  readonly because: string;
  /** It is behind: from when, and until when, this may follow. */
  readonly known?: { readonly at: number; readonly from: number; readonly until?: number };
  /** What it is called. */
  readonly title: string;
}

/** An open operation that can be written up. */
export interface UpRow {
  readonly operation: OperationView;
  readonly after: readonly UpWait[];
}

/** These have panels of their own: a dry run is its minutes and clamps, a signature closes the record. */
const ELSEWHERE: readonly OperationView["kind"][] = ["dry-run", "sign"];

/** Every open operation in its order, with what it waits for. */
export function upRows(worked: Worked, operations: readonly OperationView[]): UpRow[] {
  const byId = new Map(worked.repair.operations.map((operation) => [operation.id, operation]));
  const waits = waitsOf(worked);
  return operations
    .filter(({ mark, kind }) => mark === undefined && !ELSEWHERE.includes(kind))
    .flatMap((operation): UpRow[] => {
      const op = byId.get(operation.id);
      if (!op) return [];
      const edges = op.after.filter((edge) => byId.has(edge.op));
      // what was not waited for before it runs on, and holds it too
      const running = waits(op).slice(edges.length);
      return [{ operation, after: [...edges.map((edge) => waitOf(edge, byId, worked)), ...running.map(runningOn)] }];
    });
}

function waitOf(edge: Operation["after"][number], byId: ReadonlyMap<string, Operation>, worked: Worked): UpWait {
  const { op, min_min, max_min, because } = edge;
  return {
    op,
    title: byId.get(op)?.title ?? "",
    min_min,
    because,
    ...present({ max_min, known: worked.marks.has(op) ? knownOf(edge, worked) : undefined }),
  };
}

const runningOn = ({ clock = "", from, because }: EdgeTimes): UpWait => ({
  op: clock,
  title: because,
  min_min: 0,
  because,
  known: { at: 0, from },
});

function knownOf(edge: Operation["after"][number], worked: Worked): NonNullable<UpWait["known"]> {
  const { since: at, from, until } = edgeTimes(edge, worked);
  return { at, from, ...present({ until }) };
}

/** What is typed of a row; empty = as proposed. */
export interface UpTyped {
  readonly at: string;
  readonly took: string;
  /** It is left out, because. */
  readonly left_out?: string;
  /** It is not done yet: it stays open. */
  readonly not_yet?: boolean;
}

type UpState = "fits" | "too-early" | "too-late" | "blocked" | "to-come" | "left-out" | "not-yet" | "unreadable";

/** A row with its time, and whether it can stand there. */
export interface PlacedRow {
  readonly row: UpRow;
  readonly state: UpState;
  /** When it was done, ms; absent where it can't be read, or is left out. */
  readonly at?: number;
  /** Nobody typed it: it moves along with what is before it. */
  readonly proposed: boolean;
  /** Why it does not fit, or why it stands later than the one before. */
  readonly because?: string;
  /** The first moment that fits, ms, where there is one. */
  readonly fits_at?: number;
}

export interface UpContext {
  /** When hands began, ms. */
  readonly began: number;
  readonly now: number;
  readonly wall: Wall;
}

const MINUTE = 60_000;
/** So late a moment is still now: tablets' clocks differ. */
const SLACK = MINUTE;

/**
 * Each row at its time: as typed, else as soon as the one before is done and what it waits for is ready, plus its minutes. What would lie
 * in the future is to come. Each is held against the others by the plan's minutes; the record judges it by its clocks.
 */
export function placed(rows: readonly UpRow[], typed: ReadonlyMap<string, UpTyped>, context: UpContext): PlacedRow[] {
  const spans = new Map<string, Span>();
  let end = context.began;
  return rows.map((row): PlacedRow => {
    const { id } = row.operation;
    const { at: text = "", took = "", left_out, not_yet } = typed.get(id) ?? {};
    if (not_yet) return { row, state: "not-yet", proposed: true };
    if (left_out !== undefined) {
      spans.set(id, "left-out");
      return { row, state: "left-out", proposed: true, at: Math.min(end, context.now) };
    }
    const window = windowOf(row, spans);
    const found =
      text.trim() === ""
        ? proposed(window, end, minutesOf(row, took) * MINUTE, context.now)
        : asTyped(
            readTime(text, { ...context, after: end }),
            window,
            minutesAtIt(row.operation.hands_min, minutesOf(row, took)),
            context.now,
          );
    if (found.at !== undefined) {
      spans.set(id, found.at);
      end = Math.max(end, found.at);
    }
    return { row, proposed: text.trim() === "", ...found };
  });
}

type Found = Pick<PlacedRow, "state" | "at" | "because" | "fits_at">;

/** As soon as hands are free and it is ready, plus its minutes; what sets meanwhile is done before it has set. */
function proposed({ blocker, from, until = Infinity, because, behind }: Window, end: number, hands: number, now: number): Found {
  const at = wholeMinute(Math.max(end, from, behind.at) + hands, from, until + hands);
  if (blocker !== undefined) return { state: "to-come", because: blocker };
  if (at > now) return { state: "to-come", ...present({ because: from > end ? because : undefined }) };
  return { state: "fits", at, ...present({ because: from > end ? because : undefined }) };
}

/** Times are said by the minute: the next one, or the last before the window closes where that is sooner. */
function wholeMinute(ms: number, from: number, until: number): number {
  const next = Math.ceil(ms / MINUTE) * MINUTE;
  return next <= until ? next : Math.max(Math.floor(until / MINUTE) * MINUTE, Math.min((from + until) / 2, until));
}

function asTyped(read: ReadTime, { blocker, from, until, because, closes, behind }: Window, hands_min: number, now: number): Found {
  if (!read.ok) return { state: "unreadable", because: read.says };
  const { at } = read;
  if (at > now + SLACK) return { state: "unreadable", because: "That lies in the future: enter what is done." };
  if (blocker !== undefined) return { state: "blocked", at, because: blocker };
  const state = actState({ from, until, hands_min }, at);
  if (state === "too-early") return { state, at, fits_at: from, because };
  if (state === "too-late") return { state, at, because: closes, ...present({ fits_at: until }) };
  if (at < behind.at) return { state: "blocked", at, fits_at: behind.at, because: `It comes after “${inSentence(behind.title)}”` };
  return { state: "fits", at };
}

/** Minutes of hands as typed, else as planned. */
export function minutesOf({ operation: { hands_min } }: UpRow, took: string): number {
  const typed = Number(took.trim().replace(",", "."));
  return took.trim() !== "" && Number.isFinite(typed) && typed >= 0 ? typed : minutesAtIt(hands_min);
}

/** When a row was done, ms; what is left out starts no clock. */
type Span = number | "left-out";

interface Window {
  readonly from: number;
  readonly until?: number;
  /** What opens it, and what closes it, in words. */
  readonly because: string;
  readonly closes: string;
  /** The last of what goes before it, and when that was. */
  readonly behind: { readonly at: number; readonly title: string };
  readonly blocker?: string;
}

/** From when and until when a row can stand, by what is behind and by the rows that are written up with it. */
function windowOf({ after }: UpRow, spans: ReadonlyMap<string, Span>): Window {
  const open = after.find(({ op, known }) => !known && !spans.has(op));
  if (open) return { ...FREE, blocker: `First: ${inSentence(open.title)}` };
  const waits = after.map((wait): Wait => ({ ...wait, ...(wait.known ?? ownSpan(wait, spans.get(wait.op) ?? "left-out")) }));
  const last = furthest(waits, ({ from }) => from);
  const closing = furthest(waits, ({ until = Infinity }) => -until);
  const behind = furthest(waits, ({ at }) => at);
  return {
    from: last?.from ?? 0,
    because: last?.because ?? "",
    closes: closing?.because ?? "",
    behind: behind ?? FREE.behind,
    ...present({ until: closing?.until }),
  };
}

const FREE: Window = { from: 0, because: "", closes: "", behind: { at: 0, title: "" } };

interface Wait {
  readonly at: number;
  readonly from: number;
  readonly until?: number;
  readonly title: string;
  readonly because: string;
}

const furthest = (waits: readonly Wait[], by: (wait: Wait) => number): Wait | undefined =>
  waits.reduce<Wait | undefined>((best, each) => (best === undefined || by(each) > by(best) ? each : best), undefined);

function ownSpan({ min_min, max_min }: UpWait, at: Span): { readonly at: number; readonly from: number; readonly until?: number } {
  if (at === "left-out") return { at: 0, from: 0 };
  return {
    at,
    from: min_min >= 1 ? at + min_min * MINUTE : 0,
    ...present({ until: max_min === undefined ? undefined : at + max_min * MINUTE }),
  };
}
