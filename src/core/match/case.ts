import {
  type EarlierGlueRow,
  earlierGlueRow,
  type FinishRow,
  finishRow,
  type MaterialClass,
  type OwnProduct,
  type Role,
  type SubstrateRow,
  substrateRow,
} from "../catalogue";
import type { MatchInput } from "./match.schema";

/** A product of the shop's own as a candidate, with how much of it there is and for how long. */
export interface Jar extends OwnProduct {
  readonly class: MaterialClass["class"];
  readonly left_g: number;
  /** Until the freshest lot goes off; absent = no date. Below zero it has. */
  readonly days_left?: number;
}

/** Volume that a link takes, cm³, without what is lost on the way; a link that is missing was not measured. */
export type Need = Partial<Readonly<Record<Role, number>>>;

/** What stands in the cabinet; absent = nothing is known of it and it is not judged. */
export interface Shelf {
  readonly jars: readonly Jar[];
  /** What each link takes, so that grams can be told. */
  readonly need_cm3?: Need;
}

/** What a rule looks at: the facts of the piece, and one material in one role. */
export interface Facts extends Omit<MatchInput, "substrate" | "finish" | "earlier_glue"> {
  readonly on: SubstrateRow;
  readonly finish: FinishRow;
  readonly earlier?: EarlierGlueRow;
  readonly shelf?: Shelf;
  readonly need_cm3?: Need;
}

export interface Case extends Facts {
  readonly row: MaterialClass;
  readonly role: Role;
  readonly product?: Jar;
}

export function factsOf(input: MatchInput, shelf?: Shelf): Facts {
  const { substrate, finish, earlier_glue, ...rest } = input;
  return {
    ...rest,
    damage: closed(rest.damage),
    ...minutesAJoin(rest),
    on: substrateRow(substrate),
    finish: finishRow(finish ?? "none"),
    ...(earlier_glue === undefined ? {} : { earlier: earlierGlueRow(earlier_glue) }),
    ...(shelf === undefined ? {} : { shelf }),
    ...(shelf?.need_cm3 === undefined ? {} : { need_cm3: shelf.need_cm3 }),
  };
}

/** Faces that meet when they are pressed are a closed joint, however wide they gape before; width of its film, mm. */
const CLOSED_MM = 0.1;

function closed(damage: MatchInput["damage"]): MatchInput["damage"] {
  return damage.closes === true && damage.gap_mm !== undefined ? { ...damage, gap_mm: Math.min(damage.gap_mm, CLOSED_MM) } : damage;
}

/** Shards are joined one after the other: each join has its share of the assembly. */
function minutesAJoin({ damage, working_min }: Pick<MatchInput, "damage" | "working_min">): Pick<MatchInput, "working_min"> {
  if (working_min === undefined || damage.kind !== "shards" || damage.shards === undefined) return {};
  return { working_min: working_min / Math.max(1, damage.shards - 1) };
}
