import { CHIP, done, matched, mixed, surveyed } from "@/core/views/story.fixture";
import { em } from "@/store/orm";
import { airNow, climateSince, setClimate } from "./climate";
import { listPage } from "./lists";
import { appendEntry } from "./log";
import { overview } from "./overview";
import { createPiece } from "./pieces";
import { chosenTreatment, NOW, newPiece, problemOf, scratchDatabase, write } from "./testing.fixture";
import { treatmentPage } from "./treatments";

scratchDatabase();

test("entries are numbered in order and read back as written", async () => {
  const treatment = await chosenTreatment();
  const { record } = await treatmentPage(treatment);
  expect(record.version).toBe(2);
  expect(record.log.map(({ seq, body }) => [seq, body])).toEqual([
    [1, surveyed()],
    [2, matched],
  ]);
});

test("the same key twice is one entry, even at the same moment", async () => {
  const treatment = await chosenTreatment();
  const entry = { key: "one-press-of-a-button", version: 2, body: done("r1/ready/photograph") };
  const answers = await Promise.all([
    appendEntry(treatment, entry, NOW),
    appendEntry(treatment, entry, NOW),
    appendEntry(treatment, entry, NOW),
  ]);
  expect(new Set(answers.map(({ id }) => id)).size).toBe(1);
  expect((await treatmentPage(treatment)).treatment.marks.size).toBe(1);
});

test("the same key with another body is told, not swallowed; the same body in another order of its fields is the same", async () => {
  const treatment = await chosenTreatment();
  const key = "one-press-of-a-button";
  const first = await appendEntry(treatment, { key, version: 2, body: { kind: "noted", station: "fill", text: "edge lifted" } }, NOW);
  const again = appendEntry(treatment, { key, version: 2, body: { text: "edge lifted", kind: "noted", station: "fill" } }, NOW);
  expect(await again).toEqual(first);
  const other = appendEntry(treatment, { key, version: 3, body: { kind: "noted", station: "fill", text: "edge lies" } }, NOW);
  expect(await problemOf(other)).toMatchObject({ status: 422, errors: [{ path: "/key" }] });
  expect((await treatmentPage(treatment)).record.version).toBe(3);
});

test("what can't be planned is refused at its field, and the treatment goes on", async () => {
  const treatment = await chosenTreatment();
  const way = { way: "wishing", reason: "it would be nice" };
  expect(await problemOf(write(treatment, 2, { ...surveyed(), way } as never))).toMatchObject({
    status: 422,
    errors: [{ path: "/body/way/way" }],
  });
  const product = { id: crypto.randomUUID(), name: "Odd putty", figures: { shrinkage_pct: [1e300, 1e300] } };
  const chain = [{ role: "filler", class: "epoxy-putty", product }];
  expect(await problemOf(write(treatment, 2, { ...matched, chain } as never))).toMatchObject({
    status: 422,
    errors: [{ path: "/body/chain/0/product/figures/shrinkage_pct/0" }, { path: "/body/chain/0/product/figures/shrinkage_pct/1" }],
  });
  await write(treatment, 2, { kind: "noted", station: "survey", text: "still here" });
});

test("a treatment whose log is broken already says since which entry, takes notes, and is mended by taking that back", async () => {
  const treatment = await chosenTreatment();
  const broken = crypto.randomUUID();
  const body = JSON.stringify({ ...surveyed(), way: { way: "wishing", reason: "it would be nice" } });
  const store = await em();
  await store.execute(
    "insert into log_entry (id, treatment_id, seq, key, at, kind, v, body) values (?, ?, 3, 'odd', ?, 'surveyed', 2, ?::jsonb)",
    [broken, treatment, NOW, body],
  );
  await store.execute("update treatment set version = 3 where id = ?", [treatment]);
  expect((await treatmentPage(treatment)).item.brief.broken).toContain("since entry 3");
  await write(treatment, 3, { kind: "noted", station: "survey", text: "what is this?" });
  expect((await problemOf(write(treatment, 4, done("r1/ready/photograph")))).detail).toContain("since entry 3");
  await write(treatment, 4, { kind: "withdrawn" }, { corrects: broken });
  await write(treatment, 5, done("r1/ready/photograph"));
  expect((await treatmentPage(treatment)).item.brief.broken).toBeUndefined();
});

