import fc from "fast-check";
import { CLASS_ROWS, classRow } from "../catalogue";
import { humidityFactor, paceOf, thicknessFactor } from "./pace";

const byDamp = CLASS_ROWS.filter(({ cure }) => cure.moisture);
const byWater = CLASS_ROWS.filter(({ cure, carrier }) => cure.by === "drying" && carrier === "water");

test("water leaves by what is missing to 100 %: 50 / 25 = twice as long at 75 %, five eighths at 20 %", () => {
  expect(humidityFactor(classRow("pva"), 75)).toBeCloseTo(2, 9);
  expect(humidityFactor(classRow("pva"), 20)).toBeCloseTo(0.625, 9);
});

test("what sets with the damp of the air goes the other way: 50 / 75 at 75 %, 50 / 25 at 25 %", () => {
  const { class: name } = byDamp[0] ?? classRow("polyurethane");
  expect(humidityFactor(classRow(name), 75)).toBeCloseTo(2 / 3, 9);
  expect(humidityFactor(classRow(name), 25)).toBeCloseTo(2, 9);
});

test("moisture-cured polyurethane is one of those; a two-part resin does not mind", () => {
  expect(byDamp.map(({ class: name }) => name)).toContain("polyurethane");
  expect(humidityFactor(classRow("epoxy-slow"), 85)).toBe(1);
});

test("a layer of twice the published thickness dries four times as long; a reaction does not mind; a skin is no quicker than a quarter", () => {
  const water = byWater[0] ?? classRow("pva");
  expect(thicknessFactor(water, 2 * water.cure.at_mm)).toBeCloseTo(4, 9);
  expect(thicknessFactor(water, water.cure.at_mm / 100)).toBe(0.25);
  expect(thicknessFactor(classRow("epoxy-putty"), 40)).toBe(1);
});

test("working time is the pot’s: neither layer nor humidity is in it, and hide glue gels by its own energy", () => {
  const glue = classRow("hide-glue");
  expect(paceOf(glue, "working", 3, 80)).toEqual({ factor: 1, ea_kJ_mol: glue.cure.gels_ea_kJ_mol });
  expect(glue.cure.gels_ea_kJ_mol).toBeLessThan(0);
  expect(paceOf(glue, "handle", 0.1, 50).ea_kJ_mol).toBe(glue.cure.ea_kJ_mol);
});

test("for every class and air the factor is above 0 and never for ever", () => {
  fc.assert(
    fc.property(fc.constantFrom(...CLASS_ROWS), fc.double({ min: 0, max: 100, noNaN: true }), (row, rh_pct) => {
      expect(humidityFactor(row, rh_pct)).toBeGreaterThan(0.4);
      expect(humidityFactor(row, rh_pct)).toBeLessThanOrEqual(10);
    }),
  );
});
