import { jobInput, jobOf } from "./jobs.fixture";
import type { PlanInput } from "./plan.schema";
import { plan } from "./planCalc";

const CHIP = { kind: "chip", length_mm: 34, depth_mm: 11, thickness_mm: 6 } as const;
const jar = (over: Partial<PlanInput> = {}, damage: object = {}): PlanInput => ({
  piece: { kind: "vessel", parts: [{ id: "rim", substrate: "stoneware", finish: "glaze" }] },
  damages: [{ id: "d1", part: "rim", survey: { damage: CHIP, service: {} }, ...damage }],
  stance: "reversible",
  climate: { temp_C: 20, rh_pct: 50 },
  at: "2026-10-07T08:00:00+02:00",
  ...over,
});

describe("what is asked for must be there", () => {
  test.each<[string, PlanInput, RegExp]>([
    ["a part", jar({}, { part: "lid" }), /no such part/],
    ["a way", jar({}, { way: "steam" }), /no way to meet a chip/],
    ["a link for a choice", jar({}, { choose: [{ role: "adhesive", class: "pva" }] }), /takes no adhesive/],
    [
      "an operation",
      jar({ entries: [{ at: "2026-10-07T08:00:00Z", body: { kind: "done", op: "r1/fill/mix-9/epoxy-putty" } }] }),
      /no operation r1\/fill\/mix-9/,
    ],
    [
      "a place",
      jar({
        entries: [{ at: "2026-10-07T08:00:00Z", body: { kind: "round-opened", station: "fill", places: ["d1/handle"], because: "low" } }],
      }),
      /no place d1\/handle/,
    ],
  ])("%s that is not is told by name", (_, input, message) => {
    expect(() => plan(input)).toThrow(message);
  });

  test("two damages of one name are told apart or refused", () => {
    const [damage] = jar().damages;
    expect(() => plan(jar({ damages: damage ? [damage, damage] : [] }))).toThrow(/same id/);
  });
});

describe("what is taken by hand", () => {
  test("stands in the chain, at its place, with its figures", () => {
    const found = jobOf(jar({}, { choose: [{ role: "filler", class: "bulked-epoxy" }] }));
    expect(found.taken("d1/loss/filler")).toBe("bulked-epoxy");
    expect(found.op("fill/mix-1").class).toBe("bulked-epoxy");
  });

  test("against a rule it stands with its reason, is warned of, and its rule is minded where it is laid", () => {
    const outdoors = jar(
      {},
      {
        survey: { damage: CHIP, service: { wet: true } },
        choose: [{ role: "filler", class: "gypsum-plaster", because: "a trial for the class" }],
      },
    );
    const found = jobOf(outdoors);
    const link = found.links.find(({ role }) => role === "filler");
    expect(link).toMatchObject({ verdict: "refused", overridden: "a trial for the class" });
    expect(found.warnings).toContainEqual({
      code: "overridden",
      message: expect.stringContaining("d1/loss/filler is taken against the rules"),
    });
    const refused = link?.reasons.filter(({ effect }) => effect === "refuse").map(({ rule }) => rule) ?? [];
    expect(found.operations.flatMap(({ mind }) => mind.map(({ rule }) => rule))).toEqual(expect.arrayContaining(refused));
  });
});

