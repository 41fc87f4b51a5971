import { isoLike, plain } from "../units";
import { Shifts } from "./calendar";
import { freeAt, handsEnd, type Lag, missedBy, type Shop, type Task } from "./place";
import type { ScheduleInput, ScheduleResult } from "./schedule.schema";
import { lowerBound, searched } from "./search";

const MINUTE = 60_000;

/**
 * When to do what, so that all is free soonest. Hands-on parts lie whole inside working hours and are not split; a resource is held from the
 * start to the end of the wait; lags count from the end of the hands of one to the start of the other. Times in the offset of `start`.
 * @throws {RangeError} on links to no task or in a circle, a resource that there is none of, a time zone that is none, a task longer than a day
 */
export function schedule(input: ScheduleInput): ScheduleResult {
  const start = Date.parse(input.start);
  const shop = shopOf(input, start);
  const bound = lowerBound(shop);
  const found = searched(shop, bound);
  const ended = shop.tasks.some(({ before }) => before.some(({ max }) => max !== undefined));
  const proven = found.missed < 1e-6 && (found.finish <= bound + 1e-6 || (found.exhausted && !ended));
  const at = (minutes: number) => isoLike(start + minutes * MINUTE, input.start);
  const missed = missedBy(shop, found.starts);
  const named = (i: number) => shop.tasks[i]?.id ?? "";
  return {
    tasks: shop.tasks.map(({ id }, i) => ({
      id,
      start: at(found.starts[i] ?? 0),
      hands_end: at(handsEnd(shop, found.starts, i)),
      free_at: at(freeAt(shop, found.starts, i)),
    })),
    finish: at(found.finish),
    lower_bound: at(proven ? found.finish : Math.min(bound, found.finish)),
    proven_optimal: proven,
    missed: missed.map(({ from, to, by }) => ({ link: { from: named(from), to: named(to) }, by_min: by })),
    basis: {
      formula: "least latest end; tasks placed one by one as early as they go, all orders searched as far as the bound asks",
      source: "resource-constrained project scheduling with calendars and time lags: Kolisch 1996; Neumann, Schwindt and Zimmermann 2003",
    },
    warnings: missed.map(({ from, to, by }) => ({
      code: "window-missed",
      message: `“${named(to)}” comes ${plain(by, 0)} min after its window behind “${named(from)}” has shut: begin the one later in the day, or ask for more hands.`,
    })),
  };
}

function shopOf({ calendar, hands = 1, resources = {}, tasks, links = [] }: ScheduleInput, start: number): Shop {
  checkZone(calendar.timezone);
  const shifts = new Shifts(calendar, start);
  if (shifts.longest <= 0) throw new RangeError("the working day ends before it begins");
  const index = new Map(tasks.map(({ id }, i) => [id, i]));
  if (index.size < tasks.length) throw new RangeError("two tasks have one id");
  const at = (id: string) => {
    const found = index.get(id);
    if (found === undefined) throw new RangeError(`a link names “${id}”, which is no task`);
    return found;
  };
  const lags = links.map(({ from, to, min_min = 0, max_min }) => ({ from: at(from), to: at(to), min: min_min, max: max_min }));
  const lag = (task: number, { min, max }: { min: number; max: number | undefined }): Lag => ({
    task,
    min,
    ...(max === undefined ? {} : { max }),
  });
  const made = tasks.map(({ id, hands_min, wait_min = 0, uses = [], priority = 0 }, i): Task => {
    if (hands_min > shifts.longest + 1e-9)
      throw new RangeError(`“${id}” takes ${plain(hands_min)} min of hands: longer than a working day`);
    for (const name of uses) if (!(resources[name] ?? 0)) throw new RangeError(`“${id}” uses “${name}”, and there is none`);
    return {
      id,
      hands: hands_min,
      wait: wait_min,
      uses,
      priority,
      before: lags.filter(({ to }) => to === i).map((each) => lag(each.from, each)),
      after: lags.filter(({ from }) => from === i).map((each) => lag(each.to, each)),
    };
  });
  checkCircle(made);
  return { tasks: made, shifts, hands, resources };
}

function checkZone(timeZone: string): void {
  try {
    new Intl.DateTimeFormat("en-GB", { timeZone });
  } catch {
    throw new RangeError(`“${timeZone}” is no time zone`);
  }
}

function checkCircle(tasks: readonly Task[]): void {
  const left = new Set(tasks.map((_, i) => i));
  for (let gone = true; gone; ) {
    gone = false;
    for (const i of [...left])
      if (tasks[i]?.before.every(({ task }) => !left.has(task))) {
        left.delete(i);
        gone = true;
      }
  }
  if (left.size > 0) throw new RangeError(`links run in a circle through ${[...left].map((i) => `“${tasks[i]?.id}”`).join(", ")}`);
}
