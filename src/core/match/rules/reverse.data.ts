import { BUYS, HORIE, is, on, type Rule } from "./rule";

export const REVERSE_RULES: readonly Rule[] = [
  { id: "reverse-no", looks_at: "reverse", effect: "against", when: (c) => c.row.reversible.grade === "no", word: "No", says: (c) => `Not reversible: ${c.row.reversible.by}.`, source: HORIE },
  { id: "reverse-barrier", looks_at: "reverse", effect: "if", roles: ["filler"], when: (c) => c.stance === "reversible" && c.row.reversible.grade === "no", word: "Barrier", says: "Fits if two coats of a reversible resin seal the break first, so that the fill lifts off again.", source: BUYS },
  { id: "reverse-adhesive-porous", looks_at: "reverse", effect: "if", roles: ["adhesive"], when: (c) => c.stance === "reversible" && c.row.reversible.grade === "no" && c.on.porous, word: "Seal first", says: "Fits if the break is sealed first: in open pores it never comes out.", source: BUYS },
  { id: "reverse-effort", looks_at: "reverse", effect: "fair", when: (c) => c.row.reversible.grade === "effort", word: "With effort", says: (c) => `Comes out with effort: ${c.row.reversible.by}.`, source: HORIE },
  { id: "reverse-easy", looks_at: "reverse", effect: "for", when: (c) => c.row.reversible.grade === "easy", word: "Yes", says: (c) => `Comes out again: ${c.row.reversible.by}.`, source: HORIE },
  { id: "reverse-consolidant", looks_at: "reverse", effect: "if", roles: ["consolidant"], when: (c) => c.stance === "reversible" && c.row.reversible.grade === "no" && c.on.porous, word: "For good", says: "Fits if nothing weaker holds: what sinks into pores stays there.", source: HORIE },
  { id: "reverse-cuts", looks_at: "reverse", effect: "against", when: (c) => c.stance === "reversible" && is(c, "wood-inlay", "wood-dowel", "wood-spline", "metal-pin", "anchor-screw"), word: "Cuts into it", says: "Original material is cut away for it, and that is for good.", source: BUYS },
  { id: "reverse-softer", looks_at: "reverse", effect: "for", roles: ["filler"], when: (c) => c.stance === "reversible" && c.row.hardness < c.on.hardness && c.row.hardness > 1, word: "Softer", says: (c) => `Softer than ${on(c)}: it gives way before the piece does.`, source: BUYS },
  {
    id: "reverse-too-strong",
    looks_at: "reverse",
    effect: "against",
    roles: ["adhesive"],
    when: (c) => c.stance === "reversible" && c.row.strength === "strong" && c.on.hardness <= 2 && (c.on.family === "mineral" || c.on.family === "paper"),
    word: "Too strong",
    says: (c) => `Stronger than ${on(c)}: the next break runs through the original.`,
    source: BUYS,
  },
  { id: "reverse-stays-in-pores", looks_at: "reverse", effect: "against", roles: ["filler"], when: (c) => is(c, "silicone-compound", "wax-fill") && c.on.porous, word: "Oil stays", says: (c) => `Its oil stays in ${on(c)} and keeps every later glue off.`, source: HORIE },
];
