import { ABRASIVE_SYSTEMS, areNeighbours, type Grade, gradeLabel, grainOf, grainRange } from "../catalogue";
import { figure, present } from "../units";
import type { Warning } from "../units/schema";
import { gritLadder, MAX_STEP_RATIO, type Rung } from "./gritLadder";
import type { GradeInput, LadderInput, LadderResult } from "./ladder.schema";

/** The P series as rungs, coarse to fine. */
export const P_SERIES: readonly Rung[] = ABRASIVE_SYSTEMS.P.grades.map(([grade, micron]) => ({ system: "P", grade, micron }));

/**
 * The grades to walk from `from` (or, once a coarser grade was needed, from `repeat_from`) to `to`, both included.
 * Grains in µm. Without `stock` the choice is the P series.
 * @throws {RangeError} on a grade its system does not have, or when `to` is coarser than the start
 */
export function ladder(input: LadderInput): LadderResult {
  const maxRatio = input.max_step_ratio ?? MAX_STEP_RATIO;
  const start = input.repeat_from ?? input.from;
  const choice = input.stock?.map(rungOf) ?? P_SERIES;
  const rungs = gritLadder(rungOf(start), rungOf(input.to), [...choice], maxRatio);
  const ratios = rungs.slice(1).map(({ micron }, i) => (rungs[i] as Rung).micron / micron);
  const write = gradeWriter(start);
  const gaps = ratios
    .map((ratio, i) => ({ after: rungs[i] as Rung, to: rungs[i + 1] as Rung, ratio }))
    // a maker's complete set has no gap, whatever the published grain of two neighbours says
    .filter(({ after, to, ratio }) => ratio > maxRatio * (1 + 1e-12) && !areNeighbours(after, to));
  return {
    steps: rungs.map((rung) => ({
      system: rung.system,
      grade: write(rung),
      micron: rung.micron,
      ...present({ micron_range: grainRange(rung)?.slice() }),
    })),
    ratios,
    gaps: gaps.map(({ after, ratio }) => ({ after: { system: after.system, grade: write(after) }, ratio })),
    basis: {
      formula: "fewest steps with grain ratio ≤ max_step_ratio, then least Σ(ln ratio)²",
      source: [...new Set(rungs.map(({ system }) => ABRASIVE_SYSTEMS[system].source))].join("; "),
    },
    warnings: gaps.map(({ after, to, ratio }) => buyWarning(after, to, ratio, maxRatio)),
  };
}

function rungOf(input: GradeInput): Rung {
  const grade = gradeOf(input);
  return { ...grade, micron: grainOf(grade) ?? 0 };
}

/** A grade as it is asked with. @throws {RangeError} on one that its system does not have */
export function gradeOf(input: GradeInput): Grade {
  const found = gradeIn(input);
  if (!found) throw new RangeError(`${ABRASIVE_SYSTEMS[input.system].label} ${input.grade} does not exist`);
  return found;
}

/** A grade as it is asked with; undefined where its system does not have it. */
export function gradeIn({ system, grade }: GradeInput): Grade | undefined {
  const found = { system, grade: Number(String(grade).replace(/^[P#]/, "")) };
  return grainOf(found) === undefined ? undefined : found;
}

/** Answers in the form of the question: numbers as numbers, "P240" as "P180"; a prefix belongs to its own system. */
function gradeWriter({ grade, system }: GradeInput): (rung: Grade) => number | string {
  if (typeof grade === "number") return (rung) => rung.grade;
  const prefix = /^[P#]?/.exec(grade)?.[0] ?? "";
  return (rung) => `${rung.system === system ? prefix : ""}${rung.grade}`;
}

function buyWarning(after: Grade, to: Rung, ratio: number, maxRatio: number): Warning {
  const needed = buyList(after, to, maxRatio).map(gradeLabel).join(", ");
  return {
    code: "gap",
    message: `From ${gradeLabel(after)} to ${gradeLabel(to)} the grain falls ${figure(ratio, 2)} times, over ${maxRatio}: buy ${needed || "a grade between"}, or scratches stay.`,
  };
}

/**
 * The one grade that a drawer misses most on the way from one grade to another: with it the widest steps come nearest to what erases the
 * scratches before. Undefined where no step is too wide, or no grade of the P series helps.
 */
export function bestSheet(from: Grade, to: Grade, stock: readonly Grade[], maxRatio = MAX_STEP_RATIO): Grade | undefined {
  const [start, end] = [rungOf(from), rungOf(to)];
  const owned = stock.map(rungOf);
  const excess = (choice: readonly Rung[]) => {
    const walked = gritLadder(start, end, choice, maxRatio);
    return walked.slice(1).reduce((sum, { micron }, i) => sum + Math.max(0, Math.log((walked[i] as Rung).micron / micron / maxRatio)), 0);
  };
  const now = excess(owned);
  if (now <= 1e-9 || end.micron > start.micron) return undefined;
  const between = P_SERIES.filter(({ micron }) => micron < start.micron && micron > end.micron);
  const tried = between.map((rung) => ({ rung, left: excess([...owned, rung]) })).sort((a, b) => a.left - b.left);
  const [best] = tried;
  return best && best.left < now - 1e-9 ? { system: best.rung.system, grade: best.rung.grade } : undefined;
}

/** The rungs to walk out of a drawer, and where a step of it is too wide, those that have to be got between. */
export function bridged(from: Grade, to: Grade, stock: readonly Grade[]): Grade[] {
  const { steps } = ladder({ from, to, stock: [...stock] });
  const rungs = steps.map(({ system, grade }) => rungOf({ system, grade: Number(grade) }));
  return rungs.flatMap((rung, i) => {
    const next = rungs[i + 1];
    const wide = next && rung.micron / next.micron > MAX_STEP_RATIO * (1 + 1e-12) && !areNeighbours(rung, next);
    return [rung, ...(wide ? buyList(rung, next, MAX_STEP_RATIO) : [])].map(({ system, grade }) => ({ system, grade }));
  });
}

/** The P grades that would bridge the gap; where the P series ends, the grain itself. */
function buyList(after: Grade, to: Rung, maxRatio: number): Grade[] {
  const from = rungOf(after);
  const bridge = gritLadder(from, to, [...P_SERIES], maxRatio).slice(1, -1);
  if (bridge.length > 0) return bridge;
  return [{ system: "micron", grade: Number(Math.sqrt(from.micron * to.micron).toPrecision(2)) }];
}
