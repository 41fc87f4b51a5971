import { handsAgain, type Range } from "../catalogue";
import { lagOf } from "../cure/lag";
import { workingRange } from "../cure/working";
import { cue } from "../mix/cue";
import { doseFigures, doseOf, doseWords, neededWords } from "../mix/doses";
import { mixCautions, squeezeOut } from "../mix/weigh";
import { first, row, type Told } from "../operation/row";
import type { Sitting } from "../operation/subject";
import { grams, inSentence, plain } from "../units";

/** What must be behind before anything is glued. */
const BEFORE_GLUE = [
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
  { ...first("fit-brace", "it went in dry"), when: ({ splined }: Sitting) => !splined },
  first("tap-bed", "the bed is sound"),
  first("tape-behind", "it is closed behind"),
] as const;

/** What stands before the glue of a sitting: everything, or the sitting before. */
const BEFORE_SITTING = [...BEFORE_GLUE.map((need) => ({ ...need, when: (s: Sitting) => isFirst(s) && (!("when" in need) || need.when(s)) })), { after: "bond", n: "before", stage: ["handle", "hard"], when: (s: Sitting) => s.n > 1, because: "what was joined before holds" }] as const;
function isFirst({ n }: { readonly n: number }): boolean {
  return n === 1;
}

const isWet = ({ contact, oneByOne }: Sitting) => !contact && !oneByOne;
/** What may be pressed or laid on the glue: touch-dry where it grabs, else while it moves. */
const whileOpen = (because: string) =>
  [
    { after: "bond", n: "same", stage: ["working"], when: (s: { readonly contact: boolean }) => s.contact, because: "touch-dry first" },
    { after: "bond", n: "same", until: ["working"], when: (s: { readonly contact: boolean; readonly oneByOne?: boolean }) => !s.contact && s.oneByOne !== true, because },
    { after: "bond", n: "same", when: (s: { readonly contact: boolean; readonly oneByOne?: boolean }) => !s.contact && s.oneByOne === true, because },
  ] as const;

const one = { link: (s: Sitting) => s.link, role: "adhesive", thickness: (s: Sitting) => s.film_mm } as const;
const takes = ({ at, need_cm3, film_mm }: Sitting) => ({ takes: [{ place: at.id, cm3: need_cm3 }], extra_pct: squeezeOut(film_mm), apply: "spread" }) as const;
const nameOf = ({ material }: Pick<Told, "material">) => inSentence(material?.name ?? "");
const sitting = ({ n = 1, of = 1 }: Pick<Told, "n" | "of">) => (of > 1 ? `, sitting ${n} of ${of}` : "");
/** Looked at while it can still be shifted: after a third of its open time, ten minutes at most, and up to twice that; trade practice. */
function looks({ link, film_mm, air }: Sitting): Range {
  const open = lagOf(link.material, ["working"], film_mm, air)?.min ?? 30;
  const from = Math.min(10, Math.max(1, open / 3));
  return [from, 2 * from];
}
/** End grain drinks five minutes before it is wetted again: only what stays open so long, min. FPL Wood Handbook 2021, ch. 10; trade practice. */
const WETS_TWICE_MIN = 15;
/** Members that can lean out of line. */
const LEANS: readonly string[] = ["break-along", "break-across"];
/** Squeeze-out is left on what drinks, wiped off what does not. */
const leaves = ({ f: { on } }: Sitting) => on.porous && on.family !== "skin";
/** Working times under this are over before a joint is pressed and looked at, min; the plan's own minutes of both. */
const QUICK_MIN = 10;
const dries = ({ link }: Sitting) => link.material.cure.by === "drying";
/** What drinks would be stained by it, and what grabs at once can't be wiped: it is pared when rubbery. */
const isPared = (s: Sitting): boolean => leaves(s) || (!dries(s) && isWet(s) && workingRange({ row: s.link.material })[0] < QUICK_MIN);
/** A bead a millimetre thick is wiped with what it is thinned by, long after the film has dried, min; trade practice. */
const BEAD_WET_MIN: Range = [20, 60];

