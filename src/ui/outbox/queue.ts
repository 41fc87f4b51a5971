import type { Problem } from "@/core/problem";
import type { EventBody } from "@/core/record/events.schema";
import { isPassing } from "../forms/send";

export interface EntryOptions {
  /** Who did it. */
  readonly by?: string;
  readonly corrects?: string;
  readonly minutes_ago?: number;
  /** When it was done, ISO 8601; absent = when it was pressed. */
  readonly at?: string;
}

/** An entry on its way to the record. */
export interface NewKept {
  readonly treatment: string;
  /** What it is called where it is listed: the piece. */
  readonly piece: string;
  readonly key: string;
  /** Entries that the log has before it. */
  readonly version: number;
  readonly body: EventBody;
  readonly options: EntryOptions;
  /** When it was pressed, ms. */
  readonly since: number;
}

/** One that is kept on this device; `id` is its place in the order. */
export interface Kept extends NewKept {
  readonly id: number;
  /** Why it did not go up. */
  readonly problem?: Problem;
}

/** No request gets through now: the rest waits too. */
export const isAway = ({ status }: Problem): boolean => status === 0 || status === 503 || status === 507;
export const isCollision = ({ status }: Problem): boolean => status === 409;

/** Entries that the log will have when all that is kept for it has gone up. */
export function versionAfter(queue: readonly Kept[], treatment: string, seen: number): number {
  return queue.filter((each) => each.treatment === treatment).reduce((version, each) => Math.max(version, each.version + 1), seen);
}

/** The next to send: the oldest whose treatment is not held up by one before it. */
export function nextToSend(queue: readonly Kept[], tried: ReadonlySet<number>): Kept | undefined {
  const held = new Set<string>();
  for (const each of queue) {
    if (!held.has(each.treatment) && !tried.has(each.id) && (!each.problem || isPassing(each.problem))) return each;
    held.add(each.treatment);
  }
  return undefined;
}

/** It stands in the log, as entry `version`: the rest of its treatment follows on. */
export const gone = (queue: readonly Kept[], entry: Kept, version = entry.version + 1): Kept[] =>
  shifted(queue, entry, version - entry.version - 1).filter(({ id }) => id !== entry.id);

/** It is dropped: the rest of its treatment moves up. */
export const dropped = (queue: readonly Kept[], entry: Kept): Kept[] => shifted(queue, entry, -1).filter(({ id }) => id !== entry.id);

/** It is to stand after what others wrote meanwhile, and the rest of its treatment with it. */
export const afterTheirs = (queue: readonly Kept[], entry: Kept, version: number): Kept[] =>
  shifted(queue, entry, version - entry.version).map((each) =>
    each.id === entry.id ? { ...each, version, problem: undefined } : each,
  ) as Kept[];

const shifted = (queue: readonly Kept[], { id, treatment }: Kept, by: number): Kept[] =>
  queue.map((each) => (each.treatment === treatment && each.id > id ? { ...each, version: each.version + by } : each));

const MINUTE = 60_000;
/** As long ago the log takes in minutes; longer ago it asks for the time itself. */
const MOST_MINUTES = 2880;

/** What is sent: an entry that waited here says how long ago it was. */
export function requestOf({ key, version, body, options, since }: NewKept, now: number) {
  const { minutes_ago = 0, ...rest } = options;
  const minutes = minutes_ago + (now - since > MINUTE ? (now - since) / MINUTE : 0);
  if (rest.at !== undefined || minutes === 0) return { key, version, body, ...rest };
  const when = minutes > MOST_MINUTES ? { at: new Date(now - minutes * MINUTE).toISOString() } : { minutes_ago: minutes };
  return { key, version, body, ...rest, ...when };
}