test("a text that no record can hold is refused at its field; a time out of the world too", async () => {
  const treatment = await chosenTreatment();
  const noted = (text: string) => write(treatment, 2, { kind: "noted", station: "survey", text });
  for (const text of ["a\0b", "half \ud83d"])
    expect(await problemOf(noted(text))).toMatchObject({ status: 422, errors: [{ path: "/body/text" }] });
  const deep = JSON.parse(`${"[".repeat(500)}1${"]".repeat(500)}`);
  expect(await problemOf(appendEntry(treatment, deep, NOW))).toMatchObject({ status: 400 });
  const at = "1066-10-14T09:00:00Z";
  expect(await problemOf(write(treatment, 2, done("r1/ready/photograph"), { at }))).toMatchObject({
    status: 422,
    errors: [{ path: "/at" }],
  });
});

test("two windows at once: one writes, the other is told what was written", async () => {
  const treatment = await chosenTreatment();
  const both = await Promise.allSettled([
    write(treatment, 2, done("r1/ready/photograph")),
    write(treatment, 2, { kind: "noted", station: "fill", text: "edge lifted" }),
  ]);
  expect(both.map(({ status }) => status).sort()).toEqual(["fulfilled", "rejected"]);
  const late = await problemOf(write(treatment, 2, done("r1/ready/photograph")));
  expect(late).toMatchObject({ status: 409, detail: expect.stringMatching(/Another window wrote here.*./) });
  expect((await treatmentPage(treatment)).record.version).toBe(3);
});

test("an entry that can't stand there is refused, and the log is as before", async () => {
  const { treatment_id } = await createPiece(newPiece(), NOW);
  expect(await problemOf(write(treatment_id, 0, matched))).toMatchObject({ status: 422, detail: "Survey the damage first." });
  expect(
    await problemOf(write(treatment_id, 0, { kind: "surveyed", survey: { damage: { ...CHIP, length_mm: 4000 }, service: {} } })),
  ).toMatchObject({
    status: 422,
    errors: [{ path: "/body/survey/damage/length_mm", message: "must be 1000 or less" }],
  });
  expect((await treatmentPage(treatment_id)).record).toMatchObject({ version: 0, log: [] });
});

test("a correction refers to an entry of this log, and a withdrawal to something", async () => {
  const treatment = await chosenTreatment();
  const stranger = await problemOf(write(treatment, 2, surveyed(), { corrects: crypto.randomUUID() }));
  expect(stranger.errors).toEqual([{ path: "/corrects", message: "is not an entry of this log" }]);
  expect((await problemOf(write(treatment, 2, { kind: "withdrawn" }))).errors).toEqual([{ path: "/corrects", message: "is missing" }]);
  const { record } = await treatmentPage(treatment);
  await write(treatment, 2, surveyed({ ...CHIP, depth_mm: 3 }), { corrects: record.log[0]?.id });
  expect((await treatmentPage(treatment)).treatment).toMatchObject({
    choice_stale: true,
    damages: [{ survey: { body: { survey: { damage: { depth_mm: 3 } } } } }],
  });
});

test("rows of the log are never changed", async () => {
  const treatment = await chosenTreatment();
  const before = await (await em()).execute("select id, seq, at, body from log_entry order by seq");
  await write(treatment, 2, { kind: "noted", station: "fill", text: "later" });
  const after = await (await em()).execute("select id, seq, at, body from log_entry order by seq");
  expect(after.slice(0, 2)).toEqual(before);
});

