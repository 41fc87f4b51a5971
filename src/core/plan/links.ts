import { CLASS_ROWS, type ClassName, type CoatName, type MaterialClass, materialOf, type OwnProduct, ROLES, type Role } from "../catalogue";
import { type Facts, factsOf, type Shelf } from "../match/case";
import { bestChains, type Chain, clashesWith } from "../match/chains";
import { byFitness, type Judgement, judge, type Reason, reasonsOf, type Verdict } from "../match/judge";
import { factsAt, judgeAt } from "../match/match";
import type { MatchInput } from "../match/match.schema";
import type { AtPlaces, PlaceFacts } from "../match/matching";
import { buildOf, type Place } from "../survey/place";
import type { TakenPlace } from "../survey/wayRow";
import { present } from "../units";

export type WorkPlace = Place & TakenPlace;

/** One material in one role at one place. */
export interface PlanLink {
  /** `d1/joins/adhesive` */
  readonly id: string;
  readonly place: string;
  readonly role: Role;
  readonly class: ClassName;
  readonly product?: OwnProduct;
  readonly material: MaterialClass;
  readonly verdict: Verdict;
  /** It was refused, and taken for this reason. */
  readonly overridden?: string;
  readonly reasons: readonly Reason[];
  /** Of a filler over another: how thick, mm. */
  readonly mm?: number;
  /** Of a coat: what it is, and how many of it, where the user set them. */
  readonly as?: CoatName;
  readonly coats?: number;
  /** Its place among those that were chosen: coats of two roles follow one another as they were set. */
  readonly order?: number;
}

/** A material that was taken by hand, in place of the one that Match puts first. */
export interface Choice {
  readonly place?: string;
  readonly role: Role;
  readonly class: ClassName;
  readonly product?: OwnProduct;
  readonly because?: string;
  readonly mm?: number;
  readonly as?: CoatName;
  readonly coats?: number;
}

/** A role that nothing serves, with the reason nearest to opening it; `warm_C`: from so many degrees on something would. */
interface Missing {
  readonly role: Role;
  readonly because: string;
  readonly warm_C?: number;
}

/** The links of a damage, and what is missing: the roles that nothing serves, with the reason nearest to opening them. */
export interface ChosenLinks {
  readonly links: readonly PlanLink[];
  readonly missing: readonly Missing[];
}

/** What Match is asked for the places of one damage: which links, each by the measures of its own place. */
export function atPlaces(places: readonly WorkPlace[], input: Pick<MatchInput, "working_min" | "finish_to_be">): AtPlaces {
  const roles = ROLES.filter((role) => places.some(({ takes }) => takes.includes(role)));
  return { roles, at: Object.fromEntries(roles.map((role) => [role, factsOfRole(role, places, input)])) };
}

/** Sheets and plugs are laid with glue: only a way that says so takes them. */
const LAID_WITH_GLUE: readonly ClassName[] = ["veneer-sheet", "wood-inlay", "leather-plug"];
export const isLaidWithGlue = (name: ClassName | undefined): boolean => name !== undefined && LAID_WITH_GLUE.includes(name);
const PASTES: readonly ClassName[] = CLASS_ROWS.filter((row) => row.roles.includes("filler") && !isLaidWithGlue(row.class)).map(
  (row) => row.class,
);

/** A quick hand lays a sheet or a plug in its bed in so many minutes; trade practice. */
const LAID_MIN = 3;

