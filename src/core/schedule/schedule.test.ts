import fc from "fast-check";
import { schedule } from "./schedule";
import type { ScheduleInput } from "./schedule.schema";

const calendar = { days: [1, 2, 3, 4, 5], from: "08:00", to: "17:00", timezone: "Europe/Berlin" };
/** A Wednesday. */
const start = "2026-10-07T08:00:00+02:00";
const ask = (over: Partial<ScheduleInput>): ScheduleInput => ({ calendar, start, tasks: [], ...over });
const task = (id: string, hands_min: number, more: object = {}) => ({ id, object: "jar", hands_min, ...more });
const startOf = (found: ReturnType<typeof schedule>, id: string) => found.tasks.find((each) => each.id === id)?.start;

test("one pair of hands does one thing at a time, and what waits long is begun first", () => {
  const found = schedule(ask({ tasks: [task("sand", 60), task("glue", 30, { wait_min: 240 })] }));
  expect([startOf(found, "glue"), startOf(found, "sand")]).toEqual(["2026-10-07T08:00:00.000+02:00", "2026-10-07T08:30:00.000+02:00"]);
  expect(found).toMatchObject({ finish: "2026-10-07T12:30:00.000+02:00", proven_optimal: true, missed: [] });
});

test("hands-on work is not split over the night, nor over a Sunday", () => {
  const found = schedule(ask({ start: "2026-10-09T16:30:00+02:00", tasks: [task("fill", 45)] }));
  expect(startOf(found, "fill")).toBe("2026-10-12T08:00:00.000+02:00");
});

test("the night that the clocks are set back has an hour more: eight o’clock stays eight o’clock", () => {
  const found = schedule(ask({ start: "2026-10-23T16:50:00+02:00", tasks: [task("fill", 45)] }));
  expect(Date.parse(startOf(found, "fill") ?? "")).toBe(Date.parse("2026-10-26T08:00:00+01:00"));
});

test("a lag counts from the end of hands to the start of the next; the wait goes on meanwhile", () => {
  const tasks = [task("coat 1", 10, { wait_min: 600 }), task("coat 2", 10)];
  const found = schedule(ask({ tasks, links: [{ from: "coat 1", to: "coat 2", min_min: 120 }] }));
  expect(startOf(found, "coat 2")).toBe("2026-10-07T10:10:00.000+02:00");
  expect(found.finish).toBe("2026-10-07T18:10:00.000+02:00");
});

test("what opens a window is put off until the window is met", () => {
  const tasks = [task("mix", 10), task("place", 20), task("other", 120, { priority: 5 })];
  const links = [{ from: "mix", to: "place", min_min: 60, max_min: 70 }];
  const found = schedule(ask({ start: "2026-10-07T15:45:00+02:00", tasks, links }));
  const gap = Date.parse(startOf(found, "place") ?? "") - Date.parse(found.tasks.find(({ id }) => id === "mix")?.hands_end ?? "");
  expect([found.missed, gap >= 60 * 60_000, gap <= 70 * 60_000]).toEqual([[], true, true]);
});

test("a window that no order keeps is told, with by how much", () => {
  const tasks = [task("mix", 10), task("place", 20)];
  const found = schedule(ask({ tasks, links: [{ from: "mix", to: "place", min_min: 600, max_min: 700 }] }));
  expect(found.missed).toEqual([{ link: { from: "mix", to: "place" }, by_min: expect.any(Number) }]);
  // mixed as late as the day allows, 16:50: its window ends at 4:40, and nobody is there before 8
  expect(found.missed[0]?.by_min).toBeGreaterThanOrEqual(200);
  expect(found.missed[0]?.by_min).toBeLessThan(215);
  expect(found.warnings.map(({ code }) => code)).toEqual(["window-missed"]);
});

test("two clamps hold two things at once, and the third waits until one is off", () => {
  const tasks = ["a", "b", "c"].map((id) => task(id, 10, { wait_min: 60, uses: ["clamp"] }));
  const found = schedule(ask({ tasks, resources: { clamp: 2 } }));
  expect(tasks.map(({ id }) => startOf(found, id)?.slice(11, 16))).toEqual(["08:00", "08:10", "09:10"]);
});

test("two pairs of hands work side by side", () => {
  const tasks = [task("a", 60), task("b", 60)];
  expect(schedule(ask({ tasks, hands: 2 })).finish).toBe("2026-10-07T09:00:00.000+02:00");
});

