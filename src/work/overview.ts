import { cache } from "react";
import { openItemRows } from "@/store/heads";
import { listCounts } from "@/store/lists";
import { em as openEm } from "@/store/orm";
import { isEmpty, ping } from "@/store/queries";
import { type Air, airNow } from "./climate";
import { refreshOpen } from "./heads";
import type { Item } from "./item";
import { shop } from "./shop";

export interface Overview {
  readonly now: number;
  readonly time_zone: string;
  readonly air: Air;
  /** What is timed first, then by what is promised; so many at most. */
  readonly items: readonly Item[];
  readonly open: number;
}

/** So many a bench looks at; more than that nobody does in a day. */
const MOST_ITEMS = 60;

/** The open treatments with their clocks; read once a request, however many parts of the page ask. */
export const overview = cache(async (): Promise<Overview> => {
  const now = new Date();
  const em = await openEm();
  const [air, { time_zone }] = await Promise.all([airNow(em, now), shop()]);
  await refreshOpen(em, now, air);
  const [items, { open }] = await Promise.all([openItemRows<Item>(em, MOST_ITEMS), listCounts(em, now)]);
  return { now: now.getTime(), time_zone, air, items, open };
});

/** Whether nothing was ever entered. */
export const isNew = async (): Promise<boolean> => isEmpty(await openEm());

/** Answers when the record can be reached: one query. */
export async function health(): Promise<{ here: true }> {
  await ping(await openEm());
  return { here: true };
}
