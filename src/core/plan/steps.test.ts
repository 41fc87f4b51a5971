import {
  CLASS_ROWS,
  type ClassName,
  cautionRow,
  classRow,
  earlierGlueRow,
  FINISHES,
  finishRow,
  PIECE_KINDS,
  type PlannedStep,
  type StepFacts,
  type StepRow,
  SUBSTRATES,
  stepsFor,
  substrateRow,
} from "../catalogue";
import { ownerLines } from "../close/ownerDates";
import { COLOUR_STEPS } from "../colour/steps.data";
import { JOIN_STEPS } from "../join/steps.data";
import { BACKINGS, LADDER_ENDS, LADDER_STARTS, LUBRICANTS } from "../level/plan.data";
import { walk } from "../level/walk";
import { READY_STEPS } from "../ready/steps.data";

const facts = (over: Partial<StepFacts> = {}): StepFacts => ({
  piece: "vessel",
  on: substrateRow("stoneware"),
  finish: finishRow("glaze"),
  damage: "chip",
  survives: false,
  through: false,
  stance: "reversible",
  found: {},
  chain: { filler: classRow("epoxy-putty"), colour: classRow("acrylic-paint"), topcoat: classRow("clear-acrylic") },
  ...over,
});
const names = (rows: readonly StepRow[], over: Partial<StepFacts> = {}) => stepsFor(rows, facts(over)).map(({ step }) => step);

describe("make ready", () => {
  test.each<[string, Partial<StepFacts>, string, boolean]>([
    ["every piece is photographed", {}, "photograph", true],
    ["an earlier repair is taken off", { earlier: earlierGlueRow("epoxy") }, "remove-old", true],
    ["what loosens it is tried on one spot first", { earlier: earlierGlueRow("epoxy") }, "test-old-glue", true],
    ["where nothing was glued, nothing is taken off", {}, "remove-old", false],
    ["lifted edges are laid", { found: { lifted: true } }, "lay-edges", true],
    ["a damp piece dries out", { found: { damp: true } }, "dry-out", true],
    ["a greasy break is degreased", { found: { greasy: true } }, "degrease", true],
    ["a film that must survive needs a fall-back", { finish: finishRow("lacquer"), survives: true }, "fall-back", true],
    ["a stain in wood is bleached", { damage: "stain", on: substrateRow("hardwood") }, "bleach", true],
    ["a mould asks for its release agent", { form: "mould" }, "release", true],
    ["and that comes off before colour", { form: "mould" }, "off-release", true],
    ["a mould takes the place of the dam", { form: "mould" }, "dam", false],
    ["a form that was chosen is made", { form: "card" }, "form", true],
    ["furniture is taken apart", { piece: "furniture" }, "take-apart", true],
    ["a jar is not taken apart", {}, "take-apart", false],
    ["old paint is tested first", { finish: finishRow("paint") }, "old-paint", true],
    ["glaze holds no lead test", {}, "old-paint", false],
    ["a fill that must come off again gets a barrier", {}, "barrier", true],
    ["one that comes off by itself needs none", { chain: { filler: classRow("acrylic-dispersion-filler") } }, "barrier", false],
    ["service first keys the break instead", { stance: "service" }, "key", true],
    ["nothing is keyed beside gypsum", { stance: "service", on: substrateRow("gypsum") }, "key", false],
    ["a chip gets a dam", {}, "dam", true],
    ["a blind hole gets none", { damage: "hole" }, "dam", false],
    ["a hole that goes through does", { damage: "hole", through: true }, "dam", true],
    ["what is glued is dry-fitted", { chain: { adhesive: classRow("pva") } }, "dry-run", true],
    ["what is only filled is not", {}, "dry-run", false],
    ["so is a dye that must survive", { finish: finishRow("dye"), survives: true }, "test-spot", true],
    ["a dye that may go is not", { finish: finishRow("dye") }, "test-spot", false],
    ["nothing lifts glaze", { survives: true }, "test-spot", false],
    ["a film is tried on a hidden spot", { finish: finishRow("lacquer") }, "test-spot", true],
    [
      "fibre edges are locked",
      { chain: { consolidant: classRow("acrylic-resin-solvent"), filler: classRow("epoxy-putty") } },
      "consolidate",
      true,
    ],
  ])("%s", (_, over, step, expected) => {
    expect(names(READY_STEPS, over).includes(step)).toBe(expected);
  });

  test("cleaning follows the substrate", () => {
    const clean = (substrate: Parameters<typeof substrateRow>[0]) =>
      stepsFor(READY_STEPS, facts({ on: substrateRow(substrate) })).find(({ step }) => step === "clean")?.text;
    expect(clean("porcelain")).toMatch(/alcohol/);
    expect(clean("gypsum")).toMatch(/^Brush/);
    expect(clean("leather")).toMatch(/de-wax/);
    expect(clean("mdf")).toMatch(/no water/);
  });
});

