import fc from "fast-check";
import { safetyWith } from "./brace";
import type { BraceInput } from "./brace.schema";
import { drillingOf } from "./drilling";
import { DRILL_SETS } from "./drills.data";
import { asSold } from "./rods";
import { RODS } from "./rods.data";
import { safeWall, sizeOf } from "./sizing";

const RAIL: BraceInput = {
  joint: "break-across",
  section: { width_mm: 32, height_mm: 44 },
  load_N: 250,
  lever_mm: 180,
  material: "hardwood",
};
const sold = (input: BraceInput, kind: "dowel" | "pin" | "wire" | "screw" | "spline", set: "metric" | "inch" = "metric") =>
  asSold(sizeOf(kind, input), input, set);

test("a third of 32 mm is 10.7: the dowel sold nearest is 10, set 25 mm deep in a hole of 10.2 with 10.9 mm of wall", () => {
  const { size, reasons } = sold(RAIL, "dowel");
  expect(size).toMatchObject({ diameter_mm: 10, embed_mm: 25, hole_mm: 10.2 });
  expect(size.wall_mm).toBeCloseTo((32 - 10.2) / 2, 9);
  expect(reasons[0]).toBe("Take 10 mm: sold nearest, 0.7 mm thinner; worked out are 10.7 mm.");
  expect(drillingOf(size, DRILL_SETS.metric).holes.at(-1)?.found?.drill.label).toBe("10.5 mm");
});

test("in inches it is 7/16, 11.1 mm, which half the section still takes", () => {
  expect(sold(RAIL, "dowel", "inch").size.diameter_mm).toBeCloseTo(11.1125, 9);
});

test("30 mm wide it is 10 mm, which is sold as it is", () => {
  expect(sold({ ...RAIL, section: { width_mm: 30, height_mm: 44 } }, "dowel").reasons[0]).toBe("Take 10 mm: as worked out, and sold.");
});

test("a thinner dowel carries less, and the figure says so", () => {
  const worked = sizeOf("dowel", RAIL);
  expect(safetyWith(sold(RAIL, "dowel"), RAIL)).toBeLessThan(safetyWith(worked, RAIL));
});

test("a spline is cut, not bought: it stays as it was; so does what does not fit", () => {
  expect(sold(RAIL, "spline")).toEqual(sizeOf("spline", RAIL));
  const thin: BraceInput = { ...RAIL, section: { width_mm: 5, height_mm: 5 } };
  expect(sold(thin, "dowel")).toMatchObject({ refused: true });
});

test("where nothing so thin is sold it says to file one down", () => {
  // 0.75 mm at most, and 1/32 in (0.79 mm) is the thinnest sold
  const stem: BraceInput = { joint: "build-up", section: { diameter_mm: 2.75 }, lever_mm: 8, material: "porcelain" };
  const wire = sizeOf("wire", { ...stem, section: { diameter_mm: 3.5 } });
  const found = asSold({ ...wire, size: { ...wire.size, most_mm: 0.6 } }, stem, "inch");
  expect(found.reasons[0]).toContain("None so thin is sold");
});

test.each(["dowel", "pin", "wire", "screw"] as const)(
  "%s: as sold it never breaks the safe wall, and its hole is wider than it",
  (kind) => {
    const sections = fc.record({
      width_mm: fc.double({ min: 3, max: 120, noNaN: true }),
      height_mm: fc.double({ min: 3, max: 120, noNaN: true }),
    });
    fc.assert(
      fc.property(
        sections,
        fc.constantFrom("metric" as const, "inch" as const),
        fc.constantFrom("hardwood", "porcelain", "gypsum"),
        (section, set, material) => {
          const input = { joint: "build-up", section, material } as BraceInput;
          const found = sold(input, kind, set);
          if (found.refused || !found.reasons[0]?.startsWith("Take ")) return;
          const { diameter_mm = 0, most_mm = 0, hole_mm = diameter_mm + 1 } = found.size;
          const across = Math.min(section.width_mm, section.height_mm);
          expect(RODS[kind]?.[set].some(({ mm }) => mm === diameter_mm)).toBe(true);
          expect(diameter_mm).toBeLessThanOrEqual(most_mm + 1e-9);
          expect((across - diameter_mm) / 2).toBeGreaterThanOrEqual(safeWall(across, input.material) - 1e-9);
          expect(hole_mm).toBeGreaterThan(diameter_mm);
        },
      ),
    );
  },
);
