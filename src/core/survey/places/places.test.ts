import fc from "fast-check";
import { finishRow, substrateRow } from "../../catalogue";
import type { Damage } from "../measures.data";
import { volumeOf } from "../place";
import { damageAt } from "../survey.fixture";
import type { WayFacts } from "../wayRow";
import { placesOf, preselectedWay, wayRow } from "../ways";
import { tear } from "./tear";

const facts = (substrate: Parameters<typeof substrateRow>[0] = "stoneware"): WayFacts => ({
  piece: "other",
  on: substrateRow(substrate),
  finish: finishRow("none"),
  service: {},
  stance: "service",
  hollow: false,
  powders: false,
});
/** The places of a damage by one of its ways, or by the one taken unasked. */
const made = (damage: Damage, way?: string, on = facts()) =>
  placesOf((way && wayRow(damage.kind, way)) || preselectedWay(damage, on), damage, "d1", on);
const first = (damage: Damage, way?: string, on?: WayFacts) => {
  const [place] = made(damage, way, on);
  if (!place) throw new Error("no place");
  return place;
};

test("a chip is its half ellipse, its depth and its opening; a wedge half a block, a shell π/4 of it", () => {
  const chip = { kind: "chip", length_mm: 20, depth_mm: 10, thickness_mm: 5 } as const;
  expect(first(chip)).toMatchObject({ depth_mm: 10, opening_mm2: 100 });
  expect(volumeOf(first(chip))).toBeCloseTo(Math.PI / 4, 9);
  expect(volumeOf(first({ ...chip, shape: "straight" }))).toBeCloseTo(1, 9);
  expect(volumeOf(first({ ...chip, shape: "wedge" }))).toBeCloseTo(0.5, 9);
});

test("a corner is as deep as its tip stands over the broken face", () => {
  const corner = first({ kind: "corner", a_mm: 30, b_mm: 30, c_mm: 30 });
  expect(corner.depth_mm).toBeCloseTo(30 / Math.sqrt(3), 9);
  expect(volumeOf(corner)).toBeCloseTo(4.5, 9);
});

test("a tip is a cone, or blunt a frustum to half its base", () => {
  // cone: π/12 · 12² · 16 = 603.2 mm³; frustum to 6: π/12 · 16 · (144 + 72 + 36) = 1055.6 mm³
  expect(volumeOf(first({ kind: "tip", base_mm: 12, length_mm: 16 }))).toBeCloseTo(0.6032, 4);
  expect(volumeOf(first({ kind: "tip", base_mm: 12, length_mm: 16, shape: "blunt" }))).toBeCloseTo(1.0556, 4);
});

test("a hole is a cylinder, a dent a cap", () => {
  expect(volumeOf(first({ kind: "hole", diameter_mm: 6, depth_mm: 10, through: false }))).toBeCloseTo(0.2827, 4);
  // V = πh(3a² + h²)/6
  const dent = { kind: "dent", diameter_mm: 15, depth_mm: 1.2, broken: true } as const;
  expect(volumeOf(first(dent))).toBeCloseTo((Math.PI * 1.2 * (3 * 7.5 ** 2 + 1.2 ** 2)) / 6 / 1000, 9);
});

test("round sections are round: Ø 45 broken across is 15.9 cm² a face, with a slope an ellipse", () => {
  expect((first({ kind: "break-across", diameter_mm: 45 }, "bond").area_mm2 ?? 0) / 100).toBeCloseTo(15.904, 3);
  const slope = { kind: "break-along", slope_mm: 40, diameter_mm: 30 } as const;
  expect(first(slope, "bond").area_mm2).toBeCloseTo((Math.PI / 4) * 30 * 50, 6);
  expect(first({ kind: "break-along", slope_mm: 40, width_mm: 20, height_mm: 30 }, "bond").area_mm2).toBeCloseTo(20 * 50, 6);
});

