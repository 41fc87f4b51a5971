import fc from "fast-check";
import { DAMAGE_KINDS, type DamageKind } from "../catalogue";
import { lossOf } from "../survey/loss";
import { type Damage, MEASURES, type Measure } from "../survey/measures.data";
import { profileOf } from "./profile";

function damageAt(kind: DamageKind, share: number): Damage {
  const value = (measure: Measure) => {
    if (measure.type === "yesno") return share > 0.5;
    if (measure.type === "choice") return measure.options[0]?.[0] ?? "";
    return measure.min + share * (measure.max - measure.min);
  };
  return { kind, ...Object.fromEntries(MEASURES[kind].map((row: Measure) => [row.name, value(row)])) } as Damage;
}

test.each(DAMAGE_KINDS)("the cut of %s has a width and a depth that can be drawn", (kind) => {
  fc.assert(
    fc.property(fc.double({ min: 0.02, max: 0.98, noNaN: true }), (share) => {
      const { width, depth } = profileOf(damageAt(kind, share));
      expect(Number.isFinite(width) && width > 0).toBe(true);
      expect(Number.isFinite(depth) && depth >= 0).toBe(true);
    }),
    { numRuns: 25 },
  );
});

test.each<[string, Damage, object]>([
  ["a shell", { kind: "chip", length_mm: 34, depth_mm: 11, thickness_mm: 6 }, { kind: "scoop", width: 34, depth: 11 }],
  ["a wedge", { kind: "chip", length_mm: 34, depth_mm: 11, thickness_mm: 6, shape: "wedge" }, { kind: "groove", width: 34, depth: 11 }],
  [
    "a straight notch",
    { kind: "chip", length_mm: 34, depth_mm: 11, thickness_mm: 6, shape: "straight" },
    { kind: "shaft", through: false },
  ],
  [
    "a hole right through",
    { kind: "hole", diameter_mm: 8, depth_mm: 18, through: true },
    { kind: "shaft", width: 8, depth: 18, through: true },
  ],
  [
    "an open break",
    { kind: "break-across", width_mm: 30, height_mm: 44, gap_mm: 1.5 },
    { kind: "shaft", width: 1.5, depth: 44, through: true },
  ],
  ["a closed break, drawn as a hairline", { kind: "break-across", width_mm: 30, height_mm: 44 }, { width: 0.1, depth: 44 }],
  [
    "a tear with a strip lost",
    { kind: "tear", length_mm: 64, thickness_mm: 1.6, lost_mm: 4, flap: false, tension: false },
    { width: 4, depth: 1.6 },
  ],
  ["a dent", { kind: "dent", diameter_mm: 20, depth_mm: 2, broken: true }, { kind: "scoop", width: 20, depth: 2 }],
])("%s", (_, damage, expected) => {
  expect(profileOf(damage)).toMatchObject(expected);
});

test("a corner of 3 : 4 has its foot at 9 : 16 of the broken edge, and its height over it is 12 / 5", () => {
  const profile = profileOf({ kind: "corner", a_mm: 3, b_mm: 4, c_mm: 5 });
  expect(profile).toEqual({ kind: "peak", width: 5, foot: 9 / 25, depth: 12 / 5 });
});

test("what is filled is as deep in the cut as in the reckoning", () => {
  for (const kind of ["chip", "hole", "dent", "scratch", "crack", "burn-through", "eroded"] as const) {
    const damage = damageAt(kind, 0.3);
    expect(profileOf(damage).depth).toBeCloseTo(lossOf(damage).depth_mm, 9);
  }
});
