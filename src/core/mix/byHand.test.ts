import fc from "fast-check";
import { byHand, CONSISTENCIES, thickener_g, withAdditive } from "./byHand";

const PART = { name: "A", mass_g: 2.4, density: 1.6 };

test("2.4 g at 1.6 g/cm³ are a ball of 14.2 mm, a bead of 119 mm from a 4 mm nozzle, and no spoon", () => {
  const found = byHand(PART, 4);
  expect(found.volume_cm3).toBeCloseTo(1.5, 12);
  expect(found.ball_mm).toBeCloseTo(14.2, 1);
  expect(found.bead_mm).toBeCloseTo(1500 / (4 * Math.PI), 9);
  expect(found.spoons).toEqual({ count: 1, ml: 1.25, off_pct: expect.closeTo(16.7, 1) });
  expect(found.drops).toBeUndefined();
});

test("a tenth of a gram is two or three drops, and nothing that a spoon holds", () => {
  expect(byHand({ name: "hardener", mass_g: 0.1, density: 1.15 }, 3)).toMatchObject({ drops: 3 });
  expect(byHand({ name: "hardener", mass_g: 0.1, density: 1.15 }, 3).spoons).toBeUndefined();
});

test("bead and ball hold the same volume; spoons say by how much they are off and never by more than a half of one", () => {
  const part = fc.record({
    name: fc.constant("part"),
    mass_g: fc.double({ min: 0.01, max: 500, noNaN: true }),
    density: fc.double({ min: 0.2, max: 3, noNaN: true }),
  });
  fc.assert(
    fc.property(part, fc.double({ min: 1, max: 20, noNaN: true }), (each, nozzle) => {
      const { volume_cm3, ball_mm, bead_mm, spoons } = byHand(each, nozzle);
      expect((Math.PI / 6) * ball_mm ** 3).toBeCloseTo(volume_cm3 * 1000, 3);
      expect((Math.PI / 4) * nozzle ** 2 * bead_mm).toBeCloseTo(volume_cm3 * 1000, 3);
      if (spoons) expect(Math.abs(spoons.count * spoons.ml - volume_cm3)).toBeLessThanOrEqual(spoons.ml / 4 + 1e-9);
    }),
  );
});

test("consistencies follow one another without a gap, and grams follow from the resin", () => {
  CONSISTENCIES.slice(1).forEach(({ pct: [from] }, i) => {
    expect(from).toBe(CONSISTENCIES[i]?.pct[1]);
  });
  expect(thickener_g(14, [3, 6])).toEqual([expect.closeTo(0.42, 9), expect.closeTo(0.84, 9)]);
});

test("an additive replaces water and adds none", () => {
  const { water_g, additive_g } = withAdditive(200, 25);
  expect([water_g, additive_g]).toEqual([150, 50]);
});
