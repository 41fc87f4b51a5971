import { type MaterialClass, middle, type Stage } from "../catalogue";
import { cureInOrder, withinDays } from "./cure";
import type { CureInput } from "./cure.schema";
import { paceOf } from "./pace";

/** A material put to work: what it is, how thick, since when, in how damp an air. */
export interface Start {
  readonly material: MaterialClass;
  readonly thickness_mm: number;
  readonly at: string;
  readonly rh_pct: number;
}

export interface StageTime {
  readonly stage: Stage;
  /** Milliseconds since the epoch; undefined = not reached here. */
  readonly at?: number;
  readonly reason?: string;
}

/** When each stage is, or will be, reached in this climate: middle figures of its published ranges. */
export function stageTimes({ material, thickness_mm, at, rh_pct }: Start, climate: CureInput["climate"]): StageTime[] {
  const { stages, reference_C, min_C } = material.cure;
  const paced = stages.map(({ stage, minutes }) => ({
    stage,
    minutes: middle(minutes),
    pace: paceOf(material, stage, thickness_mm, rh_pct),
  }));
  // stages of one rate are asked at once: the climate is integrated once for all of them
  const within_days = withinDays(Math.max(...paced.map(({ minutes, pace }) => minutes * pace.factor)));
  const rates = [...new Set(paced.map(({ pace }) => pace.ea_kJ_mol))];
  const reached = new Map(
    rates.flatMap((ea_kJ_mol) =>
      cureInOrder({
        stages: paced
          .filter(({ pace }) => pace.ea_kJ_mol === ea_kJ_mol)
          .map(({ stage, minutes, pace }) => ({ name: stage, minutes: minutes * pace.factor })),
        reference_C,
        model: { kind: "arrhenius", ea_kJ_mol },
        min_C,
        start: at,
        within_days,
        climate,
      }).stages.map((each) => [each.name, each] as const),
    ),
  );
  return stages.map(({ stage }): StageTime => {
    const found = reached.get(stage);
    if (!found) return { stage };
    return "never" in found ? { stage, reason: found.reason } : { stage, at: Date.parse(found.at) };
  });
}
