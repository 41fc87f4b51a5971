import { type ClassName, classRow, type ROLES } from "../catalogue";
import { factsOf } from "./case";
import { judge } from "./judge";
import { match } from "./match";
import type { MatchInput } from "./match.schema";

const ask = (over: Partial<MatchInput>): MatchInput => ({
  substrate: "stoneware",
  finish: "glaze",
  damage: { kind: "chip", depth_mm: 6 },
  service: {},
  stance: "reversible",
  ...over,
});
const verdict = (over: Partial<MatchInput>, role: (typeof ROLES)[number], name: ClassName) =>
  judge({ ...factsOf(ask(over)), row: classRow(name), role }).verdict;
const first = (over: Partial<MatchInput>, role = "filler") => match(ask(over)).chains[0]?.links.find((link) => link.role === role)?.class;

describe("what a restorer would say", () => {
  const horie = "Horie, Materials for Conservation, 2010";
  const buys = "Buys and Oakley, Conservation and Restoration of Ceramics, 1993";
  const wood = "FPL Wood Handbook, 2021";
  const leather = "Kite and Thomson, Conservation of Leather, 2006";
  const sheets = "data sheets of the class";
  type Said = [Partial<MatchInput>, (typeof ROLES)[number], ClassName, "fits" | "fits-if" | "refused", string];
  const wet = { wet: true };
  const TABLE: readonly Said[] = [
    [{ service: wet }, "filler", "epoxy-putty", "fits", sheets],
    [{ service: wet }, "filler", "gypsum-cement", "refused", horie],
    [{ service: wet }, "filler", "gypsum-plaster", "refused", horie],
    [{ service: wet }, "filler", "cellulose-filler", "refused", horie],
    [{ service: wet }, "filler", "acrylic-dispersion-filler", "fits-if", sheets],
    [{ service: { food: true } }, "filler", "epoxy-putty", "fits-if", "Regulation (EC) 1935/2004"],
    [{ service: { heat_C: 100 } }, "filler", "epoxy-putty", "refused", sheets],
    [{ service: { heat_C: 70 } }, "filler", "epoxy-putty", "fits-if", sheets],
    [{ service: { heat_C: 90 } }, "filler", "wax-fill", "refused", horie],
    [{}, "filler", "polyester-filler", "fits-if", buys],
    [{ stance: "service" }, "filler", "polyester-filler", "fits", sheets],
    [{}, "filler", "flexible-compound", "refused", sheets],
    [{}, "filler", "hard-fill-stick", "refused", sheets],
    [{ climate_C: 7 }, "filler", "epoxy-putty", "refused", sheets],
    [{ climate_C: 7 }, "filler", "acrylic-dispersion-filler", "fits", sheets],
    [{ substrate: "gypsum", finish: "none" }, "filler", "gypsum-plaster", "fits", "EN 13279"],
    [{ substrate: "gypsum", finish: "none" }, "filler", "cellulose-filler", "fits", "EN 13963"],
    [{ substrate: "gypsum", finish: "none" }, "filler", "epoxy-putty", "fits-if", "hardness against the surroundings, trade practice"],
    [{ substrate: "gypsum", finish: "none", service: { outdoor: true } }, "filler", "gypsum-plaster", "refused", sheets],
    [{ substrate: "porcelain", damage: { kind: "shards", gap_mm: 0.1 } }, "adhesive", "acrylic-resin-solvent", "fits", "Koob 1986"],
    [{ substrate: "porcelain", damage: { kind: "shards", gap_mm: 0.1 } }, "adhesive", "pva", "refused", horie],
    [
      { substrate: "porcelain", damage: { kind: "shards", gap_mm: 0.1 }, service: { heat_C: 60 } },
      "adhesive",
      "acrylic-resin-solvent",
      "refused",
      "Koob 1986",
    ],
    [{ substrate: "porcelain", damage: { kind: "shards", gap_mm: 1 } }, "adhesive", "cyanoacrylate", "refused", sheets],
    [{ substrate: "porcelain", damage: { kind: "shards", gap_mm: 1 } }, "adhesive", "epoxy-slow", "fits", sheets],
    [{ substrate: "porcelain", damage: { kind: "shards", gap_mm: 0.1 }, working_min: 30 }, "adhesive", "epoxy-fast", "refused", sheets],
    [{ substrate: "porcelain", damage: { kind: "shards", gap_mm: 0.1 }, working_min: 30 }, "adhesive", "epoxy-slow", "fits", sheets],
    [{ substrate: "earthenware", damage: { kind: "shards", gap_mm: 0.1 } }, "adhesive", "epoxy-slow", "fits-if", buys],
    [{ substrate: "leather", finish: "dye", damage: { kind: "tear", gap_mm: 0.2 } }, "adhesive", "cyanoacrylate", "refused", leather],
    [{ substrate: "leather", finish: "dye", damage: { kind: "tear", gap_mm: 0.2 } }, "adhesive", "epoxy-slow", "refused", leather],
    [{ substrate: "leather", finish: "dye", damage: { kind: "tear", gap_mm: 0.2 } }, "adhesive", "flexible-adhesive", "fits", leather],
    [{ substrate: "leather", finish: "dye", damage: { kind: "tear", gap_mm: 0.2 } }, "brace", "backing-fabric", "fits", leather],
    [{ substrate: "leather", finish: "dye", damage: { kind: "hole", depth_mm: 1 } }, "filler", "epoxy-putty", "refused", leather],
    [{ substrate: "leather", finish: "dye", damage: { kind: "hole", depth_mm: 1 } }, "colour", "acrylic-paint", "refused", leather],
    [{ substrate: "mdf", finish: "paint" }, "filler", "cellulose-filler", "refused", wood],
    [{ substrate: "mdf", finish: "paint" }, "filler", "acrylic-dispersion-filler", "refused", wood],
    [{ substrate: "mdf", finish: "paint" }, "filler", "epoxy-putty", "fits-if", "hardness against the surroundings, trade practice"],
    [{ substrate: "hardwood", finish: "paint", service: { outdoor: true } }, "filler", "polyester-filler", "refused", wood],
    [{ substrate: "hardwood", finish: "paint", service: { outdoor: true } }, "filler", "epoxy-putty", "fits", sheets],
    [
      { substrate: "softwood", finish: "none", damage: { kind: "crack", gap_mm: 0.1 }, service: { acoustic: true } },
      "adhesive",
      "hide-glue",
      "fits",
      wood,
    ],
    [
      { substrate: "softwood", finish: "none", damage: { kind: "crack", gap_mm: 0.1 }, service: { acoustic: true } },
      "adhesive",
      "contact-adhesive",
      "refused",
      "trade practice",
    ],
    [
      { substrate: "hardwood", finish: "shellac", damage: { kind: "veneer-lifted" }, service: { wet: true } },
      "adhesive",
      "hide-glue",
      "refused",
      wood,
    ],
    [
      { substrate: "hardwood", damage: { kind: "break-along", gap_mm: 0.1 }, service: { load: true } },
      "adhesive",
      "contact-adhesive",
      "refused",
      sheets,
    ],
    [{ substrate: "hardwood", damage: { kind: "break-along", gap_mm: 0.1 }, service: { load: true } }, "adhesive", "pva", "fits", "EN 204"],
    [{ substrate: "hardwood", finish: "lacquer", damage: { kind: "scratch", depth_mm: 0.12 } }, "filler", "epoxy-putty", "refused", sheets],
    [
      { substrate: "hardwood", finish: "none", damage: { kind: "scratch", depth_mm: 0.12 } },
      "filler",
      "spray-film",
      "refused",
      "trade practice",
    ],
    [
      { substrate: "resin-cast", finish: "none", damage: { kind: "hole", depth_mm: 4 } },
      "filler",
      "hard-fill-stick",
      "refused",
      "heat against the substrate, data sheets",
    ],
    [{ substrate: "stoneware", damage: { kind: "chip", depth_mm: 20 } }, "filler", "acrylic-dispersion-filler", "refused", sheets],
    [
      { substrate: "terracotta", finish: "none", damage: { kind: "eroded", depth_mm: 3 } },
      "consolidant",
      "ethyl-silicate",
      "fits-if",
      horie,
    ],
    [
      { substrate: "stone", finish: "none", damage: { kind: "eroded", depth_mm: 8 }, service: { outdoor: true } },
      "filler",
      "lime-mortar",
      "fits",
      "EN 459-1",
    ],
    [
      { substrate: "stone", finish: "none", damage: { kind: "eroded", depth_mm: 3 }, service: { outdoor: true } },
      "filler",
      "gypsum-plaster",
      "refused",
      "EN 13279-1: indoor use",
    ],
    [{ substrate: "stone", finish: "none", damage: { kind: "chip", depth_mm: 8 } }, "filler", "vinyl-compound", "refused", sheets],
    [{ substrate: "gypsum", finish: "none", damage: { kind: "eroded", depth_mm: 5 } }, "consolidant", "cyanoacrylate", "fits", sheets],
    [{ substrate: "gypsum", finish: "none", found: { powders: true } }, "filler", "gypsum-plaster", "fits-if", horie],
    [{ substrate: "gypsum", finish: "none", found: { damp: true } }, "filler", "epoxy-putty", "fits-if", horie],
    [
      { substrate: "gypsum", finish: "none", damage: { kind: "chip", depth_mm: 1.5 } },
      "filler",
      "gypsum-plaster",
      "fits",
      "EN 13279-1; thin sections dry out",
    ],
    [{ substrate: "porcelain", damage: { kind: "crack", gap_mm: 0.1 } }, "adhesive", "light-cure-acrylic", "fits-if", sheets],
    [{ substrate: "stoneware", damage: { kind: "crack", gap_mm: 0.1 } }, "adhesive", "light-cure-acrylic", "refused", sheets],
    [
      { substrate: "porcelain", damage: { kind: "shards", gap_mm: 0.1 }, service: { wet: true, heat_C: 65 } },
      "adhesive",
      "cyanoacrylate",
      "refused",
      sheets,
    ],
    [
      { substrate: "porcelain", damage: { kind: "shards", gap_mm: 0.1 }, service: { food: true } },
      "adhesive",
      "epoxy-slow",
      "fits-if",
      "Regulation (EC) 1935/2004",
    ],
    [
      { substrate: "earthenware", damage: { kind: "shards", gap_mm: 0.1 }, earlier_glue: "epoxy" },
      "adhesive",
      "acrylic-resin-solvent",
      "fits-if",
      buys,
    ],
    [
      { substrate: "earthenware", damage: { kind: "shards", gap_mm: 0.1 }, found: { greasy: true } },
      "adhesive",
      "acrylic-resin-solvent",
      "fits-if",
      sheets,
    ],
    [
      { substrate: "earthenware", damage: { kind: "shards", gap_mm: 0.1 }, earlier_glue: "none" },
      "adhesive",
      "acrylic-resin-solvent",
      "fits",
      "Koob 1986",
    ],
    [{ substrate: "bone-china", damage: { kind: "tip", depth_mm: 8, base_mm: 3 } }, "brace", "metal-pin", "refused", buys],
    [{ substrate: "bone-china", damage: { kind: "tip", depth_mm: 12, base_mm: 12 } }, "brace", "metal-pin", "fits", buys],
    [{ substrate: "bone-china", damage: { kind: "tip", depth_mm: 12, base_mm: 7 } }, "brace", "metal-pin", "fits-if", buys],
    [
      { substrate: "hardwood", finish: "none", damage: { kind: "break-across", width_mm: 22, height_mm: 22 }, service: { load: true } },
      "brace",
      "wood-spline",
      "fits",
      wood,
    ],
    [
      { substrate: "hardwood", finish: "none", damage: { kind: "break-across", width_mm: 22, height_mm: 22 }, service: { load: true } },
      "brace",
      "wood-dowel",
      "fits",
      wood,
    ],
    [
      { substrate: "hardwood", finish: "none", damage: { kind: "break-across" }, earlier_glue: "animal" },
      "adhesive",
      "hide-glue",
      "fits",
      wood,
    ],
    [
      { substrate: "hardwood", finish: "none", damage: { kind: "break-across" }, earlier_glue: "animal" },
      "adhesive",
      "pva",
      "fits-if",
      wood,
    ],
    [
      { substrate: "hardwood", finish: "none", damage: { kind: "break-across", gap_mm: 0.1 }, service: { load: true } },
      "adhesive",
      "acrylic-resin-solvent",
      "refused",
      wood,
    ],
    [{ substrate: "hardwood", finish: "none", damage: { kind: "break-across" }, climate_C: 15 }, "adhesive", "hide-glue", "fits-if", wood],
    [
      { substrate: "hardwood", finish: "none", damage: { kind: "break-across" }, climate_C: 10 },
      "adhesive",
      "urea-resin",
      "refused",
      sheets,
    ],
    [
      { substrate: "hardwood", finish: "none", damage: { kind: "break-across" }, service: { load: true } },
      "adhesive",
      "hot-melt",
      "refused",
      sheets,
    ],
    [
      { substrate: "hardwood", finish: "none", damage: { kind: "break-along" }, service: { skin: true } },
      "adhesive",
      "polyurethane",
      "refused",
      "Regulation (EC) 1272/2008",
    ],
    [
      { substrate: "hardwood", finish: "none", damage: { kind: "break-along" }, service: { skin: true } },
      "adhesive",
      "epoxy-slow",
      "fits-if",
      "Regulation (EC) 1272/2008",
    ],
    [
      { substrate: "hardwood", finish: "none", damage: { kind: "break-along" }, service: { outdoor: true } },
      "adhesive",
      "pva",
      "refused",
      "EN 204",
    ],
    [
      { substrate: "hardwood", finish: "none", damage: { kind: "break-along" }, service: { outdoor: true } },
      "adhesive",
      "polyurethane",
      "fits-if",
      "EN 204 class D4",
    ],
    [
      { substrate: "hardwood", finish: "shellac", damage: { kind: "veneer-lifted", swelling_mm: 0.6 } },
      "adhesive",
      "hide-glue",
      "fits-if",
      wood,
    ],
    [
      { substrate: "veneer-solid", finish: "shellac", damage: { kind: "veneer-lost", depth_mm: 0.7 } },
      "filler",
      "gypsum-cement",
      "refused",
      sheets,
    ],
    [
      { substrate: "veneer-solid", finish: "shellac", damage: { kind: "veneer-lost", depth_mm: 2 } },
      "filler",
      "wood-inlay",
      "fits-if",
      wood,
    ],
    [{ substrate: "hardwood", finish: "oil", damage: { kind: "hole", depth_mm: 5 } }, "filler", "wood-filler-water", "fits", sheets],
    [
      { substrate: "hardwood", finish: "oil", damage: { kind: "hole", depth_mm: 5 }, service: { wet: true } },
      "filler",
      "wood-filler-water",
      "refused",
      sheets,
    ],
    [{ substrate: "softwood", finish: "paint", damage: { kind: "hole", depth_mm: 15 } }, "filler", "epoxy-wood-putty", "fits", sheets],
    [
      { substrate: "softwood", finish: "paint", damage: { kind: "hole", depth_mm: 15 }, stance: "service" },
      "filler",
      "epoxy-wood-putty",
      "fits",
      sheets,
    ],
    [
      { substrate: "softwood", finish: "none", damage: { kind: "crack", gap_mm: 0.1 }, service: { acoustic: true, load: true } },
      "adhesive",
      "hide-glue",
      "fits",
      wood,
    ],
    [
      { substrate: "hardwood", finish: "gilding", damage: { kind: "chip", depth_mm: 2 } },
      "colour",
      "metal-leaf",
      "fits",
      "trade practice of gilders",
    ],
    [
      { substrate: "hardwood", finish: "paint", damage: { kind: "chip", depth_mm: 2 } },
      "colour",
      "metal-leaf",
      "refused",
      "trade practice of gilders",
    ],
    [{ substrate: "hardwood", finish: "wax", damage: { kind: "chip", depth_mm: 2 } }, "topcoat", "clear-lacquer", "fits-if", horie],
    [{ substrate: "hardwood", finish: "wax", damage: { kind: "chip", depth_mm: 2 } }, "topcoat", "wax-polish", "fits", horie],
    [
      { substrate: "hardwood", finish: "lacquer", damage: { kind: "burn-through", depth_mm: 0.1 } },
      "colour",
      "toner-lacquer",
      "fits-if",
      "lacquer thinner lifts lacquer, Horie 2010, app. 2",
    ],
    [{ substrate: "stoneware", damage: { kind: "chip", depth_mm: 3 } }, "colour", "toner-lacquer", "refused", sheets],
    [
      { substrate: "hardwood", finish: "shellac", damage: { kind: "chip", depth_mm: 2 }, finish_survives: true },
      "topcoat",
      "shellac-polish",
      "fits-if",
      "Horie 2010, app. 2",
    ],
    [
      { substrate: "leather", finish: "dye", damage: { kind: "tear", gap_mm: 0.1 }, service: { flex: true } },
      "adhesive",
      "pva",
      "fits-if",
      leather,
    ],
    [{ substrate: "leather", finish: "dye", damage: { kind: "tear", gap_mm: 0.2 } }, "adhesive", "hide-glue", "refused", leather],
    [
      { substrate: "leather", finish: "dye", damage: { kind: "tear", gap_mm: 0.2 } },
      "adhesive",
      "starch-paste",
      "refused",
      "gap against the data sheets of pastes",
    ],
    [{ substrate: "leather", finish: "dye", damage: { kind: "tear", gap_mm: 0.1 } }, "adhesive", "starch-paste", "fits-if", leather],
    [{ substrate: "leatherette", finish: "none", damage: { kind: "tear", gap_mm: 0.2 } }, "adhesive", "contact-adhesive", "fits", sheets],
    [{ substrate: "leatherette", finish: "none", damage: { kind: "hole", depth_mm: 1 } }, "filler", "vinyl-compound", "fits", sheets],
    [
      { substrate: "soft-metal", finish: "none", damage: { kind: "hole", depth_mm: 3 } },
      "filler",
      "epoxy-putty",
      "fits-if",
      "hardness against soft metal, trade practice",
    ],
    [{ substrate: "brass", finish: "lacquer", damage: { kind: "hole", depth_mm: 3 } }, "filler", "silicone-compound", "fits-if", sheets],
    [
      { substrate: "resin-cast", finish: "paint", damage: { kind: "chip", depth_mm: 3 } },
      "levelling",
      "solvent-surfacer",
      "fits-if",
      horie,
    ],
    [
      { substrate: "papier-mache", finish: "paint", damage: { kind: "chip", depth_mm: 3 } },
      "filler",
      "gypsum-plaster",
      "refused",
      "water swells paper board; FPL Wood Handbook 2021",
    ],
    [{ substrate: "composition", finish: "gilding", damage: { kind: "chip", depth_mm: 2 } }, "filler", "glue-chalk", "fits-if", horie],
  ];
  test("there are at least 80, each with its source", () => {
    expect(TABLE.length).toBeGreaterThanOrEqual(80);
    for (const [, , , , source] of TABLE) expect(source.length).toBeGreaterThan(5);
  });

  test.each(TABLE)("%j as %s: %s %s (%s)", (over, role, name, expected) => {
    expect(verdict(over, role, name)).toBe(expected);
  });

  test("what comes first", () => {
    expect(first({ service: wet })).toBe("epoxy-putty");
    expect(first({ substrate: "gypsum", finish: "none", damage: { kind: "corner", depth_mm: 20 } })).toBe("gypsum-plaster");
    expect(first({ substrate: "leather", finish: "dye", damage: { kind: "tear", gap_mm: 0.1 } }, "adhesive")).toBe("flexible-adhesive");
    const rail: Partial<MatchInput> = {
      substrate: "hardwood",
      finish: "shellac",
      damage: { kind: "break-across", gap_mm: 0.1 },
      service: { load: true },
    };
    expect(first({ ...rail, earlier_glue: "animal" }, "adhesive")).toBe("hide-glue");
    expect(first({ substrate: "bone-china", damage: { kind: "shards", gap_mm: 0.1 } }, "adhesive")).toBe("acrylic-resin-solvent");
    expect(
      first(
        { substrate: "bone-china", damage: { kind: "shards", gap_mm: 0.1 }, service: { wet: true, load: true }, stance: "service" },
        "adhesive",
      ),
    ).toBe("epoxy-slow");
    expect(first({ substrate: "hardwood", finish: "lacquer", damage: { kind: "scratch", depth_mm: 0.12 }, stance: "service" })).toBe(
      "spray-film",
    );
  });
});
