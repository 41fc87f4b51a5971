import type { Range } from "./materialClass";

/** What a hand brushes, rubs or floats over in a minute, mm²: a quick one twice what a slow one does. Trade practice. */
const QUICK_MM2_MIN = 50_000;
const SLOW_MM2_MIN = 25_000;

/** Minutes for a small place, and for all of a larger face beside: low to high. */
export function handsOver([low, high]: Range, here: ReadonlyArray<{ readonly area_mm2?: number; readonly opening_mm2?: number }>): Range {
  const mm2 = here.reduce((sum, { area_mm2, opening_mm2 = 0 }) => sum + (area_mm2 ?? opening_mm2), 0);
  return [low + mm2 / QUICK_MM2_MIN, high + mm2 / SLOW_MM2_MIN];
}
