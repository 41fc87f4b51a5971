import { type MaterialClass, WASTE_PCT } from "../catalogue";
import type { Layup, ThinPlace } from "../join/layup";
import type { Damage } from "../survey/measures.data";
import type { Sketch } from "../survey/sketch";
import { counted, type Point, plain } from "../units";
import { type Batch, mixedFor } from "./batch";

/** The place that a backing is laid up on; undefined for every other damage. */
export function thinPlaceOf(damage: Damage): ThinPlace | undefined {
  if (damage.kind !== "worn-thin") return undefined;
  const { length_mm, width_mm, remaining_mm, target_mm } = damage;
  return { length_mm, width_mm, missing_mm: Math.max(0, target_mm - remaining_mm) };
}

/** How fast a fabric is wetted and rubbed down, cm³ a minute; trade practice. */
const LAY_CM3_PER_MIN = 4;

/** Fabric and what wets it for all layers, weighed. */
export function layupBatch({ size }: Layup, material: MaterialClass, temp_C: number): Batch {
  const { length_mm = 0, width_mm = 0, thickness_mm = 0 } = size;
  return mixedFor(material, (length_mm * width_mm * thickness_mm) / 1000, WASTE_PCT, LAY_CM3_PER_MIN, temp_C);
}

const ARC = [0, 1, 2, 3].map((i) => (i * Math.PI) / 6);

/** A rectangle about the middle with rounded corners. */
function rounded(width: number, height: number, radius: number): Point[] {
  const corners = [
    [1, 1],
    [-1, 1],
    [-1, -1],
    [1, -1],
  ] as const;
  return corners.flatMap(([x, y], quarter) =>
    ARC.map((angle): Point => {
      const turn = angle + (quarter * Math.PI) / 2;
      return [x * (width / 2 - radius) + radius * Math.cos(turn), y * (height / 2 - radius) + radius * Math.sin(turn)];
    }),
  );
}

/** The thin place from behind, with every layer of its backing, mm. */
export function layupSketch(place: ThinPlace, { size }: Layup): Sketch {
  const { length_mm: long = 0, width_mm: wide = 0, layers = 1, step_mm = 0, margin_mm = 0, corner_mm = 0 } = size;
  const edges = Array.from({ length: layers }, (_, i) => rounded(long - 2 * i * step_mm, wide - 2 * i * step_mm, corner_mm));
  const around = margin_mm * 0.6;
  const [right, top] = [long / 2 + around, wide / 2 + around];
  return {
    view: `seen from behind: ${counted(layers, "layer")}, the thin place white`,
    solid: [rounded(long + 2 * around, wide + 2 * around, 0)],
    missing: [rounded(place.length_mm, place.width_mm, Math.min(corner_mm, place.length_mm / 2, place.width_mm / 2))],
    lines: edges.map((edge) => [...edge, ...edge.slice(0, 1)]),
    dims: [
      { from: [-long / 2, top], to: [long / 2, top], label: plain(long, 2), beside: "above" },
      { from: [right, wide / 2], to: [right, -wide / 2], label: plain(wide, 2), beside: "right" },
      { from: [-long / 2, -top], to: [-place.length_mm / 2, -top], label: plain(margin_mm, 2), beside: "below" },
    ],
  };
}
