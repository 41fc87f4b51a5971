import { BODY_VERSION } from "@/core/record/events.schema";
import { partedLog } from "@/core/views/apart";
import { worked } from "@/core/views/worked";
import { LogRow, Part, Treatment } from "@/store/entities";
import type { Em } from "@/store/orm";
import { airNow } from "./climate";
import { NewApart } from "./inputs.schema";
import { heldTreatment, whatHappened, writeEntry } from "./log";
import { found, once } from "./once";
import { parse } from "./parse";
import { collided, refused } from "./problems";
import { pieceFacts, readRecord } from "./working";

/**
 * Take a damage out of a treatment into one of its own, with all that was written and done of it; both logs grow, or none.
 * @throws {WorkProblem} 409 when the log has grown since it was read; 422 when it is the only damage, or not there
 */
export async function treatApart(id: string, input: unknown, now: Date): Promise<{ id: string }> {
  const { to, damage, version, title, by } = parse(NewApart, input);
  const here = (tx: Em) => found(tx.findOne(LogRow, { treatment: id, key: `apart:${to}` }));
  await once(here, async (tx) => {
    const { treatment, record } = await heldTreatment(tx, id);
    // the same, sent at the same moment, waited for this one
    if (await here(tx)) return;
    if (treatment.version !== version) throw collided(whatHappened(record.log, version));
    const told = readRecord(record).treatment;
    const meant = told.damages.find((each) => each.id === damage);
    const air = await airNow(tx, now);
    const planOf = (of: typeof told) => worked(pieceFacts(record), of, air, { constant_C: air.temp_C }, now.getTime());
    const part = record.parts.find((each) => each.id === (meant?.survey.body.part ?? record.part_id)) ?? record.parts[0];
    if (!part) throw refused("The piece has no part.");
    await writeEntry(
      tx,
      treatment,
      record,
      { key: `apart:${to}`, body: { kind: "parted", damage, to, title }, at: now, past: false, ...(by ? { by } : {}) },
      now,
    );
    const log = partedLog(told, planOf(told), damage, part.id, planOf);
    const row = tx.create(Treatment, {
      id: to,
      piece: treatment.piece,
      part: tx.getReference(Part, part.id),
      title,
      promised: treatment.promised,
      createdAt: now,
      closedAt: null,
      version: log.length,
    });
    for (const [i, { at, by: who, body }] of log.entries())
      tx.create(LogRow, {
        id: crypto.randomUUID(),
        treatment: row,
        seq: i + 1,
        key: `apart:${i}`,
        at: new Date(at),
        corrects: null,
        kind: body.kind,
        v: BODY_VERSION,
        by: who ?? null,
        body,
      });
  });
  return { id: to };
}
