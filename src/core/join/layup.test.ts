import fc from "fast-check";
import { classRow } from "../catalogue";
import { check } from "../problem";
import { EventBody } from "../record/events.schema";
import { layup } from "./layup";
import { LAYUPS } from "./layup.data";

const PLACE = { length_mm: 120, width_mm: 80, missing_mm: 5.4 } as const;

test("5.4 mm missing is 6 layers of bandage of 1 mm, 150 × 110 mm with 15 mm all round, each 2.5 mm inside the one before", () => {
  const found = layup(PLACE, classRow("plaster-bandage"));
  expect(found?.size).toEqual({
    layers: 6,
    layer_mm: 1,
    thickness_mm: 6,
    length_mm: 150,
    width_mm: 110,
    margin_mm: 15,
    step_mm: 2.5,
    corner_mm: 7.5,
    sittings: 1,
  });
  expect(found?.reasons[0]).toBe("6 layers of 1 mm: 5.4 mm are missing.");
});

test("little missing still takes what carries; much of it goes on in sittings", () => {
  const thin = layup({ ...PLACE, missing_mm: 0.4 }, classRow("plaster-bandage"));
  expect(thin?.size.layers).toBe(4);
  expect(thin?.reasons[0]).toContain("fewer would not carry");
  // 11 mm of bandage, at most 8 at once
  expect(layup({ ...PLACE, missing_mm: 11 }, classRow("plaster-bandage"))?.size.sittings).toBe(2);
});

test("fabric under leather carries in one layer and rebuilds nothing; a pin is not laid up", () => {
  const found = layup(PLACE, classRow("backing-fabric"));
  expect(found?.size).toMatchObject({ layers: 1, step_mm: 0, sittings: 1 });
  expect(found?.reasons[0]).toContain("does not rebuild the 5.4 mm");
  expect(layup(PLACE, classRow("metal-pin"))).toBeUndefined();
});

const places = fc.record({
  length_mm: fc.double({ min: 1, max: 1000, noNaN: true }),
  width_mm: fc.double({ min: 1, max: 1000, noNaN: true }),
  missing_mm: fc.double({ min: 0, max: 50, noNaN: true }),
});

test.each(LAYUPS.map((row) => row.class))("%s: it replaces what is missing, and covers the place to its last layer", (name) => {
  const material = classRow(name);
  fc.assert(
    fc.property(places, (place) => {
      const found = layup(place, material);
      if (!found) throw new Error("no lay-up");
      const { layers = 0, layer_mm = 0, thickness_mm = 0, length_mm = 0, step_mm = 0, sittings = 0 } = found.size;
      const { builds } = LAYUPS.find((row) => row.class === name) ?? { builds: false };
      if (builds) expect(thickness_mm).toBeGreaterThanOrEqual(place.missing_mm - 1e-9);
      expect(thickness_mm / sittings).toBeLessThanOrEqual(material.max_layer_mm + 1e-9);
      expect(thickness_mm).toBeCloseTo(layers * layer_mm, 9);
      expect(length_mm - 2 * (layers - 1) * step_mm).toBeGreaterThan(place.length_mm);
    }),
  );
});

test("what was laid up may stand in the record", () => {
  const size = { ...layup(PLACE, classRow("plaster-bandage"))?.size };
  expect(check(EventBody, { kind: "braced", joint: "worn-thin", brace: "patch", size })).toEqual([]);
});
