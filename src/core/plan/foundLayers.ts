import type { Grade } from "../catalogue";

/** Where the surface really was after a layer: measured, or as far as what was mixed reaches. */
export interface Reached {
  readonly layer: number;
  readonly surface_mm: number;
  readonly by: "measured" | "mixed";
}

/** What the log says of the layers of one round: where surfaces were measured, by place; how much was mixed, by `mix-1/epoxy-putty`. */
export interface FoundLayers {
  readonly measured: ReadonlyMap<string, readonly Reached[]>;
  readonly mixed: ReadonlyMap<string, number>;
  /** Heights of whole damages at their last look, mm, minus = low. */
  readonly checked: ReadonlyMap<string, number>;
}

/** A rung that was walked: its grade, and in which walk, 1 the first. */
export interface WalkedRung {
  readonly grade: Grade;
  readonly walk: number;
}
