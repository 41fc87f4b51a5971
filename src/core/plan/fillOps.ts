import { classRow, type MaterialClass, middle, type Range } from "../catalogue";
import { cupFactor } from "../mix/cupHeat";
import { volumeOf } from "../survey/place";
import { counted, grams, inSentence, plain } from "../units";
import {
  APPLY,
  type Apply,
  after,
  type Context,
  first,
  linkAt,
  linksAt,
  mixCautions,
  placesWith,
  told,
  type Weighed,
  type WorkPlace,
  wastePct,
  weigh,
} from "./context";
import { doseWords } from "./doses";
import { type Drafts, grouped, type Need } from "./draft";
import { filmCoats } from "./filmOps";
import { finishFill, isFilm } from "./finishOps";
import { type LayerLink, layersOf, type PlaceLayers } from "./layers";
import { isLaidWithGlue } from "./links";
import { reachedAt } from "./reached";

/** What must be behind before anything is laid in a void. */
const BEFORE_FILL: readonly Need[] = [
  first("clean", "nothing holds on dirt"),
  first("trim", "nothing loose"),
  first("pare", "the edge is level"),
  first("cut-core", "the core is sound"),
  first("key", "the floor is matt"),
  first("barrier", "so that it lifts off again"),
  first("consolidate", "the edge is firm"),
  first("mask", "the edge is guarded"),
  first("form", "the form stands"),
  first("release", "the form comes off again"),
  first("set-form", "the form stands"),
  first("set-brace", "the core stands"),
  first("fit-brace", "the core stands"),
  first("lay-edges", "lifted edges are down"),
  first("remove-old", "nothing holds on old glue"),
  first("dry-out", "it is dry"),
];

const base = (c: Context, places: readonly WorkPlace[]) => ({ damage: c.f.id, places, of: "damage" as const, station: "fill" as const });

/** Filling of one damage: dam, damp, then for each layer one mix and every place, trim, check. */
export function fillOps(c: Context, out: Drafts): void {
  const voids = placesWith(c, "filler").filter((place) => !isLaidWithGlue(linkAt(c, place, "filler")?.class));
  const groups = groupsOf(c, voids);
  const [lead] = groups;
  if (!lead) {
    filmCoats(c, out);
    return;
  }
  const ready = [...BEFORE_FILL, ...behindFill(c)];
  measureBefore(c, voids, out);
  dam(c, voids, out);
  setForm(c, voids, out);
  damp(c, groups, out, ready);
  groups.forEach((group, i) => {
    fillGroup(c, group, ready, grouped(out, i + 1));
  });
}

/** Places that are filled alike, and their layers. */
interface Group {
  readonly each: readonly PlaceLayers[];
  readonly most: number;
}

/** Every place of a damage that is filled out of a cup with its layers, from what was measured and mixed on. */
export function filledPlaces(c: Context): PlaceLayers[] {
  const voids = placesWith(c, "filler").filter((place) => !isLaidWithGlue(linkAt(c, place, "filler")?.class));
  return groupsOf(c, voids).flatMap(({ each }) => each);
}

/** What is mixed over the need of the first layer where nothing else is set, percent. */
export function extraProposed(c: Context): number {
  const each = filledPlaces(c);
  const material = each[0]?.layers[0]?.link.material;
  const places = each.map(({ place }) => place);
  return material ? extraPct(c, needIn(each, 1, material), applied(c, material, places)) : 0;
}

/** Places by what they are filled with, in the order in which that is laid. */
function groupsOf(c: Context, voids: readonly WorkPlace[]): Group[] {
  const bySort = new Map<string, WorkPlace[]>();
  for (const place of voids) {
    const sort = linksAt(c, place, "filler")
      .map((link) => `${link.class} ${link.product?.id ?? ""} ${link.mm ?? ""}`)
      .join(" > ");
    bySort.set(sort, [...(bySort.get(sort) ?? []), place]);
  }
  return [...bySort.values()].map((places) => {
    const planned = places.map((place) => layersOf(place, linksAt(c, place, "filler"), [], c.fill));
    const each = c.found ? planned.map((one) => asFound(c, one, planned)) : planned;
    return { each, most: Math.max(...each.map(({ layers }) => layers.length)) };
  });
}

