import { type Grade, type MaterialClass, materialOf, type Role, STATIONS, type Station } from "../catalogue";
import type { ActName, StartKind } from "../cure/windows.data";
import type { LevelEntry } from "../level/walk";
import type { Taken } from "../match/match.schema";
import type { Damage } from "../survey/measures.data";
import type { BodyOf, Decision, EventKind, LogEntry } from "./events.schema";

/** A log line with its body narrowed to one kind. */
export type Entry<K extends EventKind = EventKind> = Omit<LogEntry, "body"> & { readonly body: BodyOf<K> };

export type Clock = Entry<StartKind>;

export interface StationMark {
  readonly status: "done" | "skipped";
  readonly at: string;
  readonly reason?: string;
}

export interface StepMark {
  readonly entry: string;
  readonly status: "done" | "skipped";
  readonly at: string;
  readonly note?: string;
  readonly hands_min?: number;
}

/** A treatment as its log tells it. Derived on every read; nothing of this is stored. */
export interface Treatment {
  /** What stands: entries that were neither withdrawn nor corrected. */
  readonly entries: readonly Entry[];
  readonly survey?: Entry<"surveyed">;
  /** Repair, replace or leave, where it is not the first way of its kind. */
  readonly decision?: Decision;
  /** What is treated: the damage as surveyed, or as the decision turned it. */
  readonly damage?: Damage;
  /** Where the damage is on the condition map, each 0 to 1. */
  readonly mark?: { readonly x: number; readonly y: number };
  readonly dry_run?: Entry<"dry-run">;
  readonly shards?: Entry<"shards-mapped">;
  readonly form?: Entry<"form-chosen">;
  readonly brace?: Entry<"braced">;
  /** Steps of one's own, and the order that was given to a station's steps. */
  readonly added: readonly BodyOf<"step-added">[];
  readonly order: Partial<Record<Station, readonly string[]>>;
  readonly choice?: Entry<"matched">;
  readonly stations: Partial<Record<Station, StationMark>>;
  readonly steps: Readonly<Record<string, StepMark>>;
  readonly clocks: readonly Clock[];
  readonly placed: Readonly<Record<number, number>>;
  readonly measured: Readonly<Record<number, number>>;
  readonly ladder?: { readonly from: Grade; readonly to: Grade };
  readonly level: readonly LevelEntry[];
  readonly closed?: Entry<"closed">;
  /** It is known what is done: a chain is chosen, or it was decided to do without one. */
  readonly settled: boolean;
  /** The survey was changed after the choice was made. */
  readonly choice_stale: boolean;
}

/** The name of a step across stations. */
export const stepKey = (station: Station, step: string): string => `${station}/${step}`;

/** Read a log, in order of `seq`. */
export function readLog(log: readonly LogEntry[]): Treatment {
  const entries = standingEntries(log);
  const survey = last(entries, "surveyed");
  const choice = last(entries, "matched");
  const mark = last(entries, "marked");
  const decision = survey?.body.decision;
  const damage = decision?.damage ?? survey?.body.survey.damage;
  const closed = lastOf(entries, ["closed", "reopened"]);
  const ladder = last(entries, "ladder-set");
  return {
    entries,
    ...(survey ? { survey } : {}),
    ...(decision ? { decision } : {}),
    ...(damage ? { damage } : {}),
    ...(mark ? { mark: { x: mark.body.x, y: mark.body.y } } : {}),
    ...opt("dry_run", last(entries, "dry-run")),
    ...opt("shards", last(entries, "shards-mapped")),
    ...opt("form", last(entries, "form-chosen")),
    ...opt("brace", last(entries, "braced")),
    added: all(entries, "step-added").map(({ body }) => body),
    order: Object.fromEntries(all(entries, "steps-ordered").map(({ body }) => [body.station, body.order])),
    ...(choice ? { choice } : {}),
    ...(closed && is(closed, "closed") ? { closed } : {}),
    ...(ladder ? { ladder: { from: ladder.body.from, to: ladder.body.to } } : {}),
    stations: stationMarks(entries),
    steps: stepMarks(entries),
    clocks: entries.filter((entry): entry is Clock => is(entry, "mixed") || is(entry, "clamped") || is(entry, "coated")),
    placed: Object.fromEntries(all(entries, "placed").map(({ body }) => [body.layer, body.applied_mm])),
    measured: Object.fromEntries(all(entries, "measured").map(({ body }) => [body.layer, body.surface_mm])),
    level: levelEntries(entries, ladder),
    settled: choice !== undefined || (decision !== undefined && decision.damage === undefined),
    choice_stale: survey !== undefined && choice !== undefined && survey.seq > choice.seq,
  };
}

/** What was chosen for each role, empty before Match. */
export function chosen({ choice }: Treatment): Partial<Record<Role, Taken>> {
  return Object.fromEntries((choice?.body.chain ?? []).map(({ role, ...taken }) => [role, taken]));
}

/** A class or a jar of it, with the figures that hold for it. */
export function materialTaken({ class: name, product }: Taken): MaterialClass {
  return materialOf(name, product);
}

