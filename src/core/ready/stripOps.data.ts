import { dustOf, isVeneered, type OpFacts, P } from "../catalogue";
import { row } from "../operation/row";
import { fastFirst, lower, strips } from "./readyFacts";

const isWood = ({ on }: OpFacts) => on.family === "wood" || on.substrate === "veneer-particleboard";

/** How a finish is taken off on this material; thin veneer forbids machines, and heat lets its glue go. Trade practice; FPL Wood Handbook 2021, ch. 16. */
function howToStrip(f: OpFacts): string {
  if (isVeneered(f.on)) return "scraper first, then a gel for what stays; no machine and no hot air: the veneer is thin and its glue softens";
  if (isWood(f)) return "scraper first, then a gel for what stays, with the grain";
  if (f.on.family === "mineral" || f.on.family === "paper") return "a gel under film and a wooden scraper; nothing that runs, it is porous";
  return "a gel, then a plastic scraper";
}

/** Taking a finish back to bare where the piece is to have another: it goes with any repair. */
export const STRIP_OPS = {
  "test-scrape": row({
    each: "damage",
    together: "part",
    kind: "test",
    when: ({ f }) => strips(f),
    needs: ["photograph", "lead-test"],
    facts: ({ f }) => ({ was: lower(f.was.label) }),
    hands: [5, 10],
    words: ({ facts: { was } }) => ({
      title: "Scrape a test spot",
      text: `Scrape a hand’s breadth of the ${was} where it is not seen, down to what lies under it`,
      why: "What lies under decides how it comes off: an older finish, filler or bare stuff.",
      done_when: "every layer down to the bare stuff is known and on record",
    }),
    cautions: ["blade"],
  }),
  "strip-old": row({
    each: "damage",
    together: "part",
    kind: "remove",
    when: ({ f }) => strips(f),
    // what is loose is cut out or made fast before stripper comes near it
    needs: ["test-scrape", "lead-test", "take-apart", "cut-out", "lay-edges", "remove-old", { after: "unclamp", when: ({ f }) => fastFirst(f), because: "the veneer is fast" }],
    apart: ["was", "how"],
    facts: ({ f }) => ({ was: lower(f.was.label), how: howToStrip(f), dust: f.lead ? "old-paint" : dustOf(f.on) }),
    hands: [60, 240],
    wait_min: [720, 1440],
    meanwhile: "stripper and rinse leave it",
    words: ({ facts: { was, how } }) => ({
      title: "Strip the old finish",
      text: `Strip the ${was} off the whole face: ${how}. Wipe it neutral, twice`,
      why: "The finish that it is to have shows or reaches what lies under it. Stripper that stays in the pores lifts the next coat; keep it off bare board and open joints.",
      done_when: "the face is bare and even, a wet strip of pH paper shows neutral",
    }),
    cautions: ({ facts: { dust } }) => ["stripper", "vapour", "blade", dust],
  }),
  "sand-face": row({
    each: "damage",
    together: "part",
    kind: "grit",
    when: ({ f }) => strips(f) && isWood(f),
    needs: [
      { after: "strip-old", of: "part", because: "it is bare and dry" },
      { after: "bleach", of: "part", because: "the bleach has dried" },
      { after: "grit", n: "last", because: "the repair is level" },
      { after: "flush", of: "part", because: "it is flush" },
      { after: "unclamp", of: "part", because: "the joint holds" },
      { after: "flush-brace", of: "part", because: "it is flush" },
      { after: "check-fill", of: "part", because: "nothing is low" },
      "lead-test",
    ],
    grade: () => P(180),
    apart: ["hand"],
    facts: ({ f }) => ({ hand: isVeneered(f.on) ? ", by hand" : "" }),
    hands: [20, 60],
    papers: [P(150)],
    words: ({ facts: { hand } }) => ({ title: "Sand the bare face", text: `Sand the whole face with P150, then P180, along the grain${hand}`, why: "No finer before stain: it closes the pores.", done_when: "no shade of the old finish is left in raking light" }),
    cautions: ["dust-wood"],
  }),
};
