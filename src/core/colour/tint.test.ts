import fc from "fast-check";
import { NM } from "./spectra.data";
import { labOf } from "./spectrum";
import { coatLab, tint } from "./tint";

const base = { r: NM.map((nm) => 0.35 + 0.4 / (1 + Math.exp(-(nm - 560) / 40))) };
/** Absorbs blue and some green: a warm brown. */
const colorant = { name: "warm brown", absorbance_per_um: NM.map((nm) => 0.02 * Math.exp(-(((nm - 430) / 90) ** 2)) + 0.004) };
const film = { base, colorant, film_um: 25 };

test("by hand: 10^(−2 · 0.01 · 50/100 · 20 · 3) = 10^−0.6: a grey of 80 % falls to 20.1 %", () => {
  const grey = { base: { r: NM.map(() => 0.8) }, colorant: { name: "grey", absorbance_per_um: NM.map(() => 0.01) }, film_um: 20 };
  const wanted = labOf(NM.map(() => 0.8 * 10 ** -0.6));
  expect(coatLab(grey, 50, 3).L).toBeCloseTo(wanted.L, 9);
});

test("n coats at p are one coat at n times p", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 12 }), fc.double({ min: 0.1, max: 8, noNaN: true }), (n, pct) => {
      const [many, one] = [coatLab(film, pct, n), coatLab(film, pct * n, 1)];
      expect([many.L, many.a, many.b]).toEqual([one.L, one.a, one.b].map((each) => expect.closeTo(each, 9)));
    }),
  );
});

test("every coat darkens", () => {
  const { coats } = tint({ ...film, coats: 8, pct: 5 });
  coats.slice(1).forEach(({ lab }, i) => {
    expect(lab.L).toBeLessThan(coats[i]?.lab.L ?? 0);
  });
});

test("the strength solved for the last coat reproduces the target where it can be reached", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 8 }), fc.double({ min: 0.05, max: 60, noNaN: true }), (coats, pct) => {
      const found = tint({ ...film, coats, target: { lab: coatLab(film, pct, coats) } });
      expect(found.dE00).toBeLessThan(0.3);
      expect(found.coats).toHaveLength(coats);
      expect(found.warnings).toEqual([]);
    }),
  );
});

test("what a transparent coat can't reach is said: it never lightens", () => {
  const lighter = { ...labOf(base.r), L: 95 };
  const found = tint({ ...film, coats: 4, target: { lab: lighter } });
  expect(found.pct).toBeLessThan(0.01);
  expect(found.warnings).toMatchObject([{ code: "not-reached" }]);
});

test("at a strength that is given the number of coats that comes nearest is told", () => {
  const found = tint({ ...film, coats: 2, pct: 4, target: { lab: coatLab(film, 4, 5) }, most_coats: 8 });
  expect(found).toMatchObject({ pct: 4, best_coats: 5 });
  expect(found.warnings).toMatchObject([{ code: "not-reached", message: expect.stringContaining("At this strength") }]);
});

test("neither strength nor target is no question", () => {
  expect(() => tint({ ...film, coats: 2 })).toThrow(RangeError);
});
