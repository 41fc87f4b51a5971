import { rungGrain } from "./rungGrain";

test("a paper has its median grain, a compound the middle of its range, and what has neither none", () => {
  expect(rungGrain({ grade: { system: "P", grade: 180 } })).toMatchObject({ label: "P180", micron: 82 });
  const compound = rungGrain({ abrasive: "compound-medium" });
  expect(compound?.grade).toBeUndefined();
  expect(compound?.micron).toBeGreaterThan(1);
  expect(rungGrain({})).toBeUndefined();
});
