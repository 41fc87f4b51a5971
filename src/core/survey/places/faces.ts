import type { ClassName } from "../../catalogue";
import type { DamageOf } from "../measures.data";
import { CLOSED_FILM_MM, gapOf, meanGap, sectionOf } from "../place";
import { ellipsePerimeter } from "../solids";
import type { Solid } from "../volume.schema";
import type { TakenPlace } from "../wayRow";
import { hollow } from "./hollow";

/** A gap under this stays a glue line and is not filled by itself, mm; trade practice. */
export const GLUE_LINE_MM = 0.5;
/** How deep the seam of an open joint is cleared and filled, in its mean widths; trade practice. */
const SEAM_DEPTHS = 2;
/** Play that a glue line takes up, mm both sides together; FPL Wood Handbook 2021, ch. 10; trade practice. */
export const GLUE_PLAY_MM = 0.2;

/** The broken section of a member, its slope counted in its length, round ones as ellipses; and the seam that stays open around it. */
export function memberFaces(d: DamageOf<"break-along"> | DamageOf<"break-across">, slope_mm = 0): TakenPlace[] {
  const { width, height, round, at } = sectionOf(d);
  const run = slope_mm > 0 ? Math.hypot(slope_mm, height) : height;
  const gap = gapOf(d);
  const film = meanGap(gap);
  const faces: TakenPlace = {
    name: "joint",
    kind: "faces",
    label: "Faces of the break",
    area_mm2: round ? (Math.PI / 4) * width * run : width * run,
    film_mm: film,
    ...(gap ? { gap_mm: gap } : {}),
    section: at,
    ...(slope_mm > 0 ? { slope_mm } : {}),
    takes: ["adhesive"],
  };
  const outline = round ? ellipsePerimeter(width, run) : 2 * (width + run);
  return gap && gap[1] > GLUE_LINE_MM ? [faces, memberSeam(outline, film)] : [faces];
}

/** What stays open along the outline of a joint. */
function memberSeam(length_mm: number, film: number): TakenPlace {
  const seam: Solid = { shape: "uGroove", length: length_mm, width: film, depth: SEAM_DEPTHS * film };
  return hollow({
    name: "hollows",
    label: "Hollows left along the joint",
    solids: [seam],
    depth_mm: SEAM_DEPTHS * film,
    opening_mm2: length_mm * film,
    opening_mm: film,
    length_mm,
    width_mm: film,
  });
}

/** All the joins of a broken vessel as one long break. */
export function shardJoins(d: DamageOf<"shards">): TakenPlace {
  const gap = gapOf(d);
  return {
    name: "joins",
    kind: "faces",
    label: `Joins of ${d.shards} shards`,
    area_mm2: d.break_length_mm * d.thickness_mm,
    film_mm: meanGap(gap),
    ...(gap ? { gap_mm: gap } : {}),
    joins: d.shards - 1,
    length_mm: d.break_length_mm,
    section: { width_mm: d.thickness_mm * 4, height_mm: d.thickness_mm },
    takes: ["adhesive"],
  };
}

/** A crack that closes. */
export const crackFaces = ({ length_mm, depth_mm }: DamageOf<"crack">, over: Partial<TakenPlace> = {}): TakenPlace => ({
  name: "joint",
  kind: "faces",
  label: "Faces of the crack",
  area_mm2: length_mm * depth_mm,
  film_mm: CLOSED_FILM_MM,
  length_mm,
  depth_mm,
  takes: ["adhesive"],
  ...over,
});

/** As narrow as this, paste stays on top and what is thin is drawn in, mm; trade practice. */
export const HAIRLINE_MM = 0.3;
/** What runs in so far, the thinnest first. */
const THIN: readonly ClassName[] = ["cyanoacrylate", "penetrating-epoxy", "acrylic-resin-solvent", "light-cure-acrylic", "epoxy-slow"];

/** Both faces of a hairline that stays open: it is filled by what is drawn in, as wide as it is; one that ends in the wall narrows to its foot. */
export const hairlineFaces = (d: DamageOf<"crack">): TakenPlace =>
  crackFaces(d, {
    name: "hairline",
    label: "The hairline",
    film_mm: d.through ? d.width_mm : d.width_mm / 2,
    gap_mm: [d.through ? d.width_mm : 0, d.width_mm],
    only: { adhesive: THIN },
    ...(d.through ? { open_behind: true } : {}),
  });

/** Both sides of a slip that is let in. */
export const slipFaces = (d: DamageOf<"crack">): TakenPlace =>
  crackFaces(d, { label: "Both sides of the slip", area_mm2: 2 * d.length_mm * d.depth_mm });

/** A joint that came loose: the cheeks of a tenon hold, its end grain does not; a dowel all round; a mitre by its face. */
export function looseFaces(d: DamageOf<"loose-joint">, film_mm: number, gap?: readonly [number, number]): TakenPlace {
  const { width, round, at } = sectionOf(d);
  return {
    name: "joint",
    kind: "faces",
    label: d.joint === "mitre" ? "Faces of the mitre" : `${d.joint === "dowel" ? "Dowel" : "Tenon"} and socket`,
    area_mm2: d.joint === "mitre" ? width * d.depth_mm : round ? Math.PI * width * d.depth_mm : 2 * width * d.depth_mm,
    film_mm,
    ...(gap ? { gap_mm: gap } : {}),
    section: at,
    depth_mm: d.depth_mm,
    takes: ["adhesive"],
  };
}
