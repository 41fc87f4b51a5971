import fc from "fast-check";
import { cornerDepth, fillDepth, filledShare } from "./solids";
import { volume } from "./volume";
import type { Solid } from "./volume.schema";

test.each<[string, Solid, number, number]>([
  ["a box fills evenly", { shape: "box", length: 10, width: 4, depth: 3 }, 0.5, 0.5],
  ["half of a corner’s height over its broken face holds seven eighths", { shape: "corner", a: 30, b: 20, c: 18 }, 0.5, 7 / 8],
  ["a pointed tip is like a corner", { shape: "cone", diameter: 14, height: 19 }, 0.5, 7 / 8],
  ["a V groove fills by the square", { shape: "vGroove", length: 40, width: 2, depth: 3 }, 0.5, 0.25],
  // half ellipse under half its depth: 1 − (2/π)(½·√¾ + asin ½) = 0.3910
  ["a shell fills as a half ellipse", { shape: "edgeChip", length: 34, depth: 11, thickness: 6 }, 0.5, 0.391002],
  // V(x) = πx²(3R − x)/3 with R = 24.04: V(0.6)/V(1.2) = 0.2521
  ["a dent fills from its pole", { shape: "sphericalCap", diameter: 15, height: 1.2 }, 0.5, 0.2521],
  // mean of squares: ∫₀^½ (6 − 3t)² dt / ∫₀¹ (6 − 3t)² dt
  ["a blunt tip is built up from its base", { shape: "frustum", diameter1: 6, diameter2: 3, height: 22 }, 0.5, 13.875 / 21],
])("%s", (_, solid, share, expected) => {
  expect(filledShare(solid, share)).toBeCloseTo(expected, 3);
});

test("the height of a corner over its broken face is 3V / A: 30 × 20 × 18 is 12.22 mm, 3 × 4 × ∞ tends to 12/5", () => {
  expect(cornerDepth(30, 20, 18)).toBeCloseTo(12.219, 3);
  expect(cornerDepth(3, 4, 1e9)).toBeCloseTo(2.4, 6);
  expect(fillDepth({ shape: "corner", a: 80, b: 60, c: 50 })).toBeCloseTo(34.6266, 4);
});

const size = fc.double({ min: 0.2, max: 300, noNaN: true });
const solids: fc.Arbitrary<Solid> = fc.oneof(
  fc.record({ shape: fc.constant("box" as const), length: size, width: size, depth: size }),
  fc.record({ shape: fc.constant("cylinder" as const), diameter: size, depth: size }),
  fc.record({ shape: fc.constant("cone" as const), diameter: size, height: size }),
  fc.record({ shape: fc.constant("frustum" as const), diameter1: size, diameter2: size, height: size }),
  fc.record({ shape: fc.constant("sphericalCap" as const), diameter: size, height: size }),
  fc.record({ shape: fc.constant("corner" as const), a: size, b: size, c: size }),
  fc.record({ shape: fc.constant("edgeChip" as const), length: size, depth: size, thickness: size }),
  fc.record({ shape: fc.constant("vGroove" as const), length: size, width: size, depth: size }),
  fc.record({ shape: fc.constant("uGroove" as const), length: size, width: size, depth: size }),
  fc.record({ shape: fc.constant("sheet" as const), area_mm2: size, depth: size }),
);

test("nothing lies under the floor, all of it under the surface, and never less under more", () => {
  fc.assert(
    fc.property(solids, fc.double({ min: 0, max: 1, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }), (solid, a, b) => {
      const [low, high] = [Math.min(a, b), Math.max(a, b)];
      expect(filledShare(solid, 0)).toBeCloseTo(0, 9);
      expect(filledShare(solid, 1)).toBeCloseTo(1, 9);
      expect(filledShare(solid, high)).toBeGreaterThanOrEqual(filledShare(solid, low) - 1e-9);
      expect(fillDepth(solid)).toBeGreaterThan(0);
      expect(volume({ solids: [solid] }).volume_cm3).toBeGreaterThan(0);
    }),
  );
});

test("a corner cut by a plane parallel to its broken face is a smaller corner of the same shape", () => {
  fc.assert(
    fc.property(size, size, size, fc.double({ min: 0.05, max: 0.95, noNaN: true }), (a, b, c, share) => {
      const left = 1 - share;
      const whole = volume({ solids: [{ shape: "corner", a, b, c }] }).volume_cm3;
      const rest = volume({ solids: [{ shape: "corner", a: a * left, b: b * left, c: c * left }] }).volume_cm3;
      expect(filledShare({ shape: "corner", a, b, c }, share)).toBeCloseTo(1 - rest / whole, 9);
    }),
  );
});
