import { cache } from "react";
import type { Finish, PieceKind, Station, Substrate } from "@/core/catalogue";
import { runningCure } from "@/core/plan/clocks";
import { type ActBrief, briefOf, rulingClock } from "@/core/plan/nextAct";
import { type Plan, planOf } from "@/core/plan/plan";
import { readLog, type StationMark, type Treatment } from "@/core/record/treatment";
import { type Em, em as openEm } from "@/store/orm";
import { closedTreatments, countClosed, openTreatments, type TreatmentRecord } from "@/store/queries";
import { type Air, airNow, climateSince } from "./climate";

/** A treatment as lists, Bench and Shelf show it: plain data, settled but for the time. */
export interface Item {
  readonly id: string;
  readonly piece_id: string;
  readonly title: string;
  readonly piece: string;
  readonly reference: string;
  readonly owner_reference: string;
  readonly kind: PieceKind;
  readonly substrate: Substrate;
  readonly finish: Finish;
  readonly promised: string | null;
  readonly brief: ActBrief;
  /** For the mini route: what is behind, and what is not needed. */
  readonly marks: Partial<Record<Station, StationMark["status"] | "unneeded">>;
}

export interface Overview {
  readonly now: number;
  readonly time_zone: string;
  readonly air: Air;
  readonly items: readonly Item[];
  readonly closed: number;
}

/** All open treatments with their clocks; read once a request, however many parts of the page ask. */
export const overview = cache(async (): Promise<Overview> => {
  const now = new Date();
  const em = await openEm();
  const [records, air, closed] = await Promise.all([openTreatments(em), airNow(em, now), countClosed(em)]);
  return { now: now.getTime(), time_zone: shopTimeZone(), air, items: await itemsOf(em, records, now), closed };
});

/** The treatments closed last. */
export async function closedItems(): Promise<readonly Item[]> {
  const em = await openEm();
  return itemsOf(em, await closedTreatments(em), new Date());
}

/** The shop's own clock: that of the machine that serves. */
export function shopTimeZone(): string {
  return Intl.DateTimeFormat().resolvedOptions().timeZone;
}

async function itemsOf(em: Em, records: readonly TreatmentRecord[], now: Date): Promise<Item[]> {
  const read = records.map((record) => {
    const treatment = readLog(record.log);
    return { record, treatment, plan: planOf(record, treatment), clock: rulingClock(treatment) };
  });
  const starts = read.flatMap(({ clock }) => (clock ? [Date.parse(clock.at)] : []));
  const samples = starts.length > 0 ? await climateSince(em, new Date(Math.min(...starts)), now) : [];
  return read.map(({ record, treatment, plan, clock }) => itemOf(record, treatment, plan, clock && runningCure(clock, { samples })));
}

/** Put a treatment in the form of lists. */
export function itemOf(
  record: TreatmentRecord,
  treatment: Treatment,
  plan: Plan | undefined,
  cure: ReturnType<typeof runningCure> | undefined,
): Item {
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
    brief: briefOf(treatment, plan, cure),
    marks: marksOf(treatment, plan),
  };
}

function marksOf(treatment: Treatment, plan: Plan | undefined): Item["marks"] {
  const unneeded = Object.values(plan?.stations ?? {})
    .filter(({ needed }) => !needed)
    .map(({ station }) => [station, "unneeded"]);
  const walked = Object.entries(treatment.stations).map(([station, mark]) => [station, mark?.status]);
  return Object.fromEntries([...unneeded, ...walked]);
}
