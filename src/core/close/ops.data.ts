import { first, row } from "../operation/row";

const LAST = first("last", "the work is done");

/** What tape would pull off is masked with film alone. */
const UNTAPED: readonly string[] = ["dye", "gilding"];

/** Looking, dressing and signing: what comes last for every damage. */
export const CLOSE_OPS = {
  unmask: row({
    each: "closing",
    together: "piece",
    kind: "unmask",
    when: ({ links, unmasked }) => links.length > 0 && !unmasked,
    needs: [LAST, first("mask", "it is on")],
    apart: [],
    facts: ({ f: { finish } }) => ({ film: UNTAPED.includes(finish.finish) }),
    hands: [2, 6],
    words: ({ facts: { film } }) => ({ title: "Take the mask off", text: `Take ${film ? "the" : "tape and"} film off, slowly, flat back on itself`, why: "Pulled up, a mask takes the edge of the coat with it.", done_when: "the edge is whole" }),
  }),
  dress: row({
    each: "closing",
    together: "part",
    kind: "finish",
    when: ({ f, links }) => f.on.family === "skin" && links.some(({ role }) => role === "topcoat" || role === "adhesive"),
    needs: [LAST, { after: "mix", stage: ["full"], because: "the filler has cured: a dressing before that stops it" }, { after: "back", stage: ["full"], because: "the glue has cured: a dressing before that stops it" }, first("unmask", "the whole panel is bare")],
    hands: [5, 15],
    words: { title: "Dress the leather", text: "Dress the leather, thinly, the whole panel", why: "Dressing before the filler has cured stops it; on one spot alone it makes a ring.", done_when: "it has sunk in by the next day" },
    meets: ["dressing-stops-cure"],
  }),
  // what was let down comes up slowly, once the glue is through
  "tune-up": row({
    each: "closing",
    together: "piece",
    kind: "finish",
    when: ({ f: { piece, loaded, on } }) => piece === "instrument" && loaded && on.family === "wood",
    needs: [LAST, first("strings-off", "they were let down"), { after: "bond", stage: ["full"], because: "the glue is through" }, { after: "set-brace", stage: ["full"], because: "the glue is through" }],
    hands: [20, 45],
    wait_min: [2880, 5760],
    meanwhile: "it settles under tension",
    words: {
      title: "Tune up by halves",
      text: "Strings on, up to half the pull; look at the joint after a day, then up to pitch in two more steps, a day each",
      why: "A joint that creeps shows it at half the pull, and comes back when it is let down.",
      done_when: "it holds its pitch over night and the joint shows no line",
    },
  }),
  "photograph-after": row({
    each: "closing",
    together: "piece",
    kind: "photograph",
    needs: [LAST, first("dress", "it is dressed"), first("unmask", "nothing covers it"), "tune-up"],
    hands: [3, 8],
    words: { title: "Photograph it after", text: "Photograph it from the same places as before", why: "Before and after belong together.", done_when: "both are in the record" },
  }),
  sign: row({
    each: "closing",
    together: "piece",
    apart: [],
    urgent: "weak",
    kind: "sign",
    needs: [LAST, first("photograph-after", "pictures are taken")],
    facts: ({ weak, safety, f }) => ({ weak, reached: safety?.reached, asked: safety?.asked, food: f.food }),
    hands: [10, 25],
    words: ({ facts: { weak, reached = 0, asked = 0 } }) => ({
      title: "Look it over, sign",
      text: weak ? "Look it over in its own light and sign: the owner’s card allows no load" : "Look it over in the light it will live in, and sign",
      why: weak ? `The safety reached is ${reached.toFixed(1)} of ${asked}: no load, no person.` : "What the owner may do, and from when, goes on the card.",
      done_when: "record and owner’s card are signed",
    }),
    cautions: ({ facts }) => (facts.food ? ["food"] : []),
    meets: ["food-decorative", "strength-load-fill", "strength-warm-load", "heat-near", "wet-splash", "service-skin-cured"],
  }),
};
