import fc from "fast-check";
import type { Solid } from "../survey/volume.schema";
import { profileOf } from "./profile";

const void_ = (solid: Solid, more: object = {}) => ({ name: "loss", kind: "void" as const, label: "Loss", solids: [solid], ...more });

const size = fc.double({ min: 0.1, max: 500, noNaN: true });
const solids: fc.Arbitrary<Solid> = fc.oneof(
  fc.record({ shape: fc.constant("box" as const), length: size, width: size, depth: size }),
  fc.record({ shape: fc.constant("edgeChip" as const), length: size, depth: size, thickness: size }),
  fc.record({ shape: fc.constant("corner" as const), a: size, b: size, c: size }),
  fc.record({ shape: fc.constant("sphericalCap" as const), diameter: size, height: size }),
  fc.record({ shape: fc.constant("vGroove" as const), length: size, width: size, depth: size }),
);

test("the cut of a filled place has a width and a depth that can be drawn", () => {
  fc.assert(
    fc.property(solids, (solid) => {
      const found = profileOf(void_(solid));
      expect(found && Number.isFinite(found.width) && found.width > 0 && Number.isFinite(found.depth) && found.depth > 0).toBe(true);
    }),
  );
});

test.each<[string, Solid, object, object]>([
  ["a shell", { shape: "edgeChip", length: 34, depth: 11, thickness: 6 }, {}, { kind: "scoop", width: 34, depth: 11 }],
  ["a wedge", { shape: "vGroove", length: 6, width: 34, depth: 11 }, {}, { kind: "groove", width: 34, depth: 11 }],
  [
    "a hole right through",
    { shape: "cylinder", diameter: 8, depth: 18 },
    { open_behind: true },
    { kind: "shaft", width: 8, depth: 18, through: true },
  ],
  ["a hairline, drawn as a hair", { shape: "box", length: 44, width: 0.02, depth: 44 }, {}, { width: 0.1, depth: 44 }],
  ["a dent", { shape: "sphericalCap", diameter: 20, height: 2 }, {}, { kind: "scoop", width: 20, depth: 2 }],
])("%s", (_, solid, more, expected) => {
  expect(profileOf(void_(solid, more))).toMatchObject(expected);
});

test("a corner of 3 : 4 has its foot at 9 : 16 of the broken edge, and its height over it is 12 / 5; faces are not cut", () => {
  const cut = profileOf(void_({ shape: "corner", a: 3, b: 4, c: 5 }));
  const across = 20 / Math.sqrt(41);
  expect(cut).toMatchObject({ kind: "peak", width: expect.closeTo(Math.hypot(3, across), 12) });
  // as deep as the corner is above its broken face: three volumes over the face
  expect(cut?.depth).toBeCloseTo(60 / Math.sqrt(12 ** 2 + 15 ** 2 + 20 ** 2), 12);
  expect(profileOf({ name: "faces", kind: "faces", label: "Faces" })).toBeUndefined();
});
