import type { DamageOf } from "../measures.data";
import type { TakenPlace } from "../wayRow";
import { hollow } from "./hollow";

/** A round dent: a spherical cap. */
export const dent = ({ diameter_mm, depth_mm }: DamageOf<"dent">, over: Partial<TakenPlace> = {}): TakenPlace =>
  hollow({
    name: "loss",
    label: "The dent",
    solids: [{ shape: "sphericalCap", diameter: diameter_mm, height: depth_mm }],
    depth_mm,
    opening_mm2: (Math.PI / 4) * diameter_mm ** 2,
    opening_mm: diameter_mm,
    ...over,
  });
