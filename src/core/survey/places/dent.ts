import type { DamageOf } from "../measures.data";
import { asRound } from "../solids";
import type { TakenPlace } from "../wayRow";
import { hollow } from "./hollow";

/** A dent, round or oval: a spherical cap, drawn out across. */
export const dent = ({ diameter_mm, across_mm = diameter_mm, depth_mm }: DamageOf<"dent">, over: Partial<TakenPlace> = {}): TakenPlace =>
  hollow({
    name: "loss",
    label: "The dent",
    solids: [{ shape: "sphericalCap", diameter: asRound(diameter_mm, across_mm), height: depth_mm }],
    depth_mm,
    opening_mm2: (Math.PI / 4) * diameter_mm * across_mm,
    opening_mm: Math.min(diameter_mm, across_mm),
    ...over,
  });
