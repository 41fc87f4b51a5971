import type { Role } from "../catalogue";
import { figure, formatMinutes, plain } from "../units";
import type { Case } from "./case";
import type { Criterion } from "./criteria.data";
import { workingRange } from "./working";

/** `refuse` ends it, `if` is a condition, `fair` and `against` only cost, `for` is said in its favour. */
export type Effect = "refuse" | "if" | "fair" | "against" | "for";

export interface Rule {
  readonly id: string;
  readonly looks_at: Criterion;
  readonly effect: Effect;
  /** Absent = every role. */
  readonly roles?: readonly Role[];
  readonly when: (c: Case) => boolean;
  /** The word in the table, two at most. */
  readonly word: string | ((c: Case) => string);
  /** One sentence: why, and for a condition what to do. */
  readonly says: string | ((c: Case) => string);
  /** On a refusal: what else would lift it. */
  readonly or?: string;
  readonly source: string;
}

const BONDING: readonly Role[] = ["consolidant", "adhesive", "brace", "filler", "levelling"];
const FILLING: readonly Role[] = ["filler", "levelling"];
const HOLDING: readonly Role[] = ["adhesive", "brace", "filler"];

const HORIE = "Horie, Materials for Conservation, 2010";
const BUYS = "Buys and Oakley, Conservation and Restoration of Ceramics, 1993";
const WOOD = "FPL Wood Handbook, 2021";
const SHEETS = "typical data sheets of the class";
const TRADE = "trade practice, a rule of thumb";

const name = (c: Case) => c.row.name;
const on = (c: Case) => c.on.label.toLowerCase();
const bond = (c: Case) => c.row.bonds[c.on.family];
const layersNeeded = (c: Case) => Math.ceil((c.damage.depth_mm ?? 0) / c.row.max_layer_mm - 1e-9);

