import type { Calendar } from "../../schedule/schedule.schema";
import type { Wall } from "../../units";

/** A stretch of the drawn week: a working day, or what is folded between two of them. */
interface Stretch {
  readonly from: number;
  readonly to: number;
  /** Share of the width, 0 to 1, where it begins and ends. */
  readonly left: number;
  readonly right: number;
  /** `Wed 7` of a working day; nothing of a fold. */
  readonly label?: string;
}

export interface Axis {
  readonly stretches: readonly Stretch[];
  readonly to: number;
  /** Where a moment stands, 0 to 1; what lies outside stands at the edge. */
  readonly at: (ms: number) => number;
}

const DAY = 86_400_000;
/** What a night, and what a stretch of closed days, is beside a working day. */
const NIGHT = 0.13;
const CLOSED = 0.31;
/** Further ahead no open day is looked for. */
const MOST_DAYS = 60;

/**
 * The next working days side by side, nights and closed days folded. Times of the calendar's own clock; ms.
 * @example weekAxis(now, 6, calendar, wall).at(now) // 0 within hours
 */
export function weekAxis(now: number, days: number, calendar: Calendar, wall: Wall): Axis {
  const open = openDays(now, days, calendar, wall);
  const weights = open.flatMap(({ from, to }, i) => {
    const next = open[i + 1];
    const night = next && next.from - to < DAY ? NIGHT : CLOSED;
    return [{ from, to, weight: 1, day: true }, ...(next ? [{ from: to, to: next.from, weight: night, day: false }] : [])];
  });
  const whole = weights.reduce((sum, { weight }) => sum + weight, 0);
  let left = 0;
  const stretches = weights.map(({ from, to, weight, day }): Stretch => {
    const begins = left;
    left += weight / whole;
    return { from, to, left: begins, right: left, ...(day ? { label: wall.day(from).split(" ").slice(0, 2).join(" ") } : {}) };
  });
  const at = (ms: number) => {
    const inside = stretches.find(({ to }) => ms < to);
    if (!inside) return 1;
    return inside.left + (Math.max(0, ms - inside.from) / (inside.to - inside.from)) * (inside.right - inside.left);
  };
  return { stretches, to: open.at(-1)?.to ?? now, at };
}

/** The hours of the next working days; today counts while it is not over. */
function openDays(now: number, days: number, { days: open, from, to, closed = [] }: Calendar, wall: Wall) {
  const minutes = (time: string) => time.split(":").map(Number) as [number, number];
  const found: Array<{ from: number; to: number }> = [];
  for (let i = 0; i < MOST_DAYS && found.length < days; i++) {
    const date = wall.date(now + i * DAY);
    const weekday = ((new Date(`${date}T12:00:00Z`).getUTCDay() + 6) % 7) + 1;
    const day = { from: wall.moment(date, ...minutes(from)), to: wall.moment(date, ...minutes(to)) };
    const shut = closed.some((each) => each.from <= date && date <= each.to);
    if (open.includes(weekday) && !shut && day.to > now) found.push(day);
  }
  return found;
}
