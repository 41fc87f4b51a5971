import { classRow, dryFilmUm, type Finish, type MaterialClass, middle } from "../catalogue";
import { COAT_ROUTES, COATS_BY_NAME, type CoatGroup, PATTERN, POLISHED, STAIN_GRABS_C, VENEER_ROUTE } from "../colour/coats.data";
import { grams, inSentence, plain, present } from "../units";
import { after, type Context, first, linkAt, type PlanLink, placesWith, told, type Weighed, type WorkPlace, wait, weigh } from "./context";
import type { Drafts, Need } from "./draft";
import { gloss } from "./filmOps";
import { type Air, type Lag, lagOf } from "./lag";
import { layLeaf, leafOf } from "./leafOps";

const base = (c: Context, places: readonly WorkPlace[]) => ({ damage: c.f.id, places, of: "damage" as const, station: "colour" as const });

const LEVELLED: readonly Need[] = [
  first("rub-prime", "primer is rubbed down"),
  first("grits", "every grit is walked"),
  first("check-fill", "nothing is low"),
  first("dry", "it is dry"),
  first("measure-after", "its thickness is on record"),
  first("unclamp-1", "the joint holds"),
  first("cleats-off", "the cleats hold"),
  first("pore-fill", "pores are shut"),
  first("flush", "it is flush"),
  first("lead-test", "before anything makes dust"),
];
/** Pore filler, min; typical data sheets. */
const OVERNIGHT = [720, 1440] as const;
/** Pair rules that ask for a colour cured to the full before the coat over it. */
const WAITS_FULL = ["wax-on-young-colour", "coat-on-slow-oil", "lacquer-on-young-oil", "isocyanate-on-wet"];

/** Colour and coats of one damage, one after the other, each with its clock. */
export function colourOps(c: Context, out: Drafts): void {
  const [surface] = [...placesWith(c, "colour"), ...placesWith(c, "topcoat")].filter(({ kind }) => kind === "surface");
  if (!surface) return;
  const coats = coatsOf(c, surface);
  if (coats.length === 0) return;
  releaseOff(c, surface, out);
  poreFill(c, surface, out);
  out.add({
    ...base(c, [surface]),
    name: "dust-off",
    kind: "clean",
    text: "Dust off, wipe, and look in the light it will live in",
    why: "A grain under a coat shows for ever.",
    done_when: "a fingertip finds nothing",
    hands_min: [3, 6],
    cautions: [],
    needs: [
      ...LEVELLED.filter(({ op }) => op !== "pore-fill"),
      wait("pore-fill", OVERNIGHT, "pore filler dries over night"),
      first("release-off", "no grease under colour"),
    ],
    meets: ["top-on-wax"],
  });
  sample(c, surface, coats, out);
  const bare = unmaskedAt(c, coats);
  coats.forEach((coat, i) => {
    if (i === bare) offFoil(c, surface, coats[i - 1], out);
    lay(c, surface, coat, coats[i - 1], i === bare, out);
  });
  const last = coats.at(-1);
  if (last && POLISHED.includes(c.f.finish.finish as Finish)) polish(c, surface, last, out);
  else if (last?.group.role === "topcoat" && c.f.on.family !== "skin")
    out.add({
      ...base(c, [surface]),
      name: "sheen",
      kind: "finish",
      text: "Match the sheen last: rub down or up",
      why: "The eye finds a wrong gloss before a wrong colour.",
      done_when: "the edge can’t be found against the light",
      hands_min: [5, 15],
      cautions: [],
      needs: [after(last.name, last.material, ["full"], last.material.max_layer_mm, c.air, "cured through")],
      meets: ["top-short-of-gloss"],
    });
}

interface Coat {
  readonly name: string;
  readonly group: CoatGroup;
  readonly n: number;
  readonly of: number;
  readonly link: PlanLink;
  readonly material: MaterialClass;
}

/** The coats of a surface with their materials: those that were set by hand, else those of the route of its finish. */
function coatsOf(c: Context, surface: WorkPlace): Coat[] {
  const links = c.links.filter(({ place, role }) => place === surface.id && (role === "colour" || role === "topcoat"));
  const groups = links.some(({ coats }) => coats !== undefined) ? byHand(c, links) : byRoute(c, surface, links);
  const laid = new Map<string, number>();
  return groups.flatMap(({ group, link }) => {
    const { name, count } = group;
    const before = laid.get(name) ?? 0;
    laid.set(name, before + count);
    const of = groups.reduce((sum, each) => sum + (each.group.name === name ? each.group.count : 0), 0);
    const material = group.class ? classRow(group.class) : link.material;
    return Array.from(
      { length: count },
      (_, i): Coat => ({ name: `${name}-${before + i + 1}`, group, n: before + i + 1, of, link, material }),
    );
  });
}

/** So many coats of a group, laid of one link. */
interface Laid {
  readonly group: CoatGroup;
  readonly link: PlanLink;
}

