import type { DamageOf } from "../measures.data";
import { CLOSED_FILM_MM } from "../place";
import { asRound } from "../solids";
import type { Solid } from "../volume.schema";
import type { TakenPlace } from "../wayRow";
import { hollow } from "./hollow";

/** The solid of a chip by its section. */
const CHIP_SOLID = {
  shell: (length: number, depth: number, thickness: number): Solid => ({ shape: "edgeChip", length, depth, thickness }),
  wedge: (length: number, depth: number, thickness: number): Solid => ({ shape: "vGroove", length: thickness, width: length, depth }),
  straight: (length: number, depth: number, thickness: number): Solid => ({ shape: "box", length, width: thickness, depth }),
} as const;

/** What broke off an edge, open along its wall. */
export const chip = (
  { length_mm, depth_mm, thickness_mm, shape = "shell", across_mm }: DamageOf<"chip">,
  over: Partial<TakenPlace> = {},
): TakenPlace =>
  hollow({
    name: "loss",
    label: "The chip",
    ...(across_mm === undefined ? edge(CHIP_SOLID[shape], { length_mm, depth_mm, thickness_mm }) : bowl(length_mm, across_mm, depth_mm)),
    depth_mm,
    length_mm,
    ...over,
  });

/** Broken off an edge: open along the wall. */
const edge = (
  solid: (length: number, depth: number, thickness: number) => Solid,
  { length_mm, depth_mm, thickness_mm }: Pick<DamageOf<"chip">, "length_mm" | "depth_mm" | "thickness_mm">,
) => ({
  solids: [solid(length_mm, depth_mm, thickness_mm)],
  opening_mm2: length_mm * thickness_mm,
  opening_mm: depth_mm,
  // its edge, and both faces of the wall
  seen_mm2: length_mm * thickness_mm + (Math.PI / 2) * length_mm * depth_mm,
  width_mm: thickness_mm,
  // both faces of the wall are open: it hardens from there, however high it is
  build_mm: Math.min(depth_mm, thickness_mm),
});

/** Broken out of a face: an oval bowl. */
const bowl = (length_mm: number, across_mm: number, depth_mm: number) => ({
  solids: [{ shape: "sphericalCap", diameter: asRound(length_mm, across_mm), height: depth_mm } as Solid],
  opening_mm2: (Math.PI / 4) * length_mm * across_mm,
  opening_mm: Math.min(length_mm, across_mm),
  width_mm: across_mm,
});

/** The cut bed of a piece that is let in: its floor, and its back. */
export const chipBed = ({ length_mm, depth_mm, thickness_mm }: DamageOf<"chip">): TakenPlace => ({
  name: "bed",
  kind: "faces",
  label: "Bed of the piece",
  area_mm2: length_mm * (thickness_mm + depth_mm),
  film_mm: CLOSED_FILM_MM,
  takes: ["adhesive"],
});
