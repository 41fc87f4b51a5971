import fc from "fast-check";
import { layers } from "../fill/layers";
import { volume } from "../survey/volume";
import type { Solid } from "../survey/volume.schema";
import { layersCalc } from "./layersCalc";

const CORNER: Solid = { shape: "corner", a: 30, b: 20, c: 18 };

test("half the depth of a lost corner, filled from its broken face, holds seven eighths of it: 1.575 of 1.8 cm³", () => {
  const [first, second] = layersCalc({ depth_mm: 12, max_layer_mm: 6, shrinkage_pct: 0, proud_mm: 0, solids: [CORNER] }).layers;
  expect(first?.volume_cm3).toBeCloseTo(1.8 * (7 / 8), 9);
  expect(second?.volume_cm3).toBeCloseTo(1.8 / 8, 9);
});

test("a cap is filled from its pole: under half its depth lies less than half of it", () => {
  const cap: Solid = { shape: "sphericalCap", diameter: 15, height: 1.2 };
  const [first, second] = layersCalc({ depth_mm: 1.2, max_layer_mm: 0.6, shrinkage_pct: 0, proud_mm: 0, solids: [cap] }).layers;
  expect(first?.volume_cm3).toBeLessThan(second?.volume_cm3 ?? 0);
});

test("what was measured low is planned on from there; what stands proud enough needs nothing", () => {
  const asked = { depth_mm: 11, max_layer_mm: 8, shrinkage_pct: 1, proud_mm: 0.4 };
  const rest = layersCalc({ ...asked, done: [{ surface_mm: -5.2 }, { surface_mm: -0.9 }] });
  expect(rest).toMatchObject({ count: 1 });
  expect(rest.layers[0]?.applied_mm).toBeCloseTo(1.3 / 0.99, 9);
  expect(rest.layers.at(-1)?.surface_mm).toBeCloseTo(0.4, 9);
  expect(layersCalc({ ...asked, done: [{ surface_mm: 0.5 }] })).toMatchObject({ count: 0, layers: [], warnings: [{ code: "done" }] });
  expect(() => layersCalc({ ...asked, done: [{ surface_mm: -12 }] })).toThrow(/under the floor/);
});

test("prouder than a layer of its own is warned of", () => {
  expect(layersCalc({ depth_mm: 0.2, max_layer_mm: 0.3, shrinkage_pct: 0, proud_mm: 0.5 }).warnings.map(({ code }) => code)).toContain(
    "proud",
  );
  expect(layersCalc({ depth_mm: 6, max_layer_mm: 8, shrinkage_pct: 0, proud_mm: 0.4 }).warnings).toEqual([]);
});

const size = fc.double({ min: 0.5, max: 80, noNaN: true });
const solids: fc.Arbitrary<Solid> = fc.oneof(
  fc.record({ shape: fc.constant("corner" as const), a: size, b: size, c: size }),
  fc.record({ shape: fc.constant("cone" as const), diameter: size, height: size }),
  fc.record({ shape: fc.constant("sphericalCap" as const), diameter: size, height: size }),
  fc.record({ shape: fc.constant("edgeChip" as const), length: size, depth: size, thickness: size }),
  fc.record({ shape: fc.constant("vGroove" as const), length: size, width: size, depth: size }),
  fc.record({ shape: fc.constant("frustum" as const), diameter1: size, diameter2: size, height: size }),
);
const asked = fc.record({
  depth_mm: size,
  max_layer_mm: fc.double({ min: 1, max: 20, noNaN: true }),
  shrinkage_pct: fc.double({ min: 0, max: 20, noNaN: true }),
  proud_mm: fc.double({ min: 0, max: 2, noNaN: true }),
});

test("the layers of a solid add up to it, none is negative, and without solids they are those of the plain question", () => {
  fc.assert(
    fc.property(asked, solids, (input, solid) => {
      const found = layersCalc({ ...input, solids: [solid] });
      const sum = found.layers.reduce((all, { volume_cm3 = 0 }) => all + volume_cm3, 0);
      expect(sum / volume({ solids: [solid] }).volume_cm3).toBeCloseTo(1, 6);
      expect(found.layers.every(({ volume_cm3 = -1 }) => volume_cm3 >= -1e-12)).toBe(true);
      const plain = layers(input);
      expect([found.count, found.layers.at(-1)?.surface_mm]).toEqual([
        plain.count,
        expect.closeTo(plain.layers.at(-1)?.surface_mm ?? 0, 6),
      ]);
    }),
  );
});
