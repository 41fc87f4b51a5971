import { classRow, dryFilmUm, type Finish, isStripped, type MaterialClass } from "../../catalogue";
import { BARED, COAT_ROUTES, COATS_BY_NAME, type CoatGroup, OPAQUE_ROUTE, PATTERN, POLISHED, VENEER_ROUTE } from "../../colour/coats.data";
import { safeFilmUm } from "../../level/budget";
import { film as filmBudget } from "../../level/film";
import { type AllSubjects, type Coat, type Cycle, linkAt, placesWith } from "../../operation/subject";
import { formed, isMasked } from "../../ready/readyFacts";
import { present } from "../../units";
import type { Context } from "../context";
import { bounded } from "../layers";
import type { PlanLink, WorkPlace } from "../links";
import { filledPlaces } from "./fill";

type ColourSubjects = Pick<AllSubjects, "surface" | "coat" | "cycle" | "gloss">;

/** The surface of one damage with its coats, and the film that is sprayed and cut. */
export function colourSubjects(c: Context): ColourSubjects {
  const cycle = cyclesOf(c);
  const sprayed = cycle.slice(0, 1).map(({ here, link }) => ({ ...c, here, link, sprayed: true, dry_um: 0 }));
  const [surface] = [...placesWith(c, "colour"), ...placesWith(c, "topcoat")].filter(({ kind }) => kind === "surface");
  const coat = surface ? coatSubjects(c, surface) : [];
  const last = coat.at(-1);
  if (!surface || !last) return { surface: [], coat: [], cycle, gloss: sprayed };
  const first = coat.find(({ role }) => role === "colour");
  return {
    surface: [{ ...c, here: [surface], formed: formed(c.f), ...present({ first_colour: first?.material }) }],
    coat,
    cycle,
    gloss: [
      ...sprayed,
      ...(POLISHED.includes(c.f.finish.finish as Finish)
        ? [{ ...c, here: [surface], link: last.link, sprayed: false, dry_um: dryFilmUm(last.material, last.material.max_layer_mm) }]
        : []),
    ],
  };
}

/** So many coats of a group, laid of one link. */
interface Laid {
  readonly group: CoatGroup;
  readonly link: PlanLink;
}

const linksOf = (c: Context, surface: WorkPlace) =>
  c.links.filter(({ place, role }) => place === surface.id && (role === "colour" || role === "topcoat"));

/** The groups of coats of a surface: those that were set by hand, else those of the route of its finish. */
function groupsOf(c: Context, surface: WorkPlace): Laid[] {
  const links = linksOf(c, surface);
  return links.some(({ coats }) => coats !== undefined) ? byHand(c, links) : byRoute(c, surface, links);
}

const materialOf = ({ group, link }: Laid): MaterialClass => (group.class ? classRow(group.class) : link.material);

function coatSubjects(c: Context, surface: WorkPlace): Coat[] {
  const groups = groupsOf(c, surface);
  const laid = new Map<string, number>();
  const coats = groups.flatMap((each) => {
    const { name, count } = each.group;
    const before = laid.get(name) ?? 0;
    laid.set(name, before + count);
    const of = groups.reduce((sum, other) => sum + (other.group.name === name ? other.group.count : 0), 0);
    return Array.from({ length: count }, (_, i) => ({ ...each, material: materialOf(each), coat: before + i + 1, coats: of }));
  });
  const bare = unmaskedAt(c, coats);
  return coats.map(({ group, link, material, coat, coats: of }, i): Coat => {
    const { name, kind, role, text, why, share = 1 } = group;
    return {
      ...c,
      here: [surface],
      link,
      n: i + 1,
      stem: `${name}-${coat}`,
      name,
      kind,
      role,
      text,
      why,
      coat,
      coats: of,
      share,
      material,
      unmasks: i === bare && isMasked(c.f),
      last: i === coats.length - 1,
      bares: i === coats.length - 1 && isMasked(c.f) && BARED.includes(c.f.finish.finish as Finish),
      ...present({ before: coats[i - 1]?.material }),
    };
  });
}

/** On foil the mask comes off after the last colour: the clear over it runs out without an edge. −1 = it stays on. */
function unmaskedAt({ f }: Context, coats: readonly Laid[]): number {
  const last = coats.findLastIndex(({ group }) => group.role === "colour");
  return f.finish.finish === "foil" && last >= 0 && last < coats.length - 1 ? last + 1 : -1;
}

