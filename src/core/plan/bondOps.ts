import { consistencyFor, type PressureRow, pressureFor } from "../join/pressure.data";
import { grams, inSentence, plain } from "../units";
import { pressureFacts } from "./braceQuestion";
import {
  after,
  type Context,
  first,
  linkAt,
  mixCautions,
  type PlanLink,
  placesWith,
  squeezeOut,
  told,
  type Weighed,
  type WorkPlace,
  weigh,
} from "./context";
import { doseWords } from "./doses";
import type { Drafts, Need } from "./draft";
import { lagOf } from "./lag";
import { isLaidWithGlue } from "./links";
import { joinsIn, sittingsOf } from "./sittings";

/** What must be behind before anything is glued. */
const BEFORE_GLUE: readonly Need[] = [
  first("dry-run", "the set-up is tried before glue is on it"),
  first("clean", "nothing holds on dirt"),
  first("remove-old", "nothing holds on old glue"),
  first("old-glue-out", "nothing holds on old glue"),
  first("mask", "smears beside it"),
  first("release", "or it glues itself to its board"),
  first("barrier", "the glue lies on the barrier"),
  first("consolidate", "the edge is firm"),
  first("cut-core", "the bed is level"),
  first("choose-sheet", "the sheet fits"),
  first("humidify", "the crack is shut"),
  first("slips", "the play is gone"),
  first("wrap", "the play is gone"),
  first("open-crack", "the slip fits"),
  first("bore", "the piece fits"),
  first("drill", "the holes are there"),
  first("slot", "the slot is there"),
  first("fit-brace", "it went in dry"),
  first("tap-bed", "the bed is sound"),
];

const base = (c: Context, places: readonly WorkPlace[]) => ({ damage: c.f.id, places, of: "damage" as const, station: "join" as const });

/** One glue line with all that its operations share. */
interface Bond {
  readonly c: Context;
  readonly place: WorkPlace;
  readonly link: PlanLink;
  readonly film: number;
  readonly name: string;
  readonly need: number;
  /** cm³ of the need that the brace and its hole take. */
  readonly braced: number;
  /** Something is let in, and its hole takes glue too. */
  readonly core: boolean;
  readonly sittings: number;
  readonly contact: boolean;
  readonly mixes: boolean;
  /** A solution keeps in its closed jar; its open time runs from each join on. */
  readonly dries: boolean;
  readonly oneByOne: boolean;
  readonly press: Pick<PressureRow, "label" | "how" | "off"> | undefined;
}

/** Glue on the faces: weighed, laid in as many sittings as the open time asks, pressed, looked at, freed. */
export function bondFaces(c: Context, place: WorkPlace, let_in: readonly WorkPlace[], out: Drafts): void {
  const link = linkAt(c, place, "adhesive");
  if (!link) return;
  const bond = bondOf(
    c,
    place,
    link,
    let_in.some(({ name }) => name === "core"),
  );
  for (let i = 1; i <= bond.sittings; i++) {
    if (bond.mixes) mixOp(bond, i, out);
    layOp(bond, i, out);
    layPieces(bond, i, out);
    clampOp(bond, i, out);
    if (!bond.contact) look(bond, i, out);
    if (i === bond.sittings) squeezeOutOp(bond, out);
    if (!bond.contact) free(bond, i, out);
  }
}

function bondOf(c: Context, place: WorkPlace, link: PlanLink, core: boolean): Bond {
  const { material } = link;
  const { film_mm: film = 0.1, area_mm2 = 0, joins = 1 } = place;
  const braced = c.brace && core ? braceGlueCm3(c.brace.size, film) : 0;
  const contact = link.class === "contact-adhesive";
  const dries = material.cure.by === "drying";
  return {
    c,
    place,
    link,
    film,
    name: inSentence(material.name),
    need: (area_mm2 * film) / 1000 + braced,
    braced,
    core,
    sittings: sittingsOf(c, place, link),
    contact,
    mixes: material.mix.parts.length > 1,
    dries,
    oneByOne: dries && joins > 1,
    press: pressOf(c, place, contact, film),
  };
}

const BLOCK = {
  label: "Press with a block",
  how: "Press it down from the middle with a block; it grabs at once, there is no second try.",
  off: "Take board and weights off",
};
const BOARD = {
  label: "Board and weights",
  how: "Film, a flat board over the whole, weights or clamps from the middle.",
  off: "Take board and weights off",
};

