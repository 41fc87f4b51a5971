import type { Range } from "../catalogue";
import { type Rung, type Sanded, scratchUm } from "./rung";

export type Walked = Pick<Rung, "micron" | "takes_um">;

/** What a surface is reckoned from. */
export interface SurfaceInput {
  /** The rungs that are walked, coarse to fine: their grain, and what each takes off in the time that it is given, µm. */
  readonly rungs: readonly Walked[];
  readonly sanded: Sanded;
  /** How long a stretch, mm, in so many points. */
  readonly length_mm: number;
  readonly points: number;
  readonly seed: number;
}

/** A profile and what is read off it; heights in µm, 0 at the plane that the last rung cut to. */
export interface Surface {
  readonly heights_um: readonly number[];
  /** Mean deviation, and mean of the five deepest-to-highest of five stretches (ISO 21920-2), µm. */
  readonly ra_um: number;
  readonly rz_um: number;
  readonly deepest_um: number;
  /** The grain whose scratch is the deepest that is left. */
  readonly of_micron: number;
}

/** Grains of one grade scatter about their median, as a share of it in logarithm: the span of ISO 6344-3 from 3 to 94 %. */
const GRAIN_SPREAD = 0.22;
/** Half the opening of a groove: grains are blunt, so it is some four times as wide as deep; Samuels, ch. 3. */
const SLOPE = 2;
/** Grooves lie so dense that none of the plane is left between them. */
const OVERLAP = 3;

/**
 * A stretch of surface across the strokes, after the rungs of a ladder. Each rung cuts the plane down by what it takes,
 * then leaves grooves of its own: V-shaped, as deep as its grains reach, their sizes scattered as the standard allows. What an earlier
 * grain left deeper than all later rungs took together stays. Seeded by grade, so that two ladders differ by their rungs alone.
 * @throws {RangeError} without a rung or with fewer than 16 points
 */
export function surface({ rungs, sanded, length_mm, points, seed }: SurfaceInput): Surface {
  if (rungs.length === 0) throw new RangeError("a surface needs one rung at least");
  if (points < 16) throw new RangeError("16 points at least");
  const heights = new Float64Array(points);
  const owner = new Float64Array(points).fill(rungs[0]?.micron ?? 0);
  let plane = 0;
  for (const [i, { micron, takes_um }] of rungs.entries()) {
    if (i > 0) plane -= takes_um;
    const grooves = groovesOf(micron, sanded, length_mm, points, seed);
    for (let x = 0; x < points; x++) {
      const here = plane + (grooves[x] ?? 0);
      // what lies lower already was scratched by an earlier grain
      if (i > 0 && (heights[x] ?? 0) <= here) continue;
      heights[x] = here;
      owner[x] = micron;
    }
  }
  return readings(
    Array.from(heights, (height) => height - plane),
    owner,
  );
}

/** Rows of a picture of that surface, along the strokes: grooves begin and end, so each row drifts from the last. Tells how far it is, 0 to 1. */
export function surfaceRows(input: SurfaceInput, rows: number, told: (share: number) => void = () => undefined): number[][] {
  const strips = Math.max(1, Math.round(rows / ROWS_A_STRIP));
  const profiles = Array.from({ length: strips + 1 }, (_, i) => {
    told(i / (strips + 1));
    return surface({ ...input, seed: input.seed + i * 7919 }).heights_um;
  });
  told(1);
  return Array.from({ length: rows }, (_, row) => {
    const at = (row / rows) * strips;
    const [upper, lower] = [profiles[Math.floor(at)] ?? [], profiles[Math.floor(at) + 1] ?? []];
    // a groove runs out where the next begins: the lower of both, faded
    const share = at - Math.floor(at);
    return upper.map((height, x) => Math.min(height * (1 - share), (lower[x] ?? 0) * share));
  });
}
const ROWS_A_STRIP = 24;

/** Depth of the grooves of one grade at each point, µm, all at or below 0. */
function groovesOf(micron: number, sanded: Sanded, length_mm: number, points: number, seed: number): Float64Array {
  const random = uniforms(seed ^ Math.round(micron * 1009));
  const step_um = (length_mm * 1000) / points;
  const deepest = scratchUm(micron, sanded);
  const count = Math.ceil((OVERLAP * length_mm * 1000) / (2 * deepest * SLOPE));
  const grooves = new Float64Array(points);
  for (let n = 0; n < count; n++) {
    const depth = Math.min(1, Math.exp(GRAIN_SPREAD * normal(random)) * (0.45 + 0.35 * random())) * deepest;
    const middle = random() * points;
    const half = (depth * SLOPE) / step_um;
    for (let x = Math.max(0, Math.ceil(middle - half)); x <= Math.min(points - 1, middle + half); x++)
      grooves[x] = Math.min(grooves[x] ?? 0, -depth * (1 - Math.abs(x - middle) / Math.max(half, 1e-9)));
  }
  return grooves;
}

function readings(heights_um: readonly number[], owner: Float64Array): Surface {
  const mean = heights_um.reduce((sum, height) => sum + height, 0) / heights_um.length;
  const ra_um = heights_um.reduce((sum, height) => sum + Math.abs(height - mean), 0) / heights_um.length;
  const fifth = Math.floor(heights_um.length / 5);
  const spans = Array.from({ length: 5 }, (_, i) => {
    const part = heights_um.slice(i * fifth, (i + 1) * fifth);
    return Math.max(...part) - Math.min(...part);
  });
  const lowest = heights_um.reduce((best, height, i) => (height < (heights_um[best] ?? 0) ? i : best), 0);
  return {
    heights_um,
    ra_um,
    rz_um: spans.reduce((sum, span) => sum + span, 0) / 5,
    deepest_um: -(heights_um[lowest] ?? 0),
    of_micron: owner[lowest] ?? 0,
  };
}

/** The deepest scratch that a ladder leaves, reckoned without chance: of each rung what its later ones did not take, µm. */
export function deepestLeft(rungs: readonly Walked[], sanded: Sanded): { readonly um: number; readonly micron: number } {
  return rungs.reduce(
    (deepest, { micron }, i) => {
      const taken = rungs.slice(i + 1).reduce((sum, later) => sum + later.takes_um, 0);
      const um = scratchUm(micron, sanded) - taken;
      return um > deepest.um ? { um, micron } : deepest;
    },
    { um: 0, micron: rungs.at(-1)?.micron ?? 0 },
  );
}

/** Scratches deeper than this are seen in raking light, µm: by the gloss of what lies over them. Trade practice; Gloss: ISO 2813 classes. */
export const SEEN_FROM_UM: Readonly<Record<"gloss" | "satin" | "primer", Range>> = { gloss: [0.3, 0.8], satin: [2, 4], primer: [10, 20] };

/** A coat flows into scratches and bridges what is narrower than it is thick: so much of a scratch shows through it. */
export const SHOWS_THROUGH: Readonly<Record<"gloss" | "satin" | "primer", number>> = { gloss: 1, satin: 1, primer: 0.3 };

/** mulberry32: small, fast, good enough for a picture; public domain. */
function uniforms(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** A standard normal (Box and Muller). */
const normal = (random: () => number): number => Math.sqrt(-2 * Math.log(Math.max(1e-12, random()))) * Math.cos(2 * Math.PI * random());
