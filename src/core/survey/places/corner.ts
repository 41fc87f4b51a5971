import type { DamageOf } from "../measures.data";
import { CLOSED_FILM_MM } from "../place";
import { cornerDepth } from "../solids";
import type { TakenPlace } from "../wayRow";
import { core } from "./core";
import { hollow } from "./hollow";

type Corner = DamageOf<"corner">;

/** A lost corner, built up from its broken face. */
export const corner = ({ a_mm, b_mm, c_mm }: Corner, over: Partial<TakenPlace> = {}): TakenPlace => {
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

/** Area of the broken face of a corner, mm²: 3V over its height. */
const brokenFace = ({ a_mm, b_mm, c_mm }: Corner): number => (a_mm * b_mm * c_mm) / 2 / cornerDepth(a_mm, b_mm, c_mm);

export const cornerBed = (d: Corner): TakenPlace => ({
  name: "bed",
  kind: "faces",
  label: "Bed of the block",
  area_mm2: brokenFace(d),
  film_mm: CLOSED_FILM_MM,
  takes: ["adhesive"],
});

/** Screws in the broken face, spread over it. */
export function cornerAnchors(d: Corner): TakenPlace {
  const [least = 0, middle = 0] = [d.a_mm, d.b_mm, d.c_mm].sort((x, y) => x - y);
  return core("anchors", "Anchors in the broken face", {
    only: { brace: ["anchor-screw"] },
    depth_mm: cornerDepth(d.a_mm, d.b_mm, d.c_mm),
    area_mm2: brokenFace(d),
    section: { width_mm: middle, height_mm: least },
  });
}
