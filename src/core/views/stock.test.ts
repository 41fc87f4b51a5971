import fc from "fast-check";
import { classRow, middle } from "../catalogue";
import type { Need } from "./needs";
import { daysUntil, expiryByClass, goingOff, jarsFor, jarsOf, type StockLot, type StockProduct, shelfOf, wantedFrom } from "./stock";

const NOW = Date.parse("2026-10-07T12:00:00Z");

const lot = (id: string, over: Partial<StockLot> = {}): StockLot => ({ id, label: id, size_g: 100, left_g: 60, version: 1, ...over });
const product = (id: string, lots: readonly StockLot[], over: Partial<StockProduct> = {}): StockProduct => ({
  id,
  class: "epoxy-putty",
  name: `Putty ${id}`,
  figures: {},
  version: 1,
  lots,
  ...over,
});
const need = (grams: number, over: Partial<Need> = {}): Need => ({
  treatment: "t",
  piece: "Prize dish",
  role: "filler",
  class: "epoxy-putty",
  grams,
  ...over,
});

describe("days until a date has passed", () => {
  test.each([
    ["2026-10-07", 0, "it lasts to the end of its day"],
    ["2026-10-08", 1, "tomorrow"],
    ["2026-10-06", -1, "yesterday"],
    ["2027-10-07", 365, "in a year"],
  ])("%s is %d: %s", (date, days) => {
    expect(daysUntil(date, NOW)).toBe(days);
  });
});

describe("what a mix may be taken from", () => {
  const stock = [
    product("a", [lot("a-late", { expires: "2027-03-01" }), lot("a-gone", { expires: "2026-09-01" }), lot("a-empty", { left_g: 0 })]),
    product("b", [lot("b-soon", { expires: "2026-11-01" }), lot("b-endless")]),
    product("c", [lot("c")], { class: "pva" }),
  ];

  test("jars of the class that hold something and have not gone off; what goes off first first", () => {
    expect(jarsFor(stock, { class: "epoxy-putty" }, NOW).map(({ lot_id }) => lot_id)).toEqual(["b-soon", "a-late", "b-endless"]);
  });

  test("those of the product that was chosen before all others", () => {
    expect(jarsFor(stock, { class: "epoxy-putty", product: "a" }, NOW).map(({ lot_id }) => lot_id)).toEqual([
      "a-late",
      "b-soon",
      "b-endless",
    ]);
  });

  test("none of a class that does not stand there", () => {
    expect(jarsFor(stock, { class: "urea-resin" }, NOW)).toEqual([]);
  });
});

describe("the cabinet as Match weighs it", () => {
  test("grams are those that are still good, and last as long as the freshest", () => {
    const [jar] = jarsOf(
      [
        product("a", [
          lot("x", { expires: "2026-10-17", left_g: 20 }),
          lot("y", { expires: "2026-10-27", left_g: 30 }),
          lot("z", { expires: "2026-01-01" }),
        ]),
      ],
      NOW,
    );
    expect(jar).toMatchObject({ left_g: 50, days_left: 20 });
  });

  test("what has gone off alone is still said, with days that have passed", () => {
    const [jar] = jarsOf([product("a", [lot("z", { expires: "2026-10-01" })])], NOW);
    expect(jar?.left_g).toBe(60);
    expect(jar?.days_left).toBeLessThan(0);
  });

  test("one jar without a date lasts for ever", () => {
    expect(jarsOf([product("a", [lot("x", { expires: "2026-10-17" }), lot("y")])], NOW)[0]).not.toHaveProperty("days_left");
  });

  test("an empty cabinet is none", () => {
    expect(shelfOf([], {}, NOW)).toBeUndefined();
    expect(shelfOf([product("a", [])], {}, NOW)?.jars).toHaveLength(1);
  });
});

describe("what goes off before it is used", () => {
  const soon = lot("s", { expires: "2026-11-01", price_eur: 20 });

  test("is worth its share of its own price: 60 of 100 g that cost 20 €", () => {
    const [found] = goingOff([product("a", [soon])], [], NOW);
    expect(found).toMatchObject({ days: 25, over_g: 60 });
    expect(found?.worth_eur).toBeCloseTo(12, 9);
  });

  test("without a price of its own, the middle of its class", () => {
    const { price_eur: _, ...unpriced } = soon;
    const [found] = goingOff([product("a", [unpriced])], [], NOW);
    expect(found?.worth_eur).toBeCloseTo((60 * middle(classRow("epoxy-putty").price_eur_kg)) / 1000, 9);
  });

  test("what open treatments still take is not lost; where they take all, nothing is said", () => {
    expect(goingOff([product("a", [soon])], [need(45)], NOW)[0]).toMatchObject({ over_g: 15 });
    expect(goingOff([product("a", [soon])], [need(45), need(15)], NOW)).toEqual([]);
  });

  test("sixty days ahead, not sixty-one; what goes first stands first", () => {
    const all = [lot("far", { expires: "2026-12-07" }), lot("edge", { expires: "2026-12-06" }), lot("near", { expires: "2026-10-09" })];
    expect(goingOff([product("a", all)], [], NOW).map(({ lot: { id } }) => id)).toEqual(["near", "edge"]);
  });

  test("what was used up or never goes off is not asked after", () => {
    expect(goingOff([product("a", [lot("e", { left_g: 0, expires: "2026-10-08" }), lot("n")])], [], NOW)).toEqual([]);
  });

  test("more need never leaves more to lose", () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 200, noNaN: true }), fc.double({ min: 0, max: 200, noNaN: true }), (a, b) => {
        const lost = (grams: number) => goingOff([product("a", [soon])], [need(grams)], NOW)[0]?.over_g ?? 0;
        expect(lost(a + b)).toBeLessThanOrEqual(lost(a) + 1e-9);
      }),
    );
  });
});

test("a need that named a jar wants that one; one that named none wants any of its class", () => {
  const all = [need(1), need(2, { product: "a" }), need(3, { product: "b" }), need(4, { class: "pva" })];
  expect(wantedFrom({ id: "a", class: "epoxy-putty" }, all).map(({ grams }) => grams)).toEqual([1, 2]);
});

test("a jar that is opened lasts the short end of what its class lasts", () => {
  const [months] = classRow("epoxy-putty").shelf_months;
  const days = (Date.parse(expiryByClass("epoxy-putty", "2026-10-07")) - Date.parse("2026-10-07")) / 86_400_000;
  expect(days).toBe(Math.round(months * 30.4));
});
