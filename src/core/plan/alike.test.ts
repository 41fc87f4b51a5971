import fc from "fast-check";
import { jobOf } from "./jobs.fixture";
import type { PlanInput } from "./plan.schema";

const hole = (over: object = {}): PlanInput => ({
  piece: { kind: "furniture", parts: [{ id: "front", substrate: "hardwood", finish: "paint" }] },
  damages: [
    {
      id: "d1",
      part: "front",
      survey: { damage: { kind: "hole", diameter_mm: 5, depth_mm: 5, through: false, ...over }, service: {} } as never,
      choose: [{ role: "filler", class: "polyester-filler", because: "it is at hand" }],
    },
  ],
  stance: "service",
  climate: { temp_C: 20, rh_pct: 50 },
  at: "2026-10-07T09:00:00+02:00",
});

test("measures and places are for one, what is mixed is for all, and it is laid of one batch while it works", () => {
  const [one, seven] = [jobOf(hole()), jobOf(hole({ count: 7 }))];
  expect(seven.place("d1/loss").volume_cm3).toBe(one.place("d1/loss").volume_cm3);
  expect(seven.op("fill/mix-1")).toMatchObject({ batches: 1, count: 7 });
  expect(seven.op("fill/place-1").text).toContain("each of 7");
  expect(one.op("fill/mix-1").count).toBeUndefined();
});

test("so many alike take so many times one, of fill and of coats, in fewer hands than so many apart", () => {
  fc.assert(
    fc.property(fc.integer({ min: 2, max: 60 }), (count) => {
      const [one, many] = [jobOf(hole()), jobOf(hole({ count }))];
      for (const part of ["fill/mix-1", "fill/place-1", "level/prime-1"])
        expect(many.op(part).need_cm3).toBeCloseTo((one.op(part).need_cm3 ?? 0) * count, 9);
      const hands = ({ operations }: typeof one) => operations.reduce((sum, { hands_min }) => sum + hands_min[1], 0);
      expect(hands(many)).toBeGreaterThan(hands(one));
      expect(hands(many)).toBeLessThan(hands(one) * count);
    }),
    { numRuns: 20 },
  );
});

test("a round for one of eight takes what one takes", () => {
  const again = (over: object) =>
    jobOf({
      ...hole({ count: 8 }),
      entries: [
        {
          at: "2026-10-08T08:00:00Z",
          body: { kind: "round-opened", station: "fill", places: ["d1/loss"], because: "low", low_mm: 0.8, ...over },
        },
      ],
    }).op("r2/fill/mix-1");
  const [one, three] = [again({}), again({ count: 3 })];
  expect(three.need_cm3).toBeCloseTo((one.need_cm3 ?? 0) * 3, 9);
  // its whole opening times what it is low, what stands proud, what shrinks
  expect(one.need_cm3).toBeCloseTo(((Math.PI / 4) * 25 * 0.9) / 1000 / (1 - 0.02), 2);
});

test("where one of eight goes back, what is open does it too once it is as far; where all do, it comes again", () => {
  const input = hole({ count: 8 });
  const first = jobOf(input);
  const levelled = first.operations
    .filter(({ station }) => !["colour", "close"].includes(station))
    .map(({ id }) => ({ at: "2026-10-07T10:00:00Z", body: { kind: "done" as const, op: id } }));
  const again = (count: number) =>
    jobOf({
      ...input,
      entries: [
        ...levelled,
        {
          at: "2026-10-08T08:00:00Z",
          body: { kind: "round-opened", station: "fill", places: ["d1/loss"], because: "low", low_mm: 0.3, count },
        },
      ],
    });
  const [one, all] = [again(1), again(8)];
  expect(one.operations.filter(({ station }) => station === "colour").every(({ round }) => round === 1)).toBe(true);
  expect(one.op("r1/colour/under-1").mass_g).toBeCloseTo(first.op("r1/colour/under-1").mass_g ?? 0, 9);
  expect(one.inOrder("r2/fill/mix-1", "r2/level/rub-prime", "r1/colour/dust-off")).toBe(true);
  expect(all.operations.filter(({ station }) => station === "colour").every(({ round }) => round === 2)).toBe(true);
});

