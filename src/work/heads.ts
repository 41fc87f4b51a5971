import type { ClassName, Station } from "@/core/catalogue";
import { STATION_ORDER, type Treatment } from "@/core/record/treatment";
import { actsOf } from "@/core/views/acts";
import { type ActBrief, actAt } from "@/core/views/brief";
import { needsOf, takesOf } from "@/core/views/needs";
import { blocksOf } from "@/core/views/week/blocks";
import type { Worked } from "@/core/views/worked";
import { type Due, driftedTreatments, dueTreatments, type HeadRow, keepHeads, settleDue } from "@/store/heads";
import { behind } from "@/store/lists";
import type { Em } from "@/store/orm";
import { type TreatmentRecord, treatmentsById } from "@/store/queries";
import { type Air, climateSince } from "./climate";
import { climateOf, type Item } from "./item";
import { firstClock, type Read, readRecord, workOutRecord } from "./working";

/**
 * What lists, Bench, Shelf and cabinet need of a treatment, kept beside it, so that a page costs what has changed and not what was ever
 * written. It is derived from the log alone: thrown away, it comes back the same.
 */
export async function refreshOpen(em: Em, now: Date, air: Air): Promise<void> {
  const { temp_C } = air;
  const looked = shared.__wanderjahrLooked;
  const drifts = !looked || now.getTime() - looked.at > LOOK_MS || now.getTime() < looked.at || Math.abs(temp_C - looked.temp_C) > 0.2;
  const due = await dueTreatments(em);
  const drifted = drifts ? await driftedTreatments(em, { stamp: stampOf(), now, temp_C }) : [];
  const marks = new Map(due.map((each) => [each.id, each]));
  await refresh(em, [...new Set([...marks.keys(), ...drifted])], now, air, marks);
  if (drifts) shared.__wanderjahrLooked = { at: now.getTime(), temp_C };
}

/** The heads of these treatments, open or closed. */
export async function refreshThese(em: Em, ids: readonly string[], now: Date, air: Air): Promise<void> {
  await refresh(em, await behind(em, ids, stampOf()), now, air, new Map());
}

/** Work heads out and keep them; `due` as it was read before their logs were. */
async function refresh(em: Em, ids: readonly string[], now: Date, air: Air, due: ReadonlyMap<string, Due>): Promise<void> {
  for (let from = 0; from < ids.length; from += AT_ONCE) {
    const some = ids.slice(from, from + AT_ONCE);
    const records = await treatmentsById(em, some);
    await keepHeads(em, await headsOf(em, records, now, air));
    await settleDue(
      em,
      some.flatMap((id) => due.get(id) ?? []),
    );
  }
}

/** So often all heads are looked through for air and time; what is written is seen at once. */
const LOOK_MS = 30_000;
/** So many are worked out before what they hold is let go. */
const AT_ONCE = 20;

const shared = globalThis as typeof globalThis & {
  __wanderjahrStamp?: string;
  __wanderjahrLooked?: { at: number; temp_C: number } | undefined;
};

/** What the kept heads were worked out by: the build that runs, else this very process. */
function stampOf(): string {
  shared.__wanderjahrStamp ??= process.env.APP_STAMP ?? crypto.randomUUID();
  return shared.__wanderjahrStamp;
}

/** Heads as the logs say, for whoever asks. */
export async function headsOf(em: Em, records: readonly TreatmentRecord[], now: Date, air: Air): Promise<HeadRow[]> {
  const starts = records.flatMap((record) => firstClock(readRecord(record).treatment) ?? []);
  const samples = starts.length > 0 ? await climateSince(em, new Date(Math.min(...starts)), now) : [];
  return records.map((record) => headOf(workOutRecord(record, air, climateOf(samples, air), now.getTime()), now, air));
}

function headOf(read: Read, now: Date, air: Air): HeadRow {
  const { record, worked, brief } = read;
  const open = worked?.repair.operations.filter(({ id, starts }) => starts !== undefined && !worked.marks.has(id)) ?? [];
  return {
    treatment_id: record.id,
    version: record.version,
    piece_version: record.piece_version,
    stamp: stampOf(),
    at: now.toISOString(),
    temp_c: air.temp_C,
    runs: worked !== undefined && runs(worked, now.getTime()),
    timed: brief.acts.some(({ from, until, never }) => from !== undefined || until !== undefined || never !== undefined),
    touch_at: touchAt(brief, now.getTime()),
    mixes: [...new Set(open.flatMap(({ class: name }) => (name === undefined ? [] : [name as ClassName])))],
    needs: worked ? needsOf({ id: record.id, piece: record.piece_title }, worked) : [],
    item: itemOf(read),
    blocks: worked && !read.treatment.closed ? blocksOf(actsOf(worked, now.getTime()), takesOf(worked)) : { blocks: [], lags: [] },
  };
}

/** From when there is something to do at it. */
function touchAt(brief: ActBrief, now: number): string | null {
  const { state, from } = actAt(brief, now);
  if (state === "closed") return null;
  return state === "too-early" && from !== undefined ? new Date(from).toISOString() : "-infinity";
}

/** A clock still has a stage before it: its times follow the air. */
function runs({ clocks }: Worked, now: number): boolean {
  return [...clocks.values()].some(({ stages }) => stages.some(({ at }) => at === undefined || at > now));
}

/** Put a treatment in the form of lists. */
export function itemOf({ record, treatment, worked, brief }: Read): Item {
  const { id, piece_id, title, piece_title: piece, reference, owner_reference, kind, substrate, finish, promised } = record;
  return {
    id,
    piece_id,
    title,
    piece,
    reference,
    owner_reference,
    kind,
    substrate,
    finish,
    promised,
    brief,
    damages: treatment.damages.length,
    marks: marksOf(treatment, worked),
  };
}

/** For the mini route: what is behind, and what is not needed. */
function marksOf(treatment: Treatment, worked: Worked | undefined): Item["marks"] {
  const behind: Array<[Station, "done"]> = [
    ...(treatment.damages.length > 0 ? [["survey", "done"] as [Station, "done"]] : []),
    ...(treatment.settled ? [["match", "done"] as [Station, "done"]] : []),
  ];
  if (!worked) return Object.fromEntries(behind);
  const { operations } = worked.repair;
  const stations = STATION_ORDER.slice(2).flatMap((station): Array<[Station, "done" | "unneeded"]> => {
    const here = operations.filter((operation) => operation.station === station);
    if (here.length === 0) return [[station, "unneeded"]];
    return here.every(({ id }) => worked.marks.has(id)) || treatment.closed ? [[station, "done"]] : [];
  });
  return Object.fromEntries([...behind, ...stations]);
}
