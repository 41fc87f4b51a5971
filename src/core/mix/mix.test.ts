import fc from "fast-check";
import { ballMm, mix, mixedDensity } from "./mix";
import type { MixInput } from "./mix.schema";
import { rescue } from "./rescue";

const putty: MixInput["parts"] = [
  { name: "A", ratio: 1, density: 1.6 },
  { name: "B", ratio: 1, density: 1.6 },
];
const epoxy: MixInput["parts"] = [
  { name: "resin", ratio: 100, density: 1.16 },
  { name: "hardener", ratio: 40, density: 0.98 },
];

test("3 cm³ of a 1 : 1 putty are two balls of 14.2 mm", () => {
  const found = mix({ need_cm3: 3, parts: putty, ratio_by: "volume" });
  expect(found.total_g).toBeCloseTo(4.8, 12);
  expect(found.parts.map(({ mass_g }) => mass_g)).toEqual([2.4, 2.4].map((g) => expect.closeTo(g, 12)));
  expect(found.parts[0]?.ball_mm).toBeCloseTo(14.2, 1);
  expect(found.batches).toHaveLength(1);
});

test("overfill and waste multiply the need", () => {
  const found = mix({ need_cm3: 2, overfill_pct: 10, waste_pct: 25, parts: putty, ratio_by: "mass" });
  expect(found.total_cm3).toBeCloseTo(2 * 1.1 * 1.25, 12);
});

test("by mass and by volume are not the same", () => {
  const byMass = mix({ need_g: 14, parts: epoxy, ratio_by: "mass" });
  expect(byMass.parts.map(({ mass_g }) => mass_g)).toEqual([expect.closeTo(10, 12), expect.closeTo(4, 12)]);
  const byVolume = mix({ need_g: 14, parts: epoxy, ratio_by: "volume" });
  expect((byVolume.parts[0]?.volume_cm3 ?? 0) / (byVolume.parts[1]?.volume_cm3 ?? 1)).toBeCloseTo(2.5, 12);
  expect(byVolume.parts[0]?.mass_g).not.toBeCloseTo(10, 1);
});

test("a stated density holds where volumes do not add: plaster", () => {
  const plaster: MixInput["parts"] = [
    { name: "powder", ratio: 100, density: 2.65 },
    { name: "water", ratio: 65, density: 1 },
  ];
  const found = mix({ need_cm3: 100, parts: plaster, ratio_by: "mass", mixed_density: 1.6 });
  expect(found.density).toBe(1.6);
  expect(found.total_g).toBeCloseTo(160, 10);
  expect(found.parts[1]?.mass_g).toBeCloseTo((160 * 65) / 165, 10);
});

test("a dose the scale can't resolve is warned of, with what to do", () => {
  const paste: MixInput["parts"] = [
    { name: "paste", ratio: 100, density: 1.8 },
    { name: "hardener", ratio: 2, density: 1.15 },
  ];
  const small = mix({ need_g: 5, parts: paste, ratio_by: "mass", scale_step_g: 0.01 });
  expect(small.dose_error_pct).toBeCloseTo((0.005 / ((5 * 2) / 102)) * 100, 10);
  expect(small.warnings[0]).toMatchObject({ code: "dose-unresolved", message: expect.stringContaining("larger batch") });
  const large = mix({ need_g: 100, parts: paste, ratio_by: "mass", scale_step_g: 0.01 });
  expect(large.warnings).toEqual([]);
});

test("exactly one need is asked for", () => {
  expect(() => mix({ parts: putty, ratio_by: "mass" })).toThrow("exactly one");
  expect(() => mix({ need_g: 1, need_cm3: 1, parts: putty, ratio_by: "mass" })).toThrow("exactly one");
});

const anyParts = fc.array(
  fc.record({
    name: fc.constant("part"),
    ratio: fc.double({ min: 0.1, max: 100, noNaN: true }),
    density: fc.double({ min: 0.5, max: 5, noNaN: true }),
  }),
  { minLength: 1, maxLength: 4 },
);

