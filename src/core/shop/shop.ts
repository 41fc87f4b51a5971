import type { Wall } from "../units";
import type { Shop } from "./shop.schema";
import { WEEKDAYS, type Weekday } from "./weekdays.data";

/** A shop before anyone wrote anything: the day as most keep it, a scale of a hundredth of a gram, a drawer with everything in it. */
export const freshShop = (name: string, time_zone: string): Shop => ({
  name,
  people: [],
  from: "08:00",
  to: "18:00",
  days: ["mon", "tue", "wed", "thu", "fri"],
  closed: [],
  time_zone,
  units: "mm",
  scale_step_g: 0.01,
  drills_missing: [],
  jig_mm: 12,
  bit_mm: 6,
  papers: [],
  clamps: 0,
  sensor: "simulated",
  sounds: false,
  flash: true,
});

/** Whether someone is there at a time, ms: on a working day that is not closed, within its hours. */
export function isOpen({ days, closed, from, to }: Pick<Shop, "days" | "closed" | "from" | "to">, at: number, wall: Wall): boolean {
  const date = wall.date(at);
  const minute = wall.minuteOfDay(at);
  return (
    days.includes(weekdayOf(date)) &&
    !closed.some((each) => each.from <= date && date <= each.to) &&
    minutesOf(from) <= minute &&
    minute < minutesOf(to)
  );
}

/** Minutes since midnight of `08:30`. */
export const minutesOf = (time: string): number => Number(time.slice(0, 2)) * 60 + Number(time.slice(3));

function weekdayOf(date: string): Weekday {
  const sundayFirst = new Date(`${date}T12:00:00Z`).getUTCDay();
  return WEEKDAYS[(sundayFirst + 6) % 7] as Weekday;
}
