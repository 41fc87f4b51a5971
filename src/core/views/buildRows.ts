import type { CoatName, Role, Stance } from "../catalogue";
import { COATS_BY_NAME } from "../colour/coats.data";
import type { CoatTemplate } from "../colour/templates.data";
import type { ChainLink } from "../match/match.schema";
import { present } from "../units";

/** What a place is built of, as it can be changed by hand: coats, layers, or one material. */
export interface BuildPlace {
  readonly damage: string;
  readonly place: string;
  readonly label: string;
  readonly what: "coats" | "layers" | "material";
  readonly roles: readonly Role[];
  readonly rows: readonly ChainLink[];
  /** What may stand on a row, by role, best first. */
  readonly candidates: Readonly<Partial<Record<Role, readonly BuildCandidate[]>>>;
}

export interface BuildCandidate extends Pick<ChainLink, "class" | "product"> {
  readonly name: string;
  /** The condition under which it fits; absent = it simply fits. */
  readonly condition?: string;
}

/** The choice of a damage that a change of its places is written into. */
export interface BuildChoice {
  readonly damage: string;
  readonly entry: string;
  readonly stance: Stance;
  readonly chain: readonly ChainLink[];
  readonly reason?: string;
  /** Places that take each role: what was chosen for all of them is written out for the others. */
  readonly taking: Readonly<Partial<Record<Role, readonly string[]>>>;
}

/** A chain with what stands on the rows of one place; what was chosen for all places of a role stays at the others. */
export function withRows(
  { chain, taking }: Pick<BuildChoice, "chain" | "taking">,
  { place, roles }: Pick<BuildPlace, "place" | "roles">,
  rows: readonly ChainLink[],
): ChainLink[] {
  const kept = chain.flatMap((link): ChainLink[] => {
    if (!roles.includes(link.role)) return [link];
    if (link.place !== undefined) return link.place === place ? [] : [link];
    const others = (taking[link.role] ?? []).filter(
      (id) => id !== place && !chain.some((own) => own.role === link.role && own.place === id),
    );
    return others.map((id) => ({ ...link, place: id }));
  });
  return [...kept, ...rows.map((row) => ({ ...row, place }))];
}

/**
 * A chain chosen anew for every place, with what was set by hand before kept where the material of its role is the same: coats, layers, and
 * materials of single places.
 */
export function keepingRows(before: readonly ChainLink[], after: readonly ChainLink[]): ChainLink[] {
  return after.flatMap((link): ChainLink[] => {
    const known = before.filter(({ role }) => role === link.role);
    const same = known.some((each) => each.class === link.class && each.product?.id === link.product?.id);
    return same && known.length > 0 ? known.map((each) => (isOf(each, link) ? { ...link, ...byHand(each) } : each)) : [link];
  });
}

/** A template's rows for a place: of what it names where that fits there, else of what stands there now, else of the first that fits. */
export function rowsFrom({ rows: template }: CoatTemplate, { rows, candidates }: Pick<BuildPlace, "rows" | "candidates">): ChainLink[] {
  return template.flatMap(({ as, coats, class: named }): ChainLink[] => {
    const { role } = COATS_BY_NAME[as];
    const fitting = candidates[role] ?? [];
    const now = rows.find((row) => row.role === role);
    const taken = fitting.find((each) => each.class === named) ?? (named ? undefined : now) ?? fitting[0];
    return taken ? [{ role, class: taken.class, ...present({ product: taken.product }), as, coats }] : [];
  });
}

const isOf = (a: ChainLink, b: ChainLink): boolean => a.class === b.class && a.product?.id === b.product?.id;
const byHand = ({ place, mm, as, coats }: ChainLink) => present({ place, mm, as, coats });

/** The words of a coat's row, and the role that its material has. */
export const COAT_CHOICES: ReadonlyArray<{ readonly as: CoatName; readonly label: string; readonly role: "colour" | "topcoat" }> =
  Object.entries(COATS_BY_NAME).map(([as, { label, role }]) => ({ as: as as CoatName, label, role }));
