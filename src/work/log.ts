import { gradeIn } from "@/core/level/ladder";
import { QUARTERS_A_SHEET, sheetsFor } from "@/core/level/rung";
import { takenInAll } from "@/core/mix/batches";
import { faceOf } from "@/core/plan/sums";
import type { BodyOf, EventBody, LogEntry } from "@/core/record/events.schema";
import { BODY_VERSION } from "@/core/record/events.schema";
import { readLog } from "@/core/record/treatment";
import { present } from "@/core/units";
import { admit } from "@/core/views/admit";
import { entryWords } from "@/core/views/entryWords";
import { unplannable } from "@/core/views/stands";
import type { Worked } from "@/core/views/worked";
import { type ITreatment, LogRow, Treatment } from "@/store/entities";
import { type Em, em as openEm } from "@/store/orm";
import { holdTreatment, type TreatmentRecord, treatmentRecord } from "@/store/queries";
import { airNow, climateSince } from "./climate";
import { NewEntry } from "./inputs.schema";
import { climateOf } from "./item";
import { type ChangeOf, changeLot, giveBack, heldLot } from "./jars";
import { parse } from "./parse";
import { collided, invalid, notFound, refused } from "./problems";
import { changePaper } from "./shop";
import { firstClock, workingOut } from "./working";

/**
 * Write one entry in a treatment's log, in one transaction. The same `key` twice is one entry.
 * @throws {WorkProblem} 409 when the log has grown since the writer read it; 422 when the entry can't stand there
 */
export async function appendEntry(treatmentId: string, input: unknown, now: Date): Promise<{ id: string; version: number }> {
  const entry = parse(NewEntry, input);
  const em = await openEm();
  return em.transactional(async (tx) => {
    const { treatment, record } = await heldTreatment(tx, treatmentId);
    const known = await tx.findOne(LogRow, { treatment: treatmentId, key: entry.key });
    if (known) {
      if (!isSame(known.body, entry.body))
        throw invalid([{ path: "/key", message: "was used for another entry: send this one under its own" }]);
      return { id: known.id, version: known.seq };
    }
    if (treatment.version !== entry.version)
      throw collided(whatHappened(record.log, entry.version), {
        version: treatment.version,
        theirs: writtenSince(record.log, entry.version),
      });
    return writeEntry(tx, treatment, record, { ...entry, at: momentOf(entry, now), past: entry.at !== undefined }, now);
  });
}

/** Whether an entry is the one that was sent: what the record puts in itself is not looked at. */
function isSame(kept: object, sent: EventBody): boolean {
  const told = (body: object) => {
    const { words: _words, title: _title, paper: _paper, start, ...rest } = body as Record<string, unknown>;
    return canonical({ ...rest, ...(start ? { start: { ...start, climate: undefined } } : {}) });
  };
  return told(kept) === told(sent);
}

/** The same text for the same value, however its fields are ordered. */
const canonical = (value: unknown): string =>
  JSON.stringify(value, (_, inner: unknown) =>
    typeof inner === "object" && inner !== null && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort(([a], [b]) => (a < b ? -1 : 1)))
      : inner,
  );

/** A treatment, held until this transaction ends. @throws {WorkProblem} 404 when it is gone */
export async function heldTreatment(tx: Em, id: string): Promise<{ treatment: ITreatment; record: TreatmentRecord }> {
  await holdTreatment(tx, id);
  const treatment = await tx.findOne(Treatment, { id, deletedAt: null });
  const record = treatment && (await treatmentRecord(tx, id));
  if (!record) throw notFound("This treatment");
  return { treatment, record };
}

/** An entry that is about to be written: `past` where its time was typed. */
export interface Writing extends Pick<NewEntry, "key" | "body" | "corrects" | "by" | "air_then"> {
  readonly at: Date;
  readonly past: boolean;
}

/**
 * One line more in the log of a treatment that is held: admitted, in the words of the plan as it stands, and drawn from its jar.
 * @throws {WorkProblem} 422 when the entry can't stand there
 */
