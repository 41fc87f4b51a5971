import type { DamageOf } from "../measures.data";
import type { TakenPlace } from "../wayRow";
import { hollow } from "./hollow";
import { patch } from "./patch";

/** How long the edges of a tear are, both its legs, mm. */
export const tearLength = ({ length_mm, leg_mm = 0 }: Pick<DamageOf<"tear">, "length_mm" | "leg_mm">): number => length_mm + leg_mm;

/** A patch behind a tear, behind both its legs where it has two, and the strip that is lost between its edges. */
export function tear(d: DamageOf<"tear">): TakenPlace[] {
  const { thickness_mm, lost_mm = 0, leg_mm = 0 } = d;
  const length_mm = tearLength(d);
  const backing = patch("patch", "Patch behind the tear", d.length_mm, Math.max(leg_mm, lost_mm), length_mm);
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