test.each<[string, Partial<ScheduleInput>, RegExp]>([
  [
    "a circle",
    {
      tasks: [task("a", 1), task("b", 1)],
      links: [
        { from: "a", to: "b" },
        { from: "b", to: "a" },
      ],
    },
    /circle through “a”, “b”/,
  ],
  ["a link to nothing", { tasks: [task("a", 1)], links: [{ from: "a", to: "x" }] }, /“x”, which is no task/],
  ["a resource that is not there", { tasks: [task("a", 1, { uses: ["jig"] })] }, /“jig”, and there is none/],
  ["more than a day of hands", { tasks: [task("a", 541)] }, /longer than a working day/],
  ["a time zone that is none", { tasks: [task("a", 1)], calendar: { ...calendar, timezone: "Haldenau" } }, /no time zone/],
  ["one id twice", { tasks: [task("a", 1), task("a", 1)] }, /one id/],
])("%s is refused in words", (_, over, words) => {
  expect(() => schedule(ask(over))).toThrow(words);
});

const minutes = fc.integer({ min: 1, max: 240 });
const shops = fc
  .array(fc.record({ hands_min: minutes, wait_min: fc.integer({ min: 0, max: 900 }), clamp: fc.boolean() }), { minLength: 1, maxLength: 6 })
  .chain((rows) =>
    fc.record({
      rows: fc.constant(rows),
      lags: fc.array(fc.tuple(fc.nat(5), fc.nat(5), fc.integer({ min: 0, max: 300 })), { maxLength: 5 }),
      hands: fc.integer({ min: 1, max: 2 }),
    }),
  )
  .map(({ rows, lags, hands }) =>
    ask({
      hands,
      resources: { clamp: 1 },
      tasks: rows.map(({ clamp, ...row }, i) => ({
        ...task(`t${i}`, row.hands_min),
        wait_min: row.wait_min,
        ...(clamp ? { uses: ["clamp"] } : {}),
      })),
      links: lags.flatMap(([a, b, min]) => (a < b && b < rows.length ? [{ from: `t${a}`, to: `t${b}`, min_min: min }] : [])),
    }),
  );

test("whatever is asked: hands, clamp, hours and lags are kept, and nothing is free before the bound", () => {
  fc.assert(
    fc.property(shops, (input) => {
      const found = schedule(input);
      const all = found.tasks.map(({ id, start: from, hands_end, free_at }) => ({
        id,
        start: Date.parse(from),
        hands: Date.parse(hands_end),
        free: Date.parse(free_at),
      }));
      const of = (id: string) => all.find((each) => each.id === id) as (typeof all)[number];
      const atOnce = all.map(({ start: at }) => all.filter((other) => other.start <= at && other.hands > at).length);
      expect(Math.max(...atOnce)).toBeLessThanOrEqual(input.hands ?? 1);
      const ofDay = (ms: number) => (new Date(ms).getUTCHours() + 2) * 60 + new Date(ms).getUTCMinutes();
      expect(all.filter(({ start: at, hands }) => ofDay(at) < 480 || ofDay(hands) > 1020)).toEqual([]);
      const clamped = input.tasks.filter(({ uses }) => uses).map(({ id }) => of(id));
      const overlaps = clamped.filter((one) =>
        clamped.some((other) => other.id !== one.id && other.start < one.free && one.start < other.free),
      );
      expect(overlaps).toEqual([]);
      const short = (input.links ?? []).filter(({ from, to, min_min = 0 }) => of(to).start - of(from).hands < min_min * 60_000);
      expect(short).toEqual([]);
      expect(Date.parse(found.finish)).toBe(Math.max(...all.map(({ free }) => free)));
      expect(Date.parse(found.lower_bound)).toBeLessThanOrEqual(Date.parse(found.finish));
      expect(found.missed).toEqual([]);
    }),
    { numRuns: 60 },
  );
});

test("against every order of up to five tasks nothing is free sooner than what is called proven", () => {
  fc.assert(
    fc.property(shops, (input) => {
      const found = schedule(input);
      if (!found.proven_optimal) return;
      // a priority forces an order: no order may beat it
      for (const order of orders(input.tasks.length).slice(0, 120)) {
        const tasks = input.tasks.map((each, i) => ({ ...each, priority: -order.indexOf(i) }));
        expect(Date.parse(schedule({ ...input, tasks }).finish)).toBeGreaterThanOrEqual(Date.parse(found.finish));
      }
    }),
    { numRuns: 8 },
  );
});

function orders(n: number): number[][] {
  if (n === 0) return [[]];
  return orders(n - 1).flatMap((rest) => Array.from({ length: n }, (_, at) => [...rest.slice(0, at), n - 1, ...rest.slice(at)]));
}
