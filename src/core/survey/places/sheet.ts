import type { DamageOf } from "../measures.data";
import { CLOSED_FILM_MM } from "../place";
import type { TakenPlace } from "../wayRow";
import { hollow } from "./hollow";

/** A flat place of even depth. */
export const sheet = (
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

type Flat = Pick<DamageOf<"veneer-lost">, "length_mm" | "width_mm">;

/** A flat bed that something is glued on. */
export const flatBed = (label: string, { length_mm, width_mm }: Flat): TakenPlace => ({
  name: "bed",
  kind: "faces",
  label,
  area_mm2: length_mm * width_mm,
  film_mm: CLOSED_FILM_MM,
  length_mm,
  width_mm,
  takes: ["adhesive"],
});

/** New veneer on its bed. */
export const newVeneer = (d: Flat & Pick<DamageOf<"veneer-lost">, "thickness_mm">): TakenPlace[] => [
  flatBed("Bed of the new veneer", d),
  sheet("sheet", "The new veneer", d.length_mm, d.width_mm, d.thickness_mm, { only: { filler: ["veneer-sheet"] }, as: "veneer-lost" }),
];

/** A face that is only coloured, with the band in which its colour runs out, mm. */
export const colouredFace = (label: string, { length_mm, width_mm }: Flat, takes: TakenPlace["takes"], band_mm: number): TakenPlace => ({
  name: "surface",
  kind: "surface",
  label,
  area_mm2: (length_mm + 2 * band_mm) * (width_mm + 2 * band_mm),
  takes,
});
