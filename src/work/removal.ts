import { Photograph, Piece, Product, Treatment } from "@/store/entities";
import { type Em, em as openEm } from "@/store/orm";
import { holdTreatmentsOf } from "@/store/queries";
import { notFound } from "./problems";

type Mark = (tx: Em, id: string, deletedAt: Date | null) => Promise<number>;

const REMOVABLE = {
  pieces: async (tx, id, deletedAt) => {
    await holdTreatmentsOf(tx, id);
    return tx.nativeUpdate(Piece, { id }, { deletedAt });
  },
  treatments: (tx, id, deletedAt) => tx.nativeUpdate(Treatment, { id }, { deletedAt }),
  products: (tx, id, deletedAt) => tx.nativeUpdate(Product, { id }, { deletedAt }),
  photographs: (tx, id, deletedAt) => tx.nativeUpdate(Photograph, { id }, { deletedAt }),
} as const satisfies Record<string, Mark>;

export type Removable = keyof typeof REMOVABLE;

export function isRemovable(kind: string): kind is Removable {
  return Object.hasOwn(REMOVABLE, kind);
}

/** Take a thing away, or with `null` bring it back: nothing is erased, so undo is the same step the other way. */
export async function setRemoved(kind: Removable, id: string, at: Date | null): Promise<void> {
  const em = await openEm();
  const changed = await em.transactional((tx) => REMOVABLE[kind](tx, id, at));
  if (changed === 0) throw notFound("This");
}
