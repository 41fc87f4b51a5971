import { type Finish, type Grade, gradeLabel, handsOver, isStripped, P, type Range } from "../catalogue";
import { first, row, type Told } from "../operation/row";
import type { Coat, Surfaced } from "../operation/subject";
import { WET_BESIDE } from "../operation/wetWork";
import { grams, inSentence, plain } from "../units";
import { POLISHED, STAIN_GRABS_C } from "./coats.data";
import { LEAF_WASTE, leavesFor, PER_LEAF_MIN } from "./leaf";

const LEVELLED = [
  ...WET_BESIDE,
  first("sand-face", "the face is bare and even"),
  first("polish-metal", "it is polished"),
  first("bore-anew", "its hole is bored"),
  first("rub-prime", "primer is rubbed down"),
  { after: "grit", n: "last", because: "every grit is walked" },
  { after: "compound", n: "last", because: "every grit is walked" },
  first("burnish", "every grit is walked"),
  first("check-fill", "nothing is low"),
  first("dry", "it is dry"),
  first("dry-lime", "it is dry"),
  first("measure-after", "its thickness is on record"),
  { after: "unclamp", n: 1, because: "the joint holds" },
  first("free-skin", "the joint holds"),
  first("cleats-off", "the cleats hold"),
  first("flush", "it is flush"),
  first("flush-brace", "it is flush"),
  first("lead-test", "before anything makes dust"),
] as const;
/** A pore filler, or a mist coat before it is cut, dries over night, min; typical data sheets. */
const OVERNIGHT: Range = [720, 1440];
/** Pair rules that ask for a colour cured to the full before the coat over it. */
const WAITS_FULL = ["wax-on-young-colour", "coat-on-slow-oil", "lacquer-on-young-oil", "isocyanate-on-wet"];
/** Lost on brush, pad or gun, percent; trade practice. */
const LOST_PCT = 60;
/** Lost where a mist coat is carried over a whole small face, percent. */
const SPRAYED_PCT = 35;

const labelOf = (grade: Grade | undefined) => (grade ? gradeLabel(grade) : "");
const nameOf = ({ material }: Pick<Told, "material">) => inSentence(material?.name ?? "");
const waitsFull = ({ link, material, before }: Coat) => before !== undefined && before.class !== material.class && link.reasons.some(({ rule }) => WAITS_FULL.includes(rule));
const isPolished = ({ f }: Coat) => POLISHED.includes(f.finish.finish as Finish);
const opensPores = ({ f: { finish, was, on, way } }: Surfaced) => finish.film && finish.gloss && finish.finish !== "gilding" && ((on.family === "wood" && (way === "brace" || way === "reveneer" || way === "bond")) || isStripped(was, finish));
/** The leaf of a coat of size, and how many of them. */
const leavesOf = ({ material, here }: Coat) => {
  const { leaf } = material;
  return {
    side_mm: leaf?.side_mm ?? 0,
    leaves: leaf
      ? leavesFor(
          leaf,
          here.reduce((sum, { area_mm2 = 0 }) => sum + area_mm2, 0),
        )
      : 0,
  };
};
const COAT_BEFORE = [
  { after: "coat", n: "before", stage: ["full"], when: waitsFull, because: "the colour has cured" },
  { after: "coat", n: "before", stage: ["recoat", "hard", "full"], recoat: "the coat before is dry, not yet cured through", when: (s: Coat) => !waitsFull(s), because: "the coat before is dry" },
] as const;