test("wherever the work stands when some go back, nothing waits for itself, and what waits stands behind what it waits for", () => {
  const input = hole({ count: 8, through: true });
  const { operations } = jobOf(input);
  fc.assert(
    fc.property(
      fc.nat(operations.length - 1),
      fc.constantFrom("fill", "level", "colour"),
      fc.integer({ min: 1, max: 8 }),
      fc.boolean(),
      (far, station, count, twice) => {
        const done = operations.slice(0, far).map(({ id }) => ({ at: "2026-10-07T10:00:00Z", body: { kind: "done" as const, op: id } }));
        const back = (hour: number) => ({
          at: `2026-10-08T0${hour}:00:00Z`,
          body: { kind: "round-opened" as const, station, places: ["d1/loss"], because: "low", low_mm: 0.3, count },
        });
        const found = jobOf({ ...input, entries: [...done, back(8), ...(twice ? [back(9)] : [])] }).operations;
        const order = new Map(found.map(({ id }, i) => [id, i]));
        for (const { id, after } of found)
          for (const { op } of after) expect([id, op, (order.get(op) ?? -1) < (order.get(id) ?? 0)]).toEqual([id, op, true]);
      },
    ),
    { numRuns: 80 },
  );
});

describe("lacquer now, to be painted", () => {
  const input = hole();
  const painted = jobOf({
    ...input,
    piece: { kind: "furniture", parts: [{ id: "front", substrate: "hardwood", finish: "lacquer", finish_to_be: "paint" }] },
  });
  test("nothing is masked or tried for what is painted over; it is flatted, and coated as paint", () => {
    expect(painted.has("ready/mask")).toBe(false);
    expect(painted.has("ready/test-spot")).toBe(false);
    expect(painted.inOrder("colour/flat-old", "level/prime-1", "level/rub-prime", "colour/dust-off", "colour/under-1")).toBe(true);
    expect(painted.op("colour/flat-old").text).toMatch(/old lacquer/);
    expect(painted.links.map(({ role }) => role)).toEqual(["filler", "levelling", "colour"]);
  });
  test("the same finish is no other one", () => {
    const same = jobOf({
      ...input,
      piece: { kind: "furniture", parts: [{ id: "front", substrate: "hardwood", finish: "paint", finish_to_be: "paint" }] },
    });
    expect(same.operations.map(({ id }) => id)).toEqual(jobOf(input).operations.map(({ id }) => id));
  });
});

describe("answers are heeded", () => {
  const asked = (finish: "paint" | "shellac", survey: object) => {
    const input = hole();
    const [damage] = input.damages;
    return jobOf({
      ...input,
      piece: { kind: "furniture", parts: [{ id: "front", substrate: "hardwood", finish }] },
      damages: [{ ...damage, survey: { ...damage?.survey, ...survey } } as never],
    });
  };
  test("no paint from before 1980, no lead test; unsaid, there is one", () => {
    expect(asked("paint", {}).has("lead-test")).toBe(true);
    expect(asked("paint", { limits: { lead: false } }).has("lead-test")).toBe(false);
    expect(asked("shellac", { limits: { lead: true } }).has("lead-test")).toBe(true);
  });
  test("a finish that need not survive is neither masked nor tried", () => {
    expect(asked("shellac", {}).has("ready/mask")).toBe(true);
    const gone = asked("shellac", { finish_survives: false });
    expect([gone.has("ready/mask"), gone.has("test-spot"), gone.has("unmask")]).toEqual([false, false, false]);
  });
});

test("beside one large place many small ones cost a share of their least, never of the large one's minutes", () => {
  const sanded = (count: number) => {
    const input = hole({ count });
    const large = { kind: "veneer-lost", length_mm: 300, width_mm: 100, thickness_mm: 0.8, swelling_mm: 0 } as never;
    const [first] = input.damages as [PlanInput["damages"][number]];
    const both = { ...input, damages: [first, { ...first, id: "d2", survey: { damage: large, service: {} } }] };
    return jobOf(both).op("level/grit-").hands_min;
  };
  fc.assert(
    fc.property(fc.integer({ min: 2, max: 20 }), (count) => {
      const [one, many] = [sanded(1), sanded(count)];
      expect(many[0]).toBeGreaterThanOrEqual(one[0]);
      // each further hole of 5 mm: at most what it would be by itself
      expect(many[1] - one[1]).toBeLessThanOrEqual(9 * (count - 1));
      expect(many[1]).toBeLessThan(one[1] * (1 + 0.3 * (count - 1)));
    }),
    { numRuns: 12 },
  );
});
