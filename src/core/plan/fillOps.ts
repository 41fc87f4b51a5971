import { classRow, type MaterialClass, middle } from "../catalogue";
import { proposeProud } from "../fill/proud";
import { film as filmBudget } from "../level/film";
import { depthOf, volumeBetween, volumeOf } from "../survey/place";
import { counted, inSentence, plain } from "../units";
import {
  type Apply,
  after,
  type Context,
  first,
  linkAt,
  type PlanLink,
  placesWith,
  told,
  type Weighed,
  type WorkPlace,
  wait,
  wastePct,
  weigh,
} from "./context";
import { doseWords, grams } from "./doses";
import type { Drafts, Need } from "./draft";
import { humidityFactor, lagOf } from "./lag";
import { isLaidWithGlue } from "./links";

/** What is laid of one place, layer by layer; mm and cm³. `measured`: where the surface really was after the last layer. */
export interface PlaceLayers {
  readonly place: WorkPlace;
  readonly layers: ReadonlyArray<{ readonly applied_mm: number; readonly volume_cm3: number; readonly surface_mm: number }>;
  readonly proud_mm: number;
}

/** A film or a rigid build is never planned prouder than this share of its own layer. */
const THIN_BUILD_MM = 1;

/** The layers of one void: equal in thickness, each with the volume that the place has there. */
export function layersOf(place: WorkPlace, material: MaterialClass): PlaceLayers {
  const depth = place.depth_mm ?? depthOf(place);
  const shrinks = 1 - middle(material.shrinkage_pct) / 100;
  const most = material.max_layer_mm;
  const proud_mm = proudOf(place, material, depth);
  const count = Math.max(1, Math.ceil(depth / (most * shrinks) - 1e-9));
  const each = depth / count;
  return {
    place,
    proud_mm,
    layers: Array.from({ length: count }, (_, i) => ({
      applied_mm: (each + (i === count - 1 ? proud_mm : 0)) / shrinks,
      volume_cm3: volumeBetween(place, i / count, (i + 1) / count),
      surface_mm: each * (i + 1) - depth + (i === count - 1 ? proud_mm : 0),
    })),
  };
}

function proudOf(place: WorkPlace, material: MaterialClass, depth: number): number {
  const wanted = proposeProud(depth, material.shrinkage_pct);
  if (place.kind === "film") return Math.min(0.1, material.max_layer_mm, depth / 4);
  if (material.rigidity === "flexible") return 0;
  return depth < THIN_BUILD_MM ? Math.min(0.1, material.max_layer_mm) : Math.min(wanted, material.max_layer_mm);
}

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
  const [lead] = voids;
  const link = lead && linkAt(c, lead, "filler");
  if (!lead || !link) return filmCoats(c, out);
  const { material } = link;
  const joined: Need[] = c.places.flatMap(({ kind }) =>
    kind === "faces" || kind === "backing" ? [first("last-unclamp", "the joint holds")] : [],
  );
  const bandaged: Need[] = c.links
    .filter(({ role, class: name }) => role === "brace" && name === "plaster-bandage")
    .map(({ material: bandage }) => after("back", bandage, ["hard"], 4, c.air, "the backing has set"));
  const consolidant = c.links.find(({ role }) => role === "consolidant");
  const dried: Need[] = consolidant
    ? [after("consolidate", consolidant.material, ["hard", "full", "handle"], 0.1, c.air, "the consolidant has dried through")]
    : [];
  const core: Need[] = c.links
    .filter(({ role }) => role === "adhesive")
    .map(({ material: glue }) => after("set-brace", glue, ["handle", "hard", "full"], 0.1, c.air, "the core is fast"));
  const ready = [...BEFORE_FILL, ...joined, ...bandaged, ...dried, ...core];
  measureBefore(c, voids, out);
  dam(c, voids, out, joined);
  damp(c, voids, material, out, ready);
  const each = voids.map((place) => layersOf(place, linkAt(c, place, "filler")?.material ?? material));
  const most = Math.max(...each.map(({ layers }) => layers.length));
  for (let n = 1; n <= most; n++)
    layer(
      c,
      link,
      each,
      n,
      most,
      n === 1
        ? [
            ...ready,
            first("dam", "it is dammed"),
            { op: "damp", because: "damp, so that it does not drink the water", max: { min: 30, range: [15, 45] } },
          ]
        : [first(`place-${n - 1}`, `layer ${n - 1} is laid`), between(c, n, material, each)],
      out,
    );
  finishFill(c, link, each, most, out);
}

