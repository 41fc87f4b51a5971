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
  /** One mix for several: `body` is then what it is for this treatment. */
  readonly batch?: KeptBatch;
}

/** A mix for several operations, of one or several treatments. */
export interface KeptBatch {
  /** What it is called where it is listed. */
  readonly words: string;
  readonly request: { readonly portions: ReadonlyArray<{ readonly treatment: string }> } & object;
  readonly takes: readonly Take[];
}

/** So many entries in the log of a treatment, after those that it has. */
export interface Take {
  readonly treatment: string;
  readonly version: number;
  readonly entries: number;
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

/** The logs that something kept writes in. */
export const takesOf = ({ treatment, version, batch }: Pick<NewKept, "treatment" | "version" | "batch">): readonly Take[] =>
  batch?.takes ?? [{ treatment, version, entries: 1 }];

/** Entries that the log will have when all that is kept for it has gone up. */
export function versionAfter(queue: readonly Kept[], treatment: string, seen: number): number {
  const mine = queue.flatMap(takesOf).filter((take) => take.treatment === treatment);
  return mine.reduce((version, take) => Math.max(version, take.version + take.entries), seen);
}

/** With the versions that its logs will have when it is its turn. */
export function inTurn<T extends Pick<NewKept, "treatment" | "version" | "batch">>(queue: readonly Kept[], entry: T): T {
  const { batch } = entry;
  const version = versionAfter(queue, entry.treatment, entry.version);
  if (!batch) return { ...entry, version };
  const takes = batch.takes.map((take) => ({ ...take, version: versionAfter(queue, take.treatment, take.version) }));
  return { ...entry, version, batch: { ...batch, takes } };
}

/** The next to send: the oldest whose treatment is not held up by one before it. */
export function nextToSend(queue: readonly Kept[], tried: ReadonlySet<number>): Kept | undefined {
  const held = new Set<string>();
  for (const each of queue) {
    const logs = takesOf(each).map(({ treatment }) => treatment);
    if (!logs.some((log) => held.has(log)) && !tried.has(each.id) && (!each.problem || isPassing(each.problem))) return each;
    for (const log of logs) held.add(log);
  }
  return undefined;
}

/** It stands in the log, as entry `version`: the rest of its treatment follows on. */
export const gone = (queue: readonly Kept[], entry: Kept, version = entry.version + 1): Kept[] =>
  shifted(queue, entry, () => version - entry.version - 1).filter(({ id }) => id !== entry.id);

/** It is dropped: the rest of its treatments moves up. */
export const dropped = (queue: readonly Kept[], entry: Kept): Kept[] =>
  shifted(queue, entry, ({ entries }) => -entries).filter(({ id }) => id !== entry.id);

/** It is to stand after what others wrote meanwhile, and the rest of its treatment with it. */
export const afterTheirs = (queue: readonly Kept[], entry: Kept, version: number): Kept[] =>
  shifted(queue, entry, () => version - entry.version).map((each) =>
    each.id === entry.id ? { ...each, version, problem: undefined } : each,
  ) as Kept[];

/** What is kept after `entry` for the logs that it writes in comes so much later. */
function shifted(queue: readonly Kept[], entry: Kept, by: (take: Take) => number): Kept[] {
  const later = new Map(takesOf(entry).map((take) => [take.treatment, by(take)]));
  const moved = (treatment: string, version: number) => version + (later.get(treatment) ?? 0);
  return queue.map((each) => {
    if (each.id <= entry.id) return each;
    const { batch } = each;
    const takes = batch?.takes.map((take) => ({ ...take, version: moved(take.treatment, take.version) }));
    return { ...each, version: moved(each.treatment, each.version), ...(batch && takes ? { batch: { ...batch, takes } } : {}) };
  });
}

const MINUTE = 60_000;
/** As long ago the log takes in minutes; longer ago it asks for the time itself. */
const MOST_MINUTES = 2880;

/** Where it is sent. */
export const urlOf = ({ treatment, batch }: NewKept): string => (batch ? "/api/batches" : `/api/treatments/${treatment}/log`);

/** What is sent: what waited here says how long ago it was. */
export function requestOf({ key, version, body, options, since, batch }: NewKept, now: number): object {
  const { minutes_ago = 0, ...rest } = options;
  if (batch) {
    const version = new Map(batch.takes.map((take) => [take.treatment, take.version]));
    const portions = batch.request.portions.map((portion) => ({ ...portion, version: version.get(portion.treatment) }));
    const waited = Math.min(MOST_MINUTES, (now - since) / MINUTE);
    return { ...batch.request, portions, ...rest, ...(waited > 1 ? { minutes_ago: waited } : {}) };
  }
  const minutes = minutes_ago + (now - since > MINUTE ? (now - since) / MINUTE : 0);
  if (rest.at !== undefined || minutes === 0) return { key, version, body, ...rest };
  const when = minutes > MOST_MINUTES ? { at: new Date(now - minutes * MINUTE).toISOString() } : { minutes_ago: minutes };
  return { key, version, body, ...rest, ...when };
}
