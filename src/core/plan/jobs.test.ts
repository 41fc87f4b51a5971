import { readFileSync } from "node:fs";
import path from "node:path";
import { JOB_FILES, job, jobInput, jobOf } from "./jobs.fixture";
import { planned } from "./planCalc";
import { longSheetOf, titleOf } from "./sheet";
import { shortSheetOf } from "./shortSheet";
import { usualHours } from "./workSheet";

const between = (value: number | undefined, low: number, high: number) => {
  expect(value).toBeGreaterThanOrEqual(low);
  expect(value).toBeLessThanOrEqual(high);
};

test("twenty-four jobs are kept, and each comes out without a link that nothing serves", () => {
  expect(JOB_FILES).toHaveLength(24);
  for (const i of JOB_FILES.keys()) expect(job(i + 1).warnings.filter(({ code }) => code === "no-material")).toEqual([]);
});

const sheetOf = (number: number) => {
  const input = jobInput(number);
  return shortSheetOf(planned(input), titleOf(JOB_FILES[number - 1] ?? ""), Date.parse(input.at), usualHours(input.at));
};

describe.each(JOB_FILES.map((file, i) => [file, i + 1] as const))("the work sheet of %s", (file, number) => {
  const sheet = sheetOf(number);

  test("is current (npm run sheets)", () => {
    expect(sheet).toBe(readFileSync(path.join(__dirname, "../../../docs/jobs", file.replace(/json$/, "txt")), "utf8"));
  });

  test("is one page: every operation in its own words or as one of a run, every guard once, the owner’s lines last", () => {
    const lines = sheet.split("\n");
    // one page; each further damage has lines of its own
    expect(lines.length).toBeLessThanOrEqual(68 + 8 * (jobInput(number).damages.length - 1));
    expect(Math.max(...lines.map((line) => line.length))).toBeLessThanOrEqual(110);
    const flat = sheet.replaceAll(/\s+/g, " ");
    for (const { text, grade, coat_name, n = 1 } of planned(jobInput(number)).operations)
      if (!grade && !coat_name && n === 1) expect(flat).toContain(text.replaceAll(/\s+/g, " ").replace(/\.$/, ""));
    expect(sheet.indexOf("OWNER")).toBeGreaterThan(sheet.indexOf("HAVE READY"));
    expect(longSheetOf(planned(jobInput(number)), "long").split("\n").length).toBeGreaterThan(lines.length * 1.5);
  });
});

test("what stops it stands first, and alone: nothing to have ready, nothing to weigh", () => {
  const input = jobInput(1);
  const [damage] = input.damages;
  const stopped = { ...input, damages: [{ ...damage, survey: { ...damage?.survey, limits: { carries_person: true } } }] } as typeof input;
  const sheet = shortSheetOf(planned(stopped), "Rung", Date.parse(input.at), usualHours(input.at));
  expect(sheet).toMatch(/^STOP /m);
  expect(sheet).not.toMatch(/Mix|Drill|wood glue/);
});

describe("1, wagon-step rung", () => {
  const rung = job(1);
  test("the face is an ellipse of 24 × 74.0 mm, 13.9 cm²; the hollows are a void of the same treatment", () => {
    expect((rung.place("d1/joint").area_mm2 ?? 0) / 100).toBeCloseTo((Math.PI / 4) * 2.4 * 7.4, 1);
    expect(rung.place("d1/hollows").kind).toBe("void");
  });
  test("what bridges 3 mm is thickened epoxy, 2 to 3.5 g of it; never hot-melt or hide glue", () => {
    expect(rung.taken("d1/joint/adhesive")).toBe("thickened-epoxy");
    between(rung.op("join/mix-1/thickened").mass_g, 2, 3.5);
    expect(rung.links.map((link) => link.class)).not.toEqual(expect.arrayContaining(["hide-glue"]));
  });
  test("the old hot-melt comes off cold, alcohol kept off the shellac", () => {
    expect(rung.op("remove-old").text).toMatch(/chill.*pick.*alcohol kept off/);
  });
  test("a dowel of 8 past both ends of the slope, pressed by a wrap", () => {
    expect(rung.op("join/drill").text).toMatch(/Ø 8\.2 mm.*Ø 8 mm/);
    expect(rung.op("join/clamp-1/d1").text).toMatch(/^Wrap/);
  });
  test("both joints in one sitting: the inner one is glued before the outer closes it in, clamps wait for neither to set", () => {
    expect(rung.inOrder("join/bond-1/d1", "join/bond-1/d2", "join/unclamp-1/d2")).toBe(true);
    expect(rung.op("check-1/d2").text).toMatch(/opposed clamp/);
  });
  test("at least three toning coats over a first clear coat", () => {
    expect(rung.all("colour/tone-").length).toBeGreaterThanOrEqual(3);
    expect(rung.inOrder("colour/seal-1", "colour/mute-1", "colour/tone-1", "colour/clear-1")).toBe(true);
  });
  test("it stays under what is asked: no load is said where it is signed", () => {
    expect(rung.refer.map(({ code }) => code)).toEqual(["no-load"]);
    expect(rung.op("close/sign").text).toContain("allows no load");
  });
});

