import { type MaterialClass, materialOf, STATIONS, type Stance, type Station } from "../catalogue";
import type { Taken } from "../match/match.schema";
import { asOne } from "../mix/batches";
import { wayRow } from "../survey/ways";
import type { BodyOf, EventKind, LogEntry } from "./events.schema";
import { headOf, stationOfOp } from "./opId";

/** A log line with its body narrowed to one kind. */
export type Entry<K extends EventKind = EventKind> = Omit<LogEntry, "body"> & { readonly body: BodyOf<K> };

/** What was done, or left out, of one operation. */
export interface Mark {
  readonly entry: string;
  readonly status: "done" | "skipped";
  readonly at: string;
  readonly by?: string;
  readonly body: BodyOf<"done"> | BodyOf<"skipped">;
}

/** One damage of a treatment as far as its log tells it. */
export interface DamageRecord {
  readonly id: string;
  readonly survey: Entry<"surveyed">;
  readonly choice?: Entry<"matched">;
  readonly brace?: Entry<"braced">;
  readonly form?: Entry<"form-chosen">;
  readonly fill?: Entry<"fill-set">;
  /** Grades that were gone back to at Level, in their order. */
  readonly back: readonly Entry<"stepped-back">[];
  readonly dry_run?: Entry<"dry-run">;
  readonly shards?: Entry<"shards-mapped">;
  /** Where it is on the condition map, each 0 to 1. */
  readonly mark?: { readonly x: number; readonly y: number };
  /** It is known what is done: a chain is chosen, or its way needs none. */
  readonly settled: boolean;
  /** The survey was changed after the choice was made. */
  readonly choice_stale: boolean;
}

/** A treatment as its log tells it: one campaign on a piece, with one or several damages. Derived on every read; nothing of this is stored. */
export interface Treatment {
  /** What stands: entries that were neither withdrawn nor corrected. */
  readonly entries: readonly Entry[];
  readonly damages: readonly DamageRecord[];
  readonly marks: ReadonlyMap<string, Mark>;
  readonly rounds: readonly Entry<"round-opened">[];
  /** Clocks that were found behind their time. */
  readonly soft: readonly Entry<"found-soft">[];
  readonly added: readonly BodyOf<"step-added">[];
  /** Cups of mixes that are stirred in several, but for the last, by operation. */
  readonly batches: ReadonlyMap<string, readonly Entry<"batch-mixed">[]>;
  readonly closed?: Entry<"closed">;
  /** The name of one more damage; none is given twice. */
  readonly next_damage: string;
  /** Every damage is settled. */
  readonly settled: boolean;
  readonly choice_stale: boolean;
  readonly stance: Stance;
  /** The mark of a treatment that is not surveyed yet. */
  readonly first_mark?: { readonly x: number; readonly y: number };
}

/** The first damage of a treatment, where an entry names none. */
export const FIRST_DAMAGE = "d1";

/** Read a log, in order of `seq`. */
export function readLog(log: readonly LogEntry[]): Treatment {
  const entries = standingEntries(log);
  const parted = new Set(all(entries, "parted").map(({ body }) => body.damage));
  const named = [...new Set(all(entries, "surveyed").map(damageOf))];
  const ids = named.filter((id) => !parted.has(id));
  const damages = ids.map((id) => damageRecord(id, entries)).filter((damage) => damage !== undefined);
  const batches = batchesOf(entries);
  const ended = entries.filter(({ body }) => body.kind === "closed" || body.kind === "reopened").at(-1);
  const mark = all(entries, "marked")
    .filter((entry) => damageOf(entry) === FIRST_DAMAGE)
    .at(-1);
  return {
    entries,
    damages,
    marks: marksOf(entries, batches),
    batches,
    rounds: all(entries, "round-opened").filter(({ body }) => body.places.some((place) => !parted.has(headOf(place)))),
    soft: all(entries, "found-soft"),
    added: all(entries, "step-added").map(({ body }) => body),
    ...(ended && is(ended, "closed") ? { closed: ended } : {}),
    next_damage: `d${1 + Math.max(0, ...named.map((id) => Number(/^d(\d+)$/.exec(id)?.[1] ?? 0)))}`,
    settled: damages.length > 0 && damages.every(({ settled }) => settled),
    choice_stale: damages.some(({ choice_stale }) => choice_stale),
    stance: all(entries, "matched").at(-1)?.body.stance ?? "reversible",
    ...(mark ? { first_mark: { x: mark.body.x, y: mark.body.y } } : {}),
  };
}

