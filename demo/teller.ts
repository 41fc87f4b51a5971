import { createHash } from "node:crypto";
import type { ClassName, Finish, PieceKind, STANCES, Substrate } from "../src/core/catalogue";
import { walk } from "../src/core/level/walk";
import { mix } from "../src/core/mix/mix";
import { planOf } from "../src/core/plan/plan";
import type { EventBody, LogEntry } from "../src/core/record/events.schema";
import { readLog } from "../src/core/record/treatment";
import type { Survey } from "../src/core/survey/survey.schema";

/** The demo's present. The loader moves all times so that this becomes now. */
export const NOW = Date.parse("2026-10-07T11:52:00Z");
export const MINUTE = 60_000;
export const DAY = 24 * 60;
export const AIR = { temp_C: 18.6, rh_pct: 52 };

export interface Story {
  readonly file: string;
  /** A further damage of a piece that another story tells of; its reference is the same. */
  readonly further?: string;
  /** Where it is on the condition map. */
  readonly mark?: readonly [x: number, y: number];
  readonly title: string;
  readonly reference: string;
  readonly kind: PieceKind;
  readonly part: string;
  readonly substrate: Substrate;
  readonly finish: Finish;
  readonly treatment: string;
  readonly promised?: string;
  readonly drawings: ReadonlyArray<readonly [name: string, moment: "before" | "after", caption: string, minutesAgo: number]>;
  readonly survey?: Survey;
  /** The class of the key link; the rest of the chain is what Match proposes with it. */
  readonly choose?: ClassName;
  readonly stance?: (typeof STANCES)[number];
  readonly tell?: (teller: Teller) => void;
}

/** Writes a log in order, and answers from it as the app would. */
export class Teller {
  readonly log: LogEntry[] = [];
  constructor(private readonly story: Story) {}

  write(minutesAgo: number, body: EventBody): void {
    const seq = this.log.length + 1;
    this.log.push({ id: uuid(`${keyOf(this.story)}/log/${seq}`), seq, at: ago(minutesAgo), body });
  }
  get plan() {
    const plan = planOf(this.story, readLog(this.log));
    if (!plan) throw new Error(`${this.story.title} has no survey yet`);
    return plan;
  }
  /** Tick off every step of a station, a quarter of an hour apart, and leave it. */
  steps(station: "ready" | "join" | "colour", minutesAgo: number, except: readonly string[] = []): void {
    let at = minutesAgo;
    for (const { step, hands_min } of this.plan.stations[station].steps) {
      if (except.includes(step)) continue;
      this.write(at, { kind: "step-done", station, step, hands_min });
      at = Math.max(1, at - 15);
    }
    if (except.length === 0) this.write(at, { kind: "station-done", station });
  }
  /** Mix a layer as planned and place it. */
  layer(layer: number, minutesAgo: number, placedMm?: number): void {
    const { fill } = this.plan;
    if (!fill) throw new Error("no fill is planned");
    const row = fill.material;
    const { parts } = mix({
      need_cm3: fill.loss.volume_cm3 / fill.count,
      waste_pct: 35,
      parts: [...row.mix.parts],
      ratio_by: row.mix.ratio_by,
      ...(row.mix.mixed_density ? { mixed_density: row.mix.mixed_density } : {}),
    });
    this.write(minutesAgo, {
      kind: "mixed",
      ...fill.taken,
      layer,
      thickness_mm: fill.apply_mm,
      parts: parts.map(({ name, mass_g }) => ({ name, planned_g: round(mass_g), actual_g: round(mass_g * 1.01) })),
      climate: AIR,
      hands_min: 15,
    });
    this.write(minutesAgo - 8, { kind: "placed", layer, applied_mm: placedMm ?? round(fill.apply_mm) });
  }
  clamp(minutesAgo: number, name: ClassName): void {
    this.write(minutesAgo, { kind: "clamped", class: name, layer: 1, thickness_mm: 0.1, climate: AIR, hands_min: 10 });
  }
  grits(minutesAgo: number, count = 99): void {
    const { ladder } = this.plan;
    if (!ladder) throw new Error("no ladder is planned");
    walk(ladder.from, ladder.to, [])
      .steps.slice(0, count)
      .forEach(({ grade }, i) => {
        this.write(Math.max(1, minutesAgo - i * 10), { kind: "grit-done", grade, hands_min: 6 });
      });
  }
  coat(number: number, minutesAgo: number): void {
    const coat = this.plan.coats[number - 1];
    if (!coat) throw new Error("no such coat");
    this.write(minutesAgo, {
      kind: "coated",
      ...coat.taken,
      layer: number,
      thickness_mm: coat.material.max_layer_mm,
      climate: AIR,
      hands_min: 8,
    });
  }
}

/** Names made from it are the same each time, and differ between the damages of a piece. */
export const keyOf = ({ reference, further }: Story) => (further ? `${reference}/${further}` : reference);
export const ago = (minutes: number) => new Date(NOW - minutes * MINUTE).toISOString();
export const round = (n: number) => Math.round(n * 100) / 100;

/** The same id for the same thing each time the demo is made. */
export function uuid(name: string): string {
  const hex = createHash("sha256").update(name).digest("hex");
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}