/** The layers of a place from what was measured and mixed on. */
function asFound(c: Context, one: PlaceLayers, all: readonly PlaceLayers[]): PlaceLayers {
  if (!c.found) return one;
  const places = all.map(({ place }) => place);
  const waste = (n: number) => {
    const material = one.layers[n - 1]?.link.material;
    return material ? extraPct(c, needIn(all, n, material), applied(c, material, places)) : 0;
  };
  return layersOf(one.place, linksAt(c, one.place, "filler"), reachedAt(one, c.found, waste), c.fill);
}

/** What the places of a group take of one layer, cm³, with what it shrinks and stands proud. */
function needIn(each: readonly PlaceLayers[], n: number, { shrinkage_pct }: MaterialClass): number {
  const shrinks = 1 - middle(shrinkage_pct) / 100;
  return each.reduce((sum, { place, layers, proud_mm }) => {
    const volume = layers[n - 1]?.volume_cm3;
    if (volume === undefined) return sum;
    return sum + (volume + (n === layers.length ? ((place.opening_mm2 ?? 0) * proud_mm) / 1000 : 0)) / shrinks;
  }, 0);
}

/** What is mixed over the need, percent. */
const extraPct = (c: Context, cm3: number, apply: Apply): number =>
  c.fill?.extra_pct ?? (apply === "poured" ? POUR_EXTRA_PCT : wastePct(cm3));
/** A pour leaves little in the cup; trade practice. */
const POUR_EXTRA_PCT = 10;

/** Joints, bandages, consolidants and cores that must hold before anything is filled. */
function behindFill(c: Context): Need[] {
  const bandaged = c.links
    .filter(({ role, class: name }) => role === "brace" && name === "plaster-bandage")
    .map(({ material }) => after("back", material, ["hard"], 4, c.air, "the backing has set"));
  const consolidant = c.links.find(({ role }) => role === "consolidant");
  const dried = consolidant
    ? [after("consolidate", consolidant.material, ["hard", "full", "handle"], 0.1, c.air, "the consolidant has dried through")]
    : [];
  const core = c.links
    .filter(({ role }) => role === "adhesive")
    .map(({ material }) => after("set-brace", material, ["handle", "hard", "full"], 0.1, c.air, "the core is fast"));
  return [...joined(c), ...bandaged, ...dried, ...core];
}

const joined = ({ places }: Context): Need[] =>
  places.flatMap(({ kind }) => (kind === "faces" || kind === "backing" ? [first("last-unclamp", "the joint holds")] : []));

function fillGroup(c: Context, group: Group, ready: readonly Need[], out: Drafts): void {
  for (let n = 1; n <= group.most; n++) layer(c, group, n, n === 1 ? firstLayer(ready) : nextLayer(c, group, n), out);
  const last = linkOf(group, group.most);
  if (last) finishFill(c, last, group.each, group.most, out);
}

const firstLayer = (ready: readonly Need[]): Need[] => [
  ...ready,
  first("dam", "it is dammed"),
  { op: "damp", because: "damp, so that it does not drink the water", max: { min: 30, range: [15, 45] } },
];

/** A coat on a coat, a layer on a layer: hard, or while the film is open to the next drop. */
function nextLayer(c: Context, group: Group, n: number): Need[] {
  const before = group.each[0]?.layers[n - 2];
  const laid = first(`place-${n - 1}`, `layer ${n - 1} is laid`);
  if (!before) return [laid];
  const stages = isFilm(c) ? (["recoat", "hard"] as const) : (["hard", "full"] as const);
  const { material } = before.link;
  return [laid, after(`mix-${n - 1}`, material, stages, before.applied_mm, c.air, `layer ${n - 1} is ready for the next`)];
}

/** What a layer is laid of. */
const linkOf = ({ each }: Group, n: number): LayerLink | undefined => each.flatMap(({ layers }) => layers[n - 1]?.link ?? [])[0];

