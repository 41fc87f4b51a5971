import { layers } from "../fill/layers";
import { volumeBetween } from "../survey/place";
import type { LayersCalcInput, LayersCalcResult } from "./layersCalc.schema";

/**
 * The layers that are still to come: all of them, or from the last measured surface on; each with its own volume where the solids are
 * given. A corner and a tip are filled from their broken face, every hollow from its deepest point; what stands proud adds nothing here.
 * Depths in mm, volumes in cm³, counted per solid as a share of `depth_mm`.
 * @throws {RangeError} if more than 1000 layers would be needed, or the measured surface lies under the floor of the loss
 * @example layersCalc({ depth_mm: 12, max_layer_mm: 6, shrinkage_pct: 0, proud_mm: 0, solids: [{ shape: "corner", a: 30, b: 20, c: 18 }] }).layers[0]?.volume_cm3 // => 1.575
 */
export function layersCalc({ solids, done, ...asked }: LayersCalcInput): LayersCalcResult {
  const from_mm = done?.at(-1)?.surface_mm ?? -asked.depth_mm;
  if (from_mm < -asked.depth_mm) throw new RangeError(`${-from_mm} mm low is under the floor of a loss of ${asked.depth_mm} mm`);
  const left = asked.proud_mm - from_mm;
  if (left <= 1e-9) return nothingLeft(asked);
  const found = layers({ ...asked, depth_mm: left, proud_mm: 0 });
  const share = (surface_mm: number) => Math.min(1, Math.max(0, (surface_mm + asked.depth_mm) / asked.depth_mm));
  const planned = found.layers.map((layer, i) => {
    const surface_mm = from_mm + layer.cured_mm * (i + 1);
    const volume_cm3 = solids && volumeBetween({ solids }, share(surface_mm - layer.cured_mm), share(surface_mm));
    return { ...layer, surface_mm, ...(volume_cm3 === undefined ? {} : { volume_cm3 }) };
  });
  return { ...found, layers: planned, warnings: [...found.warnings, ...proudWarning(asked, found.apply_mm)] };
}

function nothingLeft({ depth_mm, max_layer_mm, shrinkage_pct }: LayersCalcInput): LayersCalcResult {
  const { basis } = layers({ depth_mm, max_layer_mm, shrinkage_pct, proud_mm: 0 });
  return {
    count: 0,
    apply_mm: 0,
    layers: [],
    basis,
    warnings: [{ code: "done", message: "It stands as proud as was asked: nothing is left to lay." }],
  };
}

/** What stands prouder than a layer of its own is only to be sanded off again. */
function proudWarning({ proud_mm, max_layer_mm }: LayersCalcInput, apply_mm: number) {
  return proud_mm > Math.min(max_layer_mm, apply_mm)
    ? [{ code: "proud", message: `${proud_mm} mm proud is more than one of its own layers: a film is left no prouder than one.` }]
    : [];
}
