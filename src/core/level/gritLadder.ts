import type { Grade } from "../catalogue";

export interface Rung extends Grade {
  readonly micron: number;
}

/** The widest step from one grain to the next that still erases the scratches of the one before. */
export const MAX_STEP_RATIO = 1.8;

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
  const logs = nodes.map(({ micron }) => Math.log(micron));
  const widest = Math.log(maxRatio) + 1e-12;
  // the best way to each rung: by what its widest steps go over, then its steps, then its unevenness, and from where it came
  const best: Way[] = [{ excess: 0, steps: 0, uneven: 0, before: -1 }];
  for (let i = 1; i < nodes.length; i++) {
    let way = stepFrom(best, logs, 0, i, widest);
    for (let j = 1; j < i; j++) {
      const other = stepFrom(best, logs, j, i, widest);
      if (cheaper(other, way)) way = other;
    }
    best.push(way);
  }
  const walked: Rung[] = [];
  for (let at = nodes.length - 1; at >= 0; at = best[at]?.before ?? -1) walked.push(nodes[at] as Rung);
  return walked.reverse();
}

/** What a way through the rungs costs, worst first: grain gaps, then steps, then unevenness; and the rung before its last. */
interface Way {
  readonly excess: number;
  readonly steps: number;
  readonly uneven: number;
  readonly before: number;
}

function stepFrom(best: readonly Way[], logs: readonly number[], j: number, i: number, widest: number): Way {
  const { excess, steps, uneven } = best[j] as Way;
  const step = (logs[j] ?? 0) - (logs[i] ?? 0);
  return { excess: excess + (step > widest ? step - widest : 0), steps: steps + 1, uneven: uneven + step ** 2, before: j };
}

function cheaper(a: Way, b: Way): boolean {
  if (Math.abs(a.excess - b.excess) > 1e-12) return a.excess < b.excess;
  if (a.steps !== b.steps) return a.steps < b.steps;
  return a.uneven < b.uneven - 1e-12;
}
