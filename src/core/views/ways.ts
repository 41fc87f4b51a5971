import type { Range, Stance } from "../catalogue";
import type { Shelf } from "../match/case";
import { type DamageInput, wayFactsOf } from "../plan/damageContext";
import type { Air } from "../plan/lag";
import { SCALE_STEP_G } from "../plan/planCalc";
import { type Repair, repairOf } from "../plan/repair";
import type { WayRow } from "../survey/wayRow";
import { waysFor } from "../survey/ways";

/** One way with what it takes, from the same engine that plans the work. */
export interface ComparedWay {
  readonly way: string;
  readonly label: string;
  readonly how: string;
  readonly lost: string;
  readonly risk: string;
  /** The materials that Match would put first. */
  readonly materials: readonly string[];
  /** A link that nothing serves, with what comes nearest. */
  readonly refused_because?: string;
  /** Why it is not taken unasked. */
  readonly not_first?: string;
  readonly preselected: boolean;
  readonly hands_min: Range;
  readonly elapsed_min: Range;
  readonly cost_eur: Range;
  /** Conditions that the chain carries: what can go wrong. */
  readonly conditions: number;
}

/** Repair, replace or leave, side by side; the one that is taken unasked is marked. */
export function compareWays(input: Omit<DamageInput, "way" | "choose">, stance: Stance, air: Air, shelf?: Shelf): ComparedWay[] {
  const facts = wayFactsOf(input, stance);
  const plan = (way?: string): Repair =>
    repairOf({
      damages: [{ ...input, ...(way === undefined ? {} : { way }) }],
      stance,
      air,
      tools: { scale_step_g: SCALE_STEP_G },
      rounds: [],
      marks: new Map(),
      at: 0,
      ...(shelf ? { shelf } : {}),
    });
  const unasked = plan().damages[0]?.way.way;
  return waysFor(input.survey.damage, facts).map((row) =>
    compared(row, plan(row.way), row.way === unasked, row.not_first?.(input.survey.damage, facts)),
  );
}

function compared(
  { way, label, how, lost, risk }: WayRow,
  { hands_min, elapsed_min, cost_eur, links, damages }: Repair,
  preselected: boolean,
  not_first: string | undefined,
): ComparedWay {
  const missing = damages[0]?.missing[0]?.because;
  const conditions = new Set(links.flatMap(({ reasons }) => reasons.filter(({ effect }) => effect === "if").map(({ rule }) => rule)));
  return {
    way,
    label,
    how,
    lost,
    risk,
    materials: [...new Set(links.map(({ material }) => material.name))],
    ...(missing ? { refused_because: missing } : {}),
    ...(not_first ? { not_first } : {}),
    preselected,
    hands_min,
    elapsed_min,
    cost_eur,
    conditions: conditions.size,
  };
}
