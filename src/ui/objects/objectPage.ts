import type { PieceKind, Station, Substrate } from "@/core/catalogue";
import type { ListName, ListOrder } from "@/core/views/listed";
import type { ShelfItem } from "../shelf/Shelf";

/** A treatment as it stands in the list. */
export interface ObjectItem extends ShelfItem {
  readonly piece_id: string;
  readonly reference: string;
  readonly owner_reference: string;
  readonly kind: PieceKind;
  readonly substrate: Substrate;
  readonly promised: string | null;
  readonly marks: Partial<Record<Station, "done" | "skipped" | "unneeded">>;
  /** Other treatments of the same piece. */
  readonly others: ReadonlyArray<{ readonly id: string; readonly title: string }>;
}

/** A list as the record gave it, a page of it. */
export interface ObjectPage {
  readonly list: ListName;
  readonly order: ListOrder;
  readonly words: string;
  readonly items: readonly ObjectItem[];
  readonly next?: string;
  readonly counts: Readonly<Record<ListName, number>>;
}
