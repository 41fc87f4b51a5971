import fc from "fast-check";
import { boundsOf, type Scene } from "../units";
import type { BraceInput } from "./brace.schema";
import { type JointCut, jointScene } from "./jointSection";
import { sizeOf } from "./sizing";

const LEG: BraceInput = { joint: "break-across", material: "hardwood", section: { width_mm: 30, height_mm: 40 } };
const cut = (over: Partial<JointCut> = {}): JointCut => ({
  across_mm: 40,
  film_mm: 0.1,
  slope_mm: 0,
  hatch: "wood",
  glue: "hide glue",
  ...over,
});
const of = (scene: Scene, kind: string) => scene.shapes.filter((shape) => shape.kind === kind);
const words = (scene: Scene) => scene.notes.map(({ bold, words: rest }) => `${bold}${rest}`);

test("two parts meet with the film between them, the section as high as it was measured", () => {
  const scene = jointScene(cut({ film_mm: 2 }));
  const [left, right] = of(scene, "ground");
  expect(Math.max(...(left?.points ?? []).map(([x]) => x))).toBe(-1);
  expect(Math.min(...(right?.points ?? []).map(([x]) => x))).toBe(1);
  expect(boundsOf({ shapes: of(scene, "glue"), lines: [] })).toEqual({ left: -1, right: 1, bottom: -40, top: 0 });
  expect(scene.spans.map(({ label }) => label)).toEqual(["40"]);
  expect(words(scene)).toEqual(["film 2 of hide glue"]);
});

test("a dowel lies in the middle of its hole, as deep on both sides as it is bound to hold, with its walls measured", () => {
  const brace = sizeOf("dowel", LEG);
  const scene = jointScene(cut({ brace }));
  const { diameter_mm = 0, embed_mm = 0, hole_depth_mm = 0, wall_mm = 0 } = brace.size;
  const rod = boundsOf({ shapes: of(scene, "core"), lines: [] });
  expect([rod.left, rod.right]).toEqual([-embed_mm, embed_mm]);
  expect(rod.top - rod.bottom).toBeCloseTo(diameter_mm, 9);
  expect((rod.top + rod.bottom) / 2).toBeCloseTo(-20, 9);
  expect(boundsOf({ shapes: of(scene, "slot"), lines: [] }).right).toBe(hole_depth_mm);
  // the rod is sized by the narrow side of 30 mm, and drawn in the height of 40
  expect((40 - diameter_mm) / 2).toBeGreaterThanOrEqual(wall_mm);
  expect(scene.spans.filter(({ side }) => side === "bottom")).toHaveLength(2);
});

test("a spline is let in from behind and leaves its floor before the face", () => {
  const brace = sizeOf("spline", { ...LEG, section: { width_mm: 20, height_mm: 25 }, slope_length_mm: 50 });
  const scene = jointScene(cut({ across_mm: 25, slope_mm: 50, brace }));
  const spline = boundsOf({ shapes: of(scene, "core"), lines: [] });
  expect(spline.bottom).toBe(-25);
  expect(-spline.top).toBeCloseTo(brace.size.floor_mm ?? 0, 9);
  expect(spline.right - spline.left).toBeCloseTo(brace.size.length_mm ?? 0, 9);
  expect(words(scene)).toContain("slope 50 long");
});

test("a cleat lies behind, and whatever is let in lies inside the ground that is drawn", () => {
  const cleat = sizeOf("cleat", { joint: "crack", material: "hardwood", section: { width_mm: 200, height_mm: 4 }, crack_length_mm: 180 });
  const behind = boundsOf({ shapes: of(jointScene(cut({ across_mm: 4, brace: cleat })), "patch"), lines: [] });
  expect([behind.top, behind.bottom]).toEqual([-4, -6]);
  const section = fc.record({
    width_mm: fc.double({ min: 2, max: 120, noNaN: true }),
    height_mm: fc.double({ min: 2, max: 120, noNaN: true }),
  });
  fc.assert(
    fc.property(section, fc.constantFrom("dowel" as const, "pin" as const, "spline" as const), (sides, kind) => {
      const brace = sizeOf(kind, { ...LEG, section: sides });
      const scene = jointScene(cut({ across_mm: sides.height_mm, brace }));
      const ground = boundsOf({ shapes: of(scene, "ground"), lines: [] });
      const rods = of(scene, "core");
      expect(rods.length).toBe(brace.refused ? 0 : 1);
      for (const rod of rods) {
        const at = boundsOf({ shapes: [rod], lines: [] });
        expect([at.left > ground.left, at.right < ground.right, at.top <= 0, at.bottom >= ground.bottom - 1e-9]).toEqual([
          true,
          true,
          true,
          true,
        ]);
      }
    }),
  );
});
