import fc from "fast-check";
import { fittingScale, type Point, PX_PER_MM, scaleLabel } from "../units";
import { type Profile, section } from "./section";

/** Area of a polygon by the shoelace formula, mm². */
const area = (points: readonly Point[]) =>
  Math.abs(
    points.reduce((sum, [x1, y1], i) => {
      const [x2, y2] = points[(i + 1) % points.length] as Point;
      return sum + x1 * y2 - x2 * y1;
    }, 0),
  ) / 2;

const size = fc.double({ min: 1, max: 200, noNaN: true });
const profiles: fc.Arbitrary<Profile> = fc.oneof(
  fc.record({ kind: fc.constant("scoop" as const), width: size, depth: size }),
  fc.record({ kind: fc.constant("groove" as const), width: size, depth: size }),
  fc.record({ kind: fc.constant("shaft" as const), width: size, depth: size, through: fc.boolean() }),
);

test("the layers fill the loss without gap or overlap, up to the proud line", () => {
  fc.assert(
    fc.property(profiles, fc.integer({ min: 1, max: 5 }), fc.double({ min: 0, max: 1, noNaN: true }), (profile, count, proud_mm) => {
      const step = (profile.depth + proud_mm) / count;
      const surfaces = Array.from({ length: count }, (_, i) => step * (i + 1) - profile.depth);
      const drawn = section(profile, { surfaces, proud_mm });
      const below = drawn.layers.map((layer) => area(layer)).reduce((a, b) => a + b, 0);
      const lip = Math.min(proud_mm, (profile.width / 2) * 0.12);
      const above = proud_mm > 0 ? proud_mm * (profile.width + lip) : 0;
      expect(below / (area(drawn.cavity) + above)).toBeCloseTo(1, 6);
      for (const layer of drawn.layers) for (const [, y] of layer) expect(y).toBeGreaterThanOrEqual(-profile.depth - 1e-6);
    }),
  );
});

test("a chip is drawn as the half-ellipse that its volume is reckoned with", () => {
  const drawn = section({ kind: "scoop", width: 34, depth: 11 }, undefined);
  expect(area(drawn.cavity)).toBeCloseTo((Math.PI / 4) * 34 * 11, 0);
  expect(drawn.layers).toEqual([]);
  expect(drawn.proud).toEqual([]);
});

test("a lost corner stands on its broken face, its tip where the edges met", () => {
  const drawn = section({ kind: "peak", width: 50, foot: 0.36, depth: 24 }, undefined);
  const [left, right, tip] = drawn.cavity as [Point, Point, Point];
  expect(right[0] - left[0]).toBeCloseTo(50, 9);
  expect(Math.hypot(tip[0] - left[0], tip[1] - left[1])).toBeCloseTo(30, 9);
  expect(Math.hypot(tip[0] - right[0], tip[1] - right[1])).toBeCloseTo(40, 9);
});

test("the scale is the largest that fits, and is said", () => {
  expect(fittingScale(34, 11, 34 * 5 * PX_PER_MM, 500)).toBe(5);
  expect(fittingScale(34, 11, 34 * 5 * PX_PER_MM - 1, 500)).toBe(4);
  expect(fittingScale(1000, 11, 400, 500)).toBe(1 / 10);
  expect([scaleLabel(5), scaleLabel(1.5), scaleLabel(1 / 3)]).toEqual(["5 : 1", "1.5 : 1", "1 : 3"]);
});