/** Glue on faces: weighed, laid in as many sittings as its open time asks, pressed, looked at, freed. */
export const BOND_OPS = {
  "mix-glue": row({
    each: "sitting",
    stem: "mix-#",
    kind: "mix",
    together: "material",
    when: ({ mixes }) => mixes,
    needs: BEFORE_SITTING,
    ...one,
    amount: takes,
    starts: "mixed",
    apart: [],
    facts: ({ at: { area_mm2 = 0, gap_mm }, film_mm, braced_cm3, tools }) => ({
      face_cm2: area_mm2 / 100,
      gap_from_mm: gap_mm?.[0],
      gap_to_mm: gap_mm?.[1],
      film_mm,
      braced_cm3,
      squeeze_out_pct: squeezeOut(film_mm),
      scale_step_g: tools.scale_step_g,
    }),
    hands: [3, 6],
    words: (op) => {
      const { facts, material, takes: all, n = 1, of = 1, here } = op;
      const gap = facts.gap_to_mm === undefined ? "" : `gap ${plain(facts.gap_from_mm ?? 0, 2)} to ${plain(facts.gap_to_mm, 2)} mm, `;
      const dose = material && all && doseOf(material, all, facts.scale_step_g);
      const face = here.length > 1 ? `${plain(faceOf(here) / 100)} cm² of faces in all` : `${plain(facts.face_cm2)} cm² a face`;
      return {
        title: of > 1 ? `Mix glue, sitting ${n}` : "Mix the glue",
        text: all ? `Mix ${grams(dose?.pot_g ?? all.mass_g)} of ${nameOf(op)}${sitting(op)}: ${doseWords(dose)}${neededWords(dose, all)}` : "",
        why: `${face}, ${here.length > 1 ? "" : gap}${plain(facts.film_mm, 2)} mm of glue between${facts.braced_cm3 > 0 ? ", what the brace takes" : ""}, ${facts.squeeze_out_pct} % for squeeze-out.`,
        done_when: cue(material),
      };
    },
    figures: ({ material, takes: all, here, facts }) => ({ faces_cm2: faceOf(here) / 100, ...(material && all ? doseFigures(doseOf(material, all, facts.scale_step_g)) : {}) }),
    cautions: ({ material, takes: all }) => (material && all ? mixCautions(material, all) : []),
  }),
  "tape-behind": row({
    each: "sitting",
    kind: "form",
    when: ({ wicked, at, n }) => wicked && at.open_behind === true && n === 1,
    needs: [first("clean", "tape holds on what is clean"), first("mask", "its edge is guarded")],
    hands: [3, 8],
    words: { title: "Tape it behind", text: "Close the crack from behind with tape, rubbed down along its whole length", why: "What is drawn through is lost, and shows on the other face.", done_when: "no light comes through it" },
  }),
  bond: row({
    each: "sitting",
    kind: "bond",
    needs: [
      { after: "clamp", n: 1, of: "inner", when: (s: Sitting) => isFirst(s) && s.f.damage === "loose-joint", because: "the inner joint goes first: once this one closes, nothing else can go in" },
      ...BEFORE_SITTING.map((need) => ({ ...need, when: (s: Sitting) => !s.mixes && (need.when === undefined || need.when(s)) })),
      { after: "mix-glue", n: "same", until: ["working"], when: (s: Sitting) => s.mixes && !s.dries, because: "while it is workable" },
      { after: "mix-glue", n: "same", when: (s: Sitting) => s.mixes && s.dries, because: "while it is workable" },
    ],
    ...one,
    amount: (s) => ({ ...takes(s), ...(s.mixes ? { mixed: true as const } : {}) }),
    starts: "clamped",
    facts: ({ f, contact, oneByOne, mixes, core, joins, thickened, link, wicked, film_mm, air }) => ({
      end_grain: f.damage === "break-across" && f.on.family === "wood" && (lagOf(link.material, ["working"], film_mm, air)?.range[0] ?? 0) >= WETS_TWICE_MIN,
      wicked,
      contact,
      oneByOne,
      mixes,
      core,
      joins: f.damage === "shards" ? joins : undefined,
      thickened: thickened !== "" && !inSentence(link.material.name).includes(thickened) ? thickened : "",
      drawn: f.way === "humidify" || f.way === "close",
    }),
    hands: ({ facts: { joins }, here }) => (joins === undefined ? handsAgain([4, 10], here) : [5 * joins, 8 * joins]),
    words: (op) => {
      const { facts } = op;
      if (facts.wicked) return { title: "Let it be drawn in", text: layWords(op), why: "A crack draws in what is thin and warm; paste stays on top.", done_when: "it stands along the whole line and takes no more" };
      return {
        title: (op.of ?? 1) > 1 ? `Glue, sitting ${op.n}` : facts.contact ? "Brush contact glue on" : "Glue the faces",
        text: layWords(op),
        why: facts.contact ? "Wet, it never closes; too dry, it never grabs." : facts.drawn ? "Worked in by flexing, or drawn in from behind; a dry face is a weak face." : "A dry face is a weak face; thin is strong.",
        done_when: facts.contact ? "a knuckle lifts off dry" : "both faces shine evenly",
      };
    },
    cautions: ({ facts, material }) => (facts.mixes ? [] : (material?.hazards ?? [])),
    meets: ["gap-too-thick-joint", "bond-drains", "bond-end-grain", "bond-hot-on-skin"],
  }),
  "lay-sheet": row({
    each: "laying",
    kind: "place",
    needs: whileOpen("while the glue moves"),
    link: ({ link }) => link,
    role: "filler",
    thickness: (_, place) => place.depth_mm,
    facts: ({ contact }) => ({ contact }),
    hands: [3, 8],
    words: (op) => ({
      title: `Lay the ${op.material?.name.split(" ").at(-1) ?? "piece"}`,
      text: `Lay the ${nameOf(op)} in its place, grain as marked${op.facts.contact ? "; slip sheet out bit by bit" : ""}`,
      why: op.facts.contact ? "It grabs at first touch: a slip sheet between lets you aim." : "Slide it into its marks while the glue still moves.",
      done_when: "it lies in its marks without a hollow",
    }),
    cautions: ({ material }) => material?.hazards ?? [],
    meets: ["gap-sheet-only", "gap-cut-square"],
  }),
  clamp: row({
    each: "sitting",
    kind: "clamp",
    when: ({ wicked }) => !wicked,
    needs: [...whileOpen("while it still moves"), { after: "lay-sheet", n: "same", because: "the piece lies in its place" }],
    material: ({ link }) => link.material,
    thickness: ({ film_mm }) => film_mm,
    facts: ({ press, f }) => ({ label: press?.label ?? "Clamps with padded cauls", how: press?.how ?? "", sprung: f.sprung }),
    hands: [5, 12],
    words: ({ facts: { label, how, sprung } }) => ({
      title: "Press it together",
      text: `${label}: ${how}${sprung ? " Section by section, the awkward end first, each held until tacky." : ""}`,
      why: "Just enough that a bead shows all along: more starves the joint.",
      done_when: "marks meet and a bead shows all along",
    }),
    cautions: ["clamp-force"],
    uses: ["clamps"],
    meets: ["gap-foams", "time-needs-press"],
  }),
  "check-joint": row({
    each: "sitting",
    stem: "check-#",
    kind: "check",
    when: ({ contact, wicked }) => !contact && !wicked,
    needs: [
      { after: "clamp", n: "same", settles: looks, until: ["working"], when: (s) => !s.oneByOne, because: "joints slide while the glue is wet" },
      { after: "clamp", n: "same", settles: looks, when: (s) => s.oneByOne, because: "joints slide while the glue is wet" },
    ],
    facts: (s) => ({ look: lookFor(s) }),
    hands: [1, 3],
    words: ({ facts: { look } }) => ({ title: "Check it has held", ...LOOKS[look], why: "Joints slide while the glue is wet." }),
  }),
  "squeeze-out": row({
    each: "sitting",
    stem: "squeeze-out",
    kind: (s) => (isPared(s) ? "trim" : "clean"),
    when: ({ n, of, contact }) => n === of && !contact,
    needs: [
      { after: "bond", n: "same", stage: ["firm", "handle", "hard"], when: isPared, because: "rubbery, not hard" },
      { after: "bond", n: "same", until: ["working"], when: (s: Sitting) => !isPared(s) && isWet(s) && !dries(s), because: "while it is wet" },
      { after: "clamp", n: "same", closes: () => BEAD_WET_MIN, when: (s: Sitting) => !isPared(s) && isWet(s) && dries(s), because: "the bead is soft for longer than the film" },
      { after: "bond", n: "same", when: (s: Sitting) => !isPared(s) && !isWet(s), because: "while it is wet" },
      { after: "clamp", n: "same", because: "it is pressed" },
      { after: "check-joint", n: "same", because: "after the look" },
    ],
    facts: (s) => ({ pared: isPared(s), porous: leaves(s), water: s.link.material.carrier === "water", oneByOne: s.oneByOne }),
    hands: [2, 6],
    words: ({ facts: { pared, porous, water, oneByOne } }) => ({
      title: pared ? "Slice the squeeze-out" : "Wipe the squeeze-out",
      text: pared ? "Leave the squeeze-out, slice it when rubbery" : water ? "Lift the squeeze-out off with a card, never a wet cloth" : oneByOne ? "Wipe the squeeze-out off join by join, what is dry with a swab of its solvent" : "Wipe the squeeze-out while wet",
      why: porous ? "Wiped, it goes into the pores and shows." : pared ? "It sets before the clamps are on: wiped then, it smears." : "Set, it has to be scraped off the surface.",
      done_when: "the joint line is clean",
    }),
    cautions: ({ facts }) => (facts.pared ? ["blade"] : []),
    meets: ["glue-film-under-stain"],
  }),
  unclamp: row({
    each: "sitting",
    kind: "unclamp",
    when: ({ contact, wicked, at }) => !contact && (!wicked || at.open_behind === true),
    needs: [
      { after: "bond", n: "same", stage: ["handle", "hard", "full"], because: "handling strength" },
      { after: "clamp", n: "same", because: "what is on comes off" },
      { after: "check-joint", n: "same", because: "it was looked at" },
    ],
    facts: ({ press, wicked }) => ({ off: wicked ? "Take the tape off behind" : (press?.off ?? "Take the clamps off") }),
    hands: [2, 6],
    words: ({ facts: { off } }) => ({ title: "Take the pressure off", text: off, why: "By handling strength, not by habit.", done_when: "the joint holds its own weight" }),
  }),
  flush: row({
    each: "laying",
    stem: "flush",
    kind: "trim",
    when: ({ n }) => n === 1,
    needs: [
      { after: "unclamp", n: 1, because: "it holds" },
      { after: "clamp", n: 1, because: "it is pressed" },
    ],
    hands: [5, 15],
    words: { title: "Trim the edges flush", text: "Trim the edges flush with a sharp chisel, from the outside in", why: "A plane lifts what stands over.", done_when: "a fingertip runs over the joint" },
    cautions: ["blade"],
  }),
};

