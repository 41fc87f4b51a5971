import fc from "fast-check";
import { byTheClock, opening, type ShopHours } from "./clock";
import { JOB_FILES, jobInput } from "./jobs.fixture";
import { planned } from "./planCalc";

const HOURS: ShopHours = { opens_min: 480, closes_min: 1080, days: [1, 2, 3, 4, 5], offset_min: 120 };
const MONDAY = Date.parse("2026-10-05T09:00:00+02:00");
const MINUTE = 60_000;

test("work begins in working hours, whole in one day; longer work with the day", () => {
  expect(opening(MONDAY, 30, HOURS)).toBe(MONDAY);
  expect(opening(Date.parse("2026-10-05T17:50:00+02:00"), 30, HOURS)).toBe(Date.parse("2026-10-06T08:00:00+02:00"));
  expect(opening(Date.parse("2026-10-09T19:00:00+02:00"), 30, HOURS)).toBe(Date.parse("2026-10-12T08:00:00+02:00"));
  expect(opening(MONDAY, 900, HOURS)).toBe(Date.parse("2026-10-06T08:00:00+02:00"));
});

test("a shop that never opens is refused, and nobody waits for it", () => {
  expect(() => opening(MONDAY, 30, { ...HOURS, days: [] })).toThrow(RangeError);
  expect(() => opening(MONDAY, 30, { ...HOURS, closes_min: 480 })).toThrow(RangeError);
});

test("whenever it is begun: hands are at one thing at a time, nothing before its clock, nothing at night", () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: JOB_FILES.length - 1 }), fc.integer({ min: 0, max: 10_080 }), (job, minutes) => {
      const { operations } = planned(jobInput(job + 1));
      const timed = byTheClock(operations, MONDAY + minutes * MINUTE, HOURS);
      expect(new Set(timed.map(({ op }) => op.id))).toEqual(new Set(operations.map(({ id }) => id)));
      const ends = new Map(timed.map(({ op, end }) => [op.id, end]));
      timed.forEach(({ op, start, end }, i) => {
        expect(start).toBeGreaterThanOrEqual(timed[i - 1]?.end ?? 0);
        expect(opening(start, (end - start) / MINUTE, HOURS)).toBe(start);
        for (const edge of op.after) expect(start).toBeGreaterThanOrEqual((ends.get(edge.op) ?? 0) + edge.min_min * MINUTE - 1);
      });
    }),
    { numRuns: 40 },
  );
});

test("a trim that would fall into the night puts its mix off", () => {
  const { operations } = planned(jobInput(15));
  const late = byTheClock(operations, Date.parse("2026-10-05T13:00:00+02:00"), HOURS);
  expect(late.filter(({ missed }) => missed).map(({ op }) => op.id)).toEqual([]);
});
