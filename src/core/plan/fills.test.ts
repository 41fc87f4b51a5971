import fc from "fast-check";
import { CHIP, pieceOf, takes } from "./pieces.fixture";
import type { PlanInput } from "./plan.schema";
import { plan } from "./planCalc";

const AIR = { temp_C: 20, rh_pct: 50 };

const CORNER = { kind: "corner", a_mm: 30, b_mm: 30, c_mm: 30 } as const;
const HOLE = { kind: "hole", diameter_mm: 12, depth_mm: 15, through: false } as const;

describe("a gypsum corner", () => {
  const plan = pieceOf("gypsum", "paint", CORNER);

  test("a corner of 30 mm has a sixth of its cube: 4.5 cm³", () => {
    expect(plan.place("d1/loss").volume_cm3).toBeCloseTo(4.5, 1);
  });

  test("is anchored, formed, released, damped, poured, topped up, freed, trimmed, dried: in that order", () => {
    expect(plan.inOrder("form", "release", "damp", "mix-1", "place-1", "top-up", "demould", "blade", "check-fill", "dry")).toBe(true);
    expect(plan.inOrder("drill", "set-brace", "set-form", "damp")).toBe(true);
    expect(plan.op("ready/form").text).toContain("the anchors go in first");
  });

  test("a large face takes as long to lay as its batches were reckoned with; a small chip its few minutes", () => {
    const face = pieceOf("gypsum", "paint", {
      kind: "eroded",
      length_mm: 400,
      width_mm: 250,
      depth_mm: 8,
      cause_present: false,
      hollow: false,
    });
    const [low, high] = face.op("fill/place-1").hands_min;
    const { batches = 1, hands_min: mixing } = face.op("fill/mix-1");
    // 100,000 mm² by 8 mm and what shrinks of it, at 25 cm³ a minute: a cup after the other, the last one after the mix
    expect(batches).toBeGreaterThan(1);
    expect(low * batches).toBeGreaterThan(30);
    expect(high).toBeCloseTo(2 * low, 6);
    expect(mixing[0]).toBeCloseTo(4 * batches + low * (batches - 1), 6);
    expect(pieceOf("stoneware", "glaze", CHIP).op("fill/place-1").hands_min).toEqual([expect.closeTo(0.2, 1), expect.closeTo(2.4, 1)]);
  });

  test("the old plaster is damp for half an hour at most before the new is mixed", () => {
    expect(plan.op("mix-1").after.find(({ op }) => op.includes("damp"))?.max_min).toBe(30);
  });

  test("boring plaster makes plaster dust, not quartz", () => {
    expect(plan.op("drill").cautions).toEqual(["dust-mineral"]);
    expect(
      pieceOf("stone", "paint", CORNER)
        .all("drill")
        .every(({ cautions }) => cautions.includes("silica")),
    ).toBe(true);
  });

  test("dries by the square of its thickness: twice the corner, far more than twice the days", () => {
    const days = (mm: number) => {
      const big = pieceOf("gypsum", "paint", { kind: "corner", a_mm: mm, b_mm: mm, c_mm: mm });
      return big.op("fill/dry").after.find(({ op }) => op.includes("mix-1"))?.min_min ?? 0;
    };
    expect(days(60)).toBeGreaterThan(3 * days(30));
  });

  test("the release agent is off before any colour, and old paint is tested before any dust", () => {
    expect(plan.inOrder("demould", "release-off", "dust-off")).toBe(true);
    expect(plan.inOrder("lead-test", "trim", "grit-P180")).toBe(true);
  });

  test("the second pour goes in while the first has stiffened, before it is hard", () => {
    const first = plan.op("top-up").after.find(({ op }) => op.includes("mix-1"));
    expect(first?.min_min).toBeGreaterThan(0);
    expect(first?.max_min).toBeGreaterThan(first?.min_min ?? 0);
  });
});

