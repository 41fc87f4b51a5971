import type { DamageOf } from "../measures.data";
import type { TakenPlace } from "../wayRow";
import { hollow } from "./hollow";
import { patch } from "./patch";

/** A patch behind a tear, and the strip that is lost between its edges. */
export function tear({ length_mm, thickness_mm, lost_mm = 0 }: DamageOf<"tear">): TakenPlace[] {
  const backing = patch("patch", "Patch behind the tear", length_mm, lost_mm, length_mm);
  if (lost_mm <= 0) return [backing];
  const gap = hollow({
    name: "gap",
    label: "The lost strip",
    solids: [{ shape: "box", length: length_mm, width: lost_mm, depth: thickness_mm }],
    depth_mm: thickness_mm,
    opening_mm2: length_mm * lost_mm,
    opening_mm: lost_mm,
    length_mm,
    width_mm: lost_mm,
  });
  return [backing, gap];
}
