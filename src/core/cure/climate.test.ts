import { classRow } from "../catalogue";
import { climateSamples } from "./climate";
import { stageTimes, thicknessFactor } from "./running";
import { standing, windowsOf } from "./windows";

const HOUR = 3_600_000;
const NOW = Date.parse("2026-10-07T12:00:00Z");
const iso = (ms: number) => new Date(ms).toISOString();
const history = Array.from({ length: 25 }, (_, i) => ({ at: iso(NOW - (24 - i) * HOUR), temp_C: 15 + (i % 24) / 10 }));

test("the forecast is the last day over again, for a week", () => {
  const samples = climateSamples(history, [], NOW);
  const at = (ms: number) => samples.find((sample) => Date.parse(sample.at) === ms)?.temp_C;
  expect(at(NOW + 3 * HOUR)).toBe(at(NOW - 21 * HOUR));
  expect(at(NOW + 51 * HOUR)).toBe(at(NOW - 21 * HOUR));
  expect(Date.parse(samples.at(-1)?.at ?? "")).toBe(NOW + 7 * 24 * HOUR);
});

test("samples are always in order of time", () => {
  const hands = [
    { at: iso(NOW - 5.5 * HOUR), source: "hand", temp_C: 25, rh_pct: 40 },
    { at: iso(NOW - 2.2 * HOUR), source: "sensor", temp_C: 0, rh_pct: 0 },
  ] as const;
  const times = climateSamples(history, hands, NOW).map(({ at }) => Date.parse(at));
  expect(times).toEqual([...times].sort((a, b) => a - b));
});

test("set by hand overrides the sensor for as long as it holds, and runs on into the future", () => {
  const set = { at: iso(NOW - 5.5 * HOUR), source: "hand", temp_C: 25, rh_pct: 40 } as const;
  const back = { at: iso(NOW - 2 * HOUR), source: "sensor", temp_C: 0, rh_pct: 0 } as const;
  const held = climateSamples(history, [set], NOW);
  expect(held.at(-1)).toEqual({ at: iso(NOW), temp_C: 25 });
  expect(held.filter(({ at }) => Date.parse(at) > NOW - 5.5 * HOUR).every(({ temp_C }) => temp_C === 25)).toBe(true);
  expect(held.find(({ at }) => Date.parse(at) === NOW - 6 * HOUR)?.temp_C).not.toBe(25);
  const returned = climateSamples(history, [set, back], NOW);
  expect(returned.find(({ at }) => Date.parse(at) === NOW - HOUR)?.temp_C).not.toBe(25);
});

test("drying goes with the square of the thickness, a reaction does not", () => {
  expect(thicknessFactor(classRow("acrylic-dispersion-filler"), 4)).toBe(4);
  expect(thicknessFactor(classRow("acrylic-dispersion-filler"), 0.1)).toBe(0.25);
  expect(thicknessFactor(classRow("epoxy-putty"), 30)).toBe(1);
});

test("stages come from the middle of the makers' ranges", () => {
  const times = stageTimes({ material: classRow("epoxy-putty"), thickness_mm: 4, at: iso(NOW) }, { constant_C: 23 });
  const firm = times.find(({ stage }) => stage === "firm")?.at ?? 0;
  expect((firm - NOW) / 60_000).toBeCloseTo(Math.sqrt(55 * 75), 3);
});

describe("windows", () => {
  const stages = stageTimes({ material: classRow("epoxy-putty"), thickness_mm: 4, at: iso(NOW) }, { constant_C: 23 });
  const clock = { start: NOW, stages, windows: windowsOf("mixed", NOW, stages) };
  const at = (minutes: number, ...done: Parameters<typeof standing>[1] extends ReadonlySet<infer A> ? A[] : never) =>
    standing(clock, new Set(done), NOW + minutes * 60_000);

  test("open and close with the stages", () => {
    expect(clock.windows.map(({ row }) => row.act)).toEqual(["place", "trim", "next-layer"]);
    expect(at(5)).toMatchObject({ state: "go", window: { row: { act: "place" } } });
    expect(at(30)).toMatchObject({ state: "closing" });
    expect(at(40)).toMatchObject({ state: "off", next: { row: { act: "trim" } } });
    expect(at(66)).toMatchObject({ state: "go", window: { row: { act: "trim" } } });
    expect(at(120)).toMatchObject({ state: "off", next: { row: { act: "next-layer" } } });
    expect(at(600)).toMatchObject({ state: "go", window: { row: { act: "next-layer" } } });
  });

  test("what is done is no longer asked for", () => {
    expect(at(5, "place")).toMatchObject({ state: "off", next: { row: { act: "trim" } } });
    expect(at(66, "place", "trim")).toMatchObject({ state: "off", next: { row: { act: "next-layer" } } });
  });

  test("a class without a firm window has none; a coat waits for its recoat time", () => {
    const glue = stageTimes({ material: classRow("epoxy-slow"), thickness_mm: 0.1, at: iso(NOW) }, { constant_C: 23 });
    expect(windowsOf("clamped", NOW, glue).map(({ row }) => row.act)).toEqual(["seat", "unclamp"]);
    const paint = stageTimes({ material: classRow("acrylic-paint"), thickness_mm: 0.05, at: iso(NOW) }, { constant_C: 20 });
    expect(windowsOf("coated", NOW, paint)[0]).toMatchObject({ row: { act: "next-coat" } });
  });

  test("what never sets says so", () => {
    const cold = stageTimes({ material: classRow("epoxy-putty"), thickness_mm: 4, at: iso(NOW) }, { constant_C: 2 });
    const stuck = { start: NOW, stages: cold, windows: windowsOf("mixed", NOW, cold) };
    expect(standing(stuck, new Set(["place"]), NOW)).toMatchObject({ state: "never", reason: expect.stringContaining("10 °C") });
  });
});