/** Colour and coats, one after the other, each with its clock; and films that are sprayed and cut. */
export const COLOUR_OPS = {
  rebuild: row({
    each: "damage",
    together: "part",
    kind: "coat",
    when: ({ f }) => f.way === "refinish",
    needs: ["refinish"],
    hands: [120, 360],
    wait_min: [4320, 10_080],
    meanwhile: "it dries coat by coat",
    words: { title: "Build the finish anew", text: "Build the finish up anew, coat by coat", why: "Several thin coats dry sooner than one thick one.", done_when: "colour and gloss meet the neighbour faces" },
    cautions: ["vapour"],
  }),
  // a later round: colour goes under the clear, and on the last coat that is good
  "flat-coats": row({
    each: "surface",
    together: "part",
    kind: "remove",
    when: ({ later }) => later?.station === "colour" && later.coats !== "none",
    facts: ({ later, f }) => ({ clear: later?.coats === "clear", skin: f.on.family === "skin" }),
    hands: [5, 15],
    papers: ({ facts: { clear, skin } }) => (skin ? [] : [P(clear ? 800 : 1000)]),
    words: ({ facts: { clear, skin } }) => ({
      title: clear ? "Take the clear off" : "Flat the last coat",
      text: skin ? "Take the finish off the place with its own thinner on a cloth, to the last good coat" : clear ? "Take the clear off the place, down to colour that is good: P800 wet, a block" : "Flat the last colour matt, down to the coat that is good: P1000 wet, a block",
      why: clear ? "Colour goes under the clear: over it, it stands on top and never meets what is beside it." : "A new coat holds on a matt one, and what was wrong shows through.",
      done_when: "it is matt all over, and nothing of what was wrong is left",
    }),
  }),
  // one finish over another: it holds on no gloss
  "flat-old": row({
    each: "surface",
    together: "part",
    kind: "key",
    when: ({ f }) => f.was.finish !== "none" && f.was.finish !== f.finish.finish && !isStripped(f.was, f.finish),
    needs: [...WET_BESIDE, { after: "grit", n: "last", because: "every grit is walked" }, first("check-fill", "nothing is low"), { after: "unclamp", n: 1, because: "the joint holds" }, first("flush", "it is flush"), first("flush-brace", "it is flush"), first("lead-test", "before anything makes dust")],
    facts: ({ f }) => ({ was: f.was.label.toLowerCase(), waxed: f.was.finish === "wax" || f.was.finish === "oil", dust: f.was.finish === "paint" && f.lead ? "old-paint" : "dust-resin" }),
    hands: [15, 60],
    papers: [P(220), P(320)],
    words: ({ facts: { was, waxed } }) => ({
      title: "Flat the old finish",
      text: `Wash the old ${was}${waxed ? " with white spirit until a drop of water wets it" : ""} and flat it matt, all that is coated, P220 to P320`,
      why: "A new finish holds on no gloss, no wax and no grease.",
      done_when: "no shining spot is left and the cloth stays clean",
    }),
    cautions: ({ facts }) => [facts.dust],
  }),
  "release-off": row({
    each: "surface",
    lasts: true,
    together: "part",
    kind: "clean-release",
    when: ({ formed }) => formed,
    needs: [first("demould", "the form is off"), first("release", "it was put on"), first("check-fill", "it is hard"), first("form", "it was formed")],
    hands: [3, 8],
    words: { title: "Clean the release off", text: "Clean the release agent off with white spirit, twice", why: "Left under colour it lets the coat peel.", done_when: "a drop of water wets the whole fill" },
    cautions: ["vapour"],
    meets: ["release-under-colour"],
  }),
  // open pores sink every coat over them: filled before the film on wood that was opened
  "pore-fill": row({
    each: "surface",
    lasts: true,
    together: "part",
    kind: "prime",
    when: opensPores,
    needs: LEVELLED,
    hands: [8, 15],
    wait_min: OVERNIGHT,
    meanwhile: "pore filler dries over night",
    words: { title: "Fill the pores", text: "Rub tinted pore filler in across the grain, wipe it off, let it dry over night", why: "Open pores sink every coat over them.", done_when: "the pores are level by raking light" },
    cautions: ["vapour"],
  }),
  "dust-off": row({
    each: "surface",
    together: "part",
    kind: "clean",
    needs: [...LEVELLED, "pore-fill", first("release-off", "no grease under colour"), first("flat-coats", "it is matt"), first("flat-old", "it is matt")],
    hands: [3, 6],
    words: { title: "Dust off and look", text: "Dust off, wipe, and look in the light it will live in", why: "A grain under a coat shows for ever.", done_when: "a fingertip finds nothing" },
    meets: ["top-on-wax"],
  }),
  sample: row({
    each: "surface",
    lasts: true,
    together: "part",
    kind: "test",
    when: ({ first_colour }) => first_colour !== undefined,
    needs: [first("dust-off", "clean")],
    facts: ({ first_colour, f }) => ({ colour: inSentence(first_colour?.name ?? ""), skin: f.on.family === "skin", minds: first_colour?.hazards ?? [] }),
    hands: [10, 25],
    words: ({ facts: { colour, skin } }) => ({
      title: "Try it on scrap",
      text: `Try ${colour} on an off-cut: wet, dry, ${skin ? "and after dressing" : "and under the coat"}`,
      why: `Colours shift from wet to dry and again ${skin ? "under dressing" : "under a coat"}: match the last state.`,
      done_when: "the dry sample can’t be seen beside the piece",
    }),
    cautions: ({ facts }) => facts.minds,
  }),
  // on foil the mask comes off after the last colour: the clear over it runs out without an edge
  "unmask-foil": row({
    each: "coat",
    stem: "unmask-foil",
    together: "part",
    kind: "unmask",
    when: ({ unmasks }) => unmasks,
    needs: [...COAT_BEFORE, first("mask", "it is on")],
    hands: [2, 5],
    words: { title: "Take the mask off", text: "Take the mask off, flat back on itself, while the colour’s edge is dry but young", why: "The clear coats run out past it: a hard edge shows for ever.", done_when: "the colour’s edge is whole, no glue of the tape is left" },
  }),
  coat: row({
    each: "coat",
    together: "material",
    kind: ({ kind }) => kind,
    needs: [...COAT_BEFORE, { after: "sample", when: ({ n }) => n === 1, because: "it was tried" }, { after: "lay-leaf", n: "before", because: "the leaf is laid" }, first("dust-off", "clean"), { after: "unmask-foil", n: "same", because: "the mask is off" }],
    link: ({ link }) => link,
    role: ({ role }) => role,
    material: ({ material }) => material,
    amount: ({ here, material, share }) => ({ takes: here.map(({ id, area_mm2 = 0 }) => ({ place: id, cm3: (area_mm2 * share * material.max_layer_mm) / 1000 })), extra_pct: LOST_PCT, apply: "spread" }),
    thickness: ({ material }) => material.max_layer_mm,
    starts: "coated",
    facts: ({ name, coat, coats, text, why, role, air, material }) => ({
      name,
      coat,
      coats,
      what: text,
      why,
      colours: role === "colour",
      hot_C: name === "stain" && air.temp_C > STAIN_GRABS_C ? air.temp_C : undefined,
      sprays: material.carrier === "ketone",
    }),
    hands: ({ here }) => handsOver([4, 12], here),
    words: ({ facts: { name, what, why, coat, coats, colours, hot_C }, takes, ...op }) => ({
      title: `${TITLES[name]}${coats > 1 ? ` ${coat} of ${coats}` : ""}`,
      text: `${what}${coats > 1 ? `, ${coat} of ${coats}` : ""}: ${nameOf(op)}, ${grams(takes?.mass_g ?? 0)}`,
      why: `${why}${hot_C === undefined ? "" : ` It is ${plain(hot_C)} °C here.`}`,
      done_when: colours ? "dry, it meets the sample" : "it lies without dust or run",
    }),
    cautions: ({ facts: { name, sprays }, material }) => [...(material?.hazards ?? []), ...(name === "tone" && sprays ? ["spray"] : [])],
    uses: ({ facts }) => (facts.sprays ? ["spray place"] : []),
    meets: ["coat-lifts-colour", "alcohol-lifts-stain", "alcohol-lifts-resin", "colour-rubs", "water-raises-stain", "solvent-on-leaf"],
  }),
  // leaf goes on when the size has come to tack, and not after
  "lay-leaf": row({
    each: "coat",
    stem: "@-laid",
    kind: "colour",
    when: ({ material }) => material.leaf !== undefined,
    needs: [{ after: "coat", n: "same", settles: ({ material }) => material.leaf?.tack_min, because: "the size has come to tack" }],
    facts: (s) => ({ ...leavesOf(s), waste_pct: LEAF_WASTE * 100 }),
    hands: ({ facts: { leaves } }) => [3 + leaves * PER_LEAF_MIN[0], 8 + leaves * PER_LEAF_MIN[1]],
    words: ({ facts: { leaves, side_mm, waste_pct } }) => ({
      title: "Lay the leaf",
      text: `Lay ${leaves === 1 ? "one leaf" : `${leaves} leaves`} of ${side_mm} × ${side_mm} mm, cut on the cushion with some millimetres of overlap; press with cotton, brush off what is loose`,
      why: `Size is ready when a knuckle squeaks on it: too wet drowns the leaf, too dry drops it. Overlaps and what tears are counted with ${plain(waste_pct)} %.`,
      done_when: "no size shows, and cotton picks up no more leaf",
    }),
  }),
  // a film or leaf is rubbed down and polished over the line: the mask comes off while the last coat is young
  "unmask-young": row({
    each: "coat",
    stem: "unmask-young",
    together: "part",
    kind: "unmask",
    when: ({ bares }) => bares,
    needs: [{ after: "coat", n: "same", stage: ["recoat", "hard", "full"], because: "the last coat is dry, and young" }, { after: "lay-leaf", n: "same", because: "the leaf is laid" }, first("mask", "it is on")],
    hands: [2, 5],
    words: { title: "Take the mask off", text: "Take the mask off, flat back on itself, while the last coat is dry but young", why: "Hard, the edge breaks off with the tape; what is rubbed down runs out over the line.", done_when: "the edge is whole, no glue of the tape is left" },
  }),
  sheen: row({
    each: "coat",
    stem: "sheen",
    together: "part",
    kind: "finish",
    when: (s) => s.last && s.role === "topcoat" && !isPolished(s) && s.f.on.family !== "skin",
    needs: [{ after: "coat", n: "same", stage: ["full"], because: "cured through" }, first("unmask-young", "the mask is off")],
    hands: [5, 15],
    words: { title: "Match the sheen", text: "Match the sheen last: rub down or up", why: "The eye finds a wrong gloss before a wrong colour.", done_when: "the edge can’t be found against the light" },
    meets: ["top-short-of-gloss"],
  }),
  spray: row({
    each: "cycle",
    kind: "coat",
    needs: [
      { after: "clean", when: ({ n }) => n === 1, because: "clean" },
      { after: "mask", when: ({ n }) => n === 1, because: "neighbours are guarded" },
      { after: "test-spot", when: ({ n }) => n === 1, because: "it was tried" },
      { after: "cut", n: "before", because: "the last coat is cut" },
    ],
    link: ({ link }) => link,
    role: "topcoat",
    amount: ({ here, area_mm2, link }) => ({ takes: here.map(({ id }) => ({ place: id, cm3: (area_mm2 * link.material.max_layer_mm) / 1000 })), extra_pct: SPRAYED_PCT, apply: "spread" }),
    thickness: ({ link }) => link.material.max_layer_mm,
    starts: "coated",
    facts: ({ n, cut_um, thin }) => ({ first: n === 1, cut_um, thin }),
    hands: [4, 8],
    words: ({ n = 1, of = 1, facts: { first: isFirst, cut_um, thin }, ...op }) => ({
      title: `Mist coat ${n} of ${of}`,
      text: `Spray a mist coat of ${nameOf(op)}, cycle ${n} of ${of}`,
      why: isFirst ? `The scratch closes by ${cut_um} µm a cycle.${thin ? ` ${thin}` : ""}` : "Mist coats dry sooner and lie flatter.",
      done_when: "it lies even, no run",
    }),
    cautions: ({ material }) => [...(material?.hazards ?? []), "spray"],
    uses: ["spray place"],
  }),
  cut: row({
    each: "cycle",
    together: "part",
    kind: "grit",
    needs: [{ after: "spray", n: "same", settles: () => OVERNIGHT, because: "the coat is dry enough to cut: over night" }],
    grade: () => P(1200),
    facts: ({ cut_um, n }) => ({ cut_um, n }),
    hands: [4, 8],
    words: ({ n = 1, facts: { cut_um }, grade }) => ({ title: `Cut coat ${n}`, text: `Cut ${cut_um} µm off what stands up, ${labelOf(grade)} on a hard block, wet`, why: "Only what stands beside the scratch is touched.", done_when: "the face is matt, the scratch still shines" }),
    cautions: ["dust-resin"],
  }),
  "unmask-sprayed": row({
    each: "gloss",
    stem: "unmask-sprayed",
    together: "part",
    kind: "unmask",
    when: ({ sprayed }) => sprayed,
    needs: [{ after: "cut", n: "last", because: "the last coat is cut" }, first("mask", "it is on")],
    hands: [2, 5],
    words: { title: "Take the mask off", text: "Take the mask off the neighbours, flat back on itself", why: "What is rubbed out runs over the edge: a step at the tape stays.", done_when: "no glue of the tape is left" },
  }),
  // a film is levelled when it has stopped shrinking, then brought to gloss
  "film-wait": row({
    each: "gloss",
    together: "part",
    kind: "wait",
    needs: [
      { after: "coat", n: "last", stage: ["full"], because: "it has stopped shrinking" },
      { after: "spray", n: "last", stage: ["full", "hard"], because: "it has stopped shrinking" },
      { after: "cut", n: "last", because: "the last coat is cut" },
    ],
    facts: ({ sprayed }) => ({ sprayed }),
    hands: [1, 2],
    words: ({ facts: { sprayed } }) => ({
      title: "Let the film shrink",
      text: "Leave the film until it has stopped shrinking",
      why: sprayed ? "Polished too soon the scratch comes back as a line." : "Polished too soon, pores and edges sink back weeks later.",
      done_when: sprayed ? "yesterday’s face is today’s" : "a fingernail leaves no mark, yesterday’s edge is today’s",
    }),
  }),
  "flat-coat": row({
    each: "gloss",
    stem: "flat-P1200",
    together: "part",
    kind: "grit",
    when: ({ sprayed }) => !sprayed,
    needs: [first("film-wait", "it has stopped shrinking"), first("unmask-young", "the mask is off")],
    grade: () => P(1200),
    facts: ({ dry_um }) => ({ dry_um }),
    hands: [5, 15],
    words: ({ facts: { dry_um }, grade }) => ({
      title: `Level with ${labelOf(grade)}, wet`,
      text: `Level the new film with ${labelOf(grade)}, wet, a hard block, edges last`,
      why: `A coat leaves about ${plain(dry_um, 0)} µm: stop where the colour begins to pale.`,
      done_when: "it is matt all over, no shining pit",
    }),
    cautions: ["dust-resin"],
  }),
  "flat-spray": row({
    each: "gloss",
    stem: "flat-P1500",
    together: "part",
    kind: "grit",
    when: ({ sprayed }) => sprayed,
    needs: [first("film-wait", "it has stopped shrinking"), first("unmask-sprayed", "the mask is off")],
    grade: () => P(1500),
    hands: [8, 15],
    papers: [P(2000)],
    words: ({ grade }) => ({ title: `Rub out with ${labelOf(grade)}`, text: `Rub out with ${labelOf(grade)} wet, then P2000, a soft block, edges last`, why: "The film around is thinnest at the edges.", done_when: "it is matt all over" }),
    cautions: ["dust-resin"],
  }),
  "gloss-compound": row({
    each: "gloss",
    together: "part",
    kind: "compound",
    needs: [first("flat-coat", "level first"), first("flat-spray", "rubbed out first")],
    // a whole polish begins with the medium one
    abrasive: () => "compound-medium",
    hands: [8, 20],
    words: { title: "Polish to gloss", text: "Polish with medium, then fine compound, a clean labelled pad for each", why: "A grain of the coarser one scratches all over again.", done_when: "the lamp’s edge is sharp in it" },
    cautions: ["dust-resin"],
  }),
};

const TITLES: Readonly<Record<Coat["name"], string>> = {
  stain: "Stain",
  seal: "First clear coat",
  under: "Undercolour",
  mute: "Mute what shows",
  colour: "Colour coat",
  pattern: "Pattern",
  tone: "Toning coat",
  retouch: "Retouch in dots",
  dye: "Dye coat",
  leaf: "Lay the size",
  lock: "Lock coat",
  clear: "Clear coat",
  finish: "Finish coat",
};
