import type { Air } from "../cure/lag";
import { type Amount, weighAll } from "../mix/weigh";
import { amountOf } from "./amountOf";
import type { Draft } from "./expand";

/** Which cup of a mix a draft is met with: the same word where it is the same cup. */
export type CupOf = (draft: Draft) => string;

/** Stirred and used up: it has to be laid while it is workable. */
export const isStirred = ({ row, kind, amount, material }: Draft): boolean =>
  row.together === "material" && kind === "mix" && amount !== undefined && material !== undefined;

/**
 * Damages that share a mix share a cup as far as one cup can be laid over all of them while it is workable; the next ones have a cup of their
 * own, so that each is laid before the next is stirred. Next fit, in the order of the damages (Johnson 1973); a damage that alone takes
 * several cups has them to itself.
 * @param same the mixes that could be one, by their key
 */
export function cupsOf(drafts: readonly Draft[], same: (draft: Draft) => string, air: Air): CupOf {
  const mixes = new Map<string, Draft[]>();
  for (const draft of drafts.filter(isStirred)) mixes.set(same(draft), [...(mixes.get(same(draft)) ?? []), draft]);
  const cup = new Map<Draft, number>();
  const byDamage = new Map<string, number[]>();
  for (const members of mixes.values())
    for (const [draft, n] of filled(members, air)) {
      cup.set(draft, n);
      byDamage.set(draft.damage, [...(byDamage.get(draft.damage) ?? []), n]);
    }
  // what follows while a mix is firm goes with all the cups that its damage was met with
  return (draft) => (isStirred(draft) ? String(cup.get(draft) ?? 0) : (byDamage.get(draft.damage) ?? []).join("-"));
}

function filled(members: readonly Draft[], air: Air): Map<Draft, number> {
  const cups = new Map<Draft, number>();
  let n = 0;
  let inIt: Amount[] = [];
  for (const draft of members) {
    const { material } = draft;
    const amount = amountOf(draft);
    if (!amount || !material) continue;
    const fits = inIt.length === 0 || (weighAll(material, [...inIt, amount], air)?.batches ?? 1) === 1;
    inIt = fits ? [...inIt, amount] : [amount];
    if (!fits) n += 1;
    cups.set(draft, n);
  }
  return cups;
}
