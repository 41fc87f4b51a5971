import type { ClassName, Finish, Role } from "../catalogue";
import type { Chain } from "./chains";
import type { Judgement } from "./judge";
import type { MatchInput } from "./match.schema";

/** Every judgement and chain, with their reasons in full. `match` is its short form. */
export interface Matching {
  readonly roles: readonly Role[];
  readonly byRole: ReadonlyMap<Role, readonly Judgement[]>;
  readonly chains: readonly Chain[];
}

/** The links that a way takes, each judged at its own place: by that place's measures, kind and weather. */
export interface AtPlaces {
  readonly roles: readonly Role[];
  readonly at: Partial<Readonly<Record<Role, PlaceFacts>>>;
}

/** What of the question is otherwise at one place. */
export interface PlaceFacts {
  readonly damage: { readonly gap_mm?: number; readonly depth_mm?: number; readonly kind?: MatchInput["damage"]["kind"] };
  readonly only?: readonly ClassName[];
  /** Minutes for one join, where joins are made one after the other; absent = as asked. */
  readonly working_min?: number | "none";
  /** The finish that is laid there, where that is not the one beside it. */
  readonly finish?: Finish;
  /** Behind or inside: no weather, no wear. */
  readonly hidden?: boolean;
}
