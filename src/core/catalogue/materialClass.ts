import type { Caution } from "./cautions.data";
import type { DamageKind, Role } from "./damage.data";
import type { Carrier } from "./finishes.data";
import type { Family, Hatch } from "./substrates.data";

/** Published low and high. Where makers or handbooks disagree the span is wide; never a false point. */
export type Range = readonly [low: number, high: number];

/** The single figure that arithmetic starts from: the geometric middle for times, which spread by factors. */
export function middle([low, high]: Range): number {
  return low > 0 ? Math.sqrt(low * high) : (low + high) / 2;
}

/** Moments that a wet material passes, in order. Not every class has each. */
export const STAGES = ["working", "firm", "stiff", "handle", "recoat", "hard", "full"] as const;
export type Stage = (typeof STAGES)[number];

interface Cure {
  readonly reference_C: number;
  /** Apparent activation energy of the setting reaction or of the evaporation, kJ/mol; 0 for what only cools. */
  readonly ea_kJ_mol: number;
  readonly min_C: number;
  /** Minutes at `reference_C`, in a layer of `at_mm`. */
  readonly stages: ReadonlyArray<{ readonly stage: Stage; readonly minutes: Range }>;
  readonly at_mm: number;
  /** Drying goes with the square of the thickness; a reaction does not. */
  readonly by: "reaction" | "drying";
  /** Where the working time ends by gelling, not by the setting: its own energy, below zero = a warm room lengthens it. */
  readonly gels_ea_kJ_mol?: number;
  /** It sets with the damp of the air: moist air hurries it. */
  readonly moisture?: true;
}

interface Mix {
  /** `bulk`: what only stiffens, and is added until it stands as it should. */
  readonly parts: ReadonlyArray<{ readonly name: string; readonly ratio: number; readonly density: number; readonly bulk?: true }>;
  readonly ratio_by: "mass" | "volume";
  /** g/cm³ of the set or mixed material where volumes do not simply add. */
  readonly mixed_density?: number;
  /** Of what a hardener starts: percent of the resin by mass that still sets it through, and sets it in the cup. */
  readonly hardener_pct?: Range;
  /** Less than this is not prepared at once, g: a pot that is kept hot. */
  readonly least_g?: number;
  /** What shows that it is mixed. */
  readonly cue: string;
}

/** The shelves of the catalogue and of the cabinet. */
export const GROUPS = [
  "consolidant",
  "adhesive",
  "brace",
  "filler",
  "plaster",
  "wood-filler",
  "flexible",
  "release",
  "levelling",
  "colour",
  "topcoat",
] as const;
export type Group = (typeof GROUPS)[number];

export const GROUP_LABELS: Readonly<Record<Group, string>> = {
  consolidant: "Consolidants",
  adhesive: "Adhesives",
  brace: "Braces",
  filler: "Fills",
  plaster: "Plasters",
  "wood-filler": "Wood fills",
  flexible: "Flexible",
  release: "Release, masking",
  levelling: "Levelling",
  colour: "Colour",
  topcoat: "Top coats",
};

/** Metal that is bought and laid by the leaf, on a size that has come to tack. */
export interface Leaf {
  readonly side_mm: number;
  /** One leaf, €: beaten brass to gold. */
  readonly price_eur: Range;
  /** From brushing the size until it is tacky, minutes: quick to slow oil size. */
  readonly tack_min: Range;
}

/** One generic class of material. Every figure that varies is a range; `source` says where it stands. */
export interface ClassRow {
  readonly class: string;
  readonly group: Group;
  readonly name: string;
  /** Mixed and ready to use, g/cm³. */
  readonly density: Range;
  readonly price_eur_kg: Range;
  /** What may be said about food; the data sheet prevails. */
  readonly food: string;
  readonly roles: readonly Role[];
  readonly hatch: Hatch;
  /** How well it holds; a family that is missing is one it does not hold on. */
  readonly bonds: Partial<Record<Family, "firm" | "fair">>;
  /** Holds only where it can key into pores. */
  readonly needs_pores: boolean;
  /** The gap or opening it bridges as an adhesive, mm. */
  readonly gap_mm: Range;
  readonly max_layer_mm: number;
  /** Linear, through the thickness. */
  readonly shrinkage_pct: Range;
  readonly rigidity: "rigid" | "tough" | "flexible";
  /** Same relative scale as the substrates: 1 leather, 2 gypsum, 3 wood, 4 earthenware, 5 glazed ware. */
  readonly hardness: 1 | 2 | 3 | 4 | 5;
  readonly strength: "light" | "medium" | "strong";
  readonly service_C: Range;
  readonly water: "stands" | "splash" | "no";
  readonly outdoor: boolean;
  readonly takes_stain: boolean;
  readonly reversible: { readonly grade: "easy" | "effort" | "no"; readonly by: string };
  readonly carrier: Carrier;
  /** The only kinds of damage it is made for; absent = no limit. */
  readonly only_for?: readonly DamageKind[];
  readonly leaf?: Leaf;
  /** So many coats of it make a film, where that is other than usual. */
  readonly usual_coats?: number;
  /** After so long the next coat no longer bonds of itself: it is abraded first, minutes. Absent = each coat softens the one before. */
  readonly recoat_until_min?: Range;
  readonly mix: Mix;
  readonly cure: Cure;
  readonly hazards: readonly Caution[];
  readonly shelf_months: Range;
  readonly source: string;
}

/** What a wet coat of so many mm dries to, µm: what it shrinks by is gone. */
export const dryFilmUm = ({ shrinkage_pct }: { readonly shrinkage_pct: Range }, wet_mm: number): number =>
  wet_mm * 1000 * (1 - middle(shrinkage_pct) / 100);

/**
 * What sets by reaction sets through at any depth; layers keep its heat and its pull small, and both go by the narrow side. A void no wider
 * than one layer is filled in one push. Widths in mm.
 */
export const inOnePush = (
  { cure, hatch, max_layer_mm, shrinkage_pct }: Pick<ClassRow, "cure" | "hatch" | "max_layer_mm" | "shrinkage_pct">,
  opening_mm: number | undefined,
): boolean =>
  cure.by === "reaction" &&
  hatch !== "plaster" &&
  opening_mm !== undefined &&
  opening_mm <= max_layer_mm * (1 - middle(shrinkage_pct) / 100);

/** Mortar and stucco are floated level while they are green; what was poured, or hardens glassy, is cut and sanded. */
export const isFloated = ({ hatch, group, cure }: Pick<ClassRow, "hatch" | "group" | "cure">): boolean =>
  hatch === "plaster" && group !== "plaster" && cure.stages.some(({ stage }) => stage === "firm");
