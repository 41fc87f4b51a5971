import fc from "fast-check";
import { ABRASIVE_SYSTEMS, type Grade } from "../catalogue";
import { gritLadder, MAX_STEP_RATIO, type Rung } from "./gritLadder";
import { bestSheet, ladder, P_SERIES } from "./ladder";
import { walk } from "./walk";

const P = (grade: number) => ({ system: "P", grade }) as const;
const grades = (input: Parameters<typeof ladder>[0]) => ladder(input).steps.map(({ grade }) => grade);

test("P80 to P400 keeps every step under 1.8, with the fewest and evenest grades", () => {
  const found = ladder({ from: P(80), to: P(400) });
  expect(found.steps.map(({ grade }) => grade)).toEqual([80, 120, 180, 280, 400]);
  expect(Math.max(...found.ratios)).toBeLessThanOrEqual(1.8);
  expect(found.gaps).toEqual([]);
  expect(found.warnings).toEqual([]);
});

test("the ends alone where one step is enough, one rung where there is nothing to do", () => {
  expect(grades({ from: P(180), to: P(240) })).toEqual([180, 240]);
  expect(ladder({ from: P(240), to: P(240) })).toMatchObject({ steps: [{ grade: 240 }], ratios: [], gaps: [] });
});

test("grades come back in the form they were asked in", () => {
  expect(grades({ from: { system: "P", grade: "P180" }, to: { system: "P", grade: "P240" } })).toEqual(["P180", "P240"]);
  expect(grades({ from: { system: "P", grade: "180" }, to: P(240) })).toEqual(["180", "240"]);
  expect(grades({ from: { system: "P", grade: "P2500" }, to: { system: "micron", grade: 5 } })).toEqual(["P2500", "5"]);
});

test("systems are compared by grain, not by number", () => {
  const found = ladder({ from: { system: "ANSI", grade: 320 }, to: { system: "JIS", grade: 1000 } });
  expect(found.steps[0]).toMatchObject({ system: "ANSI", micron: 36 });
  expect(found.steps.at(-1)).toMatchObject({ system: "JIS", micron: 11.5 });
  expect(() => ladder({ from: { system: "JIS", grade: 1000 }, to: P(1000) })).toThrow("coarser");
});

test("a stock with a hole lists the gap and says what to buy", () => {
  const found = ladder({ from: P(80), to: P(400), stock: [P(120), P(400)] });
  expect(found.steps.map(({ grade }) => grade)).toEqual([80, 120, 400]);
  expect(found.gaps).toEqual([{ after: { system: "P", grade: 120 }, ratio: expect.closeTo(125 / 35, 9) }]);
  expect(found.warnings[0]?.message).toContain("buy P180, P280");
});

test("beyond the P series the warning names a grain", () => {
  const found = ladder({ from: P(2500), to: { system: "micron", grade: 1 } });
  expect(found.gaps).toHaveLength(1);
  expect(found.warnings[0]?.message).toMatch(/buy 2\.9 µm/);
});

test("an unknown grade is refused by name", () => {
  expect(() => ladder({ from: P(85), to: P(400) })).toThrow("P grade 85 does not exist");
});

test("after going back, the ladder is walked again from there", () => {
  expect(grades({ from: P(80), to: P(400), repeat_from: P(120) })).toEqual([120, 180, 280, 400]);
});

/** Every way through a small choice, for comparison. */
function bruteForce(nodes: readonly Rung[], maxRatio: number): { excess: number; steps: number; uneven: number } {
  const [first, last] = [nodes[0] as Rung, nodes.at(-1) as Rung];
  const inner = nodes.slice(1, -1);
  let best = { excess: Number.POSITIVE_INFINITY, steps: 0, uneven: 0 };
  for (let mask = 0; mask < 2 ** inner.length; mask++) {
    const way = [first, ...inner.filter((_, i) => mask & (1 << i)), last];
    const cost = costOf(way, maxRatio);
    if (isLess([cost.excess, cost.steps, cost.uneven], [best.excess, best.steps, best.uneven])) best = cost;
  }
  return best;
}

function costOf(way: readonly Rung[], maxRatio: number) {
  const ratios = way.slice(1).map(({ micron }, i) => (way[i] as Rung).micron / micron);
  return {
    excess: ratios.reduce((sum, ratio) => sum + (ratio > maxRatio * (1 + 1e-12) ? Math.log(ratio / maxRatio) : 0), 0),
    steps: ratios.length,
    uneven: ratios.reduce((sum, ratio) => sum + Math.log(ratio) ** 2, 0),
  };
}

const isLess = (a: number[], b: number[]) => {
  const i = a.findIndex((value, k) => Math.abs(value - (b[k] ?? 0)) > 1e-12);
  return i >= 0 && (a[i] ?? 0) < (b[i] ?? 0);
};

