import fc from "fast-check";
import { CLASS_ROWS, classRow } from "../catalogue";
import { doseVerdict, gelCurve, gelMinutes, hardenerOf } from "./hardener";

const POLYESTER = classRow("polyester-filler");

test("the published dose at the published warmth keeps the published minutes; half of it doubles them", () => {
  expect(gelMinutes(POLYESTER, 2, 20)).toEqual([4, 6]);
  expect(gelMinutes(POLYESTER, 1, 20)).toEqual([8, 12]);
});

test("colder it takes longer: at 10 °C about twice as long, by Arrhenius with 50 kJ/mol", () => {
  const [least] = gelMinutes(POLYESTER, 2, 10);
  expect(least / 4).toBeCloseTo(Math.exp((50_000 / 8.314) * (1 / 283.15 - 1 / 293.15)), 2);
});

test("too little never sets, too much sets in the cup, and both are said", () => {
  const hardener = hardenerOf(POLYESTER);
  if (!hardener) throw new Error("no hardener");
  expect(hardener).toEqual({ planned_pct: 2, pct: [1, 4] });
  expect([0.9, 1, 4, 4.1].map((pct) => doseVerdict(hardener, pct).ok)).toEqual([false, true, true, false]);
  expect(doseVerdict(hardener, 0.5).words).toContain("never sets through");
  expect(doseVerdict(hardener, 6).words).toContain("in the cup");
  expect(() => gelMinutes(POLYESTER, 0, 20)).toThrow("without hardener");
});

test("what reacts in a fixed ratio has no dose to play with", () => {
  const epoxy = classRow("epoxy-slow");
  expect(hardenerOf(epoxy)).toBeUndefined();
  expect(gelCurve(epoxy, 20)).toEqual([]);
  expect(() => gelMinutes(epoxy, 2, 20)).toThrow("has no hardener");
});

test("every class that a peroxide starts says its range, and plans inside it", () => {
  for (const row of CLASS_ROWS.filter(({ hazards }) => (hazards as readonly string[]).includes("peroxide"))) {
    const hardener = hardenerOf(row);
    expect([row.class, hardener !== undefined && doseVerdict(hardener, hardener.planned_pct).ok]).toEqual([row.class, true]);
  }
});

test("the curve falls all along, and more warmth lies under it", () => {
  fc.assert(
    fc.property(fc.double({ min: 6, max: 34, noNaN: true }), (temp_C) => {
      const curve = gelCurve(POLYESTER, temp_C);
      curve.slice(1).forEach(({ from, to, pct }, i) => {
        expect(from).toBeLessThan(curve[i]?.from ?? 0);
        expect(to).toBeGreaterThan(from);
        expect(gelMinutes(POLYESTER, pct, temp_C + 1)[0]).toBeLessThan(from);
      });
    }),
  );
});