const routeOf = ({ f }: Context): readonly CoatGroup[] =>
  f.way === "reveneer" && f.finish.finish !== "paint" ? VENEER_ROUTE : COAT_ROUTES[f.finish.finish as Finish];

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
  const route = routeOf(c);
  const last = [...route].reverse().find(({ role }) => role === "colour");
  const patterns = links.filter(({ role }) => role === "colour").slice(1);
  return route.flatMap((group): Laid[] => {
    const link = linkAt(c, surface, group.role);
    const own = link ? [{ group, link }] : [];
    return group === last ? [...own, ...patterns.map((each) => ({ group: PATTERN, link: each }))] : own;
  });
}

/** The coats that stand in the plan of a surface, as rows that can be edited. */
export function coatRows(c: Context, surface: WorkPlace): CoatRow[] {
  return coatsOf(c, surface)
    .filter((coat, i, all) => all[i - 1]?.group !== coat.group || all[i - 1]?.link !== coat.link)
    .map(({ group, link, material }) => ({
      as: group.name,
      role: group.role,
      class: material.class,
      coats: group.count,
      ...present({ product: link.class === material.class ? link.product : undefined }),
    }));
}

/** Some coats of one kind and material, as they are set by hand. */
export type CoatRow = Required<Pick<PlanLink, "as" | "role" | "class" | "coats">> & Pick<PlanLink, "product">;

function releaseOff(c: Context, surface: WorkPlace, out: Drafts): void {
  if (!out.list.some(({ name }) => name === "form")) return;
  out.add({
    ...base(c, [surface]),
    name: "release-off",
    kind: "clean-release",
    text: "Clean the release agent off with white spirit, twice",
    why: "Left under colour it lets the coat peel.",
    done_when: "a drop of water wets the whole fill",
    hands_min: [3, 8],
    cautions: ["vapour"],
    needs: [
      first("demould", "the form is off"),
      first("release", "it was put on"),
      first("check-fill", "it is hard"),
      first("form", "it was formed"),
    ],
    meets: ["release-under-colour"],
  });
}

/** Open pores sink every coat over them: filled before the film on wood that was opened. */
function poreFill(c: Context, surface: WorkPlace, out: Drafts): void {
  const gloss = c.f.finish.film && c.f.finish.gloss && c.f.finish.finish !== "gilding";
  const bare = c.f.on.family === "wood" && (c.f.way === "brace" || c.f.way === "reveneer" || c.f.way === "bond");
  if (!gloss || !bare) return;
  out.add({
    ...base(c, [surface]),
    name: "pore-fill",
    kind: "prime",
    text: "Rub tinted pore filler in across the grain, wipe it off, let it dry over night",
    why: "Open pores sink every coat over them.",
    done_when: "the pores are level by raking light",
    hands_min: [8, 15],
    cautions: ["vapour"],
    needs: LEVELLED.filter(({ op }) => op !== "pore-fill"),
  });
}

function sample(c: Context, surface: WorkPlace, coats: readonly Coat[], out: Drafts): void {
  const [colour] = coats.filter(({ group }) => group.role === "colour");
  if (!colour) return;
  const skin = c.f.on.family === "skin";
  out.add({
    ...base(c, [surface]),
    name: "sample",
    kind: "test",
    text: `Try ${inSentence(colour.material.name)} on an off-cut: wet, dry, ${skin ? "and after dressing" : "and under the coat"}`,
    why: `Colours shift from wet to dry and again ${skin ? "under dressing" : "under a coat"}: match the last state.`,
    done_when: "the dry sample can’t be seen beside the piece",
    hands_min: [10, 25],
    cautions: [...colour.material.hazards],
    needs: [first("dust-off", "clean")],
  });
}

function lay(
  c: Context,
  surface: WorkPlace,
  { name, group, n, of, link, material }: Coat,
  before: Coat | undefined,
  unmasked: boolean,
  out: Drafts,
): void {
  const mm = material.max_layer_mm;
  const weighed = weigh(material, ((surface.area_mm2 ?? 0) * mm) / 1000, 60, "spread", c.air);
  const words = ({ mass_g }: Weighed) => `${group.text}${of > 1 ? `, ${n} of ${of}` : ""}: ${inSentence(material.name)}, ${grams(mass_g)}`;
  const grabs = group.name === "stain" && c.air.temp_C > STAIN_GRABS_C ? ` It is ${plain(c.air.temp_C)} °C here.` : "";
  out.add({
    ...base(c, [surface]),
    link: link.id,
    role: group.role,
    class: material.class,
    material,
    name,
    kind: group.kind,
    ...told(weighed, words),
    need_cm3: ((surface.area_mm2 ?? 0) * mm) / 1000,
    together: (cm3) => told(weigh(material, cm3, 60, "spread", c.air), words),
    shared: `colour/${material.class}/${name}/${of}`,
    why: `${group.why}${grabs}`,
    done_when: group.role === "colour" ? "dry, it meets the sample" : "it lies without dust or run",
    hands_min: [4, 12],
    cautions: cautionsOf(group, material),
    thickness_mm: mm,
    needs: [
      ...beforeCoat(c, link, material, before),
      ...(before?.material.leaf ? [first(leafOf(before.name), "the leaf is laid")] : []),
      first("dust-off", "clean"),
      ...(unmasked ? [first("unmask-foil", "the mask is off")] : []),
    ],
    meets: ["coat-lifts-colour", "alcohol-lifts-stain", "alcohol-lifts-resin", "colour-rubs", "water-raises-stain", "solvent-on-leaf"],
    starts: "coated",
    uses: material.carrier === "ketone" ? ["spray place"] : [],
    layer: n,
  });
  if (material.leaf) layLeaf(c, surface, name, material.leaf, out);
}

