import fc from "fast-check";
import { SUBSTRATES } from "../catalogue";
import { brace } from "./brace";
import { BRACE_JOINTS, BRACE_KINDS, type BraceInput } from "./brace.schema";
import { handlingOf } from "./handling";
import { safeWall, sidesOf, sizedFor, sizeOf } from "./sizing";
import { STRENGTHS } from "./strengths.data";

const rail: BraceInput = {
  joint: "break-across",
  section: { width_mm: 32, height_mm: 44 },
  load_N: 250,
  lever_mm: 180,
  material: "hardwood",
};

describe("worked by hand", () => {
  test("across the grain: W = 32·44²/6 = 10 325 mm³, σ = 250·180/10 325 = 4.358; end grain 3 / 4.358 = 0.69, under 3", () => {
    const found = brace(rail);
    expect(found.safety_without).toBeCloseTo(0.68836, 4);
    expect(found.needed).toBe("yes");
  });

  test("a slope of 1:8: sin²α = 1/65; N = 80·3 / (80/65 + 3·64/65) = 57.35; over σ = 50·200/1333 = 7.5 is 7.65", () => {
    const found = brace({
      joint: "break-along",
      section: { width_mm: 20, height_mm: 20 },
      slope_length_mm: 160,
      load_N: 50,
      lever_mm: 200,
      material: "hardwood",
    });
    expect(found.safety_without).toBeCloseTo(7.6471, 4);
    expect(found.needed).toBe("no");
    expect(found.options.at(-1)?.kind).toBe("none");
  });

  test("straight pull without a lever: 600 N on 30 × 30 is 0.667 N/mm²; 2 / 0.667 = 3", () => {
    expect(
      brace({ joint: "butt", section: { width_mm: 30, height_mm: 30 }, load_N: 600, material: "softwood" }).safety_without,
    ).toBeCloseTo(3, 9);
  });

  test("a round section: W = π·20³/32 = 785.4 mm³; 3 / (5·100/785.4) = 4.712, between 3 and 4.5 times is not asked for", () => {
    const found = brace({ joint: "butt", section: { diameter_mm: 20 }, load_N: 5, lever_mm: 100, material: "hardwood" });
    expect(found.safety_without).toBeCloseTo(4.7124, 4);
    expect(found.needed).toBe("no");
    expect(brace({ joint: "butt", section: { diameter_mm: 20 }, load_N: 6, lever_mm: 100, material: "hardwood" }).needed).toBe("optional");
  });

  test("a third of 30 mm is a 10 mm dowel: 25 deep each side, 50 long, hole 10.2, pilot 3.3, wall 9.9", () => {
    const { size } = sizeOf("dowel", { joint: "butt", section: { diameter_mm: 30 }, material: "hardwood" });
    expect(size).toMatchObject({ diameter_mm: 10, embed_mm: 25, length_mm: 50, hole_mm: 10.2 });
    expect([size.wall_mm, size.pilot_mm]).toEqual([expect.closeTo(9.9, 9), expect.closeTo(10 / 3, 9)]);
  });

  test("past a crack of 12 mm the dowel goes 12 mm deeper", () => {
    const { size } = sizeOf("dowel", { joint: "butt", section: { diameter_mm: 30 }, crack_length_mm: 12, material: "hardwood" });
    expect(size.embed_mm).toBe(37);
  });

  test("a crack of 210 mm: 170 between the outer cleats, three gaps of 56.7, so four cleats of half the plate", () => {
    const { size } = sizeOf("cleat", {
      joint: "crack",
      section: { width_mm: 100, height_mm: 3 },
      crack_length_mm: 210,
      material: "softwood",
    });
    expect(size).toMatchObject({ count: 4, thickness_mm: 1.5 });
    expect(size.spacing_mm).toBeCloseTo(56.667, 3);
  });

  test("a crack is never said to need nothing: the seasons are not in the figure", () => {
    const crack = { joint: "crack", section: { width_mm: 210, height_mm: 3 }, crack_length_mm: 210, material: "softwood" } as const;
    expect(brace(crack)).toMatchObject({ needed: "optional", options: [{ kind: "cleat" }, { kind: "none" }] });
  });

  test("where nothing fits it says what to do instead", () => {
    const rod = { joint: "break-across", section: { width_mm: 4, height_mm: 4 }, load_N: 5, lever_mm: 20, material: "hardwood" } as const;
    const { options, warnings } = brace(rod);
    expect(options).toEqual([]);
    expect(warnings.map(({ code }) => code)).toEqual(["no-spline", "no-dowel", "none-fits"]);
    expect(brace({ ...rod, load_N: 0.2 }).warnings.map(({ code }) => code)).not.toContain("none-fits");
  });

  test("a break along the grain may be splined as well; a tear in vinyl film is backed", () => {
    const kinds = (input: BraceInput) => brace(input).options.map(({ kind }) => kind);
    const section = { width_mm: 24, height_mm: 30 };
    expect(kinds({ joint: "break-along", section, slope_length_mm: 60, material: "hardwood" })).toEqual(["dowel", "spline", "none"]);
    expect(kinds({ joint: "tear", section, crack_length_mm: 60, material: "mdf-vinyl" })).toEqual(["patch"]);
  });

  test("a short crack takes one cleat; a tear of 300 mm a patch 30 mm larger all round", () => {
    expect(
      sizeOf("cleat", { joint: "crack", section: { width_mm: 100, height_mm: 3 }, crack_length_mm: 35, material: "softwood" }).size.count,
    ).toBe(1);
    expect(
      sizeOf("patch", { joint: "tear", section: { width_mm: 40, height_mm: 1 }, crack_length_mm: 300, material: "leather" }).size,
    ).toMatchObject({
      margin_mm: 30,
      length_mm: 360,
      corner_mm: 15,
    });
  });

  test("splines in 32 × 44: two of 8 with 5.3 between, 33 deep with 11 before the front, three heights past each end: 264 long", () => {
    expect(sizeOf("spline", rail).size).toMatchObject({
      count: 2,
      width_mm: 8,
      wall_mm: expect.closeTo(16 / 3, 9),
      depth_mm: 33,
      floor_mm: 11,
      past_mm: 132,
      length_mm: 264,
    });
  });
});

