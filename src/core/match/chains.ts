import type { MaterialClass, Role } from "../catalogue";
import type { Facts } from "./case";
import { byFitness, type Judgement, type Reason } from "./judge";
import { type Link, PAIR_RULES } from "./pairs.data";
import { keyRole } from "./roles";
import type { Rule } from "./rules";

export interface Chain {
  readonly links: readonly Judgement[];
  readonly clashes: readonly Reason[];
  /** 0 to 100: mean of the links, the key link counted three times, less 4 for each condition between links. */
  readonly score: number;
}

export const KEY_WEIGHT = 3;
export const CONDITION_COST = 4;

/**
 * The best chain for each class that can serve in the key role, best first; so the chains really differ.
 * Depth first over the roles, each role's candidates best first, cut off where even the best of the rest
 * (an upper bound, since conditions only cost) cannot beat the best found. Of several jars of one class only
 * the best can stand in a best chain, since neighbours look at nothing that a jar may state otherwise.
 */
export function bestChains(facts: Facts, byRole: ReadonlyMap<Role, readonly Judgement[]>): Chain[] {
  const roles = [...byRole.keys()];
  const key = keyRole(roles);
  if (key === undefined) return [];
  const candidates = roles.map((role) => bestOfClass(byRole.get(role) ?? []));
  const between = clashTable(facts);
  const chains = (candidates[roles.indexOf(key)] ?? []).flatMap((chosen) => {
    const fixed = candidates.map((list, i) => (roles[i] === key ? [chosen] : list));
    return bestOf(between, fixed, key) ?? [];
  });
  const keyLink = ({ links }: Chain) => links.find(({ role }) => role === key) as Judgement;
  return chains.sort((a, b) => b.score - a.score || byFitness(keyLink(a), keyLink(b)));
}

/** The best candidate of each class, best first. */
function bestOfClass(judged: readonly Judgement[]): Judgement[] {
  const best = new Map<MaterialClass["class"], Judgement>();
  for (const each of judged) {
    const known = best.get(each.row.class);
    if (each.verdict !== "refused" && (known === undefined || isBetter(each, known))) best.set(each.row.class, each);
  }
  return [...best.values()].sort(byFitness);
}

/** Equal jars are told apart by their id, so that the order in which they come changes nothing. */
function isBetter(a: Judgement, b: Judgement): boolean {
  return a.score > b.score || (a.score === b.score && (a.product?.id ?? "") < (b.product?.id ?? ""));
}

/** A chain in the making, with the weighted sum of its scores less what its conditions cost. */
interface Growing {
  readonly links: readonly Judgement[];
  readonly clashes: readonly Reason[];
  readonly sum: number;
}

type Between = (under: Link, over: Link) => readonly Reason[];

interface Search {
  readonly between: Between;
  readonly key: Role;
  readonly candidates: ReadonlyArray<readonly Judgement[]>;
  /** The most that the roles from here on can add. */
  readonly rest: readonly number[];
  /** Weights add to this. */
  readonly whole: number;
  best?: Chain;
}

function bestOf(between: Between, candidates: ReadonlyArray<readonly Judgement[]>, key: Role): Chain | undefined {
  const tops = candidates.map((list) => (list[0] ? weighted(list[0], key) : -Infinity));
  const rest = tops.map((_, i) => tops.slice(i).reduce((sum, top) => sum + top, 0));
  const search: Search = { between, key, candidates, rest, whole: candidates.length - 1 + KEY_WEIGHT };
  visit(search, { links: [], clashes: [], sum: 0 });
  return search.best;
}

function visit(search: Search, { links, clashes, sum }: Growing): void {
  const { candidates, rest, whole, key, between } = search;
  const best = search.best?.score ?? -Infinity;
  if (links.length === candidates.length) {
    if (sum / whole > best + 1e-9) search.best = { links, clashes, score: sum / whole };
    return;
  }
  for (const next of candidates[links.length] ?? []) {
    const bound = sum + weighted(next, key) + (rest[links.length + 1] ?? 0);
    if (bound / whole <= (search.best?.score ?? -Infinity) + 1e-9) return;
    const found = links.flatMap((under) => between(under, next));
    if (found.some(({ effect }) => effect === "refuse")) continue;
    const cost = CONDITION_COST * whole * found.length;
    visit(search, { links: [...links, next], clashes: [...clashes, ...found], sum: sum + weighted(next, key) - cost });
  }
}

function weighted({ score, role }: Judgement, key: Role): number {
  return role === key ? KEY_WEIGHT * score : score;
}

/** What one link says against a later one, worked out once a search. */
function clashTable(facts: Facts): Between {
  const known = new Map<string, readonly Reason[]>();
  return (under, over) => {
    const pair = `${under.role} ${under.row.class} ${over.role} ${over.row.class}`;
    const found = known.get(pair) ?? clash(facts, under, over);
    known.set(pair, found);
    return found;
  };
}

function clash(facts: Facts, under: Link, over: Link): Reason[] {
  return PAIR_RULES.filter(({ when }) => when(under, over, facts)).map(({ id, effect, says, source }) => ({
    rule: id,
    effect,
    text: says(under, over),
    source,
    ...(source.includes("rule of thumb") ? { unsure: "a rule of thumb" } : {}),
  }));
}

/** What the links before say against a further one. */
export function clashesWith(facts: Facts, before: readonly Link[], next: Link): Reason[] {
  return before.flatMap((under) => clash(facts, under, next));
}

/**
 * What fits by itself but with which no chain holds is refused too, with the clash that keeps it out: wax under a coat.
 * Where nothing makes a chain at all, that is said elsewhere.
 */
export function refuseUnchained(
  facts: Facts,
  byRole: ReadonlyMap<Role, readonly Judgement[]>,
  chains: readonly Chain[],
): ReadonlyMap<Role, readonly Judgement[]> {
  const key = keyRole([...byRole.keys()]);
  if (key === undefined || chains.length === 0) return byRole;
  const chained = new Set(chains.flatMap(({ links }) => links.filter(({ role }) => role === key).map(({ row }) => row.class)));
  const judged = (byRole.get(key) ?? []).map((each) =>
    each.verdict === "refused" || chained.has(each.row.class) ? each : refusedBy(each, whatKeepsOut(facts, each, byRole)),
  );
  return new Map([...byRole, [key, judged]]);
}

function refusedBy(judgement: Judgement, { rule, text, source }: Reason): Judgement {
  const clash: Rule = { id: rule, looks_at: "finish", effect: "refuse", word: "No chain", says: text, source, when: () => true };
  return { ...judgement, verdict: "refused", fired: [...judgement.fired, clash] };
}

const NO_CHAIN: Reason = {
  rule: "no-chain",
  effect: "refuse",
  text: "No chain holds with it: its neighbours refuse one another.",
  source: "rules between links",
};

/** The clash with a neighbour of which every candidate is refused beside it. */
function whatKeepsOut(facts: Facts, link: Judgement, byRole: ReadonlyMap<Role, readonly Judgement[]>): Reason {
  const roles = [...byRole.keys()];
  for (const role of roles.filter((each) => each !== link.role)) {
    const able = bestOfClass(byRole.get(role) ?? []);
    const refusals = able.map((other) => {
      const [under, over] = roles.indexOf(role) < roles.indexOf(link.role) ? [other, link] : [link, other];
      return clash(facts, under, over).find(({ effect }) => effect === "refuse");
    });
    const [first] = refusals;
    if (first && refusals.every((reason) => reason !== undefined)) return first;
  }
  return NO_CHAIN;
}
