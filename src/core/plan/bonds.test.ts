import fc from "fast-check";
import { pieceOf, takes } from "./pieces.fixture";

const SHARDS = { kind: "shards", shards: 5, break_length_mm: 400, thickness_mm: 5, gap_mm: 0 } as const;
const SLOPE = { kind: "break-along", slope_mm: 160, width_mm: 24, height_mm: 24, gap_mm: 0.1 } as const;
const TENON = { kind: "loose-joint", joint: "tenon", width_mm: 30, height_mm: 10, depth_mm: 25, play_mm: 0.1 } as const;
const SHEET = { kind: "veneer-lost", length_mm: 60, width_mm: 30, thickness_mm: 0.7, swelling_mm: 0 } as const;

describe("five shards of a stoneware jar", () => {
  const plan = pieceOf("stoneware", "glaze", SHARDS);

  test("four joins; the glue is 20 cm² of faces, 0.1 mm of film and what squeezes out", () => {
    expect(plan.op("bond-1").text).toMatch(/^Wet 4 joins/);
    expect(plan.op("mix-1").why).toMatch(/20 cm² a face/);
    expect(plan.op("mix-1").mass_g).toBeCloseTo(20 * 0.01 * 1.6 * 1.12, 1);
  });

  test("all that is done while it moves ends with the open time of the mix", () => {
    const until = plan.op("bond-1").after.find(({ op }) => op.includes("mix-1"))?.max_min ?? 0;
    expect(until).toBeGreaterThan(60);
    for (const name of ["clamp-1", "check-1"])
      expect(plan.op(name).after.some(({ max_min = 0 }) => max_min > 0 && max_min <= until)).toBe(true);
  });

  test("steps between shards are felt for with a fingernail before the tape is left alone", () => {
    expect(plan.inOrder("clamp-1", "check-1", "unclamp-1")).toBe(true);
    expect(plan.op("check-1").text).toMatch(/fingernail/);
  });

  test("tapes stay until handling strength of the slow resin: half a day and more", () => {
    const held = plan.op("unclamp-1").after.find(({ op }) => op.includes("bond-1"));
    expect(held?.stage).toBe("handle");
    expect(held?.min_min).toBeGreaterThan(600);
  });

  test("the order of the shards is written down in the dry run", () => {
    expect(plan.op("dry-run").text).toMatch(/write down the order/);
    expect(plan.inOrder("dry-run", "mix-1")).toBe(true);
  });
});

describe("a sloping break of a hardwood member", () => {
  const plan = pieceOf("hardwood", "shellac", SLOPE, { service: { load: true } });

  test("is wound, not clamped: a slope slides apart under clamps", () => {
    expect(plan.op("clamp-1").text).toMatch(/^Wrap of cord or rubber/);
    expect(plan.op("unclamp-1").text).toBe("Unwind the wrap");
  });

  test("hot glue gels in minutes, and the marks are checked again within them", () => {
    expect(takes(plan, "adhesive")).toBe("hide-glue");
    const closes = plan.op("clamp-1").after.find(({ max_min }) => max_min !== undefined);
    expect(closes?.max_min).toBeLessThan(4);
    expect(plan.op("mix-1").cautions).toContain("hot");
  });

  test("a colder room leaves less time to close it, a warmer one more", () => {
    const closing = (temp_C: number) =>
      pieceOf("hardwood", "shellac", SLOPE, { service: { load: true }, temp_C })
        .op("clamp-1")
        .after.find(({ max_min }) => max_min !== undefined)?.max_min ?? 0;
    expect(closing(15)).toBeLessThan(closing(20));
    expect(closing(20)).toBeLessThan(closing(25));
  });

  test("wood glue is left to go rubbery and sliced, never wiped into the pores", () => {
    expect(plan.op("squeeze-out").text).toBe("Leave the squeeze-out, slice it when rubbery");
    expect(plan.op("squeeze-out").cautions).toContain("blade");
  });

  test("fibres that still key are kept: it is brushed, not sanded", () => {
    expect(plan.op("clean").text).toMatch(/keep every fibre/);
    expect(plan.has("grit")).toBe(false);
  });
});

describe("a loose tenon", () => {
  const plan = pieceOf("softwood", "none", TENON);

  test("is opened, freed of old glue, tried dry, glued, held square", () => {
    expect(plan.inOrder("open-joint", "old-glue-out", "clean", "dry-run", "bond-1", "clamp-1", "check-1", "unclamp-1")).toBe(true);
    expect(plan.op("check-1").text).toMatch(/square by the diagonals/);
  });

  test("a tenth of play is a glue line; six tenths are taken up first", () => {
    expect(plan.has("slips")).toBe(false);
    const loose = pieceOf("softwood", "none", { ...TENON, play_mm: 0.6 });
    expect(loose.ways[0]?.way).not.toBe(plan.ways[0]?.way);
    expect(loose.has("slips") || loose.has("wrap") || takes(loose, "adhesive") === "thickened-epoxy").toBe(true);
  });
});

