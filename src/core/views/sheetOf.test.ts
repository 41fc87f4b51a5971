import fc from "fast-check";
import { wall } from "../units";
import { hoursOf, sheetOf } from "./sheetOf";
import { CHOSEN, done, MINUTE, mixed, NOON, placed, ready, see, type Told, WALL } from "./story.fixture";

const WEEK = { days: [1, 2, 3, 4, 5], from: "08:00", to: "18:00", timezone: "UTC" };
const sheetAt = (told: readonly Told[], minutes = 0, calendar = WEEK) =>
  sheetOf(see(told, minutes).treatment, see(told, minutes).worked, "Jar", calendar, WALL, NOON + minutes * MINUTE);

test("it tells what is still open, from now on in the shop’s hours, and waits for the clocks that run", () => {
  const began = sheetAt([...CHOSEN, ...ready]);
  expect(began.rows[0]).toMatchObject({ day: "Wed 7 Oct", hour: "12:00" });
  expect(began.rows.flatMap(({ lines }) => lines.map(({ text }) => text)).join(" ")).not.toMatch(/Photograph the damage/);
  const curing = sheetAt([...CHOSEN, ...ready, [10, mixed(1)], [5, placed(1)]]);
  // what was mixed ten minutes ago is not touched before it is firm
  expect(curing.rows[0]?.hour).not.toBe("12:00");
  expect(curing.rows[0]?.lines[0]).toMatchObject({ box: false });
});

test("what is done has a box, what is waited for has none; each guard stands once", () => {
  const { rows, have_ready } = sheetAt(CHOSEN);
  const lines = rows.flatMap((row) => row.lines);
  expect(lines.filter(({ box }) => box).length).toBeGreaterThan(5);
  for (const { text } of lines.filter(({ text: each }) => /^(It dries|Hard|Firm)/.test(each))) expect(text).toMatch(/\.$/);
  const guards = rows.flatMap((row) => row.guards);
  expect(new Set(guards).size).toBe(guards.length);
  expect(have_ready.join(" ")).toMatch(/epoxy putty \d/);
});

test("nothing is put on a day on which nobody is there", () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 6 }), fc.integer({ min: 0, max: 12 }), (first, length) => {
      const date = (days: number) => new Date(NOON + days * 86_400_000).toISOString().slice(0, 10);
      const closed = [{ from: date(first), to: date(first + length) }];
      const days = sheetAt(CHOSEN, 0, { ...WEEK, closed } as typeof WEEK).rows.flatMap(({ day }) => day ?? []);
      const away = Array.from({ length: length + 1 }, (_, i) => WALL.day(NOON + (first + i) * 86_400_000));
      expect(days.filter((day) => away.includes(day))).toEqual([]);
    }),
    { numRuns: 15 },
  );
});

test("what has passed its window says so, and the hands that are told are those that are still to come", () => {
  const long_ago: Told[] = [...CHOSEN, ...ready, [590, mixed(1)], [585, placed(1)], [0, mixed(2)], [-5, placed(2)]];
  const { rows, sums } = sheetAt(long_ago, 3 * 1440);
  expect(rows.flatMap(({ lines }) => lines.map(({ text }) => text)).join(" ")).toMatch(/its window closed \w{3} \d+ \w{3} \d+:\d\d/);
  expect(sums).toMatch(/^Hands .* still/);
  expect(sheetAt(CHOSEN).sums).not.toMatch(/still/);
});

test("hours are those of the shop’s own clock, in summer and in winter", () => {
  const berlin = wall("Europe/Berlin");
  expect(hoursOf(WEEK, berlin, Date.parse("2026-07-01T10:00:00Z"))).toMatchObject({ opens_min: 480, closes_min: 1080, offset_min: 120 });
  expect(hoursOf(WEEK, berlin, Date.parse("2026-12-01T10:00:00Z")).offset_min).toBe(60);
});

test("of a treatment that is done nothing but the signature is left", () => {
  const all = see(CHOSEN).acts.map(({ op }, i): Told => [600 - i, done(op.id)]);
  const left = sheetAt([...CHOSEN, ...all.slice(0, -1)]);
  expect(left.rows.flatMap(({ lines }) => lines).filter(({ box }) => box)).toHaveLength(1);
});
