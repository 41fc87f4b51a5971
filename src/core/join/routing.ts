import { plain } from "../units";

/** A router's way through a slot: how far the bit stands out, pass by pass. Lengths mm. */
export interface RouterPasses {
  readonly projection_mm: number;
  readonly passes: ReadonlyArray<{ readonly depth_mm: number; readonly riser_mm: number }>;
}

/** Why a bit can't cut a slot; undefined = it can. A narrower one cuts it in two rows or more. */
export function bitError(bit_mm: number, width_mm: number): string | undefined {
  return bit_mm > width_mm + 1e-9 ? `Wider than the slot of ${plain(width_mm, 1)} mm: take a bit of that or less.` : undefined;
}

/** A pass is no deeper than the bit is wide, and never over 6 mm; trade practice. */
const MOST_PASS_MM = 6;

/**
 * Router projection = slot depth + jig thickness; the first passes ride on risers that are taken off one by one.
 * @example routerPasses(15, 12, 6).passes.map(({ depth_mm }) => depth_mm) // => [5, 10, 15]
 */
export function routerPasses(slot_mm: number, jig_mm: number, bit_mm: number): RouterPasses {
  const count = Math.max(1, Math.ceil(slot_mm / Math.min(bit_mm, MOST_PASS_MM) - 1e-9));
  const step = slot_mm / count;
  return {
    projection_mm: slot_mm + jig_mm,
    passes: Array.from({ length: count }, (_, i) => ({ depth_mm: step * (i + 1), riser_mm: slot_mm - step * (i + 1) })),
  };
}
