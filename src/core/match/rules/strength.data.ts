import { plain } from "../../units";
import type { Case } from "../case";
import { BUYS, HOLDING, HORIE, is, LEATHER, lower, name, type Rule, SHEETS, TRADE, WOOD } from "./rule";

/** What sounds or breathes as a skin: only a flexible joint lives on it. */
const SOFT: readonly string[] = ["skin", "paper"];
/** Where a hot-melt joint is torn off again, with the surface. */
const HARD: readonly string[] = ["wood", "ceramic", "mineral", "bone"];

export const STRENGTH_RULES: readonly Rule[] = [
  { id: "strength-load", looks_at: "strength", effect: "refuse", roles: ["adhesive", "brace"], when: (c) => c.service.load === true && c.row.strength === "light", word: "Too weak", says: (c) => `It carries a load, and ${lower(c)} is light duty.`, source: SHEETS },
  { id: "strength-load-fill", looks_at: "strength", effect: "if", roles: ["filler"], when: (c) => c.service.load === true && c.row.strength === "light", word: "Fills only", says: "Fits if a brace carries the load: this only fills.", source: TRADE },
  { id: "strength-medium", looks_at: "strength", effect: "fair", roles: HOLDING, when: (c) => c.service.load === true && c.row.strength === "medium", word: "Medium", says: "Medium strength under a load: check the joint area.", source: SHEETS },
  { id: "strength-handled", looks_at: "strength", effect: "fair", roles: ["filler"], when: (c) => c.service.touched === true && c.row.strength === "light", word: "Wears", says: "Handled in use, a light fill wears at the edge.", source: TRADE },
  {
    id: "strength-acoustic",
    looks_at: "strength",
    effect: "refuse",
    roles: ["adhesive", "brace"],
    when: (c) => c.service.acoustic === true && c.row.rigidity === "flexible" && !SOFT.includes(c.on.family),
    word: "Damps it",
    says: "A soft joint damps a part that must sound.",
    or: "Or mark the part as one that need not sound.",
    source: TRADE,
  },
  {
    id: "strength-acoustic-skin",
    looks_at: "strength",
    effect: "fair",
    roles: ["adhesive", "brace"],
    when: (c) => c.service.acoustic === true && c.row.rigidity === "flexible" && SOFT.includes(c.on.family),
    word: "Thin, small",
    says: "Bellows and drum skins take a thin, small patch: a thick one is heard.",
    source: LEATHER,
  },
  { id: "strength-acoustic-glue", looks_at: "strength", effect: "for", roles: ["adhesive"], when: (c) => c.service.acoustic === true && (c.row.class === "hide-glue" || c.row.class === "fish-glue"), word: "Sounds", says: "Sets hard and thin: a joint that sounds and opens again with steam.", source: TRADE },
  { id: "strength-acoustic-soft", looks_at: "strength", effect: "against", roles: ["adhesive"], when: (c) => c.service.acoustic === true && is(c, "fish-glue"), word: "Draws damp", says: "It draws damp from the air and softens: hide glue stays harder in a part that sounds.", source: TRADE },
  { id: "strength-fish-load", looks_at: "strength", effect: "fair", roles: ["adhesive"], when: (c) => c.service.load === true && is(c, "fish-glue") && c.damage.kind !== "loose-joint", word: "Draws damp", says: "It draws damp from the air and gives a little under a load: hot hide glue stays harder.", source: WOOD },
  { id: "strength-glass", looks_at: "strength", effect: "against", roles: ["filler"], when: (c) => c.row.strength === "light" && c.damage.kind === "corner" && !(c.on.substrate === "gypsum" && c.row.group === "plaster"), word: "Knocks off", says: "A corner gets knocked: a light fill comes off again.", source: TRADE },
  { id: "wax-top-handled", looks_at: "strength", effect: "fair", roles: ["topcoat"], when: (c) => c.row.class === "wax-polish" && c.service.touched === true, word: "Renew it", says: "Wax wears where hands go: renew it each year.", source: TRADE },
  {
    id: "strength-plastic",
    looks_at: "strength",
    effect: "refuse",
    roles: ["adhesive"],
    when: (c) => c.service.load === true && (c.on.family === "wood" || c.on.family === "board") && is(c, "acrylic-resin-solvent", "flexible-adhesive"),
    word: "Gives way",
    says: "It stays plastic: under the load of a wooden joint it slides apart within weeks.",
    or: "Or mark the piece as carrying no load.",
    source: `${WOOD}, ch. 10`,
  },
  { id: "strength-creeps", looks_at: "strength", effect: "against", roles: ["adhesive"], when: (c) => c.service.load === true && is(c, "hot-melt", "contact-adhesive", "acrylic-resin-solvent", "flexible-adhesive"), word: "Creeps", says: "It stays a little plastic: under a steady load it creeps.", source: HORIE },
  {
    id: "strength-cold-flow",
    looks_at: "strength",
    effect: "against",
    roles: ["adhesive"],
    when: (c) => c.stance === "service" && is(c, "acrylic-resin-solvent") && c.service.load !== true && (c.damage.kind === "shards" || c.damage.kind === "break-across"),
    word: "Flows",
    says: "From about 40 °C it flows: a piece in a warm window sags at its joins.",
    source: HORIE,
  },
  { id: "strength-creeps-slowly", looks_at: "strength", effect: "fair", roles: ["adhesive"], when: (c) => c.service.load === true && is(c, "pva"), word: "Creeps slowly", says: "Under a load that never rests it creeps slowly: a tight joint or a brace stops it.", source: "EN 204; FPL Wood Handbook 2021, ch. 10" },
  {
    id: "strength-warm-load",
    looks_at: "strength",
    effect: "if",
    roles: HOLDING,
    when: (c) => c.service.load === true && c.service.heat_C !== undefined && c.service.heat_C > c.row.service_C[0] - 10 && c.service.heat_C <= c.row.service_C[1],
    word: "Weak when hot",
    says: (c) => `Fits if it rests while it is hot: near ${c.row.service_C[0]} °C it loses its strength.`,
    source: SHEETS,
  },
  { id: "strength-light-cure", looks_at: "strength", effect: "fair", roles: ["adhesive"], when: (c) => is(c, "light-cure-acrylic"), word: "Thin film", says: "Strong only as a thin film between faces that meet.", source: SHEETS },
  { id: "strength-brittle", looks_at: "strength", effect: "fair", roles: ["adhesive"], when: (c) => is(c, "cyanoacrylate") && (c.service.touched === true || c.service.load === true), word: "Brittle", says: "Thin and brittle: a knock opens it.", source: HORIE },
  {
    id: "strength-no-wall",
    looks_at: "strength",
    effect: "refuse",
    roles: ["brace"],
    when: (c) => is(c, "metal-pin", "wood-dowel", "anchor-screw") && sectionOf(c) !== undefined && (sectionOf(c) ?? 9) < 4,
    word: "No wall",
    says: (c) => `A section of ${plain(sectionOf(c) ?? 0, 1)} mm leaves no sound wall around it.`,
    or: "Or back it from behind.",
    source: BUYS,
  },
  {
    id: "strength-thin-wall",
    looks_at: "strength",
    effect: "if",
    roles: ["brace"],
    when: (c) => is(c, "metal-pin", "wood-dowel") && (sectionOf(c) ?? 0) >= 4 && (sectionOf(c) ?? 0) < 9,
    word: "Thin wall",
    says: (c) => `Fits if it is a third of the section: ${plain((sectionOf(c) ?? 0) / 3, 1)} mm at most.`,
    source: BUYS,
  },
  { id: "strength-cleat", looks_at: "strength", effect: "against", roles: ["brace"], when: (c) => c.service.load === true && is(c, "wood-cleat", "metal-wire", "plaster-bandage"), word: "Light", says: (c) => `${name(c)} holds the parts together but does not carry.`, source: TRADE },
  { id: "strength-grain-piece", looks_at: "strength", effect: "for", roles: ["brace"], when: (c) => c.on.family === "wood" && is(c, "wood-spline", "wood-dowel", "wood-cleat"), word: "Same kind", says: "Wood in wood moves with it and can be worked with the same tools.", source: `${WOOD}, ch. 10` },
  { id: "strength-spline-wide", looks_at: "strength", effect: "for", roles: ["brace"], when: (c) => is(c, "wood-spline") && c.service.load === true && c.damage.kind === "break-across", word: "Wide glue", says: "A spline brings long-grain glue area across the break, more than any dowel.", source: `${WOOD}, ch. 10` },
  {
    id: "strength-shock-plaster",
    looks_at: "strength",
    effect: "fair",
    roles: ["filler"],
    when: (c) => c.row.group === "plaster" && (c.damage.kind === "corner" || c.damage.kind === "tip") && c.service.touched === true,
    word: "Knocks off",
    says: "A plaster corner that is handled gets knocked off: put a core in it.",
    source: TRADE,
  },
  { id: "strength-acoustic-fill", looks_at: "strength", effect: "against", roles: ["filler"], when: (c) => c.service.acoustic === true && c.row.rigidity === "flexible", word: "Damps it", says: "A soft fill damps a part that must sound.", source: TRADE },
  {
    id: "strength-hot-melt",
    looks_at: "strength",
    effect: "refuse",
    roles: ["adhesive"],
    when: (c) => is(c, "hot-melt") && (HARD.includes(c.on.family) || ["break-along", "break-across", "shards", "loose-joint", "crack", "worn-thin", "veneer-lifted", "veneer-lost"].includes(c.damage.kind)),
    word: "Keeps open",
    says: "It stiffens before the joint closes or the crack is full and creeps afterwards: the next repair starts by taking it off.",
    source: `${HORIE}; trade practice`,
  },
  { id: "strength-flap", looks_at: "strength", effect: "for", roles: ["brace"], when: (c) => c.damage.kind === "tear" && is(c, "backing-fabric"), word: "Backs it", says: "A patch behind takes the pull off the edges of the tear.", source: LEATHER },
  { id: "strength-tear-light", looks_at: "strength", effect: "fair", roles: ["adhesive"], when: (c) => c.damage.kind === "tear" && c.row.strength === "light", word: "Light", says: "A tear pulls at its ends: so light a glue holds the patch, not the edge.", source: LEATHER },
  { id: "strength-tension", looks_at: "strength", effect: "against", roles: ["adhesive"], when: (c) => c.damage.tension === true && c.row.strength === "light", word: "Pulled open", says: "Tension behind it pulls so light a glue open.", source: LEATHER },
];

/** The thinnest measure of the broken section, mm, where it was measured. */
function sectionOf({ damage }: Case): number | undefined {
  const sides = [damage.width_mm, damage.height_mm, damage.diameter_mm, damage.thickness_mm, damage.base_mm].filter((mm) => mm !== undefined);
  return sides.length > 0 ? Math.min(...sides) : undefined;
}
