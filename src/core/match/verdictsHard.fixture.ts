import type { Situation } from "./verdictsSoft.fixture";

const HORIE = "Horie, Materials for Conservation, 2010";
const BUYS = "Buys and Oakley, Conservation and Restoration of Ceramics, 1993";
const SHEETS = "typical data sheets of the class";
const TRADE = "trade practice";
const METAL = "ASM Handbook, 1990; data sheets of epoxies on metal";

/** Ceramics, stone, plaster, metal, polymer and bone. */
export const HARD_SITUATIONS: readonly Situation[] = [
  {
    ask: { substrate: "stone", finish: "none", damage: { kind: "crack", gap_mm: 0.4, depth_mm: 10 } },
    says: [
      ["adhesive", "hot-melt", "refused", HORIE],
      ["adhesive", "cellulose-ether", "refused", "a size, not a stone glue: Horie, 2010"],
      ["adhesive", "epoxy-slow", "fits-if", "drawn in, or isolated in a porous stone: Horie, 2010"],
      ["adhesive", "cyanoacrylate", "refused", "gap against data sheets of cyanoacrylates"],
    ],
  },
  {
    ask: { substrate: "stone", finish: "none", damage: { kind: "break-across", gap_mm: 0.1 }, stance: "service" },
    says: [
      ["brace", "plaster-bandage", "refused", "plaster backs plaster: trade practice"],
      ["brace", "metal-pin", "fits", "stainless: rust stains come through, Buys and Oakley, 1993"],
      ["brace", "wood-dowel", "refused", "wood swells in stone: trade practice"],
      ["adhesive", "cellulose-ether", "refused", HORIE],
      ["adhesive", "epoxy-slow", "fits", SHEETS],
      ["adhesive", "hide-glue", "refused", HORIE],
    ],
  },
  {
    ask: { substrate: "stone", finish: "none", damage: { kind: "chip", depth_mm: 6 } },
    says: [
      ["filler", "lime-mortar", "fits", "EN 459-1"],
      ["filler", "stone-resin-mortar", "fits-if", "hard and not reversible: Horie, 2010"],
      ["filler", "wax-fill", "fits", HORIE],
      ["filler", "wood-filler-water", "refused", "made for wood: data sheets"],
    ],
  },
  {
    ask: { substrate: "alabaster", finish: "none", damage: { kind: "chip", depth_mm: 4 } },
    says: [
      ["filler", "gypsum-plaster", "refused", "water dissolves the face of alabaster: solubility of gypsum"],
      ["filler", "cellulose-filler", "refused", "water dissolves the face of alabaster: solubility of gypsum"],
      ["filler", "bulked-resin", "fits", HORIE],
      ["filler", "hard-fill-stick", "refused", "gypsum loses its water from 45 °C: EN 13279-1"],
    ],
  },
  {
    ask: { substrate: "alabaster", finish: "none", damage: { kind: "shards", gap_mm: 0.05 } },
    says: [
      ["adhesive", "acrylic-resin-solvent", "fits", HORIE],
      ["adhesive", "pva", "refused", "water dissolves the face of alabaster: solubility of gypsum"],
      ["adhesive", "fish-glue", "refused", "water dissolves the face of alabaster: solubility of gypsum"],
      ["adhesive", "cyanoacrylate", "fits-if", "it stains a translucent stone: Horie, 2010"],
    ],
  },
  {
    ask: { substrate: "cement-cast", finish: "none", damage: { kind: "corner", depth_mm: 15 }, service: { outdoor: true } },
    says: [
      ["filler", "lime-mortar", "fits", "EN 998-1"],
      ["filler", "gypsum-plaster", "refused", "EN 13279-1: indoor use"],
      ["filler", "stone-resin-mortar", "fits-if", SHEETS],
      ["filler", "silicate-filler", "refused", "a fine filler for millimetres: data sheets"],
    ],
  },
  {
    ask: { substrate: "gypsum", finish: "paint", damage: { kind: "scratch", depth_mm: 0.5, gap_mm: 0.6 }, service: { outdoor: true } },
    says: [
      ["filler", "silicate-filler", "fits", "DIN 18363, 2.4.1"],
      ["filler", "cellulose-filler", "refused", "EN 13963: indoor use"],
    ],
  },
  {
    ask: { substrate: "terracotta", finish: "none", damage: { kind: "chip", depth_mm: 6 } },
    says: [
      ["filler", "gypsum-plaster", "fits-if", "isolate first, salts: Buys and Oakley, 1993"],
      ["filler", "gypsum-cement", "fits-if", "isolate first, salts: Buys and Oakley, 1993"],
      ["filler", "lime-mortar", "fits", "EN 459-1"],
      ["filler", "bulked-resin", "fits", BUYS],
    ],
  },
  {
    ask: { substrate: "earthenware", finish: "glaze", damage: { kind: "shards", gap_mm: 0.05 }, stance: "service" },
    says: [
      ["adhesive", "cyanoacrylate", "fits-if", "porous bodies drink it: Horie, 2010"],
      ["adhesive", "light-cure-acrylic", "refused", "no light passes: data sheets"],
      ["adhesive", "polyurethane", "fits-if", "EN 204/205 class D4: it foams"],
      ["adhesive", "pva", "refused", HORIE],
    ],
  },
  {
    ask: { substrate: "stoneware", finish: "glaze", damage: { kind: "shards", gap_mm: 0.05 }, stance: "service" },
    says: [
      ["adhesive", "polyurethane", "refused", "it sets with damp, and dense faces have none: EN 204/205"],
      ["adhesive", "light-cure-acrylic", "refused", "no light passes: data sheets"],
      ["adhesive", "cyanoacrylate", "fits", SHEETS],
      ["adhesive", "epoxy-fast", "fits", SHEETS],
      ["adhesive", "hot-melt", "refused", HORIE],
    ],
  },
  {
    ask: { substrate: "porcelain", finish: "glaze", damage: { kind: "hole", depth_mm: 3, gap_mm: 8 } },
    says: [
      ["filler", "stone-resin-mortar", "refused", "stone dust is no china: Buys and Oakley, 1993"],
      ["filler", "bulked-epoxy", "fits-if", BUYS],
      ["filler", "gypsum-plaster", "refused", "needs pores: Buys and Oakley, 1993"],
      ["filler", "wax-fill", "fits", BUYS],
    ],
  },
  {
    ask: { substrate: "porcelain", finish: "glaze", damage: { kind: "shards", gap_mm: 0.05, shards: 7 }, working_min: 20 },
    says: [
      ["adhesive", "acrylic-resin-solvent", "fits-if", "laid join by join: Koob, 1986"],
      ["adhesive", "epoxy-slow", "fits", SHEETS],
      ["adhesive", "light-cure-acrylic", "fits-if", "where light passes: data sheets"],
      ["adhesive", "cyanoacrylate", "refused", "its working time against each join: data sheets"],
    ],
  },
  {
    ask: { substrate: "porcelain", finish: "glaze", damage: { kind: "stain" } },
    says: [
      ["colour", "acrylic-paint", "fits-if", "poultice first: Buys and Oakley, 1993"],
      ["colour", "tinted-resin", "fits-if", "poultice first: Buys and Oakley, 1993"],
      ["colour", "spirit-stain", "refused", "stain is transparent: trade practice"],
    ],
  },
  {
    ask: { substrate: "bone-antler-horn", finish: "none", damage: { kind: "eroded", depth_mm: 2 } },
    says: [
      ["consolidant", "cyanoacrylate", "fits-if", "it never comes out of bone: Horie, 2010"],
      ["consolidant", "acrylic-resin-solvent", "fits", HORIE],
      ["filler", "bulked-resin", "fits", HORIE],
      ["filler", "gypsum-plaster", "refused", "not on bone: Horie, 2010"],
    ],
  },
  {
    ask: { substrate: "bone-antler-horn", finish: "none", damage: { kind: "worn-thin", depth_mm: 0.8 } },
    says: [
      ["brace", "backing-fabric", "fits", HORIE],
      ["adhesive", "fish-glue", "fits", HORIE],
      ["adhesive", "hot-melt", "refused", TRADE],
    ],
  },
  {
    ask: { substrate: "brass", finish: "none", damage: { kind: "shards", gap_mm: 0.1 }, stance: "service" },
    says: [
      ["adhesive", "polyurethane", "refused", "it sets with damp, and dense faces have none: EN 204/205"],
      ["adhesive", "epoxy-slow", "fits", METAL],
      ["adhesive", "hide-glue", "refused", "needs pores: Horie, 2010"],
      ["adhesive", "light-cure-acrylic", "refused", "no light passes: data sheets"],
    ],
  },
  {
    ask: { substrate: "iron", finish: "none", damage: { kind: "hole", depth_mm: 4 } },
    says: [
      ["filler", "epoxy-putty", "fits", METAL],
      ["filler", "epoxy-stick-fast", "fits-if", METAL],
      ["filler", "acrylic-dispersion-filler", "refused", "does not hold on metal: data sheets"],
      ["filler", "gypsum-plaster", "refused", "needs pores: EN 13279-1"],
    ],
  },
  {
    ask: { substrate: "iron", finish: "paint", damage: { kind: "chip", depth_mm: 3 } },
    says: [
      ["levelling", "fine-surfacer", "fits-if", "does not hold on bare metal: data sheets"],
      ["levelling", "solvent-surfacer", "fits-if", "its ketone beside paint: Horie, 2010"],
      ["colour", "oil-colour", "fits", SHEETS],
    ],
  },
  {
    ask: { substrate: "soft-metal", finish: "none", damage: { kind: "worn-thin", depth_mm: 0.8 } },
    says: [
      ["brace", "glass-fabric", "fits", SHEETS],
      ["brace", "plaster-bandage", "refused", TRADE],
      ["adhesive", "epoxy-slow", "fits", METAL],
      ["adhesive", "cellulose-ether", "refused", HORIE],
    ],
  },
  {
    ask: { substrate: "celluloid", finish: "none", damage: { kind: "shards", gap_mm: 0.05 } },
    says: [
      ["adhesive", "hot-melt", "refused", "celluloid burns like a fuse: cellulose nitrate"],
      ["adhesive", "hide-glue", "refused", "needs pores: Horie, 2010"],
      ["adhesive", "epoxy-slow", "fits", HORIE],
    ],
  },
  {
    ask: { substrate: "celluloid", finish: "none", damage: { kind: "hole", depth_mm: 2 } },
    says: [
      ["filler", "hard-fill-stick", "refused", "celluloid burns like a fuse: cellulose nitrate"],
      ["filler", "polyester-filler", "refused", "it heats as it sets: cellulose nitrate"],
      ["filler", "mma-acrylic", "refused", "it heats as it sets: cellulose nitrate"],
      ["filler", "epoxy-putty", "fits", "harder than celluloid: trade practice"],
    ],
  },
  {
    ask: { substrate: "stoneware", finish: "glaze", damage: { kind: "scratch", depth_mm: 0.2, gap_mm: 0.3 } },
    says: [
      ["filler", "bulked-resin", "fits", BUYS],
      ["filler", "spray-film", "refused", "no film here: data sheets"],
      ["filler", "epoxy-putty", "refused", "too coarse: data sheets"],
    ],
  },
  {
    ask: { substrate: "gypsum", finish: "none", damage: { kind: "shards", gap_mm: 0.1 } },
    says: [
      ["adhesive", "acrylic-resin-solvent", "fits", HORIE],
      ["adhesive", "cyanoacrylate", "fits-if", "porous: Horie, 2010"],
      ["adhesive", "hot-melt", "refused", TRADE],
      ["adhesive", "cellulose-ether", "refused", HORIE],
    ],
  },
  {
    ask: { substrate: "resin-cast", finish: "paint", damage: { kind: "tip", depth_mm: 5 }, stance: "service" },
    says: [
      ["filler", "epoxy-putty", "fits", "harder than the cast: trade practice"],
      ["filler", "mma-acrylic", "fits-if", "the monomer crazes stressed resin: Horie, 2010"],
      ["filler", "gypsum-plaster", "refused", "needs pores: EN 13279-1"],
      ["brace", "metal-wire", "fits", TRADE],
    ],
  },
];
