import { type ClassName, classRow, type Role, STANCE_LABELS, type Stance } from "../../catalogue";
import { byFitness, type Judgement, type Reason, reasonsOf } from "../../match/judge";
import type { ChainLink, MatchInput } from "../../match/match.schema";
import type { AtPlaces, Matching } from "../../match/matching";
import { keyRole } from "../../match/roles";

/** What was picked for each role: a class, or a jar by its id. */
export type Picks = Partial<Record<Role, string>>;

/** Why a link was taken against a refusal, by role. */
export type Forced = Partial<Record<Role, string>>;

export function forcedOf(chain: readonly ChainLink[]): Forced {
  return Object.fromEntries(chain.flatMap(({ role, because }) => (because ? [[role, because]] : [])));
}

/** The places with what a what-if asks in place of what was measured there. */
export function askedPlaces(places: AtPlaces, surveyed: Asked, asked: Asked): AtPlaces {
  const changed = (["gap_mm", "depth_mm"] as const).filter((name) => asked.damage[name] !== surveyed.damage[name]);
  const figures = Object.fromEntries(changed.flatMap((name) => (asked.damage[name] === undefined ? [] : [[name, asked.damage[name]]])));
  const minutes = asked.working_min === surveyed.working_min ? {} : { working_min: asked.working_min ?? ("none" as const) };
  const at = Object.entries(places.at).map(([role, facts]) => [
    role,
    { ...facts, ...(facts.working_min === "none" ? {} : minutes), damage: { ...facts.damage, ...figures } },
  ]);
  return { roles: places.roles, at: Object.fromEntries(at) };
}

type Asked = Omit<MatchInput, "stance">;

/** What tells a candidate from the others of its role. */
export const keyOf = ({ row, product }: Pick<Judgement, "row" | "product">): string => product?.id ?? row.class;

export function picksOf(chain: readonly ChainLink[]): Picks {
  // of several links of a role the first is the body of it
  return Object.fromEntries([...chain].reverse().map(({ role, class: name, product }) => [role, product?.id ?? name]));
}

/**
 * Candidates of a role, best first; of the key role in the order of their chains, since neighbours count.
 * A class of which a usable jar is here stands behind that jar and is not listed again, unless it was picked itself.
 */
export function candidates({ byRole, chains }: Matching, role: Role, picked?: string): Judgement[] {
  const able = (byRole.get(role) ?? []).filter(({ verdict }) => verdict !== "refused");
  const here = new Set(able.flatMap(({ product, row }) => (product ? [row.class] : [])));
  const place = (judgement: Judgement) => {
    const found = chains.findIndex(({ links }) => links.some((link) => link.role === role && link.row.class === judgement.row.class));
    return found < 0 ? chains.length : found;
  };
  const listed = able.filter(({ product, row }) => product || !here.has(row.class) || row.class === picked).sort(byFitness);
  return keyRole([...byRole.keys()]) === role ? listed.sort((a, b) => place(a) - place(b)) : listed;
}

/**
 * The best chain that keeps to what was picked; where a pick is refused now and not taken all the same, the best without it. What stood
 * beside the picks before, `shown`, stays as long as nothing refuses it there: a new filler swaps no consolidant without need.
 */
export function chainFor(
  found: Matching,
  picks: Picks,
  forced: Forced = {},
  shown: Picks = {},
  refused: Refuses = () => false,
): Judgement[] {
  const { byRole, chains, roles } = found;
  const able = (role: Role) =>
    byRole.get(role)?.find((each) => keyOf(each) === picks[role] && (each.verdict !== "refused" || forced[role] !== undefined));
  const stood = (role: Role) => byRole.get(role)?.find((each) => keyOf(each) === shown[role] && each.verdict !== "refused");
  const key = keyRole(roles);
  const picked = key && able(key);
  const base =
    (picked && chains.find(({ links }) => links.some(({ role, row }) => role === key && row.class === picked.row.class))) ?? chains[0];
  const best = roles.flatMap((role) => able(role) ?? base?.links.find((link) => link.role === role) ?? []);
  const kept = best.map((link) => (able(link.role) ? link : (stood(link.role) ?? link)));
  const eased = kept.map((_, i) => kept.map((link, at) => (at === i ? (best[i] ?? link) : link)));
  return [kept, ...eased].find((chain) => !refused(chain)) ?? best;
}

