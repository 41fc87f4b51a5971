import type { Range } from "../catalogue";

/** What levelling takes: twice the grain of the first abrasive, P120 (0.125 mm). */
const LEVELLING_LOSS_MM = 0.25;

/**
 * How far to stand proud of the original surface, in mm, rounded up to a tenth: what levelling takes, plus what is
 * unsure of the shrinkage over the depth. Every further tenth is sanded off by hand.
 * @example proposeProud(6, [0.5, 1]) // => 0.3
 */
export function proposeProud(depth_mm: number, [low, high]: Range): number {
  const unsure = (depth_mm * (high - low)) / 100;
  return Math.ceil((LEVELLING_LOSS_MM + unsure) * 10 - 1e-9) / 10;
}