export async function writeEntry(
  tx: Em,
  treatment: ITreatment,
  record: TreatmentRecord,
  writing: Writing,
  now: Date,
): Promise<{ id: string; version: number }> {
  const { key, at, corrects, by } = writing;
  const told = { ...writing, body: writing.air_then ? await withItsAir(tx, writing) : writing.body };
  const plan = await admitOrThrow(tx, record, told, now);
  await paperBack(tx, record.log, corrects);
  const body = await withPaper(tx, inItsWords(told.body, plan), plan);
  const version = treatment.version + 1;
  const id = crypto.randomUUID();
  tx.create(LogRow, {
    id,
    treatment,
    seq: version,
    key,
    at,
    corrects: corrects ?? null,
    kind: body.kind,
    v: BODY_VERSION,
    by: by ?? null,
    body,
  });
  treatment.version = version;
  treatment.closedAt = closedAt([
    ...record.log,
    { id, seq: version, v: BODY_VERSION, at: at.toISOString(), ...present({ corrects, by }), body },
  ]);
  if (corrects !== undefined) await giveBack(tx, corrects, now, by);
  if (body.kind === "done" || body.kind === "batch-mixed")
    await drawn(tx, body, plan, { at, because: "mixed", piece: record.piece_title, entry: id, by });
  return { id, version };
}

/** What was started, in the air of the hour in which it was. */
async function withItsAir(tx: Em, { body, at }: Writing): Promise<EventBody> {
  if (!("start" in body) || !body.start) return body;
  const { temp_C, rh_pct } = await airNow(tx, at);
  return { ...body, start: { ...body.start, climate: { temp_C, rh_pct } } } as EventBody;
}

/** When a log was closed, where that stands. */
export function closedAt(log: readonly LogEntry[]): Date | null {
  const { closed } = readLog(log);
  return closed ? new Date(closed.at) : null;
}

/** What is done, or left out, is kept in the words of the plan that it was done by. */
function inItsWords(body: EventBody, plan: Worked | undefined): EventBody {
  if (body.kind !== "done" && body.kind !== "skipped" && body.kind !== "batch-mixed") return body;
  const known = plan?.repair.operations.find(({ id }) => id === body.op);
  return known ? { ...body, title: known.title.slice(0, 200), words: known.text.slice(0, 1000) } : body;
}

/** A rung that is walked uses up paper: what the shop counts of it goes down, and the entry says by how much. */
async function withPaper(tx: Em, body: EventBody, plan: Worked | undefined): Promise<EventBody> {
  if (body.kind !== "done") return body;
  const { paper: _theirs, ...told } = body;
  const op = plan?.repair.operations.find(({ id, kind }) => id === told.op && kind === "grit");
  const grade = op?.grade;
  if (!plan || !op || !grade) return told;
  const sheets = sheetsFor(faceOf(plan.repair.damages, op)).quarters / QUARTERS_A_SHEET;
  const taken = await changePaper(tx, grade, -sheets);
  return taken === 0 ? told : { ...told, paper: { grade, sheets: -taken } };
}

/** What an entry that is taken back had used up lies in the drawer again: once, however often it is taken back. */
async function paperBack(tx: Em, log: readonly LogEntry[], corrects: string | undefined): Promise<void> {
  if (corrects === undefined || log.some((entry) => entry.corrects === corrects)) return;
  const body = log.find(({ id }) => id === corrects)?.body;
  const paper = body?.kind === "done" ? body.paper : undefined;
  const grade = paper && gradeIn(paper.grade);
  if (paper && grade) await changePaper(tx, grade, paper.sheets);
}

