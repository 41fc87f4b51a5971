import { grainOf } from "../catalogue";
import { job } from "./jobs.fixture";
import { rungGrain } from "./rungGrain";

test.each([
  ["r1/level/grit-P180/d1", "P180", 82],
  ["r1/level/grit-P180-2/d1", "P180", 82],
  ["r1/level/grit-cloth 1500-3/d1", "cloth 1500", grainOf({ system: "cushioned", grade: 1500 })],
  ["r1/colour/flat-P1200/d1", "P1200", grainOf({ system: "P", grade: 1200 })],
  ["r1/level/compound-fine/d1", "Compound, fine", Math.sqrt(0.8 * 2)],
  ["r1/colour/gloss-compound/d1", "Compound, medium", Math.sqrt(3 * 6)],
])("%s works with %s", (id, label, micron) => {
  expect(rungGrain(id)).toMatchObject({ label, micron: expect.closeTo(micron ?? 0, 9) });
});

test("what sands nothing has no grain", () => {
  for (const id of ["r1/level/file/d1", "r1/level/burnish/d1", "r1/colour/cut-1/d1", "r1/fill/mix-1/epoxy-putty"])
    expect(rungGrain(id)).toBeUndefined();
});

test("every grit that the jobs plan can be read again from its id", () => {
  for (let number = 1; number <= 15; number++)
    for (const { id, kind, station } of job(number).operations)
      if (kind === "grit" && station === "level" && !id.includes("rub-prime"))
        expect([id, rungGrain(id)?.grade !== undefined]).toEqual([id, true]);
});
