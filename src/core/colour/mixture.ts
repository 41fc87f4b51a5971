import { dE00 } from "./deltaE";
import { type Lab, labOf, labRoot, labRootSlope, solved, WEIGHTS } from "./spectrum";

/** Absorption over scatter of an opaque layer: K/S = (1 − R)²/2R (Kubelka and Munk 1931). R is kept off 0 and 1. */
export function ksOf(r: readonly number[]): Float64Array {
  return Float64Array.from(r, (value) => {
    const kept = Math.min(0.99999, Math.max(0.0005, value));
    return (1 - kept) ** 2 / (2 * kept);
  });
}

/** Reflectance of an opaque layer: R = 1 + K/S − √((K/S)² + 2·K/S). */
export const reflectanceOf = (ks: number): number => 1 + ks - Math.sqrt(ks * ks + 2 * ks);

/** Pigments mixed by mass: their shares add up to 1. */
export interface Mixture {
  /** Indices into the palette, ascending. */
  readonly of: readonly number[];
  readonly shares: readonly number[];
  readonly off: number;
}

/** What a search is after: the palette as K/S, and the colour wanted. */
export interface Search {
  readonly palette: readonly Float64Array[];
  readonly target: Lab;
}

const WAVES = 31;

/** Reflectance of a mixture: K/S adds by mass. */
export function mixed(palette: Search["palette"], of: readonly number[], shares: readonly number[]): number[] {
  const inks = of.map((at) => palette[at] as Float64Array);
  return Array.from({ length: WAVES }, (_, w) => reflectanceOf(ksAt(inks, shares, w)));
}

export const offBy = ({ palette, target }: Search, of: readonly number[], shares: readonly number[]): number =>
  dE00(labOf(mixed(palette, of, shares)), target);

/** Lengths of the colour-difference ellipsoid at the target (CIEDE2000 without rotation): steps are taken in what the eye sees. */
function scales({ L, a, b }: Lab): readonly [number, number, number] {
  const lightness = 1 + (0.015 * (L - 50) ** 2) / Math.sqrt(20 + (L - 50) ** 2);
  const chroma = Math.hypot(a, b);
  return [lightness, 1 + 0.03 * chroma, 1 + 0.03 * chroma];
}

const STEPS = 8;

/**
 * Shares of a set of pigments that come nearest to the target, from a start: Gauss–Newton on the three coordinates of CIELAB, damped, with
 * shares held at 0 and their sum at 1. How far they are off is near enough for an order; `polished` asks CIEDE2000.
 */
export function fitted(search: Search, of: readonly number[], start: readonly number[]): Mixture {
  const [sl, sa, sb] = scales(search.target);
  let shares = [...start];
  let damping = 1e-3;
  let here = residual(search, of, shares, [sl, sa, sb]);
  for (let step = 0; step < STEPS && here.sum > 1e-10; step++) {
    const moved = stepFrom(here, shares, damping);
    const next = residual(search, of, moved, [sl, sa, sb]);
    if (next.sum < here.sum) {
      const gain = 1 - next.sum / here.sum;
      shares = moved;
      here = next;
      damping = Math.max(1e-9, damping / 4);
      if (gain < 1e-4) break;
    } else {
      damping *= 8;
      if (damping > 1e6) break;
    }
  }
  return { of, shares, off: Math.sqrt(here.sum) };
}

interface Residual {
  readonly e: readonly [number, number, number];
  /** By share: how the three move. */
  readonly slopes: ReadonlyArray<readonly [number, number, number]>;
  readonly sum: number;
}

/** X, Y and Z as they are added up. */
interface Sum {
  x: number;
  y: number;
  z: number;
}
const nothing = (): Sum => ({ x: 0, y: 0, z: 0 });

function residual(
  { palette, target }: Search,
  of: readonly number[],
  shares: readonly number[],
  [sl, sa, sb]: readonly [number, number, number],
): Residual {
  const inks = of.map((at) => palette[at] as Float64Array);
  const [all, grow] = [nothing(), inks.map(nothing)];
  for (let w = 0; w < WAVES; w++) addWave(w, ksAt(inks, shares, w), inks, all, grow);
  const [fx, fy, fz] = [labRoot(all.x), labRoot(all.y), labRoot(all.z)];
  const [rx, ry, rz] = [labRootSlope(all.x), labRootSlope(all.y), labRootSlope(all.z)];
  const e = [(116 * fy - 16 - target.L) / sl, (500 * (fx - fy) - target.a) / sa, (200 * (fy - fz) - target.b) / sb] as const;
  const slopes = grow.map(({ x, y, z }) => {
    const [dx, dy, dz] = [rx * x, ry * y, rz * z];
    return [(116 * dy) / sl, (500 * (dx - dy)) / sa, (200 * (dy - dz)) / sb] as const;
  });
  return { e, slopes, sum: e[0] ** 2 + e[1] ** 2 + e[2] ** 2 };
}

