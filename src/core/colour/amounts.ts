import { DROP_G } from "../mix/byHand";

/** A recipe as it is mixed: each part in grams, in drops, and in parts to the least of them. */
export interface Amount {
  readonly name: string;
  readonly pct: number;
  readonly g: number;
  readonly drops: number;
  /** Of the least part 1. */
  readonly parts: number;
}

/** More parts than this nobody counts. */
const MOST_PARTS = 200;

/** So many grams of a recipe, part by part. A drop of a paint or dispersion is taken as heavy as one of resin. */
export function amountsOf(recipe: ReadonlyArray<{ readonly name: string; readonly pct: number }>, grams: number): Amount[] {
  const least = Math.min(...recipe.map(({ pct }) => pct));
  return recipe.map(({ name, pct }) => {
    const g = (grams * pct) / 100;
    return { name, pct, g, drops: Math.round(g / DROP_G), parts: Math.min(MOST_PARTS, pct / least) };
  });
}

/** The least that can be mixed so that the smallest part is at least one drop, g. */
export const leastMix_g = (recipe: ReadonlyArray<{ readonly pct: number }>): number =>
  (DROP_G * 100) / Math.min(...recipe.map(({ pct }) => pct));
