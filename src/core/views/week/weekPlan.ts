import { Shifts } from "../../schedule/calendar";
import type { ScheduleInput, ScheduleResult } from "../../schedule/schedule.schema";
import type { Shop } from "../../shop/shop.schema";
import { WEEKDAYS } from "../../shop/weekdays.data";
import { present } from "../../units";
import type { Block, BlockLag, Blocks } from "./blocks";

/** An open treatment with what is still to do at it. */
export interface Planned extends Blocks {
  readonly treatment: string;
  readonly piece: string;
  readonly title: string;
  readonly kind: string;
  /** A date, or nothing. */
  readonly promised: string | null;
}

/** A block at its time, ms. */
export interface PlacedBlock extends Block {
  readonly start: number;
  readonly end: number;
}

/** A wait between two blocks, or before one whose clock runs. Ms. */
interface PlacedWait {
  readonly from: number;
  readonly to: number;
  readonly because: string;
  /** It must be begun by then. */
  readonly until?: number;
  /** Minutes that the window is missed by. */
  readonly missed_min?: number;
}

export interface PlanRow extends Omit<Planned, "blocks"> {
  readonly blocks: readonly PlacedBlock[];
  readonly waits: readonly PlacedWait[];
  /** When nothing is left to do. */
  readonly ready: number;
}

export interface WeekPlan {
  readonly now: number;
  readonly rows: readonly PlanRow[];
  /** All that is planned is done then at the soonest, and the soonest that it ever could be. */
  readonly finish: number;
  readonly bound: number;
  readonly proven: boolean;
  /** Treatments that are too many to be planned at once: promised latest, or to nobody. */
  readonly left_out: readonly Planned[];
}

const MINUTE = 60_000;
const DAY = 86_400_000;
/** So many blocks are placed at once. */
const MOST_TASKS = 380;
const NOW = "now";
/** Sooner promised is placed first; what is promised to nobody comes last. */
const FAR_DAYS = 3650;

/** What the scheduler is asked, and of whom. */
export interface WeekQuestion {
  readonly now: number;
  /** When hands can be at it at the soonest: now, or when the shop opens. */
  readonly opens: number;
  readonly taken: readonly Planned[];
  readonly left_out: readonly Planned[];
  /** Absent = nothing is left to do. */
  readonly input?: ScheduleInput;
}

type Hours = Pick<Shop, "days" | "from" | "to" | "time_zone" | "clamps" | "closed">;

/**
 * Every open treatment as one question of the shop's hands, hours, clamps and its place to spray: what is promised sooner goes first.
 * `hands` = pairs of hands, at least one. What was done is fixed, what a clock holds waits for it.
 */
export function weekQuestion(open: readonly Planned[], shop: Hours, hands: number, now: number): WeekQuestion {
  const { taken, left_out } = fitting(open);
  const opens = now + new Shifts(calendarOf(shop), now).fits(0, 1) * MINUTE;
  const tasks = taken.flatMap((each) => tasksOf(each, opens));
  if (tasks.length === 0) return { now, opens, taken, left_out };
  const input: ScheduleInput = {
    calendar: calendarOf(shop),
    start: new Date(opens).toISOString(),
    hands: Math.max(1, hands),
    resources: { clamps: shop.clamps > 0 ? shop.clamps : UNCOUNTED, "spray place": 1 },
    tasks: [{ id: NOW, object: NOW, hands_min: 0, priority: 1e6 }, ...tasks],
    links: taken.flatMap((each) => linksOf(each, opens)),
  };
  return { now, opens, taken, left_out, input };
}

export const calendarOf = ({ days, from, to, time_zone, closed }: Hours): ScheduleInput["calendar"] => ({
  days: days.map((day) => WEEKDAYS.indexOf(day) + 1),
  from,
  to,
  timezone: time_zone,
  closed: closed.map((each) => ({ from: each.from, to: each.to })),
});

/** The plan that the scheduler found, treatment by treatment, what is ready soonest first. */
export function weekPlan({ now, taken, left_out }: WeekQuestion, found: ScheduleResult | undefined): WeekPlan {
  if (!found) return { now, rows: [], finish: now, bound: now, proven: true, left_out: [...taken, ...left_out] };
  const at = new Map(found.tasks.map(({ id, start, hands_end }) => [id, { start: Date.parse(start), end: Date.parse(hands_end) }]));
  const missed = new Map(found.missed.map(({ link, by_min }) => [`${link.from} ${link.to}`, by_min]));
  return {
    now,
    rows: taken.map((each) => rowOf(each, at, missed, now)).sort((a, b) => a.ready - b.ready),
    finish: Date.parse(found.finish),
    bound: Date.parse(found.lower_bound),
    proven: found.proven_optimal,
    left_out,
  };
}

