import { MM_PER_INCH, plain } from "../units";

/** One drill of a set. */
export interface Drill {
  readonly label: string;
  readonly mm: number;
}

export type DrillSet = "metric" | "inch";

/** Halves of a millimetre from 1 to 13, as sets are sold (DIN 338). */
const METRIC: readonly Drill[] = Array.from({ length: 25 }, (_, i) => ({ label: `${plain(1 + i / 2)} mm`, mm: 1 + i / 2 }));

/** Sixty-fourths of an inch from 1/16 to 1/2 (ASME B94.11M), each by its shortest fraction. */
const INCH: readonly Drill[] = Array.from({ length: 29 }, (_, i) => {
  const [top, bottom] = shortest(4 + i, 64);
  return { label: `${top}/${bottom} in`, mm: ((4 + i) / 64) * MM_PER_INCH };
});

export const DRILL_SETS: Readonly<Record<DrillSet, readonly Drill[]>> = { metric: METRIC, inch: INCH };

function shortest(top: number, bottom: number): [number, number] {
  return top % 2 === 0 && bottom > 1 ? shortest(top / 2, bottom / 2) : [top, bottom];
}

/** What is nearest to a wanted hole among the drills one owns, and by how much it is wider (or, below zero, tighter). */
export function nearestDrill(wanted_mm: number, owned: readonly Drill[]): { readonly drill: Drill; readonly off_mm: number } | undefined {
  const [first] = [...owned].sort((a, b) => Math.abs(a.mm - wanted_mm) - Math.abs(b.mm - wanted_mm) || b.mm - a.mm);
  return first && { drill: first, off_mm: first.mm - wanted_mm };
}

/** A router's way through a slot: how far the bit stands out, pass by pass. Lengths mm. */
export interface RouterPasses {
  readonly projection_mm: number;
  readonly passes: ReadonlyArray<{ readonly depth_mm: number; readonly riser_mm: number }>;
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
