import { type Drill, nearestDrill } from "./drills.data";
import type { SizedBrace } from "./sizing";

/** A hole to drill, with what lies nearest in the drawer. Lengths mm. */
export interface Hole {
  readonly hole: "pilot" | "hole";
  readonly wanted_mm: number;
  /** By how much the drill is wider than wanted or, below zero, tighter; absent = none in the drawer will do. */
  readonly found?: { readonly drill: Drill; readonly off_mm: number };
}

export interface Drilling {
  readonly holes: readonly Hole[];
  readonly depth_mm: number;
}

/**
 * The holes of a brace, pilot first, with the drills of the set one owns. The last hole is always wider than the brace:
 * a hole no wider leaves no room for glue. No holes where none are drilled (a spline, a patch).
 */
export function drillingOf(size: SizedBrace["size"], owned: readonly Drill[]): Drilling {
  const { pilot_mm, hole_mm, diameter_mm = 0 } = size;
  const wider = owned.filter(({ mm }) => mm > diameter_mm);
  return {
    holes: [...holeOf("pilot", pilot_mm, owned), ...holeOf("hole", hole_mm, wider)],
    depth_mm: size.hole_depth_mm ?? size.embed_mm ?? 0,
  };
}

function holeOf(hole: Hole["hole"], wanted_mm: number | undefined, drills: readonly Drill[]): Hole[] {
  if (wanted_mm === undefined) return [];
  const found = nearestDrill(wanted_mm, drills);
  return [{ hole, wanted_mm, ...(found ? { found } : {}) }];
}