/** Whether two links of a chain refuse one another. */
type Refuses = (chain: readonly Judgement[]) => boolean;

/** What of `shown` had to go for what was picked, by its role. */
export function givenWay(chain: readonly Judgement[], picks: Picks, shown: Picks): Array<readonly [role: Role, key: string]> {
  return chain.flatMap((link) => {
    const before = shown[link.role];
    return before === undefined || picks[link.role] !== undefined || before === keyOf(link) ? [] : [[link.role, before] as const];
  });
}

export const otherStance = (stance: Stance): Stance => (stance === "reversible" ? "service" : "reversible");

/** What the other stance would put first, so that nobody has to switch to see it. */
export function otherWould(other: Matching, own: Matching, stance: Stance): string {
  const name = (found: Matching) => found.chains[0]?.links.find(({ role }) => role === keyRole(found.roles))?.row.name;
  const [theirs, ours] = [name(other), name(own)];
  const label = STANCE_LABELS[otherStance(stance)];
  if (theirs === undefined) return `${label} finds nothing either`;
  return theirs === ours ? `${label} would pick the same` : `${label} would pick ${theirs.toLowerCase()}`;
}

/** What was said of each candidate before a what-if changed it: "was 3rd", "was refused", "fitted before". */
export function changesSince(before: Matching, after: Matching, role: Role, picked?: string): ReadonlyMap<string, string> {
  const order = (found: Matching) => candidates(found, role, picked).map(keyOf);
  const [was, now] = [order(before), order(after)];
  const moved = now.flatMap((key, place): [string, string][] => {
    const old = was.indexOf(key);
    if (old < 0) return [[key, "was refused"]];
    return old === place ? verdictChange(before, after, role, key) : [[key, `was ${ordinal(old + 1)}`]];
  });
  return new Map([...moved, ...was.filter((key) => !now.includes(key)).map((key): [string, string] => [key, "fitted before"])]);
}

function verdictChange(before: Matching, after: Matching, role: Role, key: string): [string, string][] {
  const verdict = (found: Matching) => found.byRole.get(role)?.find((each) => keyOf(each) === key)?.verdict;
  const [was, now] = [verdict(before), verdict(after)];
  if (was === now) return [];
  return [[key, now === "fits-if" ? "new condition" : "no condition now"]];
}

const PLACES = ["1st", "2nd", "3rd"];
export const ordinal = (place: number): string => PLACES[place - 1] ?? `${place}th`;

/** Refused candidates: those with a reason of their own, and those that simply do not hold on this material. */
export function refusedOf({ byRole }: Matching, role: Role): { readonly told: Judgement[]; readonly plain: Judgement[] } {
  const refused = (byRole.get(role) ?? []).filter(({ verdict }) => verdict === "refused");
  const isPlain = (judgement: Judgement) => {
    const against = judgement.fired.filter(({ effect }) => effect === "refuse");
    return judgement.product === undefined && against.some(({ id }) => id === "bond-none" || id === "only-for" || id === "shelf-none");
  };
  return { told: refused.filter((each) => !isPlain(each)), plain: refused.filter(isPlain) };
}

/** Conditions that every candidate carries: said once above the table. */
export function shared(judged: readonly Judgement[]): Reason[] {
  const [first, ...others] = judged;
  if (!first || others.length === 0) return [];
  const every = first.fired.filter(
    ({ id, effect }) => effect === "if" && others.every(({ fired }) => fired.some((rule) => rule.id === id)),
  );
  return reasonsOf(first).filter(({ rule }) => every.some(({ id }) => id === rule));
}

/** One sentence to sum a candidate up: the condition of its own that counts most, else what speaks against it, else for it. */
export function summary(judgement: Judgement, common: readonly Reason[] = []): string {
  const reasons = reasonsOf(judgement).filter(({ rule }) => !common.some((each) => each.rule === rule));
  const condition = reasons.find(({ effect }) => effect === "if");
  if (condition) return condition.text;
  const weak = reasons.find(({ effect }) => effect === "against" || effect === "fair");
  return (weak ?? reasons[0])?.text ?? `Comes out again: ${judgement.row.reversible.by}.`;
}

/** The name of the class to use instead, in running text. */
export const insteadWords = (name: ClassName): string => `Use ${classRow(name).name.toLowerCase()}.`;
