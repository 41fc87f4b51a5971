import { dustOf, handsOver, isFloated, isSetNext, P, type Range } from "../catalogue";
import { sheenOf, shrinkLag } from "../cure/shrinkWait";
import { cue } from "../mix/cue";
import { doseFigures, doseOf } from "../mix/doses";
import { mixCautions, wastePct } from "../mix/weigh";
import { first, row, type Told } from "../operation/row";
import { type LaidSubject, type LayerSubject, measure, type PlaceFacts, type Voids } from "../operation/subject";
import { WET_BESIDE } from "../operation/wetWork";
import { grams, inSentence, plain } from "../units";
import { DRY_OPS } from "./dryOps.data";
import { cupFigures, cupWords, laying, mixText, mixWhy, several, slipOf, stirring, VERBS, whyPlaced } from "./fillWords";
import { textureRow } from "./shaping.data";

/** What must be behind before a dam is set, and before anything is laid in a void. */
const BEFORE_DAM = [
  first("strip-coats", "the fill is bare"),
  first("clean", "nothing holds on dirt"),
  first("trim", "nothing loose"),
  first("pare", "the edge is level"),
  first("cut-core", "the core is sound"),
  first("key", "the floor is matt"),
  first("barrier", "so that it lifts off again"),
  first("consolidate", "the edge is firm"),
  first("mask", "the edge is guarded"),
  first("cut-rim", "its rim is level"),
  first("cut-out", "its edges are clean"),
  first("film-under", "so that it comes off again"),
] as const;
function isFilledLast({ f }: Pick<LaidSubject, "f">): boolean {
  return !isSetNext(f);
}
const JOINED = [{ after: "unclamp", n: "last", when: isFilledLast, because: "the joint holds" }, first("free-skin", "the joint holds"), first("flush-brace", "it is flush")] as const;
/** What lies on its back while it is glued may be filled elsewhere meanwhile. */
function standsFree({ f }: { readonly f: { readonly piece: string } }): boolean {
  return f.piece !== "relief" && f.piece !== "panel";
}
const BEFORE_FILL = [
  ...BEFORE_DAM,
  ...WET_BESIDE,
  first("form", "the form stands"),
  first("release", "the form comes off again"),
  first("set-form", "the form stands"),
  first("set-anchors", "the core stands"),
  first("fit-brace", "the core stands"),
  first("lay-edges", "lifted edges are down"),
  first("remove-old", "nothing holds on old glue"),
  first("dry-out", "it is dry"),
  ...JOINED,
  { after: "unclamp", of: "beside", when: standsFree, because: "the break beside it holds" },
  { after: "lay-wet", stage: ["hard"], because: "the backing has set" },
  { after: "consolidate", stage: ["hard", "full", "handle"], because: "the consolidant has dried through" },
  { after: "set-brace", stage: ["handle", "hard", "full"], because: "the core is fast" },
] as const;

const isFirst = ({ n }: LayerSubject) => n === 1;
const wornThin = ({ f }: { readonly f: { readonly damage: string } }) => f.damage === "worn-thin";
type Filled = Pick<Voids, "here" | "f" | "later">;
const open = ({ here }: Filled) => here.filter(({ open_behind }) => open_behind);
/** What is dammed: what is open behind, else the inner face of a chip; never skin, and wood only where it is open. */
function dammed(s: Filled): readonly PlaceFacts[] {
  if (s.later || s.f.on.family === "skin") return [];
  if (open(s).length > 0) return open(s);
  return s.f.damage === "chip" && s.f.on.family !== "wood" ? s.here : [];
}
const its = { link: (s: LayerSubject) => s.link, role: "filler" } as const;
const nameOf = ({ material }: Pick<Told, "material">) => inSentence(material?.name ?? "");
const isFlexible = ({ link }: LaidSubject) => link.material.rigidity === "flexible";
const has = ({ link }: LaidSubject, stage: string) => link.material.cure.stages.some((each) => each.stage === stage);
const laid = { after: "place", n: "same", because: "it is laid" } as const;
/** A blade takes down what was built, not a push of filler, mm; trade practice. */
const BLADE_MM = 1;
/** A pour leaves little in the cup; trade practice, percent. */
const POUR_EXTRA_PCT = 10;
/** A second pour is so much of the first, and at least a cubic centimetre; trade practice. */
const TOP_UP_SHARE = 0.05;