function damageRecord(id: string, entries: readonly Entry[]): DamageRecord | undefined {
  const last = <K extends EventKind>(kind: K) =>
    all(entries, kind)
      .filter((entry) => damageOf(entry) === id)
      .at(-1);
  const survey = last("surveyed");
  if (!survey) return undefined;
  const choice = last("matched");
  const mark = last("marked");
  const way = survey.body.way;
  const row = way && wayRow(survey.body.survey.damage.kind, way.way);
  return {
    id,
    survey,
    ...opt("choice", choice),
    ...opt("brace", last("braced")),
    ...opt("form", last("form-chosen")),
    ...opt("fill", last("fill-set")),
    back: all(entries, "stepped-back").filter((entry) => damageOf(entry) === id),
    ...opt("dry_run", last("dry-run")),
    ...opt("shards", last("shards-mapped")),
    ...(mark ? { mark: { x: mark.body.x, y: mark.body.y } } : {}),
    settled: choice !== undefined || (row !== undefined && row.places === undefined),
    choice_stale: choice !== undefined && survey.seq > choice.seq,
  };
}

/** The damage that an entry speaks of. */
export function damageOf({ body }: Entry): string {
  return ("damage" in body ? body.damage : undefined) ?? FIRST_DAMAGE;
}

/** The last word on each operation. */
function marksOf(entries: readonly Entry[], batches: Treatment["batches"]): Map<string, Mark> {
  const marks = new Map<string, Mark>();
  for (const { id, at, by, body } of entries)
    if (body.kind === "done" || body.kind === "skipped")
      marks.set(body.op, {
        entry: id,
        status: body.kind,
        at,
        body: body.kind === "done" ? withEarlier(body, batches.get(body.op)) : body,
        ...opt("by", by),
      });
  return marks;
}

function batchesOf(entries: readonly Entry[]): Map<string, Entry<"batch-mixed">[]> {
  const batches = new Map<string, Entry<"batch-mixed">[]>();
  for (const entry of all(entries, "batch-mixed")) batches.set(entry.body.op, [...(batches.get(entry.body.op) ?? []), entry]);
  return batches;
}

/** The last cup of a mix with those before it: what was mixed is all of them. */
function withEarlier(body: BodyOf<"done">, earlier: readonly Entry<"batch-mixed">[] = []): BodyOf<"done"> {
  if (earlier.length === 0 || !body.start?.parts) return body;
  const cups = [...earlier.map((entry) => entry.body.start.parts ?? []), body.start.parts];
  return { ...body, start: { ...body.start, parts: asOne(cups, body.whole_g) } };
}

/** A class or a jar of it, with the figures that hold for it. */
export function materialTaken({ class: name, product }: Taken): MaterialClass {
  return materialOf(name, product);
}

/** Minutes of hands as they were given; of how many acts, and how many acts there are. */
export interface HandsGiven {
  readonly min: number;
  readonly given: number;
  readonly of: number;
}

const ACTS: readonly EventKind[] = ["done", "batch-mixed", "dry-run"];

/** Minutes that hands were on the piece, as far as they were given: what nobody timed is counted, never guessed. */
export function handsGiven(entries: readonly Entry[]): HandsGiven {
  const timed = entries.flatMap(({ body }) => ("hands_min" in body && body.hands_min !== undefined ? [body.hands_min] : []));
  return {
    min: timed.reduce((sum, minutes) => sum + minutes, 0),
    given: timed.length,
    of:
      timed.length +
      entries.filter(({ body }) => ACTS.includes(body.kind) && !("hands_min" in body && body.hands_min !== undefined)).length,
  };
}

export function is<K extends EventKind>(entry: Entry, kind: K): entry is Entry<K> {
  return entry.body.kind === kind;
}

export function all<K extends EventKind>(entries: readonly Entry[], kind: K): Entry<K>[] {
  return entries.filter((entry): entry is Entry<K> => is(entry, kind));
}

function standingEntries(log: readonly LogEntry[]): Entry[] {
  const corrected = new Set(log.flatMap(({ corrects }) => (corrects === undefined ? [] : [corrects])));
  return log.filter(({ id, body }) => !corrected.has(id) && body.kind !== "withdrawn");
}

function opt<K extends string, V>(key: K, value: V | undefined): Partial<Record<K, V>> {
  return value === undefined ? {} : ({ [key]: value } as Record<K, V>);
}

/** The stations in order, for those who walk them. */
export const STATION_ORDER: readonly Station[] = STATIONS.map(({ station }) => station);

const STATION_OF: Readonly<
  Record<
    Exclude<
      EventKind,
      "done" | "skipped" | "batch-mixed" | "found-soft" | "came-out" | "round-opened" | "step-added" | "noted" | "withdrawn"
    >,
    Station
  >
> = {
  surveyed: "survey",
  marked: "survey",
  matched: "match",
  parted: "survey",
  "dry-run": "ready",
  "shards-mapped": "ready",
  "form-chosen": "ready",
  "fill-set": "fill",
  "spot-found": "fill",
  "stepped-back": "level",
  "recipe-kept": "colour",
  "swatch-read": "colour",
  "sheen-read": "colour",
  braced: "join",
  closed: "close",
  reopened: "close",
};

/** The station that an entry belongs to; an operation's stands in its id. */
export function stationOf({ body }: Entry): Station {
  if ("station" in body) return body.station;
  if ("op" in body) return stationOfOp(body.op);
  return body.kind === "withdrawn" ? "close" : STATION_OF[body.kind];
}
