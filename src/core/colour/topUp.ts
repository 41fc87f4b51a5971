import { dE00 } from "./deltaE";
import { ksOf, reflectanceOf } from "./mixture";
import { type Lab, labOf } from "./spectrum";

interface Pigment {
  readonly name: string;
  readonly r: readonly number[];
}

/** A cup as it was mixed, and how its sample looks now. */
export interface TopUpInput {
  readonly pigments: readonly Pigment[];
  readonly cup: ReadonlyArray<{ readonly name: string; readonly g: number }>;
  /** The dried sample as it was read; absent = as reckoned. */
  readonly now?: Lab;
  readonly target: Lab;
}

export interface TopUp {
  /** What goes in, g; never anything out. Empty = nothing helps. */
  readonly add: ReadonlyArray<{ readonly name: string; readonly g: number }>;
  /** As it is, and as it will be. */
  readonly before: number;
  readonly after: number;
  readonly lab: Lab;
  readonly total_g: number;
}

/** More than as much again is another mix, share of the cup. */
const MOST_ADDED = 1;
/** A pigment less is worth so much. */
const WORTH_DE = 0.2;
const STEPS = 40;
const GOLD = (Math.sqrt(5) - 1) / 2;

/**
 * What to add to a cup so that it comes nearest to a target: one pigment or two, never more than as much again, nothing is taken out.
 * Single-constant Kubelka–Munk by mass; where the sample was read, the model is moved by what it misses there. Golden section over one,
 * turn about over two. Grams in, CIEDE2000 out.
 * @throws {RangeError} on an empty cup, or a part of it that is no pigment given
 */
export function topUp({ pigments, cup, now, target }: TopUpInput): TopUp {
  const grams = cup.reduce((sum, { g }) => sum + g, 0);
  if (grams <= 0) throw new RangeError("the cup is empty");
  const strange = cup.find(({ name }) => !pigments.some((each) => each.name === name));
  if (strange) throw new RangeError(`${strange.name} is in the cup and among no pigments`);
  const palette = pigments.map(({ r }) => ksOf(r));
  const all = pigments.map((_, i) => i);
  const look = lookOf(
    palette,
    pigments.map(({ name }) => cup.reduce((sum, part) => sum + (part.name === name ? part.g : 0), 0)),
  );
  const reckoned = look(new Map());
  const miss = now ? { L: now.L - reckoned.L, a: now.a - reckoned.a, b: now.b - reckoned.b } : { L: 0, a: 0, b: 0 };
  const seen = (added: ReadonlyMap<number, number>): Lab => {
    const { L, a, b } = look(added);
    return { L: L + miss.L, a: a + miss.a, b: b + miss.b };
  };
  const off = (added: ReadonlyMap<number, number>) => dE00(seen(added), target);
  const start = off(new Map());
  const found = choose(all, grams * MOST_ADDED, off, start);
  return {
    add: [...found].map(([i, g]) => ({ name: pigments[i]?.name ?? "", g })).sort((a, b) => b.g - a.g),
    before: start,
    after: off(found),
    lab: seen(found),
    total_g: grams + [...found.values()].reduce((sum, g) => sum + g, 0),
  };
}

type Added = ReadonlyMap<number, number>;

/** How the cup looks with so much more in it. K/S adds by mass: what is in the cup is summed once, for every wave. */
function lookOf(palette: readonly Float64Array[], base_g: readonly number[]): (added: Added) => Lab {
  const waves = palette[0]?.length ?? 0;
  const sums = Float64Array.from({ length: waves }, (_, w) => palette.reduce((sum, ks, i) => sum + (ks[w] ?? 0) * (base_g[i] ?? 0), 0));
  const cup_g = base_g.reduce((sum, g) => sum + g, 0);
  return (added) => {
    const parts = [...added];
    const whole = parts.reduce((sum, [, g]) => sum + g, cup_g);
    return labOf(Array.from(sums, (sum, w) => reflectanceOf(parts.reduce((ks, [i, g]) => ks + (palette[i]?.[w] ?? 0) * g, sum) / whole)));
  };
}

