import type { DamageKind, FinishRow, PieceKind, SubstrateRow } from "../catalogue";

/** What decides whether a question is likely to change anything here. */
export interface AskedAt {
  readonly piece: PieceKind;
  readonly kind: DamageKind | "";
  readonly on: SubstrateRow;
  readonly finish: FinishRow;
}
