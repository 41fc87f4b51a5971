import { isoLike, plain } from "../units";
import type { CureInput, CureResult } from "./cure.schema";
import { rate } from "./rate";

const MINUTE = 60_000;
const DAY_MIN = 24 * 60;
const WITHIN_DAYS = 60;

/** How long it is sensible to wait for stages so long at the reference temperature, days: two months, or four times as long where oil takes a year. */
export const withinDays = (reference_min: number): number => Math.max(WITHIN_DAYS, (4 * reference_min) / DAY_MIN);

/** A stretch of time in which the temperature runs in a straight line; times in minutes since `start`. */
interface Stretch {
  readonly from: number;
  readonly to: number;
  readonly fromC: number;
  readonly toC: number;
}

/**
 * When each stage is reached, in minutes since `start` and as a time in the offset of `start`:
 * where ∫ k(T)/k(T_ref) dt equals the stage's minutes at the reference temperature. The temperature is linear
 * between samples and constant beyond the ends; below `min_C` nothing happens. Not within 60 days, or what is asked, = never.
 * @throws {RangeError} if the samples are not in order of time
 */
export function cure(input: CureInput): CureResult {
  if ("samples" in input.climate) inOrderOfTime(input.climate.samples);
  return cureInOrder(input);
}

/** The same where the samples are known to be in order of time: only what lies between start and the last stage asked is looked at. */
export function cureInOrder(input: CureInput): CureResult {
  const clock = cureClock(input);
  const start = Date.parse(input.start);
  return {
    stages: input.stages.map(({ name, minutes }) => {
      const reached = clock(minutes);
      return reached === undefined
        ? { name, never: true as const, reason: reasonFor(input) }
        : { name, minutes: reached, at: isoLike(start + reached * MINUTE, input.start) };
    }),
    basis: {
      formula: "∫ k(T)/k(T_ref) dt = reference minutes; k by Arrhenius or q10, 0 below min_C",
      source: "Arrhenius equation (IUPAC Gold Book, A00446); time–temperature superposition of cure, Prime 1997",
    },
    warnings: [],
  };
}

/** From reference minutes to minutes since start; undefined when the days asked are not enough. */
function cureClock(input: CureInput): (referenceMinutes: number) => number | undefined {
  const speed = (temp_C: number) => rate(temp_C, input.reference_C, input.model, input.min_C);
  const coming = pieces(input);
  const parts: Array<{ readonly part: Stretch; readonly gain: number }> = []; // shared by all stages, filled as far as the slowest one asks
  const partAt = (i: number) => {
    if (i < parts.length) return parts[i];
    const { value: part } = coming.next();
    if (part) parts.push({ part, gain: integral(part, part.to, speed) });
    return parts[i];
  };
  return (referenceMinutes) => {
    let left = referenceMinutes;
    if (left <= 0) return 0;
    for (let i = 0; ; i++) {
      const at = partAt(i);
      if (!at) return undefined;
      if (at.gain >= left) return solve(at.part, left, speed);
      left -= at.gain;
    }
  };
}

function inOrderOfTime(samples: ReadonlyArray<{ readonly at: string }>): void {
  let before = -Infinity;
  for (const [i, { at }] of samples.entries()) {
    const time = Date.parse(at);
    if (time < before) throw new RangeError(`climate sample ${i} is earlier than the one before`);
    before = time;
  }
}

/** The climate from start to the last day asked, in straight pieces of at most 5 °C of change, one after the other as they are asked for. */
function* pieces(input: CureInput): Generator<Stretch, undefined> {
  for (const stretch of stretches(input)) yield* splitAt(stretch, input.min_C);
}

