import { takenInAll } from "../mix/batches";
import { present } from "../units";

/** What was done of an operation, as its log tells it. */
export interface OpMark {
  readonly status: "done" | "skipped";
  readonly at: string;
  /** The places it covered; absent = all that it names. */
  readonly places?: readonly string[];
  readonly surface_mm?: number;
  /** Of a mix: how much was weighed, as a share of what was planned. */
  readonly mixed_share?: number;
}

/** What an entry tells the plan of an operation that is done: places covered, a surface, how much of a batch was mixed. */
export interface DoneFacts {
  readonly places?: readonly string[];
  readonly surface_mm?: number;
  readonly start?: { readonly parts?: ReadonlyArray<{ readonly planned_g: number; readonly actual_g?: number }> };
}

/** The figures of a mark, from the entry that made it. Grams, mm. */
export function markFacts({ places, surface_mm, start }: DoneFacts): Omit<OpMark, "status" | "at"> {
  const planned = start?.parts?.reduce((sum, { planned_g }) => sum + planned_g, 0) ?? 0;
  const actual = takenInAll(start?.parts ?? []);
  return present({ places, surface_mm, mixed_share: planned > 0 ? actual / planned : undefined });
}
