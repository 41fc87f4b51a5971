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
  /** The air is to be that of its own hour. */
  readonly air_then?: boolean;
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
  /** The window that waits for what becomes of it. */
  readonly window?: string;
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
  /** How often something broke over it. */
  readonly broke?: number;
  /** It stands in the log as entry `version`, since `at` (ms); its window has not read so yet. */
  readonly stood?: { readonly version: number; readonly at: number };
}

/** What is not in the record yet. */
export const onItsWay = (stored: readonly Kept[]): readonly Kept[] => stored.filter(({ stood }) => stood === undefined);

/** No request gets through now: the rest waits too. */
export const isAway = ({ status }: Problem): boolean => status === 0 || status === 503 || status === 507;
/** Something broke over it, there: the same again may break again. */
const isBroken = (problem: Problem): boolean => problem.status >= 500 && !isAway(problem);
export const isCollision = ({ status }: Problem): boolean => status === 409;

/** The logs that something kept writes in. */
export const takesOf = ({ treatment, version, batch }: Pick<NewKept, "treatment" | "version" | "batch">): readonly Take[] =>
  batch?.takes ?? [{ treatment, version, entries: 1 }];

/** Entries that the log will have when all that is kept for it has gone up. */
export function versionAfter(queue: readonly Kept[], treatment: string, seen: number): number {
  const mine = queue.flatMap(takesOf).filter((take) => take.treatment === treatment);
  return mine.reduce((version, take) => Math.max(version, take.version + take.entries), seen);
}

/** A new entry with the versions that its logs will have when it is its turn. */
export function waiting(stored: readonly Kept[], entry: NewKept): NewKept {
  const { batch } = entry;
  const queue = onItsWay(stored);
  const version = versionAfter(queue, entry.treatment, entry.version);
  if (!batch) return { ...entry, version };
  const takes = batch.takes.map((take) => ({ ...take, version: versionAfter(queue, take.treatment, take.version) }));
  return { ...entry, version, batch: { ...batch, takes } };
}

/** So often an entry over which something breaks is sent by itself: what breaks again and again will never pass. */
const MOST_BROKE = 3;

const goesByItself = ({ problem, broke = 0 }: Kept): boolean => !problem || (isPassing(problem) && broke < MOST_BROKE);

/** The next to send: the oldest whose treatment is not held up by one before it. */
export function nextToSend(queue: readonly Kept[], tried: ReadonlySet<number>): Kept | undefined {
  const held = new Set<string>();
  for (const each of onItsWay(queue)) {
    const logs = takesOf(each).map(({ treatment }) => treatment);
    if (!logs.some((log) => held.has(log)) && !tried.has(each.id) && goesByItself(each)) return each;
    for (const log of logs) held.add(log);
  }
  return undefined;
}

type Edit<More extends readonly unknown[] = []> = (stored: readonly Kept[], id: number, ...more: More) => readonly Kept[];

/** An edit of one entry that is on its way; where it is no more, nothing is edited. */
const edit =
  <More extends readonly unknown[]>(work: (stored: readonly Kept[], entry: Kept, ...more: More) => readonly Kept[]): Edit<More> =>
  (stored, id, ...more) => {
    const entry = onItsWay(stored).find((each) => each.id === id);
    return entry ? work(stored, entry, ...more) : stored;
  };

const replaced = (stored: readonly Kept[], by: Kept): Kept[] => stored.map((each) => (each.id === by.id ? by : each));

/** It stands in the log, as entry `version`: the rest of its treatment follows on. It stays until its window has read so. */
export const stands = edit((stored, entry, version: number = entry.version + 1, at: number) => {
  const { problem: _settled, ...rest } = entry;
  const shift = version - entry.version - 1;
  return replaced(
    shifted(stored, entry, () => shift),
    { ...rest, stood: { version, at } },
  );
});

/** It did not go up. */
export const failed = edit((stored, entry, problem: Problem) =>
  replaced(stored, { ...entry, problem, ...(isBroken(problem) ? { broke: (entry.broke ?? 0) + 1 } : {}) }),
);

/** Nothing is held against it any more. */
export const triedAnew = edit((stored, { problem: _held, broke: _told, ...entry }) => replaced(stored, entry));

/** It is dropped: the rest of its treatments moves up. */
export const dropped = edit((stored, entry) => shifted(stored, entry, ({ entries }) => -entries).filter(({ id }) => id !== entry.id));

/** It is to stand after what others wrote meanwhile, and the rest of its treatment with it. */
export const afterTheirs = edit((stored, { problem, ...entry }) => {
  const version = problem?.version ?? entry.version;
  return replaced(
    shifted(stored, entry, () => version - entry.version),
    { ...entry, version },
  );
});

/** After so long whoever waited for it has gone. */
const STOOD_MS = 10 * 60_000;
/** Without what stands in the record and nobody asks for any more. */
export const swept = (stored: readonly Kept[], now: number): readonly Kept[] =>
  stored.filter(({ stood }) => stood === undefined || now - stood.at < STOOD_MS);

/** What is kept after `entry` for the logs that it writes in comes so much later. */
function shifted(queue: readonly Kept[], entry: Kept, by: (take: Take) => number): Kept[] {
  const later = new Map(takesOf(entry).map((take) => [take.treatment, by(take)]));
  const moved = (treatment: string, version: number) => version + (later.get(treatment) ?? 0);
  return queue.map((each) => {
    if (each.id <= entry.id || !takesOf(each).some(({ treatment }) => (later.get(treatment) ?? 0) !== 0)) return each;
    const { batch } = each;
    const takes = batch?.takes.map((take) => ({ ...take, version: moved(take.treatment, take.version) }));
    return { ...each, version: moved(each.treatment, each.version), ...(batch && takes ? { batch: { ...batch, takes } } : {}) };
  });
}

const MINUTE = 60_000;
/** As long ago the log takes in minutes; longer ago it asks for the time itself. */
const MOST_MINUTES = 2880;

/** When it was done, ms: at the time that was typed, else so many minutes before it was pressed. */
export const doneAt = ({ options: { at, minutes_ago = 0 }, since }: Pick<NewKept, "options" | "since">): number =>
  at === undefined ? since - minutes_ago * MINUTE : Date.parse(at);

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