describe("a hole in lacquered hardwood", () => {
  const plan = pieceOf("hardwood", "lacquer", HOLE);

  test("12 × 15 mm are π·6²·15 = 1.7 cm³, mixed with a little over", () => {
    expect(plan.place("d1/loss").volume_cm3).toBeCloseTo(1.696, 2);
    expect(plan.op("mix-1").volume_cm3).toBeGreaterThan(1.696);
    expect(plan.op("mix-1").volume_cm3).toBeLessThan(1.696 * 1.6);
  });

  test("two equal parts by mass, and balls for who has no scale", () => {
    const [a, b] = plan.op("mix-1").parts ?? [];
    expect(a?.mass_g).toBeCloseTo(b?.mass_g ?? 0, 9);
    expect(plan.op("mix-1").text).toMatch(/two equal balls/);
  });

  test("trimmed in its firm window: after it is firm, before it is hard", () => {
    const window = plan.op("blade").after.find(({ op }) => op.includes("mix-1"));
    const hard = plan.op("check-fill").after.find(({ op }) => op.includes("mix-1"));
    expect(window?.stage).toBe("firm");
    expect(window?.max_min).toBeGreaterThan(window?.min_min ?? 0);
    expect(hard?.min_min).toBeGreaterThan(window?.max_min ?? 0);
  });

  test("grits go along the grain, each finer, to P400 under polish", () => {
    const grits = plan.all("level/grit").map(({ text }) => Number(/P(\d+)/.exec(text)?.[1]));
    expect([...grits].sort((a, b) => a - b)).toEqual(grits);
    expect(grits.at(-1)).toBe(400);
    for (const grit of plan.all("level/grit")) expect(grit.text).toMatch(/along the grain/);
  });

  test("muted, toned, cleared; the film shrinks before it is levelled and polished", () => {
    expect(plan.inOrder("seal-1", "mute-1", "tone-1", "clear-1", "film-wait", "flat-P1200", "gloss-compound")).toBe(true);
    expect(plan.op("film-wait").after[0]?.min_min).toBeGreaterThan(7 * 1440);
  });
});

describe("a dent", () => {
  test("in oiled wood with whole fibres is raised, and looked at when it has dried again", () => {
    const plan = pieceOf("hardwood", "oil", { kind: "dent", diameter_mm: 12, depth_mm: 0.8, broken: false });
    expect(plan.op("raise").cautions).toContain("hot");
    expect(plan.links).toEqual([]);
    expect(plan.op("photograph-after").after.find(({ op }) => op.includes("raise"))?.min_min).toBeGreaterThanOrEqual(600);
  });

  test("with broken fibres is filled", () => {
    const plan = pieceOf("hardwood", "oil", { kind: "dent", diameter_mm: 12, depth_mm: 0.8, broken: true });
    expect(plan.has("raise")).toBe(false);
    expect(takes(plan, "filler")).toBeDefined();
  });
});

describe("a scratch in a lacquer film", () => {
  const plan = pieceOf("hardwood", "lacquer", { kind: "scratch", length_mm: 40, width_mm: 0.4, depth_mm: 0.1, film_um: 120 });

  test("is dropped full with the same film, in layers, left to shrink, levelled and polished", () => {
    expect(takes(plan, "filler")).toBe("spray-film");
    expect(plan.inOrder("place-1", "mix-2", "place-2", "shrink", "grit-P1000", "grit-P1500", "compound-medium", "compound-fine")).toBe(
      true,
    );
  });

  test("so little is never told as nothing", () => {
    expect(plan.op("mix-1").text).toMatch(/under 0\.01 g/);
    expect(plan.words).not.toMatch(/\b0\.00 g/);
  });
});

describe("bare lime", () => {
  const plan = pieceOf(
    "cement-cast",
    "none",
    { kind: "chip", length_mm: 30, depth_mm: 6, thickness_mm: 8 },
    { service: { outdoor: true } },
  );

  test("is misted for three days, and no month is waited for where nothing is laid over it", () => {
    expect(takes(plan, "filler")).toBe("lime-mortar");
    expect(plan.op("damp-cure").text).toMatch(/three days/);
    expect(plan.elapsed_min[1]).toBeLessThan(15 * 1440);
  });

  test("2.5 to 3 parts of sand by volume are 6 to 7 of hydraulic lime by mass", () => {
    const [sand, lime] = plan.op("mix-1").parts ?? [];
    const ratio = (sand?.mass_g ?? 0) / (lime?.mass_g ?? 1);
    expect(ratio).toBeGreaterThan(5.5);
    expect(ratio).toBeLessThan(7.5);
  });

  test("burns: whoever mixes or mists it is told", () => {
    expect(plan.op("damp-cure").cautions).toContain("wet-plaster-skin");
    expect(plan.op("mix-1").cautions.some((caution) => caution.startsWith("caustic") || caution.startsWith("lime"))).toBe(true);
  });
});

