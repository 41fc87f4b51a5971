import { MM_PER_INCH, plain } from "../units";

/** One drill of a set. */
export interface Drill {
  readonly label: string;
  readonly mm: number;
}

export type DrillSet = "metric" | "inch";

/** Halves of a millimetre from 1 to 13, as sets are sold (DIN 338). */
const METRIC: readonly Drill[] = Array.from({ length: 25 }, (_, i) => ({ label: `${plain(1 + i / 2)} mm`, mm: 1 + i / 2 }));

/** Sixty-fourths of an inch from 1/16 to 1/2 (ASME B94.11M). */
const INCH: readonly Drill[] = Array.from({ length: 29 }, (_, i) => inch(4 + i));

export const DRILL_SETS: Readonly<Record<DrillSet, readonly Drill[]>> = { metric: METRIC, inch: INCH };

/** So many sixty-fourths of an inch, by their shortest fraction. */
export function inch(sixtyFourths: number): Drill {
  const [top, bottom] = shortest(sixtyFourths, 64);
  return { label: bottom === 1 ? `${top} in` : `${top}/${bottom} in`, mm: (sixtyFourths / 64) * MM_PER_INCH };
}

function shortest(top: number, bottom: number): [number, number] {
  return top % 2 === 0 && bottom > 1 ? shortest(top / 2, bottom / 2) : [top, bottom];
}

/** What is nearest to a wanted hole among the drills one owns, and by how much it is wider (or, below zero, tighter). */
export function nearestDrill(wanted_mm: number, owned: readonly Drill[]): { readonly drill: Drill; readonly off_mm: number } | undefined {
  const [first] = [...owned].sort((a, b) => Math.abs(a.mm - wanted_mm) - Math.abs(b.mm - wanted_mm) || b.mm - a.mm);
  return first && { drill: first, off_mm: first.mm - wanted_mm };
}