test("what does not fit is refused with the largest that would, and never offered", () => {
  const thin: BraceInput = { joint: "butt", section: { diameter_mm: 6 }, material: "hardwood" };
  const dowel = sizedFor(thin).find(({ kind }) => kind === "dowel");
  expect(dowel).toMatchObject({ refused: true, size: { largest_mm: expect.closeTo(1.8, 9) } });
  const found = brace(thin);
  expect(found.options.filter(({ kind }) => kind !== "none")).toEqual([]);
  expect(found.warnings.map(({ code }) => code)).toContain("no-dowel");
  expect(found.safety_with).toBe(found.safety_without);
});

test.each([
  ["spline", { joint: "break-across", section: { width_mm: 7, height_mm: 12 } }, 7 / 3],
  ["wire", { joint: "build-up", section: { diameter_mm: 4.4 } }, 0.4],
  ["screw", { joint: "build-up", section: { diameter_mm: 6 } }, 1.5],
] as const)("a %s that does not fit names the largest that would", (kind, joint, largest_mm) => {
  expect(sizeOf(kind, { ...joint, material: "hardwood" })).toMatchObject({
    refused: true,
    size: { largest_mm: expect.closeTo(largest_mm, 9) },
  });
});

test("an anchor screw of 20 mm: 5 thick, six diameters = 30 in the wood, seven tenths = 3.5 drilled first", () => {
  const { size } = sizeOf("screw", { joint: "build-up", section: { diameter_mm: 20 }, lever_mm: 40, material: "hardwood" });
  expect(size).toMatchObject({ diameter_mm: 5, embed_mm: 30, out_mm: 20, length_mm: 50, pilot_mm: 3.5 });
});

test("a load that may be a person carries the word to refer", () => {
  expect(brace({ ...rail, load_N: 800 }).warnings).toContainEqual({ code: "refer", message: expect.stringContaining("may be a person") });
  expect(brace(rail).warnings.map(({ code }) => code)).not.toContain("refer");
});