/** What is mixed over the need of a layer where nothing is set by hand, percent. */
export const extraPct = ({ extra_pct, apply }: Pick<LayerSubject, "extra_pct" | "apply">, need_cm3: number): number => extra_pct ?? (apply === "poured" ? POUR_EXTRA_PCT : wastePct(need_cm3));

/** Filling: dam and damp, then for each layer one mix and every place, trim, check. */
export const FILL_OPS = {
  "measure-before": row({
    each: "voids",
    lasts: true,
    together: "part",
    kind: "check",
    when: wornThin,
    needs: [first("clean", "bare")],
    facts: ({ f }) => ({ remaining_mm: measure(f, "remaining_mm") }),
    hands: [2, 4],
    words: ({ facts: { remaining_mm } }) => ({ title: "Measure the thickness", text: `Measure the thickness before: ${plain(remaining_mm, 2)} mm at the survey`, why: "Only before and after tell what the overlay really added.", done_when: "the figure is on record" }),
  }),
  // a later round, where coats lie on what is low
  "strip-coats": row({
    each: "voids",
    together: "part",
    kind: "remove",
    when: ({ later, f }) => later?.station === "fill" && later.coats !== "none" && !f.kinds.has("film"),
    facts: ({ f }) => ({ dust: dustOf(f.on) }),
    hands: [5, 15],
    papers: [P(180)],
    words: { title: "Take the coats off", text: "Take the coats off the low place and a finger’s width around it: scrape, then P180 by hand", why: "Filler holds on no coat, and colour laid over clear never meets what is beside it.", done_when: "the fill is bare and the coats run out thin around it" },
    cautions: ({ facts }) => [facts.dust],
  }),
  // shaped dry: on film, taken off firm, glued in hard
  "film-under": row({
    each: "voids",
    together: "part",
    kind: "release",
    when: (s) => isSetNext(s.f) && !s.later,
    needs: [first("clean", "the break is clean"), first("trim", "nothing loose"), first("mask", "the edge is guarded")],
    hands: [2, 5],
    words: { title: "Film over the stump", text: "Draw cling film tight over the broken face, no crease", why: "The putty takes the shape of the break and still comes off it.", done_when: "every edge of the break shows through the film" },
  }),
  dam: row({
    each: "voids",
    together: "part",
    kind: "form",
    when: (s) => dammed(s).length > 0,
    at: dammed,
    needs: [...BEFORE_DAM, ...JOINED],
    facts: (s) => ({ open: open(s).length > 0 }),
    hands: [4, 10],
    words: ({ facts: { open: behind } }) => ({
      title: behind ? "Dam it behind" : "Set a dam",
      text: behind ? "Dam behind with film and tape" : "Set a dam of film on wax along the inner face",
      why: behind ? "Open behind, the fill pushes through as a ridge." : "It holds the fill to the line while it is soft.",
      done_when: "no gap under the film",
    }),
    meets: ["gap-through"],
  }),
  // what is drilled and set in a broken face comes before the form that shuts it in
  "set-form": row({
    each: "voids",
    together: "part",
    kind: "form",
    when: ({ formed, anchored, later }) => formed && anchored && !later,
    needs: [first("form", "it is made"), first("release", "it comes off again"), first("set-anchors", "the anchors stand")],
    hands: [4, 12],
    words: { title: "Set the form", text: "Set the form around the anchors and wedge it", why: "The anchors had to go in first; now it holds what is poured to the line.", done_when: "no light shows under its edge, and it does not rock" },
  }),
  damp: row({
    each: "voids",
    together: "part",
    before_cup: true,
    kind: "damp",
    when: ({ drinks }) => drinks.length > 0,
    at: ({ drinks }) => drinks,
    needs: BEFORE_FILL,
    facts: ({ f: { on } }) => ({ on: on.substrate === "gypsum" ? "plaster" : on.label.toLowerCase() }),
    hands: [3, 10],
    words: ({ facts: { on } }) => ({ title: "Damp the break", text: `Damp the old ${on} until it stops drinking`, why: "Dry, it sucks the water out of the new and leaves it weak.", done_when: "a drop stands for ten seconds" }),
    meets: ["water-dampen-gypsum", "plaster-needs-suction"],
  }),
  mix: row({
    each: "layer",
    kind: "mix",
    together: "material",
    needs: [
      ...BEFORE_FILL.map((need) => ({ ...need, when: (s: LayerSubject) => isFirst(s) && (!("when" in need) || need.when(s)) })),
      { after: "dam", when: isFirst, because: "it is dammed" },
      { after: "damp", when: isFirst, closes: (): Range => [15, 45], because: "damp, so that it does not drink the water" },
      { after: "place", n: "before", because: "layer # is laid" },
      { after: "mix", n: "before", stage: ["recoat", "hard"], when: ({ film }) => film, because: "layer # is ready for the next" },
      { after: "mix", n: "before", stage: ["hard", "full"], when: ({ film }) => !film, because: "layer # is ready for the next" },
    ],
    ...its,
    amount: (s) => ({ takes: s.takes.map(({ place, need_cm3 }) => ({ place: place.id, cm3: need_cm3 })), extra_pct: (cm3: number) => extraPct(s, cm3), apply: s.apply }),
    thickness: (s, place) => s.takes.find((each) => each.place.id === place.id)?.applied_mm,
    starts: "mixed",
    apart: [],
    facts: ({ takes, f, tools, shaping }) => ({
      changed: takes.flatMap(({ changed }) => (changed ? [`${changed} `] : []))[0] ?? "",
      shrink_pct: takes[0]?.shrink_pct ?? 0,
      proud_mm: Math.max(...takes.map(({ proud_mm }) => proud_mm)),
      modelled: f.way === "build" && shaping === undefined,
      scale_step_g: tools.scale_step_g,
    }),
    hands: ({ takes: all }) => stirring(all),
    words: (op) => {
      const { n = 1, of = 1, material, takes: all, facts } = op;
      return {
        title: of > 1 ? `Mix layer ${n}` : `${several(material) ? "Mix" : "Take"} the fill`,
        text: material && all ? mixText(material, all, of > 1 ? `, layer ${n} of ${of}` : "", facts.scale_step_g) : "",
        why: material && all ? `${facts.changed}${mixWhy(material, all, facts.modelled)}${cupWords(material, all)}` : "",
        done_when: cue(material),
      };
    },
    figures: ({ material, takes: all, facts }) => (material && all ? { ...doseFigures(doseOf(material, all, facts.scale_step_g)), ...cupFigures(material, all) } : {}),
    cautions: ({ material, takes: all }) => (material && all ? mixCautions(material, all) : []),
    meets: ["shelf-short"],
  }),
  place: row({
    each: "place",
    kind: ({ apply }) => (apply === "poured" ? "pour" : "place"),
    needs: [{ after: "mix", n: "same", until: ["working"], because: "while it is workable" }],
    ...its,
    amount: ({ takes, apply }) => ({ takes: takes.map(({ place, need_cm3 }) => ({ place: place.id, cm3: need_cm3 })), extra_pct: 0, apply, mixed: true }),
    thickness: (s, place) => s.takes.find((each) => each.place.id === place.id)?.applied_mm,
    facts: ({ takes: [take], apply, film, of }) => ({
      at: take ? `${take.place.label.toLowerCase()}${take.place.alike ? `, each of ${take.place.alike}` : ""}` : "it",
      apply,
      film,
      last: take?.last === true,
      proud_mm: take?.proud_mm ?? 0,
      around_core: take?.place.around_core === true,
      layers: take?.of ?? of,
    }),
    hands: ({ takes: all, facts, here }) =>
      laying(
        all?.need_cm3 ?? 0,
        facts.apply,
        here.reduce((sum, { alike = 1 }) => sum + alike, 0),
      ),
    words: (op) => {
      const { n = 1, material, thickness_mm = 0, facts } = op;
      const what = facts.layers > 1 ? `layer ${n} of ${facts.layers}` : `the ${nameOf(op)}`;
      const height = facts.last ? (facts.proud_mm > 0 ? `${plain(facts.proud_mm, 2)} mm proud` : "flush, no prouder") : `${plain(thickness_mm, 2)} mm`;
      const verb = facts.film ? "Drop in" : VERBS[facts.apply];
      return {
        title: facts.layers > 1 ? `${verb} layer ${n}` : `${verb} the fill`,
        text: `${verb} ${what} at ${facts.at}, ${height}`,
        why: whyPlaced(material, facts, thickness_mm),
        done_when: facts.last ? (material?.rigidity === "flexible" ? "a card finds it level while wet" : "it stands a hair proud all over") : "it lies even, its face rough for the next",
      };
    },
    meets: ["gap-many-layers", "level-hump"],
  }),
  "top-up": row({
    each: "layer",
    stem: "top-up",
    kind: "pour",
    when: ({ apply, n, of }) => apply === "poured" && n === of,
    needs: [
      { after: "place", n: "same", because: "the first pour stands" },
      { after: "mix", n: "same", stage: ["working"], until: ["firm"], thickness: () => 1, because: "the first has stiffened" },
    ],
    ...its,
    amount: ({ here, whole_cm3 }) => ({ takes: here.map(({ id }) => ({ place: id, cm3: (whole_cm3 * TOP_UP_SHARE) / here.length })), extra_pct: 20, apply: "poured", least_cm3: 1 }),
    thickness: () => 1,
    hands: [4, 8],
    words: ({ takes: all }) => ({ title: "Pour a second time", text: `Mix a thinner second pour, ${grams(all?.mass_g ?? 0)}, and top it up`, why: "It sinks as its water is drunk; the second pour runs into what is left.", done_when: "it stands level with the form" }),
    cautions: ({ material, takes: all }) => (material && all ? mixCautions(material, all) : []),
  }),
  // modelled soft: shaped while it is workable
  model: row({
    each: "laid",
    stem: "model",
    together: "part",
    kind: "texture",
    when: ({ shaping }) => shaping === "model",
    needs: [laid, { after: "mix", n: "same", until: ["working"], because: "while it is workable" }],
    facts: ({ link }) => ({ slip: slipOf(link.material) }),
    hands: [5, 20],
    words: ({ facts: { slip } }) => ({ title: "Model it to profile", text: `Model it to the profile while it is soft, ${slip} as slip`, why: "What is right now need not be sanded later; hold the profile or the twin beside it.", done_when: "the profile touches all along" }),
  }),
  // before it skins it is given the grain of what is around it
  texture: row({
    each: "laid",
    stem: "texture",
    together: "part",
    kind: "texture",
    when: (s) => s.texture !== undefined || (s.f.on.family === "skin" && isFlexible(s)),
    needs: [laid, first("model", "it is shaped"), { after: "mix", n: "same", until: ["firm", "working"], because: "before it skins" }],
    facts: ({ texture }) => ({ how: texture === undefined ? undefined : textureRow(texture).how }),
    hands: [3, 8],
    words: ({ facts: { how } }) => ({
      title: "Give it its grain",
      text: how ? `Give it its grain before it skins: ${how}` : "Emboss the grain before it skins: a stamp taken off sound leather",
      why: how ? "Once it has skinned no tool leaves a mark; try the touch on a scrap first." : "Afterwards no tool leaves a grain in it.",
      done_when: "the light runs over it as beside it",
    }),
  }),
  // a poured corner leaves its form while it is warm
  demould: row({
    each: "laid",
    stem: "demould",
    together: "part",
    kind: "demould",
    when: ({ link, f, later }) => !later && link.material.group === "plaster" && (f.damage === "corner" || f.damage === "tip"),
    needs: [laid, first("top-up", "it is topped up"), { after: "place", n: "same", settles: (): Range => [20, 60], because: "20 to 60 min after the pour" }],
    hands: [3, 8],
    words: { title: "Take the form off", text: "Take the form off", why: "Warm and hard enough to stand, soft enough to clean up.", done_when: "edges stay sharp under a finger" },
  }),
  // cut while it is firm
  blade: row({
    each: "laid",
    stem: "blade",
    together: "fill",
    kind: ({ shaping, f }) => (shaping === "carve" || (f.way === "build" && shaping === undefined) ? "carve" : "trim"),
    when: (s) => has(s, "firm") && !s.film && !isFlexible(s) && (s.later?.low_mm ?? Infinity) >= BLADE_MM,
    needs: [laid, first("demould", "the form is off"), { after: "mix", n: "same", stage: ["firm"], until: ["stiff"], because: "firm, not yet hard" }],
    facts: ({ shaping, f, link }) => ({ carves: shaping === "carve" || (f.way === "build" && shaping === undefined), rough: shaping === "carve", floated: isFloated(link.material) }),
    hands: ({ here }) => handsOver([4, 12], here),
    words: ({ facts: { carves, rough, floated } }) =>
      floated && !carves
        ? {
            title: "Float it green",
            text: "Scrape it level with a straight edge while it is green, then float it with a damp sponge board",
            why: "Green it comes level in minutes; hard it costs hours of sanding and dust.",
            done_when: "the straight edge touches all over and the grain is as beside it",
          }
        : {
            title: carves ? "Carve it while firm" : "Trim with a blade",
            text: rough ? "Rough it out with a blade while it is firm, a millimetre left everywhere" : carves ? "Carve it to shape while it is firm" : "Trim with a blade, down to a hair above the line",
            why: "It cuts like soap now; later it costs an hour of sanding.",
            done_when: "what stands proud is an even hair",
          },
    cautions: ["blade"],
    meets: ["level-hump", "level-harder"],
  }),
  // built over size it is carved to the profile once it is hard
  "carve-hard": row({
    each: "laid",
    stem: "carve-hard",
    together: "fill",
    kind: "carve",
    when: (s) => s.shaping === "carve" && !s.film && !isFlexible(s),
    needs: [laid, first("blade", "it is roughed out"), { after: "mix", n: "same", stage: ["hard", "full"], because: "hard" }],
    facts: ({ link }) => ({ dust: link.material.hazards.filter((hazard) => hazard.startsWith("dust")) }),
    hands: [10, 40],
    words: {
      title: "Carve it when hard",
      text: "Carve it to the profile when it is hard: chisel, rasp, riffler, the twin or its profile beside it",
      why: "Over size there is something to cut; from the outline to the planes to the details, never at one spot for long.",
      done_when: "the profile touches all along, a hair above the old surface",
    },
    cautions: ({ facts }) => ["blade", ...facts.dust],
  }),
  "take-off": row({
    each: "laid",
    stem: "take-off",
    together: "fill",
    kind: "demould",
    when: (s) => isSetNext(s.f) && !s.later,
    needs: [laid, first("blade", "it is shaped"), { after: "mix", n: "same", stage: ["firm"], because: "firm, not yet hard" }],
    hands: [2, 5],
    words: { title: "Take the piece off", text: "Mark how it sits, take the piece off its film while it is firm, and let it harden on a bed of sand", why: "Hard, it locks in the break; soft, it bends.", done_when: "the film is off, the marks are on both sides" },
  }),
  // what was dammed behind is freed
  "off-dam": row({
    each: "laid",
    stem: "off-dam",
    together: "part",
    kind: "demould",
    when: (s) => dammed(s).length > 0,
    at: dammed,
    needs: [laid, { after: "mix", n: "same", stage: ["firm", "hard"], because: "it stands by itself" }],
    facts: (s) => ({ open: open(s).length > 0 }),
    hands: [2, 6],
    words: ({ facts: { open: behind } }) => ({
      title: "Take the dam off",
      text: behind ? "Take the dam off, knock off what came through behind" : "Take the dam off the inner face, wipe the wax away",
      why: behind ? "Hard, a ridge on the hidden face breaks off with its edge." : "Wax that stays keeps colour and coat off.",
      done_when: behind ? "the back is flush" : "the inner face is bare and flush",
    }),
  }),
  // a film rests until it has stopped shrinking
  shrink: row({
    each: "laid",
    stem: "shrink",
    together: "part",
    kind: "wait",
    when: ({ film }) => film,
    needs: [laid, { after: "mix", n: "same", stage: ["hard"], because: "hard" }, { after: "mix", n: "same", settles: ({ link, takes, air, f }) => shrinkLag(link.material, Math.max(...takes.map(({ applied_mm }) => applied_mm)), air, sheenOf(f.finish)), because: "it has stopped shrinking" }],
    hands: [1, 2],
    words: { title: "Let it shrink", text: "Leave it until it has stopped shrinking", why: "Levelled too soon it sinks again and shows an edge in the gloss.", done_when: "a fingernail leaves no mark and yesterday’s height is today’s" },
  }),
  "check-fill": row({
    each: "laid",
    stem: "check-fill",
    together: "fill",
    kind: "check",
    needs: [{ after: "mix", n: "same", stage: ["hard", "full"], because: "hard" }, laid, first("blade", "it is trimmed"), first("carve-hard", "it has its profile"), first("off-dam", "the dam is off"), first("texture", "it is embossed"), first("take-off", "it is off its film")],
    hands: [3, 6],
    words: { title: "Check for low spots", text: "Look for pinholes and low spots: fingertip with eyes shut, raking light", why: "A pinhole is stopped with a finer filler now; under colour it shows for ever.", done_when: "nothing is low, or the round goes back to Fill" },
  }),
  ...DRY_OPS,
  "measure-after": row({
    each: "laid",
    stem: "measure-after",
    together: "part",
    kind: "check",
    when: wornThin,
    needs: [first("check-fill", "it is hard")],
    facts: ({ f }) => ({ target_mm: measure(f, "target_mm") }),
    hands: [2, 4],
    words: ({ facts: { target_mm } }) => ({ title: "Measure the thickness again", text: `Measure the thickness after: ${plain(target_mm, 2)} mm is wanted; short of it, another thin build`, why: "What counts is what is there.", done_when: "the figure is on record" }),
  }),
};