const faceOf = (here: Told["here"]) => here.reduce((sum, { area_mm2 = 0 }) => sum + area_mm2, 0);

/** Grams, faces and manner of one sitting. */
type Laid = Told<{ end_grain: boolean; wicked: boolean; contact: boolean; oneByOne: boolean; mixes: boolean; core: boolean; joins: number | undefined; thickened: string; drawn: boolean }>;

function layWords(op: Laid): string {
  const { facts } = op;
  const grammes = grams(op.takes?.mass_g ?? 0);
  if (facts.wicked) return `Warm the crack to some 40 °C, set ${nameOf(op)} along it drop by drop${facts.mixes ? "" : `, ${grammes}`}, and let it be drawn in; again until it takes no more`;
  if (facts.contact) return `Brush ${nameOf(op)} thinly on sheet and bed, ${grammes}; let both go touch-dry`;
  const faces = facts.joins !== undefined && facts.joins !== 1 ? `${plain(facts.joins)} joins` : "both faces";
  if (facts.oneByOne) return `Join by join, ${faces}: brush ${nameOf(op)} on both faces${facts.mixes ? "" : `, ${grammes} in all`}, press, hold until it tacks`;
  return `${facts.end_grain ? drinkWords(op) : `Wet ${faces}`} with ${nameOf(op)}${facts.mixes ? "" : `, ${grammes}`}${facts.thickened ? `, ${facts.thickened}` : ""}${facts.core ? ", the brace and its hole too" : ""}${sitting(op)}`;
}

