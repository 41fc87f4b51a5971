import type { DamageOf } from "../measures.data";
import { CLOSED_FILM_MM } from "../place";
import { asRound, ellipsePerimeter } from "../solids";
import type { TakenPlace } from "../wayRow";
import { hollow } from "./hollow";

/** A hole, round or oval, through or blind. */
export const hole = ({ diameter_mm, across_mm = diameter_mm, depth_mm }: DamageOf<"hole">, over: Partial<TakenPlace> = {}): TakenPlace =>
  hollow({
    name: "loss",
    label: "The hole",
    solids: [{ shape: "cylinder", diameter: asRound(diameter_mm, across_mm), depth: depth_mm }],
    depth_mm,
    opening_mm2: (Math.PI / 4) * diameter_mm * across_mm,
    opening_mm: Math.min(diameter_mm, across_mm),
    ...over,
  });

/** The wall of a hole that a plug is glued into. */
export const holeWall = ({ diameter_mm, across_mm = diameter_mm, depth_mm }: DamageOf<"hole">): TakenPlace => ({
  name: "bed",
  kind: "faces",
  label: "Wall of the hole",
  area_mm2: ellipsePerimeter(diameter_mm, across_mm) * depth_mm,
  film_mm: CLOSED_FILM_MM,
  takes: ["adhesive"],
});
