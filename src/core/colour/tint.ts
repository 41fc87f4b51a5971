import { plain } from "../units";
import type { Warning } from "../units/schema";
import type { TintInput, TintResult } from "./colour.schema";
import { dE00 } from "./deltaE";
import { type Lab, labOf } from "./spectrum";

/** A difference that no one sees beside the other. */
const REACHED_DE = 0.3;
const GRID = 400;
/** Golden section. */
const GOLD = (Math.sqrt(5) - 1) / 2;

/**
 * A clear film with colour in it absorbs on the way in and on the way out: R_n = R_0·10^(−2·ε·pct/100·film·n) (Bouguer–Lambert–Beer; no
 * scatter in the film, no reflection at its surface). Film in µm a coat, ε per µm at 100 %. With a target and no `pct`, the strength is the
 * one whose last coat comes nearest to it.
 * @throws {RangeError} when neither strength nor target is given
 */
export function tint(input: TintInput): TintResult {
  const { coats, target, most_coats } = input;
  if (input.pct === undefined && !target) throw new RangeError("give a strength (pct) or a target colour");
  const pct = input.pct ?? strengthFor(input, (target as { lab: Lab }).lab);
  const laid = Array.from({ length: coats }, (_, i) => ({ n: i + 1, lab: coatLab(input, pct, i + 1) }));
  const far = target && dE00(coatLab(input, pct, coats), target.lab);
  return {
    pct,
    coats: laid,
    ...(far === undefined ? {} : { dE00: far }),
    ...(target && most_coats ? { best_coats: bestCoats(input, pct, target.lab, most_coats) } : {}),
    basis: {
      formula: "R_n = R_0·10^(−2·ε·pct/100·film·n)",
      source: "Bouguer–Lambert–Beer law, light through the film twice (IUPAC Gold Book, B00626); no scatter, no gloss",
    },
    warnings: far === undefined ? [] : unreached(far, input.pct === undefined),
  };
}

/** CIELAB after so many coats at a strength, percent. */
export function coatLab({ base, colorant, film_um }: Pick<TintInput, "base" | "colorant" | "film_um">, pct: number, n: number): Lab {
  return labOf(base.r.map((r, i) => r * 10 ** ((-2 * (colorant.absorbance_per_um[i] ?? 0) * pct * film_um * n) / 100)));
}

/** The strength, percent, whose last coat is nearest to the target: the best of a grid, then golden section beside it. */
function strengthFor(input: TintInput, target: Lab): number {
  const off = (pct: number) => dE00(coatLab(input, pct, input.coats), target);
  // as fine near nothing as near all: strong colorants do their work in hundredths of a percent
  const grid = [0, ...Array.from({ length: GRID }, (_, i) => 100 * 10 ** (-6 * (1 - (i + 1) / GRID)))];
  const best = grid.reduce((at, pct, i) => (off(pct) < off(grid[at] ?? 0) ? i : at), 0);
  let [low, high] = [grid[best - 1] ?? 0, grid[best + 1] ?? 100];
  for (let i = 0; i < 60; i++) {
    const [left, right] = [high - GOLD * (high - low), low + GOLD * (high - low)];
    if (off(left) <= off(right)) high = right;
    else low = left;
  }
  return (low + high) / 2;
}

/** How many coats of this strength come nearest. */
function bestCoats(input: TintInput, pct: number, target: Lab, most: number): number {
  const off = (n: number) => dE00(coatLab(input, pct, n), target);
  return Array.from({ length: most }, (_, i) => i + 1).reduce((best, n) => (off(n) < off(best) - 1e-12 ? n : best), 1);
}

function unreached(far: number, solved: boolean): Warning[] {
  if (far <= REACHED_DE) return [];
  const why = solved
    ? "No strength of this colorant reaches it: transparent coats only darken, and only in their own hue."
    : "At this strength the last coat is not there.";
  return [{ code: "not-reached", message: `${why} The nearest is dE00 ${plain(far, 1)} away.` }];
}
