import { LockMode } from "@mikro-orm/core";
import { stationLabel } from "@/core/catalogue";
import type { LogEntry } from "@/core/record/events.schema";
import { readLog } from "@/core/record/treatment";
import { BODY_VERSION } from "@/core/record/upcast";
import { admit } from "@/core/views/admit";
import { worked } from "@/core/views/worked";
import { LogRow, Treatment } from "@/store/entities";
import { type Em, em as openEm } from "@/store/orm";
import { type TreatmentRecord, treatmentRecord } from "@/store/queries";
import { airNow, climateSince } from "./climate";
import { NewEntry } from "./inputs.schema";
import { climateOf } from "./overview";
import { parse } from "./parse";
import { collided, invalid, notFound, refused } from "./problems";
import { firstClock, pieceFacts } from "./working";

/**
 * Write one entry in a treatment's log, in one transaction. The same `key` twice is one entry.
 * @throws {WorkProblem} 409 when the log has grown since the writer read it; 422 when the entry can't stand there
 */
export async function appendEntry(treatmentId: string, input: unknown, now: Date): Promise<{ id: string; version: number }> {
  const entry = parse(NewEntry, input);
  const em = await openEm();
  return em.transactional(async (tx) => {
    const treatment = await tx.findOne(Treatment, { id: treatmentId, deletedAt: null }, { lockMode: LockMode.PESSIMISTIC_WRITE });
    const record = treatment && (await treatmentRecord(tx, treatmentId));
    if (!record) throw notFound("This treatment");
    const known = await tx.findOne(LogRow, { treatment: treatmentId, key: entry.key });
    if (known) return { id: known.id, version: treatment.version };
    if (treatment.version !== entry.version) throw collided(whatHappened(record.log, entry.version));
    const at = momentOf(entry, now);
    await admitOrThrow(tx, record, entry, at, now);
    const version = treatment.version + 1;
    const row = tx.create(LogRow, {
      id: crypto.randomUUID(),
      treatment,
      seq: version,
      key: entry.key,
      at,
      corrects: entry.corrects ?? null,
      kind: entry.body.kind,
      v: BODY_VERSION,
      by: entry.by ?? null,
      body: entry.body,
    });
    treatment.version = version;
    return { id: row.id, version };
  });
}

/** When it was done: now, so many minutes ago, or at its own time, however long ago. @throws {WorkProblem} 422 for a time to come */
function momentOf({ at, minutes_ago = 0 }: NewEntry, now: Date): Date {
  const moment = at === undefined ? new Date(now.getTime() - minutes_ago * 60_000) : new Date(at);
  // a clock of a tablet may run a little ahead
  if (moment.getTime() > now.getTime() + 120_000) throw invalid([{ path: "/at", message: "lies in the future: enter what is done" }]);
  return moment;
}

async function admitOrThrow(em: Em, record: TreatmentRecord, { body, corrects }: NewEntry, at: Date, now: Date): Promise<void> {
  const { log } = record;
  if (corrects !== undefined && !log.some(({ id }) => id === corrects))
    throw invalid([{ path: "/corrects", message: "is not an entry of this log" }]);
  if (body.kind === "withdrawn" && corrects === undefined) throw invalid([{ path: "/corrects", message: "is missing" }]);
  const treatment = readLog(log.filter(({ id }) => id !== corrects));
  const air = await airNow(em, now);
  const first = firstClock(treatment);
  const samples = first === undefined ? [] : await climateSince(em, new Date(first), now);
  const found = worked(pieceFacts(record), treatment, air, climateOf(samples, air), at.getTime());
  const why = admit({ treatment, worked: found, at: at.getTime() }, body);
  if (why) throw refused(why);
}

/** What another window wrote meanwhile, in words. */
function whatHappened(log: readonly LogEntry[], seen: number): string {
  const news = log
    .filter(({ seq }) => seq > seen)
    .map(({ body }) =>
      "station" in body ? `${body.kind.replace("-", " ")} at ${stationLabel(body.station)}` : body.kind.replace("-", " "),
    );
  return `Another window wrote here since you opened this page: ${news.join(", ") || "an entry"}. Yours is kept here, not saved yet.`;
}
