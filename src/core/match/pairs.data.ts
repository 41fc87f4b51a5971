import type { MaterialClass, Role } from "../catalogue";
import { inSentence } from "../units";
import type { Facts } from "./case";

/** What a neighbour may look at: nothing that a shop's own product can override, so that one jar of a class clashes like the next. */
type Traits = Pick<MaterialClass, "class" | "name" | "group" | "hatch" | "rigidity" | "strength" | "takes_stain" | "needs_pores" | "reversible" | "carrier" | "hazards">;

export interface Link {
  readonly role: Role;
  readonly row: Traits;
}

/** What one link does to a later one. `over` lies on, or next to, `under`. */
export interface PairRule {
  readonly id: string;
  readonly effect: "refuse" | "if";
  readonly when: (under: Link, over: Link, facts: Facts) => boolean;
  readonly says: (under: Link, over: Link) => string;
  readonly source: string;
}

type ClassName = MaterialClass["class"];

const COATING: readonly Role[] = ["levelling", "colour", "topcoat"];
const STRONG: readonly string[] = ["ketone", "monomer"];
const isCoat = ({ role }: Link) => COATING.includes(role);
const lower = ({ row }: Link) => inSentence(row.name);
const is = ({ row }: Link, ...classes: readonly ClassName[]) => classes.includes(row.class);
const fills = ({ role }: Link) => role === "filler";
const DENSE: readonly ClassName[] = ["epoxy-putty", "bulked-epoxy", "polyester-filler", "wood-filler-two-part", "mma-acrylic", "stone-resin-mortar", "epoxy-wood-putty", "bulked-resin"];
const OILS: readonly ClassName[] = ["oil-colour", "artists-oil"];
const POLYESTERS: readonly ClassName[] = ["polyester-filler", "wood-filler-two-part"];

const SHEETS = "typical data sheets";
const TRADE = "trade practice, a rule of thumb";

