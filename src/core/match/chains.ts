import type { Role } from "../catalogue";
import type { Facts } from "./case";
import type { Judgement, Reason } from "./judge";
import { PAIR_RULES } from "./pairs.data";
import { keyRole } from "./roles";

export interface Chain {
  readonly links: readonly Judgement[];
  readonly clashes: readonly Reason[];
  /** 0 to 100: mean of the links, the key link counted three times, less 4 for each condition between links. */
  readonly score: number;
}

const KEY_WEIGHT = 3;
const CONDITION_COST = 4;

/**
 * The best chain for each class that can serve in the key role, best first; so the chains really differ.
 * Depth first over the roles, each role's candidates best first, cut off where even the best of the rest
 * (an upper bound, since conditions only cost) cannot beat the best found.
 */
export function bestChains(facts: Facts, byRole: ReadonlyMap<Role, readonly Judgement[]>): Chain[] {
  const roles = [...byRole.keys()];
  const key = keyRole(roles);
  if (key === undefined) return [];
  const candidates = roles.map((role) =>
    (byRole.get(role) ?? []).filter(({ verdict }) => verdict !== "refused").sort((a, b) => b.score - a.score),
  );
  const chains = (candidates[roles.indexOf(key)] ?? []).flatMap((chosen) => {
    const fixed = candidates.map((list, i) => (roles[i] === key ? [chosen] : list));
    return bestOf(facts, fixed, key) ?? [];
  });
  return chains.sort((a, b) => b.score - a.score);
}

function bestOf(facts: Facts, candidates: ReadonlyArray<readonly Judgement[]>, key: Role): Chain | undefined {
  const tops = candidates.map((list) => (list[0] ? weighted(list[0], key) : -Infinity));
  const rest = tops.map((_, i) => tops.slice(i).reduce((sum, top) => sum + top, 0));
  const whole = candidates.length - 1 + KEY_WEIGHT;
  let best: Chain | undefined;
  const walk = (links: readonly Judgement[], clashes: readonly Reason[], sum: number) => {
    const depth = links.length;
    if (depth === candidates.length) {
      const score = sum / whole;
      if (best === undefined || score > best.score + 1e-9) best = { links, clashes, score };
      return;
    }
    for (const next of candidates[depth] ?? []) {
      const bound = sum + weighted(next, key) + (rest[depth + 1] ?? 0);
      if (best !== undefined && bound / whole <= best.score + 1e-9) return;
      const found = clashesWith(facts, links, next);
      if (found.some(({ effect }) => effect === "refuse")) continue;
      walk([...links, next], [...clashes, ...found], sum + weighted(next, key) - CONDITION_COST * whole * found.length);
    }
  };
  walk([], [], 0);
  return best;
}

function weighted({ score, role }: Judgement, key: Role): number {
  return role === key ? KEY_WEIGHT * score : score;
}

/** What the links before say against a further one. */
export function clashesWith(facts: Facts, before: readonly Judgement[], next: Judgement): Reason[] {
  return before.flatMap((under) =>
    PAIR_RULES.filter(({ when }) => when(under, next, facts)).map(({ id, effect, says, source }) => ({
      rule: id,
      effect,
      text: says(under, next),
      source,
    })),
  );
}
