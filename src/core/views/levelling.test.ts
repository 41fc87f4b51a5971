import type { EventBody } from "../record/events.schema";
import { filmBudgetsOf } from "./filmBudget";
import { levellingsOf } from "./levelling";
import { AIR, done, MINUTE, NOON, see, surveyed, type Told } from "./story.fixture";
import type { PieceFacts } from "./worked";

/** The lid of a fairground organ: lacquer over hardwood, a scratch to the wood. */
const LID: PieceFacts = { kind: "instrument", part: "p", parts: [{ id: "p", substrate: "hardwood", finish: "lacquer" }] };
const CHOSEN: readonly Told[] = [
  [
    9000,
    surveyed({ kind: "chip", length_mm: 30, depth_mm: 6, thickness_mm: 5 }, {}, { way: { way: "fill", reason: "the grain is short" } }),
  ],
  [8990, { kind: "matched", stance: "service", chain: [{ role: "filler", class: "epoxy-wood-putty" }] }],
];
const levelOf = (told: readonly Told[], minutes = 0) => {
  const { worked, acts } = see(told, minutes, LID);
  const [level] = levellingsOf(worked, acts, AIR, NOON + minutes * MINUTE);
  if (!level) throw new Error(`no ladder in\n${acts.map(({ op }) => op.id).join("\n")}`);
  return { level, ids: acts.map(({ op }) => op.id) };
};
const rungNames = (told: readonly Told[]) => levelOf(told).level.rungs.map(({ label, state }) => `${label} ${state}`);
const grit = (name: string, over: object = {}): EventBody => done(`r1/level/grit-${name}/d1`, over);

test("the ladder is reckoned from what is laid proud; each rung takes what the last one left", () => {
  const { level } = levelOf(CHOSEN);
  expect(level.rungs.map(({ label }) => label).slice(0, 2)).toEqual(["P180", "P280"]);
  expect(level.measured).toBe(false);
  expect(level.proud_um).toBeGreaterThan(0);
  level.rungs.slice(1).forEach(({ takes_um }, i) => {
    expect(takes_um).toBeCloseTo((level.rungs[i]?.leaves_um ?? 0) * 1.1, 9);
  });
  expect(level.paper.quarters).toBe(level.rungs.length);
});

test("a height that was measured at the look takes the place of the planned one", () => {
  const { level } = levelOf([...CHOSEN, [100, done("r1/fill/check-fill/d1", { surface_mm: 0.42 })]]);
  expect([level.measured, level.proud_um]).toEqual([true, 420]);
  expect(level.rungs[0]?.takes_um).toBeCloseTo(420, 6);
});

test("the film beside a fill is not sanded with these grades: how deep a slip goes is said", () => {
  const { level } = levelOf(CHOSEN);
  expect(level.beside).toMatchObject({ finish: "lacquer", um: 110 });
  expect(level.beside?.scratch_um).toBeCloseTo(level.rungs[0]?.leaves_um ?? 0, 9);
});

