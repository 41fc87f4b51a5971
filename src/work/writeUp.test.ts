import { done, mixed, READY } from "@/core/views/story.fixture";
import { setClimate } from "./climate";
import { chosenTreatment, NOW, problemOf, scratchDatabase } from "./testing.fixture";
import { treatmentPage } from "./treatments";
import { writeUp } from "./writeUp";

scratchDatabase();

const ago = (minutes: number) => new Date(NOW.getTime() - minutes * 60_000).toISOString();
const entry = (op: string, minutes: number, over: object = {}) => ({
  key: `written-up-${op}`,
  at: ago(minutes),
  body: { ...done(op), ...over },
});

test("the day is written up in one go, in whatever order it is typed, and stands at its own times", async () => {
  const treatment = await chosenTreatment();
  const entries = [entry("r1/ready/clean/d1", 80), entry("r1/ready/photograph", 90), entry("r1/ready/trim/d1", 60)];
  const { written, refused, version } = await writeUp(treatment, { version: 2, entries }, NOW);
  expect([written.length, refused, version]).toEqual([3, [], 5]);
  const { record, treatment: told } = await treatmentPage(treatment);
  expect(record.log.slice(2).map(({ at }) => Date.parse(at))).toEqual([90, 80, 60].map((minutes) => Date.parse(ago(minutes))));
  expect([...told.marks.keys()]).toEqual(["r1/ready/photograph", "r1/ready/clean/d1", "r1/ready/trim/d1"]);
});

test("what can’t stand is told row by row and hinders no other; sent again, nothing is doubled", async () => {
  const treatment = await chosenTreatment();
  const entries = [entry("r1/ready/photograph", 90), entry("r1/ready/no-such/d1", 70), entry("r1/ready/clean/d1", 60)];
  const first = await writeUp(treatment, { version: 2, entries }, NOW);
  expect(first.written).toHaveLength(2);
  expect(first.refused).toEqual([
    { key: "written-up-r1/ready/no-such/d1", detail: expect.stringMatching(/no operation/i), errors: expect.any(Array) },
  ]);
  const again = await writeUp(treatment, { version: first.version, entries }, NOW);
  expect(again.version).toBe(first.version);
  expect((await treatmentPage(treatment)).record.version).toBe(first.version);
});

test("another window’s entry is told, a time to come is refused at its field", async () => {
  const treatment = await chosenTreatment();
  const entries = [entry("r1/ready/photograph", 90)];
  expect(await problemOf(writeUp(treatment, { version: 1, entries }, NOW))).toMatchObject({ status: 409 });
  expect(await problemOf(writeUp(treatment, { version: 2, entries: [entry("r1/ready/photograph", -90)] }, NOW))).toMatchObject({
    status: 422,
  });
});

test("what is written up in the evening has the air of its own hour, not of the evening", async () => {
  const treatment = await chosenTreatment();
  await setClimate({ source: "hand", temp_C: 11, rh_pct: 40 }, new Date(ago(300)));
  await setClimate({ source: "hand", temp_C: 24, rh_pct: 60 }, new Date(ago(30)));
  const prepared = READY.map((op, i) => entry(op, 200 - i * 10));
  const mix = mixed(1) as { readonly op: string };
  const entries = [...prepared, { ...entry(mix.op, 120, mix), air_then: true }];
  const first = await writeUp(treatment, { version: 2, entries }, NOW);
  expect(first.refused).toEqual([]);
  const { record } = await treatmentPage(treatment);
  expect(record.log.at(-1)?.body).toMatchObject({ start: { climate: { temp_C: 11, rh_pct: 40 } } });
  expect((await writeUp(treatment, { version: first.version, entries }, NOW)).version).toBe(first.version);
});
