import { type DamageKind, patchMargin } from "../catalogue";
import type { DamageOf } from "./measures.data";
import { CLOSED_FILM_MM, gapOf, sectionOf } from "./place";
import { cornerDepth } from "./solids";
import type { Solid } from "./volume.schema";
import type { TakenPlace, WayFacts, WayRow } from "./wayRow";

export type Rows = { readonly [K in DamageKind]: readonly WayRow<K>[] };

export const NO_HANDS = { hands_min: [0, 0], wait_min: 0 } as const;
export const KEPT = "only what its chain asks to be kept.";

export const LEAVE = {
  way: "leave",
  label: "Leave it",
  how: "Record it, guard it, look again in a year.",
  lost: "nothing",
  risk: "It may go on; say to the owner how it is handled.",
  hands_min: [5, 15],
  wait_min: 0,
  not_first: () => "nothing would be mended",
} as const;
export const REPLACE = {
  way: "replace",
  label: "Replace the part",
  how: "Make a new part off the twin or a drawing, fit it, keep the old one bagged and labelled.",
  lost: "the original part",
  risk: "Strong and quick to judge, but it is no longer the original; colour has to be built up on all of it.",
  hands_min: [240, 540],
  wait_min: 2880,
  not_first: () => "the original part would be gone",
} as const;
export const FILL = {
  way: "fill",
  label: "Fill it",
  how: "Clean, fill, level, colour.",
  lost: "nothing that is there",
  risk: KEPT,
  ...NO_HANDS,
} as const;
export const BOND = {
  way: "bond",
  label: "Glue it",
  how: "Clean, dry run, glue, clamp.",
  lost: "nothing",
  risk: KEPT,
  ...NO_HANDS,
} as const;

export type Void = Pick<TakenPlace, "name" | "label" | "solids" | "depth_mm" | "opening_mm2" | "opening_mm"> & Partial<TakenPlace>;
export const hollow = (place: Void): TakenPlace => ({ kind: "void", takes: ["filler"], ...place });
/** A gap under this stays a glue line and is not filled by itself, mm; trade practice. */
export const GLUE_LINE_MM = 0.5;
/** How deep the seam of an open joint is cleared and filled, in its mean widths; trade practice. */
export const SEAM_DEPTHS = 2;

/** The broken section of a member, its slope counted in its length; round ones as ellipses. */
export function memberFaces(d: DamageOf<"break-along"> | DamageOf<"break-across">, slope_mm = 0): TakenPlace[] {
  const { width, height, round, at } = sectionOf(d);
  const run = slope_mm > 0 ? Math.hypot(slope_mm, height) : height;
  const gap = gapOf(d);
  const film = gap ? (gap[0] + gap[1]) / 2 : CLOSED_FILM_MM;
  const area = round ? (Math.PI / 4) * width * run : width * run;
  const outline = round ? ellipsePerimeter(width, run) : 2 * (width + run);
  const faces: TakenPlace = {
    name: "joint",
    kind: "faces",
    label: "Faces of the break",
    area_mm2: area,
    film_mm: film,
    ...(gap ? { gap_mm: gap } : {}),
    section: at,
    ...(slope_mm > 0 ? { slope_mm } : {}),
    takes: ["adhesive"],
  };
  if (!gap || gap[1] <= GLUE_LINE_MM) return [faces];
  const seam: Solid = { shape: "uGroove", length: outline, width: film, depth: SEAM_DEPTHS * film };
  return [
    faces,
    hollow({
      name: "hollows",
      label: "Hollows left along the joint",
      solids: [seam],
      depth_mm: SEAM_DEPTHS * film,
      opening_mm2: outline * film,
      opening_mm: film,
      length_mm: outline,
      width_mm: film,
    }),
  ];
}

/** Ramanujan's first approximation of the perimeter of an ellipse with these diameters. */
function ellipsePerimeter(a: number, b: number): number {
  return (Math.PI / 2) * (3 * (a + b) - Math.sqrt((3 * a + b) * (a + 3 * b)));
}

export const core = (name: string, label: string, over: Partial<TakenPlace> = {}): TakenPlace => ({
  name,
  kind: "core",
  label,
  hidden: true,
  takes: ["brace"],
  ...over,
});

export const CHIP_SOLID = {
  shell: (length: number, depth: number, thickness: number): Solid => ({ shape: "edgeChip", length, depth, thickness }),
  wedge: (length: number, depth: number, thickness: number): Solid => ({ shape: "vGroove", length: thickness, width: length, depth }),
  straight: (length: number, depth: number, thickness: number): Solid => ({ shape: "box", length, width: thickness, depth }),
} as const;

export const chipVoid = ({ length_mm, depth_mm, thickness_mm, shape = "shell" }: DamageOf<"chip">): TakenPlace =>
  hollow({
    name: "loss",
    label: "The chip",
    solids: [CHIP_SOLID[shape](length_mm, depth_mm, thickness_mm)],
    depth_mm,
    opening_mm2: length_mm * thickness_mm,
    opening_mm: depth_mm,
    length_mm,
    width_mm: thickness_mm,
  });

export const cornerVoid = ({ a_mm, b_mm, c_mm }: DamageOf<"corner">, over: Partial<TakenPlace> = {}): TakenPlace => {
  const depth_mm = cornerDepth(a_mm, b_mm, c_mm);
  return hollow({
    name: "loss",
    label: "The lost corner",
    solids: [{ shape: "corner", a: a_mm, b: b_mm, c: c_mm }],
    depth_mm,
    opening_mm2: (a_mm * b_mm + b_mm * c_mm + a_mm * c_mm) / 2,
    opening_mm: depth_mm,
    ...over,
  });
};

