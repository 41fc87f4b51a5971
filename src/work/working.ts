import type { CureInput } from "@/core/cure/cure.schema";
import { readLog, type Treatment } from "@/core/record/treatment";
import { freshShop } from "@/core/shop/shop";
import { toolsOf } from "@/core/shop/tools";
import type { ActBrief } from "@/core/views/brief";
import { briefOf } from "@/core/views/briefOf";
import { type PieceFacts, type Worked, worked } from "@/core/views/worked";
import type { TreatmentRecord } from "@/store/queries";
import type { Air } from "./climate";

/** A treatment read and worked out; where that fails, the reason, so that one absurd figure takes down its own page only. */
export interface Read {
  readonly record: TreatmentRecord;
  readonly treatment: Treatment;
  readonly worked?: Worked;
  readonly brief: ActBrief;
}

export const pieceFacts = ({
  kind,
  part_id: part,
  parts,
  shop,
}: Pick<TreatmentRecord, "kind" | "part_id" | "parts" | "shop">): PieceFacts => ({
  kind,
  part,
  parts,
  ...(shop === null ? {} : { tools: toolsOf({ ...freshShop("", "UTC"), ...shop }) }),
});

const UNREADABLE = readLog([]);

/** The first clock of a log: from then on the air is asked for. */
export function firstClock({ entries }: Treatment): number | undefined {
  const starts = entries.filter(({ body }) => "start" in body && body.start !== undefined).map(({ at }) => Date.parse(at));
  return starts.length > 0 ? Math.min(...starts) : undefined;
}

/** The log of a record; an unreadable one counts as empty and says so. */
export function readRecord({ log }: TreatmentRecord): { readonly treatment: Treatment; readonly trouble?: string } {
  try {
    return { treatment: readLog(log) };
  } catch (error) {
    return { treatment: UNREADABLE, trouble: (error as Error).message };
  }
}

/** Work a record out in the shop's air. */
export function workOutRecord(record: TreatmentRecord, air: Air, climate: CureInput["climate"], now: number): Read {
  const { treatment, trouble } = readRecord(record);
  try {
    if (trouble !== undefined) throw new Error(trouble);
    const found = worked(pieceFacts(record), treatment, air, climate, now);
    return { record, treatment, brief: briefOf(treatment, found, now), ...(found ? { worked: found } : {}) };
  } catch (error) {
    const broken = `This record can’t be worked out: ${(error as Error).message}. Look at Survey and Match, and correct what is wrong.`;
    return { record, treatment, brief: { ...briefOf(treatment, undefined, now), broken } };
  }
}