function pressOf(c: Context, place: WorkPlace, contact: boolean, film: number): Bond["press"] {
  if (contact) return BLOCK;
  if (place.name === "bed") return BOARD;
  return pressureFor(pressureFacts(c.damage, c.f.on.family, c.f.sprung, place.gap_mm?.[1] ?? film))[0];
}

const infoOf = ({ link, film }: Bond) => ({
  link: link.id,
  role: "adhesive" as const,
  class: link.class,
  material: link.material,
  thickness_mm: film,
});
const sittingOf = ({ sittings }: Bond, i: number): string => (sittings > 1 ? `, sitting ${i} of ${sittings}` : "");

/** Grams of one sitting, of the whole weighed at once. */
function shareOf({ link, need, film, sittings, c }: Bond): Pick<Weighed, "mass_g" | "volume_cm3" | "parts"> {
  const { mass_g, volume_cm3, parts } = weigh(link.material, need, squeezeOut(film), "spread", c.air);
  return {
    mass_g: mass_g / sittings,
    volume_cm3: volume_cm3 / sittings,
    parts: parts.map((part) => ({ ...part, mass_g: part.mass_g / sittings })),
  };
}

function beforeOf({ c, link, film }: Bond, i: number): Need[] {
  if (i === 1) return [...BEFORE_GLUE, ...frameNeeds(c)];
  return [after(`bond-${i - 1}`, link.material, ["handle", "hard"], film, c.air, "what was joined before holds")];
}

function mixOp(bond: Bond, i: number, out: Drafts): void {
  const { c, place, link, film, name, need, braced, sittings } = bond;
  const { material } = link;
  const words = (all: Weighed) =>
    `Mix ${grams(all.mass_g)} of ${name}${sittingOf(bond, i)}: ${doseWords(material, all, c.tools.scale_step_g).words}`;
  const weighed = weigh(material, need / sittings, squeezeOut(film), "spread", c.air);
  const gap = place.gap_mm ? `gap ${plain(place.gap_mm[0], 2)} to ${plain(place.gap_mm[1], 2)} mm, ` : "";
  out.add({
    ...base(c, [place]),
    ...infoOf(bond),
    ...shareOf(bond),
    name: `mix-${i}`,
    kind: "mix",
    text: words(weighed),
    need_cm3: need / sittings,
    together: (cm3) => told(weigh(material, cm3, squeezeOut(film), "spread", c.air), words),
    why: `${plain((place.area_mm2 ?? 0) / 100)} cm² a face, ${gap}${plain(film, 2)} mm of glue between${braced > 0 ? ", what the brace takes" : ""}, ${squeezeOut(film)} % for squeeze-out.`,
    done_when: material.mix.cue.charAt(0).toLowerCase() + material.mix.cue.slice(1).replace(/\.$/, ""),
    hands_min: [3, 6],
    cautions: mixCautions(material, weighed),
    needs: beforeOf(bond, i),
    starts: "mixed",
    ...(place.kind === "faces" ? { shared: `join/${link.class}/${i}` } : {}),
  });
}

function layOp(bond: Bond, i: number, out: Drafts): void {
  const { c, place, link, film, mixes, dries } = bond;
  const joins = joinsIn(place, bond.sittings, i);
  out.add({
    ...base(c, [place]),
    ...infoOf(bond),
    ...shareOf(bond),
    name: `bond-${i}`,
    kind: "bond",
    text: layWords(bond, i),
    why: whyLaid(bond),
    done_when: bond.contact ? "a knuckle lifts off dry" : "both faces shine evenly",
    hands_min: c.damage.kind === "shards" ? [5 * joins, 8 * joins] : [4, 10],
    cautions: mixes ? [] : [...link.material.hazards],
    needs: mixes
      ? [after(`mix-${i}`, link.material, [], film, c.air, "while it is workable", dries ? undefined : ["working"])]
      : beforeOf(bond, i),
    meets: ["gap-too-thick-joint", "bond-drains", "bond-end-grain", "bond-hot-on-skin"],
    starts: "clamped",
  });
}

