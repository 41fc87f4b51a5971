import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import { CALCULATIONS, calc } from "./calc";
import { calcPaths } from "./openapi";
import { check } from "./problem";

const flat = (value: number) => Array.from({ length: 31 }, () => value);

const GOOD: Record<keyof typeof CALCULATIONS, object> = {
  volume: { solids: [{ shape: "box", length: 1, width: 2, depth: 3 }] },
  mix: { need_g: 5, parts: [{ name: "A", ratio: 1, density: 1 }], ratio_by: "mass" },
  rescue: {
    parts: [
      { name: "A", ratio: 1, poured_g: 1 },
      { name: "B", ratio: 1, poured_g: 2 },
    ],
    tolerance_pct: 5,
  },
  layers: { depth_mm: 6, max_layer_mm: 4, shrinkage_pct: 1, proud_mm: 0.5 },
  cure: {
    stages: [{ name: "hard", minutes: 60 }],
    reference_C: 20,
    model: { kind: "q10", q10: 2 },
    start: "2026-10-07T12:00:00+02:00",
    climate: { constant_C: 18 },
  },
  calibrate: { observations: [{ predicted_min: 100, seen_min: 140, sense: "soft" }] },
  ladder: { from: { system: "P", grade: 80 }, to: { system: "P", grade: 240 } },
  match: { substrate: "stoneware", damage: { kind: "chip", depth_mm: 6, length_mm: 34 }, service: {}, stance: "service" },
  brace: { joint: "butt", section: { diameter_mm: 20 }, load_N: 20, lever_mm: 100, material: "hardwood" },
  film: { existing_um: 120, coats: [{ wet_um: 100, solids_pct: 40, count: 2 }], cuts: [{ um: 5 }], safe_um: 60 },
  deltaE: { a: { L: 50, a: 2.5, b: 0 }, b: { L: 50, a: 0, b: -2.5 } },
  colour: {
    pigments: [
      { name: "white", r: flat(0.9) },
      { name: "black", r: flat(0.04) },
    ],
    target: { lab: { L: 50, a: 0, b: 0 } },
  },
  tint: { base: { r: flat(0.6) }, colorant: { name: "brown", absorbance_per_um: flat(0.01) }, film_um: 20, coats: 3, pct: 10 },
  schedule: {
    calendar: { days: [1, 2, 3, 4, 5], from: "08:00", to: "17:00", timezone: "Europe/Berlin" },
    start: "2026-10-07T08:00:00+02:00",
    tasks: [{ id: "fill", object: "jar", hands_min: 20, wait_min: 60 }],
  },
  plan: JSON.parse(readFileSync(path.join(__dirname, "../../docs/jobs/02-organ-pipe-front.json"), "utf8")),
};
const names = Object.keys(GOOD) as (keyof typeof CALCULATIONS)[];

describe.each(names)("%s", (name) => {
  test("answers with basis and warnings, in the form its schema promises", () => {
    const outcome = calc(name, GOOD[name]);
    expect(outcome.ok && check(CALCULATIONS[name].result, outcome.result)).toEqual([]);
    expect(outcome).toMatchObject({
      ok: true,
      result: { basis: { formula: expect.any(String), source: expect.any(String) }, warnings: expect.any(Array) },
    });
  });

  test.each([null, 5, "text", [], {}])("refuses %j", (input) => {
    expect(calc(name, input)).toMatchObject({ ok: false, problem: { status: 422, errors: expect.any(Array) } });
  });

  test("refuses an unknown field, at its path", () => {
    const outcome = calc(name, { ...GOOD[name], sparkle: 1 });
    expect(outcome).toMatchObject({
      ok: false,
      problem: { errors: expect.arrayContaining([{ path: "/sparkle", message: "is not a known field" }]) },
    });
  });
});

const errorsOf = (name: string, input: unknown) => {
  const outcome = calc(name, input);
  return outcome.ok ? [] : (outcome.problem.errors ?? []);
};

