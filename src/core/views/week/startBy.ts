import { Shifts } from "../../schedule/calendar";
import type { Calendar } from "../../schedule/schedule.schema";
import type { Block, BlockLag } from "./blocks";

/** When to begin what starts a clock, so that what has a window after it falls into working hours. Ms. */
export interface StartBy {
  /** Begun now, its window can be met. */
  readonly now: boolean;
  /** Begun by then it still can. */
  readonly by?: number;
  /** Begun now it can't: from then on it can again. */
  readonly after?: number;
}

const MINUTE = 60_000;
const STEP_MIN = 10;
/** So far ahead an hour is looked for, min. */
const MOST_MIN = 3 * 1440;

/**
 * Whether a block begun at this or that hour has its windows in working hours: each of `after` has to begin between the end of its wait and
 * the end of its window. Undefined where nothing after it has a window, or where no hour does.
 */
export function startBy(
  block: Pick<Block, "hands_min">,
  after: ReadonlyArray<{ readonly lag: BlockLag; readonly next: Pick<Block, "hands_min"> }>,
  calendar: Calendar,
  now: number,
): StartBy | undefined {
  const windows = after.filter(({ lag }) => lag.max_min !== undefined);
  if (windows.length === 0) return undefined;
  const shifts = new Shifts(calendar, now);
  const fits = (start: number) =>
    Math.abs(shifts.fits(start, block.hands_min) - start) < 1e-6 &&
    windows.every(({ lag: { min_min, max_min = 0 }, next }) => {
      const end = start + block.hands_min;
      return shifts.fits(end + min_min, next.hands_min) <= end + max_min + 1e-6;
    });
  const hours = Array.from({ length: MOST_MIN / STEP_MIN + 1 }, (_, i) => i * STEP_MIN);
  const at = (minutes: number) => now + minutes * MINUTE;
  if (fits(0)) {
    const last = hours.find((minutes) => !fits(minutes + STEP_MIN));
    return { now: true, ...(last === undefined ? {} : { by: at(last) }) };
  }
  const next = hours.find(fits);
  return next === undefined ? undefined : { now: false, after: at(next) };
}