/** On foil the mask comes off after the last colour: the clear over it runs out without an edge. −1 = it stays on. */
function unmaskedAt({ f }: Context, coats: readonly Coat[]): number {
  const last = coats.findLastIndex(({ group }) => group.role === "colour");
  return f.finish.finish === "foil" && last >= 0 && last < coats.length - 1 ? last + 1 : -1;
}

function offFoil(c: Context, surface: WorkPlace, before: Coat | undefined, out: Drafts): void {
  if (!before) return;
  out.add({
    ...base(c, [surface]),
    name: "unmask-foil",
    kind: "unmask",
    text: "Take the mask off, flat back on itself, while the colour’s edge is dry but young",
    why: "The clear coats run out past it: a hard edge shows for ever.",
    done_when: "the colour’s edge is whole, no glue of the tape is left",
    hands_min: [2, 5],
    cautions: [],
    needs: [dryNeed(c, before), first("mask", "it is on")],
  });
}

const dryNeed = (c: Context, { name, material }: Coat): Need => {
  const need = after(name, material, ["recoat", "hard", "full"], material.max_layer_mm, c.air, "the coat before is dry");
  const shuts = recoatEnd(material, c.air);
  return shuts ? { ...need, because: "the coat before is dry, not yet cured through", max: shuts } : need;
};

/** When a coat no longer takes the next one of itself: as far off as the air makes all of its cure slower or quicker. */
function recoatEnd(material: MaterialClass, air: Air): Lag | undefined {
  const opens = lagOf(material, ["recoat"], material.max_layer_mm, air);
  const published = material.cure.stages.find(({ stage }) => stage === "recoat")?.minutes;
  if (!opens || opens.never || !published || !material.recoat_until_min) return undefined;
  const pace = opens.min / middle(published);
  const [low, high] = material.recoat_until_min;
  return { min: low * pace, range: [low * pace, high * pace] };
}

/** What a coat waits for: the one before, dry enough, or cured to the full where a rule asks it. */
function beforeCoat(c: Context, link: PlanLink, material: MaterialClass, before: Coat | undefined): Need[] {
  if (!before) return [first("dust-off", "clean"), first("sample", "it was tried")];
  const full = link.reasons.some(({ rule }) => WAITS_FULL.includes(rule)) && before.material.class !== material.class;
  const mm = before.material.max_layer_mm;
  if (full) return [after(before.name, before.material, ["full"], mm, c.air, "the colour has cured")];
  return [dryNeed(c, before)];
}

function cautionsOf(group: CoatGroup, material: MaterialClass): string[] {
  const sprayed = group.name === "tone" && material.carrier === "ketone" ? ["spray"] : [];
  return [...material.hazards, ...sprayed];
}

/** A film is levelled when it has stopped shrinking, then brought to gloss. */
function polish(c: Context, surface: WorkPlace, { name, material }: Coat, out: Drafts): void {
  const mm = material.max_layer_mm;
  const dry = dryFilmUm(material, mm);
  out.add({
    ...base(c, [surface]),
    name: "film-wait",
    kind: "wait",
    text: "Leave the film until it has stopped shrinking",
    why: "Polished too soon, pores and edges sink back weeks later.",
    done_when: "a fingernail leaves no mark, yesterday’s edge is today’s",
    hands_min: [1, 2],
    cautions: [],
    needs: [after(name, material, ["full"], mm, c.air, "it has stopped shrinking")],
  });
  out.add({
    ...base(c, [surface]),
    name: "flat-P1200",
    kind: "grit",
    text: "Level the new film with P1200, wet, a hard block, edges last",
    why: `A coat leaves about ${plain(dry, 0)} µm: stop where the colour begins to pale.`,
    done_when: "it is matt all over, no shining pit",
    hands_min: [5, 15],
    cautions: ["dust-resin"],
    needs: [first("film-wait", "it has stopped shrinking")],
  });
  gloss(c, surface, first("flat-P1200", "level first"), out);
}
