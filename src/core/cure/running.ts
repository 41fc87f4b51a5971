import { type MaterialClass, middle, type Stage } from "../catalogue";
import { cure } from "./cure";
import type { CureInput } from "./cure.schema";

/** A material put to work: what it is, how thick, since when. */
export interface Start {
  readonly material: MaterialClass;
  readonly thickness_mm: number;
  readonly at: string;
}

export interface StageTime {
  readonly stage: Stage;
  /** Milliseconds since the epoch; undefined = not reached here. */
  readonly at?: number;
  readonly reason?: string;
}

/** Drying slows with the square of the thickness; below half the reference layer the surface decides. */
const THIN_LIMIT = 0.25;

/** Reference minutes are those of the layer that data sheets speak of; a thicker one dries with the square. */
export function thicknessFactor({ cure: { by, at_mm } }: Pick<MaterialClass, "cure">, thickness_mm: number): number {
  return by === "drying" ? Math.max(THIN_LIMIT, (thickness_mm / at_mm) ** 2) : 1;
}

/** The cure question for a material put to work: middle figures of its published ranges. */
export function cureInput({ material, thickness_mm, at }: Start, climate: CureInput["climate"]): CureInput {
  const { stages, reference_C, ea_kJ_mol, min_C } = material.cure;
  const factor = thicknessFactor(material, thickness_mm);
  return {
    stages: stages.map(({ stage, minutes }) => ({ name: stage, minutes: middle(minutes) * (stage === "working" ? 1 : factor) })),
    reference_C,
    model: { kind: "arrhenius", ea_kJ_mol },
    min_C,
    start: at,
    climate,
  };
}

/** When each stage is, or will be, reached in this climate. */
export function stageTimes(start: Start, climate: CureInput["climate"]): StageTime[] {
  return cure(cureInput(start, climate)).stages.map((stage) =>
    "never" in stage ? { stage: stage.name as Stage, reason: stage.reason } : { stage: stage.name as Stage, at: Date.parse(stage.at) },
  );
}
