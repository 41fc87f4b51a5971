import { ILLUMINANTS, type Illuminant, NM, OBSERVER } from "./spectra.data";

/** A colour in CIELAB under an illuminant whose perfect white is (100, 0, 0). */
export interface Lab {
  readonly L: number;
  readonly a: number;
  readonly b: number;
}
type Xyz = readonly [number, number, number];

/** Weights from reflectance to X/Xn, Y/Yn and Z/Zn: power times observer, each column adding up to 1. */
function weightsOf(power: readonly number[]): readonly Xyz[] {
  const raw = OBSERVER.map(([x, y, z], i) => [x, y, z].map((each) => each * (power[i] ?? 0)) as unknown as Xyz);
  const whole = [0, 1, 2].map((k) => raw.reduce((sum, row) => sum + (row[k] ?? 0), 0));
  return raw.map((row) => row.map((each, k) => each / (whole[k] ?? 1)) as unknown as Xyz);
}

export const WEIGHTS: Readonly<Record<Illuminant, readonly Xyz[]>> = {
  D65: weightsOf(ILLUMINANTS.D65.power),
  A: weightsOf(ILLUMINANTS.A.power),
  F11: weightsOf(ILLUMINANTS.F11.power),
};

const CUT = (6 / 29) ** 3;
const SLOPE = (29 / 6) ** 2 / 3;
/** The root of CIELAB, straight near black (ISO/CIE 11664-4). */
export const labRoot = (t: number): number => (t > CUT ? Math.cbrt(t) : SLOPE * t + 4 / 29);
/** How it rises. */
export const labRootSlope = (t: number): number => (t > CUT ? 1 / (3 * Math.cbrt(t) ** 2) : SLOPE);
const labSquare = (f: number): number => (f > 6 / 29 ? f ** 3 : (f - 4 / 29) / SLOPE);

/** X/Xn, Y/Yn, Z/Zn of a reflectance. */
function relativeXyz(r: ArrayLike<number>, weights: readonly Xyz[]): [number, number, number] {
  const sum: [number, number, number] = [0, 0, 0];
  weights.forEach(([x, y, z], i) => {
    const value = r[i] ?? 0;
    sum[0] += x * value;
    sum[1] += y * value;
    sum[2] += z * value;
  });
  return sum;
}

/** CIELAB of a reflectance, 31 values from 400 to 700 nm, under an illuminant; ISO/CIE 11664-4, 2° observer. */
export function labOf(r: ArrayLike<number>, illuminant: Illuminant = "D65"): Lab {
  const [x, y, z] = relativeXyz(r, WEIGHTS[illuminant]).map(labRoot) as [number, number, number];
  return { L: 116 * y - 16, a: 500 * (x - y), b: 200 * (y - z) };
}

const LEAST = 0.005;
const MOST = 0.995;
const ROUNDS = 40;

/**
 * The smoothest reflectance that has a colour under daylight: least squared slope (S. A. Burns, Color Research and Application 45, 2020), kept
 * between 0.5 and 99.5 %. Many spectra have one colour: this is one of them, and never what the piece has under another lamp.
 */
export function smoothReflectance({ L, a, b }: Lab): number[] {
  const y = (L + 16) / 116;
  const goal = [y + a / 500, y, y - b / 200].map(labSquare);
  const fixed = new Map<number, number>();
  for (let round = 0; round < ROUNDS; round++) {
    const r = smoothest(goal, fixed);
    const out = r.map((value, i) => [i, value] as const).filter(([i, value]) => !fixed.has(i) && (value < LEAST || value > MOST));
    if (out.length === 0) return r;
    for (const [i, value] of out) fixed.set(i, value < LEAST ? LEAST : MOST);
  }
  return smoothest(goal, fixed).map((value) => Math.min(MOST, Math.max(LEAST, value)));
}

/** Least squared slope with the colour held, and some values fixed: one linear system of the values and three multipliers. */
function smoothest(goal: readonly number[], fixed: ReadonlyMap<number, number>): number[] {
  const n = NM.length;
  const weights = WEIGHTS.D65;
  const values = NM.map((_, i) => valueRow(i, fixed.get(i), weights[i] as Xyz));
  const colours = [0, 1, 2].map((k) => [...weights.map((each) => each[k as 0 | 1 | 2]), 0, 0, 0, goal[k] ?? 0]);
  return solved([...values, ...colours]).slice(0, n);
}

/** One value: as it is fixed, else where the slope to both neighbours is least under the colour held. */
function valueRow(i: number, held: number | undefined, weight: Xyz): number[] {
  const row = new Array<number>(NM.length + 4).fill(0);
  if (held !== undefined) {
    row[i] = 1;
    row[NM.length + 3] = held;
    return row;
  }
  const ends = i === 0 || i === NM.length - 1;
  row[i] = ends ? 2 : 4;
  if (i > 0) row[i - 1] = -2;
  if (i < NM.length - 1) row[i + 1] = -2;
  weight.forEach((each, k) => {
    row[NM.length + k] = each;
  });
  return row;
}

const NOTHING = 1e-14;

/** Gaussian elimination with the largest pivot; rows that say nothing new are left out. */
export function solved(rows: number[][]): number[] {
  const n = rows.length;
  for (let k = 0; k < n; k++) eliminate(rows, k);
  const x = new Array<number>(n).fill(0);
  for (let k = n - 1; k >= 0; k--) {
    const row = rows[k] as number[];
    let rest = row[n] as number;
    for (let j = k + 1; j < n; j++) rest -= (row[j] as number) * (x[j] as number);
    x[k] = Math.abs(row[k] as number) < NOTHING ? 0 : rest / (row[k] as number);
  }
  return x;
}

function eliminate(rows: number[][], k: number): void {
  let pivot = k;
  for (let i = k + 1; i < rows.length; i++) if (lead(rows, i, k) > lead(rows, pivot, k)) pivot = i;
  [rows[k], rows[pivot]] = [rows[pivot] as number[], rows[k] as number[]];
  const top = rows[k] as number[];
  if (Math.abs(top[k] as number) < NOTHING) return;
  for (let i = k + 1; i < rows.length; i++) {
    const row = rows[i] as number[];
    const share = (row[k] as number) / (top[k] as number);
    if (share !== 0) for (let j = k; j <= rows.length; j++) row[j] = (row[j] as number) - share * (top[j] as number);
  }
}

const lead = (rows: readonly number[][], i: number, k: number) => Math.abs((rows[i] as number[])[k] as number);
