import { type Grade, gradeLabel, grainOf } from "../catalogue";
import { OTHER_ABRASIVES } from "./others.data";

/** What an operation sands or polishes with. */
export interface RungGrain {
  readonly label: string;
  /** Median grain, µm. */
  readonly micron: number;
  /** Of a paper; a compound has none. */
  readonly grade?: Grade;
}

/** The grain of an operation: of its paper, else of the abrasive that it names; undefined where it has neither. */
export function rungGrain({ grade, abrasive }: { readonly grade?: Grade; readonly abrasive?: string }): RungGrain | undefined {
  if (grade) return { label: gradeLabel(grade), micron: grainOf(grade) ?? 1, grade };
  const row = OTHER_ABRASIVES.find(({ id }) => id === abrasive);
  return row && { label: row.label, micron: Math.sqrt(row.micron[0] * row.micron[1]) };
}
