import { jobOf } from "./jobs.fixture";
import type { PlanInput } from "./plan.schema";
import { planned } from "./planCalc";
import { shortSheetOf } from "./shortSheet";
import { usualHours } from "./workSheet";

const AT = "2026-10-06T09:00:00+02:00";

/** One damage on one part, as a survey tells it. */
const inputOf = (part: PlanInput["piece"]["parts"][number], survey: object, kind: PlanInput["piece"]["kind"] = "other"): PlanInput =>
  ({
    piece: { kind, parts: [part] },
    damages: [{ id: "d1", part: part.id, survey: { service: {}, ...survey } }],
    stance: "service",
    climate: { temp_C: 18, rh_pct: 50 },
    at: AT,
  }) as PlanInput;

test("metal is worked back over a mandrel, polished, and lacquered again: never filled unasked", () => {
  const bell = jobOf(
    inputOf(
      { id: "bell", substrate: "brass", finish: "lacquer" },
      { damage: { kind: "dent", diameter_mm: 30, depth_mm: 3, broken: false } },
    ),
  );
  expect(bell.ways[0]?.way).toBe("mandrel");
  expect(bell.inOrder("mandrel", "polish-metal", "colour/clear-1")).toBe(true);
  expect(bell.operations.some(({ kind }) => kind === "mix" || kind === "tint")).toBe(false);
});

test("a hole that holds a screw gets wood, bored anew; one that holds nothing is filled", () => {
  const hole = (load: boolean) =>
    jobOf(
      inputOf(
        { id: "frame", substrate: "hardwood", finish: "oil" },
        { damage: { kind: "hole", diameter_mm: 6, depth_mm: 30, through: false, count: 4 }, service: { load } },
      ),
    );
  expect(hole(true).ways[0]?.way).toBe("insert");
  expect(hole(true).inOrder("join/bond-1", "flush", "bore-anew")).toBe(true);
  expect(hole(false).ways[0]?.way).toBe("fill");
});

test("a dent deeper than its film is no film to be dropped full: unmeasured films count as they usually are", () => {
  const dent = (depth_mm: number, finish: "shellac" | "polyester-film") =>
    jobOf(inputOf({ id: "top", substrate: "hardwood", finish }, { damage: { kind: "dent", diameter_mm: 12, depth_mm, broken: false } }))
      .ways[0]?.way;
  expect(dent(1, "shellac")).toBe("fill");
  expect(dent(0.03, "shellac")).toBe("drop-fill");
  expect(dent(1.2, "polyester-film")).toBe("drop-fill");
});

test("where the whole face is stripped, what was only glued gets the new finish as well, once the joint is sanded with it", () => {
  const rail = jobOf(
    inputOf(
      { id: "rail", substrate: "hardwood", finish: "lacquer", finish_to_be: "oil" },
      { damage: { kind: "break-along", slope_mm: 160, width_mm: 40, height_mm: 20, gap_mm: 0 }, service: { touched: true } },
    ),
  );
  expect(rail.inOrder("strip-old", "bond-1", "unclamp-1", "sand-face", "colour/clear-1")).toBe(true);
});

test("a stop stands alone: why, the choices, and nothing to do", () => {
  const input = inputOf(
    { id: "rung", substrate: "hardwood", finish: "shellac" },
    {
      damage: { kind: "break-along", slope_mm: 70, diameter_mm: 24, gap_mm: 0, load_N: 250 },
      service: { load: true },
      limits: { carries_person: true },
    },
    "furniture",
  );
  const sheet = shortSheetOf(planned(input), "Rung", Date.parse(AT), usualHours(AT));
  expect(sheet).toMatch(/^RUNG\nSTOP .*People trust their weight to it/s);
  expect(sheet).toMatch(/CHOOSE .*with a reason.* leave it .*refer it/s);
  expect(sheet).not.toMatch(/HAVE READY|OWNER|9:00/);
});

test("what hands can do meanwhile is done meanwhile: nothing misses its window because something else waits for the morning", () => {
  const { damages, ...rest } = inputOf(
    { id: "bell", substrate: "brass", finish: "lacquer" },
    { damage: { kind: "dent", diameter_mm: 30, depth_mm: 3, broken: true } },
  );
  const crack = { damage: { kind: "crack", length_mm: 40, width_mm: 0.4, depth_mm: 0.6, closes: false, through: true }, service: {} };
  const two = { ...rest, damages: [...damages, { id: "d2", part: "bell", survey: crack }] } as PlanInput;
  expect(shortSheetOf(planned(two), "Bell", Date.parse(AT), usualHours(AT))).not.toMatch(/its window shuts/);
});
