import fc from "fast-check";
import { ladder } from "./ladder";
import { type Hardness, rungsOf, SCRATCH_OFF, scratchUm, sheetsFor, usualUm, wantsCoarser } from "./rung";
import { deepestLeft, surface } from "./surface";

const LACQUER = { hardness: 3 as Hardness, wet: true };
const sanded = fc.record({ hardness: fc.constantFrom<Hardness>(1, 2, 3, 4, 5), wet: fc.boolean() });
const microns = (from: number, to: number) =>
  ladder({ from: { system: "P", grade: from }, to: { system: "P", grade: to } }).steps.map(({ micron }) => micron);

describe("what a rung does", () => {
  test("P1000 wet in lacquer leaves some 5 µm; the next rung takes that and a tenth more", () => {
    const [p1000, p1500] = rungsOf([18.3, 12.6], LACQUER, 2000, 0);
    expect(p1000?.leaves_um).toBeCloseTo(18.3 * 0.35 * 0.8, 9);
    expect(p1500?.takes_um).toBeCloseTo(1.1 * (p1000?.leaves_um ?? 0), 9);
    expect(p1000?.leaves_range_um[1]).toBeCloseTo((p1000?.leaves_um ?? 0) * (1 + SCRATCH_OFF), 9);
  });

  test("the first takes what stands proud, and twice the area or the height takes twice the time of cutting", () => {
    const minutes = (area: number, proud: number) => (rungsOf([125], { hardness: 3, wet: false }, area, proud)[0]?.minutes[1] ?? 0) - 1.5;
    expect(rungsOf([125], LACQUER, 500, 300)[0]?.takes_um).toBe(300);
    expect(minutes(1000, 300) / minutes(500, 300)).toBeCloseTo(2, 9);
    expect(minutes(500, 600) / minutes(500, 300)).toBeCloseTo(2, 9);
    // 0.3 mm off 5 cm² are 150 mm³: two and a half minutes at 56 mm³ a minute, within a factor of two
    expect(minutes(500, 300) / 2).toBeCloseTo(150 / 56.25, 9);
  });

  test("along a ladder without gaps every rung erases the one before and leaves less", () => {
    fc.assert(
      fc.property(sanded, fc.constantFrom(80, 120, 180), fc.constantFrom(400, 800, 1500), (what, from, to) => {
        const rungs = rungsOf(microns(from, to), what, 1000, 200);
        rungs.slice(1).forEach(({ takes_um, leaves_um }, i) => {
          expect(takes_um).toBeGreaterThan(rungs[i]?.leaves_um ?? 0);
          expect(leaves_um).toBeLessThan(rungs[i]?.leaves_um ?? 0);
        });
      }),
    );
  });

  test("half a millimetre proud is no work for P600; a hair is", () => {
    expect(wantsCoarser(500, 25.8, LACQUER)).toBe(true);
    expect(wantsCoarser(20, 25.8, LACQUER)).toBe(false);
  });

  test("paper is counted in quarters of a sheet, one at least, with its price", () => {
    expect(sheetsFor({ minutes: [2, 6] })).toEqual({ quarters: 1, eur: [0.125, 0.3] });
    expect(sheetsFor({ minutes: [10, 30] }).quarters).toBe(3);
  });
});

describe("the surface that is left", () => {
  const base = { sanded: LACQUER, length_mm: 2, points: 2000, seed: 7 };

  test("the same seed gives the same picture, another one another", () => {
    expect(surface({ ...base, microns: [25.8, 15.3] })).toEqual(surface({ ...base, microns: [25.8, 15.3] }));
    expect(surface({ ...base, microns: [25.8, 15.3], seed: 8 })).not.toEqual(surface({ ...base, microns: [25.8, 15.3] }));
  });

  test("after a ladder without gaps the deepest scratch is one of the last grain, within its range", () => {
    fc.assert(
      fc.property(sanded, fc.integer({ min: 1, max: 1e6 }), fc.constantFrom(240, 400, 800, 1500), (what, seed, to) => {
        const grains = microns(120, to);
        const last = grains.at(-1) ?? 0;
        const found = surface({ ...base, sanded: what, seed, microns: grains });
        expect(found.of_micron).toBe(last);
        const leaves = scratchUm(last, what);
        expect(found.deepest_um).toBeLessThanOrEqual(leaves * (1 + 1e-9));
        expect(found.deepest_um).toBeGreaterThanOrEqual(leaves * (1 - SCRATCH_OFF));
        expect(found.ra_um).toBeLessThan(found.rz_um);
        expect(found.rz_um).toBeLessThanOrEqual(leaves * (1 + 1e-9));
      }),
      { numRuns: 60 },
    );
  });

  test("no ladder with a rung more leaves a deeper scratch", () => {
    const grains = fc.uniqueArray(fc.constantFrom(...microns(80, 2500)), { minLength: 3, maxLength: 8 });
    fc.assert(
      fc.property(sanded, grains, fc.nat(), fc.integer({ min: 1, max: 1e6 }), (what, some, pick, seed) => {
        const all = [...some].sort((a, b) => b - a);
        // the ends stay: where it starts and where it ends is not the rung's to say
        const skipped = 1 + (pick % (all.length - 2));
        const fewer = all.filter((_, i) => i !== skipped);
        const [more, less] = [
          surface({ ...base, sanded: what, seed, microns: all }),
          surface({ ...base, sanded: what, seed, microns: fewer }),
        ];
        expect(more.deepest_um).toBeLessThanOrEqual(less.deepest_um + 1e-9);
        expect(deepestLeft(all, what).um).toBeLessThanOrEqual(deepestLeft(fewer, what).um + 1e-9);
      }),
      { numRuns: 60 },
    );
  });

  test("a skipped rung leaves the scratch that it would have taken: P400 straight to P2500", () => {
    const skipped = deepestLeft([35, 8.4], LACQUER);
    expect(skipped.micron).toBe(35);
    expect(skipped.um).toBeCloseTo(scratchUm(35, LACQUER) - usualUm(8.4, LACQUER), 9);
    const drawn = surface({ ...base, microns: [35, 8.4] });
    expect(drawn.of_micron).toBe(35);
    expect(drawn.deepest_um).toBeGreaterThan(surface({ ...base, microns: [35, 21.8, 12.6, 8.4] }).deepest_um);
  });

  test("without a rung, or with too few points, there is nothing to draw", () => {
    expect(() => surface({ ...base, microns: [] })).toThrow("one rung");
    expect(() => surface({ ...base, microns: [12], points: 3 })).toThrow("16 points");
  });
});