/** The place that asks most of a role: the widest gap for a glue, the deepest void for a fill. */
function factsOfRole(
  role: Role,
  places: readonly WorkPlace[],
  { working_min, finish_to_be }: Pick<MatchInput, "working_min" | "finish_to_be">,
): PlaceFacts {
  const here = places.filter(({ takes }) => takes.includes(role));
  const as = here.find((place) => place.as !== undefined)?.as;
  const named = here.flatMap((place) => place.only?.[role] ?? []);
  const only = named.length === 0 && role === "filler" ? PASTES : named;
  const hidden = here.every((place) => place.hidden === true);
  const kind = as === undefined ? {} : { kind: as };
  const shared = { ...(only.length > 0 ? { only } : {}), ...(hidden ? { hidden } : {}) };
  if (role === "adhesive") {
    const gap_mm = Math.max(...here.map((place) => place.gap_mm?.[1] ?? place.film_mm ?? 0));
    return { damage: { gap_mm }, ...shared, ...present({ working_min: workingAt(here, working_min) }) };
  }
  if (role === "filler" || role === "consolidant") {
    const voids = here.filter(({ solids }) => solids !== undefined);
    const depth_mm = Math.max(0, ...voids.map(buildOf));
    const gap_mm = Math.min(Infinity, ...voids.map((place) => place.opening_mm ?? Infinity));
    return {
      damage: { ...kind, ...(depth_mm > 0 ? { depth_mm } : {}), ...(Number.isFinite(gap_mm) ? { gap_mm } : {}) },
      ...shared,
      working_min: "none",
    };
  }
  return { damage: kind, ...shared, working_min: "none", ...present({ finish: finish_to_be }) };
}

/** How long a glue must stay workable at its places, min: join by join where they are shards, and as long as a sheet takes to lay. */
function workingAt(here: readonly WorkPlace[], asked: number | undefined): number | undefined {
  const joins = Math.max(1, ...here.map((place) => place.joins ?? 1));
  const own = asked === undefined ? [] : [asked / joins];
  const laid = here.some(({ name }) => name === "bed") ? [LAID_MIN] : [];
  return own.length + laid.length > 0 ? Math.max(...own, ...laid) : undefined;
}

/** What fits a role at the places of one damage, best first. */
export function candidatesAt(input: MatchInput, places: readonly WorkPlace[], role: Role): Judgement[] {
  const judged = judgeAt(factsOf(input), role, atPlaces(places, input).at[role]);
  return judged.filter(({ verdict }) => verdict !== "refused").sort(byFitness);
}

/** The best chain with what was chosen by hand held fast; a link a place and role. */
export function linksFor(input: MatchInput, places: readonly WorkPlace[], choices: readonly Choice[], shelf?: Shelf): ChosenLinks {
  const facts = factsOf(input, shelf);
  const { roles, at } = atPlaces(places, input);
  const mine = choices.filter(({ role, place }) => roles.includes(role) && (place === undefined || places.some(({ id }) => id === place)));
  const byRole = new Map(roles.map((role) => [role, candidates(facts, role, at[role], mine)]));
  const able = new Map([...byRole].filter(([, judged]) => judged.some(({ verdict }) => verdict !== "refused")));
  const chain: Chain | undefined = bestChains(facts, able)[0];
  const taken = chain?.links ?? [...able.values()].map(best);
  const missing = roles.filter((role) => !able.has(role)).map((role): Missing => missingOf(role, byRole.get(role) ?? []));
  return {
    missing,
    links: withoutIdleGlue(
      places,
      places.flatMap((place) => place.takes.flatMap((role) => linksAt(facts, place, role, at[role], taken, mine))),
    ),
  };
}

/** Fabric that is laid wet through holds by itself: no glue goes under it. */
export const LAID_WET: readonly ClassName[] = ["plaster-bandage", "glass-fabric"];

/** A bandage wetted with plaster holds by itself, and where nothing is let in there is nothing to glue. */
function withoutIdleGlue(places: readonly WorkPlace[], links: readonly PlanLink[]): PlanLink[] {
  const glued = (id: string) => links.some(({ role, place, class: name }) => place === id && role === "brace" && !LAID_WET.includes(name));
  const backed = new Set(places.filter(({ takes }) => takes.includes("brace")).map(({ id }) => id));
  return links.filter(({ role, place }) => role !== "adhesive" || !backed.has(place) || glued(place));
}

const best = (judged: readonly Judgement[]): Judgement =>
  [...judged].filter(({ verdict }) => verdict !== "refused").sort(byFitness)[0] as Judgement;

