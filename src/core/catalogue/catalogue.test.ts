import {
  ABRASIVE_SYSTEMS,
  CAUTIONS,
  CLASS_ROWS,
  cautionRow,
  classRow,
  DAMAGE_KINDS,
  FINISHES,
  finishRow,
  GROUPS,
  gradeLabel,
  grainOf,
  middle,
  ROLES,
  STAGES,
  SUBSTRATES,
  sameGrade,
  substrateRow,
} from ".";

/** The names that callers of the contract may send. */
const CONTRACT_CLASSES =
  "epoxy-fast epoxy-slow epoxy-putty polyester-filler cyanoacrylate pva hide-glue fish-glue acrylic-resin-solvent acrylic-dispersion-filler cellulose-filler contact-adhesive flexible-adhesive flexible-compound gypsum-plaster gypsum-cement plaster-bandage mma-acrylic polyurethane wax-fill hard-fill-stick spray-film";
const CONTRACT_SUBSTRATES =
  "earthenware terracotta stoneware porcelain bone-china gypsum stone resin-cast hardwood softwood veneer-solid veneer-particleboard mdf mdf-vinyl leather leatherette soft-metal brass hard-rubber bone-antler-horn papier-mache composition";
const CONTRACT_KINDS =
  "chip corner tip hole shards break-along break-across crack tear veneer-lifted veneer-lost scratch dent burn-through eroded worn-thin stain loose-joint";
const CONTRACT_FINISHES = "glaze paint shellac lacquer polyester-film oil wax dye gilding foil none";

test("every name of the contract is in the tables", () => {
  expect(CLASS_ROWS.map((row) => row.class as string)).toEqual(expect.arrayContaining(CONTRACT_CLASSES.split(" ")));
  expect(SUBSTRATES.map(({ substrate }) => substrate as string)).toEqual(expect.arrayContaining(CONTRACT_SUBSTRATES.split(" ")));
  expect([...DAMAGE_KINDS]).toEqual(CONTRACT_KINDS.split(" "));
  expect(FINISHES.map(({ finish }) => finish as string)).toEqual(expect.arrayContaining(CONTRACT_FINISHES.split(" ")));
});

test("no name stands twice", () => {
  for (const names of [CLASS_ROWS.map((row) => row.class), SUBSTRATES.map((row) => row.substrate), CAUTIONS.map((row) => row.caution)])
    expect(new Set(names).size).toBe(names.length);
});

test("every role has a class that can serve in it", () => {
  for (const role of ROLES) expect(CLASS_ROWS.some(({ roles }) => roles.includes(role))).toBe(true);
});

test("the catalogue holds at least 45 classes, and some on every shelf", () => {
  expect(CLASS_ROWS.length).toBeGreaterThanOrEqual(45);
  for (const group of GROUPS) expect([group, CLASS_ROWS.filter((row) => row.group === group).length > 0]).toEqual([group, true]);
});

test("every substrate has an adhesive and a fill that hold on it", () => {
  for (const { substrate, family } of SUBSTRATES)
    for (const role of ["adhesive", "filler"] as const)
      expect([substrate, role, CLASS_ROWS.some((row) => row.roles.includes(role) && row.bonds[family])]).toEqual([substrate, role, true]);
});

/** Names of what a row leaves out; lists that may be empty are not holes. */
function holesIn(value: unknown, path = ""): string[] {
  if (value === undefined || value === null || value === "" || (typeof value === "number" && !Number.isFinite(value))) return [path];
  if (Array.isArray(value))
    return value.length === 0 && !/roles|hazards/.test(path) ? [path] : value.flatMap((each, i) => holesIn(each, `${path}/${i}`));
  return typeof value === "object" ? Object.entries(value).flatMap(([key, each]) => holesIn(each, `${path}/${key}`)) : [];
}

const NEEDED_STAGE: Partial<Record<(typeof ROLES)[number], readonly string[]>> = {
  consolidant: ["handle", "hard"],
  adhesive: ["handle"],
  filler: ["hard"],
  levelling: ["hard"],
  colour: ["recoat"],
  topcoat: ["recoat"],
};

test("a hole in a row is found", () => {
  expect(holesIn({ ...classRow("pva"), source: "" })).toEqual(["/source"]);
  expect(holesIn({ ...classRow("pva"), gap_mm: [0, Number.NaN] })).toEqual(["/gap_mm/1"]);
});

