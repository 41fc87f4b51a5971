import type { Finish, PieceKind, Station, Substrate } from "@/core/catalogue";
import type { ClimatePoint } from "@/core/cure/climate";
import type { ActBrief } from "@/core/views/brief";
import type { Air } from "./climate";

/** A treatment as lists, Bench and Shelf show it: plain data, settled but for the time. */
export interface Item {
  readonly id: string;
  readonly piece_id: string;
  readonly title: string;
  readonly piece: string;
  readonly reference: string;
  readonly owner_reference: string;
  readonly kind: PieceKind;
  readonly substrate: Substrate;
  readonly finish: Finish;
  readonly promised: string | null;
  readonly brief: ActBrief;
  /** How many damages it mends. */
  readonly damages: number;
  /** For the mini route: what is behind, and what is not needed. */
  readonly marks: Partial<Record<Station, "done" | "skipped" | "unneeded">>;
}

/** The air as it was read; where nothing was, as it is now. */
export const climateOf = (samples: readonly ClimatePoint[], { temp_C }: Pick<Air, "temp_C">) =>
  samples.length > 0 ? { samples: [...samples] } : { constant_C: temp_C };
