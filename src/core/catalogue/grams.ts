import type { Role } from "./damage.data";
import { type ClassRow, middle } from "./materialClass";

/** What stays on slab, gloves and knife of a small batch, in percent; trade practice. */
export const WASTE_PCT = 35;
/** What of an adhesive squeezes out and stays on the brush, percent; trade practice: a bead all along is as much again as half the film. */
const SQUEEZE_OUT_PCT = 60;

/** Grams to have at hand for a need in cm³, with what is lost on the way. */
export function gramsFor(role: Role, need_cm3: number, { density }: Pick<ClassRow, "density">): number {
  const lost_pct = role === "adhesive" ? SQUEEZE_OUT_PCT : WASTE_PCT;
  return need_cm3 * (1 + lost_pct / 100) * middle(density);
}
