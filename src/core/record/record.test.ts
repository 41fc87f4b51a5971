import { check } from "../problem";
import { BODY_VERSION, LogEntry } from "./events.schema";
import { stationOfOp } from "./opId";
import { handsGiven, readLog, stationOf } from "./treatment";
import { type StoredEntry, UPCASTERS, upcast } from "./upcast";

const AIR = { temp_C: 20, rh_pct: 50 };
const stored = (body: StoredEntry["body"], seq = 1, v?: number): StoredEntry => ({
  id: `00000000-0000-4000-8000-${String(seq).padStart(12, "0")}`,
  seq,
  at: `2026-09-0${seq}T10:00:00Z`,
  ...(v === undefined ? {} : { v }),
  body,
});
const SURVEY = { damage: { kind: "chip", length_mm: 34, depth_mm: 11, thickness_mm: 6 }, service: {} };

/** Bodies as the first version wrote them, and as they are read today. */
const FIRST: ReadonlyArray<readonly [body: StoredEntry["body"], now: object]> = [
  [
    { kind: "surveyed", survey: SURVEY, hands_min: 15 },
    { kind: "surveyed", survey: SURVEY, hands_min: 15 },
  ],
  [
    { kind: "surveyed", survey: SURVEY, decision: { option: "leave", reason: "the owner wants it so" } },
    { kind: "surveyed", survey: SURVEY, way: { way: "leave", reason: "the owner wants it so" } },
  ],
  [
    { kind: "step-done", station: "ready", step: "photograph", hands_min: 5 },
    { kind: "done", op: "r1/ready/photograph", hands_min: 5 },
  ],
  [
    { kind: "step-done", station: "join", step: "unclamp", note: "held" },
    { kind: "done", op: "r1/join/unclamp-1/d1", note: "held" },
  ],
  [
    { kind: "step-skipped", station: "ready", step: "dam", reason: "shallow" },
    { kind: "skipped", op: "r1/fill/dam/d1", reason: "shallow" },
  ],
  [
    { kind: "mixed", class: "epoxy-putty", layer: 2, thickness_mm: 5, climate: AIR, hands_min: 15 },
    { kind: "done", op: "ordinal/mix/2", hands_min: 15, start: { class: "epoxy-putty", thickness_mm: 5, climate: AIR } },
  ],
  [
    { kind: "clamped", class: "epoxy-slow", layer: 1, thickness_mm: 0.1, climate: AIR },
    { kind: "done", op: "r1/join/bond-1/d1", start: { class: "epoxy-slow", thickness_mm: 0.1, climate: AIR } },
  ],
  [
    { kind: "coated", class: "acrylic-paint", layer: 1, thickness_mm: 0.05, climate: AIR },
    { kind: "done", op: "ordinal/coat/1", start: { class: "acrylic-paint", thickness_mm: 0.05, climate: AIR } },
  ],
  [
    { kind: "placed", layer: 1, applied_mm: 5.6 },
    { kind: "done", op: "ordinal/place/1", applied_mm: 5.6 },
  ],
  [
    { kind: "measured", layer: 1, surface_mm: -0.3 },
    { kind: "done", op: "ordinal/check/1", surface_mm: -0.3 },
  ],
  [
    { kind: "grit-done", grade: { system: "P", grade: 240 }, hands_min: 6 },
    { kind: "done", op: "ordinal/grit/P240", hands_min: 6 },
  ],
  [
    { kind: "went-back", to: { system: "P", grade: 120 }, reason: "a line" },
    { kind: "noted", station: "level", text: "Went back to a coarser grade: a line" },
  ],
  [
    { kind: "station-done", station: "fill" },
    { kind: "noted", station: "fill", text: "Station done" },
  ],
  [
    { kind: "station-skipped", station: "level", reason: "flat already" },
    { kind: "noted", station: "level", text: "Station skipped: flat already" },
  ],
  [
    { kind: "closed", notes: "sound", signed_by: "M.", steps: [{ station: "ready", text: "x" }] },
    { kind: "closed", notes: "sound", signed_by: "M." },
  ],
];

test.each(FIRST)("of the first version, %j is read as today's", (body, now) => {
  const entry = upcast(stored(body));
  expect(entry.body).toEqual(now);
  expect([entry.v, check(LogEntry, entry)]).toEqual([BODY_VERSION, []]);
});

/** Bodies as the second version wrote them where it knew less, and as they are read today. */
const SECOND: ReadonlyArray<readonly [body: StoredEntry["body"], now: object]> = [
  [
    { kind: "done", op: "r1/level/measure-after/d1", found: { thickness: "3.2 mm" }, surface_mm: 0.1, note: "at the rim" },
    { kind: "done", op: "r1/level/measure-after/d1", surface_mm: 0.1, note: "thickness: 3.2 mm. at the rim" },
  ],
  [
    {
      kind: "done",
      op: "r1/fill/mix-1/epoxy-putty",
      start: { class: "epoxy-putty", thickness_mm: 5, climate: AIR, parts: [{ name: "A", planned_g: 1.234, actual_g: 1.234 }] },
    },
    {
      kind: "done",
      op: "r1/fill/mix-1/epoxy-putty",
      start: { class: "epoxy-putty", thickness_mm: 5, climate: AIR, parts: [{ name: "A", planned_g: 1.234 }] },
    },
  ],
  [
    { kind: "done", op: "r1/ready/mask", found: {} },
    { kind: "done", op: "r1/ready/mask" },
  ],
];

