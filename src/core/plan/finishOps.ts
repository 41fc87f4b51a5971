import type { MaterialClass, Role } from "../catalogue";
import { humidityFactor } from "../cure/pace";
import { textureRow } from "../fill/schools.data";
import { plain } from "../units";
import { after, type Context, first, type WorkPlace, wait } from "./context";
import type { Drafts, Need } from "./draft";
import { lagOf } from "./lag";
import type { LayerLink, PlaceLayers } from "./layers";

const base = (c: Context, places: readonly WorkPlace[]) => ({ damage: c.f.id, places, of: "damage" as const, station: "fill" as const });

/** Whether the film itself is what is filled. */
export const isFilm = (c: Context): boolean => c.places.some(({ kind }) => kind === "film");

/** The last layer as it lies: what is done to it hangs on its mix and its laying. */
interface Laid {
  readonly c: Context;
  readonly places: readonly WorkPlace[];
  readonly material: MaterialClass;
  /** How many layers there are. */
  readonly n: number;
  /** The thickest last layer, mm. */
  readonly mm: number;
  readonly laid: Need;
}

/** Texture, demould, trim, check, and for plaster the drying. */
export function finishFill(c: Context, { material }: LayerLink, each: readonly PlaceLayers[], n: number, out: Drafts): void {
  const mm = Math.max(...each.map(({ layers }) => layers.at(-1)?.applied_mm ?? 0));
  const one: Laid = { c, places: each.map(({ place }) => place), material, n, mm, laid: first(`place-${n}`, "it is laid") };
  model(one, out);
  texture(one, out);
  demould(one, out);
  trim(one, out);
  carveHard(one, out);
  takeDamOff(one, out);
  shrink(one, out);
  check(one, out);
  if ((material.group === "plaster" && material.carrier === "water") || material.class === "lime-mortar")
    dryPlaster(c, one.places, material, n, out);
  measureAfter(one, out);
}

/** Modelled soft: shaped while it is workable. */
function model({ c, places, material, n, mm, laid }: Laid, out: Drafts): void {
  if (c.fill?.school !== "model") return;
  out.add({
    ...base(c, places),
    name: "model",
    kind: "texture",
    text: `Model it to the profile while it is soft, ${slipOf(material)} as slip`,
    why: "What is right now need not be sanded later; hold the profile or the twin beside it.",
    done_when: "the profile touches all along",
    hands_min: [5, 20],
    cautions: [],
    needs: [laid, after(`mix-${n}`, material, [], mm, c.air, "while it is workable", ["working"])],
  });
}

/** What a wet tool slides on: what the filler itself is thinned with, and never water where it reacts with it. */
function slipOf({ carrier, hazards }: MaterialClass): string {
  if (carrier === "water") return "water";
  return hazards.includes("styrene") || carrier === "monomer" ? "a wiped film of alcohol, no water," : "a little alcohol or water";
}

/** Before it skins it is given the grain of what is around it. */
function texture(one: Laid, out: Drafts): void {
  const { c, places, material, n, mm, laid } = one;
  const row = c.fill?.texture && textureRow(c.fill.texture);
  if (row)
    out.add({
      ...base(c, places),
      name: "texture",
      kind: "texture",
      text: `Give it its grain before it skins: ${row.how}`,
      why: "Once it has skinned no tool leaves a mark; try the touch on a scrap first.",
      done_when: "the light runs over it as beside it",
      hands_min: [3, 8],
      cautions: [],
      needs: [laid, first("model", "it is shaped"), after(`mix-${n}`, material, [], mm, c.air, "before it skins", ["firm", "working"])],
    });
  else if (c.f.on.family === "skin" && material.rigidity === "flexible")
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
}

/** A poured corner leaves its form while it is warm. */
function demould({ c, places, material, n, laid }: Laid, out: Drafts): void {
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
}

