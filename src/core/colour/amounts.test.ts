import fc from "fast-check";
import { amountsOf, leastMix_g } from "./amounts";

const RECIPE = [
  { name: "titanium white", pct: 80 },
  { name: "yellow ochre", pct: 16 },
  { name: "lamp black", pct: 4 },
];

test("grams, drops of 0.04 g, and parts to the least of them", () => {
  expect(amountsOf(RECIPE, 5)).toEqual([
    { name: "titanium white", pct: 80, g: 4, drops: 100, parts: 20 },
    { name: "yellow ochre", pct: 16, g: expect.closeTo(0.8, 9), drops: 20, parts: 4 },
    { name: "lamp black", pct: 4, g: 0.2, drops: 5, parts: 1 },
  ]);
});

test("the least that can be mixed has one drop of the least part", () => {
  expect(leastMix_g(RECIPE)).toBeCloseTo(1, 9);
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0.01, max: 100, noNaN: true }), { minLength: 1, maxLength: 6 }), (shares) => {
      const sum = shares.reduce((all, each) => all + each, 0);
      const recipe = shares.map((share, i) => ({ name: String(i), pct: (share / sum) * 100 }));
      const amounts = amountsOf(recipe, leastMix_g(recipe));
      expect(Math.min(...amounts.map(({ g }) => g))).toBeCloseTo(0.04, 9);
      expect(amounts.reduce((all, { g }) => all + g, 0)).toBeCloseTo(leastMix_g(recipe), 6);
    }),
  );
});
