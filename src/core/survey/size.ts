import type { DamageKind } from "../catalogue";
import { plain } from "../units";
import type { Damage, DamageOf } from "./measures.data";
import { sectionOf } from "./place";

/** What is said of a damage's size, mm, in the order in which it is measured. */
type Dim = number | string | undefined;
const DIMS: { readonly [K in DamageKind]: (damage: DamageOf<K>) => readonly Dim[] } = {
  chip: ({ length_mm, across_mm, depth_mm, thickness_mm }) => [length_mm, across_mm, depth_mm, thickness_mm],
  corner: ({ a_mm, b_mm, c_mm }) => [a_mm, b_mm, c_mm],
  tip: ({ base_mm, length_mm }) => [base_mm, length_mm],
  hole: ({ diameter_mm, across_mm, depth_mm }) => [...roundDims(diameter_mm, across_mm), depth_mm],
  shards: ({ break_length_mm, thickness_mm }) => [break_length_mm, thickness_mm],
  "break-along": ({ slope_mm, ...member }) => [slope_mm, ...sectionDims(member)],
  "break-across": sectionDims,
  crack: ({ length_mm, width_mm, depth_mm }) => [length_mm, width_mm, depth_mm],
  tear: ({ length_mm, leg_mm, thickness_mm }) => [length_mm, leg_mm, thickness_mm],
  "veneer-lifted": ({ length_mm, width_mm }) => [length_mm, width_mm],
  "veneer-lost": ({ length_mm, width_mm, thickness_mm }) => [length_mm, width_mm, thickness_mm],
  scratch: ({ length_mm, width_mm, depth_mm }) => [length_mm, width_mm, depth_mm],
  dent: ({ diameter_mm, across_mm, depth_mm }) => [...roundDims(diameter_mm, across_mm), depth_mm],
  "burn-through": ({ length_mm, width_mm, depth_mm }) => [length_mm, width_mm, depth_mm || undefined],
  eroded: ({ length_mm, width_mm, depth_mm }) => [length_mm, width_mm, depth_mm || undefined],
  "worn-thin": ({ length_mm, width_mm, remaining_mm, target_mm }) => [
    length_mm,
    width_mm,
    Math.max(0, target_mm - remaining_mm) || undefined,
  ],
  stain: ({ length_mm, width_mm }) => [length_mm, width_mm],
  "loose-joint": ({ depth_mm, ...member }) => [...sectionDims(member), depth_mm],
};

/** A round member is said by its diameter, once. */
function sectionDims(member: Parameters<typeof sectionOf>[0]): Dim[] {
  const { width, height, round } = sectionOf(member);
  return round ? roundDims(width) : [width, height];
}

/** A diameter, or the two axes of what is oval. */
const roundDims = (diameter_mm: number, across_mm?: number): Dim[] =>
  across_mm === undefined ? [`Ø ${plain(diameter_mm, 2)}`] : [diameter_mm, across_mm];

/** The size of a damage in words, as it was measured; what it comes to are its places'. @example sizeOf(chip) // => "34 × 11 × 6 mm" */
export function sizeOf(damage: Damage): string {
  const { count = 1 } = damage as { readonly count?: number };
  const dims = dimsOf(damage).flatMap((dim) => (dim === undefined ? [] : [typeof dim === "number" ? plain(dim, 2) : dim]));
  return `${count > 1 ? `${count} alike, each ` : ""}${dims.join(" × ")} mm`;
}

function dimsOf<K extends DamageKind>(damage: DamageOf<K>): readonly Dim[] {
  return (DIMS[damage.kind as K] as (d: DamageOf<K>) => readonly Dim[])(damage);
}
