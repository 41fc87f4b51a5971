import type { CureInput } from "@/core/cure/cure.schema";
import { readLog, type Treatment } from "@/core/record/treatment";
import { freshShop } from "@/core/shop/shop";
import { toolsOf } from "@/core/shop/tools";
import type { ActBrief } from "@/core/views/brief";
import { briefOf } from "@/core/views/briefOf";
import { saidOf, troubleOf } from "@/core/views/stands";
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

/** How the logs of a piece are worked out in an air, at a time. */
export const workingOut =
  (record: Parameters<typeof pieceFacts>[0], air: Air, climate: CureInput["climate"], now: number) => (treatment: Treatment) => {
    const found = worked(pieceFacts(record), treatment, air, climate, now);
    return { brief: briefOf(treatment, found, now), ...(found ? { worked: found } : {}) };
  };

/** Work a record out in the shop's air. */
export function workOutRecord(record: TreatmentRecord, air: Air, climate: CureInput["climate"], now: number): Read {
  const { treatment, trouble } = readRecord(record);
  const work = workingOut(record, air, climate, now);
  try {
    if (trouble !== undefined) throw new Error(trouble);
    return { record, treatment, ...work(treatment) };
  } catch (error) {
    const since = troubleOf(record.log, work);
    const why = since ? saidOf(since) : `This record can’t be worked out: ${(error as Error).message}.`;
    const broken_by = since && { entry: since.entry, seq: since.seq };
    return { record, treatment, brief: { ...briefOf(treatment, undefined, now), broken: why, ...(broken_by ? { broken_by } : {}) } };
  }
}
