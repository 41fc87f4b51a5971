import { type MaterialClass, SQUEEZE_OUT_PCT } from "../catalogue";
import type { Loss } from "../survey/loss";
import { adhesiveNeed, type Batch, mixedFor } from "./batch";

/** How fast a film is brushed on both faces, cm³ a minute; trade practice. */
const SPREAD_CM3_PER_MIN = 1;

/** Adhesive as a film over the real faces of a joint; undefined where nothing is joined. */
export function bondBatch(loss: Pick<Loss, "joint_mm2" | "film_mm">, adhesive: MaterialClass, temp_C: number): Batch | undefined {
  const need_cm3 = adhesiveNeed(loss);
  return need_cm3 > 0 ? mixedFor(adhesive, need_cm3, SQUEEZE_OUT_PCT, SPREAD_CM3_PER_MIN, temp_C) : undefined;
}

/** When to look at a clamped joint again: at once, when the glue starts to pull, and at the last moment it can still be shifted. Ms since the epoch. */
export function lookTimes(start: number, working_end: number | undefined): ReadonlyArray<{ readonly at: number; readonly what: string }> {
  const looks = [{ at: start, what: "Marks, lean against the twin, a bead all along" }];
  if (working_end === undefined || working_end <= start) return looks;
  const third = start + (working_end - start) / 3;
  return [
    ...looks,
    { at: third, what: "Marks again: joints slide while the glue is wet" },
    { at: working_end, what: "Last moment to shift it: creep, lean, marks" },
  ];
}
