import type { ShopHours } from "../plan/clock";
import { type WorkSheet, workSheetOf } from "../plan/workSheet";
import type { Treatment } from "../record/treatment";
import type { Calendar } from "../schedule/schedule.schema";
import type { Wall } from "../units";
import type { Worked } from "./worked";

const MINUTE = 60_000;
const minutesOf = (time: string): number => Number(time.slice(0, 2)) * 60 + Number(time.slice(3));

/** The shop's hours as the sheet's clock takes them: the zone as far ahead of UTC as it is at `now`, ms. */
export function hoursOf({ days, from, to, closed = [] }: Calendar, wall: Wall, now: number): ShopHours {
  const midnight = wall.moment(wall.date(now), 0);
  const offset_min = (Date.parse(`${wall.date(now)}T00:00:00Z`) - midnight) / MINUTE;
  return { opens_min: minutesOf(from), closes_min: minutesOf(to), days, offset_min, closed };
}

/** The work sheet of what is still open of a treatment, from `now` (ms) on in the shop's hours; clocks that run are waited for. */
export function sheetOf(treatment: Treatment, worked: Worked, title: string, calendar: Calendar, wall: Wall, now: number): WorkSheet {
  // as the condition map numbers them, with the name that they were given
  const names = new Map(treatment.damages.map(({ id, survey }, i) => [id, { tag: String(i + 1), title: survey.body.title ?? "" }]));
  const behind = new Map([...worked.marks].map(([op, { at }]) => [op, Date.parse(at)]));
  return workSheetOf(worked.repair, title, now, hoursOf(calendar, wall, now), { behind, names });
}
