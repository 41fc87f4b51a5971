import { middle } from "../catalogue";
import type { Operation } from "./plan.schema";

/** When the shop is open: minutes of the day, days of the week (1 = Monday), and how far its clocks are from UTC, min. */
export interface ShopHours {
  readonly opens_min: number;
  readonly closes_min: number;
  readonly days: readonly number[];
  readonly offset_min: number;
  /** Dates on which nobody is there, both ends included. */
  readonly closed?: ReadonlyArray<{ readonly from: string; readonly to: string }>;
}

/** An operation at its time, ms since the epoch. `until`: it must be begun by then; `missed`: no working hour lies in its window. */
export interface Timed {
  readonly op: Operation;
  readonly start: number;
  readonly end: number;
  readonly until?: number;
  readonly missed?: true;
}

const MINUTE = 60_000;
const DAY = 1440;
/** A start is put off in such steps, min, and no further than a week: then its window is told as missed. */
const PUT_OFF_MIN = 15;
const PUT_OFF_MOST = (7 * DAY) / PUT_OFF_MIN;

/**
 * The next moment from `t` on at which hands may be at it for so many minutes within one working day; longer work begins with the day.
 * @throws {RangeError} where the shop never opens
 */
export function opening(t: number, minutes: number, { opens_min, closes_min, days, offset_min, closed = [] }: ShopHours): number {
  if (!days.some((day) => day >= 1 && day <= 7) || closes_min <= opens_min) throw new RangeError("the shop never opens in these hours");
  const local = t / MINUTE + offset_min;
  for (let day = Math.floor(local / DAY); ; day++) {
    // 1 January 1970 was a Thursday
    const weekday = ((((day + 3) % 7) + 7) % 7) + 1;
    const from = Math.max(local, day * DAY + opens_min);
    const fits = from + Math.min(minutes, closes_min - opens_min) <= day * DAY + closes_min;
    if (days.includes(weekday) && fits && !isClosed(day, closed)) return (from - offset_min) * MINUTE;
  }
}

/** Whether nobody is there on a day, counted from 1 January 1970. */
function isClosed(day: number, closed: NonNullable<ShopHours["closed"]>): boolean {
  const date = new Date(day * DAY * MINUTE).toISOString().slice(0, 10);
  return closed.some(({ from, to }) => from <= date && date <= to);
}

/**
 * The operations that are open as one pair of hands does them in the shop's hours: in their order, each as soon as hands and clocks are
 * free; while hands would wait for one, another is done that is over by then. What starts a clock is put off until what has a window after it falls into working hours. Hands at the middle of their range.
 * @param behind when what is done was done, ms: what waits for it waits from then
 */
export function byTheClock(
  operations: readonly Operation[],
  at: number,
  hours: ShopHours,
  behind: ReadonlyMap<string, number> = new Map(),
): Timed[] {
  const open = operations.filter(({ status }) => status === "open");
  const ended = new Map(behind);
  const windows = windowsAfter(open);
  const known = new Set(open.map(({ id }) => id));
  const timed: Timed[] = [];
  let free = at;
  for (let left = [...open]; left.length > 0; left = left.filter(({ id }) => !ended.has(id))) {
    const able = left.filter(({ after }) => after.every(({ op }) => !known.has(op) || ended.has(op)));
    const next = nextOf((able.length > 0 ? able : left.slice(0, 1)).map((op) => placed(op, free, { ended, windows, hours })));
    ended.set(next.op.id, next.end);
    free = next.end;
    timed.push(next);
  }
  return timed;
}

interface Clockwork {
  readonly ended: ReadonlyMap<string, number>;
  readonly windows: ReadonlyMap<string, readonly Window[]>;
  readonly hours: ShopHours;
}

/** An operation where it could be begun from `free` on. */
function placed(op: Operation, free: number, { ended, windows, hours }: Clockwork): Timed {
  const minutes = middle(op.hands_min);
  const waited = op.after.map((edge) => ({ edge, from: ended.get(edge.op) })).filter((each) => each.from !== undefined);
  const ready = Math.max(free, ...waited.map(({ edge, from = 0 }) => from + edge.min_min * MINUTE));
  const closes = waited.flatMap(({ edge, from = 0 }) => (edge.max_min === undefined ? [] : [from + edge.max_min * MINUTE]));
  const until = closes.length > 0 ? Math.min(...closes) : undefined;
  const start = putOff(opening(ready, minutes, hours), minutes, windows.get(op.id) ?? [], until, hours);
  return {
    op,
    start,
    end: start + minutes * MINUTE,
    ...(until === undefined ? {} : { until }),
    ...(until !== undefined && start > until ? { missed: true } : {}),
  };
}

/**
 * What hands do next: in the order of the list, but nothing waits for hands that wait for something else; and nothing is begun that would
 * run past a window that can still be met.
 */
function nextOf(able: readonly Timed[]): Timed {
  const [lead] = able;
  if (!lead) throw new RangeError("nothing to choose from");
  const first = able.find(({ end }) => end <= lead.start) ?? lead;
  const shut = able.filter(({ until, missed, start }) => until !== undefined && !missed && until < first.end && start <= until);
  return shut.reduce((best, each) => ((each.until ?? Infinity) < (best.until ?? Infinity) ? each : best), shut[0] ?? first);
}

/** A window that opens and closes after an operation, min, and how long hands are at what is done in it. */
interface Window {
  readonly min: number;
  readonly max: number;
  readonly hands: number;
}

function windowsAfter(open: readonly Operation[]): ReadonlyMap<string, readonly Window[]> {
  const windows = new Map<string, Window[]>();
  for (const { after, hands_min } of open)
    for (const { op, min_min, max_min } of after)
      if (max_min !== undefined) windows.set(op, [...(windows.get(op) ?? []), { min: min_min, max: max_min, hands: middle(hands_min) }]);
  return windows;
}

/** The first start at which every window after it meets the shop's hours; the first of all where none does, or where it may not wait. */
function putOff(first: number, minutes: number, windows: readonly Window[], until: number | undefined, hours: ShopHours): number {
  const meets = (start: number) => {
    const end = start + minutes * MINUTE;
    return windows.every(({ min, max, hands }) => opening(end + min * MINUTE, hands, hours) <= end + max * MINUTE);
  };
  let start = first;
  for (let i = 0; i < PUT_OFF_MOST; i++) {
    if (meets(start)) return start;
    start = opening(start + PUT_OFF_MIN * MINUTE, minutes, hours);
    if (until !== undefined && start > until) return first;
  }
  return first;
}