/** What of a clock's windows has been done already, as the log tells it. */
export function actsDone(treatment: Treatment, clock: Clock): Set<ActName> {
  const done = new Set<ActName>();
  const { layer, kind } = clock.body;
  const after = (key: string) => (treatment.steps[key]?.at ?? "") >= clock.at;
  if (kind === "mixed" && treatment.placed[layer] !== undefined) done.add("place");
  if (kind === "mixed" && after(stepKey("fill", trimStep(layer)))) done.add("trim");
  if (kind === "clamped" && after(stepKey("join", "check"))) done.add("seat");
  if (kind === "clamped" && after(stepKey("join", "unclamp"))) done.add("unclamp");
  return done;
}

export const trimStep = (layer: number): string => `trim-${layer}`;

/** Minutes that hands were on the piece, as recorded. */
export function handsMinutes({ entries }: Treatment): number {
  return entries.reduce((sum, { body }) => sum + (("hands_min" in body ? body.hands_min : undefined) ?? 0), 0);
}

export function is<K extends EventKind>(entry: Entry, kind: K): entry is Entry<K> {
  return entry.body.kind === kind;
}

function all<K extends EventKind>(entries: readonly Entry[], kind: K): Entry<K>[] {
  return entries.filter((entry): entry is Entry<K> => is(entry, kind));
}

function last<K extends EventKind>(entries: readonly Entry[], kind: K): Entry<K> | undefined {
  return all(entries, kind).at(-1);
}

function lastOf(entries: readonly Entry[], kinds: readonly EventKind[]): Entry | undefined {
  return entries.filter(({ body }) => kinds.includes(body.kind)).at(-1);
}

function standingEntries(log: readonly LogEntry[]): Entry[] {
  const corrected = new Set(log.flatMap(({ corrects }) => (corrects === undefined ? [] : [corrects])));
  return log.filter(({ id, body }) => !corrected.has(id) && body.kind !== "withdrawn");
}

/** What an entry does to the standing of stations: marks one done or skipped, or opens one again. */
function stationMarks(entries: readonly Entry[]): Partial<Record<Station, StationMark>> {
  const marks: Partial<Record<Station, StationMark>> = {};
  for (const { at, body } of entries) {
    const done = body.kind === "station-done" ? body.station : DONE_BY[body.kind];
    const reopened = REOPENED_BY[body.kind];
    if (done) marks[done] = { status: "done", at };
    if (body.kind === "station-skipped") marks[body.station] = { status: "skipped", at, reason: body.reason };
    if (reopened) delete marks[reopened];
  }
  return marks;
}

const DONE_BY: { readonly [K in EventKind]?: Station } = { surveyed: "survey", matched: "match", closed: "close" };

/** Laying a further layer, joint or coat, or sanding on, opens its station again. */
const REOPENED_BY: { readonly [K in EventKind]?: Station } = {
  reopened: "close",
  mixed: "fill",
  clamped: "join",
  coated: "colour",
  "grit-done": "level",
  "went-back": "level",
};

function stepMarks(entries: readonly Entry[]): Record<string, StepMark> {
  const marks: Record<string, StepMark> = {};
  for (const { id, at, body } of entries) {
    if (body.kind === "step-done")
      marks[stepKey(body.station, body.step)] = {
        entry: id,
        status: "done",
        at,
        ...opt("note", body.note),
        ...opt("hands_min", body.hands_min),
      };
    if (body.kind === "step-skipped") marks[stepKey(body.station, body.step)] = { entry: id, status: "skipped", at, note: body.reason };
  }
  return marks;
}

function opt<K extends string, V>(key: K, value: V | undefined): Partial<Record<K, V>> {
  return value === undefined ? {} : ({ [key]: value } as Record<K, V>);
}

/** A ladder set anew starts the walk anew. */
function levelEntries(entries: readonly Entry[], ladder: Entry<"ladder-set"> | undefined): LevelEntry[] {
  return entries
    .filter(({ seq }) => ladder === undefined || seq > ladder.seq)
    .flatMap(({ body }): LevelEntry[] => {
      if (body.kind === "grit-done") return [{ kind: "grit-done", grade: body.grade }];
      return body.kind === "went-back" ? [{ kind: "went-back", to: body.to }] : [];
    });
}

/** The stations in order, for those who walk them. */
export const STATION_ORDER: readonly Station[] = STATIONS.map(({ station }) => station);

const STATION_OF: Readonly<
  Record<
    Exclude<
      EventKind,
      "withdrawn" | "step-done" | "step-skipped" | "step-added" | "steps-ordered" | "station-done" | "station-skipped" | "noted"
    >,
    Station
  >
> = {
  surveyed: "survey",
  marked: "survey",
  matched: "match",
  "dry-run": "ready",
  "shards-mapped": "ready",
  "form-chosen": "ready",
  braced: "join",
  mixed: "fill",
  placed: "fill",
  measured: "fill",
  clamped: "join",
  coated: "colour",
  "ladder-set": "level",
  "grit-done": "level",
  "went-back": "level",
  closed: "close",
  reopened: "close",
};

/** The station that an entry belongs to. */
export function stationOf({ body }: Entry): Station {
  if ("station" in body) return body.station;
  return body.kind === "withdrawn" ? "close" : STATION_OF[body.kind];
}
