import { type CoatFacts, coatDefectsOf } from "./coatDefects";
import { COAT_DEFECTS } from "./coatDefects.data";

const FINE: CoatFacts = {
  temp_C: 20,
  rh_pct: 50,
  reference_C: 20,
  min_C: 10,
  laid_mm: 0.1,
  planned_mm: 0.1,
  early: false,
  late: false,
  carrier: "ketone",
};
const seen = (defect: string, over: Partial<CoatFacts> = {}) =>
  coatDefectsOf({ ...FINE, ...over })
    .find((each) => each.defect === defect)
    ?.causes.filter((cause) => cause.seen)
    .map(({ text }) => text) ?? [];

test("of a coat laid as planned nothing on record speaks against it, and each defect still says what it may be and what to change", () => {
  const ways = coatDefectsOf(FINE);
  expect(ways.map(({ defect }) => defect)).toEqual(COAT_DEFECTS.map(({ defect }) => defect));
  for (const { causes, next } of ways) {
    expect(causes.some((cause) => cause.seen)).toBe(false);
    expect(causes.length).toBeGreaterThan(0);
    expect(next).toMatch(/\.$/);
  }
});

test.each<[string, Partial<CoatFacts>, RegExp]>([
  ["bloom", { rh_pct: 78 }, /78 % of water/],
  ["orange-peel", { temp_C: 29 }, /At 29 °C it dried before it flowed/],
  ["runs", { laid_mm: 0.16 }, /160 µm wet, 100 µm were planned/],
  ["too-light", { laid_mm: 0.06 }, /60 µm wet/],
  ["crazed", { early: true }, /before the coat under it was ready/],
  ["crazed", { late: true }, /window of the coat under it had closed/],
  ["still-tacky", { temp_C: 6 }, /Under 10 °C it does not dry/],
  ["still-tacky", { carrier: "water", rh_pct: 80 }, /80 % water leaves slowly/],
])("%s, %j: the record names it first", (defect, over, words) => {
  expect(seen(defect, over)[0]).toMatch(words);
});

test("what blooms is what cools as it dries: a coat thinned with water does not", () => {
  expect(seen("bloom", { carrier: "water", rh_pct: 90 })).toEqual([]);
});
