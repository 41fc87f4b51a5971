import fc from "fast-check";
import { classRow, DAMAGE_KINDS, SUBSTRATES } from "../catalogue";
import { braceQuestion, braceSketch, pressureFacts } from "../plan/braceQuestion";
import { check } from "../problem";
import type { Damage } from "../survey/measures.data";
import { judgeDryRun } from "../views/dryRun";
import { BraceInput } from "./brace.schema";
import { drillingOf } from "./drilling";
import { DRILL_SETS, nearestDrill } from "./drills.data";
import { braceKindOf } from "./kinds.data";
import { consistencyFor, type PressureFacts, pressureFor } from "./pressure.data";
import { bitError, routerPasses } from "./routing";
import { sizedFor } from "./sizing";

describe("drills", () => {
  test("metric sets go by halves, inch sets by sixty-fourths with the shortest fraction", () => {
    expect(DRILL_SETS.metric.at(-1)).toEqual({ label: "13 mm", mm: 13 });
    expect(DRILL_SETS.inch.find(({ mm }) => Math.abs(mm - 9.525) < 1e-9)?.label).toBe("3/8 in");
    expect(DRILL_SETS.inch[0]?.label).toBe("1/16 in");
  });

  test.each([
    [10.2, "metric", "10 mm", -0.2],
    [10.2, "inch", "13/32 in", 0.11875],
    [3.25, "metric", "3.5 mm", 0.25],
    [6.35, "inch", "1/4 in", 0],
  ] as const)("for %d mm the %s drawer gives %s", (wanted, set, label, off) => {
    const found = nearestDrill(wanted, DRILL_SETS[set]);
    expect(found?.drill.label).toBe(label);
    expect(found?.off_mm).toBeCloseTo(off, 6);
  });

  test("a size that is not in the drawer is passed over; an empty drawer has none", () => {
    expect(
      nearestDrill(
        6,
        DRILL_SETS.metric.filter(({ mm }) => mm !== 6),
      )?.drill.label,
    ).toBe("6.5 mm");
    expect(nearestDrill(6, [])).toBeUndefined();
  });

  test("a hole is never as tight as what goes in: for a dowel of 10 in 10.2 the 10 is passed over, 10.5 is taken", () => {
    const { holes, depth_mm } = drillingOf({ diameter_mm: 10, pilot_mm: 3.3, hole_mm: 10.2, hole_depth_mm: 26 }, DRILL_SETS.metric);
    expect(holes.map(({ hole, found }) => [hole, found?.drill.label])).toEqual([
      ["pilot", "3.5 mm"],
      ["hole", "10.5 mm"],
    ]);
    expect(depth_mm).toBe(26);
  });

  test("the drawer has nothing wide enough: the hole says so, and keeps what is wanted", () => {
    expect(drillingOf({ diameter_mm: 14, hole_mm: 14.2 }, DRILL_SETS.metric).holes).toEqual([{ hole: "hole", wanted_mm: 14.2 }]);
    expect(drillingOf({ width_mm: 8, depth_mm: 20 }, DRILL_SETS.metric).holes).toEqual([]);
  });

  test("a bit wider than the slot is refused, with what fits; one as wide or narrower cuts it", () => {
    expect(bitError(8.5, 8)).toBe("Wider than the slot of 8 mm: take a bit of that or less.");
    expect([bitError(8, 8), bitError(6, 8)]).toEqual([undefined, undefined]);
  });

  test("a slot of 15 under a jig of 12: the bit stands out 27, in three passes of 5 on risers of 10 and 5", () => {
    expect(routerPasses(15, 12, 6)).toEqual({
      projection_mm: 27,
      passes: [
        { depth_mm: 5, riser_mm: 10 },
        { depth_mm: 10, riser_mm: 5 },
        { depth_mm: 15, riser_mm: 0 },
      ],
    });
  });

  test("no pass is deeper than the bit is wide, and the last is the slot", () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 80, noNaN: true }), fc.double({ min: 1, max: 20, noNaN: true }), (slot, bit) => {
        const { passes } = routerPasses(slot, 12, bit);
        passes.forEach(({ depth_mm, riser_mm }, i) => {
          expect(depth_mm - (passes[i - 1]?.depth_mm ?? 0)).toBeLessThanOrEqual(Math.min(bit, 6) + 1e-9);
          expect(depth_mm + riser_mm).toBeCloseTo(slot, 9);
        });
        expect(passes.at(-1)?.depth_mm).toBeCloseTo(slot, 9);
      }),
    );
  });
});

