import type { ClassName, ROLES } from "../catalogue";
import type { Verdict } from "./judge";
import type { MatchInput } from "./match.schema";

type Role = (typeof ROLES)[number];
/** Role, class, what a restorer would say of it, and where that stands. */
type Said = readonly [Role, ClassName, Verdict, string];

/** One piece with its damage, and what is said of many materials there. */
export interface Situation {
  readonly ask: Partial<MatchInput> & Pick<MatchInput, "substrate" | "damage">;
  readonly says: readonly Said[];
}

const HORIE = "Horie, Materials for Conservation, 2010";
const WOOD = "FPL Wood Handbook, 2021, ch. 10";
const LEATHER = "Kite and Thomson, Conservation of Leather, 2006";
const SHEETS = "typical data sheets of the class";
const TRADE = "trade practice";

/** Wood, board, skin and papier-mâché. */
export const SOFT_SITUATIONS: readonly Situation[] = [
  {
    ask: { substrate: "hardwood", finish: "shellac", damage: { kind: "break-along", gap_mm: 3 } },
    says: [
      ["adhesive", "hot-melt", "refused", "hot-melt creeps and fouls the joint: FPL Wood Handbook, 2021, ch. 10"],
      ["adhesive", "hide-glue", "refused", WOOD],
      ["adhesive", "pva", "refused", "EN 204: films under 0.2 mm"],
      ["adhesive", "thickened-epoxy", "fits-if", "not reversible in a porous face: data sheets of epoxies"],
      ["adhesive", "epoxy-slow", "refused", SHEETS],
      ["colour", "shellac-toner", "fits", "a film takes its own toner: trade practice of polishers"],
      ["colour", "toner-lacquer", "refused", "lacquer thinner lifts shellac: Horie, 2010"],
      ["topcoat", "shellac-polish", "fits", "trade practice of polishers"],
      ["topcoat", "clear-lacquer", "fits-if", HORIE],
    ],
  },
  {
    ask: { substrate: "hardwood", finish: "shellac", damage: { kind: "break-along", gap_mm: 6 }, service: { load: true } },
    says: [
      ["adhesive", "thickened-epoxy", "fits-if", "thickened epoxy bridges 6 mm and more: data sheets of thickened epoxies"],
      ["adhesive", "polyurethane", "refused", "foam carries nothing: EN 204"],
      ["adhesive", "urea-resin", "refused", "EN 301: gaps under 1 mm"],
    ],
  },
  {
    ask: { substrate: "softwood", finish: "none", damage: { kind: "crack", gap_mm: 0.3, closes: true }, service: { acoustic: true } },
    says: [
      ["adhesive", "hide-glue", "fits", "a crack that closes is a closed joint: FPL Wood Handbook, 2021, ch. 10"],
      ["adhesive", "fish-glue", "fits", WOOD],
      ["adhesive", "pva", "fits", WOOD],
      ["adhesive", "contact-adhesive", "refused", "a soft joint damps: trade practice"],
      ["adhesive", "flexible-adhesive", "refused", "a soft joint damps: trade practice"],
    ],
  },
  {
    ask: { substrate: "mdf", finish: "paint", damage: { kind: "crack", gap_mm: 0.1, closes: true } },
    says: [
      ["adhesive", "pva", "fits", "EN 204"],
      ["adhesive", "starch-paste", "refused", "a size for paper: Horie, 2010"],
      ["adhesive", "cellulose-ether", "refused", "a size for paper: Horie, 2010"],
      ["adhesive", "polyurethane", "fits-if", "EN 204/205 class D4: it foams, clamped until set"],
      ["adhesive", "epoxy-slow", "fits-if", SHEETS],
    ],
  },
  {
    ask: { substrate: "mdf-vinyl", finish: "foil", damage: { kind: "veneer-lifted", gap_mm: 0.1 } },
    says: [
      ["adhesive", "contact-adhesive", "fits", "data sheets of contact adhesives; plasticiser: Horie, 2010"],
      ["adhesive", "hide-glue", "refused", "foil lets no water out: data sheets"],
      ["adhesive", "pva", "refused", "foil lets no water out: data sheets"],
      ["adhesive", "starch-paste", "refused", "foil lets no water out: data sheets"],
      ["adhesive", "cyanoacrylate", "refused", "its monomer swells vinyl: Horie, 2010"],
    ],
  },
  {
    ask: { substrate: "mdf-vinyl", finish: "foil", damage: { kind: "chip", depth_mm: 2.3 } },
    says: [
      ["consolidant", "penetrating-epoxy", "fits-if", SHEETS],
      ["consolidant", "acrylic-dispersion-consolidant", "refused", "water swells the fibres: FPL Wood Handbook, 2021"],
      ["consolidant", "acrylic-resin-solvent", "refused", "its ketone wrinkles the foil: Horie, 2010"],
      ["filler", "epoxy-wood-putty", "fits", SHEETS],
      ["filler", "wood-filler-water", "refused", "water swells the fibres: FPL Wood Handbook, 2021"],
      ["filler", "polyester-filler", "refused", "its styrene wrinkles the foil: Horie, 2010"],
      ["colour", "acrylic-paint", "fits-if", "sealed first: FPL Wood Handbook, 2021"],
    ],
  },
  {
    ask: { substrate: "veneer-particleboard", finish: "lacquer", damage: { kind: "veneer-lost", depth_mm: 0.6, thickness_mm: 0.6 } },
    says: [
      ["filler", "veneer-sheet", "fits", TRADE],
      ["filler", "flexible-compound", "refused", "a leather compound has no grain: trade practice"],
      ["filler", "vinyl-compound", "refused", "a leather compound has no grain: trade practice"],
      ["adhesive", "pva", "fits", "EN 204"],
      ["adhesive", "contact-adhesive", "fits", SHEETS],
      ["colour", "spirit-stain", "fits", "bare veneer takes stain: FPL Wood Handbook, 2021, ch. 16"],
      ["colour", "toner-lacquer", "fits", SHEETS],
    ],
  },
  {
    ask: { substrate: "hardwood", finish: "bare", damage: { kind: "chip", depth_mm: 3 } },
    says: [
      ["colour", "spirit-stain", "fits", "FPL Wood Handbook, 2021, ch. 16"],
      ["colour", "acrylic-paint", "fits", SHEETS],
      ["topcoat", "hard-oil", "fits", SHEETS],
      ["topcoat", "wax-polish", "fits", HORIE],
      ["filler", "polyester-drop", "refused", "it fills a film, and there is none: data sheets"],
    ],
  },
  {
    ask: { substrate: "plywood", finish: "lacquer", damage: { kind: "veneer-lifted", gap_mm: 0.1 } },
    says: [
      ["adhesive", "pva", "fits", "EN 204"],
      ["adhesive", "hot-melt", "refused", TRADE],
      ["adhesive", "urea-resin", "fits-if", "EN 636: the glue of plywood itself"],
    ],
  },
  {
    ask: { substrate: "leather", finish: "dye", damage: { kind: "eroded", depth_mm: 0.4 }, found: { powders: true } },
    says: [
      ["consolidant", "hpc-alcohol", "fits-if", LEATHER],
      ["consolidant", "cellulose-ether", "refused", "water blackens red rot: Kite and Thomson, 2006"],
      ["consolidant", "acrylic-dispersion-consolidant", "refused", "water blackens red rot: Kite and Thomson, 2006"],
      ["filler", "flexible-compound", "fits-if", LEATHER],
    ],
  },
  {
    ask: { substrate: "leather", finish: "dye", damage: { kind: "hole", depth_mm: 1.2, diameter_mm: 9 }, service: { flex: true } },
    says: [
      ["filler", "leather-plug", "fits", LEATHER],
      ["filler", "flexible-compound", "fits-if", "its water on dye: Kite and Thomson, 2006"],
      ["filler", "acrylic-dispersion-filler", "refused", LEATHER],
      ["topcoat", "leather-finish", "fits", LEATHER],
      ["topcoat", "clear-lacquer", "refused", "it cracks at the first fold: Kite and Thomson, 2006"],
    ],
  },
  {
    ask: { substrate: "leather", finish: "dye", damage: { kind: "tear", gap_mm: 0.1 }, service: { acoustic: true, flex: true } },
    says: [
      ["adhesive", "flexible-adhesive", "fits", "bellows flex: Kite and Thomson, 2006"],
      ["brace", "backing-fabric", "fits", LEATHER],
      ["adhesive", "epoxy-slow", "refused", LEATHER],
    ],
  },
  {
    ask: { substrate: "leather", finish: "dye", damage: { kind: "tear", gap_mm: 0.1 }, service: { flex: true, outdoor: true } },
    says: [
      ["adhesive", "contact-adhesive", "fits", "rated outdoors by makers: data sheets of contact adhesives"],
      ["adhesive", "flexible-adhesive", "fits", "rated outdoors by makers: data sheets"],
      ["adhesive", "starch-paste", "refused", "paste dissolves outdoors: Horie, 2010"],
    ],
  },
  {
    ask: { substrate: "papier-mache", finish: "paint", damage: { kind: "shards", gap_mm: 0.1 } },
    says: [
      ["adhesive", "starch-paste", "fits", HORIE],
      ["adhesive", "pva", "fits", SHEETS],
      ["adhesive", "epoxy-slow", "refused", "stiff and not reversible in paper: Horie, 2010"],
      ["adhesive", "hot-melt", "refused", TRADE],
    ],
  },
  {
    ask: { substrate: "papier-mache", finish: "paint", damage: { kind: "tear", gap_mm: 0.1 } },
    says: [
      ["brace", "plaster-bandage", "refused", "plaster backs plaster: trade practice"],
      ["brace", "backing-fabric", "fits", HORIE],
    ],
  },
  {
    ask: { substrate: "hardwood", finish: "lacquer", damage: { kind: "dent", depth_mm: 0.4, film_um: 150 } },
    says: [
      ["filler", "spray-film", "fits", "its own kind: data sheets of lacquers"],
      ["filler", "polyester-drop", "refused", "a drop of another kind shows as an eye: data sheets"],
      ["filler", "wood-filler-water", "refused", "a blind spot under gloss: trade practice"],
      ["filler", "epoxy-wood-putty", "refused", "a blind spot under gloss: trade practice"],
    ],
  },
  {
    ask: { substrate: "veneer-solid", finish: "polyester-film", damage: { kind: "dent", depth_mm: 1.2, film_um: 1500 } },
    says: [
      ["filler", "polyester-drop", "fits-if", "its own kind: data sheets of polyester films"],
      ["filler", "spray-film", "refused", "a drop of another kind shows as an eye: data sheets"],
      ["filler", "epoxy-wood-putty", "refused", "a blind spot under gloss: trade practice"],
    ],
  },
  {
    ask: { substrate: "softwood", finish: "paint", damage: { kind: "hole", depth_mm: 10, diameter_mm: 12 }, service: { outdoor: true } },
    says: [
      ["filler", "epoxy-wood-putty", "fits", SHEETS],
      ["filler", "polyester-filler", "refused", "wood moves: FPL Wood Handbook, 2021"],
      ["filler", "wood-filler-water", "refused", "indoor use: data sheets"],
      ["filler", "wood-inlay", "fits-if", "cut square: trade practice"],
      ["colour", "oil-colour", "fits", SHEETS],
      ["colour", "artists-oil", "fits", "Mayer, The Artist’s Handbook"],
    ],
  },
  {
    ask: { substrate: "hardwood", finish: "oil", damage: { kind: "loose-joint", gap_mm: 0.1 }, service: { load: true } },
    says: [
      ["adhesive", "hide-glue", "fits", WOOD],
      ["adhesive", "pva", "fits", "EN 204"],
      ["adhesive", "urea-resin", "fits-if", WOOD],
      ["adhesive", "hot-melt", "refused", WOOD],
      ["adhesive", "contact-adhesive", "refused", WOOD],
      ["adhesive", "acrylic-resin-solvent", "refused", "it stays plastic under a load: FPL Wood Handbook, 2021"],
      ["adhesive", "starch-paste", "refused", WOOD],
    ],
  },
  {
    ask: { substrate: "hardwood", finish: "none", damage: { kind: "break-across", gap_mm: 0.1 }, service: { flex: true } },
    says: [
      ["brace", "wood-spline", "fits-if", "a bend beside the joint: FPL Wood Handbook, 2021"],
      ["brace", "wood-dowel", "fits-if", "a bend beside the joint: FPL Wood Handbook, 2021"],
      ["adhesive", "epoxy-slow", "fits-if", "a bend beside the joint: FPL Wood Handbook, 2021"],
    ],
  },
  {
    ask: { substrate: "hardwood", finish: "shellac", damage: { kind: "chip", depth_mm: 3 } },
    says: [
      ["filler", "flexible-compound", "refused", "a leather compound has no place in furniture: trade practice"],
      ["filler", "vinyl-compound", "refused", "a leather compound has no place in furniture: trade practice"],
      ["filler", "hard-fill-stick", "fits-if", "heat beside shellac: trade practice of polishers"],
      ["filler", "wood-filler-water", "fits", SHEETS],
    ],
  },
  {
    ask: { substrate: "mdf", finish: "none", damage: { kind: "crack", gap_mm: 0.3, depth_mm: 5 }, stance: "service" },
    says: [
      ["adhesive", "hot-melt", "refused", TRADE],
      ["adhesive", "epoxy-slow", "fits", SHEETS],
      ["adhesive", "urea-resin", "fits", WOOD],
    ],
  },
  {
    ask: { substrate: "veneer-particleboard", finish: "lacquer", damage: { kind: "veneer-lifted", gap_mm: 0.1, swelling_mm: 0 } },
    says: [
      ["adhesive", "contact-adhesive", "fits", TRADE],
      ["adhesive", "pva", "fits", "EN 204"],
      ["adhesive", "hot-melt", "refused", TRADE],
    ],
  },
  {
    ask: { substrate: "papier-mache", finish: "gilding", damage: { kind: "worn-thin", depth_mm: 0.8 } },
    says: [
      ["adhesive", "hot-melt", "refused", TRADE],
      ["adhesive", "starch-paste", "fits-if", TRADE],
    ],
  },
];