function layWords(bond: Bond, i: number): string {
  const { c, place, name, contact, oneByOne, mixes, core } = bond;
  const { mass_g } = shareOf(bond);
  if (contact) return `Brush ${name} thinly on sheet and bed, ${grams(mass_g)}; let both go touch-dry`;
  const joins = joinsIn(place, bond.sittings, i);
  const faces = c.damage.kind === "shards" && joins !== 1 ? `${plain(joins)} joins` : "both faces";
  if (oneByOne)
    return `Join by join, ${faces}: brush ${name} on both faces${mixes ? "" : `, ${grams(mass_g)} in all`}, press, hold until it tacks`;
  const gap = place.gap_mm ? consistencyFor(place.gap_mm[1]).word.toLowerCase() : "";
  const told_gap = gap !== "" && !name.includes(gap) ? `, ${gap}` : "";
  return `Wet ${faces} with ${name}${mixes ? "" : `, ${grams(mass_g)}`}${told_gap}${core ? ", the brace and its hole too" : ""}${sittingOf(bond, i)}`;
}

function whyLaid({ c, contact }: Bond): string {
  if (contact) return "Wet, it never closes; too dry, it never grabs.";
  return c.f.way === "humidify" || c.f.way === "close"
    ? "Worked in by flexing, or drawn in from behind; a dry face is a weak face."
    : "A dry face is a weak face; thin is strong.";
}

/** What may be pressed or laid on the glue: touch-dry where it grabs, else while it moves. */
function whileOpen(bond: Bond, i: number, moves: string, window: readonly ["working"] | undefined): Need {
  const { c, link, film, contact } = bond;
  if (contact) return after(`bond-${i}`, link.material, ["working"], film, c.air, "touch-dry first");
  return after(`bond-${i}`, link.material, [], film, c.air, moves, window);
}

function clampOp(bond: Bond, i: number, out: Drafts): void {
  const { c, place, link, film, press, oneByOne } = bond;
  out.add({
    ...base(c, [place]),
    name: `clamp-${i}`,
    material: link.material,
    thickness_mm: film,
    kind: "clamp",
    text: `${press?.label ?? "Clamps with padded cauls"}: ${press?.how ?? ""}${sprungWords(c, place)}`,
    why: "Just enough that a bead shows all along: more starves the joint.",
    done_when: "marks meet and a bead shows all along",
    hands_min: [5, 12],
    cautions: ["clamp-force"],
    needs: [
      whileOpen(bond, i, "while it still moves", oneByOne ? undefined : ["working"]),
      first(`lay-sheet-${i}`, "the piece lies in its place"),
    ],
    meets: ["gap-foams", "time-needs-press"],
    uses: ["clamps"],
  });
}

const HANDLE: readonly ["handle", "hard", "full"] = ["handle", "hard", "full"];

/** How it is seen that a joint has not slid. */
function lookWords({ c, place }: Bond): { readonly text: string; readonly done_when: string } {
  if (c.damage.kind === "loose-joint")
    return {
      text: "Check square by the diagonals, lean against the twin, marks; an opposed clamp takes lean out",
      done_when: "both diagonals are the same, the shoulder is shut",
    };
  if (c.damage.kind === "shards")
    return { text: "Draw a fingernail over every join: press back what steps", done_when: "the nail catches nowhere" };
  if (place.takes.includes("filler") || placesWith(c, "filler").some((each) => isLaidWithGlue(linkAt(c, each, "filler")?.class)))
    return { text: "Check that it has not slid off its marks", done_when: "it lies on its marks, flat all over" };
  return BREAKS.includes(c.damage.kind)
    ? { text: "Check marks, lean against the twin and creep again", done_when: "marks still meet" }
    : { text: "Check marks and creep again", done_when: "marks still meet" };
}

/** Members that can lean out of line. */
const BREAKS: readonly string[] = ["break-along", "break-across"];

/** Looked at while it can still be shifted. */
function look(bond: Bond, i: number, out: Drafts): void {
  const { c, place, link, film, oneByOne } = bond;
  const work = lagOf(link.material, ["working"], film, c.air);
  const looked = Math.min(10, Math.max(1, (work?.min ?? 30) / 3));
  out.add({
    ...base(c, [place]),
    name: `check-${i}`,
    kind: "check",
    ...lookWords(bond),
    why: "Joints slide while the glue is wet.",
    hands_min: [1, 3],
    cautions: [],
    needs: [
      {
        op: `clamp-${i}`,
        because: "joints slide while the glue is wet",
        lag: { min: looked, range: [looked, looked * 2] },
        ...(work && !oneByOne ? { max: work } : {}),
      },
    ],
  });
}

