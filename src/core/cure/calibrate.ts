import { integral } from "../units/quadrature";
import type { CalibrateInput, CalibrateResult } from "./calibrate.schema";

const PRIOR_SD = 0.5;
const NOISE_SCALE = 0.15;
/** From so many tests on a clock is moved. */
const APPLIES_FROM = 3;
/** Quantiles that `low` and `high` are. */
const [LOW, HIGH] = [0.05, 0.95] as const;

type Observation = CalibrateInput["observations"][number];

/** Density and distribution of Student's t with 4 degrees of freedom, in closed form (Shaw 2006, J. Comput. Finance 9, 37). */
const t4 = (x: number): number => 0.375 * (1 + (x * x) / 4) ** -2.5;
function t4Below(x: number): number {
  // (1 + c)²(2 − c)/4 with c = x/√(4 + x²); far below nought 1 + c is small, and is not got by taking away
  const c = x / Math.sqrt(4 + x * x);
  const above = c < 0 ? 4 / ((4 + x * x) * (1 - c)) : 1 + c;
  return (above * above * (2 - c)) / 4;
}

/**
 * Clock factor of a product from the shop's own tests. ln(true / predicted) = θ + e, θ ~ N(0, prior_sd²), e ~ t₄ · noise_scale: one wild
 * test says little. `right` is looked at where it was seen, `soft` says that it takes longer yet, `hard` that it took less. Minutes in; `factor`
 * = exp of the posterior mean, `low` and `high` = exp of its 5 % and 95 % quantiles; it applies from three observations on.
 * @example calibrate({ observations: [] }) // factor 1, low and high of the prior
 */
export function calibrate({ observations, prior_sd = PRIOR_SD, noise_scale = NOISE_SCALE }: CalibrateInput): CalibrateResult {
  const logs = observations.map((each) => ({ sense: each.sense, at: Math.log(each.seen_min / each.predicted_min) }));
  const logDensity = (theta: number) =>
    -0.5 * (theta / prior_sd) ** 2 + logs.reduce((sum, { sense, at }) => sum + Math.log(likelihood(sense, (at - theta) / noise_scale)), 0);
  const edges = edgesOf(
    logs.map(({ at }) => at),
    prior_sd,
    noise_scale,
  );
  const { mean, quantile } = posterior(logDensity, edges);
  return {
    factor: Math.exp(mean),
    low: Math.exp(quantile(LOW)),
    high: Math.exp(quantile(HIGH)),
    n: observations.length,
    applies: observations.length >= APPLIES_FROM,
    basis: {
      formula: "ln(true/predicted) = θ + e; θ ~ N(0, prior_sd²), e ~ t₄ · noise_scale; soft and hard as one-sided",
      source: "Bayes' rule by numeric integration; robust noise after Lange, Little and Taylor 1989, J. Am. Stat. Assoc. 84, 881",
    },
    warnings:
      observations.length > 0 && observations.length < APPLIES_FROM
        ? [{ code: "too-few", message: `${observations.length} of ${APPLIES_FROM} tests: no clock is moved yet.` }]
        : [],
  };
}

/** How likely a test is where the truth lies `x` noise scales below what was seen; never nothing, so that its logarithm is a number. */
function likelihood(sense: Observation["sense"], x: number): number {
  if (sense === "right") return Math.max(Number.MIN_VALUE, t4(x));
  return Math.max(Number.MIN_VALUE, sense === "soft" ? t4Below(-x) : t4Below(x));
}

/** Where the density may bend: the prior and every test, by steps that grow with the distance from them; never finer than what bends. */
function edgesOf(logs: readonly number[], prior_sd: number, noise_scale: number): readonly number[] {
  const around = (middle: number, unit: number) => STEPS.flatMap((step) => [middle - step * unit, middle + step * unit]);
  const [from, to] = [Math.min(0, ...logs) - REACH * prior_sd, Math.max(0, ...logs) + REACH * prior_sd];
  const all = [...around(0, prior_sd), ...logs.flatMap((at) => around(at, noise_scale))].filter((edge) => edge > from && edge < to);
  const finest = Math.min(prior_sd, noise_scale);
  const apart: number[] = [from];
  for (const edge of all.sort((a, b) => a - b)) if (edge - (apart.at(-1) ?? from) >= finest) apart.push(edge);
  return [...apart, to];
}
const STEPS = [0, 0.5, 1, 1.5, 2, 3, 4, 6, 9, 14, 22, 35, 60, 100, 200];
/** Beyond so many standard deviations of the prior nothing is left of it. */
const REACH = 12;
/** What lies so far under the top, in logarithms, adds nothing to any digit. */
const NEGLIGIBLE = 40;

/** Mean and quantiles of a density that is known but for its scale, by its logarithm. */
function posterior(logDensity: (theta: number) => number, edges: readonly number[]) {
  const heights = edges.map(logDensity);
  const top = Math.max(...heights);
  const density = (theta: number) => Math.exp(logDensity(theta) - top);
  const parts = edges.slice(1).flatMap((to, i) => {
    const from = edges[i] ?? to;
    const tall = Math.max(heights[i] ?? top, heights[i + 1] ?? top, logDensity((from + to) / 2));
    if (tall < top - NEGLIGIBLE) return [];
    return [{ from, to, mass: integral(density, from, to), first: integral((theta) => theta * density(theta), from, to) }];
  });
  const whole = parts.reduce((sum, { mass }) => sum + mass, 0);
  const quantile = (share: number): number => {
    let below = 0;
    for (const { from, to, mass } of parts) {
      if (below + mass >= share * whole) return crossing((theta) => below + integral(density, from, theta) - share * whole, from, to);
      below += mass;
    }
    return edges.at(-1) ?? 0;
  };
  return { mean: parts.reduce((sum, { first }) => sum + first, 0) / whole, quantile };
}

/** Where a rising function is nought between two ends, by halving. */
function crossing(of: (x: number) => number, from: number, to: number): number {
  let [low, high] = [from, to];
  for (let i = 0; i < 50; i++) {
    const middle = (low + high) / 2;
    if (of(middle) < 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
