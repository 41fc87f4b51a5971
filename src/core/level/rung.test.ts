import fc from "fast-check";
import { ladder } from "./ladder";
import { type Hardness, rungMinutes, rungsOf, type Sanded, SCRATCH_OFF, sandedOver, scratchUm, sheetsFor, wantsCoarser } from "./rung";
import { deepestLeft, surface, surfaceRows } from "./surface";

const LACQUER: Sanded = { hardness: 3, wet: true };
const sanded = fc.record({ hardness: fc.constantFrom<Hardness>(1, 2, 3, 4, 5), wet: fc.boolean() });
const microns = (from: number, to: number) =>
  ladder({ from: { system: "P", grade: from }, to: { system: "P", grade: to } }).steps.map(({ micron }) => micron);

describe("what a rung does", () => {
  test("P1000 wet in lacquer leaves some 5 µm; the next rung takes that and a tenth more", () => {
    const [p1000, p1500] = rungsOf([{ micron: 18.3 }, { micron: 12.6 }], LACQUER, 2000);
    expect(p1000?.leaves_um).toBeCloseTo(18.3 * 0.35 * 0.8, 9);
    expect(p1500?.takes_um).toBeCloseTo(1.1 * (p1000?.leaves_um ?? 0), 9);
    expect(p1000?.leaves_range_um[1]).toBeCloseTo((p1000?.leaves_um ?? 0) * (1 + SCRATCH_OFF), 9);
  });

  test("the first takes what stands proud, and twice the area or the height takes twice the time of cutting", () => {
    const minutes = (area: number, proud: number) =>
      (rungsOf([{ micron: 125, proud_um: proud }], { hardness: 3, wet: false }, area)[0]?.minutes[1] ?? 0) - 1.5;
    expect(rungsOf([{ micron: 125, proud_um: 300 }], LACQUER, 500)[0]?.takes_um).toBe(300);
    expect(minutes(4000, 300) / minutes(2000, 300)).toBeCloseTo(2, 9);
    expect(minutes(2000, 600) / minutes(2000, 300)).toBeCloseTo(2, 9);
    // 0.3 mm off 20 cm² are 600 mm³: some eleven minutes at 56 mm³ a minute, within a factor of two
    expect(minutes(2000, 300) / 2).toBeCloseTo(600 / 56.25, 9);
  });

  test("along a ladder without gaps every rung erases the one before and leaves less", () => {
    fc.assert(
      fc.property(sanded, fc.constantFrom(80, 120, 180), fc.constantFrom(400, 800, 1500), (what, from, to) => {
        const rungs = rungsOf(
          microns(from, to).map((micron) => ({ micron, proud_um: 200 })),
          what,
          1000,
        );
        rungs.slice(1).forEach(({ takes_um, leaves_um }, i) => {
          expect(takes_um).toBeGreaterThan(rungs[i]?.leaves_um ?? 0);
          expect(leaves_um).toBeLessThan(rungs[i]?.leaves_um ?? 0);
        });
      }),
    );
  });

  test("one that was gone back to takes what stood proud then; the finer one after it erases its scratches", () => {
    const [, fine, back, again] = rungsOf([{ micron: 82 }, { micron: 52 }, { micron: 82, proud_um: 300 }, { micron: 52 }], LACQUER, 1000);
    expect(back?.takes_um).toBe(300);
    expect(again?.takes_um).toBeCloseTo(fine?.takes_um ?? 0, 9);
  });

  test("half a millimetre proud is no work for P600; a hair is", () => {
    expect(wantsCoarser(500, 25.8, LACQUER)).toBe(true);
    expect(wantsCoarser(20, 25.8, LACQUER)).toBe(false);
  });

  test("paper is counted in quarters of a sheet, one at least, with its price", () => {
    expect(sheetsFor(500)).toEqual({ quarters: 1, eur: [0.125, 0.3] });
    // a face of 40 × 25 cm is five quarters
    expect(sheetsFor(100_000).quarters).toBe(5);
  });

  test("a large face takes as much longer as it is larger, and is sanded by machine", () => {
    const minutes = (area: number) => (rungsOf([{ micron: 100, proud_um: 150 }], LACQUER, area)[0]?.minutes[1] ?? 0) - 1.5;
    expect(minutes(100_000) / minutes(5_000)).toBeCloseTo(20 / 6, 9);
  });

  test("nobody does a rung in less than it takes to set up, wipe and look; a film takes more care", () => {
    const tiny = [{ opening_mm2: 20 }];
    expect(rungMinutes({ ...LACQUER, micron: 100 }, tiny)).toEqual([3, 9]);
    expect(rungMinutes({ ...LACQUER, careful: true, micron: 100 }, tiny)).toEqual([4, 10]);
    const whole = [{ opening_mm2: 40_000 }];
    expect(rungMinutes({ ...LACQUER, micron: 82, before_um: 125 }, whole)).toEqual(
      rungsOf([{ micron: 125 }, { micron: 82 }], LACQUER, sandedOver(40_000))[1]?.minutes,
    );
  });
});

