import { LockMode } from "@mikro-orm/core";
import type { LotReason } from "@/core/views/stock";
import { type ILot, Lot, LotChange } from "@/store/entities";
import type { Em } from "@/store/orm";
import { notFound } from "./problems";

/** Why a jar changed, and for what. */
export interface ChangeOf {
  readonly at: Date;
  readonly because: LotReason;
  readonly piece?: string;
  readonly entry?: string;
  readonly batch?: string;
  readonly by?: string | undefined;
}

/** Write a line in a jar's account and bring its head to it. A jar that held more than was thought is empty, not owing. */
export function changeLot(tx: Em, lot: ILot, delta_g: number, { at, because, piece, entry, batch, by }: ChangeOf): void {
  const before = Number(lot.leftG);
  const left = Math.max(0, before + delta_g);
  tx.create(LotChange, {
    id: crypto.randomUUID(),
    lot,
    line: lot.version + 1,
    at,
    deltaG: left - before,
    leftG: left,
    because,
    piece: piece ?? null,
    entry: entry ?? null,
    batch: batch ?? null,
    by: by ?? null,
  });
  tx.assign(lot, { leftG: left, version: lot.version + 1 });
}

/** A jar, held until this transaction ends. @throws {WorkProblem} 404 when it is gone */
export async function heldLot(tx: Em, id: string): Promise<ILot> {
  const lot = await tx.findOne(Lot, id, { lockMode: LockMode.PESSIMISTIC_WRITE });
  if (!lot) throw notFound("This jar");
  return lot;
}

/** What an entry took from a jar goes back when the entry is taken back. */
export async function giveBack(tx: Em, entry: string, at: Date, by: string | undefined): Promise<void> {
  const taken = await tx.find(LotChange, { entry }, { orderBy: { id: "asc" } });
  const byLot = new Map<string, number>();
  for (const { lot, deltaG } of taken) byLot.set(lot.id, (byLot.get(lot.id) ?? 0) + Number(deltaG));
  for (const [id, delta] of byLot) if (delta < 0) changeLot(tx, await heldLot(tx, id), -delta, { at, because: "taken back", entry, by });
}