test("no way through any stock is better", () => {
  const stocks = fc.uniqueArray(fc.constantFrom(...P_SERIES), { minLength: 2, maxLength: 9, selector: ({ grade }) => grade });
  fc.assert(
    fc.property(stocks, fc.double({ min: 1.1, max: 3, noNaN: true }), (stock, maxRatio) => {
      const nodes = [...stock].sort((a, b) => b.micron - a.micron);
      const [from, to] = [nodes[0] as Rung, nodes.at(-1) as Rung];
      const found = costOf(gritLadder(from, to, stock, maxRatio), maxRatio);
      const best = bruteForce(nodes, maxRatio);
      expect(found.excess).toBeCloseTo(best.excess, 9);
      expect(found.steps).toBe(best.steps);
      expect(found.uneven).toBeCloseTo(best.uneven, 9);
    }),
  );
});

test("both ends are kept, every rung is finer, every ratio is that of its neighbours", () => {
  const pairs = fc.uniqueArray(fc.constantFrom(...ABRASIVE_SYSTEMS.P.grades.map(([grade]) => grade)), { minLength: 2, maxLength: 2 });
  fc.assert(
    fc.property(pairs, (pair) => {
      const [from, to] = [...pair].sort((a, b) => a - b) as [number, number];
      const found = ladder({ from: P(from), to: P(to) });
      const microns = found.steps.map(({ micron }) => micron);
      expect(found.steps[0]?.grade).toBe(from);
      expect(found.steps.at(-1)?.grade).toBe(to);
      expect(microns).toEqual([...microns].sort((a, b) => b - a));
      found.ratios.forEach((ratio, i) => {
        expect(ratio).toBeCloseTo((microns[i] ?? 0) / (microns[i + 1] ?? 1), 9);
      });
    }),
  );
});

describe("the one sheet that helps most", () => {
  test("stands in the middle of the widest step; a drawer without a gap needs none", () => {
    expect(bestSheet(P(80), P(400), [P(80), P(120), P(400)])).toEqual(P(220));
    expect(bestSheet(P(80), P(400), [P(80), P(120), P(180), P(280), P(400)])).toBeUndefined();
  });

  test("no other sheet leaves less of a gap", () => {
    const stocks = fc.uniqueArray(fc.constantFrom(...P_SERIES), { minLength: 0, maxLength: 6, selector: ({ grade }) => grade });
    const excess = (stock: readonly Rung[]) => costOf(gritLadder(rung(80), rung(800), stock), MAX_STEP_RATIO).excess;
    const rung = (grade: number) => P_SERIES.find((each) => each.grade === grade) as Rung;
    fc.assert(
      fc.property(stocks, (stock) => {
        const best = bestSheet(P(80), P(800), stock);
        const withBest = best ? excess([...stock, rung(best.grade)]) : excess(stock);
        for (const other of P_SERIES) expect(withBest).toBeLessThanOrEqual(excess([...stock, other]) + 1e-9);
      }),
    );
  });
});

describe("cushioned cloths, which no standard holds", () => {
  const cloth = (grade: number) => ({ system: "cushioned", grade }) as const;
  const set = [1500, 1800, 2400, 3200, 3600, 4000, 6000, 8000, 12000].map(cloth);

  test("a complete set is never told to buy a sheet, though two of its neighbours lie over the step", () => {
    const { gaps, warnings, steps } = ladder({ from: cloth(1500), to: cloth(12000), stock: set });
    expect([gaps, warnings]).toEqual([[], []]);
    expect(steps[0]).toMatchObject({ grade: 1500, micron_range: [expect.closeTo(20, 9), 40] });
  });

  test("a cloth that is missing between two is still told", () => {
    const { gaps } = ladder({ from: cloth(1500), to: cloth(2400), stock: [cloth(1500), cloth(2400)] });
    expect(gaps).toEqual([{ after: cloth(1500), ratio: 2.5 }]);
  });

  test("grades of a standard have no range", () => {
    expect(ladder({ from: P(240), to: P(400) }).steps[0]).not.toHaveProperty("micron_range");
  });
});

describe("the walk", () => {
  const done = (grade: number) => ({ kind: "grit-done", grade: P(grade) as Grade }) as const;

  test("starts at the first grade and ends when all are ticked off", () => {
    const start = walk(P(80), P(400), []);
    expect(start.now?.grade.grade).toBe(80);
    const end = walk(P(80), P(400), [80, 120, 180, 280, 400].map(done));
    expect(end.finished).toBe(true);
    expect(end.steps.every(({ state }) => state === "done")).toBe(true);
  });

  test("going back puts the coarser grade and every finer one in again", () => {
    const found = walk(P(80), P(400), [done(80), done(120), done(180), { kind: "went-back", to: P(120) }, done(120)]);
    expect(found.steps.map(({ grade, state }) => `${grade.grade} ${state}`)).toEqual([
      "80 done",
      "120 done",
      "180 done",
      "120 done",
      "180 now",
      "280 to-come",
      "400 to-come",
    ]);
  });

  test("a finer grade than the next skips what lies between", () => {
    expect(walk(P(80), P(400), [done(80), done(180)]).now?.grade.grade).toBe(280);
  });
});
