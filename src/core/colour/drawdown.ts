import { dE00 } from "./deltaE";
import { type Lab, labOf, smoothReflectance } from "./spectrum";
import { tint } from "./tint";

/** A coat of the strip: how it looks, and how far it is from the target. */
export interface StripCoat {
  readonly n: number;
  readonly lab: Lab;
  readonly dE00: number;
}

export interface Strip {
  readonly coats: readonly StripCoat[];
  /** The number of coats that comes nearest. */
  readonly best: number;
  /** Strength at which the planned coats meet the target, percent of the draw-down's; absent where none does. */
  readonly pct?: number;
}

const MET_DE = 1;

/** A slope of one dE00 over so many mm shows no edge at arm's length; a rule of thumb of finishers. */
const MM_A_DE = 3;

/** How far each coat is misted out over the sound part past the one before, and all of them together, mm. */
export function fadeOf(coats: readonly Pick<StripCoat, "lab">[]): { readonly each_mm: number; readonly all_mm: number } {
  const steps = coats.slice(1).map(({ lab }, i) => dE00(lab, coats[i]?.lab ?? lab));
  const all = steps.reduce((sum, step) => sum + step, 0);
  return { each_mm: Math.max(0, ...steps) * MM_A_DE, all_mm: all * MM_A_DE };
}

/** What the coats that are left have to be, from how it looks now. */
export interface Correction {
  /** Strength of each, percent of the draw-down's. */
  readonly pct: number;
  readonly dE00: number;
  readonly lab: Lab;
  /** It is darker or fuller than wanted already: transparent coats only go on. */
  readonly past: boolean;
}

/** It is past the target by more than the eye lets go, L. */
const PAST_L = 1;

/** Coats that are laid came out otherwise than reckoned: by how much the next ones are thinned or strengthened. */
export function corrected(ground: Lab, one: Lab, now: Lab, target: Lab, left: number): Correction {
  const film = {
    base: { r: smoothReflectance(now) },
    colorant: { name: "draw-down", absorbance_per_um: absorbanceOf(ground, one).map((each) => each * STRONGEST) },
    film_um: 1,
  };
  const solved = tint({ ...film, coats: left, target: { lab: target } });
  return {
    pct: solved.pct * STRONGEST,
    dE00: solved.dE00 ?? 0,
    lab: solved.coats.at(-1)?.lab ?? now,
    past: now.L < target.L - PAST_L,
  };
}
/** A tint is made so many times as strong at most as its draw-down. */
const STRONGEST = 3;

/** What one coat of a draw-down absorbs, from the ground and from how it looks over it: ε·film = −lg(R₁/R₀)/2; a coat never gives light. */
export function absorbanceOf(ground: Lab, one: Lab): number[] {
  const [under, over] = [smoothReflectance(ground), smoothReflectance(one)];
  return under.map((r, i) => Math.max(0, -Math.log10((over[i] ?? r) / r) / 2));
}

/** What the next coats will look like, reckoned from one coat that was laid and dried: 0 is the ground, and one more than is planned. */
export function stripOf(ground: Lab, one: Lab, target: Lab, planned: number): Strip {
  const film = {
    base: { r: smoothReflectance(ground) },
    colorant: { name: "draw-down", absorbance_per_um: absorbanceOf(ground, one) },
    film_um: 1,
  };
  const laid = tint({ ...film, coats: planned + 1, pct: 100 });
  const coats = [{ n: 0, lab: labOf(film.base.r) }, ...laid.coats].map(({ n, lab }) => ({ n, lab, dE00: dE00(lab, target) }));
  const best = coats.reduce((a, b) => (b.dE00 < a.dE00 ? b : a)).n;
  const solved = tint({ ...film, coats: planned, target: { lab: target } });
  return { coats, best, ...((solved.dE00 ?? 99) < MET_DE ? { pct: solved.pct } : {}) };
}