function ksAt(inks: readonly Float64Array[], shares: readonly number[], w: number): number {
  let ks = 0;
  for (let i = 0; i < inks.length; i++) ks += (shares[i] as number) * ((inks[i] as Float64Array)[w] as number);
  return ks;
}

/** What one wavelength adds to the stimulus, and to how it moves with each share. */
function addWave(w: number, ks: number, inks: readonly Float64Array[], all: Sum, grow: readonly Sum[]): void {
  const [wx, wy, wz] = WEIGHTS.D65[w] as readonly [number, number, number];
  const root = Math.sqrt(ks * ks + 2 * ks);
  const r = 1 + ks - root;
  const slope = root > 0 ? 1 - (ks + 1) / root : -1e6;
  all.x += wx * r;
  all.y += wy * r;
  all.z += wz * r;
  for (let i = 0; i < inks.length; i++) {
    const pull = slope * ((inks[i] as Float64Array)[w] as number);
    const row = grow[i] as Sum;
    row.x += wx * pull;
    row.y += wy * pull;
    row.z += wz * pull;
  }
}

/** One damped step with the sum held; shares that would fall under nothing are set there and left out. */
function stepFrom({ e, slopes }: Residual, shares: readonly number[], damping: number): number[] {
  let free = shares.map((_, i) => i);
  for (let round = 0; round < shares.length; round++) {
    const moves = solvedStep(e, slopes, free, damping);
    const next = [...shares];
    free.forEach((at, i) => {
      next[at] = (shares[at] ?? 0) + (moves[i] ?? 0);
    });
    const stuck = free.filter((at) => (next[at] ?? 0) < 0 && (shares[at] ?? 0) <= 1e-12);
    if (stuck.length === 0 || stuck.length === free.length) return onSimplex(next);
    free = free.filter((at) => !stuck.includes(at));
  }
  return [...shares];
}

function solvedStep(e: Residual["e"], slopes: Residual["slopes"], free: readonly number[], damping: number): number[] {
  const n = free.length;
  const rows = free.map((a, i) => {
    const at = slopes[a] as readonly number[];
    const row = free.map((b, j) => dot(at, slopes[b] as readonly number[]) + (i === j ? damping * (1 + dot(at, at)) : 0));
    return [...row, 1, -dot(at, e)];
  });
  rows.push([...free.map(() => 1), 0, 0]);
  return solved(rows).slice(0, n);
}

const dot = (a: readonly number[], b: readonly number[]) =>
  (a[0] ?? 0) * (b[0] ?? 0) + (a[1] ?? 0) * (b[1] ?? 0) + (a[2] ?? 0) * (b[2] ?? 0);

/** Nothing below nothing, all of it together 1. */
function onSimplex(shares: readonly number[]): number[] {
  const kept = shares.map((share) => Math.max(0, share));
  const sum = kept.reduce((all, share) => all + share, 0);
  return sum > 0 ? kept.map((share) => share / sum) : shares.map(() => 1 / shares.length);
}

const FIRST_MOVE = 0.08;
const LAST_MOVE = 1e-5;
const MOST_MOVES = 120;
const GAIN_DE = 1e-5;

/** The last bit by CIEDE2000 itself: share is moved from one pigment to another while that helps, in ever smaller bits. */
export function polished(search: Search, { of, shares: start }: Mixture): Mixture {
  let here: Mixture = { of, shares: start, off: offBy(search, of, start) };
  let move = FIRST_MOVE;
  for (let moves = 0; moves < MOST_MOVES && move > LAST_MOVE && of.length > 1; moves++) {
    const next = bestMove(search, here, move);
    if (next.off < here.off - GAIN_DE) here = next;
    else move /= 4;
  }
  return here;
}

/** The one transfer of so much share that helps most. */
function bestMove(search: Search, here: Mixture, move: number): Mixture {
  const pairs = here.of.flatMap((_, from) => here.of.flatMap((__, to) => (from === to ? [] : [[from, to] as const])));
  return pairs.reduce((best, [from, to]) => {
    const much = Math.min(move, here.shares[from] ?? 0);
    if (much <= 0) return best;
    const shares = here.shares.map((share, i) => (i === from ? share - much : i === to ? share + much : share));
    const off = offBy(search, here.of, shares);
    return off < best.off ? { of: here.of, shares, off } : best;
  }, here);
}
