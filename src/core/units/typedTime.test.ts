import fc from "fast-check";
import { wall } from "./time";
import { readTime, typedTime } from "./typedTime";

const BERLIN = wall("Europe/Berlin");
const at = (text: string) => Date.parse(text);
/** Thursday, 18:20 in the shop; what went before ended at 11:04. */
const CONTEXT = { now: at("2026-10-08T18:20:00+02:00"), after: at("2026-10-08T11:04:00+02:00"), wall: BERLIN };

test.each([
  ["+15", "2026-10-08T11:19:00+02:00"],
  ["+1:30", "2026-10-08T12:34:00+02:00"],
  ["+2 h", "2026-10-08T13:04:00+02:00"],
  ["+1 d", "2026-10-09T11:04:00+02:00"],
  ["14:20", "2026-10-08T14:20:00+02:00"],
  ["1420", "2026-10-08T14:20:00+02:00"],
  ["9", "2026-10-08T09:00:00+02:00"],
  ["Tue 9", "2026-10-06T09:00:00+02:00"],
  ["thursday 9:05", "2026-10-08T09:05:00+02:00"],
  ["Fri 9", "2026-10-02T09:00:00+02:00"],
  ["yesterday 17.30", "2026-10-07T17:30:00+02:00"],
  ["today 8", "2026-10-08T08:00:00+02:00"],
  ["6 Oct 9:15", "2026-10-06T09:15:00+02:00"],
  ["Tue 6 Oct 9:15", "2026-10-06T09:15:00+02:00"],
  ["24 Dec 16", "2025-12-24T16:00:00+01:00"],
  ["6 Oct 2024, 9:15", "2024-10-06T09:15:00+02:00"],
  ["2026-10-06 9:15", "2026-10-06T09:15:00+02:00"],
])("“%s” is %s", (text, moment) => {
  expect(readTime(text, CONTEXT)).toEqual({ ok: true, at: at(moment) });
});

test.each([
  ["soon", /such as/],
  ["25:00", /0 to 23/],
  ["9:75", /0 to 59/],
  ["31 Feb 9", /no such day/],
  ["8 Oct", /such as/],
  ["", /such as/],
])("“%s” is refused, and it is said how to type it", (text, says) => {
  expect(readTime(text, CONTEXT)).toEqual({ ok: false, says: expect.stringMatching(says) });
});

test("what a field shows of a moment reads back as that moment, to the minute, in every zone", () => {
  fc.assert(
    fc.property(
      fc.constantFrom("Europe/Berlin", "America/New_York", "Asia/Kathmandu", "UTC", "Australia/Lord_Howe"),
      fc.integer({ min: at("2026-01-01T00:00:00Z"), max: at("2027-12-31T00:00:00Z") }),
      fc.integer({ min: 0, max: 1_200_000 }),
      (zone, now, minutesAgo) => {
        const clock = wall(zone);
        const ms = Math.floor((now - minutesAgo * 60_000) / 60_000) * 60_000;
        const read = readTime(typedTime(ms, { now, wall: clock }), { now, after: now, wall: clock });
        // the hour that comes twice reads as its first; a clock that skips half an hour has none between
        expect(read.ok && typedTime(read.at, { now, wall: clock })).toBe(typedTime(ms, { now, wall: clock }));
      },
    ),
  );
});
