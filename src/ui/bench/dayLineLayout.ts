import type { Wall } from "@/core/units";

export const WIDTH = 1280;
export const HEIGHT = 168;

export interface WindowOnLine {
  readonly name: string;
  readonly from: number;
  readonly until?: number;
  readonly state: "now" | "closing" | "too-early";
}

export interface PlacedWindow {
  readonly key: string;
  readonly x: number;
  readonly width: number;
  readonly y: number;
  /** No end: an arrow. */
  readonly open: boolean;
  readonly state: WindowOnLine["state"];
  readonly label: string;
  readonly inside: boolean;
  readonly labelX: number;
  readonly anchor: "start" | "end";
}

export interface DayLineLayout {
  readonly placed: readonly PlacedWindow[];
  readonly hours: ReadonlyArray<{ readonly x: number; readonly label: string }>;
  readonly night?: { readonly from: number; readonly to: number; readonly tomorrow: string };
  readonly nowX: number;
  /** Windows that found no room. */
  readonly left: number;
}

const HOUR = 3_600_000;
const MINUTE = 60_000;
const PX_PER_HOUR = 176;
const NIGHT_PX = 96;
const ROWS = [32, 67, 102] as const;
const PX_PER_LETTER = 6.9;

/** The working day, minutes since midnight. */
export interface WorkingDay {
  readonly begins: number;
  readonly ends: number;
}

/** To time inside working hours; from half an hour ago, over the folded night, to tomorrow's first hours. */
export function dayLine(windows: readonly WindowOnLine[], now: number, wall: Wall, day: WorkingDay): DayLineLayout {
  const start = now - HOUR / 2;
  const minute = wall.minuteOfDay(now);
  const late = minute >= day.ends - 60;
  const dayEnd = now + Math.max(0, day.ends - minute) * MINUTE;
  const nightFrom = Math.max(late ? 250 : 0, ((dayEnd - start) / HOUR) * PX_PER_HOUR);
  const folds = nightFrom < WIDTH - NIGHT_PX - 60;
  const untilMorning = 24 * 60 + day.begins - minute;
  const morning = now + (minute < day.begins ? day.begins - minute : untilMorning) * MINUTE;
  const nightTo = nightFrom + NIGHT_PX;
  const x = (at: number) => {
    if (!folds || at <= start + (nightFrom / PX_PER_HOUR) * HOUR) return ((at - start) / HOUR) * PX_PER_HOUR;
    if (at < morning) return nightFrom + NIGHT_PX / 2;
    return nightTo + ((at - morning) / HOUR) * PX_PER_HOUR;
  };
  const { placed, left } = place(windows, x, x(now), (ms) => wall.when(ms, now));
  return {
    placed,
    left,
    nowX: x(now),
    hours: hourMarks(start, now, x, wall, folds ? { from: nightFrom, to: nightTo } : undefined),
    ...(folds ? { night: { from: nightFrom, to: nightTo, tomorrow: wall.day(morning) } } : {}),
  };
}

/** First come, first row; a window whose block and label find no room is counted, not drawn over another. */
function place(
  windows: readonly WindowOnLine[],
  x: (at: number) => number,
  nowX: number,
  when: (ms: number) => string,
): { placed: PlacedWindow[]; left: number } {
  const ends: number[] = ROWS.map(() => -Infinity);
  const placed: PlacedWindow[] = [];
  let left = 0;
  for (const window of [...windows].sort((a, b) => a.from - b.from || (a.until ?? Infinity) - (b.until ?? Infinity))) {
    const block = blockOf(window, x, nowX, when);
    const row = ends.findIndex((end) => end + 8 <= block.begin);
    if (row < 0 || block.begin > WIDTH - 60) {
      left += 1;
      continue;
    }
    ends[row] = block.end;
    placed.push({ ...block.view, y: ROWS[row] ?? ROWS[0] });
  }
  return { placed, left };
}

interface Block {
  readonly begin: number;
  readonly end: number;
  readonly view: Omit<PlacedWindow, "y">;
}

function blockOf(window: WindowOnLine, x: (at: number) => number, nowX: number, when: (ms: number) => string): Block {
  const open = window.until === undefined;
  // what began before keeps its words clear of the line of now
  const from = Math.max(nowX + 2, x(window.from));
  const label = `${window.name} ${times(window, when)}`;
  const wide = label.length * PX_PER_LETTER + 18;
  // an arrow without an end is as long as its words
  const to = window.until === undefined ? Math.min(WIDTH, from + Math.max(200, wide)) : Math.max(from + 14, x(window.until));
  const inside = to - from >= wide - 1;
  const place = inside ? "inside" : to + 8 + wide <= WIDTH ? "after" : "before";
  const { labelX, begin, end, anchor } = LABELS[place](from, to, wide);
  return { begin, end, view: { key: label, x: from, width: to - from, open, state: window.state, label, inside, labelX, anchor } };
}

type LabelPlace = (from: number, to: number, wide: number) => { labelX: number; begin: number; end: number; anchor: "start" | "end" };

const LABELS: Readonly<Record<"inside" | "after" | "before", LabelPlace>> = {
  inside: (from, to) => ({ labelX: from + 9, begin: from, end: to, anchor: "start" }),
  after: (from, to, wide) => ({ labelX: to + 8, begin: from, end: to + 8 + wide, anchor: "start" }),
  before: (from, to, wide) => ({ labelX: from - 8, begin: Math.max(0, from - wide), end: to, anchor: "end" }),
};

function times({ from, until, state }: WindowOnLine, when: (ms: number) => string): string {
  if (until === undefined) return `from ${when(from)}`;
  return state === "too-early" ? `${when(from)} to ${when(until)}` : `until ${when(until)}`;
}

function hourMarks(
  start: number,
  now: number,
  x: (at: number) => number,
  wall: Wall,
  night: { from: number; to: number } | undefined,
): { x: number; label: string }[] {
  const first = now - (wall.minuteOfDay(now) % 60) * MINUTE - (now % MINUTE);
  return Array.from({ length: 30 }, (_, i) => first + i * HOUR)
    .filter((at) => at >= start)
    .map((at) => ({ x: Math.round(x(at)), label: wall.time(at) }))
    .filter(
      ({ x: at }, i, all) =>
        at < WIDTH - 10 &&
        at > 20 &&
        (!night || at < night.from - 4 || at > night.to + 4) &&
        all.findIndex((other) => other.x === at) === i,
    );
}