describe("2, organ-pipe front board", () => {
  const board = job(2);
  test("slackened and humidified until it closes, then hide glue worked in; three cleats with a clock of their own", () => {
    expect(board.inOrder("ready/slack", "ready/humidify", "join/bond-1", "join/unclamp-1", "join/cleats/", "join/cleats-off")).toBe(true);
    expect(board.taken("d1/joint/adhesive")).toBe("hide-glue");
    expect(board.op("cut-cleats").text).toMatch(/Cut 3 cleats 25 × 15 × 1\.5 mm, edges feathered/);
    expect(board.op("cut-cleats").why).toMatch(/40/);
    expect(board.op("join/cleats/").starts).toBe("clamped");
  });
  test("no figure of safety for a cantilever", () => expect(board.refer).toEqual([]));
});

describe("3, barrel-organ lid", () => {
  const lid = job(3);
  test("a cap of Ø 15 and 1.2 mm deep is 0.107 cm³, filled with the film's own kind in layers", () => {
    // V = πh(3a² + h²)/6
    expect(lid.place("d1/dent").volume_cm3).toBeCloseTo((Math.PI * 1.2 * (3 * 7.5 ** 2 + 1.2 ** 2)) / 6 / 1000, 6);
    expect(lid.taken("d1/dent/filler")).toBe("polyester-drop");
    expect(lid.all("fill/place-").length).toBeGreaterThanOrEqual(2);
  });
  test("it rests before it is levelled, wet and no coarser than P400, to a compound with its own pad", () => {
    expect(lid.inOrder("fill/shrink", "level/grit-P400", "level/compound-medium", "level/compound-fine")).toBe(true);
    expect(lid.has("/grit-P320/") || lid.has("/grit-P150/")).toBe(false);
    expect(lid.op("compound-fine").text).toContain("pad of its own");
  });
  test("never steam or iron on a film", () => expect(lid.words).not.toMatch(/steam it|iron/i));
});

describe("4, booth counter", () => {
  const counter = job(4);
  test("letting in is preselected, gluing down is not; what is cut out is kept", () => {
    expect(counter.ways[0]?.way).toBe("reveneer");
    expect(
      counter.inOrder("template", "cut-out", "cut-core", "choose-sheet", "join/bond-1", "lay-sheet", "clamp-1", "flush", "grit-P180"),
    ).toBe(true);
    expect(counter.op("cut-out").text).toContain("stock");
    expect(counter.op("cut-core").text).toContain("1.5 mm");
  });
  test("sanded to P180–P240 and no finer before stain, then toner, then clear", () => {
    expect(counter.all("level/grit-").map(({ id }) => id)).toEqual(["r1/level/grit-P180/d1", "r1/level/grit-P240/d1"]);
    expect(counter.inOrder("grit-P240", "stain-1", "seal-1", "tone-1", "clear-1")).toBe(true);
  });
});