function measureBefore(c: Context, voids: readonly WorkPlace[], out: Drafts): void {
  if (c.damage.kind !== "worn-thin") return;
  out.add({
    ...base(c, voids),
    name: "measure-before",
    kind: "check",
    text: `Measure the thickness before: ${plain(c.damage.remaining_mm, 2)} mm at the survey`,
    why: "Only before and after tell what the overlay really added.",
    done_when: "the figure is on record",
    hands_min: [2, 4],
    cautions: [],
    needs: [first("clean", "bare")],
  });
}

function dam(c: Context, voids: readonly WorkPlace[], out: Drafts): void {
  const open = voids.filter(({ open_behind }) => open_behind);
  const edge = c.damage.kind === "chip" ? voids : [];
  const dammed = open.length > 0 ? open : edge;
  if (dammed.length === 0 || c.f.on.family === "skin" || (c.f.on.family === "wood" && open.length === 0)) return;
  out.add({
    ...base(c, dammed),
    name: "dam",
    kind: "form",
    text: open.length > 0 ? "Dam behind with film and tape" : "Set a dam of film on wax along the inner face",
    why: open.length > 0 ? "Open behind, the fill pushes through as a ridge." : "It holds the fill to the line while it is soft.",
    done_when: "no gap under the film",
    hands_min: [4, 10],
    cautions: [],
    needs: [...BEFORE_FILL.slice(0, 8), ...joined(c)],
    meets: ["gap-through"],
  });
}

/** What is drilled and set in a broken face comes before the form that shuts it in. */
function setForm(c: Context, voids: readonly WorkPlace[], out: Drafts): void {
  const anchored = c.places.some(({ name }) => name === "anchors") && placesWith(c, "brace").some(({ name }) => name === "anchors");
  if (!anchored || !out.list.some(({ name }) => name === "form")) return;
  out.add({
    ...base(c, voids),
    name: "set-form",
    kind: "form",
    text: "Set the form around the anchors and wedge it",
    why: "The anchors had to go in first; now it holds what is poured to the line.",
    done_when: "no light shows under its edge, and it does not rock",
    hands_min: [4, 12],
    cautions: [],
    needs: [first("form", "it is made"), first("release", "it comes off again"), first("set-brace", "the anchors stand")],
  });
}

function damp(c: Context, groups: readonly Group[], out: Drafts, ready: readonly Need[]): void {
  const drinks = (material: MaterialClass) =>
    (c.f.on.substrate === "gypsum" && (material.group === "plaster" || material.class === "cellulose-filler")) ||
    (material.class === "lime-mortar" && c.f.on.porous);
  const voids = groups.flatMap((group) => {
    const link = linkOf(group, 1);
    return link && drinks(link.material) ? group.each.map(({ place }) => place) : [];
  });
  if (voids.length === 0) return;
  out.add({
    ...base(c, voids),
    name: "damp",
    kind: "damp",
    text: `Damp the old ${c.f.on.substrate === "gypsum" ? "plaster" : c.f.on.label.toLowerCase()} until it stops drinking`,
    why: "Dry, it sucks the water out of the new and leaves it weak.",
    done_when: "a drop stands for ten seconds",
    hands_min: [3, 10],
    cautions: [],
    needs: ready,
    meets: ["water-dampen-gypsum", "plaster-needs-suction"],
  });
}

