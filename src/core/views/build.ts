import { type CoatName, ROLE_LABELS, type Role, type Stance } from "../catalogue";
import { COATS_BY_NAME } from "../colour/coats.data";
import { reasonsOf } from "../match/judge";
import type { ChainLink } from "../match/match.schema";
import { coatRows } from "../plan/colourOps";
import type { WorkedDamage } from "../plan/damageContext";
import { candidatesAt, isLaidWithGlue, type WorkPlace } from "../plan/links";
import type { Treatment } from "../record/treatment";
import { present } from "../units";
import type { StockProduct } from "./stock";
import type { Worked } from "./worked";

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

/** Every place of a treatment that can be built otherwise, and the choices behind them. */
export function buildOf(
  treatment: Treatment,
  { repair }: Worked,
  products: readonly StockProduct[],
  what: readonly BuildPlace["what"][],
): { readonly places: readonly BuildPlace[]; readonly choices: readonly BuildChoice[] } {
  const chosen = treatment.damages.flatMap(({ id, choice }) => {
    const damage = repair.damages.find((each) => each.id === id);
    return choice && damage ? [{ damage, choice }] : [];
  });
  return {
    places: chosen.flatMap(({ damage }) => placesOf(damage, products).filter((place) => what.includes(place.what))),
    choices: chosen.map(({ damage, choice }) => ({
      damage: damage.id,
      entry: choice.id,
      stance: choice.body.stance,
      chain: choice.body.chain,
      ...present({ reason: choice.body.reason }),
      taking: takingOf(damage),
    })),
  };
}

function placesOf(damage: WorkedDamage, products: readonly StockProduct[]): BuildPlace[] {
  const { context, places, links } = damage;
  const base = ({ id, label }: WorkPlace) => ({ damage: damage.id, place: id, label });
  const candidates = (roles: readonly Role[]) => Object.fromEntries(roles.map((role) => [role, candidatesIn(damage, role, products)]));
  return places.flatMap((place): BuildPlace[] => {
    const of = (role: Role) => links.filter((link) => link.place === place.id && link.role === role);
    const fillers = of("filler");
    const coats = place.kind === "surface" ? coatRows(context, place) : [];
    const layers: BuildPlace[] =
      fillers.length > 0 && !fillers.some((link) => isLaidWithGlue(link.class))
        ? [{ ...base(place), what: "layers", roles: ["filler"], rows: fillers.map(rowOf), candidates: candidates(["filler"]) }]
        : [];
    const coated: BuildPlace[] =
      coats.length > 0 ? [{ ...base(place), what: "coats", roles: COAT_ROLES, rows: coats, candidates: candidates(COAT_ROLES) }] : [];
    const single = SINGLE_ROLES.flatMap((role): BuildPlace[] => {
      const [link] = of(role);
      const several = places.filter(({ takes }) => takes.includes(role)).length > 1;
      if (!link || !several) return [];
      const label = `${ROLE_LABELS[role]} at ${place.label.charAt(0).toLowerCase()}${place.label.slice(1)}`;
      return [{ ...base(place), label, what: "material", roles: [role], rows: [rowOf(link)], candidates: candidates([role]) }];
    });
    return [...single, ...layers, ...coated];
  });
}

const COAT_ROLES: readonly Role[] = ["colour", "topcoat"];
/** Roles of which a place takes one material. */
const SINGLE_ROLES: readonly Role[] = ["consolidant", "adhesive", "levelling"];

const rowOf = ({ role, class: name, product, mm, overridden }: WorkedDamage["links"][number]): ChainLink => ({
  role,
  class: name,
  ...present({ product, mm, because: overridden || undefined }),
});

function takingOf({ places }: WorkedDamage): BuildChoice["taking"] {
  const roles = [...new Set(places.flatMap(({ takes }) => takes))];
  return Object.fromEntries(roles.map((role) => [role, places.filter(({ takes }) => takes.includes(role)).map(({ id }) => id)]));
}

/** What fits a role at the places of a damage, best first; a jar of it that is here stands before its class. */
function candidatesIn({ asked, places }: WorkedDamage, role: Role, products: readonly StockProduct[]): BuildCandidate[] {
  return candidatesAt(asked, places, role).flatMap((judged): BuildCandidate[] => {
    const condition = reasonsOf(judged).find(({ effect }) => effect === "if")?.text;
    const jars = products.filter((product) => product.class === judged.row.class);
    const own = jars.map(({ id, name, figures }) => ({
      class: judged.row.class,
      product: { id, name, figures },
      name,
      ...present({ condition }),
    }));
    return [...own, { class: judged.row.class, name: judged.row.name, ...present({ condition }) }];
  });
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

const isOf = (a: ChainLink, b: ChainLink): boolean => a.class === b.class && a.product?.id === b.product?.id;
const byHand = ({ place, mm, as, coats }: ChainLink) => present({ place, mm, as, coats });

/** The words of a coat's row, and the role that its material has. */
export const COAT_CHOICES: ReadonlyArray<{ readonly as: CoatName; readonly label: string; readonly role: "colour" | "topcoat" }> =
  Object.entries(COATS_BY_NAME).map(([as, { label, role }]) => ({ as: as as CoatName, label, role }));
