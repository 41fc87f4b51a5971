import type { MaterialClass, Range } from "../catalogue";
import { ballMm } from "./mix";

/** A drop from a dropper bottle, g; data sheets count 20 to 30 to the millilitre. */
export const DROP_G = 0.04;
/** Level measuring spoons, ml. */
const SPOONS_ML = [15, 5, 2.5, 1.25] as const;
/** Fewer than this is a pinch, not a spoon. */
const LEAST_SPOON = 0.8;
/** More than this nobody counts. */
const MOST_COUNTED = 12;

/** A part of one batch as hands measure it where no scale is. */
export interface ByHand {
  readonly name: string;
  readonly mass_g: number;
  readonly volume_cm3: number;
  readonly ball_mm: number;
  /** Length of a bead from the nozzle, mm. */
  readonly bead_mm: number;
  /** Level spoons, with how many ml one holds. */
  readonly spoons?: { readonly count: number; readonly ml: number; readonly off_pct: number };
  readonly drops?: number;
}

/** A part by ball, bead, spoon and drop. Grams, g/cm³, and the nozzle's bore in mm. Geometry; a bead is taken as round as its nozzle. */
export function byHand(
  { name, mass_g, density }: { readonly name: string; readonly mass_g: number; readonly density: number },
  nozzle_mm: number,
): ByHand {
  const volume_cm3 = mass_g / density;
  const drops = canDrop(name, density) ? Math.round(mass_g / DROP_G) : 0;
  const spoons = spoonsOf(volume_cm3);
  return {
    name,
    mass_g,
    volume_cm3,
    ball_mm: ballMm(volume_cm3),
    bead_mm: (volume_cm3 * 1000) / ((Math.PI / 4) * nozzle_mm ** 2),
    ...(spoons ? { spoons } : {}),
    ...(drops >= 1 && drops <= MOST_DROPS ? { drops } : {}),
  };
}
const MOST_DROPS = 40;

/** What can't be counted in drops: what is dry, and what is heavier than a resin, g/cm³: it is a paste. */
const DRY = /dry|powder|bead|sand|silica|chalk|flour|dust/i;
const PASTE_FROM = 1.3;
export const canDrop = (name: string, density: number): boolean => !DRY.test(name) && density < PASTE_FROM;

/** Whole and half spoons of the size that comes nearest. */
function spoonsOf(cm3: number): ByHand["spoons"] {
  const tries = SPOONS_ML.flatMap((ml) => {
    const count = Math.round((cm3 / ml) * 2) / 2;
    return cm3 / ml >= LEAST_SPOON && count <= MOST_COUNTED ? [{ count, ml, off_pct: (Math.abs(count * ml - cm3) / cm3) * 100 }] : [];
  });
  return tries.sort((a, b) => a.off_pct - b.off_pct)[0];
}

/** One batch of a material as hands measure it. */
export interface MixByHand {
  readonly parts: readonly ByHand[];
  /** The part that only thickens, and the rest of the batch, g. */
  readonly thickens?: { readonly name: string; readonly mixed_g: number };
  /** What it fills, litres. */
  readonly litres: number;
}

/** A batch by hand: each part by its density of the recipe. Grams of the batch, the nozzle's bore in mm. */
export function mixByHand(
  { mix }: Pick<MaterialClass, "mix">,
  batch: ReadonlyArray<{ readonly name: string; readonly mass_g: number }>,
  nozzle_mm: number,
): MixByHand {
  const parts = batch.map(({ name, mass_g }) => {
    const density = mix.parts.find((part) => part.name === name)?.density ?? 1;
    return byHand({ name, mass_g, density }, nozzle_mm);
  });
  const sum = (of: readonly ByHand[], what: "mass_g" | "volume_cm3") => of.reduce((all, part) => all + part[what], 0);
  const thick = parts.find(({ name }) => mix.parts.find((part) => part.name === name)?.bulk);
  const volume_cm3 = mix.mixed_density === undefined ? sum(parts, "volume_cm3") : sum(parts, "mass_g") / mix.mixed_density;
  const rest = parts.filter((part) => part !== thick);
  return {
    parts,
    litres: volume_cm3 / 1000,
    ...(thick ? { thickens: { name: thick.name, mixed_g: sum(rest, "mass_g") } } : {}),
  };
}

/** Powder and water of a plaster, and its water to a hundred of powder; undefined where it has not both. */
export function plasterOf({ parts }: Pick<MixByHand, "parts">) {
  const water = parts.find(({ name }) => name.includes("water"));
  const powder = parts.find((part) => part !== water);
  return water && powder ? { water, powder, water_pct: (water.mass_g / powder.mass_g) * 100 } : undefined;
}

/** How stiff a resin is made, and how much fumed silica does it, percent of resin and hardener by mass. Typical data sheets of fumed silica in epoxy. */
export const CONSISTENCIES: ReadonlyArray<{ readonly name: string; readonly use: string; readonly pct: Range }> = [
  { name: "Runs", use: "into hairlines, by capillary", pct: [0, 1] },
  { name: "Cream", use: "level faces, closed joints", pct: [1, 3] },
  { name: "Paste", use: "gaps, upright faces; a peak stands", pct: [3, 6] },
  { name: "Putty", use: "hollows; it keeps its shape", pct: [6, 9] },
];

/** Grams of thickener for so much resin with its hardener. */
export const thickener_g = (mixed_g: number, [least, most]: Range): Range => [(mixed_g * least) / 100, (mixed_g * most) / 100];

/** An additive takes the place of up to this share of a plaster's water, percent; typical data sheets of acrylic additives. */
export const ADDITIVE_PCT = [0, 10, 25] as const;
/** The second pour has so much more water, percent: it runs into what the first left. Trade practice. */
export const SECOND_POUR_PCT = 15;

/** Water with a share of it replaced by an additive, g. */
export const withAdditive = (water_g: number, pct: number) => ({ water_g: water_g * (1 - pct / 100), additive_g: (water_g * pct) / 100 });