describe("join", () => {
  test("wet, clamp, check, squeeze-out, unclamp: in this order", () => {
    expect(names(JOIN_STEPS, { chain: { adhesive: classRow("epoxy-slow") } })).toEqual([
      "spread",
      "clamp",
      "check",
      "squeeze-out",
      "unclamp",
    ]);
    expect(names(JOIN_STEPS)).toEqual([]);
  });

  test.each([
    ["wood-dowel", ["drill", "brace", "spread"]],
    ["wood-spline", ["slot", "brace", "spread"]],
    ["backing-fabric", ["patch", "spread", "clamp"]],
  ] as const)("%s begins with its own work", (brace, first) => {
    expect(names(JOIN_STEPS, { chain: { adhesive: classRow("pva"), brace: classRow(brace) } }).slice(0, 3)).toEqual(first);
  });

  test("what was decided at the brace counts, not what the chain would have held", () => {
    const chain = { adhesive: classRow("pva"), brace: classRow("wood-dowel") };
    const work = (brace: string, of: StepFacts["chain"] = chain) =>
      stepsFor(JOIN_STEPS, facts({ on: substrateRow("hardwood"), damage: "break-across", brace, chain: of }));
    expect(work("none").map(({ step }) => step)).toEqual(["spread", "clamp", "check", "squeeze-out", "unclamp"]);
    expect(work("spline")[0]).toMatchObject({ text: "Rout the slot for the spline, pass by pass", cautions: ["dust-wood"] });
    expect(work("dowel")[1]?.text).toBe("Fit the wood dowel dry");
    expect(work("cleat", { adhesive: classRow("hide-glue") }).at(-1)?.text).toBe("Glue the cleats across the crack from behind");
  });

  test("ceramic is drilled with diamond, wood with a block behind", () => {
    const why = (substrate: Parameters<typeof substrateRow>[0]) =>
      stepsFor(JOIN_STEPS, facts({ on: substrateRow(substrate), brace: "pin", chain: { adhesive: classRow("epoxy-slow") } }))[0];
    expect(why("porcelain")).toMatchObject({ why: expect.stringContaining("under water in hard"), cautions: ["dust-mineral"] });
    expect(why("softwood")).toMatchObject({ why: expect.stringContaining("block behind"), cautions: ["dust-wood"] });
  });

  test("a thin place is laid up from behind after the faces are wet, and nothing is drilled for it", () => {
    const chain = { adhesive: classRow("pva"), brace: classRow("plaster-bandage") };
    const steps = stepsFor(JOIN_STEPS, facts({ on: substrateRow("gypsum"), damage: "worn-thin", chain }));
    expect(steps.map(({ step }) => step)).toEqual(["spread", "lay-up", "clamp", "check", "squeeze-out", "unclamp"]);
    expect(steps[1]?.text).toBe("Lay up the plaster bandage from behind, layer by layer");
  });

  test("squeeze-out is wiped from what is smooth, left and sliced where it would go into pores", () => {
    const squeeze = (substrate: Parameters<typeof substrateRow>[0]) =>
      stepsFor(JOIN_STEPS, facts({ on: substrateRow(substrate), chain: { adhesive: classRow("pva") } })).find(
        ({ step }) => step === "squeeze-out",
      );
    expect(squeeze("porcelain")).toMatchObject({ text: "Wipe the squeeze-out while wet", cautions: [] });
    expect(squeeze("hardwood")).toMatchObject({ text: "Leave the squeeze-out, slice it when rubbery", cautions: ["blade"] });
  });
});

