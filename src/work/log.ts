import { LockMode } from "@mikro-orm/core";
import { stationLabel } from "@/core/catalogue";
import { admit } from "@/core/record/admit";
import type { LogEntry } from "@/core/record/events.schema";
import { readLog } from "@/core/record/treatment";
import { LogRow, Treatment } from "@/store/entities";
import { em as openEm } from "@/store/orm";
import { treatmentRecord } from "@/store/queries";
import { NewEntry } from "./inputs.schema";
import { parse } from "./parse";
import { collided, invalid, notFound, refused } from "./problems";

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
    admitOrThrow(record.log, entry);
    const version = treatment.version + 1;
    const at = new Date(now.getTime() - (entry.minutes_ago ?? 0) * 60_000);
    const row = tx.create(LogRow, {
      id: crypto.randomUUID(),
      treatment,
      seq: version,
      key: entry.key,
      at,
      corrects: entry.corrects ?? null,
      kind: entry.body.kind,
      body: entry.body,
    });
    treatment.version = version;
    return { id: row.id, version };
  });
}

function admitOrThrow(log: readonly LogEntry[], { body, corrects }: NewEntry): void {
  if (corrects !== undefined && !log.some(({ id }) => id === corrects))
    throw invalid([{ path: "/corrects", message: "is not an entry of this log" }]);
  if (body.kind === "withdrawn" && corrects === undefined) throw invalid([{ path: "/corrects", message: "is missing" }]);
  const standing = readLog(log.filter(({ id }) => id !== corrects));
  const why = admit(standing, body);
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