/** Between neighbouring links. A new clash is a new entry. */
export const PAIR_RULES: readonly PairRule[] = [
  { id: "stain-on-closed", effect: "refuse", when: (under, over) => fills(under) && is(over, "spirit-stain") && !under.row.takes_stain, says: (under, over) => `${over.row.name} does not take on ${lower(under)}: it stays pale.`, source: SHEETS },
  { id: "coat-on-wax", effect: "refuse", when: (under, over) => is(under, "wax-fill") && isCoat(over) && !is(over, "wax-polish"), says: (under, over) => `${over.row.name} peels off ${lower(under)}: wax under a coat destroys adhesion.`, source: "Horie 2010" },
  { id: "coat-on-silicone", effect: "refuse", when: (under, over) => is(under, "silicone-compound") && isCoat(over), says: (under, over) => `${over.row.name} does not wet ${lower(under)}: nothing sticks on silicone.`, source: SHEETS },
  {
    id: "coat-lifts-colour",
    effect: "if",
    when: (under, over) => under.role === "colour" && over.role === "topcoat" && over.row.carrier === "ketone" && under.row.reversible.grade === "easy",
    says: (_, over) => `Fits if ${lower(over)} goes on in mist coats: its solvent lifts the colour when it lies wet.`,
    source: "Horie 2010",
  },
  { id: "alcohol-lifts-stain", effect: "if", when: (under, over) => is(under, "spirit-stain") && over.row.carrier === "alcohol", says: () => "Fits if the stain is locked under a thin first coat: polish drags it along.", source: TRADE },
  { id: "alcohol-lifts-resin", effect: "if", when: (under, over) => under.role === "colour" && is(under, "acrylic-paint", "tinted-resin") && over.row.carrier === "alcohol", says: (_, over) => `Fits if ${lower(over)} is padded on fast: alcohol softens acrylic colour.`, source: "Horie 2010" },
  { id: "rigid-on-soft-joint", effect: "if", when: (under, over) => under.role === "adhesive" && under.row.rigidity === "flexible" && fills(over) && over.row.rigidity === "rigid", says: (under, over) => `Fits if the joint cannot move: ${lower(over)} cracks over ${lower(under)}.`, source: "Horie 2010" },
  { id: "solvent-trapped", effect: "if", when: (under, over) => under.role === "consolidant" && under.row.carrier === "ketone" && fills(over) && over.row.carrier === "water", says: () => "Fits if the consolidant's solvent has left for a day: trapped, it blooms under a water-borne fill.", source: "Horie 2010" },
  {
    id: "water-trapped",
    effect: "if",
    when: (under, over) => under.role === "consolidant" && under.row.carrier === "water" && ["none", "monomer", "ketone"].includes(over.row.carrier) && (fills(over) || over.role === "adhesive"),
    says: (_, over) => `Fits if the consolidant has dried for a day: water under ${lower(over)} blooms and lets go.`,
    source: SHEETS,
  },
  {
    id: "plaster-needs-suction",
    effect: "if",
    when: (under, over) => under.role === "consolidant" && !is(under, "ethyl-silicate", "cellulose-ether") && over.row.needs_pores && (fills(over) || over.role === "brace"),
    says: (_, over) => `Fits if the consolidant stays below the surface: ${lower(over)} keys into open pores only.`,
    source: "Horie 2010",
  },
  { id: "silicate-wait", effect: "if", when: (under, over) => is(under, "ethyl-silicate") && fills(over), says: () => "Fits if it has had two to four weeks: until then the stone throws water off.", source: "typical data sheets of stone strengtheners" },
  { id: "styrene-on-resin", effect: "if", when: (under, over) => is(under, "acrylic-resin-solvent") && over.row.carrier === "monomer", says: (under, over) => `Fits if ${lower(under)} has dried a day and stays thin: ${lower(over)} softens it.`, source: "Horie 2010" },
  { id: "pin-rust", effect: "if", when: (under, over, { on }) => is(under, "metal-pin") && (on.family === "mineral" || over.row.hatch === "plaster") && over.role !== "consolidant", says: () => "Fits if the pin is stainless: rust stains come through.", source: "Buys and Oakley 1993" },
  {
    id: "pin-in-thin-glue",
    effect: "if",
    when: (under, over) => under.role === "adhesive" && is(under, "cyanoacrylate", "pva", "hide-glue", "fish-glue", "starch-paste", "cellulose-ether", "urea-resin") && is(over, "metal-pin", "anchor-screw"),
    says: (under) => `Fits if the pin itself is set in epoxy: ${lower(under)} does not fill the hole around it.`,
    source: "Buys and Oakley 1993",
  },
  { id: "dowel-swells", effect: "if", when: (under, over) => under.role === "adhesive" && under.row.carrier === "water" && is(over, "wood-dowel", "wood-spline"), says: (_, over) => `Fits if ${lower(over)} goes in at once and dry: the glue's water swells it tight halfway.`, source: "FPL Wood Handbook 2021, ch. 10" },
  {
    id: "fabric-needs-resin",
    effect: "refuse",
    when: (under, over) => under.role === "adhesive" && is(over, "glass-fabric") && !is(under, "epoxy-slow", "penetrating-epoxy", "thickened-epoxy"),
    says: (under, over) => `${over.row.name} is laid in a laminating resin: ${lower(under)} does not wet it through.`,
    source: SHEETS,
  },
  { id: "cotton-heats", effect: "refuse", when: (under, over) => is(under, "cyanoacrylate") && is(over, "backing-fabric", "glass-fabric"), says: () => "Cyanoacrylate flashes hot on fabric and sets stiff as a board.", source: SHEETS },
  { id: "stiff-patch", effect: "if", when: (under, over) => under.role === "adhesive" && under.row.rigidity === "rigid" && is(over, "backing-fabric"), says: (under) => `Fits if the patch need not bend: ${lower(under)} sets it stiff and its edge prints through.`, source: "Kite and Thomson 2006" },
  { id: "glue-film-under-stain", effect: "if", when: (under, over) => under.role === "adhesive" && is(over, "spirit-stain", "hard-oil"), says: (_, over) => `Fits if no glue is smeared beside the joint: ${lower(over)} stays pale on it.`, source: TRADE },
  {
    id: "solvent-reopens",
    effect: "if",
    when: (under, over) => under.role === "adhesive" && is(under, "acrylic-resin-solvent", "contact-adhesive", "hot-melt") && over.row.carrier === "ketone" && over.role !== "brace",
    says: (under, over) => `Fits if ${lower(over)} is kept short and thin: its solvent reopens ${lower(under)}.`,
    source: "Horie 2010",
  },
  {
    id: "water-reopens",
    effect: "if",
    when: (under, over) => under.role === "adhesive" && is(under, "hide-glue", "fish-glue", "starch-paste", "cellulose-ether") && over.row.carrier === "water" && (fills(over) || isCoat(over)),
    says: (under, over) => `Fits if ${lower(over)} carries little water: ${lower(under)} swells again.`,
    source: "Horie 2010",
  },
  { id: "brittle-glaze-soft", effect: "if", when: (under, over) => is(over, "cold-glaze") && fills(under) && under.row.strength === "light", says: (under) => `Fits if ${lower(under)} is sealed first: it drinks the coat unevenly.`, source: SHEETS },
  { id: "ketone-on-polyester", effect: "if", when: (under, over) => is(under, ...POLYESTERS) && isCoat(over) && over.row.carrier === "ketone", says: () => "Fits if the polyester has cured a full day: young crust lifts under strong solvent.", source: SHEETS },
  { id: "ketone-on-mma", effect: "if", when: (under, over) => is(under, "mma-acrylic") && isCoat(over) && over.row.carrier === "ketone", says: (_, over) => `Fits if ${lower(over)} is misted: strong solvent crazes young acrylic.`, source: SHEETS },
  {
    id: "ketone-on-soft-fill",
    effect: "if",
    when: (under, over) => fills(under) && is(under, "bulked-resin", "acrylic-dispersion-filler", "hard-fill-stick", "vinyl-compound") && isCoat(over) && over.row.carrier === "ketone",
    says: (under, over) => `Fits if ${lower(over)} goes on in mist coats: its solvent softens ${lower(under)}.`,
    source: "Horie 2010",
  },
  { id: "heat-on-soft-fill", effect: "if", when: (under, over) => fills(under) && is(under, "wax-fill", "hard-fill-stick") && over.row.carrier === "hydrocarbon", says: (under, over) => `Fits if ${lower(over)} is wiped thin: its solvent softens ${lower(under)}.`, source: "Horie 2010" },
  { id: "gesso-on-dense", effect: "if", when: (under, over) => is(over, "glue-gesso") && is(under, ...DENSE), says: (under) => `Fits if ${lower(under)} is scored and sized: gesso finds no pores in it.`, source: TRADE },
  { id: "watercolour-on-dense", effect: "if", when: (under, over) => is(over, "watercolour") && fills(under) && is(under, ...DENSE), says: (under) => `Fits if a ground lies between: watercolour beads on ${lower(under)}.`, source: "Buys and Oakley 1993" },
  { id: "water-over-watercolour", effect: "if", when: (under, over) => is(under, "watercolour") && over.role === "topcoat" && over.row.carrier === "water", says: (under, over) => `Fits if the colour is fixed first: ${lower(over)} makes ${lower(under)} run.`, source: "Horie 2010" },
  { id: "lacquer-on-young-oil", effect: "refuse", when: (under, over) => is(under, ...OILS) && STRONG.includes(over.row.carrier), says: (under, over) => `${over.row.name} wrinkles ${lower(under)}: its solvent swells oil that is younger than months.`, source: SHEETS },
  {
    id: "coat-on-slow-oil",
    effect: "if",
    when: (under, over) => is(under, ...OILS) && over.role === "topcoat" && !STRONG.includes(over.row.carrier),
    says: (under) => `Fits if ${lower(under)} has dried for ${is(under, "artists-oil") ? "three to twelve months" : "one to four weeks"}: a coat too soon cracks over it.`,
    source: "Horie 2010; Mayer, The Artist’s Handbook",
  },
  { id: "oil-on-dense-fill", effect: "if", when: (under, over) => is(over, "hard-oil") && fills(under) && !under.row.takes_stain, says: (under) => `Fits if it is wiped off ${lower(under)} at once: oil stays sticky where nothing drinks it.`, source: SHEETS },
  { id: "solvent-on-leaf", effect: "if", when: (under, over) => is(under, "metal-leaf") && over.role === "topcoat" && over.row.carrier !== "water", says: (_, over) => `Fits if the size is through-dry: ${lower(over)} creeps under the leaf.`, source: "trade practice of gilders, a rule of thumb" },
  { id: "water-on-leaf", effect: "if", when: (under, over) => is(under, "metal-leaf") && over.row.carrier === "water", says: () => "Fits if the leaf lies on oil size: water lifts a water gilding.", source: "trade practice of gilders, a rule of thumb" },
  { id: "water-raises-stain", effect: "if", when: (under, over) => is(under, "spirit-stain") && is(over, "water-lacquer"), says: () => "Fits if the stain is sealed first: water raises the grain and bleeds it.", source: SHEETS },
  { id: "isocyanate-on-wet", effect: "if", when: (under, over) => over.row.hazards.includes("isocyanate") && isCoat(under) && under.row.carrier === "water", says: (under) => `Fits if ${lower(under)} has dried a day: the hardener bubbles on water.`, source: SHEETS },
  { id: "wax-on-young-colour", effect: "if", when: (under, over) => under.role === "colour" && is(over, "wax-polish"), says: () => "Fits if the colour has cured: the polish's spirit drags it along.", source: TRADE },
  { id: "dressing-stops-cure", effect: "if", when: (under, over) => is(under, "flexible-compound", "flexible-adhesive") && is(over, "wax-polish"), says: (under) => `Fits if ${lower(under)} has cured to the full: a dressing before that stops it.`, source: "Kite and Thomson 2006" },
  { id: "film-on-lime", effect: "if", when: (under, over) => is(under, "lime-mortar") && isCoat(over), says: (_, over) => `Fits if the lime has had a month: young, it burns ${lower(over)} and needs to breathe.`, source: "EN 459-1; typical data sheets of repair mortars" },
  {
    id: "film-on-wet-plaster",
    effect: "if",
    when: (under, over) => fills(under) && under.row.group === "plaster" && isCoat(over) && ["ketone", "hydrocarbon", "alcohol", "none"].includes(over.row.carrier),
    says: (_, over) => `Fits if the plaster is bone dry, warm to the cheek: damp under ${lower(over)} blisters.`,
    source: "EN 13279-1; trade practice",
  },
  {
    id: "coat-on-soft",
    effect: "if",
    when: (under, over) => fills(under) && under.row.rigidity === "flexible" && !is(under, "wax-fill", "silicone-compound") && isCoat(over) && over.row.rigidity !== "flexible",
    says: (under, over) => `Fits if the fill need not bend: ${lower(over)} cracks on ${lower(under)}.`,
    source: "Kite and Thomson 2006",
  },
];