test("sheen is matched only where there is a top coat", () => {
  expect(names(COLOUR_STEPS)).toContain("sheen");
  expect(names(COLOUR_STEPS, { chain: { colour: classRow("acrylic-paint") } })).not.toContain("sheen");
});

test("on every substrate, finish and kind of piece the words are whole and the cautions exist", () => {
  const chain: StepFacts["chain"] = {
    consolidant: classRow("acrylic-resin-solvent"),
    adhesive: classRow("epoxy-slow"),
    brace: classRow("metal-pin"),
    filler: classRow("epoxy-putty"),
    colour: classRow("acrylic-paint"),
    topcoat: classRow("clear-acrylic"),
  };
  const isWhole = ({ text, why, done_when, hands_min, wait_min, cautions }: PlannedStep) =>
    !/undefined|\[object| {2}/.test(`${text} ${why} ${done_when}`) &&
    /^[A-Z]/.test(text) &&
    /^[A-Z].*\.$/.test(why) &&
    hands_min > 0 &&
    wait_min >= 0 &&
    cautions.every((caution) => cautionRow(caution).short.length > 3);
  const all = SUBSTRATES.flatMap(({ substrate }) =>
    FINISHES.flatMap(({ finish }) =>
      PIECE_KINDS.flatMap(({ kind }) => {
        const seen = facts({ piece: kind, on: substrateRow(substrate), finish: finishRow(finish), chain, through: true });
        return [READY_STEPS, JOIN_STEPS, COLOUR_STEPS].flatMap((rows) => stepsFor(rows, seen));
      }),
    ),
  );
  expect(all.length).toBeGreaterThan(10_000);
  expect(all.filter((step) => !isWhole(step))).toEqual([]);
});

describe("level", () => {
  test("every fill can be walked from its start to the end that every finish asks for", () => {
    for (const from of Object.values(LADDER_STARTS))
      for (const { to, because, source } of Object.values(LADDER_ENDS)) {
        expect(because.length + source.length).toBeGreaterThan(20);
        if (from.grade > to.grade) continue;
        const { steps } = walk(from, to, []);
        expect(steps.at(-1)?.grade).toEqual(to);
      }
  });

  test("water never touches what it harms", () => {
    for (const family of ["mineral", "skin", "board", "paper", "wood", "bone"] as const) expect(LUBRICANTS[family].use).toMatch(/^Dry/);
    for (const row of SUBSTRATES) if (row.fears_water) expect(LUBRICANTS[row.family].use).toMatch(/^Dry/);
    expect(BACKINGS.length).toBeGreaterThan(3);
  });

  test("a harder fill starts coarser", () => {
    const grades = [1, 2, 3, 4, 5].map((hardness) => LADDER_STARTS[hardness as 1].grade);
    expect(grades).toEqual([...grades].sort((a, b) => b - a));
  });
});

describe("what the owner may do", () => {
  const lines = (chain: ClassName[], over: object = {}) =>
    ownerLines({ chain: chain.map(classRow), ceramic: true, food: false, washed: false, load: false, ...over });
  const acts = (found: ReturnType<typeof ownerLines>, when: string) => found.filter((line) => line.when === when).map(({ act }) => act);

  test("a washed jar is washed by hand once it is in full service, under what the weakest link stands", () => {
    expect(acts(lines(["epoxy-putty", "cold-glaze"], { washed: true }), "full")).toContain("Wash it by hand, under 60 °C.");
    expect(acts(lines(["epoxy-putty", "clear-acrylic"], { washed: true }), "full")).toContain("Wipe it with a damp cloth, under 50 °C.");
  });

  test("food is never, a load not before the day, outdoors only where every link stands it", () => {
    expect(acts(lines(["epoxy-putty"], { food: true }), "never").join(" ")).toMatch(/Food or drink/);
    expect(acts(lines(["epoxy-slow"], { load: true }), "full")).toContain("Load it as before, not before that day.");
    expect(acts(lines(["epoxy-putty", "acrylic-paint"]), "never").join(" ")).not.toMatch(/Outdoors/);
    expect(acts(lines(["gypsum-plaster"], { ceramic: false }), "never").join(" ")).toMatch(/Soak it.*Outdoors/);
  });

  test("with any one material it can be carried today", () => {
    for (const row of CLASS_ROWS) expect(acts(lines([row.class]), "today")).toHaveLength(1);
  });
});
