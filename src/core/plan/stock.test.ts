import fc from "fast-check";
import { readLog } from "../record/treatment";
import { planOf } from "./plan";
import { daysUntil, expiryByClass, goingOff, jarsOf, needsOf, type StockLot, type StockProduct, wantedFrom } from "./stock";
import { coated, JAR, logOf, matched, mixed, NOON, surveyed, type Told } from "./story.fixture";

const lot = (over: Partial<StockLot> = {}): StockLot => ({ id: "lot", label: "1", size_g: 100, left_g: 80, version: 1, ...over });
const product = (over: Partial<StockProduct> = {}): StockProduct => ({
  id: "own",
  class: "epoxy-putty",
  name: "Tub",
  figures: {},
  version: 1,
  lots: [lot()],
  ...over,
});
const needs = (...told: Told[]) => {
  const treatment = readLog(logOf(...told));
  return needsOf({ id: "t", piece: "Jar" }, treatment, planOf(JAR, treatment));
};
const chosen: Told[] = [
  [90, surveyed()],
  [80, matched],
];

test("a jar is good until the end of its day", () => {
  expect([daysUntil("2026-10-07", NOON), daysUntil("2026-10-08", NOON), daysUntil("2026-10-06", NOON)]).toEqual([0, 1, -1]);
});

test("Match is offered what is left and good; of jars that are all off, what there is", () => {
  const jars = (lots: StockLot[]) => jarsOf([product({ lots })], NOON)[0];
  expect(jars([lot({ left_g: 30, expires: "2026-10-01" }), lot({ left_g: 50, expires: "2026-10-17" })])).toMatchObject({
    left_g: 50,
    days_left: 10,
  });
  expect(jars([lot({ left_g: 30, expires: "2026-10-01" })])).toMatchObject({ left_g: 30, days_left: -6 });
  expect(jars([lot({ left_g: 30, expires: "2026-10-17" }), lot({ left_g: 5 })])).not.toHaveProperty("days_left");
  expect(jars([lot({ left_g: 0 })])).toMatchObject({ left_g: 0 });
});

test("a treatment wants what is still to come: both layers, then one, then none; coats until they are laid", () => {
  const filler = (...told: Told[]) => needs(...chosen, ...told).find(({ role }) => role === "filler")?.grams ?? 0;
  const both = filler();
  expect(both).toBeGreaterThan(2);
  expect(filler([50, mixed(1)])).toBeCloseTo(both / 2, 9);
  expect(filler([50, mixed(1)], [40, mixed(2)])).toBe(0);
  const colour = (...told: Told[]) => needs(...chosen, ...told).filter(({ role }) => role === "colour").length;
  expect([colour(), colour([20, coated(1)], [10, coated(2)])]).toEqual([1, 0]);
  expect(needs(...chosen, [5, { kind: "closed", notes: "", signed_by: "M." }])).toEqual([]);
  expect(needs([9, surveyed()])).toEqual([]);
});

test("a jar that was named is wanted from that jar only", () => {
  const [named, any] = [
    { treatment: "a", piece: "A", role: "filler", class: "epoxy-putty", product: "own", grams: 3 },
    { treatment: "b", piece: "B", role: "filler", class: "epoxy-putty", grams: 2 },
  ] as const;
  expect(wantedFrom(product(), [named, any])).toEqual([named, any]);
  expect(wantedFrom(product({ id: "other" }), [named, any])).toEqual([any]);
  expect(wantedFrom(product({ class: "pva" }), [any])).toEqual([]);
});

test("what is wanted or keeps for months is not asked after", () => {
  const soon = product({ lots: [lot({ expires: "2026-10-30" })] });
  const want = [{ treatment: "a", piece: "A", role: "filler", class: "epoxy-putty", grams: 80 }] as const;
  expect(goingOff([soon], [], NOON)).toMatchObject([{ days: 23, over_g: 80 }]);
  expect(goingOff([soon], want, NOON)).toEqual([]);
  expect(goingOff([product({ lots: [lot({ expires: "2027-10-30" }), lot({ left_g: 0, expires: "2026-10-08" })] })], [], NOON)).toEqual([]);
});

test("never more goes to waste than is left, and it is worth what was paid for it", () => {
  fc.assert(
    fc.property(fc.double({ min: 0.1, max: 100, noNaN: true }), fc.double({ min: 0, max: 200, noNaN: true }), (left_g, grams) => {
      const [found] = goingOff(
        [product({ lots: [lot({ left_g, expires: "2026-10-20", price_eur: 10 })] })],
        [{ treatment: "a", piece: "A", role: "filler", class: "epoxy-putty", grams }],
        NOON,
      );
      expect(found?.over_g ?? 0).toBeLessThanOrEqual(left_g);
      if (found) expect(found.worth_eur).toBeCloseTo(found.over_g * 0.1, 9);
      else expect(grams).toBeGreaterThanOrEqual(left_g);
    }),
  );
});

test("a jar without a date goes off at the short end of its class", () => {
  expect(expiryByClass("epoxy-putty", "2026-01-10")).toBe("2027-01-10");
});
