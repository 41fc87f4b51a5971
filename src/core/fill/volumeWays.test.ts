import fc from "fast-check";
import { byMeasures, known, together, VOLUME_WAYS } from "./volumeWays";

test("by hand: 3.6 g of clay at 1.8 are 2 cm³, 4 ml of water 4, 3.2 g of a mix at 1.6 are 2, half a spoon 2.5", () => {
  expect(known("clay", 3.6, 1.6)?.cm3).toBeCloseTo(2, 9);
  expect(known("water", 4, 1.6)?.cm3).toBe(4);
  expect(known("last-mix", 3.2, 1.6)?.cm3).toBeCloseTo(2, 9);
  expect(known("spoons", 0.5, 1.6)?.cm3).toBe(2.5);
});

test("nothing weighed is nothing known", () => {
  for (const { way } of VOLUME_WAYS)
    expect([known(way, 0, 1.6), known(way, -1, 1.6), known(way, Number.NaN, 1.6)]).toEqual([undefined, undefined, undefined]);
});

test("two that are equally sure meet in the middle; the surer one pulls", () => {
  const at = (cm3: number, off_pct: number) => ({ label: "", cm3, off_pct });
  expect(together([at(2, 10), at(2, 10)])).toEqual({ cm3: 2, spread_pct: 0, disagree: false });
  expect(together([at(10, 1), at(12, 20)]).cm3).toBeLessThan(10.1);
});

test("measures of 1.76 cm³ and clay of 1.9 agree; clay of 4 does not, and that is said", () => {
  expect(together([byMeasures(1.76), { label: "clay", cm3: 1.9, off_pct: 12 }]).disagree).toBe(false);
  const far = together([byMeasures(1.76), { label: "clay", cm3: 4, off_pct: 12 }]);
  expect(far.disagree).toBe(true);
  expect(far.spread_pct).toBeGreaterThan(90);
});

const volumes = fc.array(
  fc.record({
    label: fc.constant(""),
    cm3: fc.double({ min: 0.01, max: 500, noNaN: true }),
    off_pct: fc.double({ min: 1, max: 30, noNaN: true }),
  }),
  { minLength: 1, maxLength: 5 },
);

test("whatever is known, together it lies between the least and the most, and the order changes nothing", () => {
  fc.assert(
    fc.property(volumes, (all) => {
      const { cm3, spread_pct } = together(all);
      const [least, most] = [Math.min(...all.map((each) => each.cm3)), Math.max(...all.map((each) => each.cm3))];
      expect(cm3).toBeGreaterThanOrEqual(least * (1 - 1e-9));
      expect(cm3).toBeLessThanOrEqual(most * (1 + 1e-9));
      expect(spread_pct).toBeGreaterThanOrEqual(0);
      expect(together([...all].reverse()).cm3).toBeCloseTo(cm3, 9);
    }),
  );
});

test("without any there is no answer", () => {
  expect(() => together([])).toThrow(RangeError);
});
