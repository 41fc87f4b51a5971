import { earliest, freeAt, missedBy, type Shop, type Starts, type Task } from "./place";

/** A whole schedule: starts by task, when all is free, and what was missed of windows, minutes. */
export interface Found {
  readonly starts: readonly number[];
  readonly finish: number;
  readonly missed: number;
}

/** So many places are tried before the search takes what it has. */
const MOST_NODES = 20_000;
/** So much is spent on it all, in tasks that were looked at: a plan of many is good in half a second, not best in an hour. */
const MOST_EFFORT = 8_000_000;
/** From so many tasks on they are in one another's way. */
const CROWDED = 50;
/** So often a task is put off so that what follows it keeps its window. */
const MOST_PUT_OFF = 60;

/** The soonest that all can be free: by what waits for what, by the hands there are, by each resource. */
export function lowerBound(shop: Shop): number {
  const { tasks, shifts, hands, resources } = shop;
  const chain = Math.max(...tails(shop, new Array(tasks.length).fill(undefined)).map(({ free }) => free));
  const all = tasks.reduce((sum, task) => sum + task.hands, 0);
  const shortest = Math.min(...tasks.map(({ wait }) => wait));
  const byHands = shifts.worked(all / hands) + shortest;
  const held = Object.entries(resources).map(([name, count]) => {
    const load = tasks.filter(({ uses }) => uses.includes(name)).reduce((sum, task) => sum + task.hands + task.wait, 0);
    return count > 0 && load > 0 ? shifts.fits(0, 0) + load / count : 0;
  });
  return Math.max(chain, byHands, ...held);
}

/** When each task could be, were hands and resources without end: placed ones stay. */
function tails({ tasks, shifts }: Shop, starts: Starts): Array<{ start: number; free: number }> {
  const found: Array<{ start: number; free: number } | undefined> = [];
  const of = (i: number): { start: number; free: number } => {
    const known = found[i];
    if (known) return known;
    const { hands, wait, before } = tasks[i] as Task;
    const ready = before.reduce((latest, { task, min }) => Math.max(latest, of(task).start + (tasks[task]?.hands ?? 0) + min), 0);
    const start = starts[i] ?? shifts.fits(ready, hands);
    found[i] = { start, free: start + hands + wait };
    return found[i] as { start: number; free: number };
  };
  return tasks.map((_, i) => of(i));
}

/**
 * The schedule that is free soonest. Tasks are placed one by one as early as they go, in every order that their links allow, until nothing
 * better can come or so many places were tried; some order of them gives the best where no window ends (Kolisch 1996, active schedules).
 * `exhausted` tells that all orders were seen.
 */
export function searched(shop: Shop, bound: number): Found & { readonly exhausted: boolean } {
  return new Orders(shop, bound).all();
}

class Orders {
  private nodes = 0;
  private effort = 0;
  private best: Found | undefined;
  private readonly weight: readonly number[];

  constructor(
    private readonly shop: Shop,
    private readonly bound: number,
  ) {
    this.weight = shop.tasks.map((_, i) => followers(shop, i));
  }

  all(): Found & { readonly exhausted: boolean } {
    this.placeNext(new Array(this.shop.tasks.length).fill(undefined), []);
    // the first order is always placed to its end
    return { ...(this.best as Found), exhausted: this.nodes < MOST_NODES && !this.spent() };
  }

  private placeNext(starts: Starts, order: readonly number[]): void {
    if (order.length === this.shop.tasks.length) {
      this.take(inWindows(this.shop, order, () => this.spend(this.shop.tasks.length)));
      return;
    }
    for (const task of candidates(this.shop, starts, this.weight)) {
      if (this.enough()) return;
      this.nodes += 1;
      this.spend(1);
      const next = starts.map((start, i) => (i === task ? earliest(this.shop, starts, task) : start));
      if (this.mayBeBetter(next)) this.placeNext(next, [...order, task]);
    }
  }

