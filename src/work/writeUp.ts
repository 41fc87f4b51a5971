import { BODY_VERSION } from "@/core/record/events.schema";
import { present } from "@/core/units";
import { LogRow } from "@/store/entities";
import { em as openEm } from "@/store/orm";
import { WriteUp } from "./inputs.schema";
import { heldTreatment, momentOf, whatHappened, writeEntry } from "./log";
import { parse } from "./parse";
import { collided, WorkProblem } from "./problems";

/** What became of a write-up: what stands in the log now, and row by row what can't, with why. */
export interface WrittenUp {
  readonly version: number;
  readonly written: ReadonlyArray<{ readonly key: string; readonly id: string }>;
  readonly refused: ReadonlyArray<{
    readonly key: string;
    readonly detail: string;
    readonly errors: ReadonlyArray<{ readonly path: string; readonly message: string }>;
  }>;
}

/**
 * Write up what was done earlier: every entry at its own time, judged in the order in which it was done, all in one transaction. What can't
 * stand is told by its key and hinders none of the others; a key that is in the log already is that entry.
 * @throws {WorkProblem} 409 when the log has grown since the writer read it
 */
export async function writeUp(treatmentId: string, input: unknown, now: Date): Promise<WrittenUp> {
  const { version, entries } = parse(WriteUp, input);
  const timed = entries.map((entry, i) => ({ ...entry, i, at: momentOf(entry, now), past: entry.at !== undefined }));
  const inOrder = timed.sort((a, b) => a.at.getTime() - b.at.getTime() || a.i - b.i);
  const em = await openEm();
  return em.transactional(async (tx) => {
    const { treatment, record } = await heldTreatment(tx, treatmentId);
    const known = new Map(
      (await tx.find(LogRow, { treatment: treatmentId, key: { $in: entries.map(({ key }) => key) } })).map(({ key, id }) => [key, id]),
    );
    if (known.size < entries.length && treatment.version !== version)
      throw collided(whatHappened(record.log, version), { version: treatment.version });
    const written = [...known].map(([key, id]) => ({ key, id }));
    const refused: Array<WrittenUp["refused"][number]> = [];
    for (const { i: _i, ...entry } of inOrder.filter(({ key }) => !known.has(key))) {
      try {
        // each in a savepoint of its own: what is refused half way leaves nothing behind
        const { id } = await tx.transactional((inner) => writeEntry(inner, treatment, record, entry, now));
        written.push({ key: entry.key, id });
        const { body, at, by } = entry;
        record.log.push({ id, seq: treatment.version, v: BODY_VERSION, at: at.toISOString(), ...present({ by }), body });
      } catch (error) {
        if (!(error instanceof WorkProblem)) throw error;
        const { detail, errors = [] } = error.problem;
        refused.push({ key: entry.key, detail, errors: [...errors] });
      }
    }
    return { version: treatment.version, written, refused };
  });
}
