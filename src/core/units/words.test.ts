import { formatClock, formatMinutes } from "./duration";
import { euros, figure, formatGrams, plain } from "./number";
import { formatDate, isoLike, wall } from "./time";
import { inSentence } from "./words";

test.each([
  [0, "0 min"],
  [18, "18 min"],
  [59.6, "1 h"],
  [98, "1 h 38"],
  [105, "1 h 45"],
  [599, "9 h 59"],
  [1140, "19 h"],
  [2160, "1 d 12 h"],
  [2880, "2 d"],
  [10_080, "7 d"],
  [12_345, "8 d"],
])("%d minutes are %s", (minutes, words) => {
  expect(formatMinutes(minutes)).toBe(words);
});

test.each([
  [0, "00:00"],
  [-5, "00:00"],
  [784, "13:04"],
  [5999, "99:59"],
  [6004, "1:40:04"],
])("a clock with %d seconds left shows %s", (seconds, words) => {
  expect(formatClock(seconds)).toBe(words);
});

test("a date on a jar has its year", () => {
  expect([formatDate("2027-03-31"), formatDate("2026-11-02")]).toEqual(["31 Mar 27", "2 Nov 26"]);
});

test("grams are read as a jar is", () => {
  expect([4.804, 86.4, 999, 2100].map(formatGrams)).toEqual(["4.8 g", "86 g", "999 g", "2.1 kg"]);
});

test("a figure too small to show is zero, not nonsense", () => {
  expect(figure(5e-324, 2)).toBe("0.00");
  expect(figure(1e-7, 1)).toBe("0.0");
});

test("figures round half up, never show −0, and use a true minus", () => {
  expect(figure(2.305, 2)).toBe("2.31");
  expect(figure(1.005, 2)).toBe("1.01");
  expect(figure(-0.001, 1)).toBe("0.0");
  expect(figure(-4.25, 1)).toBe("−4.2");
  expect(plain(34)).toBe("34");
  expect(plain(100)).toBe("100");
  expect(plain(6.5, 2)).toBe("6.5");
});

const OCT_7 = Date.parse("2026-10-07T11:52:00Z");

test("the wall clock speaks the shop's time zone, summer time included", () => {
  expect(wall("Europe/Berlin").time(OCT_7)).toBe("13:52");
  expect(wall("UTC").time(OCT_7)).toBe("11:52");
  expect(wall("America/New_York").stamp(OCT_7)).toBe("Wed 7 Oct 2026, 7:52");
  expect(wall("Europe/Berlin").minuteOfDay(OCT_7)).toBe(13 * 60 + 52);
  const winter = Date.parse("2026-12-07T11:52:00Z");
  expect(wall("Europe/Berlin").time(winter)).toBe("12:52");
});

test("times name the day only when it is not today", () => {
  const { when, day } = wall("Europe/Berlin");
  expect(day(OCT_7)).toBe("Wed 7 Oct");
  expect(when(OCT_7 + 3_600_000, OCT_7)).toBe("14:52");
  expect(when(OCT_7 + 19.5 * 3_600_000, OCT_7)).toBe("Thu 9:22");
  expect(when(OCT_7 + 12 * 86_400_000, OCT_7)).toBe("Mon 19 Oct");
});

test("an instant is written in the offset of the question", () => {
  expect(isoLike(0, "2026-10-07T12:00:00+02:00")).toBe("1970-01-01T02:00:00.000+02:00");
  expect(isoLike(0, "2026-10-07T12:00:00-03:30")).toBe("1969-12-31T20:30:00.000-03:30");
  expect(isoLike(0, "2026-10-07T12:00:00Z")).toBe("1970-01-01T00:00:00.000Z");
  for (const like of ["2026-10-07T12:00:00+05:45", "2026-10-07T12:00:00-11:00"]) expect(Date.parse(isoLike(OCT_7, like))).toBe(OCT_7);
});

test.each([
  ["Slow epoxy", "slow epoxy"],
  ["PVA wood glue", "PVA wood glue"],
  ["hide glue", "hide glue"],
])("%s stands in a sentence as %s", (name, said) => expect(inSentence(name)).toBe(said));

test.each([
  ["UTC", "2026-10-07", 17, "2026-10-07T17:00:00.000Z"],
  ["Europe/Berlin", "2026-10-07", 17, "2026-10-07T15:00:00.000Z"],
  ["Europe/Berlin", "2026-11-26", 17, "2026-11-26T16:00:00.000Z"],
  ["Pacific/Auckland", "2026-10-07", 0, "2026-10-06T11:00:00.000Z"],
  ["America/Los_Angeles", "2026-10-07", 23, "2026-10-08T06:00:00.000Z"],
])("a day and an hour on the clock of %s are one moment: %s, %d", (zone, date, hour, moment) => {
  expect(new Date(wall(zone).moment(date, hour)).toISOString()).toBe(moment);
  expect([wall(zone).date(wall(zone).moment(date, hour)), wall(zone).minuteOfDay(wall(zone).moment(date, hour))]).toEqual([
    date,
    hour * 60,
  ]);
});

test("money is told to the cent, and next to nothing never as nothing", () => {
  expect(euros([0.742, 1.9])).toBe("0.74 to 1.90 €");
  expect(euros([0.001, 0.012])).toBe("up to 0.01 €");
  expect(euros([0, 0.004])).toBe("under 0.01 €");
});
