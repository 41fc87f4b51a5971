import type { DamageOf } from "../measures.data";
import { CLOSED_FILM_MM } from "../place";
import type { TakenPlace } from "../wayRow";
import { hollow } from "./hollow";

/** A round hole, through or blind. */
export const hole = ({ diameter_mm, depth_mm }: DamageOf<"hole">, over: Partial<TakenPlace> = {}): TakenPlace =>
  hollow({
    name: "loss",
    label: "The hole",
    solids: [{ shape: "cylinder", diameter: diameter_mm, depth: depth_mm }],
    depth_mm,
    opening_mm2: (Math.PI / 4) * diameter_mm ** 2,
    opening_mm: diameter_mm,
    ...over,
  });

/** The wall of a hole that a plug is glued into. */
export const holeWall = ({ diameter_mm, depth_mm }: DamageOf<"hole">): TakenPlace => ({
  name: "bed",
  kind: "faces",
  label: "Wall of the hole",
  area_mm2: Math.PI * diameter_mm * depth_mm,
  film_mm: CLOSED_FILM_MM,
  takes: ["adhesive"],
});
