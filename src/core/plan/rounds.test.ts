import fc from "fast-check";
import { jobInput, jobOf } from "./jobs.fixture";
import type { Operation, PlanInput } from "./plan.schema";
import { plan, planned } from "./planCalc";

const LATER = "2026-12-24T08:00:00+01:00";
const opened = (places: readonly string[], over: object = {}, station = "fill") => ({
  at: LATER,
  body: { kind: "round-opened", station, places: [...places], because: "low", ...over },
});

/** Jobs in which something is filled out of a cup, with what is filled. */
const FILLED = Array.from({ length: 15 }, (_, i) => jobInput(i + 1)).flatMap((input) => {
  const { places, operations } = planned(input);
  const voids = places.filter(
    ({ id, kind }) => kind === "void" && operations.some(({ name, places: of }) => name === "mix" && of.includes(id)),
  );
  return voids.map((place) => ({ input, place, operations }));
});

/** By its number, so that a failure names it in a word. */
const filled = fc.nat(FILLED.length - 1);
const at = (n: number) => FILLED[n] as (typeof FILLED)[number];

const round = (operations: readonly Operation[], n = 2) => operations.filter((each) => each.round === n);
const SETTING_UP = ["form", "set-form", "release", "dam", "off-dam", "demould", "top-up", "set-anchors", "fit-brace"];

test("a round takes what was found: its depth over the whole opening, no form, no dam, no second pour", () => {
  fc.assert(
    fc.property(filled, fc.double({ min: 0.1, max: 2, noNaN: true }), (n, low_mm) => {
      const { input, place } = at(n);
      const again = plan({ ...input, entries: [opened([place.id], { low_mm })] });
      const second = round(again.operations);
      const names = second.map(({ name }) => name);
      expect(names.filter((name) => SETTING_UP.includes(name))).toEqual([]);
      const mixes = second.filter(({ name }) => name === "mix");
      const need = mixes.reduce((sum, { need_cm3 = 0 }) => sum + need_cm3, 0);
      const whole = ((place.opening_mm2 ?? 0) * low_mm) / 1000;
      expect(need).toBeGreaterThan(whole * 0.8);
      expect(need).toBeLessThan(((place.opening_mm2 ?? 0) * (low_mm + 0.5) * 1.4) / 1000);
      expect(mixes.map(({ text }) => text).join()).not.toMatch(/\b0\.00 g/);
    }),
    { numRuns: 60 },
  );
});

test("a hair is one push: of finer filler where that takes it up and fits, else of the fill itself", () => {
  for (const { input, place } of FILLED)
    for (const low_mm of [0.2, 0.3]) {
      const mixes = round(plan({ ...input, entries: [opened([place.id], { low_mm })] }).operations).filter(({ name }) => name === "mix");
      expect([place.id, mixes.length]).toEqual([place.id, 1]);
    }
});

test("only its own places come again, and nothing of them that stood behind is open twice", () => {
  fc.assert(
    fc.property(filled, fc.constantFrom("fill", "level", "colour"), (n, station) => {
      const { input, place, operations } = at(n);
      const again = plan({ ...input, entries: [opened([place.id], {}, station)] });
      const behind = ["level", "colour"].slice(station === "colour" ? 1 : 0);
      const surface = again.places.filter(({ damage, kind }) => damage === place.damage && kind === "surface").map(({ id }) => id);
      const mine = [place.id, ...surface];
      const twice = again.operations.filter(
        ({ round: n, station: at, places }) =>
          n === 1 && at !== station && behind.includes(at) && places.some((each) => mine.includes(each)),
      );
      expect(twice.map(({ id }) => id)).toEqual([]);
      const others = operations.filter(({ places }) => places.every((each) => !mine.includes(each)));
      const kept = new Set(again.operations.map(({ id }) => id));
      expect(others.filter(({ id }) => !kept.has(id)).map(({ id }) => id)).toEqual([]);
    }),
    { numRuns: 60 },
  );
});

describe("what lies on a place comes off it first", () => {
  const input = jobInput(5);
  const { operations } = plan(input);
  const done = (upTo: (operation: Operation) => boolean): NonNullable<PlanInput["entries"]> => {
    const last = operations.findLastIndex(upTo);
    return operations.slice(0, last + 1).map(({ id }) => ({ at: "2026-12-20T08:00:00+01:00", body: { kind: "done", op: id } }));
  };
  const coated = done(({ station }) => station === "colour");
  const bare = done(({ station }) => station === "level");

  test("low under colour: the coats come off before it is filled, and the sample that was tried is not tried again", () => {
    const found = jobOf({ ...input, entries: [...coated, opened(["d1/loss"], { low_mm: 0.5 })] });
    expect(found.inOrder("r2/fill/strip-coats", "r2/fill/mix-1", "r2/level/", "r2/colour/")).toBe(true);
    expect(found.has("r2/colour/sample")).toBe(false);
  });

  test("wrong in its colour: the clear comes off, never colour over it; what is bare has nothing to come off", () => {
    const shellac = jobInput(1);
    const laid = plan(shellac).operations.map(({ id }) => ({ at: "2026-12-20T08:00:00+01:00", body: { kind: "done", op: id } }));
    const found = jobOf({ ...shellac, entries: [...laid, opened(["d1"], {}, "colour")] });
    expect(found.op("r2/colour/flat-coats").text).toMatch(/clear/);
    expect(jobOf({ ...input, entries: [...bare, opened(["d1/loss"])] }).has("strip-coats")).toBe(false);
  });
});

test("the stuff that is asked for is taken and judged", () => {
  const found = jobOf({ ...jobInput(5), entries: [opened(["d1/loss"], { low_mm: 0.3, filler: "epoxy-putty" })] });
  expect(found.op("r2/fill/mix-1").class).toBe("epoxy-putty");
  expect(() => plan({ ...jobInput(5), entries: [opened(["d1/loss"], { filler: "pva" })] })).not.toThrow();
});
