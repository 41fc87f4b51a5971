/** Wall-clock words for one time zone (an IANA name). All take milliseconds since the epoch. */
export interface Wall {
  /** `14:05` */
  time(ms: number): string;
  /** `Wed 7 Oct` */
  day(ms: number): string;
  /** `14:05` today, `Thu 9:20` within six days, `Mon 19 Oct` beyond. */
  when(ms: number, nowMs: number): string;
  /** `Wed 7 Oct 2026, 14:05`, for records. */
  stamp(ms: number): string;
  /** Minutes since local midnight. */
  minuteOfDay(ms: number): number;
  /** `2026-10-07` */
  date(ms: number): string;
  /** The moment of a day, hour and minute on this clock, ms; in the hour that comes twice, the first of the two. */
  moment(date: string, hour: number, minute?: number): number;
}

const walls = new Map<string, Wall>();

/** The clock of a time zone; made once a zone because Intl formatters are slow to build. */
export function wall(timeZone: string): Wall {
  const known = walls.get(timeZone);
  if (known) return known;
  const made = makeWall(timeZone);
  walls.set(timeZone, made);
  return made;
}

const DAY_MS = 86_400_000;
const MINUTE_MS = 60_000;

/** The parts of a moment in a zone, by name, and its date. */
function reader(timeZone: string) {
  const format = new Intl.DateTimeFormat("en-GB", {
    timeZone,
    weekday: "short",
    year: "numeric",
    month: "short",
    day: "numeric",
    hour: "2-digit",
    minute: "2-digit",
    hourCycle: "h23",
  });
  const numericDate = new Intl.DateTimeFormat("en-CA", { timeZone, year: "numeric", month: "2-digit", day: "2-digit" });
  const read = (ms: number) => {
    const found: Record<string, string> = {};
    for (const { type, value } of format.formatToParts(ms)) found[type] = value;
    return found;
  };
  return { read, date: (ms: number) => numericDate.format(ms) };
}

function makeWall(timeZone: string): Wall {
  const { read, date } = reader(timeZone);
  const time = (ms: number) => {
    const { hour, minute } = read(ms);
    return `${Number(hour)}:${minute}`;
  };
  const day = (ms: number) => {
    const { weekday, day: date, month } = read(ms);
    return `${weekday} ${date} ${month?.slice(0, 3)}`;
  };
  /** How far this clock is before UTC at a moment, ms. */
  const ahead = (ms: number) => {
    const { hour, minute } = read(ms);
    return Date.parse(`${date(ms)}T${hour}:${minute}:00Z`) - Math.floor(ms / MINUTE_MS) * MINUTE_MS;
  };
  return {
    moment: (on, hour, minute = 0) => {
      const asUtc = Date.parse(`${on}T${String(hour).padStart(2, "0")}:${String(minute).padStart(2, "0")}:00Z`);
      const near = asUtc - ahead(asUtc);
      return asUtc - ahead(near);
    },
    time,
    day,
    date,
    stamp: (ms) => `${day(ms)} ${read(ms).year}, ${time(ms)}`,
    minuteOfDay: (ms) => {
      const { hour, minute } = read(ms);
      return Number(hour) * 60 + Number(minute);
    },
    when: (ms, nowMs) => {
      if (date(ms) === date(nowMs)) return time(ms);
      return Math.abs(ms - nowMs) < 6 * DAY_MS ? `${read(ms).weekday} ${time(ms)}` : day(ms);
    },
  };
}

const OFFSET = /(Z|[+-]\d{2}:\d{2})$/;

/**
 * An instant written with the offset of `like`, so that an answer speaks the asker's clock.
 * @example isoLike(0, "2026-10-07T12:00:00+02:00") // => "1970-01-01T02:00:00.000+02:00"
 */
export function isoLike(ms: number, like: string): string {
  const offset = OFFSET.exec(like)?.[1] ?? "Z";
  if (offset === "Z") return new Date(ms).toISOString();
  const sign = offset.startsWith("-") ? -1 : 1;
  const shift = sign * (Number(offset.slice(1, 3)) * 60 + Number(offset.slice(4, 6))) * 60_000;
  return new Date(ms + shift).toISOString().replace("Z", offset);
}

const MONTHS = ["Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"];

/**
 * A day of a label, with its year, as jars carry it.
 * @example formatDate("2027-03-31") // => "31 Mar 27"
 */
export function formatDate(date: string): string {
  const [year = "", month = "", day = ""] = date.split("-");
  return `${Number(day)} ${MONTHS[Number(month) - 1] ?? ""} ${year.slice(2)}`;
}
