import { wall } from "../units";
import type { Calendar } from "./schedule.schema";

/** A stretch of working time, minutes since the start of the schedule. */
export interface Shift {
  readonly from: number;
  readonly to: number;
}

const MINUTE = 60_000;
const DAY = 86_400_000;
/** Further ahead nobody plans. */
const MOST_DAYS = 1500;

/** The working stretches of a shop from a moment on, made as they are asked for. */
export class Shifts {
  private readonly made: Shift[] = [];
  private day = -1;

  constructor(
    private readonly calendar: Calendar,
    private readonly start: number,
  ) {}

  /** The `i`th stretch that ends after the start. @throws {RangeError} when it lies further ahead than anyone plans */
  at(i: number): Shift {
    while (this.made.length <= i) this.nextDay();
    return this.made[i] as Shift;
  }

  /** The first moment from `from` on at which so many minutes fit whole into a stretch. */
  fits(from: number, minutes: number): number {
    for (let i = this.indexFrom(from); ; i++) {
      const shift = this.at(i);
      const begins = Math.max(from, shift.from);
      if (begins + minutes <= shift.to + 1e-9) return begins;
    }
  }

  /** When so many minutes of one pair of hands have passed, at the soonest. */
  worked(minutes: number): number {
    let left = minutes;
    for (let i = 0; ; i++) {
      const { from, to } = this.at(i);
      const length = to - Math.max(0, from);
      if (left <= length + 1e-9) return Math.max(0, from) + left;
      left -= length;
    }
  }

  /** The longest that a working day is, minutes. */
  get longest(): number {
    return minutesOf(this.calendar.to) - minutesOf(this.calendar.from);
  }

  private indexFrom(from: number): number {
    while (this.at(Math.max(0, this.made.length - 1)).to <= from) this.nextDay();
    let [low, high] = [0, this.made.length - 1];
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((this.made[middle] as Shift).to <= from) low = middle + 1;
      else high = middle;
    }
    return low;
  }

  private nextDay(): void {
    if (this.day > MOST_DAYS) throw new RangeError(`it does not fit into the next ${MOST_DAYS} days`);
    const clock = wall(this.calendar.timezone);
    // a day is added at noon: the day that the clocks are set has 23 or 25 hours
    const noon = this.start + this.day * DAY;
    this.day += 1;
    const date = clock.date(noon);
    const weekday = ((new Date(`${date}T12:00:00Z`).getUTCDay() + 6) % 7) + 1;
    const shut = this.calendar.closed?.some((each) => each.from <= date && date <= each.to) ?? false;
    if (shut || !this.calendar.days.includes(weekday)) return;
    const [from, to] = [this.calendar.from, this.calendar.to].map((time) => {
      const [hour = 0, minute = 0] = time.split(":").map(Number);
      return (clock.moment(date, hour) + minute * MINUTE - this.start) / MINUTE;
    }) as [number, number];
    const known = this.made.at(-1);
    if (to > 0 && to > from && from >= (known?.to ?? -Infinity)) this.made.push({ from, to });
  }
}

const minutesOf = (time: string): number => {
  const [hour = 0, minute = 0] = time.split(":").map(Number);
  return hour * 60 + minute;
};
