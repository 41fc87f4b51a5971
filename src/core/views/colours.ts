import { dE00 } from "../colour/deltaE";
import type { Reading } from "../colour/shift";
import type { Lab } from "../colour/spectrum";
import type { BodyOf } from "../record/events.schema";

/** A recipe as it stands in the log of a piece. */
export interface KeptRecipe extends Omit<BodyOf<"recipe-kept">, "kind"> {
  readonly id: string;
  readonly at: string;
  readonly treatment: string;
  readonly piece: string;
}

/** A swatch with its readings, in the order in which they were taken. */
export interface Swatch {
  readonly swatch: string;
  readonly name: string;
  readonly class: Reading["class"];
  /** The recipe that it was painted with; absent = straight from the jar. */
  readonly recipe?: string;
  readonly treatment: string;
  readonly piece: string;
  readonly readings: ReadonlyArray<Reading & { readonly entry: string }>;
}

/** What the shop kept of colours, in all its pieces. */
export interface ShopColours {
  readonly recipes: readonly KeptRecipe[];
  readonly swatches: readonly Swatch[];
}

/** An entry of a colour, with where it stands. */
export interface ColourEntry {
  readonly id: string;
  readonly at: string;
  readonly treatment: string;
  readonly piece: string;
  readonly body: BodyOf<"recipe-kept"> | BodyOf<"swatch-read">;
}

/** Entries of all logs as recipes, the newest first, and as swatches. */
export function coloursOf(entries: readonly ColourEntry[]): ShopColours {
  const recipes = entries.flatMap(({ body, ...where }): KeptRecipe[] => {
    if (body.kind !== "recipe-kept") return [];
    const { kind: _kind, ...recipe } = body;
    return [{ ...where, ...recipe }];
  });
  const swatches = new Map<string, Swatch>();
  for (const { id: entry, body, treatment, piece } of entries) {
    if (body.kind !== "swatch-read") continue;
    const { kind: _kind, swatch, state, lab, name, class: material, recipe } = body;
    const known = swatches.get(swatch);
    const reading = { entry, swatch, class: material, state, lab };
    swatches.set(swatch, {
      ...(known ?? { swatch, name, class: material, treatment, piece, ...(recipe ? { recipe } : {}) }),
      readings: [...(known?.readings ?? []), reading],
    });
  }
  return { recipes: recipes.reverse(), swatches: [...swatches.values()] };
}

/** So far off a recipe is another colour. */
const NEAR_DE = 8;
const MOST = 6;

/** "What did I use near this?": kept recipes by how far what they ended at lies from a colour. */
export function nearest(recipes: readonly KeptRecipe[], lab: Lab): Array<KeptRecipe & { readonly off: number }> {
  return recipes
    .map((recipe) => ({ ...recipe, off: dE00(recipe.ended ?? recipe.target, lab) }))
    .filter(({ off }) => off <= NEAR_DE)
    .sort((a, b) => a.off - b.off)
    .slice(0, MOST);
}
