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
  /** The finish that it had, and the one that it is to have: from levelling on `finish` is that one. */
  readonly was: FinishRow;
  readonly to_be: FinishRow;
  readonly damage: DamageKind;
  /** The finish beside the loss must survive. */
  readonly survives: boolean;
  /** It was said that it need not: nothing is masked or tried for it. */
  readonly yields: boolean;
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
