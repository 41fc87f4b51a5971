import type { ClassName } from "../catalogue";
import type { BodyOf, EventBody, LogEntry } from "../record/events.schema";
import { BODY_VERSION } from "../record/events.schema";
import { readLog, type Treatment } from "../record/treatment";
import type { Damage, DamageOf } from "../survey/measures.data";
import { wall } from "../units";
import { type Act, actsOf } from "./acts";
import { actAt, type NextAct } from "./brief";
import { briefOf } from "./briefOf";
import { type Plate, platesOf } from "./shelf";
import { type PieceFacts, type Worked, worked } from "./worked";

/** Noon of a made-up day; the tests' present. */
export const NOON = Date.parse("2026-10-07T12:00:00Z");
export const MINUTE = 60_000;
export const AIR = { temp_C: 20, rh_pct: 50 };
export const WALL = wall("UTC");

export const JAR: PieceFacts = { kind: "vessel", part: "p", parts: [{ id: "p", substrate: "stoneware", finish: "glaze" }] };
export const CHIP: DamageOf<"chip"> = { kind: "chip", length_mm: 17, depth_mm: 11, thickness_mm: 12 };

/** Minutes before noon, what was written, and what it corrects. */
export type Told = readonly [minutesAgo: number, body: EventBody, corrects?: string];

/** A log from what was told; ids are `00000000-0000-4000-8000-…seq`. */
export function logOf(...entries: readonly Told[]): LogEntry[] {
  return entries.map(([minutesAgo, body, corrects], i) => ({
    id: idOf(i + 1),
    seq: i + 1,
    v: BODY_VERSION,
    at: new Date(NOON - minutesAgo * MINUTE).toISOString(),
    by: "M.",
    ...(corrects ? { corrects } : {}),
    body,
  }));
}

export const idOf = (seq: number): string => `00000000-0000-4000-8000-${String(seq).padStart(12, "0")}`;

export const surveyed = (damage: Damage = CHIP, service = {}, over: Partial<BodyOf<"surveyed">> = {}): EventBody => ({
  kind: "surveyed",
  survey: { damage, service },
  hands_min: 15,
  ...over,
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

export const done = (op: string, over: Partial<BodyOf<"done">> = {}): EventBody => ({ kind: "done", op, hands_min: 5, ...over });

/** What the chip of the jar has before its fill. */
export const READY = ["r1/ready/photograph", "r1/ready/clean/d1", "r1/ready/trim/d1", "r1/ready/mask", "r1/fill/dam/d1"] as const;
export const ready: readonly Told[] = READY.map((op, i) => [600 - i * 10, done(op)]);

export const mixed = (layer: number, name: ClassName = "epoxy-putty"): EventBody =>
  done(`r1/fill/mix-${layer}/${name}`, {
    start: {
      class: name,
      thickness_mm: 5.7,
      parts: [
        { name: "A", planned_g: 1, actual_g: 1.02 },
        { name: "B", planned_g: 1, actual_g: 1 },
      ],
      climate: AIR,
    },
  });

export const placed = (layer: number): EventBody => done(`r1/fill/place-${layer}/d1/loss`);

/** A chip that is chosen for, before anything is done. */
export const CHOSEN: readonly Told[] = [
  [700, surveyed()],
  [690, matched],
];

/** Everything that a page derives from a log at noon plus minutes. */
export interface Seen {
  readonly treatment: Treatment;
  readonly worked: Worked;
  readonly acts: readonly Act[];
  readonly act: (op: string) => Act;
  readonly next: NextAct;
  readonly plates: readonly Plate[];
}

export function see(told: readonly Told[], minutes = 0, piece: PieceFacts = JAR, temp_C = 20): Seen {
  const now = NOON + minutes * MINUTE;
  const treatment = readLog(logOf(...told));
  const found = worked(piece, treatment, { ...AIR, temp_C }, { constant_C: temp_C }, now);
  if (!found) throw new Error("nothing is chosen yet");
  const acts = actsOf(found, now);
  const brief = briefOf(treatment, found, now);
  return {
    treatment,
    worked: found,
    acts,
    act: (op) => {
      const known = acts.find((each) => each.op.id === op);
      if (!known) throw new Error(`no ${op} among\n${acts.map((each) => each.op.id).join("\n")}`);
      return known;
    },
    next: actAt(brief, now),
    plates: platesOf(brief, now, WALL),
  };
}
