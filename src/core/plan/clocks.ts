import type { CureInput } from "../cure/cure.schema";
import { stageTimes } from "../cure/running";
import { type RunningClock, windowsOf } from "../cure/windows";
import { type Clock, materialTaken } from "../record/treatment";

/** A clock with its times, as plain data that a page can hand to the browser. */
export interface RunningCure extends RunningClock {
  readonly entry: string;
  readonly kind: Clock["body"]["kind"];
  readonly class: Clock["body"]["class"];
  readonly material: string;
  readonly layer: number;
}

/** Reckon a clock in the climate of the shop. */
export function runningCure({ id, at, body }: Clock, climate: CureInput["climate"]): RunningCure {
  const start = Date.parse(at);
  const material = materialTaken(body);
  const stages = stageTimes({ material, thickness_mm: body.thickness_mm, at }, climate);
  return {
    entry: id,
    kind: body.kind,
    class: body.class,
    material: material.name,
    layer: body.layer,
    start,
    stages,
    windows: windowsOf(body.kind, start, stages),
  };
}
