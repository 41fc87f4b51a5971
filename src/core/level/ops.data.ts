import { dustOf, type Grade, gradeLabel, grainOf, handsOver, P } from "../catalogue";
import { wastePct } from "../mix/weigh";
import { first, row, type Told } from "../operation/row";
import type { Levelled, Rung } from "../operation/subject";
import { WET_BESIDE } from "../operation/wetWork";
import { grams, inSentence, plain } from "../units";
import { dustOver, sandedOf, whereOf } from "./beside";
import { rungMinutes } from "./rung";

/** What levelling waits for. */
const BEFORE = [
  ...WET_BESIDE,
  first("strip-level", "the place is bare"),
  first("check-fill", "nothing is low"),
  first("dry", "it is dry"),
  first("dry-lime", "it is dry"),
  first("damp-cure", "the mist has ended"),
  first("shrink", "it has stopped shrinking"),
  first("measure-after", "its thickness is on record"),
  first("flush", "it is flush"),
  first("flush-brace", "it is flush"),
  first("lead-test", "before anything makes dust"),
  first("mask", "the neighbours are guarded"),
  first("squeeze-out", "the line is clean"),
  { after: "unclamp", n: 1, because: "the joint holds" },
  first("free-skin", "the joint holds"),
] as const;

const isBareMetal = ({ f: { finish, on } }: Levelled) => on.family === "metal" && finish.finish === "none";
const isMetal = ({ f }: Levelled) => f.on.family === "metal";
const soft = ({ f }: Levelled) => ({ soft: f.on.substrate === "soft-metal" });
/** A dense face without a finish is its own gloss: polymer, bone and horn, sintered ware. Trade practice. */
export const isBarePolish = ({ f: { finish, on } }: Pick<Levelled, "f">): boolean => finish.finish === "none" && (on.family === "polymer" || on.family === "bone" || (on.family === "ceramic" && !on.porous));
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** Every grit only erases the one before; the first of them stands after everything that fills. */
const STEP_BEFORE = [...BEFORE.map((need) => ({ ...need, when: (s: Rung) => s.n === 1 && !isMetal(s) })), { after: "file", when: (s: Rung) => s.n === 1, because: "bulk is off" }, { after: "grit", n: "before", because: "each grit only erases the one before" }] as const;

