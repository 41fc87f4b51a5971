import fc from "fast-check";
import { CLASS_ROWS, classRow } from "./classes";
import { FIGURE_ROWS, figureErrors, materialOf } from "./product";

const row = classRow("epoxy-putty");

test("a jar keeps its own name and figures, and its class's for the rest", () => {
  const own = materialOf("epoxy-putty", {
    name: "The blue tub",
    figures: { working_min: [48, 50], layer_mm: [6, 6], shrinkage_pct: [1, 1] },
  });
  expect([own.name, own.max_layer_mm, own.shrinkage_pct]).toEqual(["The blue tub", 6, [1, 1]]);
  expect(own.cure.stages.map(({ minutes }) => minutes)).toEqual([[48, 50], ...row.cure.stages.slice(1).map(({ minutes }) => minutes)]);
  expect({ ...own, name: row.name, max_layer_mm: 8, shrinkage_pct: row.shrinkage_pct, cure: row.cure }).toEqual(row);
});

test("the class itself is never changed", () => {
  materialOf("epoxy-putty", { name: "x", figures: { min_C: [20, 20] } });
  expect(classRow("epoxy-putty").cure.min_C).toBe(10);
  expect(materialOf("epoxy-putty")).toBe(row);
});

test("every figure that a class has can be read back as it was put", () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...CLASS_ROWS),
      fc.constantFrom(...FIGURE_ROWS),
      fc.double({ min: 0.6, max: 1.4, noNaN: true }),
      (material, { figure, of, put }, times) => {
        const published = of(material);
        if (published === undefined) return;
        const value = [published[0] * times, published[0] * times] as const;
        expect(of(put(material, value))).toEqual(value);
        expect(figure.length).toBeGreaterThan(3);
      },
    ),
  );
});

test("the published figures of every class are themselves accepted", () => {
  for (const material of CLASS_ROWS) {
    const figures = Object.fromEntries(FIGURE_ROWS.flatMap(({ figure, of }) => (of(material) ? [[figure, of(material)]] : [])));
    expect([material.class, figureErrors(material.class, figures)]).toEqual([material.class, {}]);
  }
});

test.each([
  [{ working_min: [50, 40] as const }, "working_min", "The low figure comes first."],
  [{ shrinkage_pct: [0, 120] as const }, "shrinkage_pct", "Enter 0 to 99 %."],
  [{ recoat_min: [10, 20] as const }, "recoat_min", "Next coat means nothing for epoxy putty: leave it empty."],
  [{ hard_min: [1, 2] as const }, "hard_min", "The stages must follow one another: working, firm, clamps off, hard, full."],
])("%j is refused at its field", (figures, field, message) => {
  expect(figureErrors("epoxy-putty", figures)).toEqual({ [field]: message });
});
