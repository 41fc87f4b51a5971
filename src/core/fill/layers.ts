import type { LayersInput, LayersResult } from "./layers.schema";

/** More layers than this is a wrong material or a slip of the decimal point. */
const MOST_LAYERS = 1000;

/**
 * The fewest equal layers, none over `max_layer_mm` as applied, whose cured sum reaches depth + proud.
 * `surface_mm` is the height against the original surface after that layer has cured (negative = below).
 * Shrinkage is linear through the thickness.
 * @throws {RangeError} if more than 1000 layers would be needed
 * @example layers({ depth_mm: 6, max_layer_mm: 8, shrinkage_pct: 0, proud_mm: 0.8 }).count // => 1
 */
export function layers({ depth_mm, max_layer_mm, shrinkage_pct, proud_mm }: LayersInput): LayersResult {
  const kept = 1 - shrinkage_pct / 100;
  const total = (depth_mm + proud_mm) / kept;
  // the allowance keeps rounding in the division from adding an empty layer
  const count = Math.max(1, Math.ceil(total / max_layer_mm - 1e-9));
  if (count > MOST_LAYERS) throw new RangeError(`${count} layers would be needed: raise max_layer_mm or take another material`);
  const apply_mm = total / count;
  const cured_mm = apply_mm * kept;
  return {
    count,
    apply_mm,
    layers: Array.from({ length: count }, (_, i) => ({
      applied_mm: apply_mm,
      cured_mm,
      surface_mm: cured_mm * (i + 1) - depth_mm,
    })),
    basis: {
      formula: "n = ⌈(depth + proud) / (1 − s) / max layer⌉; applied = (depth + proud) / (1 − s) / n",
      source: "linear shrinkage through the thickness, constant over the layer",
    },
    warnings: [],
  };
}
