import { AIR, CHIP, idOf, logOf, matched, mixed, sanded, surveyed } from "../plan/story.fixture";
import { check } from "../problem";
import { admit } from "./admit";
import { EventBody } from "./events.schema";
import { actsDone, chosen, handsMinutes, readLog, stationOf, stepKey } from "./treatment";

const doneStep = (step: string): EventBody => ({ kind: "step-done", station: "ready", step, hands_min: 10 });

test("an empty log is a treatment that stands at the beginning", () => {
  expect(readLog([])).toMatchObject({ entries: [], stations: {}, clocks: [], level: [], choice_stale: false });
});

test("a correction replaces what it refers to, and the log keeps both", () => {
  const log = logOf([50, surveyed()], [40, surveyed({ ...CHIP, depth_mm: 6 }), idOf(1)]);
  const { survey, entries } = readLog(log);
  expect(survey?.body.survey.damage).toMatchObject({ depth_mm: 6 });
  expect(entries).toHaveLength(1);
  expect(log).toHaveLength(2);
});

test("what is withdrawn stands no more", () => {
  const treatment = readLog(logOf([50, surveyed()], [40, matched], [30, doneStep("clean")], [20, { kind: "withdrawn" }, idOf(3)]));
  expect(treatment.steps[stepKey("ready", "clean")]).toBeUndefined();
  expect(treatment.entries.map(({ body }) => body.kind)).toEqual(["surveyed", "matched"]);
});

test("a survey that was corrected after the choice makes the choice stale until it is chosen again", () => {
  const corrected = [
    [50, surveyed()],
    [40, matched],
    [30, surveyed({ ...CHIP, depth_mm: 3 }), idOf(1)],
  ] as const;
  expect(readLog(logOf(...corrected)).choice_stale).toBe(true);
  expect(readLog(logOf(...corrected, [20, matched, idOf(2)])).choice_stale).toBe(false);
});

test("stations are done, skipped with a reason, and opened again by further work", () => {
  const done = [
    [90, surveyed()],
    [80, matched],
    [70, { kind: "station-done", station: "ready" }],
    [60, { kind: "station-skipped", station: "join", reason: "no joint" }],
    [50, mixed(1)],
    [20, { kind: "station-done", station: "fill" }],
  ] as const;
  const { stations } = readLog(logOf(...done));
  expect(stations).toMatchObject({
    survey: { status: "done" },
    match: { status: "done" },
    ready: { status: "done" },
    join: { status: "skipped", reason: "no joint" },
    fill: { status: "done" },
  });
  expect(readLog(logOf(...done, [10, mixed(2)])).stations.fill).toBeUndefined();
});

test("closing ends it, reopening brings it back", () => {
  const closed = [
    [90, surveyed()],
    [30, { kind: "closed", notes: "", signed_by: "M." }],
  ] as const;
  expect(readLog(logOf(...closed)).closed?.body.signed_by).toBe("M.");
  const again = readLog(logOf(...closed, [10, { kind: "reopened", reason: "a pit showed" }]));
  expect(again.closed).toBeUndefined();
  expect(again.stations.close).toBeUndefined();
});

test("a ladder that is set anew starts the walk anew", () => {
  const grade = (n: number) => ({ system: "P", grade: n }) as const;
  const log = logOf(
    [90, surveyed()],
    [80, matched],
    [70, sanded(120)],
    [60, { kind: "ladder-set", from: grade(180), to: grade(400) }],
    [50, sanded(180)],
  );
  expect(readLog(log).level).toEqual([{ kind: "grit-done", grade: grade(180) }]);
  expect(readLog(log).ladder).toEqual({ from: grade(180), to: grade(400) });
});

