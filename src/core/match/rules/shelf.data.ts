import { gramsFor } from "../../catalogue";
import { formatGrams } from "../../units";
import type { Case } from "../case";
import type { Rule } from "./rule";

export const SHELF_RULES: readonly Rule[] = [
  { id: "shelf-none", looks_at: "shelf", effect: "refuse", when: (c) => c.stock_only === true && c.shelf !== undefined && c.product === undefined && !isPiece(c), word: "Not here", says: "None of it stands in the cabinet, and only what is here was asked for.", or: "Or look at all materials.", source: "your cabinet" },
  { id: "shelf-buy", looks_at: "shelf", effect: "fair", when: (c) => c.stock_only !== true && c.shelf !== undefined && c.product === undefined && !isPiece(c), word: "To buy", says: "It is not in the cabinet: it has to be bought first.", source: "your cabinet" },
  { id: "shelf-gone-off", looks_at: "shelf", effect: "refuse", when: (c) => c.product?.days_left !== undefined && c.product.days_left < 0, word: "Gone off", says: (c) => `This jar went off ${-Math.floor(c.product?.days_left ?? 0)} days ago.`, or: "Or open a fresh one.", source: "your cabinet" },
  { id: "shelf-goes-off", looks_at: "shelf", effect: "note", when: (c) => c.product?.days_left !== undefined && c.product.days_left >= 0 && c.product.days_left < 30, word: "Use it up", says: (c) => `It goes off in ${Math.floor(c.product?.days_left ?? 0)} days: use it here.`, source: "your cabinet" },
  { id: "shelf-empty", looks_at: "shelf", effect: "refuse", when: (c) => c.product !== undefined && c.product.left_g <= 0, word: "Empty", says: "The jar is empty.", or: "Or open a fresh one.", source: "your cabinet" },
  {
    id: "shelf-short",
    looks_at: "shelf",
    effect: "if",
    roles: ["filler", "adhesive"],
    when: (c) => c.product !== undefined && c.product.left_g > 0 && needed(c) > c.product.left_g,
    word: "Too little",
    says: (c) => `Fits if you buy more: ${formatGrams(c.product?.left_g ?? 0)} are left, and about ${formatGrams(needed(c))} are needed.`,
    source: "your cabinet",
  },
  { id: "shelf-enough", looks_at: "shelf", effect: "for", when: (c) => c.product !== undefined && c.product.left_g > 0 && needed(c) <= c.product.left_g, word: (c) => formatGrams(c.product?.left_g ?? 0), says: (c) => `${formatGrams(c.product?.left_g ?? 0)} stand in the cabinet.`, source: "your cabinet" },
];

/** Dry goods and what is cut to size are not kept by the jar. */
const isPiece = (c: Case) => c.row.group === "brace" || c.row.class === "wood-inlay";
/** Grams of this material that this link takes, waste included; 0 where nothing was measured. */
const needed = (c: Case) => gramsFor(c.role, c.need_cm3?.[c.role] ?? 0, c.row);
