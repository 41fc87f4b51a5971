import { finishRow, substrateRow } from "@/core/catalogue";
import { wall } from "@/core/units";
import { dayLine, WIDTH, type WindowOnLine } from "./bench/dayLineLayout";
import { parseNumber } from "./forms/parse";
import { asAsked, drawable, EMPTY_SURVEY, readSurvey, type SurveyForm, sharedForm, surveyForm } from "./survey/surveyForm";

const DAY = { begins: 480, ends: 1080 };

const chip = (over: Partial<SurveyForm> = {}): SurveyForm => ({
  ...EMPTY_SURVEY,
  kind: "chip",
  measures: { length_mm: "1 3/16 in", depth_mm: "11", thickness_mm: "0,6 cm" },
  ...over,
});

describe("the survey as typed", () => {
  test("inches and centimetres are kept in mm", () => {
    const read = readSurvey(chip());
    expect(read).toMatchObject({
      ok: true,
      survey: { damage: { kind: "chip", length_mm: expect.closeTo(30.1625, 9), depth_mm: 11, thickness_mm: 6 }, service: {} },
    });
  });

  test("every field that is wrong is named, in plain words", () => {
    const read = readSurvey(chip({ measures: { length_mm: "4 m", depth_mm: "-2", thickness_mm: "" }, heat_C: "hot", working_min: "0" }));
    expect(read).toMatchObject({
      ok: false,
      errors: {
        length_mm: expect.stringMatching(/4000 mm is more than we plan for.*1000 mm at most/),
        depth_mm: "A length can't be below zero.",
        thickness_mm: "Measure this and enter it.",
        heat_C: "“hot” is not a number.",
        working_min: expect.stringContaining("1 to 600"),
      },
    });
  });

  test("what was found under another kind of damage stays in the form, and goes into no survey of this one", () => {
    const made = { on: substrateRow("stoneware"), finish: finishRow("glaze") };
    const looked = chip({
      kind: "crack",
      measures: { length_mm: "60", width_mm: "0.2", depth_mm: "4" },
      inspected: { flex: "gives", raking: "flat" },
    });
    expect(asAsked(looked, made).inspected).toEqual({ flex: "gives", raking: "flat" });
    const changed = { ...chip(), inspected: looked.inspected };
    expect(asAsked(changed, made).inspected).toEqual({ raking: "flat" });
    expect(readSurvey(asAsked(changed, made))).toMatchObject({ survey: { inspected: { raking: "flat" } } });
    expect(asAsked({ ...changed, kind: "crack" }, made).inspected).toEqual(looked.inspected);
  });

  test("nothing chosen is said first", () => {
    expect(readSurvey(EMPTY_SURVEY)).toEqual({ ok: false, errors: { kind: "Choose what is wrong first." } });
  });

  test("a hole asks whether it goes through, a break for a whole number of shards", () => {
    expect(readSurvey({ ...EMPTY_SURVEY, kind: "hole", measures: { diameter_mm: "6", depth_mm: "10" } })).toMatchObject({
      ok: false,
      errors: { through: "Say Yes or No." },
    });
    expect(
      readSurvey({ ...EMPTY_SURVEY, kind: "shards", measures: { shards: "2.5", break_length_mm: "14", thickness_mm: "4" } }),
    ).toMatchObject({ ok: false, errors: { shards: "Enter a whole number." } });
    expect(
      readSurvey({ ...EMPTY_SURVEY, kind: "shards", measures: { shards: "2", break_length_mm: "14", thickness_mm: "4", gap_mm: "" } }),
    ).toMatchObject({ ok: true, survey: { damage: { shards: 2 } } });
  });

  test("answers that are left open stay open", () => {
    const read = readSurvey(chip({ service: { wet: true, food: undefined }, heat_C: "45" }));
    expect(read.ok && read.survey.service).toEqual({ wet: true, heat_C: 45 });
  });

  test("what is on record comes back into the fields, and reads the same again", () => {
    const read = readSurvey(chip({ service: { wet: false }, found: " old wax ", working_min: "20", finish_survives: true }));
    if (!read.ok) throw new Error("not read");
    const again = readSurvey(surveyForm(read.survey));
    expect(again).toMatchObject({ ok: true, survey: { ...read.survey, damage: { ...read.survey.damage, length_mm: 30.1625 } } });
    expect(read.survey.found).toBe("old wax");
  });

  test("slivers are a list of their own lengths; an empty row counts for nothing, a half one is named", () => {
    const dish = (rows: SurveyForm["lists"][string]): SurveyForm => ({
      ...EMPTY_SURVEY,
      kind: "shards",
      measures: { shards: "7", break_length_mm: "640", thickness_mm: "3" },
      lists: { slivers: rows },
    });
    const whole = { length_mm: "22", width_mm: "4", depth_mm: "3" };
    expect(readSurvey(dish([whole, {}]))).toMatchObject({
      ok: true,
      survey: { damage: { slivers: [{ length_mm: 22, width_mm: 4, depth_mm: 3 }] } },
    });
    expect(readSurvey(dish([whole, { length_mm: "22" }]))).toMatchObject({
      ok: false,
      errors: { "slivers.1.width_mm": "Measure this and enter it." },
    });
    const read = readSurvey(dish([whole]));
    expect(read.ok && readSurvey(surveyForm(read.survey))).toEqual(read);
  });

  test("a member is measured square or round, not by half", () => {
    const rung = (measures: Record<string, string>): SurveyForm => ({
      ...EMPTY_SURVEY,
      kind: "break-along",
      measures: { slope_mm: "70", ...measures },
    });
    expect(readSurvey(rung({ width_mm: "24" }))).toMatchObject({
      ok: false,
      errors: { width_mm: expect.stringContaining("or else the diameter") },
    });
    expect(readSurvey(rung({ diameter_mm: "24" }))).toMatchObject({ ok: true });
  });

  test("a further damage begins with what was asked of the whole piece", () => {
    const read = readSurvey(chip({ service: { wet: true, load: false }, finish_survives: true, heat_C: "45" }));
    if (!read.ok) throw new Error("not read");
    expect(sharedForm(read.survey)).toMatchObject({
      kind: "",
      measures: {},
      service: { wet: true, load: false },
      finish_survives: true,
      heat_C: "45",
    });
  });

  test("it is drawn as soon as it is whole, and not before", () => {
    expect(drawable(chip())).toMatchObject({ kind: "chip" });
    expect(drawable(chip({ measures: { length_mm: "34" } }))).toBeUndefined();
  });
});

