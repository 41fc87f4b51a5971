import { plain } from "../units";
import type { BraceKind } from "./brace.schema";
import { type Drill, type DrillSet, inch } from "./drills.data";

const metric = (...sizes: readonly number[]): Drill[] => sizes.map((mm) => ({ label: `${plain(mm)} mm`, mm }));
const inches = (...sixtyFourths: readonly number[]): Drill[] => sixtyFourths.map(inch);

/** Thickness of round bar and wire as shops stock them; trade practice. */
const WIRE = { metric: metric(0.5, 0.8, 1, 1.2, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10, 12), inch: inches(2, 3, 4, 6, 8, 10, 12, 16, 20, 24, 32) };

/** Rods as they are sold, by the system of the shop: dowels by trade practice, screws after DIN 97 (wood screws). */
export const RODS: Readonly<Partial<Record<BraceKind, Readonly<Record<DrillSet, readonly Drill[]>>>>> = {
  dowel: { metric: metric(3, 4, 5, 6, 8, 10, 12, 14, 15, 16, 18, 20, 22, 25, 30), inch: inches(8, 12, 16, 20, 24, 28, 32, 40, 48, 56, 64, 80) },
  pin: WIRE,
  wire: WIRE,
  screw: { metric: metric(2, 2.5, 3, 3.5, 4, 4.5, 5, 6), inch: inches(6, 8, 10, 12, 16) },
};
