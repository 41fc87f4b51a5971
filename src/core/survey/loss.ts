import { type DamageKind, patchMargin } from "../catalogue";
import { plain } from "../units";
import type { Damage, DamageOf } from "./measures.data";
import { sectionOf } from "./place";
import { cornerDepth } from "./solids";
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
  /** How far those faces stay apart when they are pressed together: the film of glue. */
  readonly film_mm: number;
  /** `34 × 11 × 6 mm` */
  readonly size: string;
}

type Shape = Omit<Loss, "volume_cm3" | "size" | "film_mm"> & Partial<Pick<Loss, "film_mm">> & { readonly dims: readonly number[] };

/** A joint that closes in the dry fit is still this wide, mm. */
const CLOSED_GAP_MM = 0.1;

/** Both faces of a broken section, and what stays open between them. */
const broken = (length: number, width: number, gap: number): Shape => ({
  solids: gap > 0 ? [{ shape: "box", length, width, depth: gap }] : [],
  depth_mm: gap > 0 ? width : 0,
  opening_mm2: length * gap,
  gap_mm: gap > 0 ? gap : CLOSED_GAP_MM,
  joint_mm2: 2 * length * width,
  film_mm: Math.max(gap, CLOSED_GAP_MM),
  dims: [length, width],
});

/** Both faces of a backing that reaches past a place on all sides. */
function backed(length: number, width: number): number {
  const past = 2 * patchMargin(Math.max(length, width));
  return 2 * (length + past) * (width + past);
}

const area = (length: number, width: number, depth: number): Shape => ({
  solids: depth > 0 ? [{ shape: "sheet", area_mm2: length * width, depth }] : [],
  depth_mm: depth,
  opening_mm2: length * width,
  gap_mm: depth > 0 ? depth : CLOSED_GAP_MM,
  joint_mm2: 0,
  dims: depth > 0 ? [length, width, depth] : [length, width],
});

const CHIP_SOLID = {
  shell: (length: number, depth: number, thickness: number): Solid => ({ shape: "edgeChip", length, depth, thickness }),
  wedge: (length: number, depth: number, thickness: number): Solid => ({ shape: "vGroove", length: thickness, width: length, depth }),
  straight: (length: number, depth: number, thickness: number): Solid => ({ shape: "box", length, width: thickness, depth }),
} as const;

