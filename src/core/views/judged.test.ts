import fc from "fast-check";
import type { LogEntry } from "../record/events.schema";
import { BODY_VERSION } from "../record/events.schema";
import { readLog } from "../record/treatment";
import { closingView } from "./closing";
import { toldEntries } from "./judged";
import { CHOSEN, done, idOf, JAR, MINUTE, mixed, NOON, placed, ready, see, type Told } from "./story.fixture";
import { worked } from "./worked";

const BECAUSE = "the lamp stood on it";
const against = (state: "too-early" | "too-late" | "blocked") => ({
  against: { state, because: BECAUSE, passed_min: 13558, asked_min: 15839 },
});
const PHOTOGRAPH = "r1/ready/photograph";
const CLEAN = "r1/ready/clean/d1";

const told = (...entries: readonly Told[]) => {
  const { treatment, worked: found } = see(entries);
  return toldEntries(treatment, found);
};

test("an act that was in order at its own time is told as such, whatever was said when it was entered; the reason stays as a note", () => {
  const entries = told(...CHOSEN, [600, done(PHOTOGRAPH)], [560, done(CLEAN, { ...against("too-late"), note: "two swabs" })]);
  const clean = entries.find(({ body }) => "op" in body && body.op === CLEAN)?.body;
  expect(clean).not.toHaveProperty("against");
  expect(clean).toMatchObject({ note: `two swabs. ${BECAUSE}` });
});

test("what really was early is told with the minutes of its own time, what had no ground to stand on as out of order", () => {
  const until: Told[] = [...CHOSEN, ...ready, [500, mixed(1)], [495, placed(1)]];
  const mix = "r1/fill/mix-2/epoxy-putty";
  const [early] = told(...until, [440, done(mix, against("too-late"))]).filter(({ body }) => "op" in body && body.op === mix);
  const body = early?.body as { against: { state: string; passed_min: number; asked_min: number } };
  expect(body.against).toMatchObject({ state: "too-early", passed_min: 60 });
  expect(body.against.asked_min).toBeGreaterThan(60);
  const [blocked] = told(...CHOSEN, [440, done(mix, against("too-early"))]).filter(({ body: each }) => "op" in each && each.op === mix);
  expect(blocked?.body).toMatchObject({ against: { state: "blocked", because: BECAUSE } });
});

test("a signed record keeps what it was signed with", () => {
  const { treatment, worked: found } = see([
    ...CHOSEN,
    [600, done(PHOTOGRAPH)],
    [560, done(CLEAN, against("too-late"))],
    [5, { kind: "closed", notes: "", signed_by: "M." }],
  ]);
  expect(toldEntries(treatment, found).find(({ body }) => "op" in body && body.op === CLEAN)?.body).toMatchObject(against("too-late"));
});

test("written in whatever order, the log is told in the order of the work, with the same verdicts, hands and days", () => {
  const acts: readonly Told[] = [
    ...ready.map(([at, body]): Told => [at, { ...body, ...against("blocked") } as Told[1]]),
    [500, { ...mixed(1), ...against("too-late") } as Told[1]],
    [495, { ...placed(1), ...against("too-early") } as Told[1]],
    [440, done("r1/fill/mix-2/epoxy-putty", against("too-late"))],
  ];
  const log = (order: readonly Told[]): LogEntry[] =>
    [...CHOSEN, ...order].map(([ago, body], i) => ({
      id: idOf(i + 1),
      seq: i + 1,
      v: BODY_VERSION,
      at: new Date(NOON - ago * MINUTE).toISOString(),
      body,
    }));
  const seen = (order: readonly Told[]) => {
    const treatment = readLog(log(order));
    const found = worked(JAR, treatment, { temp_C: 20, rh_pct: 50 }, { constant_C: 20 }, NOON);
    if (!found) throw new Error("nothing is chosen");
    const { elapsed_min, hands, review } = closingView(treatment, found);
    const said = review.flatMap(({ why }) => why);
    return { said, elapsed_min, hands, review, told: toldEntries(treatment, found).map(({ at, body }) => ({ at, body })) };
  };
  const live = seen(acts);
  expect(live.said).toHaveLength(1);
  fc.assert(
    fc.property(fc.shuffledSubarray([...acts], { minLength: acts.length }), (order) => {
      expect(seen(order)).toEqual(live);
    }),
    { numRuns: 12 },
  );
});