/** The jar that something was mixed from goes down by what was weighed, else by what was planned. */
async function drawn(tx: Em, body: BodyOf<"done"> | BodyOf<"batch-mixed">, plan: Worked | undefined, change: ChangeOf): Promise<void> {
  const { op, start } = body;
  if (!start?.lot_id && !start?.also?.lot_id) return;
  const { batch, portion_g } = body.kind === "done" ? body : {};
  const weighed = start.parts && takenInAll(start.parts);
  const grams = portion_g ?? weighed ?? plan?.repair.operations.find(({ id }) => id === op)?.mass_g ?? 0;
  const also = start.also?.mass_g ?? 0;
  const taken = [
    { id: start.lot_id, grams: Math.max(0, grams - also) },
    { id: start.also?.lot_id, grams: also },
  ];
  // always in the same order, so that two who take of the same jars never wait in a circle
  for (const { id, grams: of } of taken.sort((a, b) => (a.id ?? "").localeCompare(b.id ?? "")))
    if (id && of > 0) changeLot(tx, await heldLot(tx, id), -of, { ...change, ...(batch ? { batch } : {}) });
}

/** When it was done: now, so many minutes ago, or at its own time, however long ago. @throws {WorkProblem} 422 for a time to come */
export function momentOf({ at, minutes_ago = 0 }: Pick<NewEntry, "at" | "minutes_ago">, now: Date): Date {
  const moment = at === undefined ? new Date(now.getTime() - minutes_ago * 60_000) : new Date(at);
  // a clock of a tablet may run a little ahead
  if (moment.getTime() > now.getTime() + 120_000) throw invalid([{ path: "/at", message: "lies in the future: enter what is done" }]);
  if (moment.getTime() < EARLIEST) throw invalid([{ path: "/at", message: "lies before anyone kept this record: check the year" }]);
  return moment;
}

/** Nothing that is entered was done before this. */
const EARLIEST = Date.parse("1950-01-01T00:00:00Z");

/**
 * The plan that an entry is admitted by; the repair can be worked out with the entry in the log, or it is not kept.
 * @throws {WorkProblem} 422 at the field that is wrong
 */
async function admitOrThrow(em: Em, record: TreatmentRecord, writing: Writing, now: Date): Promise<Worked | undefined> {
  const { log } = record;
  const { body, corrects, at, past, by } = writing;
  if (corrects !== undefined && !log.some(({ id }) => id === corrects))
    throw invalid([{ path: "/corrects", message: "is not an entry of this log" }]);
  if (body.kind === "withdrawn" && corrects === undefined) throw invalid([{ path: "/corrects", message: "is missing" }]);
  const treatment = readLog(log.filter(({ id }) => id !== corrects));
  const air = await airNow(em, now);
  const first = firstClock(treatment);
  const samples = first === undefined ? [] : await climateSince(em, new Date(first), now);
  const work = workingOut(record, air, climateOf(samples, air), at.getTime());
  const found = attempted(() => work(treatment).worked);
  const back = log.find(({ id }) => id === corrects);
  const why = found && admit({ treatment, worked: found.plan, at: at.getTime(), past, ...present({ back }) }, body);
  if (why) throw typeof why === "string" ? refused(why) : refused(why.message, why.path);
  const entry: LogEntry = {
    id: crypto.randomUUID(),
    seq: log.length + 1,
    v: BODY_VERSION,
    at: at.toISOString(),
    ...present({ corrects, by }),
    body,
  };
  const wrong = unplannable(log, entry, work);
  if (wrong) throw refused(wrong.message, wrong.path);
  return found?.plan;
}

/** The plan of a log; undefined where it can't be worked out: then what is there can still be noted on, corrected and taken back. */
function attempted(work: () => Worked | undefined): { readonly plan: Worked | undefined } | undefined {
  try {
    return { plan: work() };
  } catch {
    return undefined;
  }
}

const writtenSince = (log: readonly LogEntry[], seen: number): string[] =>
  log.filter(({ seq }) => seq > seen).map(({ body }) => entryWords(body));

/** What another window wrote meanwhile, in words. */
export function whatHappened(log: readonly LogEntry[], seen: number): string {
  const news = writtenSince(log, seen);
  return `Another window wrote here since you opened this page: ${news.join(", ") || "an entry"}. Yours is kept here, not saved yet.`;
}
