import { classRow } from "../catalogue";
import { climateSamples } from "./climate";
import { humidityFactor, thicknessFactor } from "./pace";
import { stageTimes } from "./running";

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
  const times = stageTimes({ material: classRow("epoxy-putty"), thickness_mm: 4, at: iso(NOW), rh_pct: 50 }, { constant_C: 23 });
  const firm = times.find(({ stage }) => stage === "firm")?.at ?? 0;
  expect((firm - NOW) / 60_000).toBeCloseTo(Math.sqrt(90 * 240), 3);
});

test("what never sets has no time, and says why", () => {
  const cold = stageTimes({ material: classRow("epoxy-putty"), thickness_mm: 4, at: iso(NOW), rh_pct: 50 }, { constant_C: 2 });
  const hard = cold.find(({ stage }) => stage === "hard");
  expect([hard?.at, hard?.reason]).toEqual([undefined, expect.stringContaining("10 °C")]);
});

describe("what the air does besides its warmth", () => {
  const stage = (name: Parameters<typeof classRow>[0], which: string, temp_C: number, rh_pct: number) => {
    const at = stageTimes({ material: classRow(name), thickness_mm: 0.1, at: iso(NOW), rh_pct }, { constant_C: temp_C }).find(
      (each) => each.stage === which,
    )?.at;
    return ((at ?? Number.NaN) - NOW) / 60_000;
  };

  test("water leaves slower in damp air, and a clock says so as the plan does", () => {
    expect(humidityFactor(classRow("pva"), 75)).toBe(2);
    expect(stage("pva", "handle", 20, 75)).toBeCloseTo(2 * stage("pva", "handle", 20, 50), 6);
    expect(stage("epoxy-slow", "handle", 20, 75)).toBeCloseTo(stage("epoxy-slow", "handle", 20, 50), 6);
  });

  test("what sets with damp sets faster in it", () => {
    expect(stage("polyurethane", "handle", 20, 80)).toBeLessThan(stage("polyurethane", "handle", 20, 50));
    expect(humidityFactor(classRow("polyurethane"), 5)).toBe(humidityFactor(classRow("polyurethane"), 20));
  });

  test("hot hide glue gels sooner in the cold and stays open longer in a warm room, though it dries the other way", () => {
    expect(stage("hide-glue", "working", 12, 50)).toBeLessThan(stage("hide-glue", "working", 20, 50) * 0.6);
    expect(stage("hide-glue", "working", 28, 50)).toBeGreaterThan(stage("hide-glue", "working", 20, 50) * 1.5);
    expect(stage("hide-glue", "handle", 12, 50)).toBeGreaterThan(stage("hide-glue", "handle", 20, 50));
  });
});