describe("a lost piece of veneer", () => {
  const plan = pieceOf("veneer-solid", "shellac", SHEET);

  test("the edge is squared by a template, the bed tapped, a sheet chosen, before any glue", () => {
    expect(plan.inOrder("template", "cut-out", "choose-sheet", "dry-run", "bond-1", "lay-sheet-1", "clamp-1")).toBe(true);
    expect(plan.inOrder("tap-bed", "bond-1")).toBe(true);
  });

  test("a wood glue lies under it, for resin bleeds through and takes no stain", () => {
    expect(["hide-glue", "fish-glue", "pva"]).toContain(takes(plan, "adhesive"));
  });

  test("it is flush by the chisel, sanded no finer than P240, then pores, stain, seal, tone, clear", () => {
    expect(
      plan.inOrder(
        "unclamp-1",
        "flush",
        "grit-P180",
        "grit-P240",
        "pore-fill",
        "sample",
        "stain-1",
        "seal-1",
        "tone-1",
        "clear-1",
        "sheen",
      ),
    ).toBe(true);
    expect(plan.all("grit").at(-1)?.text).toMatch(/P240/);
  });

  test("pore filler dries over night before anything lies on it", () => {
    expect(plan.op("dust-off").after.find(({ op }) => op.includes("pore-fill"))?.min_min).toBeGreaterThanOrEqual(480);
  });
});

test("in a dry run the time is on record before the glue is out, whatever is glued", () => {
  for (const plan of [pieceOf("stoneware", "glaze", SHARDS), pieceOf("hardwood", "shellac", SLOPE), pieceOf("softwood", "none", TENON)]) {
    expect(plan.op("dry-run").done_when).toMatch(/minutes are on record|order/);
    expect(plan.op("dry-run").cautions).toContain("clamp-force");
  }
});

describe("a square break that needs a spline", () => {
  const BREAK = { kind: "break-across", width_mm: 32, height_mm: 22, gap_mm: 0 } as const;
  const plan = pieceOf("hardwood", "lacquer", BREAK, { service: { load: true } });

  test("is pressed along the piece, and closed and hard before anything is routed across it", () => {
    expect(plan.op("clamp-1").text).toMatch(/^Pressure along the piece/);
    expect(plan.inOrder("bond-1", "unclamp-1", "slot", "fit-brace", "set-brace", "flush-brace")).toBe(true);
    expect(plan.op("join/slot").after.find(({ op }) => op.includes("bond-1"))?.stage).toBe("hard");
    expect(plan.op("bond-1").text).not.toMatch(/brace/);
  });

  test("its splines have glue of their own on their cheeks, weighed apart from that of the faces", () => {
    // two cheeks and a floor of each slot, 0.1 mm of glue
    const { count = 1, width_mm = 0, depth_mm = 0, length_mm = 0 } = plan.op("join/slot").figures as Record<string, number>;
    expect(plan.op("set-brace").need_cm3).toBeCloseTo((count * (2 * depth_mm + width_mm) * length_mm * 0.1) / 1000, 6);
    expect(plan.op("mix-1").need_cm3).toBeCloseTo((32 * 22 * 0.1) / 1000, 2);
  });
});

describe("a hairline", () => {
  const HAIR = { kind: "crack", length_mm: 80, width_mm: 0.2, depth_mm: 6, closes: false } as const;

  test("is drawn full of thin resin: nothing is pressed, laid in layers, roughened or sanded", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 5, max: 30 }),
        fc.boolean(),
        fc.constantFrom("stoneware", "gypsum", "resin-cast"),
        (wide, through, substrate) => {
          const plan = pieceOf(substrate, "none", { ...HAIR, width_mm: wide / 100, through });
          expect(plan.ways[0]?.way).toBe("wick");
          for (const name of ["join/clamp", "dry-run", "ready/key", "grit"]) expect([name, plan.has(name)]).toEqual([name, false]);
          expect(plan.has("tape-behind")).toBe(through);
          expect(plan.op("bond-1").need_cm3).toBeCloseTo((80 * 6 * (wide / 100) * (through ? 1 : 0.5)) / 1000, 6);
        },
      ),
      { numRuns: 15 },
    );
  });

  test("one that is wider is filled, one that closes is glued", () => {
    expect(pieceOf("stoneware", "glaze", { ...HAIR, width_mm: 0.31 }).ways[0]?.way).toBe("fill");
    expect(pieceOf("stoneware", "glaze", { ...HAIR, closes: true }).ways[0]?.way).toBe("close");
  });
});
