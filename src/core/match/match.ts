import { type ClassName, finishRow, type Role } from "../catalogue";
import type { Warning } from "../units/schema";
import { type Facts, factsOf, type Shelf } from "./case";
import { bestChains, type Chain, clashesWith, refuseUnchained } from "./chains";
import { byFitness, type Judgement, judgeRole, type Reason, reasonsOf } from "./judge";
import type { MatchInput, MatchResult } from "./match.schema";
import type { AtPlaces, Matching, PlaceFacts } from "./matching";
import { openersOf } from "./openers";
import { rolesFor } from "./roles";

/** Said where nothing in the catalogue will do. */
export const REFER = "no material here does this: refer";

/** Judge every class, and with a `shelf` every jar of the shop's own, for every link that the damage needs; with `places`, each at its own. */
export function matching(input: MatchInput, shelf?: Shelf, places?: AtPlaces): Matching {
  const facts = factsOf(input, shelf);
  const roles = places?.roles ?? rolesFor(facts);
  const judged = new Map(roles.map((role) => [role, judgeAt(facts, role, places?.at[role])]));
  const chains = bestChains(facts, judged);
  return { roles, byRole: refuseUnchained(facts, judged, chains), chains };
}

/** Judge a role by the facts of its place. */
export function judgeAt(facts: Facts, role: Role, at: PlaceFacts | undefined): Judgement[] {
  if (at === undefined) return judgeRole(facts, role);
  const { only } = at;
  const judged = judgeRole(factsAt(facts, at), role);
  return only === undefined ? judged : judged.filter(({ row }) => only.includes(row.class));
}

/** The facts as they are at one place. */
export function factsAt(facts: Facts, { damage, working_min, hidden, finish }: PlaceFacts): Facts {
  const { gap_mm: _gap, depth_mm: _depth, ...rest } = facts.damage;
  const { working_min: asked, ...others } = facts;
  const minutes = working_min === "none" ? undefined : (working_min ?? asked);
  return {
    ...others,
    damage: { ...rest, ...damage, kind: damage.kind ?? rest.kind },
    ...(minutes === undefined ? {} : { working_min: minutes }),
    ...(finish === undefined ? {} : { finish: finishRow(finish) }),
    ...(hidden ? { service: { ...facts.service, outdoor: false, touched: false, food: false } } : {}),
  };
}

/**
 * Ranked chains of materials for a damage, best first, and what was refused with the reason and what to use instead.
 * Deterministic: ties are broken by fitness, then by name.
 */
export function match(input: MatchInput): MatchResult {
  const found = matching(input);
  return {
    chains: found.chains.map((chain) => ({
      links: chain.links.map((link) => linkOf(link, chain, input)),
      score: chain.score,
      verdict: chain.clashes.length > 0 || chain.links.some(({ verdict }) => verdict === "fits-if") ? "fits-if" : "fits",
    })),
    refused: refusedOf(found),
    basis: {
      formula: "rules per role; chain score = weighted mean of the criteria, key link ×3, −4 for each condition between links",
      source: "rules with their sources in src/core/match; figures with theirs in src/core/catalogue",
    },
    warnings: warningsOf(input, found),
  };
}

function linkOf(link: Judgement, chain: Chain, input: MatchInput): MatchResult["chains"][number]["links"][number] {
  const before = chain.links.slice(0, chain.links.indexOf(link));
  const clashes = clashesWith(factsOf(input), before, link);
  const reasons = [...clashes, ...reasonsOf(link)].map(sentence);
  return {
    role: link.role,
    class: link.row.class,
    verdict: clashes.length > 0 || link.verdict === "fits-if" ? "fits-if" : "fits",
    reasons: reasons.length > 0 ? reasons : [`${link.row.name} holds, fills and stands what this piece asks of it.`],
  };
}

/** A reason as one sentence; where it is not certain it says so. */
function sentence({ text, unsure }: Reason): string {
  return unsure === undefined ? text : `${text.replace(/\.$/, "")} (${unsure}).`;
}

function refusedOf({ byRole, chains }: Matching): MatchResult["refused"] {
  const judged = [...byRole.values()].flat();
  const accepted = new Set<ClassName>(judged.filter(({ verdict }) => verdict !== "refused").map(({ row }) => row.class));
  return judged
    .filter(({ row, verdict }) => verdict === "refused" && !accepted.has(row.class))
    .map((judgement) => ({
      class: judgement.row.class,
      role: judgement.role,
      reasons: reasonsOf(judgement)
        .filter(({ effect }) => effect === "refuse")
        .map(sentence),
      instead: insteadOf(judgement.role, byRole, chains),
    }));
}

/** The class that serves in this role: that of the best chain, else the best that is not refused. */
export function insteadOf(role: Role, byRole: Matching["byRole"], chains: readonly Chain[]): ClassName | typeof REFER {
  const inChain = chains[0]?.links.find((link) => link.role === role);
  const able = (byRole.get(role) ?? []).filter(({ verdict }) => verdict !== "refused");
  const best = inChain ?? [...able].sort(byFitness)[0];
  return best?.row.class ?? REFER;
}

function warningsOf(input: MatchInput, found: Matching): Warning[] {
  const { stock_only, damage } = input;
  const { roles, chains } = found;
  const warnings: Warning[] = [];
  if (stock_only) warnings.push({ code: "no-stock", message: "No stock is known here: all classes were considered." });
  if (roles.length === 0) warnings.push({ code: "no-role", message: `A ${damage.kind} of this measure needs no material.` });
  else if (chains.length === 0) {
    const openers = openersOf(input, found);
    const refer = {
      code: "refer",
      message: "No chain of materials here does this, and no single change opens one: refer to a specialist.",
    };
    warnings.push(...(openers.length > 0 ? openers : [refer]));
  }
  return warnings;
}
