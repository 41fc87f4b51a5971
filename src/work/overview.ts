import { cache } from "react";
import type { Finish, PieceKind, Station, Substrate } from "@/core/catalogue";
import type { ClimatePoint } from "@/core/cure/climate";
import { STATION_ORDER, type Treatment } from "@/core/record/treatment";
import type { ActBrief } from "@/core/views/brief";
import type { Worked } from "@/core/views/worked";
import { type Em, em as openEm } from "@/store/orm";
import { closedTreatments, countClosed, openTreatments, type TreatmentRecord } from "@/store/queries";
import { type Air, airNow, climateSince } from "./climate";
import { firstClock, type Read, readRecord, workOutRecord } from "./working";

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
  /** How many damages it mends. */
  readonly damages: number;
  /** For the mini route: what is behind, and what is not needed. */
  readonly marks: Partial<Record<Station, "done" | "skipped" | "unneeded">>;
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
  return { now: now.getTime(), time_zone: shopTimeZone(), air, items: await itemsOf(em, records, now, air), closed };
});

/** The treatments closed last. */
export async function closedItems(): Promise<readonly Item[]> {
  const [em, now] = [await openEm(), new Date()];
  return itemsOf(em, await closedTreatments(em), now, await airNow(em, now));
}

/** The shop's own clock: that of the machine that serves. */
export function shopTimeZone(): string {
  return Intl.DateTimeFormat().resolvedOptions().timeZone;
}

async function itemsOf(em: Em, records: readonly TreatmentRecord[], now: Date, air: Air): Promise<Item[]> {
  const starts = records.flatMap((record) => firstClock(readRecord(record).treatment) ?? []);
  const samples = starts.length > 0 ? await climateSince(em, new Date(Math.min(...starts)), now) : [];
  return records.map((record) => itemOf(workOutRecord(record, air, climateOf(samples, air), now.getTime())));
}

/** The air as it was read; where nothing was, as it is now. */
export const climateOf = (samples: readonly ClimatePoint[], { temp_C }: Air) =>
  samples.length > 0 ? { samples: [...samples] } : { constant_C: temp_C };

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