test("masses add to the whole and keep the ratio, volumes add to the whole", () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.1, max: 1000, noNaN: true }),
      anyParts,
      fc.constantFrom("mass" as const, "volume" as const),
      (need_cm3, parts, ratio_by) => {
        const found = mix({ need_cm3, parts, ratio_by });
        const mass = found.parts.reduce((sum, { mass_g }) => sum + mass_g, 0);
        const cm3 = found.parts.reduce((sum, { volume_cm3 }) => sum + volume_cm3, 0);
        expect(mass / found.total_g).toBeCloseTo(1, 9);
        expect(cm3 / found.total_cm3).toBeCloseTo(1, 9);
        expect(found.total_cm3 / need_cm3).toBeCloseTo(1, 9);
        const measure = found.parts.map((part, i) => (ratio_by === "mass" ? part.mass_g : part.volume_cm3) / (parts[i]?.ratio ?? 1));
        for (const each of measure) expect(each / (measure[0] ?? 1)).toBeCloseTo(1, 9);
        expect(found.density).toBeCloseTo(mixedDensity({ parts, ratio_by }), 9);
      },
    ),
  );
});

test("batches are equal, each fits the pot life, and one fewer would not", () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.1, max: 200, noNaN: true }),
      fc.double({ min: 1, max: 90, noNaN: true }),
      fc.double({ min: 0.05, max: 5, noNaN: true }),
      (need_cm3, pot_life_min, apply_cm3_per_min) => {
        const { batches, total_g, density } = mix({ need_cm3, parts: putty, ratio_by: "mass", pot_life_min, apply_cm3_per_min });
        const fits = pot_life_min * apply_cm3_per_min * (1 + 1e-6);
        expect(batches.every((batch) => batch.total_g / density <= fits)).toBe(true);
        expect(batches.every((batch) => Math.abs(batch.total_g - total_g / batches.length) < 1e-9)).toBe(true);
        if (batches.length > 1)
          expect(total_g / density / (batches.length - 1)).toBeGreaterThan(pot_life_min * apply_cm3_per_min * (1 - 1e-6));
      },
    ),
  );
});

test("a ball holds the volume it was made for", () => {
  fc.assert(
    fc.property(fc.double({ min: 0.001, max: 1000, noNaN: true }), (cm3) =>
      expect((Math.PI / 6) * (ballMm(cm3) / 10) ** 3).toBeCloseTo(cm3, 6),
    ),
  );
});

describe("rescue", () => {
  test("too much hardener asks for resin, never for taking away", () => {
    const found = rescue({
      parts: [
        { name: "resin", ratio: 100, poured_g: 10 },
        { name: "hardener", ratio: 40, poured_g: 5 },
      ],
      tolerance_pct: 5,
    });
    expect(found.within_tolerance).toBe(false);
    expect(found.error_pct).toBeCloseTo(25, 9);
    expect(found.add).toEqual([{ name: "resin", mass_g: expect.closeTo(2.5, 12) }]);
    expect(found.total_g).toBeCloseTo(17.5, 12);
  });

  test("an exact pour needs nothing", () => {
    const found = rescue({
      parts: [
        { name: "A", ratio: 2, poured_g: 6 },
        { name: "B", ratio: 1, poured_g: 3 },
      ],
      tolerance_pct: 0,
    });
    expect(found).toMatchObject({ within_tolerance: true, error_pct: 0, add: [], total_g: 9 });
  });

  test("nothing poured can't be rescued", () => {
    const parts = [
      { name: "A", ratio: 1, poured_g: 0 },
      { name: "B", ratio: 1, poured_g: 0 },
    ];
    expect(() => rescue({ parts, tolerance_pct: 5 })).toThrow("nothing has been poured");
  });

  test("afterwards the ratio is exact, and some part needed nothing: no smaller addition does", () => {
    const poured = fc.record({
      name: fc.uuid(),
      ratio: fc.double({ min: 0.1, max: 100, noNaN: true }),
      poured_g: fc.double({ min: 0.01, max: 500, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(poured, { minLength: 2, maxLength: 5 }), (parts) => {
        const { add, total_g } = rescue({ parts, tolerance_pct: 5 });
        const extra = (name: string) => add.find((each) => each.name === name)?.mass_g ?? 0;
        const after = parts.map((part) => (part.poured_g + extra(part.name)) / part.ratio);
        for (const each of after) expect(each / (after[0] ?? 1)).toBeCloseTo(1, 6);
        expect(add.length).toBeLessThan(parts.length);
        for (const { mass_g } of add) expect(mass_g).toBeGreaterThan(0);
        expect(parts.reduce((sum, part) => sum + part.poured_g + extra(part.name), 0) / total_g).toBeCloseTo(1, 6);
      }),
    );
  });
});
