import { handsAgain, type OperationKind, type Range } from "../catalogue";
import type { Air } from "../cure/lag";
import { portionsOf, type Weighed, weighAll } from "../mix/weigh";
import type { Told } from "../operation/row";
import { present } from "../units";
import { amountOf } from "./amountOf";
import type { Placed } from "./merge";

/** An operation with its amounts and its hands: everything that its words are made of. */
export interface Measured extends Placed {
  readonly told: Told;
  readonly hands_min: Range;
  readonly takes?: Weighed;
  readonly portions: ReadonlyArray<{ readonly place: string; readonly mass_g: number }>;
  readonly thickness_mm?: number;
}

/** What all its places take together: grams, parts, batches, portions; and how long hands are at it. */
export function measure(placed: Placed, air: Air): Measured {
  const { lead, members, here, damages } = placed;
  const { row, material, facts, subject, grade } = lead;
  const amounts = members.flatMap((member) => amountOf(member) ?? []);
  const takes = material ? weighAll(material, amounts, air) : undefined;
  const thick = members.flatMap((member) => [...member.thick.values()]);
  const thickness_mm = thick.length > 0 ? Math.max(...thick) : undefined;
  const told: Told = {
    here,
    damages,
    facts,
    ...present({ n: subject.n, of: subject.of, class: material?.class, material, thickness_mm, grade, takes }),
  };
  return {
    ...placed,
    told,
    hands_min: row.hands instanceof Function ? row.hands(told as never) : handsFor(row.hands, placed),
    portions: takes && lead.kind === "mix" ? portionsOf(amounts, takes.mass_g) : [],
    ...present({ takes, thickness_mm }),
  };
}

/** What is done once however many places are alike: it is looked at, mixed, waited for in one go. */
const ONCE: readonly OperationKind[] = ["look", "photograph", "test", "take-apart", "dry-run", "mix", "wait", "dry", "sign"];

const handsFor = (hands: Range, { here, lead }: Placed): Range =>
  ONCE.includes(lead.kind) || ["piece", "surface"].includes(lead.row.each) ? hands : handsAgain(hands, here);
