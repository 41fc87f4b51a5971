import type { MaterialClass } from "../catalogue";
import { mix } from "../mix/mix";
import type { MixResult } from "../mix/mix.schema";
import { FILM_MM, potLife, SCALE_STEP_G } from "./batch";

/** Adhesive for a joint, weighed and split like any mix. */
export interface BondBatch extends MixResult {
  readonly need_cm3: number;
  readonly film_mm: number;
  readonly pot_life_min: number | undefined;
}

/** What squeezes out and stays on the brush, percent; trade practice: a bead all along is as much again as half the film. */
export const SQUEEZE_OUT_PCT = 60;
/** How fast a film is brushed on both faces, cm³ a minute; trade practice. */
export const SPREAD_CM3_PER_MIN = 1;

/** Film over the real faces: half of both faces' area times the film, which is the gap where that is wider. Areas mm², gap mm. */
export function bondBatch(joint_mm2: number, gap_mm: number, adhesive: MaterialClass, temp_C: number): BondBatch | undefined {
  const film_mm = Math.max(FILM_MM, gap_mm);
  const need_cm3 = ((joint_mm2 / 2) * film_mm) / 1000;
  if (need_cm3 <= 0) return undefined;
  const pot_life_min = potLife(adhesive, temp_C);
  const { parts, ratio_by, mixed_density } = adhesive.mix;
  const mixed = mix({
    need_cm3,
    waste_pct: SQUEEZE_OUT_PCT,
    parts: [...parts],
    ratio_by,
    ...(mixed_density === undefined ? {} : { mixed_density }),
    scale_step_g: SCALE_STEP_G,
    ...(pot_life_min === undefined ? {} : { pot_life_min, apply_cm3_per_min: SPREAD_CM3_PER_MIN }),
  });
  return { ...mixed, need_cm3, film_mm, pot_life_min };
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
