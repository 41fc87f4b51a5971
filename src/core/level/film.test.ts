import fc from "fast-check";
import { check } from "../problem";
import { film } from "./film";
import { FilmInput } from "./film.schema";

const base: FilmInput = { existing_um: 110, coats: [], cuts: [], safe_um: 60 };

describe("worked by hand", () => {
  test("two wet coats of 100 µm at 40 % leave 80 µm on 110; three cuts of 6 take 18", () => {
    const found = film({ ...base, coats: [{ wet_um: 100, solids_pct: 40, count: 2 }], cuts: [{ um: 6 }, { um: 6 }, { um: 6 }] });
    expect([found.film_um, found.left_um]).toEqual([190, 172]);
  });

  test("at an edge there is less film and more is cut: 110 · 0.7 − 20 · 1.5 = 47", () => {
    const found = film({ ...base, cuts: [{ um: 20 }], edge: { film_factor: 0.7, cut_factor: 1.5 } });
    expect(found.left_edge_um).toBeCloseTo(47, 9);
    expect(found.left_um).toBe(90);
  });

  test("a scratch of 90 µm closes in 15 cycles by spray and cut at 6, in 12 drops of 8", () => {
    const scratch = { depth_um: 90, coat_um: 8, cut_um: 6 };
    expect(film({ ...base, scratch: { ...scratch, mode: "spray" } }).cycles).toBe(15);
    expect(film({ ...base, scratch: { ...scratch, mode: "drop" } }).cycles).toBe(12);
  });

  test("as thick as is safe, half of all films are thinner; a standard deviation above it is 15.87 %", () => {
    const half = film({ ...base, existing_um: 60, existing_sd_um: 10 });
    expect(half.rub_through_pct).toBeCloseTo(50, 4);
    expect(film({ ...base, existing_um: 70, existing_sd_um: 10 }).rub_through_pct).toBeCloseTo(15.866, 2);
  });

  test("without any spread it is certain, one way or the other", () => {
    expect(film(base).rub_through_pct).toBe(0);
    expect(film({ ...base, cuts: [{ um: 80 }] }).rub_through_pct).toBe(100);
  });

  test("what thins the film around under the safe one is warned of", () => {
    const spray = film({ ...base, existing_um: 70, scratch: { depth_um: 90, mode: "spray", coat_um: 3, cut_um: 6 } });
    expect(spray.warnings.length).toBeGreaterThan(0);
  });
});

test("the first cycle after which the film around is too thin is the one that counting finds", () => {
  const figure = fc.double({ min: 0.01, max: 50, noNaN: true });
  fc.assert(
    fc.property(figure, figure, fc.double({ min: 0.01, max: 500, noNaN: true }), (coat_um, cut_um, depth_um) => {
      const found = film({ ...base, existing_um: 90, scratch: { depth_um, mode: "spray", coat_um, cut_um } });
      const around = (n: number) => 90 + n * (coat_um - cut_um);
      const counted = Array.from({ length: Math.min(found.cycles ?? 0, 60_000) }, (_, i) => i + 1).find((n) => around(n) < 60 - 1e-6);
      const named = Number(/^After cycle (\d+)/.exec(found.warnings[0]?.message ?? "")?.[1] ?? Number.NaN);
      if (counted === undefined) expect(Number.isNaN(named) || Math.abs(around(named) - 60) < 1e-5).toBe(true);
      else expect(Math.abs(named - counted)).toBeLessThanOrEqual(Math.abs(around(counted) - 60) < 1e-5 ? 1 : 0);
    }),
  );
});

test("a wipe that is next to nothing is refused, not counted for ever", () => {
  const scratch = { depth_um: 90, mode: "spray", coat_um: 8, cut_um: 5e-324 } as const;
  expect(check(FilmInput, { ...base, scratch })).toEqual([{ path: "/scratch/cut_um", message: "must be 0.01 or more" }]);
});

/** A seeded normal by the sum of twelve uniforms: coarse, and independent of the formula under test. */
function normals(seed: number): () => number {
  let state = seed >>> 0;
  const uniform = () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
  return () => Array.from({ length: 12 }, uniform).reduce((sum, each) => sum + each, -6);
}

const um = fc.double({ min: 1, max: 60, noNaN: true });
const inputs: fc.Arbitrary<FilmInput> = fc.record({
  existing_um: fc.double({ min: 40, max: 200, noNaN: true }),
  existing_sd_um: fc.double({ min: 2, max: 30, noNaN: true }),
  coats: fc.constant([]),
  cuts: fc.array(fc.record({ um, sd_um: fc.double({ min: 0.5, max: 8, noNaN: true }) }), { maxLength: 5 }),
  safe_um: fc.double({ min: 10, max: 80, noNaN: true }),
});

test("the chance of rubbing through is that of four thousand drawn films, within three in a hundred", () => {
  fc.assert(
    fc.property(inputs, fc.integer({ min: 1, max: 1e6 }), (input, seed) => {
      const draw = normals(seed);
      const rounds = 4000;
      let through = 0;
      for (let i = 0; i < rounds; i++) {
        const cut = input.cuts.reduce((sum, { um: mean, sd_um = 0 }) => sum + mean + draw() * sd_um, 0);
        if (input.existing_um + draw() * (input.existing_sd_um ?? 0) - cut < input.safe_um) through += 1;
      }
      expect(Math.abs(film(input).rub_through_pct - (100 * through) / rounds)).toBeLessThan(3);
    }),
    { numRuns: 25 },
  );
});

test("another cut never leaves more, another coat never less, and the chance stays between 0 and 100", () => {
  fc.assert(
    fc.property(inputs, um, (input, more) => {
      const found = film(input);
      const cut = film({ ...input, cuts: [...input.cuts, { um: more }] });
      const coat = film({ ...input, coats: [{ wet_um: more, solids_pct: 30, count: 1 }] });
      expect(cut.left_um).toBeLessThanOrEqual(found.left_um);
      expect(cut.rub_through_pct).toBeGreaterThanOrEqual(found.rub_through_pct - 1e-9);
      expect(coat.rub_through_pct).toBeLessThanOrEqual(found.rub_through_pct + 1e-9);
      expect(found.rub_through_pct >= 0 && found.rub_through_pct <= 100).toBe(true);
    }),
  );
});