/** File, grits and compounds; then the surfacer with its look. */
export const LEVEL_OPS = {
  // a film is levelled by polishing alone
  "polish-out": row({
    each: "damage",
    together: "part",
    kind: "compound",
    when: ({ f }) => f.way === "polish",
    needs: ["clean", "mask", "test-spot"],
    hands: [25, 60],
    papers: [P(1500)],
    words: { title: "Polish the scratch out", text: "Level the film from P1500 wet, then compound, a pad for each", why: "It takes as much film as the scratch is deep: stop at the edges.", done_when: "raking light shows no line" },
    cautions: ["dust-resin"],
  }),
  // a later round, where coats lie on what is levelled again
  "strip-level": row({
    each: "levelled",
    together: "part",
    kind: "remove",
    when: ({ later }) => later?.station === "level" && later.coats !== "none",
    facts: ({ f }) => ({ dust: dustOf(f.on) }),
    hands: [5, 15],
    words: { title: "Take the coats off", text: "Take the coats off what is levelled again, and a finger’s width around it", why: "A grit that runs from coat to fill levels neither.", done_when: "the place is bare and the coats run out thin around it" },
    cautions: ({ facts }) => [facts.dust],
  }),
  file: row({
    each: "levelled",
    together: "part",
    kind: "file",
    when: isMetal,
    needs: BEFORE,
    facts: soft,
    hands: [8, 20],
    words: ({ facts }) => ({
      title: "File it flat",
      text: "File it: second cut, then smooth; card the teeth clean",
      why: facts.soft ? "Bulk comes off with a file while grit would smear the soft metal." : "A file keeps it flat; grit rides over the hard metal and digs into the fill.",
      done_when: "a straight edge shows light nowhere",
    }),
    cautions: ["dust-metal", "dust-resin"],
  }),
  // before the cloth that may touch the glaze the mask comes off: it, and colour after it, run out over the edge
  "unmask-glaze": row({
    each: "rung",
    stem: "unmask-glaze",
    together: "part",
    kind: "unmask",
    when: ({ unmasks, film }) => unmasks && !film,
    needs: [...STEP_BEFORE, first("mask", "it is on")],
    hands: [2, 5],
    words: { title: "Take the tape off", text: "Take the tape off, flat back on itself: what is left to do runs out over the glaze", why: "An edge at the tape shows for ever under colour.", done_when: "no glue of the tape is left on the glaze" },
  }),
  // in a film the mask guards what lies around until the last grit: that one, and the compounds, run out over it
  "unmask-film": row({
    each: "rung",
    stem: "unmask-film",
    together: "part",
    kind: "unmask",
    when: ({ unmasks, film }) => unmasks && film,
    needs: [...STEP_BEFORE, first("mask", "it is on")],
    hands: [2, 5],
    words: { title: "Take the mask off", text: "Take the mask off, flat back on itself: the last grit and the compounds run out over the old film", why: "A step at the tape shows for ever in a gloss.", done_when: "no glue of the tape is left on the film" },
  }),
  grit: row({
    each: "rung",
    together: "fill",
    kind: "grit",
    needs: [...STEP_BEFORE.map((need) => ({ ...need, when: (s: Rung) => !s.unmasks && (!("when" in need) || need.when(s)) })), { after: "unmask-glaze", n: "same", because: "the tape is off" }, { after: "unmask-film", n: "same", because: "the mask is off" }],
    grade: ({ grade }) => grade,
    apart: ["label", "again", "missing", "how", "where"],
    facts: (s) => ({
      label: gradeLabel(s.grade),
      cloth: s.grade.system === "cushioned",
      after: s.before && gradeLabel(s.before),
      to: gradeLabel(s.to),
      because: s.because,
      again: s.again,
      missing: s.missing,
      how: inSentence(s.lubricant),
      where: whereOf(s),
      fill: s.fill,
      micron: grainOf(s.grade) ?? 1,
      before_um: s.before && grainOf(s.before),
      proud_um: s.proud_um,
      ...sandedOf(s, s.sheet || s.film),
      dust: dustOver(s),
    }),
    hands: ({ facts, here }) => rungMinutes(facts, here),
    words: ({ facts: { label, cloth, after, to, because, again, missing, how, where, fill } }) => ({
      title: `${cloth ? "Polish" : "Sand"} with ${label}${again ? " again" : ""}`,
      text: `${cloth ? "Polish" : "Sand"} with ${label}${again ? " again" : ""}${missing ? " (none in the drawer: get a sheet)" : ""}, ${how}${where}`,
      why: after === undefined ? `${capital(fill)} stands proud; to ${to}: ${because}.` : `Until the scratches of ${after} are gone.`,
      done_when: after === undefined ? "it is level by straight edge and fingertip" : "no scratch of the grade before is left in raking light",
    }),
    cautions: ({ facts }) => facts.dust,
    meets: ["level-hump", "level-even", "level-gum", "level-scratches-metal"],
  }),
  compound: row({
    each: "compound",
    together: "part",
    kind: "compound",
    needs: [
      { after: "grit", n: "last", when: ({ n }) => n === 1, because: "each grit only erases the one before" },
      { after: "compound", n: "before", because: "coarse to fine" },
    ],
    abrasive: ({ word }) => `compound-${word}`,
    apart: ["word"],
    facts: (s) => ({ word: s.word, micron: s.micron, before_um: s.before_um, ...sandedOf(s, true) }),
    hands: ({ facts, here }) => rungMinutes(facts, here),
    words: ({ facts: { word } }) => ({
      title: `Polish with ${word} compound`,
      text: `Polish with ${word} compound, a clean pad of its own, labelled`,
      why: "A grain of the coarser one scratches all over again; keep the pad moving, or it burns.",
      done_when: word === "fine" ? "the lamp’s edge is sharp in it" : "P1500 is gone",
    }),
    cautions: ["dust-resin"],
  }),
  burnish: row({
    each: "levelled",
    together: "part",
    kind: "compound",
    when: isBareMetal,
    needs: [{ after: "grit", n: "last", because: "each grit only erases the one before" }],
    facts: soft,
    hands: [3, 8],
    words: ({ facts }) => ({
      title: "Polish it lightly",
      text: "Polish lightly and stop early, a clean pad",
      why: facts.soft ? "Soft metal smears under strong compound: it runs over the edge of the overlay." : "The fill polishes down faster than the metal beside it.",
      done_when: "it reflects as its surroundings do, no more",
    }),
    cautions: ["dust-metal"],
  }),
  prime: row({
    each: "primed",
    stem: "prime-1",
    together: "material",
    kind: "prime",
    needs: [...BEFORE, { after: "grit", n: "last", because: "every grit is walked" }, { after: "compound", n: "last", because: "every grit is walked" }, first("burnish", "every grit is walked"), first("release-off", "no grease under a coat"), first("flat-old", "the old finish is matt")],
    link: ({ link }) => link,
    role: "levelling",
    amount: ({ here, link }) => ({ takes: here.map(({ id, area_mm2 = 0 }) => ({ place: id, cm3: (area_mm2 * link.material.max_layer_mm) / 1000 })), extra_pct: wastePct, apply: "spread" }),
    thickness: ({ link }) => link.material.max_layer_mm,
    starts: "coated",
    facts: ({ link }) => ({ film_um: link.material.max_layer_mm * 1000 }),
    hands: ({ here }) => handsOver([4, 10], here),
    words: ({ facts: { film_um }, takes, ...op }) => ({
      title: "Pull the surfacer over",
      text: `Pull ${nameOf(op)} over it, ${plain(film_um, 0)} µm, ${grams(takes?.mass_g ?? 0)}`,
      why: "It closes pores and scratches and shows every low spot.",
      done_when: "it lies even to past the edge",
    }),
    cautions: ({ material }) => material?.hazards ?? [],
    meets: ["gesso-on-dense", "solvent-trapped"],
  }),
  "check-prime": row({
    each: "primed",
    together: "part",
    kind: "look",
    needs: [{ after: "prime", stage: ["hard", "recoat", "full"], because: "dry" }],
    hands: [2, 5],
    words: { title: "Look for low spots", text: "Look for low spots in raking light", why: "A low spot goes back to Fill now: under colour it stays.", done_when: "no shadow, or a round back to Fill is opened" },
  }),
  "rub-prime": row({
    each: "primed",
    together: "part",
    kind: "grit",
    needs: [first("check-prime", "looked at")],
    grade: () => P(400),
    apart: ["dry"],
    facts: ({ f: { on }, link }) => ({ dry: on.fears_water || on.family === "wood", dust: link.material.hazards.filter((hazard) => hazard.startsWith("dust")) }),
    hands: ({ here }) => handsOver([4, 10], here),
    words: ({ facts: { dry }, grade }) => ({ title: "Rub the surfacer down", text: `Rub it down with ${labelOf(grade)}, ${dry ? "dry" : "wet"}, a foam pad`, why: "Colour shows what the primer leaves.", done_when: "it is matt and even, no edge felt" }),
    cautions: ({ facts }) => facts.dust,
  }),
};

const labelOf = (grade: Grade | undefined) => (grade ? gradeLabel(grade) : "");
const nameOf = ({ material }: Pick<Told, "material">) => inSentence(material?.name ?? "");
