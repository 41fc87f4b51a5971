import { type MaterialClass, middle } from "../catalogue";
import { proposeProud } from "../fill/proud";
import { depthOf, volumeBetween } from "../survey/place";
import type { WorkPlace } from "./context";

/** What is laid of one place, layer by layer; mm and cm³. `measured`: where the surface really was after the last layer. */
export interface PlaceLayers {
  readonly place: WorkPlace;
  readonly layers: ReadonlyArray<{ readonly applied_mm: number; readonly volume_cm3: number; readonly surface_mm: number }>;
  readonly proud_mm: number;
}

/** A film or a rigid build is never planned prouder than this share of its own layer. */
const THIN_BUILD_MM = 1;

/** The layers of one void: equal in thickness, each with the volume that the place has there. */
export function layersOf(place: WorkPlace, material: MaterialClass): PlaceLayers {
  const depth = place.depth_mm ?? depthOf(place);
  const shrinks = 1 - middle(material.shrinkage_pct) / 100;
  const most = material.max_layer_mm;
  const proud_mm = proudOf(place, material, depth);
  const count = Math.max(1, Math.ceil(depth / (most * shrinks) - 1e-9));
  const each = depth / count;
  return {
    place,
    proud_mm,
    layers: Array.from({ length: count }, (_, i) => ({
      applied_mm: (each + (i === count - 1 ? proud_mm : 0)) / shrinks,
      volume_cm3: volumeBetween(place, i / count, (i + 1) / count),
      surface_mm: each * (i + 1) - depth + (i === count - 1 ? proud_mm : 0),
    })),
  };
}

function proudOf(place: WorkPlace, material: MaterialClass, depth: number): number {
  const wanted = proposeProud(depth, material.shrinkage_pct);
  if (place.kind === "film") return Math.min(0.1, material.max_layer_mm, depth / 4);
  if (material.rigidity === "flexible") return 0;
  return depth < THIN_BUILD_MM ? Math.min(0.1, material.max_layer_mm) : Math.min(wanted, material.max_layer_mm);
}
