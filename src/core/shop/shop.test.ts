import { check } from "../problem";
import { wall } from "../units";
import { freshShop, isOpen } from "./shop";
import { ShopSchema, shopErrors } from "./shop.schema";
import { drillsHere, toolsOf } from "./tools";

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
  ["closed days that end before they begin", { closed: [{ from: "2026-12-24", to: "2026-12-01", because: "" }] }, "closed/0/to"],
  ["a paper that nobody makes", { papers: [{ system: "P", grade: 233 }] }, "papers/0"],
])("%s is said at its field", (_, over, field) => {
  expect(Object.keys(shopErrors({ ...shop, ...over }))).toEqual([field]);
});

test.each<[string, object, string]>([
  ["an hour that is none", { from: "24:00" }, "/from"],
  ["a scale that tells nothing apart", { scale_step_g: 0 }, "/scale_step_g"],
  ["a name of blanks", { people: ["  "] }, "/people/0"],
  ["a week without a working day", { days: [] }, "/days"],
  ["half a clamp", { clamps: 1.5 }, "/clamps"],
])("%s does not fit its form", (_, over, path) => {
  expect(check(ShopSchema, { ...shop, ...over }).map((error) => error.path)).toEqual([path]);
});

describe("whether someone is here", () => {
  const berlin = wall("Europe/Berlin");
  const kept = { ...shop, closed: [{ from: "2026-12-24", to: "2026-12-26", because: "fair" }] };
  test.each([
    ["a Wednesday morning", "2026-10-07T10:00", true],
    ["before the day begins", "2026-10-07T07:59", false],
    ["when it ends", "2026-10-07T18:00", false],
    ["a Sunday", "2026-10-11T10:00", false],
    ["the last closed day", "2026-12-25T10:00", false],
    ["the Monday after", "2026-12-28T10:00", true],
  ])("%s", (_, local, here) => {
    const [date = "", time = ""] = local.split("T");
    const at = berlin.moment(date, Number(time.slice(0, 2))) + Number(time.slice(3)) * 60_000;
    expect(isOpen(kept, at, berlin)).toBe(here);
  });
});

test("what a plan may count on: all drills where none is missing, all papers where none is marked", () => {
  expect(toolsOf(shop)).toEqual({ scale_step_g: 0.01, jig_mm: 12, bit_mm: 6 });
  const kept = { ...shop, units: "in" as const, drills_missing: ["1/8 in"], papers: [{ system: "P" as const, grade: 180 }] };
  expect(toolsOf(kept).grits).toEqual(kept.papers);
  expect(drillsHere(kept).map(({ label }) => label)).not.toContain("1/8 in");
  expect(toolsOf(kept).drills).toHaveLength(drillsHere({ ...kept, drills_missing: [] }).length - 1);
});
