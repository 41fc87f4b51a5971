import fc from "fast-check";
import { calibrate } from "./calibrate";
import type { CalibrateInput } from "./calibrate.schema";

type Observation = CalibrateInput["observations"][number];
const seen = (factor: number, sense: Observation["sense"] = "right", predicted_min = 100): Observation => ({
  predicted_min,
  seen_min: predicted_min * factor,
  sense,
});

test("without a test the prior speaks: 1, and its 5 and 95 %", () => {
  const { factor, low, high, n, applies } = calibrate({ observations: [] });
  expect([n, applies]).toEqual([0, false]);
  expect(factor).toBeCloseTo(1, 6);
  // 1.6449 standard deviations of 0.5
  expect(Math.log(high)).toBeCloseTo(0.82243, 4);
  expect(Math.log(low)).toBeCloseTo(-0.82243, 4);
});

test("against the sum over a fine grid: mean and quantiles to 1e-4", () => {
  const observations = [seen(1.3), seen(1.6, "soft"), seen(2.2, "hard"), seen(0.9)];
  const density = (theta: number) => {
    const t = (x: number) => 0.375 * (1 + (x * x) / 4) ** -2.5;
    const below = (x: number) => 0.5 + (0.375 * x * (1 - (x * x) / (12 * (1 + (x * x) / 4)))) / Math.sqrt(1 + (x * x) / 4);
    const each = (log: number) => (log - theta) / 0.15;
    const right = t(each(Math.log(1.3))) * t(each(Math.log(0.9)));
    return Math.exp(-0.5 * (theta / 0.5) ** 2) * right * (1 - below(each(Math.log(1.6)))) * below(each(Math.log(2.2)));
  };
  const grid = Array.from({ length: 120_001 }, (_, i) => -6 + i * 1e-4);
  const weights = grid.map(density);
  const whole = weights.reduce((sum, w) => sum + w, 0);
  const mean = grid.reduce((sum, theta, i) => sum + theta * (weights[i] ?? 0), 0) / whole;
  const { factor, low, high } = calibrate({ observations });
  expect(Math.log(factor)).toBeCloseTo(mean, 4);
  const below = (theta: number) => grid.reduce((sum, at, i) => sum + (at <= theta ? (weights[i] ?? 0) : 0), 0) / whole;
  expect(below(Math.log(low))).toBeCloseTo(0.05, 3);
  expect(below(Math.log(high))).toBeCloseTo(0.95, 3);
});

test("from three tests on a clock is moved, towards what was seen and short of it", () => {
  const two = calibrate({ observations: [seen(1.4), seen(1.4)] });
  expect([two.applies, two.warnings.map(({ code }) => code)]).toEqual([false, ["too-few"]]);
  const six = calibrate({ observations: Array.from({ length: 6 }, () => seen(1.4)) });
  expect(six.applies).toBe(true);
  expect(six.factor).toBeGreaterThan(1.35);
  expect(six.factor).toBeLessThan(1.4);
});

test("one wild value moves it by under a tenth", () => {
  const calm = Array.from({ length: 6 }, (_, i) => seen([1.3, 1.35, 1.4, 1.42, 1.38, 1.45][i] ?? 1.4));
  const before = calibrate({ observations: calm }).factor;
  for (const wild of [30, 0.02]) expect(Math.abs(calibrate({ observations: [...calm, seen(wild)] }).factor / before - 1)).toBeLessThan(0.1);
});

/** A run of 0 to 1 that is the same each time. */
function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return (state + 0.5) / 4294967296;
  };
}

test("a known factor is found within its own 90 % in nine of ten trials of six noisy tests", () => {
  const next = seeded(7);
  const normal = () => Math.sqrt(-2 * Math.log(next())) * Math.cos(2 * Math.PI * next());
  const trials = Array.from({ length: 80 }, () => {
    const theta = 0.5 * normal();
    const observations = Array.from({ length: 6 }, () => {
      const chi = Array.from({ length: 4 }, normal).reduce((sum, z) => sum + z * z, 0);
      return seen(Math.exp(theta + (0.15 * normal()) / Math.sqrt(chi / 4)));
    });
    const { low, high } = calibrate({ observations });
    return theta >= Math.log(low) && theta <= Math.log(high);
  });
  expect(trials.filter(Boolean).length / trials.length).toBeGreaterThan(0.85);
});

const observation = fc.record({
  predicted_min: fc.double({ min: 1, max: 20_000, noNaN: true }),
  seen_min: fc.double({ min: 1, max: 20_000, noNaN: true }),
  sense: fc.constantFrom("soft" as const, "right" as const, "hard" as const),
});

test("soft says longer, hard says shorter, and low, factor and high stand in their order", () => {
  fc.assert(
    fc.property(fc.array(observation, { maxLength: 8 }), fc.double({ min: 1, max: 5000, noNaN: true }), (observations, at) => {
      const plain = calibrate({ observations });
      expect(plain.low).toBeLessThan(plain.factor);
      expect(plain.factor).toBeLessThan(plain.high);
      const one = { predicted_min: 100, seen_min: at };
      expect(calibrate({ observations: [...observations, { ...one, sense: "soft" }] }).factor).toBeGreaterThanOrEqual(plain.factor - 1e-6);
      expect(calibrate({ observations: [...observations, { ...one, sense: "hard" }] }).factor).toBeLessThanOrEqual(plain.factor + 1e-6);
    }),
    { numRuns: 20 },
  );
});

test("what is said far out in the tail of a small noise still counts: soft at twenty times is longer than that", () => {
  const { factor, low } = calibrate({ observations: [seen(20, "soft")], noise_scale: 0.001 });
  // the prior's tail beyond ln 20, six of its deviations out, against 3/x⁴ of the noise
  expect(low).toBeGreaterThan(19.9);
  expect(factor).toBeLessThan(24);
});
