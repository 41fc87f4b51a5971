import type { RunningCure } from "./clocks";
import type { FillPlan } from "./plan";

/** A layer as planned and as done. Heights in mm against the original surface, times in ms since the epoch. */
export interface LayerRow {
  readonly layer: number;
  readonly applied_mm: number;
  readonly cured_mm: number;
  readonly surface_mm: number;
  readonly placed_mm: number | undefined;
  readonly measured_mm: number | undefined;
  readonly grams: number | undefined;
  readonly mixed: number | undefined;
  readonly hard_at: number | undefined;
}

/** What the log says of the layers, by layer number. */
export interface LayersDone {
  readonly cures: readonly RunningCure[];
  readonly placed: Readonly<Record<number, number>>;
  readonly measured: Readonly<Record<number, number>>;
  readonly grams: Readonly<Record<number, number>>;
}

/** Planned and done, a row a layer. A further layer than planned gets a row of its own, as thick as the last. */
export function layerRows(fill: FillPlan, { cures, placed, measured, grams }: LayersDone): LayerRow[] {
  const count = Math.max(fill.count, ...cures.map(({ layer }) => layer));
  return Array.from({ length: count }, (_, i) => {
    const layer = i + 1;
    const { applied_mm, cured_mm, surface_mm } = fill.layers[i] ?? beyond(fill);
    const cure = cures.findLast((each) => each.layer === layer);
    const hard_at = cure?.stages.find(({ stage }) => stage === "hard")?.at;
    return {
      layer,
      applied_mm,
      cured_mm,
      surface_mm,
      placed_mm: placed[layer],
      measured_mm: measured[layer],
      grams: grams[layer],
      mixed: cure?.start,
      hard_at,
    };
  });
}

function beyond(fill: FillPlan): FillPlan["layers"][number] {
  const last = fill.layers.at(-1);
  if (!last) throw new RangeError("a fill has at least one layer");
  return last;
}