/** Covers by itself: nothing that is toned over it shows. */
const COVERS: readonly string[] = ["acrylic-paint"];

/** Bare wood under what shows it is stained, toned and coated; a patch in an old finish is muted to meet it, one in an opaque film covered. */
function routeOf({ f }: Context, colour?: PlanLink): readonly CoatGroup[] {
  const usual = COAT_ROUTES[f.finish.finish as Finish];
  if (!usual.some(({ name }) => name === "tone") || f.finish.opaque) return usual;
  if (colour && COVERS.includes(colour.class) && f.finish.film) return OPAQUE_ROUTE;
  return f.way === "reveneer" || isStripped(f.was, f.finish) ? VENEER_ROUTE : usual;
}

/** So many as the route says, or as the stuff that is laid asks. */
const asUsual = (group: CoatGroup, { material }: PlanLink): CoatGroup =>
  material.usual_coats && group.name === "clear" ? { ...group, count: material.usual_coats } : group;

/** As the user ordered them; what the route of the finish says of a coat is said of it here too. */
function byHand(c: Context, links: readonly PlanLink[]): Laid[] {
  const route = routeOf(c);
  const ordered = [...links].sort((a, b) => (a.order ?? 0) - (b.order ?? 0));
  return ordered.map((link) => {
    const name = link.as ?? (link.role === "colour" ? "colour" : "clear");
    const { class: _own, ...group } = route.find((each) => each.name === name) ?? COATS_BY_NAME[name];
    return { link, group: { ...group, role: link.role as CoatGroup["role"], count: link.coats ?? 1 } };
  });
}

/** The route of a finish. Several colours chosen for one place follow one another: under, then pattern. */
function byRoute(c: Context, surface: WorkPlace, links: readonly PlanLink[]): Laid[] {
  const route = routeOf(c, linkAt(c, surface, "colour"));
  const last = [...route].reverse().find(({ role }) => role === "colour");
  const patterns = links.filter(({ role }) => role === "colour").slice(1);
  const coloured = linkAt(c, surface, "colour") !== undefined;
  // a first clear coat shows what has to be muted: where nothing is coloured it is a clear coat more
  return route
    .filter(({ name }) => coloured || name !== "seal")
    .flatMap((group): Laid[] => {
      const link = linkAt(c, surface, group.role);
      const own = link ? [{ group: asUsual(group, link), link }] : [];
      return group === last ? [...own, ...patterns.map((each) => ({ group: PATTERN, link: each }))] : own;
    });
}

/** Some coats of one kind and material, as they are set by hand. */
export type CoatRow = Required<Pick<PlanLink, "as" | "role" | "class" | "coats">> & Pick<PlanLink, "product">;

/** The coats that stand in the plan of a surface, as rows that can be edited. */
export function coatRows(c: Context, surface: WorkPlace): CoatRow[] {
  return groupsOf(c, surface).map(({ group, link }) => {
    const material = materialOf({ group, link });
    return {
      as: group.name,
      role: group.role,
      class: material.class,
      coats: group.count,
      ...present({ product: link.class === material.class ? link.product : undefined }),
    };
  });
}

/** What a cut takes off the surroundings, µm; trade practice. */
const CUT_UM = 6;
/** A spray coat is carried over a whole small face, mm². */
const FACE_MM2 = 40_000;

/** A scratch closed by spraying and cutting: so many cycles, each a mist coat and a cut. */
function cyclesOf(c: Context): Cycle[] {
  const place = c.places.find(({ name, kind }) => kind === "film" && name === "film");
  const link = place && linkAt(c, place, "topcoat");
  if (!place || !link || c.damage.kind !== "scratch" || filledPlaces(c).length > 0) return [];
  const budget = filmBudget({
    existing_um: c.damage.film_um,
    coats: [],
    cuts: [],
    safe_um: safeFilmUm(c.f.finish.finish),
    scratch: {
      depth_um: c.damage.depth_mm * 1000,
      mode: "spray",
      coat_um: dryFilmUm(link.material, link.material.max_layer_mm),
      cut_um: CUT_UM,
    },
  });
  const of = budget.cycles ?? 1;
  bounded(of, link.material, "cycles");
  const cycle = {
    ...c,
    here: [place],
    link,
    of,
    cut_um: CUT_UM,
    thin: budget.warnings.map(({ message }) => message).join(" "),
    area_mm2: (place.opening_mm2 ?? 0) + FACE_MM2,
  };
  return Array.from({ length: of }, (_, i) => ({ ...cycle, n: i + 1 }));
}
