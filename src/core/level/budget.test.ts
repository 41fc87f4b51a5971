import fc from "fast-check";
import { ABRASIVE_SYSTEMS, classRow, grainOf, middle } from "../catalogue";
import { shrinkWait, WITNESS_UM } from "../cure/shrinkWait";
import { type BudgetRung, budgetOf, EDGE, type Measured, STOP_PCT, stopAt } from "./budget";
import { alike, OTHER_ABRASIVES } from "./others.data";

const LACQUER: Measured = { um: 110, sd_um: 10, by: "survey" };
const rung = (name: string, takes_um: number, over: Partial<BudgetRung> = {}): BudgetRung => ({ name, takes_um, done: false, ...over });

describe("the film budget", () => {
  test("by hand: 110 µm less 14 and 10; the edge begins at seven tenths and loses 1.6 times as much", () => {
    const steps = budgetOf(LACQUER, [rung("P600", 14), rung("P1000", 10)], 40);
    expect(steps.map(({ flat_um }) => flat_um)).toEqual([110, 96, 86]);
    expect(steps.map(({ edge_um }) => edge_um)).toEqual([77, 54.6, 38.6].map((um) => expect.closeTo(um, 9)));
    expect(steps[2]?.edge_pct).toBeGreaterThan(50);
    expect(steps.map(({ cut }) => cut)).toEqual([false, true, true]);
    expect([stopAt(steps, "edge"), stopAt(steps, "flat")]).toEqual([1, undefined]);
  });

  test("a gauge reading takes the place of what was reckoned, and what follows goes on from it", () => {
    const steps = budgetOf(LACQUER, [rung("P600", 14, { done: true, gauge_um: 70 }), rung("P1000", 10)], 40);
    expect(steps.map(({ flat_um }) => flat_um)).toEqual([110, 70, 60]);
    expect(steps[1]?.flat_pct).toBeLessThan(1e-6);
  });

  test("nothing stops where there is enough film, and the chance never falls along the rungs", () => {
    expect(stopAt(budgetOf({ um: 300, sd_um: 20, by: "typical" }, [rung("P1000", 10)], 60), "edge")).toBeUndefined();
    const rungs = fc.array(fc.double({ min: 0.2, max: 30, noNaN: true }), { minLength: 1, maxLength: 7 });
    fc.assert(
      fc.property(fc.double({ min: 30, max: 300, noNaN: true }), rungs, (um, takes) => {
        const steps = budgetOf(
          { um, sd_um: um * 0.1, by: "typical" },
          takes.map((each, i) => rung(`${i}`, each)),
          40,
        );
        steps.slice(1).forEach((step, i) => {
          expect(step.edge_um).toBeLessThan(steps[i]?.edge_um ?? 0);
          expect(step.edge_um).toBeCloseTo(um * EDGE.film_factor - takes.slice(0, i + 1).reduce((a, b) => a + b, 0) * EDGE.cut_factor, 6);
        });
        const stop = stopAt(steps, "edge") ?? steps.length;
        expect(steps.slice(0, stop).every(({ edge_pct, cut }) => !cut || edge_pct <= STOP_PCT)).toBe(true);
        expect(steps.slice(stop).every(({ edge_pct }) => edge_pct > STOP_PCT)).toBe(true);
      }),
    );
  });
});

describe("the wait until it has stopped sinking", () => {
  const DROP = classRow("polyester-drop");
  const room = { thickness_mm: 0.4, temp_C: 20, rh_pct: 50 };

  test("what is left falls all along, to a fiftieth at the published time of full service", () => {
    const full = DROP.cure.stages.find(({ stage }) => stage === "full")?.minutes ?? [0, 0];
    const at = (age_min: number) => shrinkWait(DROP, { ...room, age_min }, "gloss").left_um;
    expect(at(middle([full[0], full[1]])) / at(0)).toBeCloseTo(0.02, 9);
    // the middle of 5 to 9 % of 0.4 mm
    expect(at(0)).toBeCloseTo(4 * middle(DROP.shrinkage_pct), 9);
  });

  test("levelled too soon the edge is seen; once the days are over it is not; under matt it never was", () => {
    const early = shrinkWait(DROP, { ...room, age_min: 60 }, "gloss");
    expect([early.seen, early.days > 1]).toEqual([true, true]);
    const later = shrinkWait(DROP, { ...room, age_min: 60 + early.days * 1440 + 1 }, "gloss");
    expect([later.seen, later.days]).toEqual([false, 0]);
    expect(later.left_um).toBeCloseTo(WITNESS_UM.gloss, 2);
    expect(shrinkWait(DROP, { ...room, thickness_mm: 0.3, age_min: 60 }, "matt").seen).toBe(false);
  });

  test("colder takes longer, and what dries takes four times as long twice as thick", () => {
    const days = (over: object) => shrinkWait(DROP, { ...room, age_min: 0, ...over }, "gloss").days;
    expect(days({ temp_C: 12 })).toBeGreaterThan(days({}));
    const acrylic = classRow("acrylic-dispersion-filler");
    const tau = (thickness_mm: number) => {
      const { left_um } = shrinkWait(acrylic, { ...room, thickness_mm, age_min: 10_000 }, "gloss");
      return -10_000 / Math.log(left_um / shrinkWait(acrylic, { ...room, thickness_mm, age_min: 0 }, "gloss").left_um);
    };
    expect(tau(4) / tau(2)).toBeCloseTo(4, 6);
  });
});

describe("every system on one scale", () => {
  test("P400 works like the American 320 to 360, a fine pad, a steel wool; no number is taken for another", () => {
    const found = alike(grainOf({ system: "P", grade: 400 }) ?? 0);
    const grades = found.map(({ grade }) => grade);
    expect(grades).toContain("P400");
    expect(grades).not.toContain("ANSI 400");
    expect(grades.some((grade) => /^ANSI 3(20|60)$/.test(grade))).toBe(true);
    expect(grades.some((grade) => /pad/.test(grade))).toBe(true);
  });

  test("each answer is the nearest of its system, and none is half off", () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 300, noNaN: true }), (micron) => {
        for (const { system, micron: grain, off_pct } of alike(micron)) {
          expect(Math.abs(off_pct)).toBeLessThanOrEqual(50);
          const row = Object.values(ABRASIVE_SYSTEMS).find(({ label }) => label === system);
          const nearest = Math.min(...(row?.grades ?? []).map(([, each]) => Math.abs(Math.log(each / micron))));
          if (row) expect(Math.abs(Math.log(grain / micron))).toBeCloseTo(nearest, 9);
        }
      }),
    );
  });

  test("every other abrasive has a range that rises, a use and a source", () => {
    for (const { micron, use, source } of OTHER_ABRASIVES)
      expect([micron[0] < micron[1], use !== "", source !== ""]).toEqual([true, true, true]);
  });
});