/** One layer: one mix for every place that has it, then each place. */
function layer(c: Context, group: Group, n: number, needs: readonly Need[], out: Drafts): void {
  const { each, most } = group;
  const link = linkOf(group, n);
  if (!link) return;
  const { material } = link;
  const here = each.filter(({ layers }) => layers[n - 1] !== undefined);
  const places = here.map(({ place }) => place);
  const total = needIn(here, n, material);
  const apply = applied(c, material, places);
  const weighed = weigh(material, total, extraPct(c, total, apply), apply, c.air);
  const thickness_mm = Math.max(...here.map(({ layers }) => layers[n - 1]?.applied_mm ?? 0));
  const nth = most > 1 ? `, layer ${n} of ${most}` : "";
  const info = { link: link.id, role: "filler" as const, class: link.class, material, thickness_mm };
  const name = inSentence(material.name);
  const words = (all: Weighed) =>
    mixText(material.mix.parts.length > 1, name, all, nth, doseWords(material, all, c.tools.scale_step_g).words);
  out.add({
    ...base(c, places),
    ...info,
    name: `mix-${n}`,
    kind: "mix",
    text: words(weighed),
    together: (cm3) => {
      const all = weigh(material, cm3, extraPct(c, cm3, apply), apply, c.air);
      return { ...told(all, words), hands_min: stirring(all) };
    },
    need_cm3: total,
    why: `${changedWords(here, n)}${mixWhy(c, material, total, weighed.volume_cm3)}${cupWords(material, weighed.mass_g / weighed.batches)}`,
    done_when: material.mix.cue.charAt(0).toLowerCase() + material.mix.cue.slice(1).replace(/\.$/, ""),
    hands_min: stirring(weighed),
    cautions: mixCautions(material, weighed),
    needs: [...needs],
    mass_g: weighed.mass_g,
    volume_cm3: weighed.volume_cm3,
    parts: weighed.parts,
    batches: weighed.batches,
    starts: "mixed",
    layer: n,
    shared: `fill/${link.class}/${n}/${most}`,
    meets: ["shelf-short"],
  });
  for (const one of here) place(c, link, one, n, apply, out);
  if (apply === "poured" && n === most) topUp(c, link, places, n, out);
}

/** Each cup is weighed and stirred by itself; trade practice, minutes. */
const stirring = ({ batches }: Weighed): Range => [4 * batches, 10 * batches];

/** What was found since it was planned, said first. */
const changedWords = (here: readonly PlaceLayers[], n: number): string =>
  here.flatMap(({ layers }) => (layers[n - 1]?.changed ? [`${layers[n - 1]?.changed} `] : []))[0] ?? "";

function mixText(several: boolean, name: string, { mass_g, batches, limited_by }: Weighed, nth: string, dose: string): string {
  const lots = batches > 1 ? `, in ${counted(batches, "batch", "batches")} of ${grams(mass_g / batches)} (${limited_by})` : "";
  return `${several ? "Mix" : "Take"} ${grams(mass_g)} of ${name}${nth}${lots}${dose ? `: ${dose}` : ""}`;
}

function mixWhy(c: Context, material: MaterialClass, need: number, volume: number): string {
  const about = `${plain(need, need < 10 ? 2 : 0)} cm³ with what shrinks and stands proud, ${plain(volume, volume < 10 ? 2 : 0)} with what stays on board and gloves.`;
  if (material.group === "plaster")
    return `${about} Powder into the water; slake a minute, stir without air. An acrylic additive may take the place of a quarter of the water.`;
  const { hardener_pct } = material.mix;
  if (hardener_pct)
    return `${about} Hardener ${hardener_pct[0]} to ${hardener_pct[1]} % by mass: half of it doubles the time, too much sets in the cup, under ${hardener_pct[0]} % it never sets.`;
  if (c.f.way === "build" && !c.fill?.school)
    return `${about} Model it soft with a wet tool, or build it over size and carve: both lead there.`;
  return about;
}

/** How much sooner a big cup of what warms itself sets. */
function cupWords(material: MaterialClass, mass_g: number): string {
  const shorter = (1 - cupFactor(material, mass_g)) * 100;
  return shorter < 3 ? "" : ` In a cup of ${grams(mass_g)} it warms itself and sets some ${plain(shorter, 0)} % sooner: spread it flat.`;
}

function applied(c: Context, material: MaterialClass, places: readonly WorkPlace[]): Apply {
  const face = Math.max(0, ...places.map(({ opening_mm2 = 0 }) => opening_mm2));
  if (material.group === "plaster" && (c.damage.kind === "corner" || c.damage.kind === "hole")) return "poured";
  return face > 10_000 ? "faced" : "pressed";
}

const VERBS: Readonly<Record<Apply, string>> = { poured: "Pour", pressed: "Press in", faced: "Lay on", spread: "Spread", laid: "Lay" };

