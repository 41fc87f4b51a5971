import type { Wall } from "./time";

/** What a typed time is read against. Ms since the epoch. */
export interface TimeContext {
  /** The end of what went before: `+15` counts from it, and an hour alone is of its day. */
  readonly after: number;
  readonly now: number;
  readonly wall: Wall;
}

export type ReadTime = { readonly ok: true; readonly at: number } | { readonly ok: false; readonly says: string };

const MINUTE = 60_000;
const DAY = 86_400_000;
const WEEKDAYS = ["sun", "mon", "tue", "wed", "thu", "fri", "sat"];
const MONTHS = ["jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec"];

/** How a time may be typed, for whoever reads the error. */
export const TIME_FORMS = "+15, 14:20, Tue 9, 8 Oct 9:15";

const CLOCK = String.raw`(\d{1,2})(?:[:.h](\d{2}))?`;

interface Form {
  readonly as: RegExp;
  /** The day that is meant, `2026-10-08`, or undefined where there is none such; what follows it is hour and minute. */
  readonly day: (parts: readonly string[], context: TimeContext) => string | undefined;
}

/** Ways to name a day, each with the hour behind it. */
const FORMS: readonly Form[] = [
  { as: new RegExp(`^()${CLOCK}$`), day: (_, { after, wall }) => wall.date(after) },
  {
    as: new RegExp(`^(today|yesterday) ${CLOCK}$`),
    day: ([word], { now, wall }) => (word === "today" ? wall.date(now) : dayBefore(wall.date(now), 1)),
  },
  { as: new RegExp(`^(${WEEKDAYS.join("|")})[a-z]* ${CLOCK}$`), day: ([word = ""], context) => lastWeekday(word, context) },
  {
    as: new RegExp(String.raw`^(?:(?:${WEEKDAYS.join("|")})[a-z]* )?(\d{1,2})\.? (${MONTHS.join("|")})[a-z]*(?: (\d{4}))?,? ${CLOCK}$`),
    day: ([day = "", month = "", year], context) => dated(day, MONTHS.indexOf(month) + 1, year, context),
  },
  {
    as: new RegExp(String.raw`^(\d{4})-(\d{2})-(\d{2})[ t]${CLOCK}$`),
    day: ([year = "", month = "", day = ""]) => real(`${year}-${month}-${day}`),
  },
];

/**
 * A time as it is typed at the bench, on the shop's clock: `+15`, `+1:30` or `+2 d` after what went before, `14:20` on its day, `Tue 9` the
 * last Tuesday, `8 Oct 9:15`, `8 Oct 2025 9:15`, `2026-10-08 9:15`.
 */
export function readTime(text: string, context: TimeContext): ReadTime {
  const typed = text.trim().toLowerCase().replace(/\s+/g, " ");
  const later = /^\+ ?(\d{1,4})(?::(\d{2})| ?(min|h|d))?$/.exec(typed);
  if (later) return { ok: true, at: context.after + lengthOf(later) };
  // 1420 as it is keyed without a colon
  const spelt = typed.replace(/^(\d{1,2})(\d{2})$/, "$1:$2");
  for (const { as, day } of FORMS) {
    const found = as.exec(spelt);
    if (!found) continue;
    const parts = found.slice(1);
    const [hour, minute] = parts.slice(-2).map((part) => Number(part ?? 0)) as [number, number];
    if (hour > 23 || minute > 59) return { ok: false, says: "A day has hours 0 to 23 and minutes 0 to 59." };
    const on = day(parts.slice(0, -2), context);
    return on === undefined ? { ok: false, says: "There is no such day." } : { ok: true, at: context.wall.moment(on, hour, minute) };
  }
  return { ok: false, says: `Type a time such as ${TIME_FORMS}.` };
}

/** A moment as it is shown in a field, so that it reads back as itself: `today 14:20`, else `Thu 8 Oct 14:20`, with the year where it is not clear. */
export function typedTime(ms: number, { now, wall }: Pick<TimeContext, "now" | "wall">): string {
  if (wall.date(ms) === wall.date(now)) return `today ${wall.time(ms)}`;
  const clear = ms <= now && now - ms < 300 * DAY;
  return `${wall.day(ms)}${clear ? "" : ` ${wall.date(ms).slice(0, 4)}`} ${wall.time(ms)}`;
}

const PER: Readonly<Record<string, number>> = { min: MINUTE, h: 60 * MINUTE, d: DAY };

function lengthOf([, count = "0", minutes, unit = "min"]: RegExpExecArray): number {
  return minutes === undefined ? Number(count) * (PER[unit] ?? MINUTE) : (Number(count) * 60 + Number(minutes)) * MINUTE;
}

/** Days are counted on the calendar, not in hours: a day of October has 25. */
const dayBefore = (date: string, days: number): string => new Date(Date.parse(`${date}T12:00:00Z`) - days * DAY).toISOString().slice(0, 10);

function lastWeekday(word: string, { now, wall }: TimeContext): string {
  const today = wall.date(now);
  const back = (new Date(`${today}T12:00:00Z`).getUTCDay() - WEEKDAYS.indexOf(word) + 7) % 7;
  return dayBefore(today, back);
}

/** Without a year the last such day that is not to come. */
function dated(day: string, month: number, year: string | undefined, { now, wall }: TimeContext): string | undefined {
  const on = (of: number) => real(`${of}-${String(month).padStart(2, "0")}-${day.padStart(2, "0")}`);
  if (year !== undefined) return on(Number(year));
  const today = wall.date(now);
  const thisYear = on(Number(today.slice(0, 4)));
  return thisYear !== undefined && thisYear <= today ? thisYear : on(Number(today.slice(0, 4)) - 1);
}

/** The day itself where the calendar has it. */
function real(date: string): string | undefined {
  const ms = Date.parse(`${date}T12:00:00Z`);
  return !Number.isNaN(ms) && new Date(ms).toISOString().startsWith(date) ? date : undefined;
}
