import fc from "fast-check";
import { volume } from "./volume";
import type { Solid } from "./volume.schema";

const cm3 = (...solids: Solid[]) => volume({ solids }).volume_cm3;

/** Each against a figure worked out by hand from the textbook formula. */
test.each<[Solid, number]>([
  [{ shape: "box", length: 20, width: 10, depth: 5 }, 1],
  [{ shape: "cylinder", diameter: 20, depth: 10 }, Math.PI],
  [{ shape: "cone", diameter: 20, height: 30 }, Math.PI],
  [{ shape: "frustum", diameter1: 20, diameter2: 10, height: 12 }, 0.7 * Math.PI],
  [{ shape: "sphericalCap", diameter: 20, height: 10 }, (2 / 3) * Math.PI],
  [{ shape: "corner", a: 30, b: 20, c: 10 }, 1],
  [{ shape: "edgeChip", length: 40, depth: 10, thickness: 10 }, Math.PI],
  [{ shape: "vGroove", length: 100, width: 4, depth: 5 }, 1],
  [{ shape: "uGroove", length: 100, width: 4, depth: 10 }, Math.PI],
  [{ shape: "sheet", area_mm2: 5000, depth: 0.2 }, 1],
])("%j holds %d cm³", (solid, expected) => {
  expect(cm3(solid)).toBeCloseTo(expected, 10);
});

test("a frustum with equal ends is a cylinder, with one end a point nearly a cone", () => {
  expect(cm3({ shape: "frustum", diameter1: 8, diameter2: 8, height: 5 })).toBeCloseTo(
    cm3({ shape: "cylinder", diameter: 8, depth: 5 }),
    12,
  );
  expect(cm3({ shape: "frustum", diameter1: 8, diameter2: 1e-9, height: 5 })).toBeCloseTo(
    cm3({ shape: "cone", diameter: 8, height: 5 }),
    9,
  );
});

const mm = fc.double({ min: 0.1, max: 500, noNaN: true });
const anySolid: fc.Arbitrary<Solid> = fc.oneof(
  fc.record({ shape: fc.constant("box" as const), length: mm, width: mm, depth: mm }),
  fc.record({ shape: fc.constant("frustum" as const), diameter1: mm, diameter2: mm, height: mm }),
  fc.record({ shape: fc.constant("sphericalCap" as const), diameter: mm, height: mm }),
  fc.record({ shape: fc.constant("edgeChip" as const), length: mm, depth: mm, thickness: mm }),
  fc.record({ shape: fc.constant("uGroove" as const), length: mm, width: mm, depth: mm }),
);

test("twice as large in every direction holds eight times as much", () => {
  fc.assert(
    fc.property(anySolid, (solid) => {
      const doubled = Object.fromEntries(
        Object.entries(solid).map(([key, value]) => [key, typeof value === "number" ? value * 2 : value]),
      ) as Solid;
      expect(cm3(doubled) / cm3(solid)).toBeCloseTo(8, 8);
    }),
  );
});

test("a count is so many of them, and the whole is the sum of its parts, in any order", () => {
  fc.assert(
    fc.property(fc.array(anySolid, { minLength: 1, maxLength: 6 }), fc.integer({ min: 1, max: 50 }), (solids, count) => {
      const single = solids.map((solid) => cm3(solid));
      const sum = single.reduce((a, b) => a + b, 0);
      expect(cm3(...solids)).toBeCloseTo(sum, 6);
      expect(cm3(...[...solids].reverse())).toBeCloseTo(sum, 6);
      const first = solids[0] as Solid;
      expect(cm3({ ...first, count }) / cm3(first)).toBeCloseTo(count, 8);
    }),
  );
});
