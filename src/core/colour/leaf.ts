import type { Leaf, Range } from "../catalogue";

/** Overlaps and what tears, as a share of the face; trade practice of gilders. */
export const LEAF_WASTE = 0.3;
/** Cutting on the cushion, laying and pressing one leaf, minutes; trade practice of gilders. */
export const PER_LEAF_MIN: Range = [1.5, 4];

/** Whole leaves for a face, with overlaps and what tears. @example leavesFor({ side_mm: 80, … }, 10_000) // => 3 */
export const leavesFor = ({ side_mm }: Leaf, area_mm2: number): number =>
  Math.max(1, Math.ceil((area_mm2 * (1 + LEAF_WASTE)) / side_mm ** 2));

/** What the leaf of a place costs, €. */
export function leafCost(leaf: Leaf, area_mm2: number): Range {
  const count = leavesFor(leaf, area_mm2);
  return [count * leaf.price_eur[0], count * leaf.price_eur[1]];
}
