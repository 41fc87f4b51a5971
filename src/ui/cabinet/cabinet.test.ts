import { rowsOf } from "@/core/views/cabinetRows";
import type { StockProduct } from "@/core/views/stock";
import { SORTS, shelvesOf } from "./columns";
import { EMPTY_LOT, lotForm, productForm, rangeWords, readLot, readProduct } from "./productForm";

const NOW = Date.parse("2026-10-07T12:00:00Z");
const lot = { id: "l", label: "1", size_g: 100, left_g: 40, version: 1 };
const product = (over: Partial<StockProduct> = {}): StockProduct => ({
  id: "p",
  class: "pva",
  name: "White glue",
  figures: {},
  version: 1,
  lots: [lot],
  ...over,
});

describe("a product as typed", () => {
  test("figures are one number or two; empty ones are left to the class", () => {
    const read = readProduct({ class: "epoxy-putty", name: " Tub ", figures: { working_min: "44-52", layer_mm: "4", shrinkage_pct: "" } });
    expect(read).toEqual({ ok: true, value: { class: "epoxy-putty", name: "Tub", figures: { working_min: [44, 52], layer_mm: [4, 4] } } });
  });

  test.each([
    [{ class: "", name: "x", figures: {} }, "class"],
    [{ class: "pva", name: "  ", figures: {} }, "name"],
    [{ class: "pva", name: "x", figures: { working_min: "soon" } }, "figures.working_min"],
    [{ class: "pva", name: "x", figures: { shrinkage_pct: "400" } }, "figures.shrinkage_pct"],
  ] as const)("%j is wrong at %s", (form, field) => {
    const read = readProduct(form);
    expect(read.ok ? [] : Object.keys(read.errors)).toEqual([field]);
  });

  test("what is on record comes back into the fields and reads the same again", () => {
    const own = product({ figures: { working_min: [5, 8], price_eur_kg: [9, 9] } });
    const read = readProduct(productForm(own));
    expect(read).toEqual({ ok: true, value: { class: "pva", name: "White glue", figures: own.figures } });
  });
});

describe("a jar as typed", () => {
  test("is full where nothing is said of what is left", () => {
    expect(readLot({ ...EMPTY_LOT, size_g: "120,5" })).toEqual({ ok: true, value: { label: "1", size_g: 120.5, left_g: 120.5 } });
  });

  test.each([
    [{ size_g: "" }, "size_g"],
    [{ size_g: "0" }, "size_g"],
    [{ size_g: "10", left_g: "-1" }, "left_g"],
    [{ size_g: "10", label: " " }, "label"],
    [{ size_g: "10", opened: "2026-05-01", expires: "2026-04-01" }, "expires"],
    [{ size_g: "10", price_eur: "dear" }, "price_eur"],
  ])("%j is wrong at %s", (over, field) => {
    const read = readLot({ ...EMPTY_LOT, ...over });
    expect(read.ok ? [] : Object.keys(read.errors)).toEqual([field]);
  });

  test("comes back into the fields and reads the same again", () => {
    const full = { ...lot, opened: "2026-01-02", expires: "2027-01-02", price_eur: 5.8 };
    const { id: _, version: __, ...value } = full;
    expect(readLot(lotForm(full))).toEqual({ ok: true, value });
  });
});

describe("the list", () => {
  const rows = rowsOf(
    [
      product(),
      product({
        id: "q",
        name: "Amber glue",
        class: "hide-glue",
        lots: [
          { ...lot, left_g: 90, expires: "2026-10-20", price_eur: 2 },
          { ...lot, id: "m", label: "2", left_g: 0, expires: "2026-10-01" },
        ],
      }),
      product({ id: "r", name: "Old tub", class: "epoxy-putty", lots: [{ ...lot, expires: "2026-10-01" }] }),
    ],
    [{ treatment: "t", piece: "Jar", role: "adhesive", class: "hide-glue", grams: 3 }],
    NOW,
  );
  const order = (key: keyof typeof SORTS) => [...rows].sort(SORTS[key]).map(({ product: { id } }) => id);

  test("counts what is left over all jars, and dates only those that hold something", () => {
    expect(rows[1]).toMatchObject({ left_g: 90, expires: "2026-10-20", days: 13, price_eur_kg: 20, wanted: [{ piece: "Jar" }] });
  });

  test("is sorted by any column; what has no date stands last", () => {
    expect([order("name"), order("expires"), order("left")]).toEqual([
      ["q", "r", "p"],
      ["r", "q", "p"],
      ["p", "r", "q"],
    ]);
  });

  test("says what has gone off and what goes off within weeks", () => {
    expect(rows.map(({ freshness }) => freshness)).toEqual(["good", "weeks", "gone"]);
  });

  test("offers the shelves on which something stands", () => {
    expect(shelvesOf(rows)).toEqual([
      ["adhesive", "Adhesives", 2],
      ["filler", "Fills", 1],
    ]);
  });
});

test("a range is two figures, or one where both are the same", () => {
  expect([rangeWords([30, 40]), rangeWords([35, 35]), rangeWords([0.85, 1])]).toEqual(["30-40", "35", "0.85-1"]);
});