test("painted iron is keyed for its paint, never polished; bare brass is polished and stopped early", () => {
  const iron = pieceOf("iron", "paint", CHIP);
  expect(iron.has("burnish")).toBe(false);
  expect(iron.op("file").why).not.toMatch(/soft/);
  const brass = pieceOf("brass", "none", CHIP);
  expect(brass.op("burnish").text).toMatch(/stop early/);
});

test("a deeper hole never takes less, and twice the hole twice the filler", () => {
  const grams = (depth_mm: number) =>
    pieceOf("hardwood", "lacquer", { ...HOLE, depth_mm })
      .all("fill/mix")
      .reduce((sum, { mass_g = 0 }) => sum + mass_g, 0);
  expect(grams(16)).toBeGreaterThan(grams(8));
  expect(grams(16) / grams(8)).toBeGreaterThan(1.7);
  expect(grams(16) / grams(8)).toBeLessThan(2.2);
});

test("an edge chip is as thick as its wall: so many builds as the wall asks, however high it stands", () => {
  const builds = (depth_mm: number, thickness_mm: number) => {
    const { operations } = pieceOf("stoneware", "glaze", { kind: "chip", length_mm: 40, depth_mm, thickness_mm });
    return operations.filter(({ name, station }) => name === "mix" && station === "fill").length;
  };
  fc.assert(
    fc.property(fc.integer({ min: 2, max: 30 }), fc.integer({ min: 2, max: 30 }), (depth, wall) => {
      expect(builds(depth, wall)).toBe(builds(Math.min(depth, wall), Math.min(depth, wall)));
    }),
    { numRuns: 40 },
  );
  expect([builds(11, 6), builds(6, 40), builds(11, 12)]).toEqual([1, 1, 2]);
});

test("nothing is filled on a part whose break does not hold yet, in whatever order its damages were found", () => {
  const BREAKS = [
    { kind: "shards", shards: 4, break_length_mm: 200, thickness_mm: 6 },
    { kind: "break-across", width_mm: 40, height_mm: 20, gap_mm: 0 },
  ] as const;
  for (const broken of BREAKS)
    for (const first of [true, false]) {
      const survey = (damage: object) => ({ part: "p", survey: { damage, service: {} } });
      const two = first ? [survey(broken), survey(HOLE)] : [survey(HOLE), survey(broken)];
      const { operations } = plan({
        piece: { kind: "other", parts: [{ id: "p", substrate: "stoneware", finish: "glaze" }] },
        damages: two.map((damage, i) => ({ id: `d${i + 1}`, ...damage })),
        stance: "service",
        climate: AIR,
      } as PlanInput);
      const at = (name: string, station: string) => operations.findIndex((op) => op.name === name && op.station === station);
      expect([broken.kind, first, at("unclamp", "join") < at("mix", "fill")]).toEqual([broken.kind, first, true]);
    }
});

test("two fills of one part that set at other paces are each trimmed and sanded by their own clock", () => {
  const { operations } = plan({
    piece: { kind: "figure", parts: [{ id: "p", substrate: "gypsum", finish: "paint" }] },
    damages: [
      { id: "d1", part: "p", survey: { damage: CORNER, service: {} } },
      {
        id: "d2",
        part: "p",
        survey: { damage: { kind: "hole", diameter_mm: 20, depth_mm: 6, through: false }, service: {} },
        choose: [{ role: "filler", class: "cellulose-filler" }],
      },
    ],
    stance: "service",
    climate: AIR,
  } as PlanInput);
  const fills = new Map(
    operations.flatMap(({ name, class: of, damages }) => (name === "mix" && of ? damages.map((d) => [d, of] as const) : [])),
  );
  expect(new Set(fills.values()).size).toBe(2);
  for (const name of ["blade", "check-fill", "grit"])
    for (const { damages } of operations.filter((op) => op.name === name)) expect([name, damages.length]).toEqual([name, 1]);
});