test.each<[string, unknown, string, RegExp]>([
  ["volume", { solids: [] }, "/solids", /at least 1/],
  ["volume", { solids: [{ shape: "box", length: -1, width: 1, depth: 1 }] }, "/solids/0/length", /above 0/],
  ["volume", { solids: [{ shape: "box", length: Number.NaN, width: 1, depth: 1 }] }, "/solids/0/length", /number/],
  ["volume", { solids: [{ shape: "box", length: Number.POSITIVE_INFINITY, width: 1, depth: 1 }] }, "/solids/0/length", /./],
  ["volume", { solids: [{ shape: "blob" }] }, "/solids/0", /known “shape”/],
  ["volume", { solids: [{ shape: "box", length: 1, width: 1 }] }, "/solids/0/depth", /missing/],
  ["mix", { need_g: 1, need_cm3: 1, parts: [{ name: "A", ratio: 1, density: 1 }], ratio_by: "mass" }, "", /exactly one/],
  ["mix", { need_g: 1, parts: [{ name: "A", ratio: 0, density: 1 }], ratio_by: "mass" }, "/parts/0/ratio", /above 0/],
  ["mix", { need_g: 1, parts: [], ratio_by: "mass" }, "/parts", /at least 1/],
  ["mix", { need_g: 1, parts: [{ name: "A", ratio: 1, density: 1 }], ratio_by: "eye" }, "/ratio_by", /one of mass, volume/],
  [
    "rescue",
    {
      parts: [
        { name: "A", ratio: 1, poured_g: -1 },
        { name: "B", ratio: 1, poured_g: 1 },
      ],
      tolerance_pct: 5,
    },
    "/parts/0/poured_g",
    /0 or more/,
  ],
  [
    "rescue",
    {
      parts: [
        { name: "A", ratio: 1, poured_g: 0 },
        { name: "B", ratio: 1, poured_g: 0 },
      ],
      tolerance_pct: 5,
    },
    "",
    /poured/,
  ],
  ["layers", { depth_mm: 6, max_layer_mm: 4, shrinkage_pct: 100, proud_mm: 0 }, "/shrinkage_pct", /below 100/],
  ["cure", { ...GOOD.cure, start: "yesterday" }, "/start", /offset/],
  ["cure", { ...GOOD.cure, climate: {} }, "/climate", /exactly one/],
  ["cure", { ...GOOD.cure, climate: { samples: [] } }, "/climate/samples", /at least 1/],
  ["cure", { ...GOOD.cure, model: { kind: "guess" } }, "/model", /known “kind”/],
  ["ladder", { from: { system: "P", grade: 80 }, to: { system: "P", grade: 81 } }, "", /does not exist/],
  ["ladder", { from: { system: "Q", grade: 80 }, to: { system: "P", grade: 120 } }, "/from/system", /one of/],
  ["ladder", { from: { system: "P", grade: 80 }, to: { system: "P", grade: 120 }, stock: [] }, "/stock", /at least 1/],
  ["match", { ...GOOD.match, substrate: "cheese" }, "/substrate", /one of/],
  ["match", { ...GOOD.match, damage: { kind: "chip", sparkle: 3 } }, "/damage/sparkle", /not a known field/],
])("%s with %j names the field", (name, input, at, message) => {
  expect(errorsOf(name, input)).toContainEqual({ path: at, message: expect.stringMatching(message) });
});

test("an unknown calculation is a 404 that lists those there are", () => {
  expect(calc("polish", {})).toMatchObject({ ok: false, problem: { status: 404, detail: expect.stringContaining("ladder") } });
  expect(calc("toString", {})).toMatchObject({ ok: false, problem: { status: 404 } });
});

test("the published description holds every calculation with the schema that checks it", () => {
  const paths = calcPaths() as Record<string, { post: { requestBody: { content: Record<string, { schema: unknown }> } } }>;
  expect(Object.keys(paths)).toEqual(names.map((name) => `/api/calc/${name}`));
  for (const name of names)
    expect(paths[`/api/calc/${name}`]?.post.requestBody.content["application/json"]?.schema).toBe(CALCULATIONS[name].input);
});

test("the core asks no clock, no chance and no network", () => {
  const files = readdirSync(__dirname, { recursive: true, encoding: "utf8" }).filter(
    (file) => file.endsWith(".ts") && !file.endsWith(".test.ts"),
  );
  expect(files.length).toBeGreaterThan(40);
  for (const file of files)
    expect([
      file,
      /Date\.now|new Date\(\)|Math\.random|fetch\(|performance\.now/.test(readFileSync(path.join(__dirname, file), "utf8")),
    ]).toEqual([file, false]);
});

test("a test of a clock is of a time above nothing, and found soft, right or hard; none at all is no mistake", () => {
  const seen = { predicted_min: 100, seen_min: 120, sense: "right" };
  expect(calc("calibrate", { observations: [] })).toMatchObject({ ok: true, result: { factor: 1 } });
  for (const wrong of [
    {},
    { observations: [{ ...seen, seen_min: 0 }] },
    { observations: [seen], prior_sd: 0 },
    { observations: [{ ...seen, sense: "wet" }] },
  ])
    expect(calc("calibrate", wrong)).toMatchObject({ ok: false, problem: { status: 422 } });
});
