import type { Range } from "./materialClass";

/** What a hand brushes, rubs or floats over in a minute, mm²: a quick one twice what a slow one does. Trade practice. */
const QUICK_MM2_MIN = 50_000;
const SLOW_MM2_MIN = 25_000;

/** So much of its minutes each further place that is alike takes again: setting up and cleaning fall away. Trade practice. */
const AGAIN_SHARE = 0.3;
/** How many times the minutes of a small place so many take, by the most that are alike: each further one a share of them. */
export const againOf = (here: ReadonlyArray<{ readonly alike?: number }>): number =>
  1 + AGAIN_SHARE * (Math.max(1, ...here.map(({ alike = 1 }) => alike)) - 1);

/** Minutes of a small place, for all that are like it. */
export function handsAgain([low, high]: Range, here: Parameters<typeof againOf>[0]): Range {
  const again = againOf(here);
  return [low * again, high * again];
}

interface Face {
  readonly area_mm2?: number;
  readonly opening_mm2?: number;
  readonly alike?: number;
}

/** Minutes for small places, and for all of a larger face beside: low to high. */
export function handsOver(small: Range, here: readonly Face[]): Range {
  const [low, high] = handsAgain(small, here);
  const mm2 = here.reduce((sum, { area_mm2, opening_mm2 = 0, alike = 1 }) => sum + (area_mm2 ?? opening_mm2) * alike, 0);
  return [low + mm2 / QUICK_MM2_MIN, high + mm2 / SLOW_MM2_MIN];
}