/** A coat on a coat, a layer on a layer: hard, or while the film is open to the next drop. */
function between(c: Context, n: number, material: MaterialClass, each: readonly PlaceLayers[]): Need {
  const mm = each[0]?.layers[n - 2]?.applied_mm ?? material.cure.at_mm;
  return after(
    `mix-${n - 1}`,
    material,
    isFilm(c) ? ["recoat", "hard"] : ["hard", "full"],
    mm,
    c.air,
    `layer ${n - 1} is ready for the next`,
  );
}

const isFilm = (c: Context): boolean => c.places.some(({ kind }) => kind === "film");

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

function dam(c: Context, voids: readonly WorkPlace[], out: Drafts, joined: readonly Need[]): void {
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
    needs: [...BEFORE_FILL.slice(0, 8), ...joined],
    meets: ["gap-through"],
  });
}

function damp(c: Context, voids: readonly WorkPlace[], material: MaterialClass, out: Drafts, ready: readonly Need[]): void {
  const drinks =
    (c.f.on.substrate === "gypsum" && (material.group === "plaster" || material.class === "cellulose-filler")) ||
    (material.class === "lime-mortar" && c.f.on.porous);
  if (!drinks) return;
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
function layer(
  c: Context,
  link: PlanLink,
  each: readonly PlaceLayers[],
  n: number,
  most: number,
  needs: readonly Need[],
  out: Drafts,
): void {
  const { material } = link;
  const here = each.filter(({ layers }) => layers[n - 1] !== undefined);
  const places = here.map(({ place }) => place);
  const shrinks = 1 - middle(material.shrinkage_pct) / 100;
  const needOf = ({ place, layers, proud_mm }: PlaceLayers) =>
    ((layers[n - 1]?.volume_cm3 ?? 0) + (n === layers.length ? ((place.opening_mm2 ?? 0) * proud_mm) / 1000 : 0)) / shrinks;
  const total = here.reduce((sum, one) => sum + needOf(one), 0);
  const apply = applied(c, material, places);
  const weighed = weigh(material, total, apply === "poured" ? 10 : wastePct(total), apply, c.air);
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
    together: (cm3) => told(weigh(material, cm3, apply === "poured" ? 10 : wastePct(cm3), apply, c.air), words),
    need_cm3: total,
    why: mixWhy(c, material, total, weighed.volume_cm3),
    done_when: material.mix.cue.charAt(0).toLowerCase() + material.mix.cue.slice(1).replace(/\.$/, ""),
    hands_min: [4, 10],
    cautions: [...material.hazards],
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

function mixText(several: boolean, name: string, { mass_g, batches, limited_by }: Weighed, nth: string, dose: string): string {
  const lots = batches > 1 ? `, in ${counted(batches, "batch", "batches")} of ${grams(mass_g / batches)} (${limited_by})` : "";
  return `${several ? "Mix" : "Take"} ${grams(mass_g)} of ${name}${nth}${lots}${dose ? `: ${dose}` : ""}`;
}

function mixWhy(c: Context, material: MaterialClass, need: number, volume: number): string {
  const about = `${plain(need, need < 10 ? 2 : 0)} cm³ with what shrinks and stands proud, ${plain(volume, volume < 10 ? 2 : 0)} with what stays on board and gloves.`;
  if (material.group === "plaster")
    return `${about} Powder into the water; slake a minute, stir without air. An acrylic additive may take the place of a quarter of the water.`;
  if (material.hazards.includes("peroxide"))
    return `${about} Hardener 1 to 4 % by mass: half of it doubles the time, too much sets in the cup, under 1 % it never sets.`;
  if (c.f.way === "build") return `${about} Model it soft with a wet tool, or build it over size and carve: both lead there.`;
  return about;
}

function applied(c: Context, material: MaterialClass, places: readonly WorkPlace[]): Apply {
  const face = Math.max(0, ...places.map(({ opening_mm2 = 0 }) => opening_mm2));
  if (material.group === "plaster" && (c.damage.kind === "corner" || c.damage.kind === "hole")) return "poured";
  return face > 10_000 ? "faced" : "pressed";
}

const VERBS: Readonly<Record<Apply, string>> = { poured: "Pour", pressed: "Press in", faced: "Lay on", spread: "Spread", laid: "Lay" };

function place(c: Context, link: PlanLink, { place: at, layers, proud_mm }: PlaceLayers, n: number, apply: Apply, out: Drafts): void {
  const layer = layers[n - 1];
  if (!layer) return;
  const { material } = link;
  const last = n === layers.length;
  const height = last ? (proud_mm > 0 ? `, ${plain(proud_mm, 2)} mm proud` : ", flush, no prouder") : `, ${plain(layer.applied_mm, 2)} mm`;
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
    text: `${isFilm(c) ? "Drop in" : VERBS[apply]} ${layers.length > 1 ? `layer ${n}` : `the ${inSentence(material.name)}`}${layers.length > 1 ? ` of ${layers.length}` : ""} at ${at.label.toLowerCase()}${height}`,
    why: isFilm(c)
      ? "Drop on drop; a bubble is pricked at once."
      : flexible
        ? "A trough, not a peak: it sinks, and what stands up can’t be sanded. Smooth with a card in one stroke along the tear."
        : apply === "poured"
          ? "From one side, in one go; rap the form until no bubble rises."
          : at.around_core
            ? `About ${plain(layer.applied_mm, 1)} mm around the core, in one build.`
            : "Into the edges first, so that it keys; no trapped air.",
    done_when: last
      ? flexible
        ? "a card finds it level while wet"
        : "it stands a hair proud all over"
      : "it lies even, its face rough for the next",
    hands_min: apply === "poured" ? [3, 8] : [3, 12],
    cautions: [],
    volume_cm3: layer.volume_cm3,
    thickness_mm: layer.applied_mm,
    needs: [after(`mix-${n}`, material, [], layer.applied_mm, c.air, "while it is workable", ["working"])],
    meets: ["gap-many-layers", "level-hump"],
    layer: n,
  });
}