/** A release agent or mask that was there before, against a link. Here `under` is that one. */
export interface ReleaseRule extends Omit<PairRule, "when"> {
  readonly when: (release: Traits, link: Link, facts: Facts) => boolean;
}

const releaseIs = ({ class: name }: Traits, ...classes: readonly ClassName[]) => classes.includes(name);

/** What a release agent does to the chain, or the chain to it. */
export const RELEASE_RULES: readonly ReleaseRule[] = [
  { id: "release-under-colour", effect: "if", when: (release, link) => releaseIs(release, "petroleum-jelly", "release-wax", "soap-release") && isCoat(link), says: (under) => `Fits if every trace is off before colour: ${under.row.reversible.by}.`, source: "Buys and Oakley 1993" },
  { id: "release-in-pores", effect: "refuse", when: (release, _, { on }) => releaseIs(release, "petroleum-jelly") && on.porous, says: () => "It sinks into the pores, stains, and keeps every later glue off.", source: "Horie 2010" },
  { id: "release-wax-in-pores", effect: "if", when: (release, _, { on }) => releaseIs(release, "release-wax") && on.porous, says: () => "Fits if the pores are sealed first: wax in them never comes out.", source: "Horie 2010" },
  { id: "jelly-stops-polyester", effect: "if", when: (release, link) => releaseIs(release, "petroleum-jelly") && is(link, ...POLYESTERS), says: () => "Fits if it is wiped to a breath: styrene dissolves it and the skin stays sticky.", source: SHEETS },
  { id: "soap-on-resin", effect: "refuse", when: (release, link) => releaseIs(release, "soap-release") && link.role === "filler" && link.row.group !== "plaster", says: (_, over) => `Soap parts plaster from plaster; ${lower(over)} sticks through it.`, source: TRADE },
  { id: "film-dissolves", effect: "refuse", when: (release, link) => releaseIs(release, "release-alcohol") && link.role === "filler" && link.row.carrier === "water", says: (_, over) => `Water in ${lower(over)} dissolves the film.`, source: SHEETS },
  {
    id: "latex-swells",
    effect: "refuse",
    when: (release, link) => releaseIs(release, "masking-latex") && ["hydrocarbon", "monomer", "ketone"].includes(link.row.carrier) && (link.role === "filler" || isCoat(link)),
    says: (_, over) => `The solvent in ${lower(over)} swells the latex and creeps under it.`,
    source: SHEETS,
  },
  { id: "latex-on-copper", effect: "refuse", when: (release, _, { on }) => releaseIs(release, "masking-latex") && on.substrate === "brass", says: () => "Its ammonia stains brass dark.", source: SHEETS },
  { id: "tape-on-gilding", effect: "refuse", when: (release, _, { finish }) => releaseIs(release, "low-tack-tape") && finish.finish === "gilding", says: () => "Even low tack lifts leaf off.", source: TRADE },
  { id: "tape-on-loose", effect: "refuse", when: (release, _, { found }) => releaseIs(release, "low-tack-tape", "masking-latex") && found?.lifted === true, says: () => "It takes the lifted edges with it when it comes off.", source: TRADE },
  { id: "tape-on-skin", effect: "if", when: (release, _, { on, finish }) => releaseIs(release, "low-tack-tape") && on.family === "skin" && finish.finish === "dye", says: () => "Fits if a hidden spot keeps its colour: tape can pull dye off.", source: "Kite and Thomson 2006" },
  { id: "film-melts", effect: "refuse", when: (release, link) => releaseIs(release, "parting-film", "low-tack-tape", "release-alcohol", "masking-latex") && link.row.carrier === "heat", says: (_, over) => `It melts under the heat that ${lower(over)} needs.`, source: SHEETS },
  { id: "wax-finish-tape", effect: "if", when: (release, _, { finish }) => releaseIs(release, "low-tack-tape") && finish.finish === "wax", says: () => "Fits if it is pressed only lightly: tape takes the wax off and leaves a dull edge.", source: TRADE },
];