test.each(SECOND)("of the second version, %j is read as today's", (body, now) => {
  const entry = upcast(stored(body, 1, 2));
  expect(entry.body).toEqual(now);
  expect([entry.v, check(LogEntry, entry)]).toEqual([BODY_VERSION, []]);
});

/** Bodies as the third version wrote them, and as they are read today. */
const THIRD: ReadonlyArray<readonly [body: StoredEntry["body"], now: object]> = [
  [
    { kind: "fill-set", damage: "d1", school: "carve", proud_mm: 1 },
    { kind: "fill-set", damage: "d1", shaping: "carve", proud_mm: 1 },
  ],
  [
    { kind: "fill-set", damage: "d1", extra_pct: 20 },
    { kind: "fill-set", damage: "d1", extra_pct: 20 },
  ],
  [
    { kind: "came-out", op: "r1/fill/mix-1/epoxy-putty", outcome: "still-soft", causes: ["cold"] },
    { kind: "came-out", op: "r1/fill/mix-1/epoxy-putty", defect: "still-soft", causes: ["cold"] },
  ],
];

test.each(THIRD)("of the third version, %j is read as today's", (body, now) => {
  const entry = upcast(stored(body, 1, 3));
  expect(entry.body).toEqual(now);
  expect([entry.v, check(LogEntry, entry)]).toEqual([BODY_VERSION, []]);
});

test("what is of today's version passes untouched, and reading twice changes nothing", () => {
  const today = stored({ kind: "done", op: "r1/ready/mask", hands_min: 5 }, 1, BODY_VERSION);
  expect(upcast(today).body).toEqual(today.body);
  for (const [body] of FIRST) {
    const once = upcast(stored(body));
    expect(upcast(once as unknown as StoredEntry)).toEqual(once);
  }
});

test("every version has its way up", () => {
  expect(UPCASTERS.map(({ from }) => from)).toEqual(Array.from({ length: BODY_VERSION - 1 }, (_, i) => i + 1));
});

describe("a log of today", () => {
  const log = (...bodies: StoredEntry["body"][]) => bodies.map((body, i) => upcast(stored(body, i + 1, BODY_VERSION)));
  const chosen = { kind: "matched", stance: "service", chain: [{ role: "filler", class: "epoxy-putty" }] };

  test("a damage is settled by its chain or by a way that needs none; a survey corrected after the choice makes it stale", () => {
    expect(readLog(log({ kind: "surveyed", survey: SURVEY })).settled).toBe(false);
    expect(readLog(log({ kind: "surveyed", survey: SURVEY, way: { way: "leave", reason: "so" } })).settled).toBe(true);
    const settled = readLog(log({ kind: "surveyed", survey: SURVEY }, chosen));
    expect([settled.settled, settled.choice_stale]).toEqual([true, false]);
    const [first, second, third] = log({ kind: "surveyed", survey: SURVEY }, chosen, { kind: "surveyed", survey: SURVEY });
    if (!first || !second || !third) throw new Error("no log");
    expect(readLog([first, second, { ...third, corrects: first.id }])).toMatchObject({ settled: true, choice_stale: true });
  });

  test("each damage keeps its own survey, choice, brace and mark", () => {
    const { damages } = readLog(
      log(
        { kind: "surveyed", survey: SURVEY },
        { kind: "surveyed", damage: "d2", title: "Lid", survey: SURVEY },
        { ...chosen, damage: "d2" },
        { kind: "marked", damage: "d2", x: 0.2, y: 0.7 },
      ),
    );
    expect(damages.map(({ id, settled, mark }) => [id, settled, mark])).toEqual([
      ["d1", false, undefined],
      ["d2", true, { x: 0.2, y: 0.7 }],
    ]);
  });

  test("the last word on an operation counts; hands are added up over all entries", () => {
    const treatment = readLog(
      log(
        { kind: "done", op: "r1/ready/mask", hands_min: 5 },
        { kind: "skipped", op: "r1/ready/mask", reason: "not now" },
        { kind: "done", op: "r1/ready/clean/d1", hands_min: 7 },
      ),
    );
    expect(treatment.marks.get("r1/ready/mask")?.status).toBe("skipped");
    expect(handsGiven(treatment.entries)).toMatchObject({ min: 12 });
  });

  test("closed until it is reopened, and an entry that is taken back never was", () => {
    const entries = log({ kind: "closed", notes: "", signed_by: "M." }, { kind: "reopened", reason: "a pit" });
    expect(readLog(entries.slice(0, 1)).closed?.body.signed_by).toBe("M.");
    expect(readLog(entries).closed).toBeUndefined();
    const [closed] = entries;
    const back = { ...log({ kind: "withdrawn" })[0], seq: 2, id: "00000000-0000-4000-8000-000000000009", corrects: closed?.id };
    expect(readLog([...entries.slice(0, 1), back as never]).closed).toBeUndefined();
  });

  test("every operation's station stands in its id, of old ones in their kind", () => {
    expect(
      ["r1/fill/mix-1/epoxy-putty", "r2/level/grit-P120/d1", "own/ready/wax", "ordinal/coat/2", "ordinal/grit/P240"].map(stationOfOp),
    ).toEqual(["fill", "level", "ready", "colour", "level"]);
    const [entry] = readLog(log({ kind: "dry-run", minutes: 4, two_marks: true, items: [] })).entries;
    expect(entry && stationOf(entry)).toBe("ready");
  });
});