  private take(found: Found): void {
    const { best } = this;
    const nearer = !best || found.missed < best.missed - 1e-6;
    if (nearer || (found.missed < best.missed + 1e-6 && found.finish < best.finish - 1e-6)) this.best = found;
  }

  private enough(): boolean {
    return this.best !== undefined && (this.nodes >= MOST_NODES || this.spent() || done(this.best, this.bound));
  }

  /** Placing a task looks at every other one, and again for each that is in its way; answers whether there is something left to spend. */
  private spend(placed: number): boolean {
    const others = this.shop.tasks.length;
    this.effort += placed * others * Math.max(1, others / CROWDED);
    return !this.spent();
  }

  private spent(): boolean {
    return this.effort >= MOST_EFFORT;
  }

  private mayBeBetter(starts: Starts): boolean {
    if (!this.best || this.best.missed > 1e-6) return true;
    return Math.max(...tails(this.shop, starts).map(({ free }) => free)) < this.best.finish - 1e-6;
  }
}

const done = ({ missed, finish }: Found, bound: number) => missed < 1e-6 && finish <= bound + 1e-6;

/** What waits behind a task at the longest, minutes: it is begun first. */
function followers({ tasks }: Shop, i: number): number {
  const { hands, wait, after } = tasks[i] as Task;
  return hands + Math.max(wait, ...after.map(({ task, min }) => min + followers({ tasks } as Shop, task)), 0);
}

/** Tasks whose turn it may be: what they wait for is placed; the more urgent and the longer behind them, the sooner. */
function candidates({ tasks }: Shop, starts: Starts, weight: readonly number[]): number[] {
  return tasks
    .flatMap(({ before }, i) => (starts[i] === undefined && before.every(({ task }) => starts[task] !== undefined) ? [i] : []))
    .sort((a, b) => (tasks[b]?.priority ?? 0) - (tasks[a]?.priority ?? 0) || (weight[b] ?? 0) - (weight[a] ?? 0) || a - b);
}

/** By how much of what is missed the opener is put off: all of it may lead over an evening, where less of it helps. */
const PUT_OFF = [1, 0.5, 0.2, 0.05, 0.01];

/** Placed in one order; what would miss a window puts off what opens it, as long as that helps and `spend` has something left. */
function inWindows(shop: Shop, order: readonly number[], spend: () => boolean): Found {
  const released = new Array<number>(shop.tasks.length).fill(0);
  let best = placed(shop, order, released);
  for (let i = 0; i < MOST_PUT_OFF && best.missed > 1e-6; i++) {
    const [worst] = missedBy(shop, best.starts).sort((a, b) => b.by - a.by);
    const next = worst && putOff(shop, order, released, best, worst, spend);
    if (!next) break;
    best = next;
  }
  return best;
}

/** The opener of the window put off by the most that helps; `released` keeps it. */
function putOff(
  shop: Shop,
  order: readonly number[],
  released: number[],
  best: Found,
  { from, by }: { from: number; by: number },
  spend: () => boolean,
): Found | undefined {
  for (const share of PUT_OFF) {
    if (!spend()) return undefined;
    const at = (best.starts[from] ?? 0) + share * by;
    const next = placed(
      shop,
      order,
      released.map((known, i) => (i === from ? at : known)),
    );
    if (next.missed < best.missed - 1e-6) {
      released[from] = at;
      return next;
    }
  }
  return undefined;
}

function placed(shop: Shop, order: readonly number[], released: readonly number[]): Found {
  const starts: Array<number | undefined> = new Array(shop.tasks.length).fill(undefined);
  for (const task of order) starts[task] = earliest(shop, starts, task, released[task]);
  const all = starts as number[];
  return {
    starts: all,
    finish: Math.max(...all.map((_, i) => freeAt(shop, all, i))),
    missed: missedBy(shop, all).reduce((sum, { by }) => sum + by, 0),
  };
}
