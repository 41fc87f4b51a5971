import type { StepFacts } from "../catalogue";
import { inSentence } from "../units";
import { BRACE_KIND_ROWS, type BraceKindRow, braceKindOf, braceKindRow } from "./kinds.data";

/** The brace as it was decided, else as the chain holds it. */
export function braceOf({ brace, chain }: StepFacts): BraceKindRow {
  const planned = chain.brace && braceKindOf(chain.brace.class);
  return BRACE_KIND_ROWS.find(({ kind }) => kind === brace) ?? braceKindRow(planned ?? "none");
}

/** Its name in a sentence: the material where the chain holds it, else the kind. */
export function braceName(facts: StepFacts): string {
  const { kind, label } = braceOf(facts);
  const { brace } = facts.chain;
  return inSentence(brace && braceKindOf(brace.class) === kind ? brace.name : label);
}