/** Freed by handling strength. */
function free({ c, place, link, film, press }: Bond, i: number, out: Drafts): void {
  out.add({
    ...base(c, [place]),
    name: `unclamp-${i}`,
    kind: "unclamp",
    text: press?.off ?? "Take the clamps off",
    why: "By handling strength, not by habit.",
    done_when: "the joint holds its own weight",
    hands_min: [2, 6],
    cautions: [],
    needs: [
      after(`bond-${i}`, link.material, HANDLE, film, c.air, "handling strength"),
      first(`clamp-${i}`, "what is on comes off"),
      first(`check-${i}`, "it was looked at"),
    ],
    uses: [],
  });
}

/** The piece that is let in lies in its glue before anything presses it. */
function layPieces(bond: Bond, i: number, out: Drafts): void {
  const { c, contact } = bond;
  for (const place of placesWith(c, "filler")) {
    const link = linkAt(c, place, "filler");
    if (!link || !isLaidWithGlue(link.class)) continue;
    out.add({
      ...base(c, [place]),
      link: link.id,
      role: "filler",
      class: link.class,
      material: link.material,
      ...(place.depth_mm ? { thickness_mm: place.depth_mm } : {}),
      name: `lay-sheet-${i}`,
      kind: "place",
      text: `Lay the ${inSentence(link.material.name)} in its place, grain as marked${contact ? "; slip sheet out bit by bit" : ""}`,
      why: contact ? "It grabs at first touch: a slip sheet between lets you aim." : "Slide it into its marks while the glue still moves.",
      done_when: "it lies in its marks without a hollow",
      hands_min: [3, 8],
      cautions: [...link.material.hazards],
      needs: [whileOpen(bond, i, "while the glue moves", ["working"])],
      meets: ["gap-sheet-only", "gap-cut-square"],
    });
    out.add({
      ...base(c, [place]),
      name: "flush",
      kind: "trim",
      text: "Trim the edges flush with a sharp chisel, from the outside in",
      why: "A plane lifts what stands over.",
      done_when: "a fingertip runs over the joint",
      hands_min: [5, 15],
      cautions: ["blade"],
      needs: [first("unclamp-1", "it holds"), first("clamp-1", "it is pressed")],
    });
  }
}

/** Other joints of the same frame: the inner one first, and all within one open time. */
function frameNeeds({ f }: Context): Need[] {
  return f.damage === "loose-joint"
    ? [{ op: "clamp-1", of: "inner", because: "the inner joint goes first: once this one closes, nothing else can go in" }]
    : [];
}

function sprungWords(c: Context, place: WorkPlace): string {
  if (!c.f.sprung || place.kind !== "faces") return "";
  return " Section by section, the awkward end first, each held until tacky.";
}

function braceGlueCm3(size: Readonly<Record<string, number>>, film: number): number {
  const { diameter_mm = 0, hole_mm = diameter_mm, length_mm = 0, width_mm = 0, depth_mm = 0, count = 1 } = size;
  if (diameter_mm > 0) return ((Math.PI / 4) * (hole_mm ** 2 - diameter_mm ** 2) * length_mm) / 1000;
  return (count * (2 * depth_mm + width_mm) * length_mm * Math.min(film, 0.2)) / 1000;
}

function squeezeOutOp({ c, place, link: { material }, sittings, contact, oneByOne }: Bond, out: Drafts): void {
  if (contact) return;
  const leave = c.f.on.porous && c.f.on.family !== "skin";
  const last = `-${sittings}`;
  const rubbery = after(`bond${last}`, material, ["firm", "handle", "hard"], place.film_mm ?? 0.1, c.air, "rubbery, not hard");
  const wet = after(`bond${last}`, material, [], place.film_mm ?? 0.1, c.air, "while it is wet", oneByOne ? undefined : ["working"]);
  out.add({
    ...base(c, [place]),
    name: "squeeze-out",
    kind: leave ? "trim" : "clean",
    text: leave
      ? "Leave the squeeze-out, slice it when rubbery"
      : material.carrier === "water"
        ? "Lift the squeeze-out off with a card, never a wet cloth"
        : oneByOne
          ? "Wipe the squeeze-out off join by join, what is dry with a swab of its solvent"
          : "Wipe the squeeze-out while wet",
    why: leave ? "Wiped, it goes into the pores and shows." : "Set, it has to be scraped off the surface.",
    done_when: "the joint line is clean",
    hands_min: [2, 6],
    cautions: leave ? ["blade"] : [],
    needs: [leave ? rubbery : wet, first(`clamp${last}`, "it is pressed"), first(`check${last}`, "after the look")],
    meets: ["glue-film-under-stain"],
  });
}