test("what of a clock is done: placed, trimmed after it, clamps off after it", () => {
  const placed = readLog(
    logOf(
      [90, surveyed()],
      [80, matched],
      [70, mixed(1)],
      [60, { kind: "placed", layer: 1, applied_mm: 5.6 }],
      [10, { kind: "step-done", station: "fill", step: "trim-1" }],
    ),
  );
  const clock = placed.clocks[0];
  expect(clock && [...actsDone(placed, clock)]).toEqual(["place", "trim"]);
  const clamped: EventBody = { kind: "clamped", class: "epoxy-slow", layer: 1, thickness_mm: 0.1, climate: AIR };
  const early = readLog(logOf([90, { kind: "step-done", station: "join", step: "unclamp" }], [80, clamped]));
  expect(early.clocks[0] && actsDone(early, early.clocks[0]).size).toBe(0);
});

test("hands are the minutes that were recorded, and entries know their station", () => {
  const treatment = readLog(logOf([90, surveyed()], [80, matched], [70, mixed(1)], [60, { kind: "placed", layer: 1, applied_mm: 5 }]));
  expect(handsMinutes(treatment)).toBe(40);
  expect(treatment.entries.map(stationOf)).toEqual(["survey", "match", "fill", "fill"]);
  expect(chosen(treatment)).toEqual({
    filler: { class: "epoxy-putty" },
    colour: { class: "acrylic-paint" },
    topcoat: { class: "clear-acrylic" },
  });
});

describe("what may stand in the log", () => {
  const empty = readLog([]);
  const chosenYet = readLog(logOf([90, surveyed()], [80, matched]));
  const left = readLog(logOf([90, { ...surveyed(), decision: { option: "leave", reason: "seen as it is" } } as EventBody]));
  const closed = readLog(logOf([90, surveyed()], [80, matched], [10, { kind: "closed", notes: "", signed_by: "M." }]));
  test.each<[string, ReturnType<typeof readLog>, EventBody, RegExp | undefined]>([
    ["a choice before the survey", empty, matched, /Survey the damage first/],
    ["a mix before the choice", readLog(logOf([9, surveyed()])), mixed(1), /Match first/],
    ["a mix of something else", chosenYet, mixed(1, "polyester-filler"), /not in the chain/],
    ["a mix of the chain", chosenYet, mixed(1), undefined],
    ["placing what was never mixed", chosenYet, { kind: "placed", layer: 1, applied_mm: 4 }, /has not been mixed/],
    ["sanding before the choice", empty, sanded(120), /Match first/],
    ["leaving Survey without saving it", chosenYet, { kind: "station-done", station: "survey" }, /by saving it/],
    ["work after closing", closed, mixed(1), /closed. Reopen/],
    ["a note after closing", closed, { kind: "noted", station: "close", text: "seen again" }, undefined],
    ["the one step of a damage that is left, without a chain", left, { kind: "station-done", station: "ready" }, undefined],
    ["closing twice", closed, { kind: "closed", notes: "", signed_by: "T." }, /closed already/],
    ["reopening what is open", chosenYet, { kind: "reopened", reason: "why" }, /not closed/],
    ["closing before the survey", empty, { kind: "closed", notes: "", signed_by: "T." }, /Survey/],
  ])("%s", (_, treatment, body, why) => {
    const said = admit(treatment, body);
    if (why) expect(said).toMatch(why);
    else expect(said).toBeUndefined();
  });
});

test.each<[string, unknown, string]>([
  ["a chip of 4 m", { kind: "surveyed", survey: { damage: { ...CHIP, length_mm: 4000 }, service: {} } }, "/survey/damage/length_mm"],
  ["a chip below zero", { kind: "surveyed", survey: { damage: { ...CHIP, depth_mm: -1 }, service: {} } }, "/survey/damage/depth_mm"],
  [
    "a measure of another kind",
    { kind: "surveyed", survey: { damage: { ...CHIP, diameter_mm: 3 }, service: {} } },
    "/survey/damage/diameter_mm",
  ],
  ["a class there is not", { ...mixed(1), class: "marzipan" }, "/class"],
  ["a skipped step without a reason", { kind: "step-skipped", station: "ready", step: "clean", reason: "" }, "/reason"],
  ["an empty chain", { kind: "matched", stance: "service", chain: [] }, "/chain"],
])("%s is refused at its field", (_, body, at) => {
  expect(check(EventBody, body).map(({ path }) => path)).toContain(at);
});