describe("5, carousel plinth", () => {
  const plinth = job(5);
  test("30 × 20 × 18: 1.80 cm³, 12.2 mm deep, in two equal layers of 1.58 and 0.23 cm³", () => {
    expect(plinth.place("d1/loss").volume_cm3).toBeCloseTo(1.8, 9);
    expect(plinth.place("d1/loss").depth_mm).toBeCloseTo((30 * 20 * 18) / Math.hypot(600, 360, 540), 6);
    const [one = 0, two = 0] = plinth.all("fill/mix-").map(({ mass_g }) => mass_g);
    between(one / two, 2.8, 4.2);
    expect(plinth.op("ready/form").text).toMatch(/mirrored/);
  });
  test("a hardener that the scale can't weigh is refused, with drops or a bigger batch instead", () => {
    const coarse = jobOf({ ...jobInput(5), tools: { scale_step_g: 0.1 } });
    expect(coarse.op("fill/mix-1").text).toMatch(/count 2 drops of hardener: a scale of 0.1 g can’t weigh that/);
    expect(coarse.op("fill/mix-2").text).toMatch(
      /^Mix 2.04 g .*; count one drop of hardener: a scale of 0.1 g can’t weigh that; 1.29 g of it is needed/,
    );
    expect(plinth.op("fill/mix-2").text).toMatch(/hardener 0.03 g \(0.01 g to 0.05 g is right\)$/);
  });
  const later = (entries: NonNullable<ReturnType<typeof jobInput>["entries"]>) => jobOf({ ...jobInput(5), entries });
  test("a pinhole is round 2 with a finer filler, a low spot round 3; both tell their cause", () => {
    const rounds = later([
      {
        at: "2026-10-07T15:05:00+02:00",
        body: { kind: "round-opened", station: "fill", places: ["d1/loss"], because: "pinhole under the skin" },
      },
      {
        at: "2026-10-07T17:00:00+02:00",
        body: { kind: "round-opened", station: "fill", places: ["d1/loss"], because: "primer shows a low spot" },
      },
    ]);
    expect(rounds.has("r2/fill/mix-1/fine-surfacer")).toBe(true);
    expect(rounds.inOrder("r1/fill/blade", "r2/fill/mix-1", "r2/fill/check-fill", "r3/fill/mix-1", "r3/level/")).toBe(true);
    expect(rounds.operations.filter(({ round }) => round === 3).every(({ id }) => id.startsWith("r3/"))).toBe(true);
  });
});

describe("6, shuttle-bar handle", () => {
  const handle = job(6);
  test("two splines of 8 × 16.5 × 132: three heights past each side; 28.5 mm out of the base, in passes; slides in dry", () => {
    expect(handle.op("join/slot").text).toMatch(/2 slots 8 mm wide, 16\.5 mm deep, 132 mm long: bit 28\.5 mm out/);
    expect(handle.op("fit-brace").why).toContain("0.1 to 0.2 mm");
  });
  test("pores filled, toned in four coats, left until it has shrunk, levelled, polished", () => {
    expect(handle.all("colour/tone-")).toHaveLength(4);
    expect(handle.inOrder("pore-fill", "seal-1", "tone-1", "clear-1", "film-wait", "flat-P1200", "gloss-compound")).toBe(true);
    expect(handle.op("flat-P1200").after.some(({ op, min_min }) => op.includes("film-wait") || min_min > 1440)).toBe(true);
  });
});

describe("7, prize dish", () => {
  const dish = job(7);
  test("640 × 3 mm is 19.2 cm² a side; 0.3 to 0.4 g of glue, judged at closed joins", () => {
    expect(dish.place("d1/joins").area_mm2).toBeCloseTo(1920, 6);
    between(dish.op("join/mix-1").mass_g, 0.3, 0.4);
  });
  test("three slivers of 0.264 cm³, dammed behind, from one mix", () => {
    expect([1, 2, 3].map((i) => dish.place(`d1/sliver-${i}`).volume_cm3)).toEqual([0.264, 0.264, 0.264].map((v) => expect.closeTo(v, 9)));
    expect(dish.all("fill/mix-")).toHaveLength(1);
    expect(dish.all("fill/place-1")).toHaveLength(3);
    expect(dish.inOrder("fill/dam", "fill/mix-1", "fill/off-dam")).toBe(true);
    expect(dish.op("fill/mix-1").portions?.map(({ place }) => place)).toEqual(["d1/sliver-1", "d1/sliver-2", "d1/sliver-3"]);
  });
  test("the portions of a mix are the mix", () => {
    const { portions = [], mass_g = 0 } = dish.op("fill/mix-1");
    expect(portions.reduce((sum, portion) => sum + portion.mass_g, 0)).toBeCloseTo(mass_g, 6);
  });
  test("undercolour, mottled metal in two tones, clear; no brace", () => {
    expect(dish.inOrder("under-1", "pattern-1", "pattern-2", "clear-1")).toBe(true);
    expect(dish.links.some(({ role }) => role === "brace")).toBe(false);
  });
});