const STIFFENED: readonly string[] = ["epoxy-slow", "epoxy-fast"];
/** Thin it soaks into end grain, thick it stays in the joint. */
const drinkWords = (op: Laid): string => `Wet the end grain and let it drink, five minutes; ${STIFFENED.includes(op.class ?? "") ? "stir silica into the rest until it stands as cream, " : ""}then wet both faces again`;

/** How it is seen that a joint has not slid. */
const LOOKS = {
  frame: { text: "Check square by the diagonals, lean against the twin, marks; an opposed clamp takes lean out", done_when: "both diagonals are the same, the shoulder is shut" },
  shards: { text: "Draw a fingernail over every join: press back what steps", done_when: "the nail catches nowhere" },
  flat: { text: "Check that it has not slid off its marks", done_when: "it lies on its marks, flat all over" },
  leans: { text: "Check marks, lean against the twin and creep again", done_when: "marks still meet" },
  marks: { text: "Check marks and creep again", done_when: "marks still meet" },
} as const;

function lookFor({ f, at, lays }: Sitting): keyof typeof LOOKS {
  if (f.damage === "loose-joint") return "frame";
  if (f.damage === "shards") return "shards";
  if (lays || at.takes.includes("filler")) return "flat";
  return LEANS.includes(f.damage) ? "leans" : "marks";
}
