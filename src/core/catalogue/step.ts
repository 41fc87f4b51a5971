import type { Caution } from "./cautions.data";
import type { ClassName, MaterialClass } from "./classes";
import type { DamageKind, Role, Stance } from "./damage.data";
import type { FinishRow } from "./finishes.data";
import type { Flag } from "./flags.data";
import type { EarlierGlueRow } from "./glues.data";
import type { PieceKind } from "./pieces.data";
import type { SubstrateRow } from "./substrates.data";

/** What decides whether a step belongs to this treatment. */
export interface StepFacts {
  readonly piece: PieceKind;
  readonly on: SubstrateRow;
  readonly finish: FinishRow;
  readonly damage: DamageKind;
  /** The finish beside the loss must survive. */
  readonly survives: boolean;
  readonly through: boolean;
  readonly stance: Stance;
  /** What an earlier repair was glued with. */
  readonly earlier?: EarlierGlueRow;
  /** What the inspection brought to light. */
  readonly found: Partial<Readonly<Record<Flag, boolean>>>;
  /** The brace that was decided on. */
  readonly brace?: string;
  readonly form?: string;
  readonly chain: Partial<Record<Role, MaterialClass & { readonly class: ClassName }>>;
}

/** A step that is done by hand and ticked off. `wait_min` passes after it before the next may start. */
export interface StepRow {
  readonly step: string;
  readonly text: string | ((f: StepFacts) => string);
  readonly why: string | ((f: StepFacts) => string);
  readonly done_when: string;
  readonly hands_min: number;
  readonly wait_min?: number;
  readonly cautions?: readonly Caution[] | ((f: StepFacts) => readonly Caution[]);
  readonly when: (f: StepFacts) => boolean;
}

/** A step with its words settled for one treatment. */
export interface PlannedStep {
  readonly step: string;
  readonly text: string;
  readonly why: string;
  readonly done_when: string;
  readonly hands_min: number;
  readonly wait_min: number;
  readonly cautions: readonly Caution[];
}

/** The steps of a table that belong to this treatment, in the order of the table. */
export function stepsFor(rows: readonly StepRow[], facts: StepFacts): PlannedStep[] {
  const settle = <T>(value: T | ((f: StepFacts) => T)): T => (value instanceof Function ? value(facts) : value);
  return rows
    .filter(({ when }) => when(facts))
    .map(({ step, text, why, done_when, hands_min, wait_min = 0, cautions = [] }) => ({
      step,
      text: settle(text),
      why: settle(why),
      done_when,
      hands_min,
      wait_min,
      cautions: settle(cautions),
    }));
}
