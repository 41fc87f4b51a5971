import fc from "fast-check";
import { cure, withinDays } from "./cure";
import type { CureInput } from "./cure.schema";
import { rate } from "./rate";

const START = "2026-10-07T12:00:00+02:00";
const at = (minutes: number) => new Date(Date.parse(START) + minutes * 60_000).toISOString();
const arrhenius = { kind: "arrhenius", ea_kJ_mol: 55 } as const;

const input = (over: Partial<CureInput> = {}): CureInput => ({
  stages: [{ name: "hard", minutes: 300 }],
  reference_C: 23,
  model: arrhenius,
  start: START,
  climate: { constant_C: 23 },
  ...over,
});
const minutesOf = (result: ReturnType<typeof cure>, i = 0) => {
  const stage = result.stages[i];
  return stage && "minutes" in stage ? stage.minutes : Number.NaN;
};

test("at the reference temperature a stage takes its own minutes, told in the asker's offset", () => {
  const [stage] = cure(input()).stages;
  expect(stage).toEqual({ name: "hard", minutes: 300, at: "2026-10-07T17:00:00.000+02:00" });
});

test("q10 of 2 doubles the time 10 °C below", () => {
  const found = cure(input({ model: { kind: "q10", q10: 2 }, reference_C: 20, climate: { constant_C: 10 } }));
  expect(minutesOf(found)).toBeCloseTo(600, 9);
});

test("Arrhenius at 55 kJ/mol is about twice as slow 10 °C below 30 °C", () => {
  expect(rate(30, 20, arrhenius)).toBeCloseTo(Math.exp((55 / 8.314462618e-3) * (1 / 293.15 - 1 / 303.15)), 9);
  expect(rate(30, 20, arrhenius)).toBeCloseTo(2.106, 2);
  expect(rate(9.9, 20, arrhenius, 10)).toBe(0);
  expect(rate(10, 20, arrhenius, 10)).toBeGreaterThan(0);
});

test("a stage of no minutes is reached at the start", () => {
  expect(minutesOf(cure(input({ stages: [{ name: "now", minutes: 0 }] })))).toBe(0);
});

test("a falling night agrees with a fine sum of small steps", () => {
  const samples = [0, 120, 480, 900, 1440].map((minute, i) => ({ at: at(minute), temp_C: [22, 19, 12.5, 11, 20][i] ?? 20 }));
  const found = minutesOf(cure(input({ climate: { samples } })));
  const temp = (minute: number) => {
    const times = [0, 120, 480, 900, 1440];
    const temps = [22, 19, 12.5, 11, 20];
    const i = times.findIndex((time) => time >= minute);
    if (i < 0) return 20;
    if (i === 0) return 22;
    const share = (minute - (times[i - 1] ?? 0)) / ((times[i] ?? 1) - (times[i - 1] ?? 0));
    return (temps[i - 1] ?? 0) + share * ((temps[i] ?? 0) - (temps[i - 1] ?? 0));
  };
  let gained = 0;
  let minute = 0;
  const step = 0.05;
  while (gained < 300) {
    gained += rate(temp(minute + step / 2), 23, arrhenius) * step;
    minute += step;
  }
  expect(found).toBeCloseTo(minute, 0);
  expect(Math.abs(found - minute)).toBeLessThan(0.1);
});

test("below the minimum nothing happens, and time stands still until it is warm again", () => {
  const samples = [
    { at: at(0), temp_C: 23 },
    { at: at(100), temp_C: 23 },
    { at: at(100.001), temp_C: 5 },
    { at: at(700), temp_C: 5 },
    { at: at(700.001), temp_C: 23 },
  ];
  expect(minutesOf(cure(input({ min_C: 10, climate: { samples } })))).toBeCloseTo(900, 1);
});

test("always too cold is never, and says what to do", () => {
  const [stage] = cure(input({ min_C: 10, climate: { constant_C: 8 } })).stages;
  expect(stage).toEqual({ name: "hard", never: true, reason: expect.stringContaining("at least 10 °C") });
});

test("what takes longer than 60 days is never", () => {
  const stages = [
    { name: "soon", minutes: 60 * 24 * 60 - 1 },
    { name: "late", minutes: 60 * 24 * 60 + 1 },
  ];
  const found = cure(input({ stages }));
  expect(minutesOf(found, 0)).toBeCloseTo(86_399, 6);
  expect(found.stages[1]).toMatchObject({ never: true, reason: expect.stringContaining("60 days") });
});

test("oil that takes a year is waited for where it is asked; a reaction of a day is not", () => {
  const stages = [{ name: "full", minutes: 261_000 }];
  expect(cure(input({ stages })).stages[0]).toMatchObject({ never: true });
  expect(minutesOf(cure(input({ stages, within_days: withinDays(261_000) })))).toBeCloseTo(261_000, 3);
  expect([withinDays(1440), withinDays(525_600)]).toEqual([60, 1460]);
});

test("samples before the start and beyond the end hold their ends", () => {
  const early = cure(input({ climate: { samples: [{ at: at(-600), temp_C: 23 }] } }));
  expect(minutesOf(early)).toBeCloseTo(300, 9);
  const late = cure(input({ climate: { samples: [{ at: at(600), temp_C: 23 }] } }));
  expect(minutesOf(late)).toBeCloseTo(300, 9);
});

test("samples out of order are refused", () => {
  const samples = [
    { at: at(10), temp_C: 20 },
    { at: at(0), temp_C: 20 },
  ];
  expect(() => cure(input({ climate: { samples } }))).toThrow("earlier than the one before");
});

const climates = fc
  .array(fc.tuple(fc.integer({ min: 1, max: 600 }), fc.double({ min: 12, max: 30, noNaN: true })), { minLength: 1, maxLength: 12 })
  .map((steps) => {
    let minute = -60;
    return steps.map(([gap, temp_C]) => {
      minute += gap;
      return { at: at(minute), temp_C };
    });
  });

test("later stages come later, and warmer is never slower", () => {
  fc.assert(
    fc.property(climates, fc.double({ min: 0.1, max: 6, noNaN: true }), (samples, warmer) => {
      const stages = [60, 200, 900].map((minutes) => ({ name: String(minutes), minutes }));
      const cool = cure(input({ stages, climate: { samples } }));
      const warm = cure(input({ stages, climate: { samples: samples.map((sample) => ({ ...sample, temp_C: sample.temp_C + warmer })) } }));
      const times = [0, 1, 2].map((i) => minutesOf(cool, i));
      expect(times).toEqual([...times].sort((a, b) => a - b));
      times.forEach((time, i) => {
        expect(minutesOf(warm, i)).toBeLessThanOrEqual(time + 1e-6);
      });
    }),
  );
});

test("a constant climate told as samples gives the same times", () => {
  fc.assert(
    fc.property(fc.double({ min: 5, max: 35, noNaN: true }), (constant_C) => {
      const told = cure(input({ climate: { samples: [0, 50, 400].map((minute) => ({ at: at(minute), temp_C: constant_C })) } }));
      expect(minutesOf(told) / minutesOf(cure(input({ climate: { constant_C } })))).toBeCloseTo(1, 9);
    }),
  );
});