/** Where nobody counts the clamps they are enough. */
const UNCOUNTED = 1000;

/** As many treatments as can be placed at once, those that are promised soonest first. */
function fitting(open: readonly Planned[]) {
  const sorted = [...open].filter(({ blocks }) => blocks.length > 0).sort((a, b) => dueDays(a) - dueDays(b));
  let count = 0;
  const taken = sorted.filter(({ blocks }) => {
    const fits = count + blocks.length <= MOST_TASKS;
    if (fits) count += blocks.length;
    return fits;
  });
  return { taken, left_out: sorted.filter((each) => !taken.includes(each)) };
}

const dueDays = ({ promised }: Pick<Planned, "promised">) => (promised === null ? FAR_DAYS : Date.parse(promised) / DAY - 20_000);

const nameOf = (treatment: string, block: string) => `${treatment} ${block}`;

/** What shuts soonest is done before all that is only promised. */
const WINDOW_FIRST = 1e5;

function tasksOf({ treatment, blocks, promised }: Planned, opens: number) {
  return blocks.map(({ id, hands_min, uses, from, until }) => ({
    id: nameOf(treatment, id),
    object: treatment,
    hands_min,
    // a window that shuts, then what can be done at once and is promised soonest
    priority:
      until === undefined
        ? -(dueDays({ promised }) + Math.max(0, (from ?? opens) - opens) / DAY / 100)
        : WINDOW_FIRST - Math.max(0, until - opens) / DAY,
    ...(uses.length > 0 ? { uses: [...uses] } : {}),
  }));
}

function linksOf({ treatment, blocks, lags }: Planned, opens: number): NonNullable<ScheduleInput["links"]> {
  const inside = lags.map(({ from, to, min_min, max_min }) => ({
    from: nameOf(treatment, from),
    to: nameOf(treatment, to),
    min_min,
    ...present({ max_min }),
  }));
  const running = blocks.flatMap(({ id, from, until }) => {
    if (from === undefined && until === undefined) return [];
    const min_min = Math.max(0, ((from ?? opens) - opens) / MINUTE);
    // what shuts before anyone is here is told as missed, and done as soon as hands are there
    const max_min = until === undefined || until < opens ? undefined : Math.max(min_min, (until - opens) / MINUTE);
    return [{ from: NOW, to: nameOf(treatment, id), min_min, ...present({ max_min }) }];
  });
  return [...inside, ...running];
}

type Times = ReadonlyMap<string, { readonly start: number; readonly end: number }>;

function rowOf({ blocks, ...planned }: Planned, at: Times, missed: ReadonlyMap<string, number>, now: number): PlanRow {
  const of = (block: string) => at.get(nameOf(planned.treatment, block)) ?? { start: now, end: now };
  const placed = blocks.map((block) => ({ ...block, ...of(block.id) })).sort((a, b) => a.start - b.start);
  const waits = planned.lags.flatMap((lag) =>
    waitOf(lag, of, missed.get(`${nameOf(planned.treatment, lag.from)} ${nameOf(planned.treatment, lag.to)}`)),
  );
  const running = blocks.flatMap((block): PlacedWait[] => {
    const { id, from, until } = block;
    if (from === undefined && until === undefined) return [];
    const late = until === undefined ? 0 : (of(id).start - until) / MINUTE;
    return [
      {
        from: now,
        to: Math.max(now, from ?? now),
        because: `${block.title} waits for its clock`,
        ...present({ until, missed_min: late > 1 ? late : undefined }),
      },
    ];
  });
  return { ...planned, blocks: placed, waits: [...running, ...waits], ready: Math.max(now, ...placed.map(({ end }) => end)) };
}

/** Shorter waits are no wait. */
const LEAST_WAIT_MIN = 5;

function waitOf(
  { from, to, min_min, max_min, because }: BlockLag,
  of: (block: string) => { start: number; end: number },
  missed_min?: number,
): PlacedWait[] {
  if (min_min < LEAST_WAIT_MIN && max_min === undefined) return [];
  const [first, second] = [of(from), of(to)];
  const until = max_min === undefined ? undefined : first.end + max_min * MINUTE;
  return [{ from: first.end, to: Math.min(second.start, first.end + min_min * MINUTE), because, ...present({ until, missed_min }) }];
}