const ago = (minutes: number) => new Date(NOW.getTime() - minutes * 60_000).toISOString();
const AGAINST = { state: "blocked", because: "made ready at another bench" } as const;

test("what was done with both hands full is written back by its real time, never into the future", async () => {
  const treatment = await chosenTreatment();
  await write(treatment, 2, { ...mixed(1), against: AGAINST } as never, { at: ago(15) });
  const { treatment: seen } = await treatmentPage(treatment);
  expect(Date.parse(seen.marks.get("r1/fill/mix-1/epoxy-putty")?.at ?? "")).toBe(Date.parse(ago(15)));
  expect(await problemOf(write(treatment, 3, done("r1/ready/photograph"), { at: ago(-60) }))).toMatchObject({ status: 422 });
});

test("out of order is refused until there is a reason, and the reason is kept", async () => {
  const treatment = await chosenTreatment();
  expect(await problemOf(write(treatment, 2, mixed(1)))).toMatchObject({ status: 422, detail: expect.stringContaining("Say why") });
  await write(treatment, 2, { ...mixed(1), against: AGAINST } as never);
  expect((await treatmentPage(treatment)).record.log[2]?.body).toMatchObject({ against: AGAINST });
});

describe("what is done keeps its words", () => {
  const wordsOf = async (treatment: string, op: string) => (await treatmentPage(treatment)).treatment.marks.get(op)?.body.words;

  test("of the plan that it was done by, put in by the record, not by the writer", async () => {
    const treatment = await chosenTreatment();
    await write(treatment, 2, done("r1/ready/photograph", { words: "made up" }));
    const words = await wordsOf(treatment, "r1/ready/photograph");
    expect(words).toMatch(/photograph/i);
    expect(words).not.toBe("made up");
  });

  test("also when another material is chosen afterwards, and its operation is gone", async () => {
    const treatment = await chosenTreatment();
    await write(treatment, 2, { ...mixed(1), against: AGAINST } as never);
    const before = await wordsOf(treatment, "r1/fill/mix-1/epoxy-putty");
    const { record } = await treatmentPage(treatment);
    const other = { ...matched, chain: [{ role: "filler", class: "bulked-epoxy" }] } as typeof matched;
    await write(treatment, 3, other, { corrects: record.log[1]?.id });
    const { acts, worked } = await treatmentPage(treatment);
    const kept = acts.find(({ op }) => op.id === "r1/fill/mix-1/epoxy-putty");
    expect(kept).toMatchObject({ state: "done", op: { text: before, station: "fill" } });
    expect(worked?.repair.operations.some(({ id }) => id === "r1/fill/mix-1/bulked-epoxy")).toBe(true);
  });
});

describe("a time that was typed", () => {
  const OPS = ["r1/ready/photograph", "r1/ready/clean/d1"] as const;

  test("is held against what must have gone before", async () => {
    const treatment = await chosenTreatment();
    await write(treatment, 2, done(OPS[0]), { at: ago(60) });
    await write(treatment, 3, done(OPS[1]), { at: ago(50) });
    const early = await problemOf(write(treatment, 4, done("r1/ready/trim/d1"), { at: ago(90) }));
    expect(early).toMatchObject({ status: 422, detail: expect.stringMatching(/It comes after .* on record for later.*Correct the time/) });
    await write(treatment, 4, done("r1/ready/trim/d1", { against: AGAINST }), { at: ago(90) });
    expect((await treatmentPage(treatment)).record.version).toBe(5);
  });

  test("of two coats in the same minute is asked about", async () => {
    const treatment = await chosenTreatment();
    const { acts } = await treatmentPage(treatment);
    const [first, second] = acts.filter(({ op }) => op.starts === "coated" && op.station === "colour").map(({ op }) => op);
    if (!first || !second) throw new Error("no coats");
    const start = { class: first.class, thickness_mm: 0.05, climate: { temp_C: 20, rh_pct: 50 } } as never;
    await write(treatment, 2, done(first.id, { start, against: AGAINST }), { at: ago(60) });
    const told = await problemOf(write(treatment, 3, done(second.id, { start }), { at: ago(60) }));
    expect(told.detail).toMatch(/same minute|Say why/);
  });

  test("that nobody typed is never held against the order: a clock that was set back stops nobody", async () => {
    const treatment = await chosenTreatment();
    await write(treatment, 2, done(OPS[0]));
    const earlier = new Date(NOW.getTime() - 3_600_000);
    await appendEntry(treatment, { key: crypto.randomUUID(), version: 3, body: done(OPS[1]) }, earlier);
    expect((await treatmentPage(treatment)).treatment.marks.size).toBe(2);
  });
});

