import type { Leaf, Range } from "../catalogue";
import { plain } from "../units";
import { type Context, type WorkPlace, wait } from "./context";
import type { Drafts } from "./draft";

/** Overlaps and what tears, as a share of the face; trade practice of gilders. */
const WASTE = 0.3;
/** Cutting on the cushion, laying and pressing one leaf, minutes; trade practice of gilders. */
const PER_LEAF_MIN: Range = [1.5, 4];

/** Whole leaves for a face, with overlaps and what tears. @example leavesFor({ side_mm: 80, … }, 10_000) // => 3 */
export const leavesFor = ({ side_mm }: Leaf, area_mm2: number): number => Math.max(1, Math.ceil((area_mm2 * (1 + WASTE)) / side_mm ** 2));

/** What the leaf of a place costs, €. */
export function leafCost(leaf: Leaf, place: Pick<WorkPlace, "area_mm2"> | undefined): Range {
  const count = leavesFor(leaf, place?.area_mm2 ?? 0);
  return [count * leaf.price_eur[0], count * leaf.price_eur[1]];
}

/** The operation that lays the leaf on a coat of size. */
export const leafOf = (size: string): string => `${size}-laid`;

/** Leaf goes on when the size has come to tack, and not after. */
export function layLeaf(c: Context, surface: WorkPlace, size: string, leaf: Leaf, out: Drafts): void {
  const count = leavesFor(leaf, surface.area_mm2 ?? 0);
  out.add({
    damage: c.f.id,
    places: [surface],
    of: "damage",
    station: "colour",
    name: leafOf(size),
    kind: "colour",
    text: `Lay ${count === 1 ? "one leaf" : `${count} leaves`} of ${leaf.side_mm} × ${leaf.side_mm} mm, cut on the cushion with some millimetres of overlap; press with cotton, brush off what is loose`,
    why: `Size is ready when a knuckle squeaks on it: too wet drowns the leaf, too dry drops it. Overlaps and what tears are counted with ${plain(WASTE * 100)} %.`,
    done_when: "no size shows, and cotton picks up no more leaf",
    hands_min: [3 + count * PER_LEAF_MIN[0], 8 + count * PER_LEAF_MIN[1]],
    cautions: [],
    needs: [wait(size, leaf.tack_min, "the size has come to tack")],
  });
}