describe.each(CLASS_ROWS.map((row) => [row.class, row] as const))("class %s", (_, row) => {
  test("says where its figures stand", () => {
    expect(row.source.length).toBeGreaterThan(10);
    expect(row.mix.cue.length).toBeGreaterThan(10);
    expect(row.reversible.by.length).toBeGreaterThan(3);
  });

  test("has no hole in it, and the stages that its roles are planned by", () => {
    expect(holesIn(row)).toEqual([]);
    for (const role of row.roles) {
      const needed = NEEDED_STAGE[role];
      if (needed) expect(row.cure.stages.some(({ stage }) => needed.includes(stage))).toBe(true);
    }
    if (row.roles.length === 0) expect(row.group).toBe("release");
  });

  test("mixes to a density within its own range", () => {
    const { parts, ratio_by, mixed_density } = row.mix;
    const mass = parts.reduce((sum, { ratio, density }) => sum + (ratio_by === "mass" ? ratio : ratio * density), 0);
    const volume = parts.reduce((sum, { ratio, density }) => sum + (ratio_by === "mass" ? ratio / density : ratio), 0);
    const mixed = mixed_density ?? mass / volume;
    expect(mixed).toBeGreaterThanOrEqual(row.density[0] - 0.005);
    expect(mixed).toBeLessThanOrEqual(row.density[1] + 0.005);
  });

  test("has ranges that run upwards, and figures that can be", () => {
    for (const [low, high] of [
      row.gap_mm,
      row.shrinkage_pct,
      row.service_C,
      row.shelf_months,
      row.density,
      row.price_eur_kg,
      ...row.cure.stages.map(({ minutes }) => minutes),
    ])
      expect(low).toBeLessThanOrEqual(high);
    expect(row.shrinkage_pct[0]).toBeGreaterThanOrEqual(0);
    expect(row.shrinkage_pct[1]).toBeLessThan(100);
    expect(row.max_layer_mm).toBeGreaterThan(0);
    expect(row.cure.at_mm).toBeGreaterThan(0);
    expect(row.cure.min_C).toBeLessThan(row.cure.reference_C);
    for (const { ratio, density } of row.mix.parts) {
      expect(ratio).toBeGreaterThan(0);
      expect(density).toBeGreaterThan(0.2);
      expect(density).toBeLessThan(9);
    }
  });

  test("passes its stages in the order of the bench, each later than the one before", () => {
    const order = row.cure.stages.map(({ stage }) => STAGES.indexOf(stage));
    expect(order).toEqual([...order].sort((a, b) => a - b));
    const times = row.cure.stages.map(({ minutes }) => middle(minutes));
    expect(times).toEqual([...times].sort((a, b) => a - b));
    expect(row.cure.stages.at(-1)?.stage).toBe("full");
  });

  test("holds on something, and names only cautions there are", () => {
    expect(Object.keys(row.bonds).length).toBeGreaterThan(0);
    for (const hazard of row.hazards) expect(cautionRow(hazard).text.length).toBeGreaterThan(20);
  });
});

test("grains fall from grade to grade in every system", () => {
  for (const [system, { grades, source }] of Object.entries(ABRASIVE_SYSTEMS)) {
    const grains = grades.map(([, micron]) => micron);
    expect(grains).toEqual([...grains].sort((a, b) => b - a));
    expect(new Set(grains).size).toBe(grains.length);
    expect([system, source.length > 10]).toEqual([system, true]);
  }
});

test("the grains of the standards are the published ones", () => {
  expect(grainOf({ system: "P", grade: 80 })).toBe(201);
  expect(grainOf({ system: "P", grade: 240 })).toBe(58.5);
  expect(grainOf({ system: "P", grade: 2500 })).toBe(8.4);
  expect(grainOf({ system: "JIS", grade: 1000 })).toBe(11.5);
  expect(grainOf({ system: "ANSI", grade: 600 })).toBe(16);
  expect(grainOf({ system: "micron", grade: 3 })).toBe(3);
  expect(grainOf({ system: "P", grade: 81 })).toBeUndefined();
  expect(gradeLabel({ system: "P", grade: 240 })).toBe("P240");
  expect(gradeLabel({ system: "micron", grade: 3 })).toBe("3 µm");
  expect(sameGrade({ system: "P", grade: 240 }, { system: "ANSI", grade: 240 })).toBe(false);
});

test("an unknown name throws and quotes it", () => {
  expect(() => classRow("marzipan" as never)).toThrow("unknown class: marzipan");
  expect(() => substrateRow("cheese" as never)).toThrow("unknown substrate: cheese");
  expect(() => finishRow("icing" as never)).toThrow("unknown finish: icing");
  expect(() => cautionRow("wolves" as never)).toThrow("unknown caution: wolves");
});

test("the middle of a range of times is its geometric mean", () => {
  expect(middle([30, 40])).toBeCloseTo(34.641, 3);
  expect(middle([0, 2])).toBe(1);
});
