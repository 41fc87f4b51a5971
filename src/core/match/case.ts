import { type FinishRow, finishRow, type MaterialClass, type Role, type SubstrateRow, substrateRow } from "../catalogue";
import type { MatchInput } from "./match.schema";

/** What a rule looks at: the facts of the piece, and one class in one role. */
export interface Facts extends Omit<MatchInput, "substrate" | "finish"> {
  readonly on: SubstrateRow;
  readonly finish: FinishRow;
}

export interface Case extends Facts {
  readonly row: MaterialClass;
  readonly role: Role;
}

export function factsOf(input: MatchInput): Facts {
  return { ...input, on: substrateRow(input.substrate), finish: finishRow(input.finish ?? "none") };
}