/** The best one; two where the second brings it nearer by what is worth it; none where nothing helps. */
function choose(all: readonly number[], most: number, off: (added: Added) => number, start: number): Added {
  const ones = all.map((i): Added => new Map([[i, least((g) => off(new Map([[i, g]])), most)]])).sort((a, b) => off(a) - off(b));
  const [one = new Map<number, number>()] = ones;
  const pairs = ones.slice(0, 6).flatMap((first, n) => ones.slice(n + 1).map((second) => turnAbout(first, second, most, off)));
  const [two = one] = pairs.sort((a, b) => off(a) - off(b));
  if (off(two) < off(one) - WORTH_DE) return two;
  return off(one) < start - WORTH_DE ? one : new Map();
}

/** So much less is no nearer, dE00. */
const NEARER = 1e-4;
const MOST_TURNS = 6;

/** Two at a time, one after the other, until a turn brings it no nearer. */
function turnAbout(a: Added, b: Added, most: number, off: (added: Added) => number): Added {
  const [[i, start] = [0, 0]] = [...a];
  const [[j] = [0]] = [...b];
  const offAt = (one: number, two: number) =>
    off(
      new Map([
        [i, one],
        [j, two],
      ]),
    );
  let [one, two, best] = [start, 0, offAt(start, 0)];
  for (let turn = 0; turn < MOST_TURNS; turn++) {
    const held = one;
    two = least((g) => offAt(held, g), most - held);
    const other = two;
    one = least((g) => offAt(g, other), most - other);
    const now = offAt(one, two);
    if (best - now < NEARER) break;
    best = now;
  }
  return new Map([...(one > 0 ? [[i, one] as const] : []), ...(two > 0 ? [[j, two] as const] : [])]);
}

/** A golden section ends when the valley is so narrow, share of the most. */
const NARROW = 1e-5;

/** How much of one comes nearest: a coarse look for the valley, fine near nothing, then golden section in it (Kiefer 1953). */
function least(off: (g: number) => number, most: number): number {
  if (most <= 0) return 0;
  const grid = Array.from({ length: STEPS + 1 }, (_, k) => (k === 0 ? 0 : most * 10 ** (-4 * (1 - k / STEPS))));
  const offs = grid.map(off);
  const at = offs.reduce((best, each, k) => (each < (offs[best] ?? Infinity) ? k : best), 0);
  let [low, high] = [grid[at - 1] ?? 0, grid[at + 1] ?? most];
  let [left, right] = [high - GOLD * (high - low), low + GOLD * (high - low)];
  let [offLeft, offRight] = [off(left), off(right)];
  while (high - low > most * NARROW) {
    if (offLeft <= offRight) {
      [high, right, offRight] = [right, left, offLeft];
      left = high - GOLD * (high - low);
      offLeft = off(left);
    } else {
      [low, left, offLeft] = [left, right, offRight];
      right = low + GOLD * (high - low);
      offRight = off(right);
    }
  }
  const mid = (low + high) / 2;
  return off(mid) < (offs[0] ?? Infinity) ? mid : 0;
}

/** A wish in words as a colour: so far off what is there now that the eye sees it. */
export const TOUCHES = [
  { touch: "lighter", label: "Lighter", by: { L: 3, a: 0, b: 0 } },
  { touch: "darker", label: "Darker", by: { L: -3, a: 0, b: 0 } },
  { touch: "redder", label: "Redder", by: { L: 0, a: 3, b: 0 } },
  { touch: "greener", label: "Greener", by: { L: 0, a: -3, b: 0 } },
  { touch: "yellower", label: "Yellower", by: { L: 0, a: 0, b: 3 } },
  { touch: "bluer", label: "Bluer", by: { L: 0, a: 0, b: -3 } },
] as const;
export type Touch = (typeof TOUCHES)[number]["touch"];

export function touched({ L, a, b }: Lab, touch: Touch): Lab {
  const by = TOUCHES.find((each) => each.touch === touch)?.by ?? { L: 0, a: 0, b: 0 };
  return { L: Math.min(100, Math.max(0, L + by.L)), a: a + by.a, b: b + by.b };
}
