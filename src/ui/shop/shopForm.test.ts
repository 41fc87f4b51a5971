import { freshShop } from "@/core/shop/shop";
import type { Shop } from "@/core/shop/shop.schema";
import { turnedSince } from "../frame/Tones";
import { readShop, shopFields, toggled } from "./shopForm";

const shop: Shop = {
  ...freshShop("Haldenau Fairground Collection", "Europe/Berlin"),
  people: ["Mina", "Jonas"],
  closed: [{ from: "2026-12-24", to: "2026-12-26", because: "the fair" }],
  papers: [{ system: "P", grade: 180 }],
  drills_missing: ["3 mm"],
  clamps: 14,
  sounds: true,
};

test("what is kept comes back into the fields and reads the same again", () => {
  expect(readShop(shopFields(shop))).toEqual({ ok: true, value: shop });
  expect(readShop(shopFields({ ...shop, clamps: 0 }))).toEqual({ ok: true, value: { ...shop, clamps: 0 } });
});

test("lines that nothing was typed in are left out; half of one asks for the rest", () => {
  const fields = shopFields(shop);
  const empty = { ...fields, people: [...fields.people, { called: "  " }], closed: [{ from: "", to: "", because: "" }] };
  expect(readShop(empty)).toEqual({ ok: true, value: { ...shop, closed: [] } });
  const half = readShop({ ...fields, closed: [{ from: "2026-12-24", to: "", because: "" }] });
  expect(half).toEqual({ ok: false, errors: { "closed.0.to": "Enter a day." } });
});

test.each([
  [{ scale_step_g: "fine" }, "scale_step_g"],
  [{ jig_mm: "" }, "jig_mm"],
  [{ bit_mm: "6 mm?" }, "bit_mm"],
  [{ clamps: "some" }, "clamps"],
  [{ days: [] }, "days"],
])("%j is wrong at %s", (over, field) => {
  const read = readShop({ ...shopFields(shop), ...over });
  expect(read.ok ? [] : Object.keys(read.errors)).toEqual([field]);
});

test("a press puts one in, and takes it out again", () => {
  expect(toggled(["a"], "b")).toEqual(["a", "b"]);
  expect(toggled(["a", "b"], "a")).toEqual(["b"]);
  expect(toggled([{ n: 1 }], { n: 1 }, (a, b) => a.n === b.n)).toEqual([]);
});

test("a tone is for what has turned: what is new on the Shelf, or as it was, is no news", () => {
  const before = new Map([
    ["jar", "off"],
    ["hare", "go"],
  ] as const);
  const now = new Map([
    ["jar", "go"],
    ["hare", "go"],
    ["lid", "soon"],
  ] as const);
  expect(turnedSince(before, now)).toEqual(["go"]);
  expect(turnedSince(now, now)).toEqual([]);
});