test("a brace that stays under what is asked says so; one that reaches it does not", () => {
  const codes = (kind: "dowel" | "spline") => brace({ ...rail, brace: kind }).warnings.map(({ code }) => code);
  expect(brace({ ...rail, brace: "dowel" }).safety_with).toBeLessThan(3);
  expect(codes("dowel")).toContain("still-weak");
  expect(brace({ ...rail, brace: "spline" }).safety_with).toBeGreaterThan(3);
  expect(codes("spline")).not.toContain("still-weak");
});

describe("no load given counts as what hands do to it by use and thickness, and says so", () => {
  const { load_N: _, ...unloaded } = rail;
  test.each([
    ["looked-at", "5 N at 180 mm assumed, for a piece that is only looked at"],
    ["handled", "20 N at 180 mm assumed, for handling"],
    ["played", "30 N at 180 mm assumed, for playing or opening"],
    ["carried", "50 N at 180 mm assumed, for carrying"],
  ] as const)("%s: %s", (use, words) => {
    expect(brace({ ...unloaded, use }).basis.source).toContain(words);
  });

  test("a finger 6 mm thick and 22 mm long is brushed, not gripped: 2 N · 22 mm / 21.2 mm³ = 2.07 N/mm²; 10 / 2.07 = 4.8 of 4", () => {
    const finger = { joint: "build-up", section: { diameter_mm: 6 }, lever_mm: 22, material: "resin-cast", use: "looked-at" } as const;
    expect(brace(finger).safety_without).toBeCloseTo(4.82, 2);
    expect(brace(finger).needed).toBe("optional");
    expect(brace({ ...finger, use: "carried" }).needed).toBe("yes");
  });

  test("half as thick is taken with a quarter of the force, and never under 2 N", () => {
    expect([handlingOf("handled", 20), handlingOf("handled", 10), handlingOf("handled", 3)].map(({ force_N }) => force_N)).toEqual([
      20, 5, 2,
    ]);
  });
});

test("a line of 3 mm holds about half of a thin one, 1 mm three quarters, 0.2 mm all", () => {
  const of = (gap_mm: number) => brace({ ...rail, gap_mm }).safety_without / brace(rail).safety_without;
  expect([of(0.2), of(1), of(3)]).toEqual([1, expect.closeTo(0.776, 3), expect.closeTo(0.498, 3)]);
});

test("a square break of wood that carries is braced whatever its load, known or not, and says why the figure does not count", () => {
  const { load_N: _load, lever_mm: _lever, ...unknown } = rail;
  fc.assert(
    fc.property(fc.option(fc.double({ min: 0.1, max: 400, noNaN: true }), { nil: undefined }), (load_N) => {
      const asked: BraceInput = { ...unknown, use: "carried", ...(load_N === undefined ? {} : { load_N, lever_mm: 20 }) };
      expect(brace(asked).needed).toBe("yes");
    }),
  );
  expect(brace({ ...rail, load_N: 1, use: "carried" }).warnings.map(({ code }) => code)).toContain("end-grain");
  expect(brace({ ...rail, load_N: 1, use: "looked-at" }).needed).toBe("no");
  expect(brace({ ...rail, load_N: 1, use: "carried", material: "porcelain" }).needed).toBe("no");
});

test("a round post has no flat to be routed from: its dowel comes first", () => {
  const [first] = brace({ ...rail, section: { diameter_mm: 45 }, use: "carried" }).options;
  expect([first?.kind, first?.size.diameter_mm]).toEqual(["dowel", 15]);
});

test("a torn edge always asks for its patch", () => {
  expect(brace({ joint: "tear", section: { width_mm: 50, height_mm: 2 }, load_N: 0.1, material: "leather" }).needed).toBe("yes");
});

test("every substrate has its strengths with a source, and a joint is never stronger than what it joins", () => {
  for (const { substrate } of SUBSTRATES) {
    const { along, joint, source } = STRENGTHS[substrate];
    expect([substrate, joint <= along && joint > 0, source.length > 10]).toEqual([substrate, true, true]);
  }
});

