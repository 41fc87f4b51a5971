import { type Grade, grainOf, sameGrade } from "../catalogue";
import { bridged, ladder } from "./ladder";

interface WalkStep {
  readonly grade: Grade;
  readonly micron: number;
  readonly state: "done" | "now" | "to-come";
}

export interface Walk {
  /** Every rung in the order walked or to be walked, repeats included. */
  readonly steps: readonly WalkStep[];
  readonly now?: WalkStep;
  readonly finished: boolean;
}

/** What was ticked off at Level, in order. */
export type LevelEntry = { readonly kind: "grit-done"; readonly grade: Grade } | { readonly kind: "went-back"; readonly to: Grade };

/**
 * The ladder as walked so far, out of `stock` where one is known: grits ticked off in order; going back to a coarser grade puts that grade and every
 * finer one in again from there.
 * @throws {RangeError} on a grade that its system does not have
 */
export function walk(from: Grade, to: Grade, entries: readonly LevelEntry[], stock?: readonly Grade[]): Walk {
  const done: Grade[] = [];
  let ahead = rungs(from, to, stock);
  for (const entry of entries) {
    if (entry.kind === "went-back") ahead = rungs(entry.to, to, stock);
    else {
      done.push(entry.grade);
      ahead = sameGrade(ahead[0] ?? to, entry.grade) ? ahead.slice(1) : ahead.filter((grade) => finer(grade, entry.grade));
    }
  }
  const steps = [...done.map((grade) => step(grade, "done")), ...ahead.map((grade, i) => step(grade, i === 0 ? "now" : "to-come"))];
  const now = steps.find(({ state }) => state === "now");
  return { steps, finished: now === undefined, ...(now ? { now } : {}) };
}

function rungs(from: Grade, to: Grade, stock: readonly Grade[] | undefined): Grade[] {
  if (stock && stock.length > 0) return bridged(from, to, stock);
  return ladder({ from, to }).steps.map(({ system, grade }) => ({ system, grade: Number(grade) }));
}

function finer(a: Grade, b: Grade): boolean {
  return (grainOf(a) ?? 0) < (grainOf(b) ?? 0);
}

function step(grade: Grade, state: WalkStep["state"]): WalkStep {
  return { grade, micron: grainOf(grade) ?? 0, state };
}