function* stretches({ climate, start, within_days = WITHIN_DAYS }: CureInput): Generator<Stretch> {
  const until = within_days * DAY_MIN;
  if ("constant_C" in climate) {
    yield { from: 0, to: until, fromC: climate.constant_C, toC: climate.constant_C };
    return;
  }
  const { samples } = climate;
  const origin = Date.parse(start);
  const minute = (i: number) => (Date.parse(samples[i]?.at ?? start) - origin) / MINUTE;
  const temp = (i: number) => samples[i]?.temp_C ?? 0;
  const next = firstFrom(samples.length, (i) => minute(i) >= 0);
  let begin = next > 0 ? { at: minute(next - 1), temp_C: temp(next - 1) } : { at: 0, temp_C: temp(0) };
  for (let i = next; i <= samples.length && begin.at < until; i++) {
    const end = i < samples.length ? { at: minute(i), temp_C: temp(i) } : { at: until, temp_C: begin.temp_C };
    yield* clip({ from: begin.at, to: end.at, fromC: begin.temp_C, toC: end.temp_C }, until);
    begin = end;
  }
}

/** The first of `length` for which it is so, by halving: it is so for all that come after. */
function firstFrom(length: number, is: (i: number) => boolean): number {
  let [low, high] = [0, length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (is(middle)) high = middle;
    else low = middle + 1;
  }
  return low;
}

function clip(stretch: Stretch, until: number): Stretch[] {
  const from = Math.max(0, stretch.from);
  const to = Math.min(until, stretch.to);
  if (to <= from) return [];
  return [{ from, to, fromC: tempAt(stretch, from), toC: tempAt(stretch, to) }];
}

function tempAt({ from, to, fromC, toC }: Stretch, at: number): number {
  return to === from ? toC : fromC + ((at - from) / (to - from)) * (toC - fromC);
}

/** Cut where the temperature crosses the minimum (the rate jumps there), and into pieces of at most 5 °C. */
function splitAt(stretch: Stretch, min_C = -Infinity): Stretch[] {
  const { from, to, fromC, toC } = stretch;
  const cuts = [from, to];
  if (Number.isFinite(min_C) && (fromC - min_C) * (toC - min_C) < 0) cuts.push(from + ((min_C - fromC) / (toC - fromC)) * (to - from));
  const pieces = Math.ceil(Math.abs(toC - fromC) / 5);
  for (let i = 1; i < pieces; i++) cuts.push(from + (i / pieces) * (to - from));
  cuts.sort((a, b) => a - b);
  return cuts.slice(1).flatMap((end, i) => {
    const begin = cuts[i] as number;
    return end > begin ? [{ from: begin, to: end, fromC: tempAt(stretch, begin), toC: tempAt(stretch, end) }] : [];
  });
}

/** Abscissas and weights of five-point Gauss–Legendre on [−1, 1] (Abramowitz and Stegun, table 25.4). */
const GAUSS: ReadonlyArray<readonly [number, number]> = [
  [0, 0.5688888888888889],
  [-0.5384693101056831, 0.47862867049936647],
  [0.5384693101056831, 0.47862867049936647],
  [-0.906179845938664, 0.23692688505618908],
  [0.906179845938664, 0.23692688505618908],
];

/** Reference minutes gained from the begin of a stretch to `until`. */
function integral(stretch: Stretch, until: number, speed: (temp_C: number) => number): number {
  const half = (until - stretch.from) / 2;
  const mid = (until + stretch.from) / 2;
  return half * GAUSS.reduce((sum, [x, weight]) => sum + weight * speed(tempAt(stretch, mid + half * x)), 0);
}

/** The moment in a stretch at which `goal` reference minutes are gained, by bisection: the gain only grows. */
function solve(stretch: Stretch, goal: number, speed: (temp_C: number) => number): number {
  if (stretch.fromC === stretch.toC) return stretch.from + goal / speed(stretch.fromC);
  let [low, high] = [stretch.from, stretch.to];
  for (let i = 0; i < 60 && high - low > 1e-9; i++) {
    const middle = (low + high) / 2;
    if (integral(stretch, middle, speed) < goal) low = middle;
    else high = middle;
  }
  return high;
}

function reasonFor({ climate, min_C, within_days = WITHIN_DAYS }: CureInput): string {
  const temps = "constant_C" in climate ? [climate.constant_C] : climate.samples.map(({ temp_C }) => temp_C);
  if (min_C !== undefined && temps.every((temp) => temp < min_C))
    return `Does not cure here: it needs at least ${min_C} °C. Warm the piece or take another material.`;
  return `Not reached within ${plain(within_days, 0)} days in this climate. Warm the piece or take another material.`;
}