describe("a clock that is behind", () => {
  const MIX = "r1/fill/mix-1/epoxy-putty";
  const hard = async (treatment: string) =>
    (await treatmentPage(treatment)).worked?.clocks.get(MIX)?.stages.find(({ stage }) => stage === "hard")?.at ?? 0;

  test("found soft, its stages move out by a quarter of the time that has passed", async () => {
    const treatment = await chosenTreatment();
    await write(treatment, 2, { ...mixed(1), against: AGAINST } as never, { at: ago(24 * 60) });
    const before = await hard(treatment);
    expect(before).toBeLessThan(NOW.getTime());
    await write(treatment, 3, { kind: "found-soft", op: MIX });
    expect(await hard(treatment)).toBeGreaterThan(NOW.getTime());
    expect(await hard(treatment)).toBeLessThanOrEqual(NOW.getTime() + 0.25 * 24 * 3_600_000 + 1);
  });

  test("is only said of a clock that was started", async () => {
    const treatment = await chosenTreatment();
    expect(await problemOf(write(treatment, 2, { kind: "found-soft", op: MIX }))).toMatchObject({ detail: "No clock was started there." });
  });
});

describe("the air of the past", () => {
  test("is kept hour by hour as it was first read", async () => {
    const since = new Date(NOW.getTime() - 5 * 3_600_000);
    const first = await climateSince(await em(), since, NOW);
    await (await em()).execute("update climate_hour set temp_c = 31 where at = ?", [new Date(NOW.getTime() - 2 * 3_600_000)]);
    const again = await climateSince(await em(), since, NOW);
    const at = (points: typeof first, hours: number) =>
      points.find((point) => Date.parse(point.at) === NOW.getTime() - hours * 3_600_000)?.temp_C;
    expect(at(first, 2)).not.toBe(31);
    expect(at(again, 2)).toBe(31);
    expect(at(again, 3)).toBe(at(first, 3));
  });

  test("is not changed by setting the air by hand", async () => {
    const since = new Date(NOW.getTime() - 5 * 3_600_000);
    const moment = new Date(NOW.getTime() - 1.5 * 3_600_000);
    const before = await climateSince(await em(), since, NOW);
    await setClimate({ source: "hand", temp_C: 29, rh_pct: 40 }, moment);
    const after = await climateSince(await em(), since, NOW);
    const until = (points: typeof before) => points.filter(({ at }) => Date.parse(at) < moment.getTime() - 1);
    expect(until(after)).toEqual(until(before));
    const jump = after.findIndex(({ at }) => Date.parse(at) === moment.getTime());
    expect(after[jump]?.temp_C).toBe(29);
    expect(Math.abs((after[jump - 1]?.temp_C ?? 0) - (before[0]?.temp_C ?? 0))).toBeLessThan(4);
  });
});

