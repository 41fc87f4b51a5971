import { CLASS_ROWS, type ClassName } from "@/core/catalogue";
import { present } from "@/core/units";
import { actsOf } from "@/core/views/acts";
import { type Share, sharesOf, startOfShare, unaccounted } from "@/core/views/batch";
import { Batch, LogRow } from "@/store/entities";
import { type Em, em as openEm } from "@/store/orm";
import { treatmentsThatMix } from "@/store/queries";
import { airNow, climateSince } from "./climate";
import { refreshOpen } from "./heads";
import { NewBatch } from "./inputs.schema";
import { climateOf } from "./item";
import { changeLot, heldLot } from "./jars";
import { heldTreatment, momentOf, whatHappened, writeEntry } from "./log";
import { found, once } from "./once";
import { parse } from "./parse";
import { withPauses } from "./pauses";
import { collided, invalid, refused, WorkProblem } from "./problems";
import { firstClock, readRecord, workOutRecord } from "./working";

/** Shares of one class that open treatments could take now, by treatment. */
export interface TreatmentShares {
  readonly treatment: string;
  readonly version: number;
  readonly piece: string;
  readonly title: string;
  readonly shares: readonly Share[];
}

/** Of more treatments than this nobody mixes in one cup: those that began first are asked. */
const MOST_MIXED = 60;

/** Everything of a class that could be mixed in one go, in every open treatment. @throws {WorkProblem} 422 for a class that is none */
export async function mixableNow(name: string, now: Date, gone?: AbortSignal): Promise<readonly TreatmentShares[]> {
  if (!CLASS_ROWS.some((row) => row.class === name)) throw invalid([{ path: "/class", message: "is no class of material" }]);
  const em = await openEm();
  const air = await airNow(em, now);
  await refreshOpen(em, now, air);
  const records = await treatmentsThatMix(em, name, MOST_MIXED);
  const starts = records.flatMap((record) => firstClock(readRecord(record).treatment) ?? []);
  const samples = starts.length > 0 ? await climateSince(em, new Date(Math.min(...starts)), now) : [];
  const found: TreatmentShares[] = [];
  for await (const record of withPauses(records, gone)) {
    const { worked } = workOutRecord(record, air, climateOf(samples, air), now.getTime());
    const shares = worked ? sharesOf(actsOf(worked, now.getTime()), name as ClassName) : [];
    if (shares.length > 0)
      found.push({ treatment: record.id, version: record.version, piece: record.piece_title, title: record.title, shares });
  }
  return found;
}

/**
 * One mix for several operations, of one or several treatments: all their logs grow, or none. Logs are held in the order of their ids, so
 * that two batches never wait for one another. The jar goes down by what was mixed. The same id twice is one batch.
 * @throws {WorkProblem} 409 when one of the logs has grown since it was read; 422 when something can't be mixed now, or does not add up
 */
export async function mixBatch(input: unknown, now: Date): Promise<{ id: string }> {
  const batch = parse(NewBatch, input);
  const at = momentOf(batch, now);
  const mixed_g = batch.parts.reduce((sum, { actual_g }) => sum + actual_g, 0);
  const wrong = unaccounted(
    mixed_g,
    batch.portions.map(({ mass_g }) => mass_g),
    batch.left_g,
  );
  if (wrong) throw invalid([{ path: "/left_g", message: wrong }]);
  const here = (tx: Em) => found(tx.findOne(Batch, batch.id));
  await once(here, async (tx) => {
    const ids = [...new Set(batch.portions.map(({ treatment }) => treatment))].sort();
    // logs first, in order, then the jar: as a single entry does, so that nobody waits in a circle
    for (const treatment of ids) await heldTreatment(tx, treatment);
    for (const treatment of ids) await takePortions(tx, batch, treatment, { at, now });
    await settle(tx, batch, mixed_g, at);
  });
  return { id: batch.id };
}

type Portion = NewBatch["portions"][number];

/** When it was mixed, and when it came in. */
interface Times {
  readonly at: Date;
  readonly now: Date;
}

/** What one treatment takes of a batch, operation by operation. */
async function takePortions(tx: Em, batch: NewBatch, id: string, times: Times): Promise<void> {
  const portions = batch.portions.filter(({ treatment }) => treatment === id);
  for (const [i, portion] of portions.entries()) {
    const held = await heldTreatment(tx, id);
    const key = `batch:${batch.id}:${i}`;
    if (await tx.findOne(LogRow, { treatment: id, key })) continue;
    await named(held.record.piece_title, () => takePortion(tx, held, batch, { ...portion, version: portion.version + i }, key, times));
    await tx.flush();
  }
}

/** Which piece refused it matters more than that one did. */
async function named(piece: string, work: () => Promise<void>): Promise<void> {
  try {
    await work();
  } catch (error) {
    if (!(error instanceof WorkProblem)) throw error;
    throw error.problem.status === 409 ? collided(`${piece}: ${error.problem.detail}`) : refused(`${piece}: ${error.problem.detail}`);
  }
}

async function takePortion(
  tx: Em,
  { treatment, record }: Awaited<ReturnType<typeof heldTreatment>>,
  batch: NewBatch,
  portion: Portion,
  key: string,
  { at, now }: Times,
): Promise<void> {
  if (treatment.version !== portion.version) throw collided(whatHappened(record.log, portion.version));
  const air = await airNow(tx, now);
  const { worked } = workOutRecord(record, air, { constant_C: air.temp_C }, at.getTime());
  const { class: name, product, lot, lot_id, parts, climate, by } = batch;
  const start = worked && startOfShare(worked, portion, { class: name, climate, parts, ...present({ product, lot, lot_id }) });
  if (!start) throw refused("this mix does not serve there. Its plan may have changed since you opened the page.");
  const hands_min = batch.hands_min === undefined ? undefined : batch.hands_min / batch.portions.length;
  const body = { kind: "done", op: portion.op, ...present({ hands_min }), start, batch: batch.id, portion_g: portion.mass_g } as const;
  await writeEntry(tx, treatment, record, { key, body, at, past: false, ...present({ by }) }, now);
}

/** The batch's own row; of what is left only that which was thrown away comes out of the jar. */
async function settle(tx: Em, batch: NewBatch, mixed_g: number, now: Date): Promise<void> {
  // the same, sent at the same moment, waited for this one
  if (await tx.findOne(Batch, batch.id)) return;
  const lot = batch.lot_id ? await heldLot(tx, batch.lot_id) : null;
  if (lot && batch.left_over === "thrown" && batch.left_g > 0)
    changeLot(tx, lot, -batch.left_g, { at: now, because: "thrown away", batch: batch.id, by: batch.by });
  tx.create(Batch, {
    id: batch.id,
    at: now,
    by: batch.by ?? null,
    class: batch.class,
    lot,
    mixedG: mixed_g,
    leftG: batch.left_g,
    leftOver: batch.left_over,
    portions: batch.portions.map(({ treatment, op, mass_g }) => ({ treatment, op, mass_g })),
  });
}
