import { ROLE_LABELS, type Role, type Stance } from "@/core/catalogue";
import { type Facts, factsOf, type Shelf } from "@/core/match/case";
import { clashesWith } from "@/core/match/chains";
import type { Judgement, Reason } from "@/core/match/judge";
import { factsAt, matching } from "@/core/match/match";
import type { ChainLink, MatchInput } from "@/core/match/match.schema";
import type { AtPlaces, Matching } from "@/core/match/matching";
import { keyRole } from "@/core/match/roles";
import { keepingRows } from "@/core/views/buildRows";
import {
  askedPlaces,
  candidates,
  chainFor,
  changesSince,
  type Forced,
  forcedOf,
  otherStance,
  otherWould,
  type Picks,
  picksOf,
} from "./picks";

export type Asked = Omit<MatchInput, "stance">;

/** What is known of a damage and its shop before anything is asked. */
export interface DeskFacts {
  readonly input: Asked;
  /** The links that the way takes, each with the measures of its own place. */
  readonly places: AtPlaces;
  /** Absent = the cabinet is empty, and nothing is said of it. */
  readonly shelf?: Shelf;
  readonly choice?: { readonly stance: Stance; readonly chain: readonly ChainLink[]; readonly entry: string };
}

/** What is asked at Match: whose stance, which link, what if, and what was picked. */
export interface DeskQuestion {
  readonly stance: Stance;
  readonly role?: Role;
  /** Absent = as surveyed, whatever the air does meanwhile. */
  readonly what_if?: Asked;
  readonly picks: Picks;
  readonly forced: Forced;
  /** A class, or a jar by its id, that all reasons are asked of. */
  readonly why_not?: string;
}

/** The question that a page opens with: as it was chosen, else as surveyed. */
export const firstQuestion = ({ choice }: DeskFacts): DeskQuestion => ({
  stance: choice?.stance ?? "reversible",
  picks: picksOf(choice?.chain ?? []),
  forced: forcedOf(choice?.chain ?? []),
});

/** Everything that Match shows, judged by the rules. */
export interface Desk {
  readonly question: DeskQuestion;
  readonly input: MatchInput;
  readonly found: Matching;
  readonly facts: Facts;
  readonly places: AtPlaces;
  readonly role: Role;
  readonly key: Role;
  /** The facts at the place of the link that is shown. */
  readonly here: Facts;
  readonly judged: readonly Judgement[];
  readonly chain: readonly Judgement[];
  readonly clashes: ReadonlyArray<readonly Reason[]>;
  /** What a what-if changed, by candidate. */
  readonly changes: ReadonlyMap<string, string>;
  /** What the other stance would put first. */
  readonly other: string;
  /** The chain as it is written, with what was set by hand before. */
  readonly links: readonly ChainLink[];
  /** What keeps the chain from being planned; empty when it may be. */
  readonly missing: string;
}

/** Judge a question; undefined where the damage needs no material. */
export function deskOf({ input, places, shelf, choice }: DeskFacts, question: DeskQuestion): Desk | undefined {
  const { stance, what_if, picks, forced } = question;
  const asked = what_if ?? input;
  const at = askedPlaces(places, input, asked);
  const found = matching({ ...asked, stance }, shelf, at);
  const key = keyRole(found.roles);
  const role = question.role && found.roles.includes(question.role) ? question.role : key;
  if (key === undefined || role === undefined) return undefined;
  const before = choice?.stance ?? "reversible";
  const changed = what_if !== undefined || stance !== before;
  const facts = factsOf({ ...asked, stance }, shelf);
  const chain = chainFor(found, picks, forced);
  const clashes = chain.map((link, i) => clashesWith(facts, chain.slice(0, i), link));
  const place = at.at[role];
  return {
    question,
    input: { ...asked, stance },
    found,
    facts,
    places: at,
    role,
    key,
    here: place ? factsAt(facts, place) : facts,
    judged: candidates(found, role, picks[role]),
    chain,
    clashes,
    changes: changed ? changesSince(matching({ ...input, stance: before }, shelf, places), found, role, picks[role]) : new Map(),
    other: otherWould(matching({ ...asked, stance: otherStance(stance) }, shelf, at), found, stance),
    links: keepingRows(
      choice?.chain ?? [],
      chain.map((link) => linkOf(link, forced)),
    ),
    missing: what_if === undefined ? whyNotPlanned(chain, clashes, found.roles, forced) : "This is a what-if: go back to the survey first",
  };
}

function linkOf({ role, row, product }: Judgement, forced: Forced): ChainLink {
  return {
    role,
    class: row.class,
    ...(product ? { product: { id: product.id, name: product.name, figures: product.figures } } : {}),
    ...(forced[role] ? { because: forced[role] } : {}),
  };
}

function whyNotPlanned(
  chain: readonly Judgement[],
  clashes: ReadonlyArray<readonly Reason[]>,
  roles: readonly Role[],
  forced: Forced,
): string {
  const missing = roles.find((role) => !chain.some((link) => link.role === role));
  if (missing) return `No ${ROLE_LABELS[missing].toLowerCase()} is chosen`;
  const clash = clashes.some(
    (reasons, i) => forced[chain[i]?.role as Role] === undefined && reasons.some(({ effect }) => effect === "refuse"),
  );
  return clash ? "Two links clash: choose another" : "";
}