export const tipSolid = ({ base_mm, length_mm, shape = "pointed" }: DamageOf<"tip">): Solid =>
  shape === "pointed"
    ? { shape: "cone", diameter: base_mm, height: length_mm }
    : { shape: "frustum", diameter1: base_mm, diameter2: base_mm / 2, height: length_mm };

export const sheetOf = (
  name: string,
  label: string,
  length_mm: number,
  width_mm: number,
  depth_mm: number,
  over: Partial<TakenPlace> = {},
): TakenPlace =>
  hollow({
    name,
    label,
    solids: depth_mm > 0 ? [{ shape: "sheet", area_mm2: length_mm * width_mm, depth: depth_mm }] : [],
    depth_mm,
    opening_mm2: length_mm * width_mm,
    opening_mm: depth_mm,
    length_mm,
    width_mm,
    ...over,
  });

export const patch = (name: string, label: string, length: number, width: number): TakenPlace => {
  const margin = patchMargin(Math.max(length, width));
  return {
    name,
    kind: "backing",
    label,
    area_mm2: (length + 2 * margin) * (width + 2 * margin),
    film_mm: CLOSED_FILM_MM,
    length_mm: length + 2 * margin,
    width_mm: width + 2 * margin,
    hidden: true,
    takes: ["adhesive", "brace"],
  };
};

export const grooveOf = (
  { length_mm, width_mm, depth_mm }: { length_mm: number; width_mm: number; depth_mm: number },
  name: string,
  label: string,
  over: Partial<TakenPlace> = {},
): TakenPlace =>
  hollow({
    name,
    label,
    solids: [{ shape: "vGroove", length: length_mm, width: width_mm, depth: depth_mm }],
    depth_mm,
    opening_mm2: length_mm * width_mm,
    opening_mm: width_mm,
    length_mm,
    width_mm,
    ...over,
  });

export const crackFaces = ({ length_mm, depth_mm }: DamageOf<"crack">): TakenPlace => ({
  name: "joint",
  kind: "faces",
  label: "Faces of the crack",
  area_mm2: length_mm * depth_mm,
  film_mm: CLOSED_FILM_MM,
  length_mm,
  depth_mm,
  takes: ["adhesive"],
});
export const crackCleats = (d: DamageOf<"crack">, f: WayFacts): TakenPlace[] =>
  f.on.family === "wood" || f.on.family === "board"
    ? [core("cleats", "Cleats behind the crack", { length_mm: d.length_mm, depth_mm: d.depth_mm, takes: ["brace", "adhesive"] })]
    : [];

export const woody = ({ on }: WayFacts) => on.family === "wood" || on.family === "board";
export const plaster = ({ on }: WayFacts) => on.substrate === "gypsum" || on.substrate === "composition";
export const unlessNeeded = (_: unknown, { brace }: WayFacts) =>
  brace === "yes" ? "the glue line alone does not carry what is asked" : undefined;
export const onlyNeeded = (_: unknown, { brace }: WayFacts) =>
  brace === "yes" ? undefined : "the glue line carries it: original wood stays";

/** Swollen core under a sheet is taken back before anything new is laid. */
export const bed = ({ length_mm, width_mm, thickness_mm }: DamageOf<"veneer-lifted"> | DamageOf<"veneer-lost">): TakenPlace[] => [
  {
    name: "bed",
    kind: "faces",
    label: "Bed of the new veneer",
    area_mm2: length_mm * width_mm,
    film_mm: CLOSED_FILM_MM,
    length_mm,
    width_mm,
    takes: ["adhesive"],
  },
  sheetOf("sheet", "The new veneer", length_mm, width_mm, thickness_mm, { only: { filler: ["veneer-sheet"] }, as: "veneer-lost" }),
];

export const RAISE_FILMS = ["shellac", "lacquer", "polyester-film", "paint", "gilding"];
export const filmNote = ({ finish }: WayFacts) => `steam and heat cloud ${finish.label.toLowerCase()} for good`;
export const filmDrop = { only: { filler: ["spray-film", "polyester-drop"] } } as const;
export const FILM_KINDS = ["lacquer", "polyester-film", "shellac"];
export const clearFilm = ({ finish }: WayFacts) => FILM_KINDS.includes(finish.finish);

export const tenon = (d: DamageOf<"loose-joint">): { area: number; at: ReturnType<typeof sectionOf> } => {
  const at = sectionOf(d);
  // cheeks of a tenon hold, its end grain does not; a dowel all round; a mitre by its face
  const area = d.joint === "mitre" ? at.width * d.depth_mm : at.round ? Math.PI * at.width * d.depth_mm : 2 * at.width * d.depth_mm;
  return { area, at };
};
export const looseFaces = (d: DamageOf<"loose-joint">, film_mm: number, gap?: readonly [number, number]): TakenPlace => {
  const { area, at } = tenon(d);
  return {
    name: "joint",
    kind: "faces",
    label: d.joint === "mitre" ? "Faces of the mitre" : `${d.joint === "dowel" ? "Dowel" : "Tenon"} and socket`,
    area_mm2: area,
    film_mm,
    ...(gap ? { gap_mm: gap } : {}),
    section: at.at,
    depth_mm: d.depth_mm,
    takes: ["adhesive"],
  };
};
/** Play that a glue line takes up, and that a slip does; mm both sides together. FPL Wood Handbook 2021, ch. 10; trade practice. */
export const GLUE_PLAY_MM = 0.2;
