import fc from "fast-check";
import { dE00 } from "./deltaE";
import { corrected, fadeOf, stripOf } from "./drawdown";

const GROUND = { L: 80, a: 4, b: 20 };
const ONE = { L: 72, a: 8, b: 26 };

/** What the strip reckons after so many coats of full strength. */
const laid = (n: number) => stripOf(GROUND, ONE, ONE, n).coats[n]?.lab ?? GROUND;

describe("coats that came out otherwise than reckoned", () => {
  test("as reckoned: the coat that is left has the draw-down’s strength", () => {
    const found = corrected(GROUND, ONE, laid(3), laid(4), 1);
    expect(found.pct).toBeCloseTo(100, -1);
    expect(found.dE00).toBeLessThan(0.5);
    expect(found.past).toBe(false);
  });
  test("paler than reckoned: it is made stronger; darker: it is thinned", () => {
    expect(corrected(GROUND, ONE, laid(2), laid(4), 1).pct).toBeGreaterThan(150);
    const thinner = corrected(GROUND, ONE, { ...laid(3), L: laid(3).L - 1.5 }, laid(4), 1);
    expect(thinner.pct).toBeLessThan(100);
  });
  test("past the colour to meet nothing transparent brings it back", () => {
    const now = laid(4);
    const found = corrected(GROUND, ONE, now, laid(2), 1);
    expect(found.past).toBe(true);
    expect(found.pct).toBeCloseTo(0, 1);
  });
  test("over several coats it takes as much together as in one", () => {
    const one = corrected(GROUND, ONE, laid(1), laid(3), 1);
    const two = corrected(GROUND, ONE, laid(1), laid(3), 2);
    expect(one.pct).toBeCloseTo(2 * two.pct, 0);
  });
  test("never leaves it further off than it is", () => {
    const lab = fc.record({ L: fc.integer({ min: 20, max: 79 }), a: fc.integer({ min: 0, max: 30 }), b: fc.integer({ min: 5, max: 45 }) });
    fc.assert(
      fc.property(lab, fc.integer({ min: 1, max: 3 }), (target, left) => {
        expect(corrected(GROUND, ONE, laid(1), target, left).dE00).toBeLessThanOrEqual(dE00(laid(1), target) + 0.3);
      }),
      { numRuns: 30 },
    );
  });
});

test("the fade goes with what each coat changes: 3 mm for each dE00, all of them one after the other", () => {
  const grey = (L: number) => ({ lab: { L, a: 0, b: 0 } });
  const { each_mm, all_mm } = fadeOf([grey(80), grey(76), grey(70)]);
  const [first, second] = [dE00(grey(80).lab, grey(76).lab), dE00(grey(76).lab, grey(70).lab)];
  expect(each_mm).toBeCloseTo(3 * second, 9);
  expect(all_mm).toBeCloseTo(3 * (first + second), 9);
  expect(fadeOf([grey(50)])).toEqual({ each_mm: 0, all_mm: 0 });
});
