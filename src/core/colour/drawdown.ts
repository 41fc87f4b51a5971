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
