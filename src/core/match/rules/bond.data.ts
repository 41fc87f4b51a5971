import type { Case } from "../case";
import { BONDING, BUYS, bond, FILLING, HORIE, is, LEATHER, lower, name, on, type Rule, SHEETS, TRADE, WOOD } from "./rule";

export const BOND_RULES: readonly Rule[] = [
  { id: "bond-none", looks_at: "bond", effect: "refuse", when: (c) => bond(c) === undefined, word: "Lets go", says: (c) => `${name(c)} does not hold on ${on(c)}.`, source: HORIE },
  { id: "bond-needs-pores", looks_at: "bond", effect: "refuse", roles: BONDING, when: (c) => c.row.needs_pores && !c.on.porous && bond(c) !== undefined, word: "No key", says: (c) => `${name(c)} needs pores to key into, and ${on(c)} is dense.`, source: HORIE },
  { id: "bond-fair", looks_at: "bond", effect: "fair", when: (c) => bond(c) === "fair", word: "Fair", says: (c) => `${name(c)} holds fairly on ${on(c)}: key the loss first.`, source: HORIE },
  { id: "bond-powders", looks_at: "bond", effect: "if", roles: ["adhesive", "filler", "levelling"], when: (c) => c.found?.powders === true, word: "On dust", says: "Fits if the powder is consolidated first: nothing holds on dust.", source: HORIE },
  { id: "bond-hollow", looks_at: "bond", effect: "if", roles: ["filler", "levelling", "topcoat"], when: (c) => c.found?.hollow === true, word: "Hollow", says: "Fits if the hollow place is set down first: it comes off with what is laid on it.", source: TRADE },
  { id: "bond-lifted", looks_at: "bond", effect: "if", roles: FILLING, when: (c) => c.found?.lifted === true, word: "Lay edges", says: "Fits if the lifted edges are laid first: a fill beside them tears them off.", source: TRADE },
  { id: "bond-greasy", looks_at: "bond", effect: "if", roles: BONDING, when: (c) => c.found?.greasy === true, word: "Degrease", says: (c) => `Fits if ${on(c)} is degreased until a drop of water soaks in.`, source: SHEETS },
  { id: "bond-damp", looks_at: "bond", effect: "if", roles: BONDING, when: (c) => c.found?.damp === true && c.row.carrier !== "water" && c.row.class !== "polyurethane", word: "Dry first", says: (c) => `Fits if the piece has dried to the room: damp under ${lower(c)} blooms and lets go.`, source: HORIE },
  { id: "bond-damp-water", looks_at: "bond", effect: "fair", roles: BONDING, when: (c) => c.found?.damp === true && c.row.carrier === "water", word: "Dries slow", says: "On a damp piece it dries days later than it should.", source: SHEETS },
  { id: "bond-damp-sets", looks_at: "bond", effect: "for", roles: ["adhesive"], when: (c) => c.found?.damp === true && is(c, "polyurethane"), word: "Takes damp", says: "It sets with the damp that other glues fear.", source: "EN 204/205 class D4, typical data sheets" },
  { id: "bond-old-glue", looks_at: "bond", effect: "if", roles: ["adhesive"], when: (c) => c.earlier !== undefined && c.earlier.glue !== "none" && !stickToOwnKind(c), word: "Old glue", says: (c) => `Fits if every trace of the earlier glue (${(c.earlier?.label ?? "").toLowerCase()}) is off first.`, source: BUYS },
  { id: "bond-own-kind", looks_at: "bond", effect: "for", roles: ["adhesive"], when: (c) => stickToOwnKind(c), word: "Own kind", says: "Old animal glue is its own kind: clean and warm it, bare wood is not needed.", source: WOOD },
  { id: "bond-rocks", looks_at: "bond", effect: "if", roles: ["adhesive"], when: (c) => c.found?.rocks === true, word: "Seat it", says: "Fits if what keeps the joint from seating is found first: no glue closes a joint that rocks.", source: TRADE },
  { id: "bond-bright-metal", looks_at: "bond", effect: "note", roles: BONDING, when: (c) => c.on.family === "metal" && bond(c) !== undefined, word: "Bright metal", says: "Abrade the metal bright and bond within the hour: oxide lets go.", source: "ASM Handbook vol. 2, 1990" },
  {
    id: "bond-plasticiser",
    looks_at: "bond",
    effect: "against",
    roles: ["adhesive", "filler"],
    when: (c) => (c.on.substrate === "leatherette" || c.on.substrate === "mdf-vinyl") && is(c, "contact-adhesive", "hot-melt", "acrylic-resin-solvent"),
    word: "Softens",
    says: "Plasticiser that wanders out of the vinyl softens it within months.",
    source: HORIE,
  },
  { id: "bond-sulphur", looks_at: "bond", effect: "fair", roles: ["brace", "colour"], when: (c) => c.on.substrate === "hard-rubber" && c.row.hatch === "metal", word: "Tarnishes", says: "Sulphur in hard rubber tarnishes metal: stainless or sealed only.", source: HORIE },
  { id: "bond-acid-cure", looks_at: "bond", effect: "if", roles: ["filler"], when: (c) => is(c, "silicone-compound") && (c.on.family === "metal" || c.on.substrate === "stone"), word: "Acid", says: (c) => `Fits if it is a neutral-curing kind: the vinegar smell of the other etches ${on(c)}.`, source: SHEETS },
  { id: "bond-hot-on-skin", looks_at: "bond", effect: "if", roles: ["adhesive"], when: (c) => is(c, "hide-glue") && c.on.substrate === "leather", word: "Warm only", says: "Fits if it is no warmer than the hand: above 50 °C the skin shrinks for good.", source: LEATHER },
  { id: "bond-over-glaze", looks_at: "bond", effect: "fair", roles: ["filler"], when: (c) => c.finish.finish === "glaze" && c.row.carrier === "water", word: "Stop at edge", says: "Feathered out over the glaze it lets go: stop at the edge.", source: BUYS },
  { id: "bond-end-grain", looks_at: "bond", effect: "fair", roles: ["adhesive"], when: (c) => c.on.family === "wood" && c.damage.kind === "break-across" && c.row.carrier === "water", word: "End grain", says: "End grain drinks the glue: size both faces, let it tack, glue again.", source: `${WOOD}, ch. 10` },
  { id: "bond-drains", looks_at: "bond", effect: "if", roles: ["adhesive"], when: (c) => c.on.porous && is(c, "penetrating-epoxy"), word: "Drains off", says: (c) => `Fits if the faces are wetted twice: ${on(c)} drinks it and leaves the joint dry.`, source: SHEETS },
  { id: "bond-veneer-resin", looks_at: "bond", effect: "against", roles: ["adhesive"], when: (c) => (c.damage.kind === "veneer-lifted" || c.damage.kind === "veneer-lost") && is(c, "epoxy-fast", "epoxy-slow", "penetrating-epoxy", "polyurethane", "cyanoacrylate", "hot-melt"), word: "Bleeds", says: "Resin bleeds through the pores of veneer and takes no stain: a wood glue is laid.", source: `${WOOD}, ch. 10; trade practice` },
  { id: "bond-hard-on-soft", looks_at: "bond", effect: "refuse", roles: ["filler"], when: (c) => c.row.hardness - c.on.hardness >= 2 && c.on.family === "mineral" && c.service.outdoor === true, word: "Tears off", says: (c) => `Much harder than ${on(c)}: with the first frost it takes the soft ground with it.`, or: "Or mark the piece as kept indoors.", source: HORIE },
  { id: "bond-seals-pores", looks_at: "bond", effect: "against", roles: ["consolidant"], when: (c) => c.service.outdoor === true && is(c, "penetrating-epoxy", "cyanoacrylate"), word: "Seals it", says: "It closes the pores: damp behind it lifts the whole skin.", source: HORIE },
  { id: "bond-fresh-alkali", looks_at: "bond", effect: "fair", roles: ["filler"], when: (c) => is(c, "lime-mortar") && c.on.substrate !== "stone", word: "Alkaline", says: "Lime stays alkaline for weeks and can burn old colour beside it.", source: "EN 459-1; Horie 2010, ch. 7" },
];

/** Animal glue over old animal glue. */
const stickToOwnKind = (c: Case) => c.earlier?.glue === "animal" && is(c, "hide-glue", "fish-glue") && c.role === "adhesive";