describe("the surface that is left", () => {
  const base = { sanded: LACQUER, length_mm: 2, points: 2000, seed: 7 };
  const of = (grains: readonly number[], what = LACQUER) =>
    rungsOf(
      grains.map((micron) => ({ micron })),
      what,
      1000,
    );

  test("the same seed gives the same picture, another one another", () => {
    const rungs = of([25.8, 15.3]);
    expect(surface({ ...base, rungs })).toEqual(surface({ ...base, rungs }));
    expect(surface({ ...base, rungs, seed: 8 })).not.toEqual(surface({ ...base, rungs }));
  });

  test("after a ladder without gaps the deepest scratch is one of the last grain, within its range", () => {
    fc.assert(
      fc.property(sanded, fc.integer({ min: 1, max: 1e6 }), fc.constantFrom(240, 400, 800, 1500), (what, seed, to) => {
        const grains = microns(120, to);
        const last = grains.at(-1) ?? 0;
        const found = surface({ ...base, sanded: what, seed, rungs: of(grains, what) });
        expect(found.of_micron).toBe(last);
        const leaves = scratchUm(last, what);
        expect(found.deepest_um).toBeLessThanOrEqual(leaves * (1 + 1e-9));
        expect(found.deepest_um).toBeGreaterThanOrEqual(leaves * (1 - SCRATCH_OFF));
        expect(found.ra_um).toBeLessThan(found.rz_um);
        expect(found.rz_um).toBeLessThanOrEqual(leaves * (1 + 1e-9));
      }),
      { numRuns: 25 },
    );
  });

  test("no ladder with a rung more leaves a deeper scratch, each rung given the time that was planned for it", () => {
    const grains = fc.uniqueArray(fc.constantFrom(...microns(80, 2500)), { minLength: 3, maxLength: 8 });
    fc.assert(
      fc.property(sanded, grains, fc.nat(), fc.integer({ min: 1, max: 1e6 }), (what, some, pick, seed) => {
        const all = of(
          [...some].sort((a, b) => b - a),
          what,
        );
        // the ends stay: where it starts and where it ends is not the rung's to say
        const skipped = 1 + (pick % (all.length - 2));
        const fewer = all.filter((_, i) => i !== skipped);
        const [more, less] = [all, fewer].map((rungs) => surface({ ...base, sanded: what, seed, rungs }).deepest_um);
        expect(more).toBeLessThanOrEqual((less ?? 0) + 1e-9);
        expect(deepestLeft(all, what).um).toBeLessThanOrEqual(deepestLeft(fewer, what).um + 1e-9);
      }),
      { numRuns: 25 },
    );
  });

  test("of a ladder at its widest steps, the rung that is skipped leaves the scratch that it would have taken", () => {
    const all = of([35, 19.5, 10.8, 6]);
    const skipped = all.filter((_, i) => i !== 2);
    const left = deepestLeft(skipped, LACQUER);
    expect(left.micron).toBe(19.5);
    expect(left.um).toBeCloseTo(scratchUm(19.5, LACQUER) - 1.1 * scratchUm(10.8, LACQUER), 9);
    const drawn = surface({ ...base, rungs: skipped });
    expect(drawn.of_micron).toBe(19.5);
    expect(drawn.deepest_um).toBeGreaterThan(surface({ ...base, rungs: all }).deepest_um);
  });

  test("a picture has its rows, tells how far it is, and each row lies at or under the plane", () => {
    const told: number[] = [];
    const rows = surfaceRows({ ...base, points: 200, rungs: of([25.8, 15.3]) }, 48, (share) => told.push(share));
    expect([rows.length, rows[0]?.length]).toEqual([48, 200]);
    expect(told).toEqual([...told].sort((a, b) => a - b));
    expect(told.at(-1)).toBe(1);
    expect(rows.flat().every((height) => height <= 1e-9)).toBe(true);
  });

  test("without a rung, or with too few points, there is nothing to draw", () => {
    expect(() => surface({ ...base, rungs: [] })).toThrow("one rung");
    expect(() => surface({ ...base, rungs: of([12]), points: 3 })).toThrow("16 points");
  });
});
