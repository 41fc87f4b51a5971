import type { DamageOf } from "../measures.data";
import type { TakenPlace, WayFacts } from "../wayRow";

/** Something let in, or set behind: a rod, a dowel, cleats, anchors. */
export const core = (name: string, label: string, over: Partial<TakenPlace> = {}): TakenPlace => ({
  name,
  kind: "core",
  label,
  hidden: true,
  takes: ["brace"],
  ...over,
});

/** A plate is as thin as this, mm; in a thicker block a cleat holds only the skin of the crack. Trade practice. */
const PLATE_MM = 10;

/** Cleats behind a crack in a plate of wood or board. */
export const crackCleats = (d: DamageOf<"crack">, { on }: WayFacts): TakenPlace[] =>
  (on.family === "wood" || on.family === "board") && d.depth_mm <= PLATE_MM
    ? [core("cleats", "Cleats behind the crack", { length_mm: d.length_mm, depth_mm: d.depth_mm, takes: ["brace", "adhesive"] })]
    : [];
