import type { Operation } from "../plan/plan.schema";

const isCoat = ({ starts, thickness_mm = 0, station }: Operation): boolean =>
  starts === "coated" && thickness_mm > 0 && station !== "fill" && station !== "ready";

/** What lies under the clear: what is colour, or primer. */
const withoutClear = (coats: readonly Operation[]): Operation[] =>
  coats.slice(0, coats.findLastIndex(({ role }) => role !== "topcoat") + 1);

/** What an operation leaves of the coats that lie on a place: a later round takes them off to the bare, to the colour, or the last one. */
const LEAVES: Readonly<Record<string, (coats: readonly Operation[]) => readonly Operation[]>> = {
  "strip-coats": () => [],
  "strip-level": () => [],
  "flat-coats": (coats) => (coats.at(-1)?.role === "topcoat" ? withoutClear(coats) : coats.slice(0, -1)),
};

/** The coats that will lie over a damage in the end, first to last: of those that a later round takes off nothing is left. */
export function coatsLeft(operations: readonly Operation[], damage: string): readonly Operation[] {
  const mine = operations.filter(({ damages }) => damages.includes(damage));
  let coats: readonly Operation[] = [];
  // round by round: what a round takes off are the coats of those before it
  for (const op of [...mine].sort((a, b) => a.round - b.round)) {
    const left = LEAVES[op.name]?.(coats);
    coats = left ?? (isCoat(op) ? coats.concat(op) : coats);
  }
  return coats;
}

/** The last round that takes coats off a damage: what was cut before it was cut off them. */
export const bareFrom = (operations: readonly Operation[], damage: string): number =>
  Math.max(1, ...operations.flatMap(({ name, round, damages }) => (name in LEAVES && damages.includes(damage) ? [round] : [])));
