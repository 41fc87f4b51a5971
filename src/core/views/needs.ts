import type { ClassName, Role } from "../catalogue";
import type { Operation } from "../plan/plan.schema";
import type { Worked } from "./worked";

/** What an open treatment will still take of a material. */
export interface Need {
  readonly treatment: string;
  readonly piece: string;
  readonly role: Role;
  readonly class: ClassName;
  readonly product?: string;
  readonly grams: number;
}

/** What one operation still takes out of jars. */
export type Take = Omit<Need, "treatment" | "piece">;

/** What each operation that is still to come takes, cups that are mixed already taken off; nothing where it takes nothing. */
export function takesOf({ repair, marks, batches }: Worked): (op: Operation) => readonly Take[] {
  const products = new Map(repair.links.map(({ id, product }) => [id, product?.id]));
  return ({ id, role, class: name, mass_g, mixed, link }) => {
    // what was weighed at its mix is not weighed again where it is laid
    if (mass_g === undefined || role === undefined || name === undefined || mixed || marks.has(id)) return [];
    const product = link === undefined ? undefined : products.get(link);
    const mixed_g = batches.get(id)?.reduce((sum, cup) => sum + cup.mass_g, 0) ?? 0;
    return [{ role, class: name, grams: Math.max(0, mass_g - mixed_g), ...(product ? { product } : {}) }];
  };
}

/** Grams that the operations still to come take; what is done takes nothing more. */
export function needsOf({ id: treatment, piece }: { readonly id: string; readonly piece: string }, worked: Worked): Need[] {
  const takes = takesOf(worked);
  return summed(worked.repair.operations.flatMap(takes).map((take) => ({ treatment, piece, ...take })));
}

/** One line for a material in a role, however many operations take of it. */
function summed(needs: readonly Need[]): Need[] {
  const byKind = new Map<string, Need>();
  for (const need of needs) {
    const key = `${need.role} ${need.class} ${need.product ?? ""}`;
    byKind.set(key, { ...need, grams: need.grams + (byKind.get(key)?.grams ?? 0) });
  }
  return [...byKind.values()];
}
