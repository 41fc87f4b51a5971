import fc from "fast-check";
import { layers } from "./layers";
import { proposeProud } from "./proud";

test("a deep chip takes two equal layers and ends proud", () => {
  const found = layers({ depth_mm: 11, max_layer_mm: 8, shrinkage_pct: 1, proud_mm: 0.4 });
  expect(found.count).toBe(2);
  expect(found.apply_mm).toBeCloseTo(11.4 / 0.99 / 2, 12);
  expect(found.layers[0]?.surface_mm).toBeCloseTo(-5.3, 12);
  expect(found.layers.at(-1)?.surface_mm).toBeCloseTo(0.4, 12);
});

test("a depth that is a whole number of layers takes no empty one", () => {
  expect(layers({ depth_mm: 0.3, max_layer_mm: 0.1, shrinkage_pct: 0, proud_mm: 0 }).count).toBe(3);
});

test("a slip of the decimal point is refused", () => {
  expect(() => layers({ depth_mm: 5000, max_layer_mm: 0.1, shrinkage_pct: 50, proud_mm: 0 })).toThrow("layers would be needed");
});

test("layers are no thicker than allowed, as few as such, and their cured sum reaches the height", () => {
  const numbers = {
    depth: fc.double({ min: 0.1, max: 200, noNaN: true }),
    max: fc.double({ min: 0.6, max: 60, noNaN: true }),
    shrink: fc.double({ min: 0, max: 60, noNaN: true }),
    proud: fc.double({ min: 0, max: 3, noNaN: true }),
  };
  fc.assert(
    fc.property(numbers.depth, numbers.max, numbers.shrink, numbers.proud, (depth_mm, max_layer_mm, shrinkage_pct, proud_mm) => {
      const found = layers({ depth_mm, max_layer_mm, shrinkage_pct, proud_mm });
      expect(found.apply_mm).toBeLessThanOrEqual(max_layer_mm * (1 + 1e-6));
      const cured = found.layers.reduce((sum, { cured_mm }) => sum + cured_mm, 0);
      expect(cured).toBeCloseTo(depth_mm + proud_mm, 6);
      expect(found.layers.at(-1)?.surface_mm).toBeCloseTo(proud_mm, 6);
      if (found.count > 1)
        expect((found.count - 1) * max_layer_mm * (1 - shrinkage_pct / 100)).toBeLessThan((depth_mm + proud_mm) * (1 + 1e-6));
      for (const layer of found.layers) expect(layer.cured_mm).toBeLessThanOrEqual(layer.applied_mm);
    }),
  );
});

test("the proud height covers levelling and what is unsure of shrinkage, in tenths", () => {
  expect(proposeProud(6, [0.5, 1])).toBe(0.3);
  expect(proposeProud(11, [0.5, 1])).toBe(0.4);
  expect(proposeProud(60, [0, 0])).toBe(0.3);
  expect(proposeProud(2, [5, 10])).toBe(0.4);
});
