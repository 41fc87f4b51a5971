import type { DamageOf } from "../measures.data";
import { gapOf, meanGap } from "../place";
import type { TakenPlace } from "../wayRow";
import { GLUE_LINE_MM, shardJoins } from "./faces";
import { groove } from "./groove";
import { hollow } from "./hollow";

/** The joins of shards, the seam that stays open along them, and the slivers that are lost. */
export function shards(d: DamageOf<"shards">): TakenPlace[] {
  const gap = gapOf(d);
  const mean = meanGap(gap);
  const seam =
    gap && gap[1] > GLUE_LINE_MM
      ? [
          groove(
            { length_mm: d.break_length_mm, width_mm: mean, depth_mm: Math.min(d.thickness_mm, 2 * mean) },
            "hollows",
            "Hollows left along the joins",
            { as: "chip" },
          ),
        ]
      : [];
  return [shardJoins(d), ...seam, ...(d.slivers ?? []).map((sliver, i) => lostSliver(sliver, i + 1, d.thickness_mm))];
}

function lostSliver(
  { length_mm, width_mm, depth_mm }: NonNullable<DamageOf<"shards">["slivers"]>[number],
  number: number,
  wall_mm: number,
): TakenPlace {
  return hollow({
    name: `sliver-${number}`,
    label: `Lost sliver ${number}`,
    solids: [{ shape: "box", length: length_mm, width: width_mm, depth: depth_mm }],
    depth_mm,
    opening_mm2: length_mm * width_mm,
    opening_mm: width_mm,
    length_mm,
    width_mm,
    open_behind: depth_mm >= wall_mm - 1e-9,
    as: "chip",
  });
}
