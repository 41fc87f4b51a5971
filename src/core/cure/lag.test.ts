import fc from "fast-check";
import { CLASS_ROWS, classRow, middle } from "../catalogue";
import { humidityFactor } from "../cure/pace";
import { lagOf } from "./lag";

const AIR = { temp_C: 20, rh_pct: 50 };

test("at its reference and as thin as it was measured, a stage comes in the middle of its range, with its ends", () => {
  const row = classRow("epoxy-putty");
  const firm = row.cure.stages.find(({ stage }) => stage === "firm");
  const found = lagOf(row, ["firm"], row.cure.at_mm, { ...AIR, temp_C: row.cure.reference_C });
  expect(found?.min).toBeCloseTo(middle(firm?.minutes ?? [0, 0]), 6);
  expect(found?.range).toEqual([expect.closeTo(firm?.minutes[0] ?? 0, 6), expect.closeTo(firm?.minutes[1] ?? 0, 6)]);
});

test("the first stage that the material has is taken; none is none", () => {
  expect(lagOf(classRow("pva"), ["firm", "handle"], 0.1, AIR)?.stage).toBe("handle");
  expect(lagOf(classRow("pva"), ["stiff"], 0.1, AIR)).toBeUndefined();
});

test("water leaves as fast as published at 50 %, twice as slow at 75 %, and never for ever", () => {
  const row = classRow("acrylic-dispersion-filler");
  expect(humidityFactor(row, 50)).toBe(1);
  expect(humidityFactor(row, 75)).toBe(2);
  expect(humidityFactor(row, 100)).toBe(10);
  expect(humidityFactor(classRow("epoxy-putty"), 90)).toBe(1);
});

test("too cold is never, with the minutes at which it counts as that", () => {
  expect(lagOf(classRow("epoxy-putty"), ["hard"], 4, { ...AIR, temp_C: 2 })).toMatchObject({ never: true, min: 60 * 24 * 60 });
});

test("for every class: later stages never come sooner, warmth and the air that it sets in never slow it down, a thicker layer never speeds it up", () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...CLASS_ROWS),
      fc.double({ min: 0.1, max: 8, noNaN: true }),
      fc.double({ min: 16, max: 28, noNaN: true }),
      fc.double({ min: 30, max: 85, noNaN: true }),
      (row, mm, temp_C, rh_pct) => {
        const waits = row.cure.stages
          .filter(({ stage }) => stage !== "working")
          .map(({ stage }) => lagOf(row, [stage], mm, { temp_C, rh_pct })?.min ?? 0);
        for (const [i, wait] of waits.entries()) if (i > 0) expect(wait).toBeGreaterThanOrEqual((waits[i - 1] ?? 0) - 1e-6);
        const last = row.cure.stages.at(-1)?.stage;
        if (!last) return;
        const at = (air: typeof AIR, thick = mm) => lagOf(row, [last], thick, air)?.min ?? 0;
        const here = at({ temp_C, rh_pct });
        expect(at({ temp_C: temp_C + 3, rh_pct })).toBeLessThanOrEqual(here * (1 + 1e-9));
        const drier = at({ temp_C, rh_pct: rh_pct - 20 });
        if (row.cure.moisture) expect(drier).toBeGreaterThanOrEqual(here * (1 - 1e-9));
        else expect(drier).toBeLessThanOrEqual(here * (1 + 1e-9));
        expect(at({ temp_C, rh_pct }, mm * 2)).toBeGreaterThanOrEqual(here * (1 - 1e-9));
      },
    ),
    { numRuns: 60 },
  );
});

test("artists’ oil waits three to twelve months for its varnish, alkyd one to four weeks", () => {
  const days = (name: "artists-oil" | "oil-colour") =>
    lagOf(classRow(name), ["full"], 0.05, AIR)?.range.map((min) => Math.round(min / 1440));
  expect([days("artists-oil"), days("oil-colour")]).toEqual([
    [90, 365],
    [7, 30],
  ]);
});