test("a dowel holds all round, a tenon on both cheeks, a mitre by its face", () => {
  const loose = { kind: "loose-joint", depth_mm: 20, play_mm: 0, shoulder_mm: 0, wobble_mm: 0, closes_frame: false } as const;
  const area = (over: object) => first({ ...loose, ...over } as Damage, "reglue", facts("hardwood")).area_mm2;
  expect(area({ joint: "dowel", diameter_mm: 25 })).toBeCloseTo(Math.PI * 25 * 20, 6);
  expect(area({ joint: "tenon", width_mm: 30, height_mm: 10 })).toBeCloseTo(2 * 30 * 20, 6);
  expect(area({ joint: "mitre", width_mm: 30, height_mm: 10 })).toBeCloseTo(30 * 20, 6);
});

test("the mean gap counts in a volume, the widest in a bond", () => {
  const joins = first({ kind: "shards", shards: 5, break_length_mm: 310, thickness_mm: 2.4, gap_mm: 0.6 });
  expect(joins.film_mm).toBeCloseTo(0.3, 9);
  expect(joins.gap_mm).toEqual([0, 0.6]);
  expect(first({ kind: "shards", shards: 5, break_length_mm: 310, thickness_mm: 2.4 })).toMatchObject({ film_mm: 0.1, area_mm2: 744 });
});

test("a patch reaches past its tear by a tenth of its length, 15 mm at least", () => {
  const tear = { kind: "tear", thickness_mm: 1, lost_mm: 5, flap: false, tension: false } as const;
  expect(first({ ...tear, length_mm: 120 }, "back", facts("leather")).area_mm2).toBe(150 * 35);
  expect(first({ ...tear, length_mm: 200 }, "back", facts("leather")).area_mm2).toBe(240 * 45);
});

test("a larger damage never holds less", () => {
  const sizes = fc.tuple(fc.double({ min: 0.05, max: 0.45, noNaN: true }), fc.double({ min: 1, max: 2, noNaN: true }));
  fc.assert(
    fc.property(fc.constantFrom("chip" as const, "corner" as const, "hole" as const, "tip" as const), sizes, (kind, [share, grow]) => {
      const volume = (at: number) => volumeOf(first({ ...damageAt(kind, at), shape: undefined } as Damage));
      expect(volume(share * grow)).toBeGreaterThanOrEqual(volume(share));
    }),
  );
});

describe("two axes, two legs, through", () => {
  const cm3 = (damage: Damage, way: string) => volumeOf(first(damage, way));
  test("an oval hole is π/4 of its axes, an oval dent its cap drawn out across", () => {
    const hole = { kind: "hole", diameter_mm: 60, across_mm: 40, depth_mm: 5, through: false } as const;
    expect(cm3(hole, "fill")).toBeCloseTo(((Math.PI / 4) * 60 * 40 * 5) / 1000, 9);
    expect(cm3({ ...hole, across_mm: 60 }, "fill")).toBeCloseTo(
      cm3({ kind: "hole", diameter_mm: 60, depth_mm: 5, through: false }, "fill"),
      9,
    );
    // half of π · a · b · depth, a paraboloid, is within two in a hundred of it
    const dent = { kind: "dent", diameter_mm: 30, across_mm: 18, depth_mm: 2.5, broken: true } as const;
    expect(cm3(dent, "fill") / (((Math.PI / 2) * 15 * 9 * 2.5) / 1000)).toBeCloseTo(1, 1);
  });
  test("a crack that goes through is as wide at its foot, and open behind", () => {
    const crack = { kind: "crack", length_mm: 120, width_mm: 2, depth_mm: 6, closes: false } as const;
    expect(cm3({ ...crack, through: true }, "fill")).toBeCloseTo((120 * 2 * 6) / 1000, 9);
    expect(cm3({ ...crack, through: true }, "fill")).toBeCloseTo(2 * cm3(crack, "fill"), 9);
  });
  test("the strip of a tear runs along both its legs", () => {
    const strip = (leg_mm: number) =>
      tear({ kind: "tear", length_mm: 40, leg_mm, thickness_mm: 1, lost_mm: 2, flap: false, tension: false }).find(
        ({ name }) => name === "gap",
      );
    expect(strip(20)?.opening_mm2).toBe(120);
    expect(strip(0)?.opening_mm2).toBe(80);
  });
});