function topUp(c: Context, link: PlanLink, places: readonly WorkPlace[], n: number, out: Drafts): void {
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
    cautions: [...material.hazards],
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

/** Texture, demould, trim, check, and for plaster the drying. */
function finishFill(c: Context, link: PlanLink, each: readonly PlaceLayers[], n: number, out: Drafts): void {
  const { material } = link;
  const places = each.map(({ place: at }) => at);
  const mm = Math.max(...each.map(({ layers }) => layers.at(-1)?.applied_mm ?? 0));
  const laid = first(`place-${n}`, "it is laid");
  const stage = (...stages: Parameters<typeof lagOf>[1]) => stages;
  if (c.f.on.family === "skin" && material.rigidity === "flexible")
    out.add({
      ...base(c, places),
      name: "texture",
      kind: "texture",
      text: "Emboss the grain before it skins: a stamp taken off sound leather",
      why: "Afterwards no tool leaves a grain in it.",
      done_when: "the light runs over it as beside it",
      hands_min: [3, 8],
      cautions: [],
      needs: [laid, after(`mix-${n}`, material, [], mm, c.air, "before it skins", ["firm", "working"])],
    });
  if (material.group === "plaster" && (c.damage.kind === "corner" || c.damage.kind === "tip"))
    out.add({
      ...base(c, places),
      name: "demould",
      kind: "demould",
      text: "Take the form off",
      why: "Warm and hard enough to stand, soft enough to clean up.",
      done_when: "edges stay sharp under a finger",
      hands_min: [3, 8],
      cautions: [],
      needs: [laid, first("top-up", "it is topped up"), wait(`place-${n}`, [20, 60], "20 to 60 min after the pour")],
    });
  const firm = lagOf(material, ["firm"], mm, c.air);
  const trims = firm !== undefined && !isFilm(c) && material.rigidity !== "flexible";
  if (trims)
    out.add({
      ...base(c, places),
      name: "blade",
      kind: c.f.way === "build" ? "carve" : "trim",
      text: c.f.way === "build" ? "Carve it to shape while it is firm" : "Trim with a blade, down to a hair above the line",
      why: "It cuts like soap now; later it costs an hour of sanding.",
      done_when: "what stands proud is an even hair",
      hands_min: [4, 12],
      cautions: ["blade"],
      needs: [
        laid,
        first("demould", "the form is off"),
        after(`mix-${n}`, material, stage("firm"), mm, c.air, "firm, not yet hard", ["stiff"]),
      ],
      meets: ["level-hump", "level-harder"],
    });
  if (c.f.open_behind)
    out.add({
      ...base(
        c,
        places.filter(({ open_behind }) => open_behind),
      ),
      name: "off-dam",
      kind: "demould",
      text: "Take the dam off, knock off what came through behind",
      why: "Hard, a ridge on the hidden face breaks off with its edge.",
      done_when: "the back is flush",
      hands_min: [2, 6],
      cautions: [],
      needs: [laid, after(`mix-${n}`, material, stage("firm", "hard"), mm, c.air, "it stands by itself")],
    });
  const hard = after(`mix-${n}`, material, stage("hard", "full"), mm, c.air, "hard");
  if (isFilm(c))
    out.add({
      ...base(c, places),
      name: "shrink",
      kind: "wait",
      text: "Leave it until it has stopped shrinking",
      why: "Levelled too soon it sinks again and shows an edge in the gloss.",
      done_when: "a fingernail leaves no mark and yesterday’s height is today’s",
      hands_min: [1, 2],
      cautions: [],
      needs: [laid, after(`mix-${n}`, material, stage("hard"), mm * n, c.air, "it has stopped shrinking")],
    });
  if (material.group === "plaster" && material.carrier === "water") dryPlaster(c, places, material, n, out);
  out.add({
    ...base(c, places),
    name: "check-fill",
    kind: "check",
    text: "Look for pinholes and low spots: fingertip with eyes shut, raking light",
    why: "A pinhole is stopped with a finer filler now; under colour it shows for ever.",
    done_when: "nothing is low, or the round goes back to Fill",
    hands_min: [3, 6],
    cautions: [],
    needs: [hard, laid, first("blade", "it is trimmed"), first("off-dam", "the dam is off"), first("texture", "it is embossed")],
  });
  if (c.damage.kind === "worn-thin")
    out.add({
      ...base(c, places),
      name: "measure-after",
      kind: "check",
      text: `Measure the thickness after: ${plain(c.damage.target_mm, 2)} mm is wanted; short of it, another thin build`,
      why: "What counts is what is there.",
      done_when: "the figure is on record",
      hands_min: [2, 4],
      cautions: [],
      needs: [first("check-fill", "it is hard")],
    });
}

/** Plaster gives its water off through its thickness: about a day for a centimetre squared, twice that where one face is shut; trade practice, EN 13279-1. */
const DRY_DAYS_PER_CM2 = [0.6, 2.4] as const;

function dryPlaster(c: Context, places: readonly WorkPlace[], material: MaterialClass, n: number, out: Drafts): void {
  if (material.class === "lime-mortar") {
    out.add({
      ...base(c, places),
      name: "dry",
      kind: "wait",
      text: "Leave the lime a month, damp and shaded the first days, before anything is laid over it",
      why: "Young lime burns colour and must breathe; it hardens from the air.",
      done_when: "a month is over and the face is evenly pale",
      hands_min: [5, 20],
      cautions: ["wet-plaster-skin"],
      needs: [first(`place-${n}`, "laid"), after(`mix-${n}`, material, ["full"], material.cure.at_mm, c.air, "it hardens from the air")],
      meets: ["film-on-lime"],
    });
    return;
  }
  const cm = Math.max(0.5, Math.max(...places.map((at) => at.depth_mm ?? 0)) / 10);
  const water = { ...material, cure: { ...material.cure, by: "drying" as const } };
  const factor = humidityFactor(water, c.air.rh_pct) * 1440 * cm ** 2;
  out.add({
    ...base(c, places),
    name: "dry",
    kind: "dry",
    text: "Let it dry until it is no longer cold to the cheek",
    why: "Its water leaves by the square of the thickness and by the dryness of the room: test it, no clock tells.",
    done_when: "cheek, or under 1 % on the meter",
    hands_min: [2, 5],
    cautions: [],
    needs: [
      first(`place-${n}`, "laid"),
      first("demould", "air gets at it"),
      first("blade", "it is trimmed"),
      wait(`mix-${n}`, [DRY_DAYS_PER_CM2[0] * factor, DRY_DAYS_PER_CM2[1] * factor], "dries by the square of its thickness"),
    ],
    meets: ["film-on-wet-plaster", "film-on-lime"],
  });
}

/** A scratch closed by spraying and cutting: so many cycles, each a mist coat and a cut. */
function filmCoats(c: Context, out: Drafts): void {
  const overnight = [720, 1440] as const;
  const place = c.places.find(({ name, kind }) => kind === "film" && name === "film");
  const link = place && linkAt(c, place, "topcoat");
  if (!place || !link || c.damage.kind !== "scratch") return;
  const coat_um = link.material.max_layer_mm * 1000 * (1 - middle(link.material.shrinkage_pct) / 100);
  const budget = filmBudget({
    existing_um: c.damage.film_um,
    coats: [],
    cuts: [],
    safe_um: SAFE_FILM_UM,
    scratch: { depth_um: c.damage.depth_mm * 1000, mode: "spray", coat_um, cut_um: CUT_UM },
  });
  const cycles = budget.cycles ?? 1;
  const thin = budget.warnings.map(({ message }) => message).join(" ");
  const lag = (n: number) => wait(`spray-${n}`, overnight, "the coat is dry enough to cut: over night");
  const area = weigh(link.material, (((place.opening_mm2 ?? 0) + FACE_MM2) * link.material.max_layer_mm) / 1000, 35, "spread", c.air);
  for (let n = 1; n <= cycles; n++) {
    out.add({
      ...base(c, [place]),
      station: "colour",
      link: link.id,
      role: "topcoat",
      class: link.class,
      material: link.material,
      name: `spray-${n}`,
      kind: "coat",
      text: `Spray a mist coat of ${inSentence(link.material.name)}, cycle ${n} of ${cycles}`,
      why: n === 1 ? `The scratch closes by ${CUT_UM} µm a cycle.${thin ? ` ${thin}` : ""}` : "Mist coats dry sooner and lie flatter.",
      done_when: "it lies even, no run",
      hands_min: [4, 8],
      cautions: [...link.material.hazards, "spray"],
      mass_g: area.mass_g,
      volume_cm3: area.volume_cm3,
      thickness_mm: link.material.max_layer_mm,
      needs:
        n === 1
          ? [first("clean", "clean"), first("mask", "neighbours are guarded"), first("test-spot", "it was tried")]
          : [first(`cut-${n - 1}`, "the last coat is cut")],
      starts: "coated",
      uses: ["spray place"],
      layer: n,
    });
    out.add({
      ...base(c, [place]),
      station: "colour",
      name: `cut-${n}`,
      kind: "grit",
      text: `Cut ${CUT_UM} µm off what stands up, P1200 on a hard block, wet`,
      why: "Only what stands beside the scratch is touched.",
      done_when: "the face is matt, the scratch still shines",
      hands_min: [4, 8],
      cautions: ["dust-resin"],
      needs: [lag(n)],
    });
  }
  const last = after(`spray-${cycles}`, link.material, ["full", "hard"], link.material.max_layer_mm, c.air, "it has stopped shrinking");
  out.add({
    ...base(c, [place]),
    station: "colour",
    name: "film-wait",
    kind: "wait",
    text: "Leave the film until it has stopped shrinking",
    why: "Polished too soon the scratch comes back as a line.",
    done_when: "yesterday’s face is today’s",
    hands_min: [1, 2],
    cautions: [],
    needs: [last, first(`cut-${cycles}`, "the last coat is cut")],
  });
  out.add({
    ...base(c, [place]),
    station: "colour",
    name: "flat-P1500",
    kind: "grit",
    text: "Rub out with P1500 wet, then P2000, a soft block, edges last",
    why: "The film around is thinnest at the edges.",
    done_when: "it is matt all over",
    hands_min: [8, 15],
    cautions: ["dust-resin"],
    needs: [first("film-wait", "it has stopped shrinking")],
  });
  out.add({
    ...base(c, [place]),
    station: "colour",
    name: "gloss-compound",
    kind: "compound",
    text: "Polish with medium, then fine compound, a clean labelled pad for each",
    why: "A grain of the coarser one scratches all over again.",
    done_when: "the lamp’s edge is sharp in it",
    hands_min: [8, 20],
    cautions: ["dust-resin"],
    needs: [first("flat-P1500", "rubbed out first")],
  });
}

/** A film is never left thinner than this over wood, µm; trade practice, typical data sheets of lacquers. */
export const SAFE_FILM_UM = 60;
/** What a cut takes off the surroundings, µm; trade practice. */
export const CUT_UM = 6;
/** A spray coat is carried over a whole small face, mm². */
const FACE_MM2 = 40_000;

/** The stopper for what is found too small for the fill itself. */
export const FINER: MaterialClass = classRow("fine-surfacer");
