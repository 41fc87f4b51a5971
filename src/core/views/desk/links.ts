import { ROLE_LABELS, type Role } from "../../catalogue";
import type { Judgement } from "../../match/judge";
import { inSentence } from "../../units";
import type { Desk } from "./desk";
import { keyOf, ordinal, summary } from "./picks";

/** One link of the chain as the list beside the candidates has it. */
export interface ChainRow {
  readonly role: Role;
  readonly label: string;
  /** What stands there; absent = nothing yet. */
  readonly name?: string;
  /** In one line why, or what is missing. */
  readonly line: string;
  /** "1st of 9" among those that can be taken; absent for what is not. */
  readonly rank?: string;
  readonly state: "fits" | "condition" | "against" | "open" | "clash";
}

/** The chain of a desk, link by link in the order of the work. */
export function chainRows(desk: Desk): ChainRow[] {
  const { found, chain } = desk;
  return found.roles.map((role): ChainRow => {
    const at = chain.findIndex((link) => link.role === role);
    const link = chain[at];
    return link ? taken(desk, link, at) : { role, label: ROLE_LABELS[role], line: "nothing is chosen yet", state: "open" };
  });
}

function taken({ clashes, question, role: shown, judged }: Desk, link: Judgement, at: number): ChainRow {
  const { role, row, product, verdict } = link;
  const because = question.forced[role];
  const clash = clashes[at]?.find(({ effect }) => effect === "refuse");
  const place = role === shown ? judged.findIndex((each) => keyOf(each) === keyOf(link)) : -1;
  const shared = { role, label: ROLE_LABELS[role], name: product?.name ?? row.name };
  const rank = place >= 0 ? { rank: `${ordinal(place + 1)} of ${judged.length}` } : {};
  if (clash) return { ...shared, ...rank, line: clash.text, state: "clash" };
  if (because) return { ...shared, ...rank, line: `against the rules: ${inSentence(because)}`, state: "against" };
  return { ...shared, ...rank, line: summary(link), state: verdict === "fits" ? "fits" : "condition" };
}
