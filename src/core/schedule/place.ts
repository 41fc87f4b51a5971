import type { Shifts } from "./calendar";

/** A task as the search knows it: by number, with all that it waits for. Minutes. */
export interface Task {
  readonly id: string;
  readonly hands: number;
  readonly wait: number;
  readonly uses: readonly string[];
  readonly priority: number;
  readonly before: readonly Lag[];
  readonly after: readonly Lag[];
}

/** To the other task, from the end of the hands of the first to the start of the second. */
export interface Lag {
  readonly task: number;
  readonly min: number;
  readonly max?: number;
}

export interface Shop {
  readonly tasks: readonly Task[];
  readonly shifts: Shifts;
  readonly hands: number;
  readonly resources: Readonly<Record<string, number>>;
}

/** Starts by task; undefined = not placed yet. */
export type Starts = ReadonlyArray<number | undefined>;

const TOUCH = 1e-9;

/** The earliest start of a task after what it waits for, `released` and what is placed already. */
export function earliest(shop: Shop, starts: Starts, task: number, released = 0): number {
  const { hands, before } = shop.tasks[task] as Task;
  const ready = before.reduce((latest, { task: from, min }) => Math.max(latest, handsEnd(shop, starts, from) + min), released);
  for (let from = shop.shifts.fits(ready, hands); ; ) {
    const clash = firstClash(shop, starts, task, from);
    if (clash === undefined) return from;
    from = shop.shifts.fits(clash, hands);
  }
}

export const handsEnd = ({ tasks }: Shop, starts: Starts, task: number): number => (starts[task] ?? 0) + (tasks[task]?.hands ?? 0);
export const freeAt = (shop: Shop, starts: Starts, task: number): number => handsEnd(shop, starts, task) + (shop.tasks[task]?.wait ?? 0);

/** Until when hands or a resource are taken, where a task can't start at `from`; undefined = it can. */
function firstClash(shop: Shop, starts: Starts, task: number, from: number): number | undefined {
  const { hands, wait, uses } = shop.tasks[task] as Task;
  const busy = takenUntil(shop, starts, from, from + hands, shop.hands, (other) => [starts[other] ?? 0, handsEnd(shop, starts, other)]);
  if (busy !== undefined) return busy;
  for (const name of uses) {
    const holds = (other: number) =>
      shop.tasks[other]?.uses.includes(name) ? ([starts[other] ?? 0, freeAt(shop, starts, other)] as const) : undefined;
    const held = takenUntil(shop, starts, from, from + hands + wait, shop.resources[name] ?? 0, holds);
    if (held !== undefined) return held;
  }
  return undefined;
}

/** The earliest end of what stands in the way, where more than there are would be taken at once between two moments. */
function takenUntil(
  { tasks }: Shop,
  starts: Starts,
  from: number,
  to: number,
  count: number,
  span: (task: number) => readonly [from: number, to: number] | undefined,
): number | undefined {
  if (to - from <= TOUCH) return undefined;
  const others: Array<readonly [from: number, to: number]> = [];
  for (let i = 0; i < tasks.length; i++) {
    const taken = starts[i] === undefined ? undefined : span(i);
    if (taken && taken[0] < to - TOUCH && taken[1] > from + TOUCH && taken[1] - taken[0] > TOUCH) others.push(taken);
  }
  if (others.length < count) return undefined;
  const moments = [from, ...others.map(([begins]) => begins).filter((begins) => begins > from)];
  for (const moment of moments) {
    const there = others.filter(([begins, ends]) => begins <= moment + TOUCH && ends > moment + TOUCH);
    if (there.length >= count) return Math.min(...there.map(([, ends]) => ends));
  }
  return undefined;
}

/** What links with an end miss, minutes, by pair of tasks. */
export function missedBy(shop: Shop, starts: Starts): Array<{ from: number; to: number; by: number }> {
  return shop.tasks.flatMap(({ before }, to) =>
    before.flatMap(({ task: from, max }) => {
      const by = max === undefined ? 0 : (starts[to] ?? 0) - handsEnd(shop, starts, from) - max;
      return by > 1e-6 ? [{ from, to, by }] : [];
    }),
  );
}