function place(c: Context, link: LayerLink, one: PlaceLayers, n: number, apply: Apply, out: Drafts): void {
  const { place: at, layers } = one;
  const layer = layers[n - 1];
  if (!layer) return;
  const { material } = link;
  const last = n === layers.length;
  const flexible = material.rigidity === "flexible";
  out.add({
    ...base(c, [at]),
    of: "place",
    link: link.id,
    role: "filler",
    class: link.class,
    material,
    name: `place-${n}`,
    kind: apply === "poured" ? "pour" : "place",
    text: placeWords(c, material, one, n, apply),
    why: whyPlaced(c, material, one, layer.applied_mm, apply),
    done_when: last
      ? flexible
        ? "a card finds it level while wet"
        : "it stands a hair proud all over"
      : "it lies even, its face rough for the next",
    hands_min: laying(layer.volume_cm3, apply),
    cautions: [],
    volume_cm3: layer.volume_cm3,
    thickness_mm: layer.applied_mm,
    needs: [after(`mix-${n}`, material, [], layer.applied_mm, c.air, "while it is workable", ["working"])],
    meets: ["gap-many-layers", "level-hump"],
    layer: n,
  });
}

/** A small place takes its time, a large one as long as it is laid at the pace that its batches are reckoned with, up to twice that. */
function laying(cm3: number, apply: Apply): Range {
  const [low, high]: Range = apply === "poured" ? [3, 8] : [3, 12];
  const paced = cm3 / APPLY[apply];
  return [Math.max(low, paced), Math.max(high, 2 * paced)];
}

function placeWords(c: Context, material: MaterialClass, { place: at, layers, proud_mm }: PlaceLayers, n: number, apply: Apply): string {
  const what = layers.length > 1 ? `layer ${n} of ${layers.length}` : `the ${inSentence(material.name)}`;
  const proud = proud_mm > 0 ? `${plain(proud_mm, 2)} mm proud` : "flush, no prouder";
  const height = n === layers.length ? proud : `${plain(layers[n - 1]?.applied_mm ?? 0, 2)} mm`;
  return `${isFilm(c) ? "Drop in" : VERBS[apply]} ${what} at ${at.label.toLowerCase()}, ${height}`;
}

function whyPlaced(c: Context, material: MaterialClass, { place: at }: PlaceLayers, mm: number, apply: Apply): string {
  if (isFilm(c)) return "Drop on drop; a bubble is pricked at once.";
  if (material.rigidity === "flexible")
    return "A trough, not a peak: it sinks, and what stands up can’t be sanded. Smooth with a card in one stroke along the tear.";
  if (apply === "poured") return "From one side, in one go; rap the form until no bubble rises.";
  return at.around_core
    ? `About ${plain(mm, 1)} mm around the core, in one build.`
    : "Into the edges first, so that it keys; no trapped air.";
}

function topUp(c: Context, link: LayerLink, places: readonly WorkPlace[], n: number, out: Drafts): void {
  const { material } = link;
  const cm3 = places.reduce((sum, at) => sum + volumeOf(at), 0) * 0.05;
  const weighed = weigh(material, Math.max(1, cm3), 20, "poured", c.air);
  out.add({
    ...base(c, places),
    link: link.id,
    role: "filler",
    class: link.class,
    material,
    name: "top-up",
    kind: "pour",
    text: `Mix a thinner second pour, ${grams(weighed.mass_g)}, and top it up`,
    why: "It sinks as its water is drunk; the second pour runs into what is left.",
    done_when: "it stands level with the form",
    hands_min: [4, 8],
    cautions: mixCautions(material, weighed),
    mass_g: weighed.mass_g,
    volume_cm3: weighed.volume_cm3,
    parts: weighed.parts,
    thickness_mm: 1,
    needs: [
      first(`place-${n}`, "the first pour stands"),
      after(`mix-${n}`, material, ["working"], 1, c.air, "the first has stiffened", ["firm"]),
    ],
  });
}

/** The stopper for what is found too small for the fill itself. */
export const FINER: MaterialClass = classRow("fine-surfacer");
