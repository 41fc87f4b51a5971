import { inOnePush, middle, type Role } from "../../catalogue";
import { inSentence } from "../../units";
import type { Case } from "../case";
import type { Criterion } from "../criteria.data";

/** `refuse` ends it, `if` is a condition, `fair` and `against` only cost, `note` costs nothing, `for` is said in its favour. */
export type Effect = "refuse" | "if" | "against" | "fair" | "note" | "for";

export interface Rule {
  readonly id: string;
  readonly looks_at: Criterion;
  readonly effect: Effect;
  /** Absent = every role. */
  readonly roles?: readonly Role[];
  readonly when: (c: Case) => boolean;
  /** The word in the table, two at most. */
  readonly word: string | ((c: Case) => string);
  /** One sentence: why, and for a condition what to do. */
  readonly says: string | ((c: Case) => string);
  /** On a refusal: what else would lift it. */
  readonly or?: string;
  /** Published figures lie on both sides of what is asked, so the verdict is not certain. */
  readonly figures_differ?: true;
  /** It guards people: no reason lifts it. */
  readonly hazard?: true;
  readonly source: string;
}

export const BONDING: readonly Role[] = ["consolidant", "adhesive", "brace", "filler", "levelling"];
export const FILLING: readonly Role[] = ["filler", "levelling"];
export const HOLDING: readonly Role[] = ["adhesive", "brace", "filler"];
export const COATING: readonly Role[] = ["levelling", "colour", "topcoat"];

export const HORIE = "Horie, Materials for Conservation, 2010";
export const BUYS = "Buys and Oakley, Conservation and Restoration of Ceramics, 1993";
export const WOOD = "FPL Wood Handbook, 2021";
export const LEATHER = "Kite and Thomson, Conservation of Leather, 2006";
export const SHEETS = "typical data sheets of the class";
export const TRADE = "trade practice, a rule of thumb";

export const name = (c: Case) => c.row.name;
export const lower = (c: Case) => inSentence(c.row.name);
export const on = (c: Case) => c.on.label.toLowerCase();
export const finish = (c: Case) => c.finish.label.toLowerCase();
export const bond = (c: Case) => c.row.bonds[c.on.family];
export const is = (c: Case, ...classes: readonly Case["row"]["class"][]) => classes.includes(c.row.class);
/** Layers that the depth takes, each as thick as it is once it has shrunk. */
export const layersNeeded = ({ damage, row }: Case) =>
  inOnePush(row, damage.gap_mm) && (damage.depth_mm ?? 0) > 0
    ? 1
    : Math.ceil((damage.depth_mm ?? 0) / (row.max_layer_mm * (1 - middle(row.shrinkage_pct) / 100)) - 1e-9);
export const stageMinutes = (c: Case, stage: string) => c.row.cure.stages.find((each) => each.stage === stage)?.minutes;