test("numbers are read as people type them", () => {
  expect(parseNumber(" 2,31 ")).toEqual({ ok: true, value: 2.31 });
  expect(parseNumber("−0.2")).toEqual({ ok: true, value: -0.2 });
  expect(parseNumber("")).toMatchObject({ ok: false });
  expect(parseNumber("1.2.3")).toMatchObject({ ok: false, message: expect.stringContaining("1.2.3") });
});

describe("the day line", () => {
  const now = Date.parse("2026-10-07T11:52:00Z");
  const hour = 3_600_000;
  const windows: WindowOnLine[] = [
    { name: "Jar, trim", from: now + 0.3 * hour, until: now + 0.6 * hour, state: "too-early" },
    { name: "Bellows, ease", from: now - 0.2 * hour, until: now + 0.2 * hour, state: "closing" },
    { name: "Hand, file", from: now + 1.1 * hour, state: "too-early" },
    { name: "Saucer, tape off", from: now + 19.5 * hour, state: "too-early" },
  ];
  const drawn = dayLine(windows, now, wall("Europe/Berlin"), DAY);

  test("stands in order of time, the night folded between today and tomorrow", () => {
    const x = (name: string) => drawn.placed.find(({ label }) => label.startsWith(name))?.x ?? Number.NaN;
    expect(x("Bellows")).toBeLessThan(x("Jar"));
    expect(x("Jar")).toBeLessThan(x("Hand"));
    expect(x("Hand")).toBeLessThan(drawn.night?.from ?? 0);
    expect(x("Saucer")).toBeGreaterThan(drawn.night?.to ?? WIDTH);
  });

  test("no block or label lies over another", () => {
    for (const row of new Set(drawn.placed.map(({ y }) => y))) {
      const blocks = drawn.placed
        .filter(({ y }) => y === row)
        .map(({ x, width }) => [x, x + width] as const)
        .sort((a, b) => a[0] - b[0]);
      blocks.slice(1).forEach(([from], i) => {
        expect(from).toBeGreaterThanOrEqual(blocks[i]?.[1] ?? 0);
      });
    }
  });

  test("what finds no room is counted", () => {
    const many = Array.from({ length: 9 }, (_, i) => ({
      name: `Piece ${i} with a long name`,
      from: now,
      until: now + hour,
      state: "now" as const,
    }));
    const crowded = dayLine(many, now, wall("UTC"), DAY);
    expect(crowded.placed.length + crowded.left).toBe(9);
    expect(crowded.left).toBeGreaterThan(0);
  });
});

test("what need not be answered of a crack, a hole or a tear may stay open; what is alike is a whole number", () => {
  const crack = {
    ...EMPTY_SURVEY,
    kind: "crack" as const,
    measures: { length_mm: "120", width_mm: "0.4", depth_mm: "6" },
    yesno: { closes: true },
  };
  expect(readSurvey(crack)).toMatchObject({ ok: true, survey: { damage: { kind: "crack", closes: true } } });
  expect(readSurvey({ ...crack, yesno: {} })).toMatchObject({ ok: false, errors: { closes: "Say Yes or No." } });
  const count = (typed: string) => readSurvey({ ...crack, measures: { ...crack.measures, count: typed } });
  expect(count("3")).toMatchObject({ ok: true, survey: { damage: { count: 3 } } });
  expect(count("2.5")).toMatchObject({ ok: false, errors: { count: "Enter a whole number." } });
});