describe("several damages", () => {
  const twice = (second: object = CHIP, part = "rim") =>
    jobOf(
      jar({
        piece: {
          kind: "vessel",
          parts: [
            { id: "rim", substrate: "stoneware", finish: "glaze" },
            { id: "lid", substrate: "hardwood", finish: "oil" },
          ],
        },
        damages: [
          { id: "d1", part: "rim", survey: { damage: CHIP, service: {} } },
          { id: "d2", part, survey: { damage: second as typeof CHIP, service: {} } },
        ],
      }),
    );

  test("of one material are filled from one mix of both, with the portion of each", () => {
    const one = jobOf(jar()).op("fill/mix-1").mass_g ?? 0;
    const both = twice();
    expect(both.all("fill/mix-1")).toHaveLength(1);
    const { portions = [], mass_g = 0 } = both.op("fill/mix-1");
    expect(portions.map(({ place }) => place)).toEqual(["d1/loss", "d2/loss"]);
    expect(mass_g).toBeGreaterThan(one * 1.5);
  });

  test("are photographed, masked and signed once, and each place is laid by itself", () => {
    const both = twice();
    for (const once of ["ready/photograph", "ready/mask", "close/sign"]) expect(both.all(once)).toHaveLength(1);
    expect(both.all("fill/place-1").map(({ places }) => places)).toEqual([["d1/loss"], ["d2/loss"]]);
  });

  test("of other stuff keep their own materials and their own way of cleaning", () => {
    const both = twice({ kind: "hole", diameter_mm: 6, depth_mm: 10, through: false }, "lid");
    expect(both.taken("d1/surface/topcoat")).not.toBe(both.taken("d2/surface/topcoat"));
    expect(both.all("ready/clean/")).toHaveLength(2);
  });
});

const PUTTY: PlanInput["damages"][number] = {
  id: "d1",
  part: "rim",
  survey: { damage: CHIP, service: {} },
  choose: [{ role: "filler", class: "epoxy-putty" }],
};

describe("marks", () => {
  const done = (op: string, at = "2026-10-07T07:00:00Z") => ({ at, body: { kind: "done", op } });

  test("done, left out, running, and open", () => {
    const found = jobOf(
      jar({
        damages: [PUTTY],
        entries: [
          done("r1/ready/photograph"),
          { at: "2026-10-07T07:01:00Z", body: { kind: "skipped", op: "r1/ready/clean/d1", reason: "clean" } },
          done("r1/fill/mix-1/epoxy-putty", "2026-10-07T05:50:00Z"),
        ],
        at: "2026-10-07T06:00:00Z",
      }),
    );
    expect(
      [found.op("ready/photograph"), found.op("ready/clean"), found.op("fill/mix-1"), found.op("ready/trim")].map(({ status }) => status),
    ).toEqual(["done", "skipped", "running", "open"]);
  });

  test("a clock that has run out is done", () => {
    const found = jobOf(jar({ damages: [PUTTY], entries: [done("r1/fill/mix-1/epoxy-putty", "2026-10-01T05:50:00Z")] }));
    expect(found.op("fill/mix-1").status).toBe("done");
  });
});

test("a measured low place is filled as deep as it was found, with the finer filler; a deep one with the fill itself", () => {
  const entry = (low_mm: number) => [
    { at: "2026-10-08T08:00:00Z", body: { kind: "round-opened", station: "fill", places: ["d1/loss"], because: "a low spot", low_mm } },
  ];
  const input = jobInput(5);
  const shallow = jobOf({ ...input, entries: entry(0.3) });
  expect(shallow.has("r2/fill/mix-1/fine-surfacer")).toBe(true);
  const deep = jobOf({ ...input, entries: entry(4) });
  expect(deep.has("r2/fill/mix-1/polyester-filler")).toBe(true);
});

test("the fewer degrees, the longer from first to last; moist air lengthens what dries", () => {
  const days = (climate: PlanInput["climate"], n = 9) => plan({ ...jobInput(n), climate }).elapsed_min[0];
  expect(days({ temp_C: 15, rh_pct: 50 }, 15)).toBeGreaterThan(days({ temp_C: 25, rh_pct: 50 }, 15));
  expect(days({ temp_C: 20, rh_pct: 75 })).toBeGreaterThan(days({ temp_C: 20, rh_pct: 40 }) * 1.5);
});

test("paper is part of the cost: a quarter of a sheet at least for every grit", () => {
  const { operations, cost_eur } = plan(jar());
  const grits = operations.filter(({ kind }) => kind === "grit");
  expect(grits.length).toBeGreaterThan(2);
  expect(cost_eur[0]).toBeGreaterThan(grits.length * 0.12);
  expect(cost_eur[1]).toBeGreaterThan(cost_eur[0]);
});
