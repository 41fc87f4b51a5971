import fc from "fast-check";
import { boundsOf, fittingScale, type Point, PX_PER_MM, type Scene, scaleLabel } from "../units";
import { cavityOf, type Profile } from "./outline";
import { type LossCut, lossScene } from "./section";

/** Area of a polygon by the shoelace formula, mm². */
const area = (points: readonly Point[]) =>
  Math.abs(
    points.reduce((sum, [x1, y1], i) => {
      const [x2, y2] = points[(i + 1) % points.length] as Point;
      return sum + x1 * y2 - x2 * y1;
    }, 0),
  ) / 2;

const size = fc.double({ min: 1, max: 200, noNaN: true });
const flats: fc.Arbitrary<Profile> = fc.oneof(
  fc.record({ kind: fc.constant("scoop" as const), width: size, depth: size }),
  fc.record({ kind: fc.constant("groove" as const), width: size, depth: size }),
  fc.record({ kind: fc.constant("shaft" as const), width: size, depth: size, through: fc.boolean() }),
);

/** Equal layers up to what stands proud. */
const cutOf = (profile: Profile, count: number, proud_mm: number, over: Partial<LossCut> = {}): LossCut => {
  const step = (profile.depth + proud_mm) / count;
  return {
    profile,
    hatch: "stoneware",
    layers: Array.from({ length: count }, (_, i) => ({
      name: `Layer ${i + 1}`,
      words: "planned",
      hatch: i % 2 === 0 ? "putty" : "putty-2",
      surface_mm: step * (i + 1) - profile.depth,
      shrinks_mm: step * 0.01,
    })),
    proud_mm,
    trough: false,
    radial: false,
    keyed: false,
    ...over,
  };
};
const shapes = (scene: Scene, kind: string) => scene.shapes.filter((shape) => shape.kind === kind);
const lines = (scene: Scene, kind: string) => scene.lines.filter((line) => line.kind === kind);

test("the layers fill the loss without gap or overlap, up to the proud line", () => {
  fc.assert(
    fc.property(flats, fc.integer({ min: 1, max: 5 }), fc.double({ min: 0, max: 1, noNaN: true }), (profile, count, proud_mm) => {
      const drawn = lossScene(cutOf(profile, count, proud_mm));
      const layers = shapes(drawn, "layer");
      const filled = layers.map(({ points }) => area(points)).reduce((a, b) => a + b, 0);
      const lip = Math.min(proud_mm, (profile.width / 2) * 0.12);
      const above = proud_mm > 0 ? proud_mm * (profile.width + lip) : 0;
      expect(filled / (area(cavityOf(profile)) + above)).toBeCloseTo(1, 6);
      expect(boundsOf({ shapes: layers, lines: [] }).bottom).toBeGreaterThanOrEqual(-profile.depth - 1e-6);
    }),
  );
});

test("what sinks is drawn larger, says how much, and never under its own foot", () => {
  fc.assert(
    fc.property(flats, fc.integer({ min: 1, max: 5 }), fc.double({ min: 0, max: 0.3, noNaN: true }), (profile, count, share) => {
      const plain = cutOf(profile, count, 0);
      const step = profile.depth / count;
      const drawn = lossScene({ ...plain, layers: plain.layers.map((layer) => ({ ...layer, shrinks_mm: step * share })) });
      for (const [i, { points }] of lines(drawn, "shrink").entries()) {
        const lowest = Math.min(...points.map(([, y]) => y));
        expect(lowest).toBeGreaterThanOrEqual(step * i - profile.depth - 1e-6);
      }
      expect(drawn.shrink_drawn === undefined).toBe(lines(drawn, "shrink").length === 0);
    }),
  );
});

test("a chip is drawn as the half-ellipse that its volume is reckoned with", () => {
  expect(area(cavityOf({ kind: "scoop", width: 34, depth: 11 }))).toBeCloseTo((Math.PI / 4) * 34 * 11, 0);
});

test("a lost corner stands on its broken face, its tip where the edges met", () => {
  const [left, right, tip] = cavityOf({ kind: "peak", width: 50, foot: 0.36, depth: 24 }) as [Point, Point, Point];
  expect(right[0] - left[0]).toBeCloseTo(50, 9);
  expect(Math.hypot(tip[0] - left[0], tip[1] - left[1])).toBeCloseTo(30, 9);
  expect(Math.hypot(tip[0] - right[0], tip[1] - right[1])).toBeCloseTo(40, 9);
});

test("what is built around a wire lies in rings, the wire inside with cover above and its root in sound material", () => {
  const profile: Profile = { kind: "peak", width: 12, foot: 0.5, depth: 30 };
  const core = { words: "wire Ø 2", diameter_mm: 2, embed_mm: 10, out_mm: 27 };
  const drawn = lossScene(cutOf(profile, 2, 0.4, { radial: true, core }));
  const [outer, inner] = shapes(drawn, "layer");
  expect([outer?.layer, inner?.layer]).toEqual([1, 0]);
  expect(area(outer?.points ?? [])).toBeGreaterThan(area(inner?.points ?? []));
  const rod = boundsOf({ shapes: shapes(drawn, "core"), lines: [] });
  expect(rod).toEqual({ left: -1, right: 1, bottom: -40, top: -3 });
  expect(boundsOf({ shapes: shapes(drawn, "ground"), lines: [] }).bottom).toBeLessThan(rod.bottom);
  expect(drawn.notes.map(({ bold, words }) => `${bold}${words}`)).toContain("wire Ø 2, 10 deep");
});

test("anchor holes lie under the broken face, a dam behind an open hole, a coat on the break, a trough in what stays soft", () => {
  const profile: Profile = { kind: "shaft", width: 20, depth: 8, through: true };
  const drawn = lossScene(cutOf(profile, 1, 0, { keyed: true, dam: "form", barrier: "coat on the break", trough: true }));
  expect(shapes(drawn, "slot").map(({ points }) => Math.min(...points.map(([, y]) => y)))).toEqual([-8.96, -8.96]);
  expect(boundsOf({ shapes: shapes(drawn, "board"), lines: [] }).top).toBeCloseTo(-8, 9);
  expect(lines(drawn, "barrier")).toHaveLength(1);
  const [trough] = lines(drawn, "proud");
  expect(trough?.points[0]?.[1]).toBeCloseTo(0, 9);
  expect(Math.min(...(trough?.points ?? []).map(([, y]) => y))).toBeLessThan(-1);
});

test("each layer has its dimension while they are few; many alike are said together", () => {
  const labels = (count: number) =>
    lossScene(cutOf({ kind: "shaft", width: 20, depth: 10, through: false }, count, 0)).spans.map(({ label }) => label);
  expect(labels(2)).toEqual(["20", "5", "5", "10"]);
  expect(labels(8)).toEqual(["20", "8 × 1.25", "10"]);
});

test("the scale is the largest that fits, and is said", () => {
  expect(fittingScale(34, 11, 34 * 5 * PX_PER_MM, 500)).toBe(5);
  expect(fittingScale(34, 11, 34 * 5 * PX_PER_MM - 1, 500)).toBe(4);
  expect(fittingScale(1000, 11, 400, 500)).toBe(1 / 10);
  expect([scaleLabel(5), scaleLabel(1.5), scaleLabel(1 / 3)]).toEqual(["5 : 1", "1.5 : 1", "1 : 3"]);
});