/** Cut while it is firm. */
function trim({ c, places, material, n, mm, laid }: Laid, out: Drafts): void {
  const firm = lagOf(material, ["firm"], mm, c.air);
  const carves = c.fill?.school === "carve" || (c.f.way === "build" && c.fill?.school === undefined);
  const trims = firm !== undefined && !isFilm(c) && material.rigidity !== "flexible";
  if (trims)
    out.add({
      ...base(c, places),
      name: "blade",
      kind: carves ? "carve" : "trim",
      text: carves ? carvedFirm(c) : "Trim with a blade, down to a hair above the line",
      why: "It cuts like soap now; later it costs an hour of sanding.",
      done_when: "what stands proud is an even hair",
      hands_min: [4, 12],
      cautions: ["blade"],
      needs: [laid, first("demould", "the form is off"), after(`mix-${n}`, material, ["firm"], mm, c.air, "firm, not yet hard", ["stiff"])],
      meets: ["level-hump", "level-harder"],
    });
}

const carvedFirm = ({ fill }: Context): string =>
  fill?.school === "carve"
    ? "Rough it out with a blade while it is firm, a millimetre left everywhere"
    : "Carve it to shape while it is firm";

/** Built over size it is carved to the profile once it is hard. */
function carveHard({ c, places, material, n, mm, laid }: Laid, out: Drafts): void {
  if (c.fill?.school !== "carve" || isFilm(c) || material.rigidity === "flexible") return;
  out.add({
    ...base(c, places),
    name: "carve-hard",
    kind: "carve",
    text: "Carve it to the profile when it is hard: chisel, rasp, riffler, the twin or its profile beside it",
    why: "Over size there is something to cut; from the outline to the planes to the details, never at one spot for long.",
    done_when: "the profile touches all along, a hair above the old surface",
    hands_min: [10, 40],
    cautions: ["blade", ...material.hazards.filter((hazard) => hazard.startsWith("dust"))],
    needs: [laid, first("blade", "it is roughed out"), after(`mix-${n}`, material, ["hard", "full"], mm, c.air, "hard")],
  });
}

/** What was dammed behind is freed. */
function takeDamOff({ c, places, material, n, mm, laid }: Laid, out: Drafts): void {
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
      needs: [laid, after(`mix-${n}`, material, ["firm", "hard"], mm, c.air, "it stands by itself")],
    });
}

/** A film rests until it has stopped shrinking. */
function shrink({ c, places, material, n, mm, laid }: Laid, out: Drafts): void {
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
      needs: [laid, after(`mix-${n}`, material, ["hard"], mm * n, c.air, "it has stopped shrinking")],
    });
}

/** Looked at when it is hard. */
function check({ c, places, material, n, mm, laid }: Laid, out: Drafts): void {
  const hard = after(`mix-${n}`, material, ["hard", "full"], mm, c.air, "hard");
  out.add({
    ...base(c, places),
    name: "check-fill",
    kind: "check",
    text: "Look for pinholes and low spots: fingertip with eyes shut, raking light",
    why: "A pinhole is stopped with a finer filler now; under colour it shows for ever.",
    done_when: "nothing is low, or the round goes back to Fill",
    hands_min: [3, 6],
    cautions: [],
    needs: [
      hard,
      laid,
      first("blade", "it is trimmed"),
      first("carve-hard", "it has its profile"),
      first("off-dam", "the dam is off"),
      first("texture", "it is embossed"),
    ],
  });
}

/** An overlay is measured before and after. */
function measureAfter({ c, places }: Laid, out: Drafts): void {
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

/** What has to breathe through lime, or is burnt by it. */
const OVER_LIME: readonly Role[] = ["levelling", "colour", "topcoat"];

/** Bare lime needs no month before work goes on, but its first days decide; EN 459-1 and trade practice. */
function keepDamp(c: Context, places: readonly WorkPlace[], n: number, out: Drafts): void {
  out.add({
    ...base(c, places),
    name: "damp-cure",
    kind: "damp",
    text: "Mist the lime morning and evening for three days, sun and wind kept off, no frost for a month",
    why: "Lime that dries before it hardens stays powder.",
    done_when: "three days are over and a fingernail leaves no mark",
    hands_min: [5, 20],
    cautions: ["wet-plaster-skin"],
    needs: [first(`place-${n}`, "laid"), first("blade", "it is trimmed")],
  });
}

function dryPlaster(c: Context, places: readonly WorkPlace[], material: MaterialClass, n: number, out: Drafts): void {
  if (material.class === "lime-mortar") {
    if (!c.links.some(({ role }) => OVER_LIME.includes(role))) {
      keepDamp(c, places, n, out);
      return;
    }
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