const section = fc.oneof(
  fc.record({ width_mm: fc.double({ min: 2, max: 200, noNaN: true }), height_mm: fc.double({ min: 2, max: 200, noNaN: true }) }),
  fc.record({ diameter_mm: fc.double({ min: 2, max: 200, noNaN: true }) }),
);
const inputs: fc.Arbitrary<BraceInput> = fc.record(
  {
    joint: fc.constantFrom(...BRACE_JOINTS),
    section,
    slope_length_mm: fc.double({ min: 5, max: 800, noNaN: true }),
    crack_length_mm: fc.double({ min: 5, max: 600, noNaN: true }),
    load_N: fc.double({ min: 1, max: 2000, noNaN: true }),
    lever_mm: fc.double({ min: 1, max: 1000, noNaN: true }),
    material: fc.constantFrom(...SUBSTRATES.map(({ substrate }) => substrate)),
  },
  { requiredKeys: ["joint", "section", "material", "load_N", "lever_mm"] },
);
const RANK = { no: 0, optional: 1, yes: 2 } as const;

test("more load or a longer lever never asks for less", () => {
  fc.assert(
    fc.property(inputs, fc.double({ min: 1, max: 5, noNaN: true }), (input, times) => {
      const before = brace(input);
      for (const more of [{ load_N: (input.load_N ?? 0) * times }, { lever_mm: (input.lever_mm ?? 0) * times }]) {
        const after = brace({ ...input, ...more });
        expect(after.safety_without).toBeLessThanOrEqual(before.safety_without + 1e-9);
        expect(RANK[after.needed]).toBeGreaterThanOrEqual(RANK[before.needed]);
      }
    }),
  );
});

test("a longer slope is never weaker, and a brace never costs more than the face it is cut through", () => {
  fc.assert(
    fc.property(inputs, fc.double({ min: 1, max: 5, noNaN: true }), (input, times) => {
      const { slope_length_mm = 20 } = input;
      const [short, long] = [brace({ ...input, slope_length_mm }), brace({ ...input, slope_length_mm: slope_length_mm * times })];
      expect(long.safety_without).toBeGreaterThanOrEqual(short.safety_without * (1 - 1e-6));
      // two splines of a quarter of the width each take the most of a glued face: under a half of it
      expect(short.safety_with).toBeGreaterThan(short.safety_without * 0.5);
    }),
  );
});

type Size = Readonly<Record<string, number>>;

/** Room that each brace leaves, against what must stay; and what else must hold of it. */
const LEAVES: Partial<Record<(typeof BRACE_KINDS)[number], (size: Size, input: BraceInput) => void>> = {
  dowel: rodLeaves,
  pin: rodLeaves,
  spline: (size, input) => {
    const { width, height } = sidesOf(input);
    // beside two thin slots a sixth stays on each side and between
    expect(size.wall_mm).toBeGreaterThanOrEqual((size.count === 2 ? width / 6 : safeWall(width, input.material)) - 1e-9);
    expect(size.floor_mm).toBeGreaterThanOrEqual(safeWall(height, input.material) - 1e-9);
  },
  wire: (size, input) => expect(size.cover_mm).toBeGreaterThanOrEqual(safeWall(thinnest(input), input.material) - 1e-9),
  cleat: (size) => expect((size.count ?? 0) > 1 ? size.spacing_mm : 0).toBeLessThanOrEqual(75 + 1e-9),
};

function thinnest(input: BraceInput): number {
  const { width, height } = sidesOf(input);
  return Math.min(width, height);
}

function rodLeaves(size: Size, input: BraceInput): void {
  const across = thinnest(input);
  expect(size.wall_mm).toBeGreaterThanOrEqual(safeWall(across, input.material) - 1e-9);
  expect(size.diameter_mm).toBeLessThanOrEqual(across / 2 + 1e-9);
  expect(size.embed_mm).toBeGreaterThanOrEqual(2 * (size.diameter_mm ?? 0));
}

test.each(BRACE_KINDS)("a %s leaves no less than the safe wall, and none of its dimensions is nonsense", (kind) => {
  fc.assert(
    fc.property(inputs, (input) => {
      const { size, refused, reasons } = sizeOf(kind, input);
      expect(reasons.length).toBeGreaterThan(0);
      expect(Object.values(size).every((value) => Number.isFinite(value) && value >= 0)).toBe(true);
      if (!refused) LEAVES[kind]?.(size, input);
    }),
  );
});