describe("pressure", () => {
  const facts = (over: Partial<PressureFacts>): PressureFacts => ({
    damage: "break-across",
    family: "wood",
    sprung: false,
    section_mm: 30,
    broad_mm: 30,
    gap_mm: 0.1,
    ...over,
  });
  test.each([
    [{}, "along"],
    [{ damage: "loose-joint" }, "clamps"],
    [{ sprung: true }, "sections"],
    [{ damage: "veneer-lifted" }, "board"],
    [{ damage: "crack", section_mm: 4 }, "support"],
    [{ family: "ceramic", damage: "shards" }, "tape"],
    [{ family: "mineral" }, "gravity"],
    [{ section_mm: 9 }, "along"],
    [{ damage: "break-along", section_mm: 9 }, "wrap"],
    [{ damage: "break-along", section_mm: 22, broad_mm: 55 }, "clamps"],
    [{ family: "skin", damage: "tear" }, "patch-press"],
  ] as const)("%j is pressed by %s", (over, means) => {
    expect(pressureFor(facts(over))[0]?.means).toBe(means);
  });

  test("there is always a way, and it says why", () => {
    for (const damage of DAMAGE_KINDS)
      for (const { family } of SUBSTRATES) {
        const [first] = pressureFor(facts({ damage, family }));
        expect(Math.min(first?.why.length ?? 0, first?.how.length ?? 0)).toBeGreaterThan(20);
      }
  });

  test("thin for a hairline, thickened for a gap", () => {
    expect([0.05, 0.3, 1.2].map((gap) => consistencyFor(gap).word)).toEqual(["Thin", "As it comes", "Thickened"]);
  });

  test("a tear that padding pulls open is sprung, whatever was answered", () => {
    expect(pressureFacts({ kind: "tear", length_mm: 50, thickness_mm: 1, flap: false, tension: true }, "skin", false, 0.1).sprung).toBe(
      true,
    );
  });
});

describe("the dry run", () => {
  test("against 80 to 100 minutes at 23 °C: one hour fits, ninety minutes are tight, two hours are over", () => {
    const slow = {
      ...classRow("epoxy-slow"),
      cure: { ...classRow("epoxy-slow").cure, stages: [{ stage: "working", minutes: [80, 100] }] },
    } as ReturnType<typeof classRow>;
    expect([60, 90, 120].map((minutes) => judgeDryRun(minutes, slow, "ceramic", 23).verdict)).toEqual(["fits", "tight", "over"]);
    expect(judgeDryRun(120, slow, "ceramic", 23).parts).toBe(2);
  });

  test("a colder room leaves longer", () => {
    const open = (temp_C: number) => judgeDryRun(10, classRow("epoxy-fast"), "ceramic", temp_C).open_min[0];
    expect(open(13)).toBeGreaterThan(open(23) * 1.8);
  });

  test("slower adhesives are named that bond here and stay open long enough", () => {
    const { slower } = judgeDryRun(30, classRow("hide-glue"), "wood", 20);
    expect(slower.length).toBeGreaterThan(0);
    expect(slower).not.toContain("Hide glue, hot");
  });

  test("more minutes never fit better", () => {
    const rank = { fits: 0, tight: 1, over: 2 };
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 300, noNaN: true }), fc.double({ min: 1, max: 4, noNaN: true }), (minutes, times) => {
        const [less, more] = [minutes, minutes * times].map((took) => judgeDryRun(took, classRow("pva"), "wood", 20));
        expect(rank[more?.verdict ?? "over"]).toBeGreaterThanOrEqual(rank[less?.verdict ?? "fits"]);
        expect(more?.parts).toBeGreaterThanOrEqual(less?.parts ?? 0);
      }),
    );
  });
});

describe("what a damage asks of a brace", () => {
  const damages: readonly Damage[] = [
    { kind: "break-along", slope_mm: 160, width_mm: 20, height_mm: 24 },
    { kind: "break-across", width_mm: 32, height_mm: 44, load_N: 250, lever_mm: 180 },
    { kind: "crack", length_mm: 210, width_mm: 0.3, depth_mm: 3, closes: true },
    { kind: "tear", length_mm: 64, thickness_mm: 1.6, flap: false, tension: false },
    { kind: "tip", base_mm: 14, length_mm: 19 },
    { kind: "corner", a_mm: 24, b_mm: 16, c_mm: 12 },
    { kind: "shards", shards: 7, break_length_mm: 400, thickness_mm: 3 },
  ];
  test.each(damages)("$kind is a question that brace takes, and every size of it can be drawn", (damage) => {
    const question = braceQuestion(damage, "hardwood", { touched: true });
    expect(check(BraceInput, question)).toEqual([]);
    if (!question) return;
    for (const sized of sizedFor(question)) {
      const { solid, missing, dims } = braceSketch(question, sized);
      for (const [x, y] of [...solid, ...missing].flat().concat(dims.flatMap(({ from, to }) => [from, to])))
        expect(Number.isFinite(x) && Number.isFinite(y)).toBe(true);
    }
  });

  test("what is only filled asks nothing; a class of brace is known by its kind", () => {
    expect(braceQuestion({ kind: "hole", diameter_mm: 5, depth_mm: 5, through: false }, "hardwood", {})).toBeUndefined();
    expect([braceKindOf("wood-spline"), braceKindOf("metal-pin"), braceKindOf("pva")]).toEqual(["spline", "pin", undefined]);
  });
});
