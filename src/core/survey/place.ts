import { plain } from "../units";
import { fillDepth, filledShare } from "./solids";
import { volume } from "./volume";
import type { Solid } from "./volume.schema";

/** What hands meet: faces that are joined, a void that is filled, a backing, a core let in, a surface, a film. */
export const PLACE_KINDS = ["faces", "void", "backing", "core", "surface", "film"] as const;
export type PlaceKind = (typeof PLACE_KINDS)[number];

/** A section at a break: a rectangle, or round. mm. */
type SectionAt = { readonly width_mm: number; readonly height_mm: number } | { readonly diameter_mm: number };

/** A place by its own measures. No figure of one place is ever held against another's material. */
export interface PlaceDraft {
  /** Short name within its damage, part of its id: "joins", "sliver-2". */
  readonly name: string;
  readonly kind: PlaceKind;
  /** "Joins of seven shards" */
  readonly label: string;
  /** One face of a joint, a backing, or a surface, mm². */
  readonly area_mm2?: number;
  /** Thickness of the glue between faces, mm: the mean of the gap, or a closed film. */
  readonly film_mm?: number;
  /** How far faces stay apart, closest and widest, mm; absent = they meet. */
  readonly gap_mm?: readonly [from: number, to: number];
  readonly depth_mm?: number;
  /** The shortest way out of what is filled, mm: so thick it is laid and so thick it cures; absent = its depth. */
  readonly build_mm?: number;
  /** The opening at the surface: its area, and its narrow side. */
  readonly opening_mm2?: number;
  readonly opening_mm?: number;
  /** What of it is seen when it is filled, where that is more than its opening, mm². */
  readonly seen_mm2?: number;
  readonly solids?: readonly Solid[];
  /** What it holds where that is known better than by its solids, cm³. */
  readonly known_cm3?: number;
  readonly open_behind?: boolean;
  readonly around_core?: boolean;
  /** Built outwards from its core: depth is the way from there to the face. */
  readonly radial?: boolean;
  /** Sheltered from weather, wear and sight: behind, or inside. */
  readonly hidden?: boolean;
  /** Joins made one after the other. */
  readonly joins?: number;
  readonly section?: SectionAt;
  readonly slope_mm?: number;
  /** Of a tip: how thick it still is at its end, mm. */
  readonly end_mm?: number;
  readonly length_mm?: number;
  readonly width_mm?: number;
  /** How many places are like this one: its measures are for one. */
  readonly alike?: number;
  /** How many of a kind lie here: cleats, anchors. */
  readonly count?: number;
}

export interface Place extends PlaceDraft {
  /** `d1/sliver-2` */
  readonly id: string;
  readonly damage: string;
}

/** A joint that closes in the dry fit is still this wide, mm; a film of glue between well-fitted faces (FPL Wood Handbook 2021, ch. 10). */
export const CLOSED_FILM_MM = 0.1;

/** Volume of a place in cm³; 0 where nothing is filled. */
export function volumeOf({ solids = [], known_cm3 }: Pick<PlaceDraft, "solids" | "known_cm3">): number {
  if (known_cm3 !== undefined) return known_cm3;
  return solids.length > 0 ? volume({ solids: [...solids] }).volume_cm3 : 0;
}

/** Volume in cm³ between two depths of a place, each a share 0 to 1 of its depth from where filling begins. */
export function volumeBetween(
  { solids = [], radial, known_cm3 }: Pick<PlaceDraft, "solids" | "radial" | "known_cm3">,
  from: number,
  to: number,
): number {
  if (known_cm3 !== undefined)
    return (volumeBetween({ solids, ...(radial ? { radial } : {}) }, from, to) * known_cm3) / volumeOf({ solids });
  if (radial) return volumeOf({ solids }) * (to ** 2 - from ** 2);
  return solids.reduce((sum, solid) => sum + volumeOf({ solids: [solid] }) * (filledShare(solid, to) - filledShare(solid, from)), 0);
}

/** The depth of a place: that of its deepest solid. */
function depthOf({ solids = [] }: Pick<PlaceDraft, "solids">): number {
  return Math.max(0, ...solids.map(fillDepth));
}

/** How thick a place is filled and cures, mm: the shortest way out of it. */
export const buildOf = (place: Pick<PlaceDraft, "solids" | "depth_mm" | "build_mm">): number =>
  Math.min(place.build_mm ?? Infinity, place.depth_mm ?? depthOf(place));

/** A place's measures in words: `22 × 4 × 3 mm`, `19.2 cm²`. */
export function placeSize(place: PlaceDraft): string {
  const { kind, area_mm2, gap_mm, length_mm, width_mm, depth_mm, count } = place;
  const parts: string[] = [];
  if (count !== undefined && count > 1) parts.push(`${count} pieces`);
  if (kind === "void") {
    if (length_mm && width_mm && depth_mm) parts.push(`${plain(length_mm)} × ${plain(width_mm)} × ${plain(depth_mm)} mm`);
    parts.push(`${plain(volumeOf(place), volumeOf(place) < 10 ? 2 : 1)} cm³`);
  } else if (length_mm && width_mm) parts.push(`${plain(length_mm)} × ${plain(width_mm)} mm`);
  if (kind === "faces" && area_mm2) parts.push(`faces ${plain(area_mm2 / 100)} cm²`);
  if (gap_mm && gap_mm[1] > 0) parts.push(`gap ${plain(gap_mm[0], 2)} to ${plain(gap_mm[1], 2)} mm`);
  if (place.open_behind) parts.push("open behind");
  return [alikeWords(place, parts.length > 0), parts.join(", ")].filter(Boolean).join(" ");
}

const alikeWords = ({ alike }: Pick<PlaceDraft, "alike">, each: boolean): string =>
  alike === undefined ? "" : `${alike} alike${each ? ", each" : ""}`;

/** Height of the section at a joint, mm. */
export const sectionHeight = ({ section }: Pick<PlaceDraft, "section">): number | undefined =>
  section && ("diameter_mm" in section ? section.diameter_mm : section.height_mm);

/** Width, height and diameter of a member beside its break, as surveyed. */
export function sectionOf(damage: { readonly width_mm?: number; readonly height_mm?: number; readonly diameter_mm?: number }) {
  const { diameter_mm, width_mm = 0, height_mm = 0 } = damage;
  return diameter_mm === undefined
    ? { width: width_mm, height: height_mm, round: false, at: { width_mm, height_mm } as SectionAt }
    : { width: diameter_mm, height: diameter_mm, round: true, at: { diameter_mm } as SectionAt };
}

/** Closest and widest gap of a joint; undefined where its faces meet. */
export function gapOf({
  gap_mm = 0,
  gap_from_mm,
}: {
  readonly gap_mm?: number;
  readonly gap_from_mm?: number;
}): readonly [number, number] | undefined {
  return gap_mm > CLOSED_FILM_MM ? [Math.min(gap_from_mm ?? 0, gap_mm), gap_mm] : undefined;
}

/** Film of glue in a gap, mm: its mean, which counts in a volume; the widest counts in a bond. Closed faces keep a film between them. */
export const meanGap = (gap: readonly [number, number] | undefined): number => (gap ? (gap[0] + gap[1]) / 2 : CLOSED_FILM_MM);
