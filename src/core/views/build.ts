import { ROLE_LABELS, type Role } from "../catalogue";
import { reasonsOf } from "../match/judge";
import type { ChainLink } from "../match/match.schema";
import type { WorkedDamage } from "../plan/damageContext";
import { candidatesAt, isLaidWithGlue, type WorkPlace } from "../plan/links";
import { coatRows } from "../plan/subjects/colour";
import type { Treatment } from "../record/treatment";
import { present } from "../units";
import type { BuildCandidate, BuildChoice, BuildPlace } from "./buildRows";
import type { StockProduct } from "./stock";
import type { Worked } from "./worked";

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