/** Candidates of a role; where one was chosen by hand it stands alone, refused or not. */
function candidates(facts: Facts, role: Role, at: PlaceFacts | undefined, choices: readonly Choice[]): Judgement[] {
  const chosen = choices.find((each) => each.role === role);
  if (chosen === undefined) return judgeAt(facts, role, at);
  const judged = judgeChoice(facts, chosen, at);
  return [judged.verdict === "refused" ? { ...judged, verdict: "fits-if" } : judged];
}

function judgeChoice(facts: Facts, { role, class: name, product }: Choice, at: PlaceFacts | undefined): Judgement {
  return judge({ ...(at ? factsAt(facts, at) : facts), row: materialOf(name, product), role });
}

function linksAt(
  facts: Facts,
  place: WorkPlace,
  role: Role,
  at: PlaceFacts | undefined,
  taken: readonly Judgement[],
  choices: readonly Choice[],
): PlanLink[] {
  const here = choices.filter((each) => each.place === undefined || each.place === place.id);
  const chosen = here.filter((each) => each.role === role);
  if (chosen.length > 0)
    return chosen.map((choice, i) => ({
      ...linkOf(facts, place, judgeChoice(facts, choice, at), taken, choice, i, choice.product),
      ...(choice.coats === undefined ? {} : { order: choices.indexOf(choice) }),
    }));
  // where coats are set by hand, a role that has none is not wanted
  if ((role === "colour" || role === "topcoat") && here.some(({ coats }) => coats !== undefined)) return [];
  const judged = taken.find((each) => each.role === role);
  return judged ? [linkOf(facts, place, judged, taken, undefined, 0, judged.product)] : [];
}

function linkOf(
  facts: Facts,
  place: WorkPlace,
  judged: Judgement,
  taken: readonly Judgement[],
  choice: Choice | undefined,
  i: number,
  product: OwnProduct | undefined,
): PlanLink {
  const before = taken.slice(
    0,
    Math.max(
      0,
      taken.findIndex(({ role }) => role === judged.role),
    ),
  );
  const clashes = clashesWith(facts, before, judged);
  const refused = judged.verdict === "refused" || clashes.some(({ effect }) => effect === "refuse");
  const verdict: Verdict = refused ? "refused" : clashes.length > 0 ? "fits-if" : judged.verdict;
  return {
    id: `${place.id}/${judged.role}${i > 0 ? `-${i + 1}` : ""}`,
    place: place.id,
    role: judged.role,
    class: judged.row.class,
    ...(product ? { product: { id: product.id, name: product.name, figures: product.figures } } : {}),
    material: judged.row,
    verdict,
    ...(refused && choice ? { overridden: choice.because ?? "" } : {}),
    reasons: [...clashes, ...reasonsOf(judged)],
    ...present({ mm: choice?.mm, as: choice?.as, coats: choice?.coats }),
  };
}

/** Too cold is no reason to refer: what keeps off the cold alone says from when on it serves. */
const COLD = "time-cold";

function missingOf(role: Role, judged: readonly Judgement[]): Missing {
  const cold = judged.filter((each) => reasonsOf(each).every(({ rule, effect }) => effect !== "refuse" || rule === COLD));
  const [first] = [...cold].sort((a, b) => a.row.cure.min_C - b.row.cure.min_C);
  if (!first) return { role, because: nearest(judged) };
  const warm_C = first.row.cure.min_C;
  return { role, because: `From ${warm_C} °C on ${first.row.name.toLowerCase()} serves: warm the room, or the place itself.`, warm_C };
}

/** Of what is refused, the candidate that would score best, and why. */
function nearest(judged: readonly Judgement[]): string {
  const [first] = [...judged].sort(byFitness);
  const why = first && reasonsOf(first).find(({ effect }) => effect === "refuse");
  return first && why
    ? `Nearest comes ${first.row.name}: ${why.text}${why.or ? ` ${why.or}` : ""}`
    : "Nothing in the catalogue serves here.";
}