describe("the film budget", () => {
  const SCRATCH: readonly Told[] = [
    [
      9000,
      surveyed(
        { kind: "scratch", length_mm: 60, width_mm: 1, depth_mm: 0.03, film_um: 120 },
        {},
        { way: { way: "spray-cut", reason: "all over the face" } },
      ),
    ],
    [8990, { kind: "matched", stance: "service", chain: [{ role: "topcoat", class: "clear-lacquer" }] }],
  ];
  const budgetOf = (told: readonly Told[]) => {
    const { worked, acts } = see(told, 0, LID);
    const [film] = filmBudgetsOf(worked);
    if (!film) throw new Error(`no film in\n${acts.map(({ op }) => op.id).join("\n")}`);
    return { film, acts };
  };

  test("a scratch in a film: every cycle adds a coat and loses a cut, then it is rubbed out and polished", () => {
    const { film } = budgetOf(SCRATCH);
    expect(film).toMatchObject({ start: { um: 120, by: "survey" }, safe_um: 60 });
    const [before, coat, cut] = film.steps;
    expect(coat?.flat_um ?? 0).toBeGreaterThan(before?.flat_um ?? 0);
    expect((coat?.flat_um ?? 0) - (cut?.flat_um ?? 0)).toBeCloseTo(6, 9);
    expect(film.steps.at(-1)?.name).toBe("Compound");
  });

  test("a gauge reading changes what may follow", () => {
    const { acts } = budgetOf(SCRATCH);
    const cut = acts.map(({ op }) => op.id).find((id) => id.includes("/cut-1/")) ?? "";
    const { film } = budgetOf([...SCRATCH, [60, done(cut, { film_um: 62 })]]);
    const at = film.steps.findIndex(({ name }) => name === "Cut coat 1");
    expect(film.steps[at]).toMatchObject({ flat_um: 62, done: true });
    expect(film.stop).toMatch(/^(Stop before|Tape the edges before)/);
  });

  test("over a fill the new film alone is budgeted, and the colour under the clear must stay whole", () => {
    const { film } = budgetOf(CHOSEN);
    expect(film).toMatchObject({ start: { um: 0, by: "new" }, safe_because: "under it the colour is cut" });
    expect(film.steps[0]).toMatchObject({ cut: false });
    expect(film.steps.some(({ name }) => /^\d × /.test(name))).toBe(true);
    expect(film.safe_um).toBeGreaterThan(5);
  });
});

describe("a step back", () => {
  const walked: readonly Told[] = [...CHOSEN, [60, grit("P180")], [50, grit("P280", { surface_mm: 0.3 })]];

  test("is proposed where much still stands proud before a fine rung", () => {
    expect(levelOf(walked).level.coarser).toMatchObject({ proud_mm: 0.3 });
    expect(levelOf([...CHOSEN, [60, grit("P180", { surface_mm: 0.01 })]]).level.coarser).toBeUndefined();
  });

  test("puts the coarser grade and every finer one in again, and what was walked stays walked", () => {
    const back: Told = [40, { kind: "stepped-back", damage: "d1", to: { system: "P", grade: 180 }, because: "0.3 mm proud" }];
    const names = rungNames([...walked, back]);
    expect(names.slice(0, 4)).toEqual(["P180 done", "P280 done", "P180 now", "P280 to-come"]);
    expect(names.filter((name) => name.startsWith("P400"))).toHaveLength(1);
    // what stood proud when one went back is what comes off now
    expect(levelOf([...walked, back]).level.rungs[2]?.takes_um).toBeCloseTo(300, 6);
    const again = rungNames([...walked, back, [30, done("r1/level/grit-P180-2/d1")]]);
    expect(again.slice(0, 4)).toEqual(["P180 done", "P280 done", "P180 done", "P280 now"]);
  });

  test("what follows waits for the last rung of the second walk", () => {
    const back: Told = [40, { kind: "stepped-back", damage: "d1", to: { system: "P", grade: 180 }, because: "still proud" }];
    const { acts } = see([...walked, back], 0, LID);
    const last = acts
      .map(({ op }) => op)
      .filter(({ id }) => id.includes("/level/grit-"))
      .at(-1);
    expect(last?.id).toBe("r1/level/grit-P400-2/d1");
    const waiting = acts.filter(({ op }) => op.station !== "level" && op.after.some(({ op: before }) => before === last?.id));
    expect(waiting.length).toBeGreaterThan(0);
  });
});

test("how long it sinks is told from when it was laid, in this air", () => {
  const laid: Told = [30, done("r1/fill/place-1/d1/loss")];
  const { level } = levelOf([...CHOSEN, laid]);
  expect(level.wait).toMatchObject({ laid: true, sheen: "gloss" });
  const later = levelOf([...CHOSEN, laid], 60 * 24 * 20).level;
  expect(later.wait?.left_um ?? 0).toBeLessThan(level.wait?.left_um ?? 0);
  expect(levelOf(CHOSEN).level.wait?.laid).toBe(false);
});