const SHAPE: { readonly [K in DamageKind]: (damage: DamageOf<K>) => Shape } = {
  chip: ({ length_mm, depth_mm, thickness_mm, shape = "shell" }) => ({
    solids: [CHIP_SOLID[shape](length_mm, depth_mm, thickness_mm)],
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
  tip: ({ base_mm, length_mm, shape = "pointed" }) => ({
    solids: [
      shape === "pointed"
        ? { shape: "cone", diameter: base_mm, height: length_mm }
        : { shape: "frustum", diameter1: base_mm, diameter2: base_mm / 2, height: length_mm },
    ],
    depth_mm: length_mm,
    opening_mm2: (Math.PI / 2) * base_mm * Math.hypot(length_mm, base_mm / 2),
    gap_mm: length_mm,
    joint_mm2: 0,
    dims: [base_mm, length_mm],
  }),
  hole: ({ diameter_mm, depth_mm }) => ({
    solids: [{ shape: "cylinder", diameter: diameter_mm, depth: depth_mm }],
    depth_mm,
    opening_mm2: (Math.PI / 4) * diameter_mm ** 2,
    gap_mm: diameter_mm,
    joint_mm2: 0,
    dims: [diameter_mm, depth_mm],
  }),
  shards: ({ break_length_mm, thickness_mm, gap_mm = 0 }) => broken(break_length_mm, thickness_mm, gap_mm),
  "break-along": ({ slope_mm, gap_mm = 0, ...member }) => {
    const { width, height } = sectionOf(member);
    return { ...broken(Math.hypot(slope_mm, height), width, gap_mm), dims: [slope_mm, width, height] };
  },
  "break-across": ({ gap_mm = 0, ...member }) => broken(sectionOf(member).width, sectionOf(member).height, gap_mm),
  crack: ({ length_mm, width_mm, depth_mm, closes }) => ({
    solids: [{ shape: "vGroove", length: length_mm, width: width_mm, depth: depth_mm }],
    depth_mm,
    opening_mm2: length_mm * width_mm,
    gap_mm: closes ? CLOSED_GAP_MM : width_mm,
    joint_mm2: closes ? 2 * length_mm * depth_mm : 0,
    dims: [length_mm, width_mm, depth_mm],
  }),
  tear: ({ length_mm, thickness_mm, lost_mm = 0 }) => ({
    solids: lost_mm > 0 ? [{ shape: "box", length: length_mm, width: lost_mm, depth: thickness_mm }] : [],
    depth_mm: lost_mm > 0 ? thickness_mm : 0,
    opening_mm2: length_mm * lost_mm,
    gap_mm: lost_mm > 0 ? lost_mm : CLOSED_GAP_MM,
    joint_mm2: backed(length_mm, lost_mm),
    dims: [length_mm, thickness_mm],
  }),
  "veneer-lifted": ({ length_mm, width_mm }) => ({ ...area(length_mm, width_mm, 0), joint_mm2: 2 * length_mm * width_mm }),
  "veneer-lost": ({ length_mm, width_mm, thickness_mm }) => ({
    ...area(length_mm, width_mm, thickness_mm),
    gap_mm: CLOSED_GAP_MM,
    joint_mm2: 2 * length_mm * width_mm,
  }),
  scratch: ({ length_mm, width_mm, depth_mm }) => ({
    solids: [{ shape: "vGroove", length: length_mm, width: width_mm, depth: depth_mm }],
    depth_mm,
    opening_mm2: length_mm * width_mm,
    gap_mm: width_mm,
    joint_mm2: 0,
    dims: [length_mm, width_mm, depth_mm],
  }),
  dent: ({ diameter_mm, depth_mm }) => ({
    solids: [{ shape: "sphericalCap", diameter: diameter_mm, height: depth_mm }],
    depth_mm,
    opening_mm2: (Math.PI / 4) * diameter_mm ** 2,
    gap_mm: diameter_mm,
    joint_mm2: 0,
    dims: [diameter_mm, depth_mm],
  }),
  "burn-through": ({ length_mm, width_mm, depth_mm }) => area(length_mm, width_mm, depth_mm),
  eroded: ({ length_mm, width_mm, depth_mm }) => area(length_mm, width_mm, depth_mm),
  "worn-thin": ({ length_mm, width_mm, remaining_mm, target_mm }) => ({
    ...area(length_mm, width_mm, Math.max(0, target_mm - remaining_mm)),
    depth_mm: 0,
    gap_mm: CLOSED_GAP_MM,
    joint_mm2: backed(length_mm, width_mm),
  }),
  stain: ({ length_mm, width_mm }) => area(length_mm, width_mm, 0),
  "loose-joint": ({ depth_mm, play_mm, ...member }) => {
    const { width, height } = sectionOf(member);
    return {
      solids: [],
      depth_mm: 0,
      opening_mm2: 0,
      gap_mm: Math.max(CLOSED_GAP_MM, play_mm / 2),
      joint_mm2: 4 * width * depth_mm,
      dims: [width, height, depth_mm],
    };
  },
};

/** What is missing from a damage with its measurements. */
export function lossOf(damage: Damage): Loss {
  const { dims, ...shape } = shapeOf(damage);
  return {
    film_mm: CLOSED_GAP_MM,
    ...shape,
    volume_cm3: shape.solids.length > 0 ? volume({ solids: [...shape.solids] }).volume_cm3 : 0,
    size: `${dims.map((mm) => plain(mm, 2)).join(" × ")} mm`,
  };
}

function shapeOf<K extends DamageKind>(damage: DamageOf<K>): Shape {
  return (SHAPE[damage.kind as K] as (d: DamageOf<K>) => Shape)(damage);
}
