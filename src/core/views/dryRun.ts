import { CLASS_ROWS, type MaterialClass, type Range } from "../catalogue";
import { workingRange } from "../cure/working";

/** What a dry run's minutes mean against the adhesive's open time at the room's temperature. */
export interface DryRunVerdict {
  readonly verdict: "fits" | "tight" | "over";
  /** Open time here, low to high as published. */
  readonly open_min: Range;
  /** Sub-assemblies that each stay within the low end. */
  readonly parts: number;
  /** Adhesives that bond on this family and stay open long enough, the quickest of them first. */
  readonly slower: readonly string[];
}

const MOST_NAMED = 3;

/**
 * Fits while the low end of the published open time is longer; tight between the ends; over beyond.
 * Open times are carried to `temp_C` by the class's own activation energy; minutes.
 */
export function judgeDryRun(minutes: number, adhesive: MaterialClass, on: keyof MaterialClass["bonds"], temp_C: number): DryRunVerdict {
  const open_min = workingRange({ row: adhesive, climate_C: temp_C });
  const verdict = minutes <= open_min[0] ? "fits" : minutes <= open_min[1] ? "tight" : "over";
  const slower = CLASS_ROWS.filter((row) => row.roles.includes("adhesive") && row.bonds[on] !== undefined && temp_C >= row.cure.min_C)
    .map((row) => ({ name: row.name, low: workingRange({ row, climate_C: temp_C })[0] }))
    .filter(({ low }) => low >= minutes && low > open_min[0])
    .sort((a, b) => a.low - b.low)
    .slice(0, MOST_NAMED)
    .map(({ name }) => name);
  return {
    verdict,
    open_min,
    parts: Math.max(1, Math.ceil(minutes / Math.max(open_min[0], 0.1))),
    slower: verdict === "fits" ? [] : slower,
  };
}