/** Every rule of one material against one piece. A new rule is a new entry; nothing else changes. */
export const RULES: readonly Rule[] = [
  { id: "bond-none", looks_at: "bond", effect: "refuse", when: (c) => bond(c) === undefined, word: "Lets go", says: (c) => `${name(c)} does not hold on ${on(c)}.`, source: HORIE },
  { id: "bond-needs-pores", looks_at: "bond", effect: "refuse", roles: BONDING, when: (c) => c.row.needs_pores && !c.on.porous && bond(c) !== undefined, word: "No key", says: (c) => `${name(c)} needs pores to key into, and ${on(c)} is dense.`, source: HORIE },
  { id: "bond-fair", looks_at: "bond", effect: "fair", when: (c) => bond(c) === "fair", word: "Fair", says: (c) => `${name(c)} holds fairly on ${on(c)}: key the loss first.`, source: HORIE },

  {
    id: "gap-too-wide",
    looks_at: "gap",
    effect: "refuse",
    roles: ["adhesive"],
    when: (c) => (c.damage.gap_mm ?? 0) > c.row.gap_mm[1],
    word: "Too wide",
    says: (c) => `${name(c)} bridges ${plain(c.row.gap_mm[1], 2)} mm at most, and the gap is ${plain(c.damage.gap_mm ?? 0, 2)} mm.`,
    or: "Or close the gap with slips first.",
    source: SHEETS,
  },
  {
    id: "gap-hairline",
    looks_at: "gap",
    effect: "refuse",
    roles: ["filler"],
    when: (c) => c.damage.gap_mm !== undefined && c.damage.gap_mm < c.row.gap_mm[0] && (c.damage.depth_mm ?? 0) >= c.damage.gap_mm,
    word: "Too thick",
    says: (c) => `${name(c)} is too thick for an opening of ${plain(c.damage.gap_mm ?? 0, 2)} mm.`,
    source: SHEETS,
  },
  { id: "gap-shallow", looks_at: "gap", effect: "refuse", roles: ["filler"], when: (c) => c.damage.depth_mm !== undefined && c.damage.depth_mm < c.row.gap_mm[0], word: "Too coarse", says: (c) => `${name(c)} is too coarse for a loss only ${plain(c.damage.depth_mm ?? 0, 2)} mm deep.`, source: SHEETS },
  {
    id: "gap-many-layers",
    looks_at: "gap",
    effect: "fair",
    roles: FILLING,
    when: (c) => layersNeeded(c) > 1 && layersNeeded(c) <= 3,
    word: (c) => `${layersNeeded(c)} layers`,
    says: (c) => `${plain(c.damage.depth_mm ?? 0)} mm takes ${layersNeeded(c)} layers of ${plain(c.row.max_layer_mm, 2)} mm, each cured before the next.`,
    source: SHEETS,
  },
  {
    id: "gap-too-many-layers",
    looks_at: "gap",
    effect: "against",
    roles: FILLING,
    when: (c) => layersNeeded(c) > 3 && layersNeeded(c) <= 6,
    word: (c) => `${layersNeeded(c)} layers`,
    says: (c) => `${plain(c.damage.depth_mm ?? 0)} mm takes ${layersNeeded(c)} layers, days of waiting: a thicker filler is done sooner.`,
    source: SHEETS,
  },
  { id: "gap-too-deep", looks_at: "gap", effect: "refuse", roles: ["filler"], when: (c) => layersNeeded(c) > 6, word: "Too deep", says: (c) => `${name(c)} would need ${layersNeeded(c)} layers for ${plain(c.damage.depth_mm ?? 0)} mm.`, or: "Or build up the depth with another filler.", source: SHEETS },
  { id: "gap-shrinks", looks_at: "gap", effect: "fair", roles: ["filler"], when: (c) => c.row.shrinkage_pct[0] >= 5 && layersNeeded(c) <= 6, word: "Sinks", says: (c) => `It sinks ${plain(c.row.shrinkage_pct[0])} to ${plain(c.row.shrinkage_pct[1])} % of its thickness: overfill.`, source: SHEETS },

  {
    id: "time-too-short",
    looks_at: "time",
    effect: "refuse",
    roles: HOLDING,
    when: (c) => c.working_min !== undefined && workingRange(c)[1] < c.working_min,
    word: "Too short",
    says: (c) => `It stays workable ${formatMinutes(Math.max(1, workingRange(c)[1]))} at most, and assembly takes ${formatMinutes(c.working_min ?? 0)}.`,
    or: "Or split the work into sub-assemblies.",
    source: SHEETS,
  },
  {
    id: "time-tight",
    looks_at: "time",
    effect: "if",
    roles: HOLDING,
    when: (c) => c.working_min !== undefined && workingRange(c)[0] < c.working_min && workingRange(c)[1] >= c.working_min,
    word: "Tight",
    says: (c) => `Fits if the dry run stays under ${formatMinutes(Math.max(1, workingRange(c)[0]))}: makers differ on its working time.`,
    source: SHEETS,
  },
  { id: "time-cold", looks_at: "time", effect: "refuse", when: (c) => c.climate_C !== undefined && c.climate_C < c.row.cure.min_C, word: "Too cold", says: (c) => `It does not cure below ${c.row.cure.min_C} °C, and it is ${figure(c.climate_C ?? 0, 1)} °C here.`, or: "Or warm the room and the piece.", source: SHEETS },

  { id: "time-no-second-try", looks_at: "time", effect: "fair", roles: ["adhesive"], when: (c) => c.row.class === "contact-adhesive", word: "Grabs at once", says: "Both faces grab at first touch: there is no second try.", source: SHEETS },

  { id: "level-skin", looks_at: "level", effect: "refuse", roles: HOLDING, when: (c) => c.on.family === "skin" && c.row.rigidity === "rigid", word: "Tears it", says: (c) => `A rigid material tears the edge of ${on(c)} as it moves.`, source: "Kite and Thomson, Conservation of Leather, 2006" },
  { id: "level-flex", looks_at: "level", effect: "refuse", roles: HOLDING, when: (c) => c.service.flex === true && c.row.rigidity === "rigid" && c.on.family !== "skin", word: "Cracks", says: (c) => `It must flex, and ${name(c).toLowerCase()} is rigid: it breaks out.`, source: HORIE },
  {
    id: "level-coat-folds",
    looks_at: "level",
    effect: "refuse",
    roles: ["colour", "topcoat", "levelling"],
    when: (c) => c.on.family === "skin" && c.row.rigidity !== "flexible",
    word: "Cracks",
    says: (c) => `It cracks at the first fold: ${on(c)} needs a coat that flexes.`,
    source: "Kite and Thomson, Conservation of Leather, 2006",
  },
  { id: "level-tough-flex", looks_at: "level", effect: "if", roles: HOLDING, when: (c) => (c.service.flex === true || c.on.family === "skin") && c.row.rigidity === "tough", word: "Thin only", says: "Fits if it is laid thin, under half a millimetre: thick it stiffens the edge.", source: TRADE },
  { id: "level-hump", looks_at: "level", effect: "if", roles: ["filler"], when: (c) => c.row.hardness - c.on.hardness >= 2, word: "Leaves a hump", says: (c) => `Fits if you trim it in the firm window and level with a block: set, it is harder than ${on(c)}.`, source: TRADE },
  { id: "level-harder", looks_at: "level", effect: "fair", roles: ["filler"], when: (c) => c.row.hardness - c.on.hardness === 1, word: "Slower", says: (c) => `A little harder than ${on(c)}: use a hard block.`, source: TRADE },
  { id: "level-gums", looks_at: "level", effect: "against", roles: ["filler"], when: (c) => c.row.hardness === 1 && c.on.hardness > 1, word: "Smears", says: "It smears under abrasive: cut it flush with a card, don't sand.", source: TRADE },
  {
    id: "level-polyester-moves",
    looks_at: "level",
    effect: "refuse",
    roles: ["filler"],
    when: (c) => c.row.class === "polyester-filler" && c.on.family === "wood" && (c.service.outdoor === true || c.service.flex === true),
    word: "Breaks out",
    says: "Wood moves with the seasons, polyester can't: it opens a line along the edge.",
    source: WOOD,
  },
  { id: "level-moves", looks_at: "level", effect: "fair", roles: ["filler"], when: (c) => c.on.moves && c.row.rigidity === "rigid" && c.on.family !== "skin" && c.row.hardness - c.on.hardness < 1, word: "Rigid", says: (c) => `${c.on.label} moves: a rigid fill shows a hairline in time.`, source: WOOD },

  { id: "strength-load", looks_at: "strength", effect: "refuse", roles: ["adhesive", "brace"], when: (c) => c.service.load === true && c.row.strength === "light", word: "Too weak", says: (c) => `It carries a load, and ${name(c).toLowerCase()} is light duty.`, source: SHEETS },
  { id: "strength-load-fill", looks_at: "strength", effect: "if", roles: ["filler"], when: (c) => c.service.load === true && c.row.strength === "light", word: "Fills only", says: "Fits if a brace carries the load: this only fills.", source: TRADE },
  { id: "strength-medium", looks_at: "strength", effect: "fair", roles: HOLDING, when: (c) => c.service.load === true && c.row.strength === "medium", word: "Medium", says: "Medium strength under a load: check the joint area.", source: SHEETS },
  { id: "strength-handled", looks_at: "strength", effect: "fair", roles: ["filler"], when: (c) => c.service.touched === true && c.row.strength === "light", word: "Wears", says: "Handled in use, a light fill wears at the edge.", source: TRADE },
  { id: "strength-acoustic", looks_at: "strength", effect: "refuse", roles: ["adhesive", "brace"], when: (c) => c.service.acoustic === true && c.row.rigidity === "flexible", word: "Damps it", says: "A soft joint damps a part that must sound.", source: TRADE },
  { id: "strength-acoustic-glue", looks_at: "strength", effect: "for", roles: ["adhesive"], when: (c) => c.service.acoustic === true && (c.row.class === "hide-glue" || c.row.class === "fish-glue"), word: "Sounds", says: "Sets hard and thin: a joint that sounds and opens again with steam.", source: TRADE },
  { id: "strength-glass", looks_at: "strength", effect: "against", roles: ["filler"], when: (c) => c.row.strength === "light" && c.damage.kind === "corner", word: "Knocks off", says: "A corner gets knocked: a light fill comes off again.", source: TRADE },

  { id: "heat-over", looks_at: "service", effect: "refuse", when: (c) => (c.service.heat_C ?? -60) > c.row.service_C[1], word: "Softens", says: (c) => `It softens from ${c.row.service_C[0]} °C, and this piece sees ${plain(c.service.heat_C ?? 0)} °C.`, or: "Or keep the piece cooler.", source: SHEETS },
  {
    id: "heat-near",
    looks_at: "service",
    effect: "if",
    when: (c) => (c.service.heat_C ?? -60) > c.row.service_C[0] && (c.service.heat_C ?? -60) <= c.row.service_C[1],
    word: "Short heat",
    says: (c) => `Fits if the heat is short: makers put softening between ${c.row.service_C[0]} and ${c.row.service_C[1]} °C.`,
    source: SHEETS,
  },
  { id: "wet-drinks", looks_at: "service", effect: "refuse", when: (c) => c.service.wet === true && c.row.water === "no", word: "Drinks water", says: "It drinks water, and this piece is washed: it softens and stains from behind.", or: "Or mark the piece as never washed.", source: HORIE },
  { id: "wet-splash", looks_at: "service", effect: "if", when: (c) => c.service.wet === true && c.row.water === "splash", word: "Wipe only", says: "Fits if it is wiped, never soaked: it clouds or swells in standing water.", source: SHEETS },
  { id: "outdoor-no", looks_at: "service", effect: "refuse", when: (c) => c.service.outdoor === true && !c.row.outdoor, word: "Indoors", says: "Sun, frost or damp breaks it down outdoors.", or: "Or mark the piece as kept indoors.", source: SHEETS },
  {
    id: "food-decorative",
    looks_at: "service",
    effect: "if",
    roles: ["adhesive", "filler", "colour", "topcoat", "levelling"],
    when: (c) => c.service.food === true,
    word: "No food",
    says: "Fits if food stays off it: a repaired vessel is decorative unless the data sheet says otherwise.",
    source: "Regulation (EC) 1935/2004, art. 3",
  },
  { id: "service-styrene", looks_at: "service", effect: "against", roles: ["filler"], when: (c) => c.row.hazards.includes("styrene"), word: "Fumes", says: "Styrene vapour: outdoors or under extraction only.", source: SHEETS },

  { id: "reverse-no", looks_at: "reverse", effect: "against", when: (c) => c.row.reversible.grade === "no", word: "No", says: (c) => `Not reversible: ${c.row.reversible.by}.`, source: HORIE },
  { id: "reverse-barrier", looks_at: "reverse", effect: "if", roles: ["filler"], when: (c) => c.stance === "reversible" && c.row.reversible.grade === "no", word: "Barrier", says: "Fits if two coats of a reversible resin seal the break first, so that the fill lifts off again.", source: BUYS },
  { id: "reverse-adhesive-porous", looks_at: "reverse", effect: "if", roles: ["adhesive"], when: (c) => c.stance === "reversible" && c.row.reversible.grade === "no" && c.on.porous, word: "Seal first", says: "Fits if the break is sealed first: in open pores it never comes out.", source: BUYS },
  { id: "reverse-effort", looks_at: "reverse", effect: "fair", when: (c) => c.row.reversible.grade === "effort", word: "With effort", says: (c) => `Comes out with effort: ${c.row.reversible.by}.`, source: HORIE },

  {
    id: "water-swells-board",
    looks_at: "finish",
    effect: "refuse",
    roles: ["filler", "levelling", "colour"],
    when: (c) => c.row.carrier === "water" && (c.on.family === "board" || c.on.family === "paper") && c.row.max_layer_mm > 1,
    word: "Swells it",
    says: (c) => `Its water swells ${on(c)}: the edge stands up and stays up.`,
    source: WOOD,
  },
  {
    id: "water-board-thin",
    looks_at: "finish",
    effect: "if",
    roles: ["filler", "levelling", "colour"],
    when: (c) => c.row.carrier === "water" && (c.on.family === "board" || c.on.family === "paper") && c.row.max_layer_mm <= 1,
    word: "Seal first",
    says: (c) => `Fits if the ${on(c)} is sealed first: its water raises the fibres.`,
    source: WOOD,
  },
  {
    id: "finish-solvent",
    looks_at: "finish",
    effect: "if",
    when: (c) => c.row.carrier !== "heat" && c.finish.harmed_by.includes(c.row.carrier) && !(c.role === "adhesive" && c.damage.kind === "tear"),
    word: "Mask it",
    says: (c) => `Fits if the ${c.finish.label.toLowerCase()} is masked or the material stays inside the loss: its ${c.row.carrier} lifts it.`,
    source: `${HORIE}, app. 2`,
  },
  { id: "finish-heat", looks_at: "finish", effect: "if", when: (c) => c.row.carrier === "heat" && c.finish.harmed_by.includes("heat"), word: "Shield it", says: (c) => `Fits if the ${c.finish.label.toLowerCase()} is shielded: the hot knife softens it.`, source: TRADE },
  { id: "substrate-heat", looks_at: "finish", effect: "refuse", when: (c) => c.row.carrier === "heat" && c.on.max_C < 60, word: "Scorches", says: (c) => `The heat it needs harms ${on(c)}.`, source: SHEETS },
  { id: "monomer-polymer", looks_at: "finish", effect: "if", roles: ["filler", "adhesive"], when: (c) => c.row.carrier === "monomer" && c.on.family === "polymer", word: "Crazes", says: "Fits if a test spot stays clear: the monomer can craze stressed resin.", source: HORIE },
  { id: "finish-paint-only", looks_at: "finish", effect: "fair", roles: ["filler"], when: (c) => (c.finish.finish === "oil" || c.finish.finish === "wax" || c.finish.finish === "dye") && !c.row.takes_stain, word: "Paint it", says: "It takes no stain: the repair must be painted.", source: SHEETS },
  {
    id: "film-own-film",
    looks_at: "finish",
    effect: "against",
    roles: ["filler"],
    when: (c) => c.finish.film && c.finish.gloss && c.damage.kind === "scratch" && c.row.class !== "spray-film",
    word: "Dull line",
    says: (c) => `In a clear film it shows as a dull line: ${c.finish.label.toLowerCase()} is best filled with its own kind.`,
    source: TRADE,
  },
  { id: "film-needs-film", looks_at: "finish", effect: "refuse", roles: ["filler"], when: (c) => c.row.class === "spray-film" && !c.finish.film, word: "No film", says: "It fills a film, and this surface has none.", source: TRADE },
  { id: "only-for", looks_at: "gap", effect: "refuse", when: (c) => c.row.only_for !== undefined && !c.row.only_for.includes(c.damage.kind), word: "Not for this", says: (c) => `${name(c)} is not made for this kind of damage.`, source: TRADE },
  { id: "wax-top-handled", looks_at: "strength", effect: "fair", roles: ["topcoat"], when: (c) => c.row.class === "wax-polish" && c.service.touched === true, word: "Renew it", says: "Wax wears where hands go: renew it each year.", source: TRADE },
  { id: "top-own-kind", looks_at: "finish", effect: "against", roles: ["topcoat"], when: (c) => !TOP_OF[c.row.class]?.includes(c.finish.finish), word: "Looks other", says: (c) => `It does not look like the ${c.finish.label.toLowerCase()} beside it.`, source: TRADE },
  {
    id: "stain-opaque",
    looks_at: "finish",
    effect: "refuse",
    roles: ["colour"],
    when: (c) => c.row.class === "spirit-stain" && (c.finish.finish === "paint" || c.finish.finish === "glaze" || c.finish.finish === "gilding"),
    word: "Sees through",
    says: (c) => `Stain is transparent; ${c.finish.label.toLowerCase()} is not.`,
    source: TRADE,
  },
];

/** Which top coats look like which finish. */
const TOP_OF: Partial<Record<Case["row"]["class"], readonly string[]>> = {
  "clear-acrylic": ["glaze", "paint", "gilding"],
  "cold-glaze": ["glaze", "polyester-film"],
  "shellac-polish": ["shellac", "oil"],
  "clear-lacquer": ["lacquer", "polyester-film"],
  "spray-film": ["lacquer", "polyester-film"],
  "wax-polish": ["wax", "oil", "none", "dye"],
};
