import type { TakenPlace } from "../wayRow";

/** A void as its maker knows it: its solid, its depth from where filling begins, its opening at the surface. */
export type Void = Pick<TakenPlace, "name" | "label" | "solids" | "depth_mm" | "opening_mm2" | "opening_mm"> & Partial<TakenPlace>;

/** A void takes a filler unless it is said otherwise. */
export const hollow = (place: Void): TakenPlace => ({ kind: "void", takes: ["filler"], ...place });
