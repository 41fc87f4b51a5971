import type { MaterialClass, Range, Stage } from "../catalogue";
import { middle } from "../catalogue";
import { cure, withinDays } from "./cure";
import { paceOf } from "./pace";

/** The air that a plan is reckoned in. */
export interface Air {
  readonly temp_C: number;
  readonly rh_pct: number;
}

/** Minutes from the start of a material until one of its stages: as planned with, and low to high as published. */
export interface Lag {
  readonly min: number;
  readonly range: Range;
  /** It is not reached in this air. */
  readonly never?: true;
  /** The stage that is waited for; absent = a plain wait. */
  readonly stage?: Stage;
}

/** What is never reached counts as so many minutes. */
const NEVER_MIN = 60 * 24 * 60;

/** The first of `stages` that a material has, in a layer so thick, in this air; undefined where it has none of them. */
export function lagOf(
  material: MaterialClass,
  stages: readonly Stage[],
  thickness_mm: number,
  { temp_C, rh_pct }: Air,
): (Lag & { readonly stage: Stage }) | undefined {
  const { reference_C, min_C } = material.cure;
  const stage = stages.find((each) => material.cure.stages.some((row) => row.stage === each));
  const row = material.cure.stages.find((each) => each.stage === stage);
  if (!stage || !row) return undefined;
  const { factor, ea_kJ_mol } = paceOf(material, stage, thickness_mm, rh_pct);
  const ends = [middle(row.minutes), row.minutes[0], row.minutes[1]].map((minutes, i) => ({ name: String(i), minutes: minutes * factor }));
  const found = cure({
    stages: ends,
    reference_C,
    model: { kind: "arrhenius", ea_kJ_mol },
    min_C,
    start: "2000-01-01T00:00:00Z",
    within_days: withinDays(row.minutes[1] * factor),
    climate: { constant_C: temp_C },
  });
  const [min, low, high] = found.stages.map((each) => ("never" in each ? NEVER_MIN : each.minutes)) as [number, number, number];
  return { stage, min, range: [low, high], ...(found.stages[0] && "never" in found.stages[0] ? { never: true } : {}) };
}
