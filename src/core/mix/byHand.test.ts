import fc from "fast-check";
import { type ClassName, classRow } from "../catalogue";
import { byHand, CONSISTENCIES, mixByHand, plasterOf, thickener_g, withAdditive } from "./byHand";
import { massShares } from "./mix";

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

describe("a whole mix by hand", () => {
  const whole = (name: ClassName, mass_g: number) => {
    const row = classRow(name);
    const shares = massShares({ parts: [...row.mix.parts], ratio_by: row.mix.ratio_by });
    return row.mix.parts.map((part, i) => ({ name: part.name, mass_g: mass_g * (shares[i] ?? 0) }));
  };

  test("one of several batches holds its share of every part", () => {
    const parts = whole("epoxy-putty", 12);
    const found = mixByHand(
      classRow("epoxy-putty"),
      parts.map((part) => ({ ...part, mass_g: part.mass_g / 3 })),
      4,
    );
    expect(found.parts.map(({ mass_g }) => mass_g)).toEqual(parts.map(({ mass_g }) => expect.closeTo(mass_g / 3, 9)));
    expect(found.thickens).toBeUndefined();
  });

  test("a thickened resin says what thickens how much; a plaster what it fills, by the density that it sets to", () => {
    const thick = mixByHand(classRow("thickened-epoxy"), whole("thickened-epoxy", 147), 4);
    expect(thick.thickens).toEqual({ name: "silica thickener", mixed_g: expect.closeTo(140, 9) });
    const row = classRow("gypsum-plaster");
    const poured = mixByHand(row, whole("gypsum-plaster", 1600), 4);
    expect(poured.litres).toBeCloseTo(1600 / (row.mix.mixed_density ?? 0) / 1000, 9);
    expect(plasterOf(poured)?.water_pct).toBeCloseTo(65, 6);
    expect(plasterOf(mixByHand(classRow("epoxy-putty"), whole("epoxy-putty", 5), 4))).toBeUndefined();
  });
});
