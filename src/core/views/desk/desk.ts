import { ROLE_LABELS, type Role, type Stance } from "../../catalogue";
import { type Facts, factsOf, type Shelf } from "../../match/case";
import { clashesWith } from "../../match/chains";
import type { Judgement, Reason } from "../../match/judge";
import { factsAt, matching } from "../../match/match";
import type { ChainLink, MatchInput } from "../../match/match.schema";
import type { AtPlaces, Matching } from "../../match/matching";
import { keyRole } from "../../match/roles";
import { inSentence } from "../../units";
import { keepingRows } from "../buildRows";
import {
  askedPlaces,
  candidates,
  chainFor,
  changesSince,
  type Forced,
  forcedOf,
  givenWay,
  keyOf,
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
  /** What its part is primed, coloured and coated with at another damage, where nothing is chosen here yet. */
  readonly beside: readonly ChainLink[];
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
  /** The chain as it stood when the last pick was made: what was not picked stays where it can. */
  readonly shown?: Picks;
  /** A class, or a jar by its id, that all reasons are asked of. */
  readonly why_not?: string;
}

/** The question that a page opens with: as it was chosen, else as surveyed. */
export const firstQuestion = ({ choice, beside }: DeskFacts): DeskQuestion => ({
  stance: choice?.stance ?? "reversible",
  picks: picksOf(choice?.chain ?? beside),
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
  /** What stood in the chain before and had to go for the last pick, in words. */
  readonly swapped: readonly string[];
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
  const { stance, what_if, picks, forced, shown = {} } = question;
  const asked = what_if ?? input;
  const at = askedPlaces(places, input, asked);
  const found = matching({ ...asked, stance }, shelf, at);
  const key = keyRole(found.roles);
  const role = question.role && found.roles.includes(question.role) ? question.role : key;
  if (key === undefined || role === undefined) return undefined;
  const before = choice?.stance ?? "reversible";
  const changed = what_if !== undefined || stance !== before;
  const facts = factsOf({ ...asked, stance }, shelf);
  const refused = (links: readonly Judgement[]) =>
    clashesIn(facts, links)
      .flat()
      .some(({ effect }) => effect === "refuse");
  const chain = chainFor(found, picks, forced, shown, refused);
  const clashes = clashesIn(facts, chain);
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
    swapped: givenWay(chain, picks, shown).map(([at, before]) => swapWords(found, chain, at, before)),
    changes: changed ? changesSince(matching({ ...input, stance: before }, shelf, places), found, role, picks[role]) : new Map(),
    other: otherWould(matching({ ...asked, stance: otherStance(stance) }, shelf, at), found, stance),
    links: keepingRows(
      choice?.chain ?? [],
      chain.map((link) => linkOf(link, forced)),
    ),
    missing: what_if === undefined ? whyNotPlanned(chain, clashes, found.roles, forced) : "This is a what-if: go back to the survey first",
  };
}

/** What each link of a chain has against those before it. */
const clashesIn = (facts: Facts, links: readonly Judgement[]) => links.map((link, i) => clashesWith(facts, links.slice(0, i), link));

/**
 * The same choice at another damage of the piece: its whole chain, where all that it needs was chosen here and fits there too; undefined
 * where it does not, or where nothing is needed.
 */
export function sameChoice(there: DeskFacts, stance: Stance, links: readonly ChainLink[]): readonly ChainLink[] | undefined {
  const picks = picksOf(links);
  const desk = deskOf(there, { stance, picks, forced: {} });
  if (desk?.missing !== "") return undefined;
  return desk.chain.every((link) => picks[link.role] === keyOf(link)) ? desk.links : undefined;
}

function swapWords({ byRole }: Matching, chain: readonly Judgement[], role: Role, before: string): string {
  const name = (judged: Judgement | undefined) => inSentence(judged?.product?.name ?? judged?.row.name ?? "");
  const was = byRole.get(role)?.find((each) => keyOf(each) === before);
  const now = chain.find((link) => link.role === role);
  return `${ROLE_LABELS[role]} is ${name(now)} now: ${name(was) || "what stood there"} does not go with what you chose.`;
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
