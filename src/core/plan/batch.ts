import { type MaterialClass, middle } from "../catalogue";
import { rate } from "../cure/rate";
import { massShares, mix } from "../mix/mix";
import type { MixResult } from "../mix/mix.schema";
import { rescue } from "../mix/rescue";
import type { Loss } from "../survey/loss";
import type { FillPlan } from "./plan";

/** The read-out of a bench scale, g. */
export const SCALE_STEP_G = 0.01;
/** How fast a filler is pressed in and smoothed, cm³ a minute; trade practice. */
export const APPLY_CM3_PER_MIN = 0.5;
/** How far a ratio may be off before it shows; makers of two-part fillers allow about this. */
export const RATIO_TOLERANCE_PCT = 5;
/** A coat reaches past the loss on all sides: over this many times its opening. */
const COAT_SPREAD = 4;

/** Any material weighed for what it has to do. */
export interface Batch extends MixResult {
  /** What is needed, before waste. */
  readonly need_cm3: number;
  /** How long it stays workable at the room's temperature, min; undefined for what has no pot life. */
  readonly pot_life_min: number | undefined;
}

/** The batch for one layer: its share of loss and proud height, grown by shrinkage and waste. */
export function batchFor(fill: FillPlan, waste_pct: number, temp_C: number): Batch {
  return mixedFor(fill.material, layerNeed(fill), waste_pct, APPLY_CM3_PER_MIN, temp_C);
}

/** A need of a material in cm³, weighed by its recipe and split so that each batch is used up while it is workable at `temp_C`. */
export function mixedFor(material: MaterialClass, need_cm3: number, waste_pct: number, apply_cm3_per_min: number, temp_C: number): Batch {
  const { parts, ratio_by, mixed_density } = material.mix;
  const pot_life_min = potLife(material, temp_C);
  const mixed = mix({
    need_cm3,
    waste_pct,
    parts: [...parts],
    ratio_by,
    ...(mixed_density === undefined ? {} : { mixed_density }),
    scale_step_g: SCALE_STEP_G,
    ...(pot_life_min === undefined ? {} : { pot_life_min, apply_cm3_per_min }),
  });
  return { ...mixed, need_cm3, pot_life_min };
}

/** Volume of one layer as it is laid, cm³: its share of loss and proud height, grown by shrinkage. */
export function layerNeed({ loss, proud_mm, shrinkage_pct, count }: FillPlan): number {
  const proud_cm3 = (loss.opening_mm2 * proud_mm) / 1000;
  return (loss.volume_cm3 + proud_cm3) / (1 - shrinkage_pct / 100) / count;
}

/** Middle of the published working time, carried to `temp_C`. */
export function potLife({ cure }: MaterialClass, temp_C: number): number | undefined {
  const { stages, reference_C, ea_kJ_mol } = cure;
  const working = stages.find(({ stage }) => stage === "working");
  return working && middle(working.minutes) / rate(temp_C, reference_C, { kind: "arrhenius", ea_kJ_mol });
}

/** Whether weighed grams keep the ratio, and what to add when not; undefined until all are weighed. */
export function checkWeights({ mix: recipe }: MaterialClass, weighed: ReadonlyArray<number | undefined>) {
  const { parts, ratio_by } = recipe;
  if (parts.length < 2 || parts.some((_, i) => weighed[i] === undefined)) return undefined;
  const shares = massShares({ parts: [...parts], ratio_by });
  return rescue({
    parts: parts.map((part, i) => ({ name: part.name, ratio: shares[i] ?? 1, poured_g: weighed[i] ?? 0 })),
    tolerance_pct: RATIO_TOLERANCE_PCT,
  });
}

/** Adhesive for a joint, cm³: one film between its two faces. */
export function adhesiveNeed({ joint_mm2, film_mm }: Pick<Loss, "joint_mm2" | "film_mm">): number {
  return ((joint_mm2 / 2) * film_mm) / 1000;
}

/** One coat over a loss and its surroundings, cm³. */
export function coatNeed({ opening_mm2 }: Pick<Loss, "opening_mm2">, coat: MaterialClass | undefined): number {
  return (opening_mm2 * COAT_SPREAD * (coat?.max_layer_mm ?? 0)) / 1000;
}
