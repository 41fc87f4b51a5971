import type { Grade } from "../catalogue";

export interface Rung extends Grade {
  readonly micron: number;
}

/** The widest step from one grain to the next that still erases the scratches of the one before. */
export const MAX_STEP_RATIO = 1.8;

/** What a way through the rungs costs, worst first: grain gaps, then steps, then unevenness. */
type Cost = readonly [gapExcess: number, steps: number, unevenness: number];
interface Way {
  readonly cost: Cost;
  readonly rungs: readonly Rung[];
}

/**
 * The rungs to walk from `from` to `to`, both included, out of `choice` (any order): no step over `maxRatio` where
 * the choice allows, then the fewest steps, then the evenest in log grain (least sum of squares).
 * @throws {RangeError} if `to` is coarser than `from`
 */
export function gritLadder(from: Rung, to: Rung, choice: readonly Rung[], maxRatio = MAX_STEP_RATIO): Rung[] {
  if (to.micron > from.micron) throw new RangeError(`cannot climb from ${from.micron} µm to the coarser ${to.micron} µm`);
  if (from.micron === to.micron) return [to];
  const between = choice.filter(({ micron }) => micron < from.micron && micron > to.micron);
  const nodes = [from, ...between.sort((a, b) => b.micron - a.micron), to];
  const best: Way[] = [{ cost: [0, 0, 0], rungs: [from] }];
  for (let i = 1; i < nodes.length; i++) {
    const here = nodes[i] as Rung;
    const ways = best.map(({ cost, rungs }, j) => ({
      cost: stepCost(cost, (nodes[j] as Rung).micron / here.micron, maxRatio),
      rungs: [...rungs, here],
    }));
    best.push(ways.reduce((a, b) => (cheaper(b.cost, a.cost) ? b : a)));
  }
  return [...(best.at(-1) as Way).rungs];
}

function stepCost([excess, steps, unevenness]: Cost, ratio: number, maxRatio: number): Cost {
  const over = ratio > maxRatio * (1 + 1e-12) ? Math.log(ratio / maxRatio) : 0;
  return [excess + over, steps + 1, unevenness + Math.log(ratio) ** 2];
}

function cheaper(a: Cost, b: Cost): boolean {
  for (let i = 0; i < a.length; i++) {
    const difference = (a[i] as number) - (b[i] as number);
    if (Math.abs(difference) > 1e-12) return difference < 0;
  }
  return false;
}
