import type { DamageOf } from "../measures.data";
import type { TakenPlace, WayFacts } from "../wayRow";
import { patch } from "./patch";
import { sheet } from "./sheet";

/** Less than this is not built up, mm. */
const LEAST_MM = 0.1;

/** What a thin place gets: a backing of fabric where it is skin, paper or cracked, and a rigid build on everything that is neither. */
export function overlay(d: DamageOf<"worn-thin">, { on: { family } }: WayFacts): TakenPlace[] {
  const missing = Math.max(LEAST_MM, d.target_mm - d.remaining_mm);
  const build = sheet("overlay", "The overlay", d.length_mm, d.width_mm, missing, { as: "chip" });
  const soft = family === "skin" || family === "paper";
  if (soft || d.cracked) return [thinBacking(d), ...(soft ? [] : [build])];
  return [family === "metal" || family === "polymer" || family === "bone" ? { ...build, only: { filler: ["mma-acrylic"] } } : build];
}

export const thinBacking = (d: DamageOf<"worn-thin">): TakenPlace => patch("patch", "Backing of the thin place", d.length_mm, d.width_mm);
