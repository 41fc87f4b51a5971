import type { ClassName, DamageKind, FinishRow, PieceKind, Role, Stance, SubstrateRow } from "../catalogue";
import type { DamageOf } from "./measures.data";
import type { PlaceDraft } from "./place";
import type { Service } from "./survey.schema";

/** What decides which places a way makes, and whether it may be taken unasked. */
export interface WayFacts {
  readonly piece: PieceKind;
  readonly on: SubstrateRow;
  readonly finish: FinishRow;
  /** The finish that it is to have when it is done, where that is another. */
  readonly to_be?: FinishRow;
  readonly service: Service;
  readonly stance: Stance;
  readonly hollow: boolean;
  readonly powders: boolean;
  /** What the joint asks of a brace; absent = nothing is let in. */
  readonly brace?: "yes" | "no" | "optional";
}

/** A place as a way makes it, with the links that it takes in order. */
export interface TakenPlace extends PlaceDraft {
  readonly takes: readonly Role[];
  /** The only classes that serve here in a role. */
  readonly only?: Partial<Readonly<Record<Role, readonly ClassName[]>>>;
  /** Judged as this kind of damage: what is let in as veneer is no dent. */
  readonly as?: DamageKind;
}

/** One way to meet a damage. What it costs in hours, days and material is computed; what it means is said here. */
export interface WayRow<K extends DamageKind = DamageKind> {
  readonly way: string;
  readonly label: string;
  readonly how: string;
  /** What is gone for good. */
  readonly lost: string;
  readonly risk: string;
  /** Only where the measures, the material or the finish allow it; absent = always. */
  readonly fits?: (d: DamageOf<K>, f: WayFacts) => boolean;
  /** Why it is not taken unasked; undefined = it may be. */
  readonly not_first?: (d: DamageOf<K>, f: WayFacts) => string | undefined;
  /** Hands, minutes low to high, and waiting that no chain plans: cutting out, making a part. */
  readonly hands_min: readonly [number, number];
  readonly wait_min: number;
  /** Bought by the piece, € low to high. */
  readonly extra_eur?: readonly [number, number];
  /** The places it makes; absent = it is done with these hands alone. */
  readonly places?: (d: DamageOf<K>, f: WayFacts) => readonly TakenPlace[];
}
