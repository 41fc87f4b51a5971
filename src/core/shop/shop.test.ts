import { check } from "../problem";
import { freshShop, ShopSchema, shopErrors } from "./shop.schema";

const shop = freshShop("Haldenau Fairground Collection", "Europe/Berlin");

test("a shop that nobody has written in yet can be kept as it is", () => {
  expect(check(ShopSchema, shop)).toEqual([]);
  expect(shopErrors(shop)).toEqual({});
});

test.each<[string, object, string]>([
  ["a day that ends before it begins", { from: "18:00", to: "08:00" }, "to"],
  ["a day without an hour in it", { from: "08:00", to: "08:00" }, "to"],
  ["a zone that is none", { time_zone: "Haldenau" }, "time_zone"],
  ["two of one name", { people: ["Mina", " mina "] }, "people"],
])("%s is said at its field", (_, over, field) => {
  expect(Object.keys(shopErrors({ ...shop, ...over }))).toEqual([field]);
});

test.each<[string, object, string]>([
  ["an hour that is none", { from: "24:00" }, "/from"],
  ["a scale that tells nothing apart", { scale_step_g: 0 }, "/scale_step_g"],
  ["a name of blanks", { people: ["  "] }, "/people/0"],
])("%s does not fit its form", (_, over, path) => {
  expect(check(ShopSchema, { ...shop, ...over }).map((error) => error.path)).toEqual([path]);
});
