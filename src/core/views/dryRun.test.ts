import fc from "fast-check";
import { CLASS_ROWS, classRow } from "../catalogue";
import { workingRange } from "../cure/working";
import { judgeDryRun } from "./dryRun";
import { sittingFacts } from "./readyQuestions";

const ADHESIVES = CLASS_ROWS.filter(({ roles }) => roles.includes("adhesive"));

describe("a dry run against the open time", () => {
  const glue = classRow("pva");
  const [low, high] = workingRange({ row: glue, climate_C: glue.cure.reference_C });
  const judge = (minutes: number) => judgeDryRun(minutes, glue, "wood", glue.cure.reference_C);

  test("fits up to the short end, is tight between the ends, is over beyond", () => {
    expect([low, (low + high) / 2, high + 1].map((minutes) => judge(minutes).verdict)).toEqual(["fits", "tight", "over"]);
  });

  test("what fits needs nothing slower; what does not is told up to three that would stay open", () => {
    expect(judge(low - 0.5).slower).toEqual([]);
    const { slower } = judge(high + 5);
    expect(slower.length).toBeGreaterThan(0);
    expect(slower.length).toBeLessThanOrEqual(3);
    for (const name of slower) {
      const row = ADHESIVES.find((each) => each.name === name);
      expect(row && workingRange({ row, climate_C: glue.cure.reference_C })[0]).toBeGreaterThanOrEqual(high + 5);
    }
  });

  test("split into as many parts as each stay within the short end", () => {
    expect(judge(low * 2.5).parts).toBe(3);
    expect(judge(low).parts).toBe(1);
  });

  test("for every adhesive and room: longer never fits better, and the parts are enough", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...ADHESIVES),
        fc.double({ min: 0.5, max: 300, noNaN: true }),
        fc.double({ min: 12, max: 30, noNaN: true }),
        (row, minutes, temp_C) => {
          const order = ["fits", "tight", "over"];
          const once = judgeDryRun(minutes, row, "wood", temp_C);
          const twice = judgeDryRun(minutes * 2, row, "wood", temp_C);
          expect(order.indexOf(twice.verdict)).toBeGreaterThanOrEqual(order.indexOf(once.verdict));
          expect(once.parts * Math.max(once.open_min[0], 0.1)).toBeGreaterThanOrEqual(minutes - 1e-6);
          expect(twice.parts).toBeGreaterThanOrEqual(once.parts);
        },
      ),
    );
  });
});

describe("shards shared out among sittings", () => {
  test("without an adhesive, one join a sitting and no cure between", () => {
    expect(sittingFacts(undefined, 20)).toEqual({ joins_a_sitting: 1, between_min: undefined });
  });

  test("a slow resin takes many joins in one go, a quick one few, with hours or minutes between", () => {
    const [slow, quick] = [sittingFacts(classRow("epoxy-slow"), 20), sittingFacts(classRow("epoxy-fast"), 20)];
    expect(slow.joins_a_sitting).toBeGreaterThan(quick.joins_a_sitting);
    expect(slow.between_min).toBeGreaterThan(quick.between_min ?? Infinity);
  });

  test("a warmer room leaves fewer joins, a colder one more; hide glue the other way round", () => {
    const joins = (name: Parameters<typeof classRow>[0], temp_C: number) => sittingFacts(classRow(name), temp_C).joins_a_sitting;
    expect(joins("epoxy-slow", 28)).toBeLessThan(joins("epoxy-slow", 16));
    const open = (temp_C: number) => workingRange({ row: classRow("hide-glue"), climate_C: temp_C })[0];
    expect(open(28)).toBeGreaterThan(open(16));
  });
});
