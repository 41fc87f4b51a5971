import { plain } from "../units";
import type { Damage, DamageOf, MeasuredKind } from "./measures.data";
import { volume } from "./volume";
import type { Solid } from "./volume.schema";

/** What is missing, as the other stations need it. Lengths in mm, areas in mm², volume in cm³. */
export interface Loss {
  readonly solids: readonly Solid[];
  readonly volume_cm3: number;
  /** From the original surface to the deepest point of the fill. */
  readonly depth_mm: number;
  /** The opening at the surface: what stands proud covers it. */
  readonly opening_mm2: number;
  /** The widest gap that an adhesive or fill must bridge. */
  readonly gap_mm: number;
  /** Both faces of a joint, 0 where nothing is joined. */
  readonly joint_mm2: number;
  /** `34 × 11 × 6 mm` */
  readonly size: string;
}

type Shape = Omit<Loss, "volume_cm3" | "size"> & { readonly dims: readonly number[] };

const SHAPE: { readonly [K in MeasuredKind]: (damage: DamageOf<K>) => Shape } = {
  chip: ({ length_mm, depth_mm, thickness_mm }) => ({
    solids: [{ shape: "edgeChip", length: length_mm, depth: depth_mm, thickness: thickness_mm }],
    depth_mm,
    opening_mm2: length_mm * thickness_mm,
    gap_mm: depth_mm,
    joint_mm2: 0,
    dims: [length_mm, depth_mm, thickness_mm],
  }),
  corner: ({ a_mm, b_mm, c_mm }) => ({
    solids: [{ shape: "corner", a: a_mm, b: b_mm, c: c_mm }],
    depth_mm: cornerDepth(a_mm, b_mm, c_mm),
    opening_mm2: (a_mm * b_mm + b_mm * c_mm + a_mm * c_mm) / 2,
    gap_mm: cornerDepth(a_mm, b_mm, c_mm),
    joint_mm2: 0,
    dims: [a_mm, b_mm, c_mm],
  }),
  hole: ({ diameter_mm, depth_mm }) => ({
    solids: [{ shape: "cylinder", diameter: diameter_mm, depth: depth_mm }],
    depth_mm,
    opening_mm2: (Math.PI / 4) * diameter_mm ** 2,
    gap_mm: diameter_mm,
    joint_mm2: 0,
    dims: [diameter_mm, depth_mm],
  }),
  crack: ({ length_mm, width_mm, depth_mm, closes }) => ({
    solids: [{ shape: "vGroove", length: length_mm, width: width_mm, depth: depth_mm }],
    depth_mm,
    opening_mm2: length_mm * width_mm,
    gap_mm: closes ? 0.1 : width_mm,
    joint_mm2: closes ? 2 * length_mm * depth_mm : 0,
    dims: [length_mm, width_mm, depth_mm],
  }),
  shards: ({ break_length_mm, thickness_mm, gap_mm = 0 }) => ({
    solids: gap_mm > 0 ? [{ shape: "box", length: break_length_mm, width: gap_mm, depth: thickness_mm }] : [],
    depth_mm: gap_mm > 0 ? thickness_mm : 0,
    opening_mm2: break_length_mm * gap_mm,
    gap_mm: gap_mm > 0 ? gap_mm : 0.1,
    joint_mm2: 2 * break_length_mm * thickness_mm,
    dims: [break_length_mm, thickness_mm],
  }),
};

/** What is missing from a damage with its measurements. */
export function lossOf(damage: Damage): Loss {
  const { dims, ...shape } = shapeOf(damage);
  return {
    ...shape,
    volume_cm3: shape.solids.length > 0 ? volume({ solids: [...shape.solids] }).volume_cm3 : 0,
    size: `${dims.map((mm) => plain(mm)).join(" × ")} mm`,
  };
}

function shapeOf<K extends MeasuredKind>(damage: DamageOf<K>): Shape {
  return (SHAPE[damage.kind as K] as (d: DamageOf<K>) => Shape)(damage);
}

/** Height of a corner tetrahedron over its broken face: 3V / A, with three square edges. */
function cornerDepth(a: number, b: number, c: number): number {
  return (a * b * c) / Math.sqrt((a * b) ** 2 + (b * c) ** 2 + (a * c) ** 2);
}