test("a further damage on another part and a round stand in the same log", async () => {
  const treatment = await chosenTreatment();
  await write(
    treatment,
    2,
    surveyed({ kind: "crack", length_mm: 40, width_mm: 0.2, depth_mm: 4, closes: true }, {}, { damage: "d2", title: "Hairline" }),
  );
  await write(treatment, 3, { kind: "round-opened", station: "fill", places: ["d1/loss"], because: "a pinhole" });
  const { treatment: seen, damages, worked } = await treatmentPage(treatment);
  expect(damages.map(({ damage, title }) => [damage, title])).toEqual([
    ["d1", "rim chip"],
    ["d2", "Hairline"],
  ]);
  expect(seen.settled).toBe(false);
  expect(worked?.repair.rounds).toMatchObject([{ round: 2, because: "a pinhole" }]);
});

test("an unknown treatment is a 404", async () => {
  expect(await problemOf(write(crypto.randomUUID(), 0, surveyed()))).toMatchObject({ status: 404 });
});

describe("the overview", () => {
  test("holds open treatments with their clocks, not closed ones", async () => {
    const open = await chosenTreatment();
    await write(open, 2, { ...mixed(1), against: AGAINST } as never);
    const { treatment_id: shut } = await createPiece(newPiece({ reference: "HF-009" }), NOW);
    await write(shut, 0, surveyed());
    await write(shut, 1, { kind: "closed", notes: "", signed_by: "M." });
    const seen = await overview();
    expect(seen.items.map(({ id }) => id)).toEqual([open]);
    expect((await listPage({}, new Date())).counts.closed).toBe(1);
    expect(seen.items[0]?.brief.acts.map(({ op }) => op)).toContain("r1/ready/photograph");
    expect((await listPage({ list: "closed" }, new Date())).items.map(({ id }) => id)).toEqual([shut]);
    await write(shut, 2, { kind: "reopened", reason: "a pit showed" });
    expect((await overview()).items).toHaveLength(2);
    expect((await listPage({ list: "closed" }, new Date())).items).toEqual([]);
  });

  test("an entry taken back closes nothing", async () => {
    const treatment = await chosenTreatment();
    await write(treatment, 2, { kind: "closed", notes: "", signed_by: "M." });
    const { record } = await treatmentPage(treatment);
    await write(treatment, 3, { kind: "withdrawn" }, { corrects: record.log[2]?.id });
    expect((await overview()).items).toHaveLength(1);
  });
});

describe("the climate", () => {
  test("is the sensor's until it is set by hand, and the sensor's again when given back", async () => {
    const tx = await em();
    expect(await airNow(tx, NOW)).toMatchObject({ source: "sensor" });
    await setClimate({ source: "hand", temp_C: 25, rh_pct: 40 }, NOW);
    const later = new Date(NOW.getTime() + 3_600_000);
    expect(await airNow(tx, later)).toMatchObject({ source: "hand", temp_C: 25, since: NOW.toISOString() });
    expect((await climateSince(tx, NOW, later)).at(-1)).toMatchObject({ temp_C: 25 });
    await setClimate({ source: "sensor", temp_C: 25, rh_pct: 40 }, later);
    expect(await airNow(tx, new Date(later.getTime() + 1))).toMatchObject({ source: "sensor" });
  });

  test("absurd air is refused", async () => {
    expect((await problemOf(setClimate({ source: "hand", temp_C: 4000, rh_pct: 140 }, NOW))).errors?.map(({ path }) => path)).toEqual([
      "/temp_C",
      "/rh_pct",
    ]);
  });

  test("set by hand moves the clocks that run", async () => {
    const treatment = await chosenTreatment();
    await appendEntry(treatment, { key: crypto.randomUUID(), version: 2, body: { ...mixed(1), against: AGAINST } as never }, new Date());
    const hard = async () => {
      const { worked } = await treatmentPage(treatment);
      const [clock] = worked?.clocks.values() ?? [];
      return clock?.stages.find(({ stage }) => stage === "hard")?.at ?? 0;
    };
    const cool = await hard();
    await setClimate({ source: "hand", temp_C: 30, rh_pct: 40 }, new Date());
    expect(await hard()).toBeLessThan(cool);
  });
});
