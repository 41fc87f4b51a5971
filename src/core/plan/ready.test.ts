import { type Finish, SUBSTRATES, type Substrate } from "../catalogue";
import { CHIP, pieceOf } from "./pieces.fixture";

const HOLE = { kind: "hole", diameter_mm: 12, depth_mm: 1, through: true } as const;
const planOf = (substrate: Substrate, finish: Finish) =>
  pieceOf(substrate, finish, substrate === "leather" || substrate === "leatherette" ? HOLE : CHIP);

describe("a loss is cleaned by what it is in", () => {
  test.each<[Substrate, Finish, RegExp, readonly string[]]>([
    ["stoneware", "glaze", /^Wipe the break with alcohol, twice$/, ["vapour"]],
    ["gypsum", "none", /^Brush the loss, then blow it out/, ["dust-mineral"]],
    ["alabaster", "none", /^Brush the loss, then blow it out/, ["dust-mineral"]],
    ["hardwood", "none", /keep every fibre that still keys$/, ["dust-wood"]],
    ["mdf", "none", /no water$/, ["dust-wood"]],
    ["papier-mache", "none", /no water$/, ["dust-mineral", "residues"]],
    ["leather", "dye", /barely damp with white spirit$/, ["vapour", "residues"]],
    ["leatherette", "dye", /no solvent$/, []],
    ["celluloid", "none", /no alcohol, no ketone$/, ["celluloid"]],
    ["hard-rubber", "none", /no ketone$/, ["vapour"]],
    ["brass", "none", /^Degrease, then abrade/, ["vapour", "dust-metal"]],
    ["bone-antler-horn", "none", /barely damp alcohol$/, ["vapour", "residues"]],
  ])("%s, %s", (substrate, finish, words, cautions) => {
    const clean = planOf(substrate, finish).op("ready/clean");
    expect(clean.text).toMatch(words);
    expect(clean.cautions).toEqual(cautions);
  });

  test("water never goes on what water harms", () => {
    for (const { substrate, fears_water, family } of SUBSTRATES) {
      if (!fears_water || family === "skin") continue;
      expect(planOf(substrate, "none").op("ready/clean").text).not.toMatch(/(wash|soap|wet)/i);
    }
  });
});

describe("lead is asked of what may hold it, before anything makes dust", () => {
  test.each<[Substrate, Finish, boolean]>([
    ["hardwood", "paint", true],
    ["hardwood", "gilding", true],
    ["earthenware", "glaze", true],
    ["soft-metal", "none", true],
    ["iron", "paint", true],
    ["hardwood", "shellac", false],
    ["stoneware", "glaze", false],
    ["brass", "none", false],
    ["celluloid", "none", false],
  ])("%s, %s: %s", (substrate, finish, asked) => {
    const plan = planOf(substrate, finish);
    expect(plan.has("lead-test")).toBe(asked);
    if (asked) expect(plan.inOrder("lead-test", "level/grit")).toBe(true);
  });
});

describe("what is sanded with", () => {
  test.each<[Substrate, Finish, RegExp]>([
    ["stoneware", "glaze", /wet, a drop of soap/],
    ["hardwood", "none", /dry, along the grain/],
    ["gypsum", "none", /, dry$/],
    ["iron", "none", /dry, or with white spirit: water rusts it/],
    ["brass", "none", /wet, or spirit/],
    ["celluloid", "none", /, wet$/],
  ])("%s, %s", (substrate, finish, words) => {
    expect(planOf(substrate, finish).op("level/grit").text).toMatch(words);
  });

  test("skin is not sanded at all", () => {
    for (const substrate of ["leather", "leatherette"] as const) expect(planOf(substrate, "dye").has("level/grit")).toBe(false);
  });
});

test("a dense break is keyed inside the loss only, a porous one keys itself", () => {
  for (const substrate of ["stoneware", "porcelain", "celluloid", "brass"] as const)
    expect(planOf(substrate, substrate === "celluloid" || substrate === "brass" ? "none" : "glaze").op("ready/key").text).toMatch(
      /inside the loss only/,
    );
  for (const substrate of ["terracotta", "gypsum", "hardwood"] as const) expect(planOf(substrate, "none").has("ready/key")).toBe(false);
});

test("a finish that a solvent may lift is tried on a hidden spot, and looked at after an hour before it is masked", () => {
  for (const finish of ["shellac", "lacquer", "paint"] as const) {
    const plan = planOf("hardwood", finish);
    expect(plan.op("mask").after.find(({ op }) => op.includes("test-spot"))?.min_min).toBe(60);
  }
  expect(planOf("hardwood", "none").has("test-spot")).toBe(false);
});

test("tape never goes on leaf or dyed skin", () => {
  expect(planOf("hardwood", "gilding").op("mask").text).toBe("Film around it, weighted: tape lifts leaf");
  expect(planOf("leather", "dye").op("mask").text).toMatch(/no tape on dyed leather$/);
  expect(planOf("hardwood", "shellac").op("mask").text).toBe("Tape or film the edge around it");
});
