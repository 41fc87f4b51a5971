import type { ClassName } from "../catalogue";
import type { EventBody, LogEntry } from "../record/events.schema";
import { readLog } from "../record/treatment";
import type { Damage, DamageOf } from "../survey/measures.data";
import { wall } from "../units";
import { type RunningCure, runningCure } from "./clocks";
import { actAt, briefOf, rulingClock } from "./nextAct";
import { type PieceFacts, planOf } from "./plan";
import { plateOf } from "./shelf";

/** Noon of a made-up day; the tests' present. */
export const NOON = Date.parse("2026-10-07T12:00:00Z");
export const MINUTE = 60_000;
export const AIR = { temp_C: 20, rh_pct: 50 };

export const JAR: PieceFacts = { kind: "vessel", substrate: "stoneware", finish: "glaze" };
export const CHIP: DamageOf<"chip"> = { kind: "chip", length_mm: 34, depth_mm: 11, thickness_mm: 6 };

/** Minutes before noon, what was written, and what it corrects. */
export type Told = readonly [minutesAgo: number, body: EventBody, corrects?: string];

/** A log from what was told; ids are `00000000-0000-4000-8000-…seq`. */
export function logOf(...entries: readonly Told[]): LogEntry[] {
  return entries.map(([minutesAgo, body, corrects], i) => ({
    id: idOf(i + 1),
    seq: i + 1,
    at: new Date(NOON - minutesAgo * MINUTE).toISOString(),
    ...(corrects ? { corrects } : {}),
    body,
  }));
}

export const idOf = (seq: number): string => `00000000-0000-4000-8000-${String(seq).padStart(12, "0")}`;

export const surveyed = (damage: Damage = CHIP, service = {}): EventBody => ({
  kind: "surveyed",
  survey: { damage, service },
  hands_min: 15,
});

export const matched: EventBody = {
  kind: "matched",
  stance: "reversible",
  hands_min: 10,
  chain: [
    { role: "filler", class: "epoxy-putty" },
    { role: "colour", class: "acrylic-paint" },
    { role: "topcoat", class: "clear-acrylic" },
  ],
};

export const mixed = (layer: number, name: ClassName = "epoxy-putty"): EventBody => ({
  kind: "mixed",
  class: name,
  layer,
  thickness_mm: 5.7,
  parts: [
    { name: "A", planned_g: 1, actual_g: 1.02 },
    { name: "B", planned_g: 1, actual_g: 1 },
  ],
  climate: AIR,
  hands_min: 15,
});

export const coated = (layer: number, name: ClassName = "acrylic-paint"): EventBody => ({
  kind: "coated",
  class: name,
  layer,
  thickness_mm: 0.05,
  climate: AIR,
  hands_min: 8,
});

export const sanded = (grade: number): EventBody => ({ kind: "grit-done", grade: { system: "P", grade }, hands_min: 6 });

export type Tale = readonly Told[];
export const CLIMATE = { constant_C: 20 };
export const ready: EventBody = { kind: "station-done", station: "ready" };

/** Everything that a page derives from a log at noon (plus minutes). */
export function seen(told: Tale, minutes = 0) {
  const treatment = readLog(logOf(...told));
  const plan = planOf(JAR, treatment);
  const ruling = rulingClock(treatment);
  const cures: RunningCure[] = treatment.clocks.map((clock) => runningCure(clock, CLIMATE));
  const brief = briefOf(
    treatment,
    plan,
    cures.find(({ entry }) => entry === ruling?.id),
  );
  const now = NOON + minutes * MINUTE;
  return { treatment, plan, cures, brief, now, act: actAt(brief, now), plate: plateOf(brief, now, wall("UTC")) };
}

export const filling = (...more: Told[]): Tale => [[500, surveyed()], [480, matched], [300, ready], ...more];
