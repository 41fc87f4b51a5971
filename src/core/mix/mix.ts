import { figure } from "../units";
import type { Warning } from "../units/schema";
import type { MixInput, MixResult } from "./mix.schema";

/** A dose that the scale misses by more than this is not a dose. */
const DOSE_LIMIT_PCT = 5;
/** Nobody mixes more; the question is wrong. */
const MOST_BATCHES = 10_000;

/**
 * What to weigh: parts in g and cm³, as ball diameters in mm, in equal batches that fit the pot life.
 * The need grows by (1 + overfill/100)(1 + waste/100). Without `mixed_density` volumes add.
 * `dose_error_pct` is half a scale step over the smallest dose that is weighed (of one batch).
 * @throws {RangeError} unless exactly one of need_cm3 and need_g is given, and on over 10 000 batches
 */
export function mix(input: MixInput): MixResult {
  const { grams, cm3, density } = totals(input);
  const shares = massShares(input);
  const parts = input.parts.map(({ name, density: own }, i) => {
    const mass_g = grams * (shares[i] ?? 0);
    return { name, mass_g, volume_cm3: mass_g / own, ball_mm: ballMm(mass_g / own) };
  });
  const batches = batchesOf(input, grams, cm3, parts);
  const dose_error_pct = doseError(input.scale_step_g, batches);
  return {
    total_g: grams,
    total_cm3: cm3,
    density,
    parts,
    batches,
    ...(dose_error_pct === undefined ? {} : { dose_error_pct }),
    basis: {
      formula: "mass balance of the parts; ball diameter (6V/π)^⅓; batches = ⌈volume / (pot life × speed)⌉",
      source: "mass and volume balance; dose error as in JCGM 100:2008 (half a step of the read-out)",
    },
    warnings: warningsOf(dose_error_pct),
  };
}

/** Diameter in mm of the ball that holds `cm3`. */
export function ballMm(cm3: number): number {
  return Math.cbrt((6 * cm3 * 1000) / Math.PI);
}

/** Mass fraction of each part; they add to 1. */
export function massShares({ parts, ratio_by }: Pick<MixInput, "parts" | "ratio_by">): number[] {
  const masses = parts.map(({ ratio, density }) => (ratio_by === "mass" ? ratio : ratio * density));
  const whole = masses.reduce((sum, mass) => sum + mass, 0);
  return masses.map((mass) => mass / whole);
}

/** g/cm³ of the mix: as stated, or from volumes that add. */
export function mixedDensity(input: Pick<MixInput, "parts" | "ratio_by" | "mixed_density">): number {
  if (input.mixed_density !== undefined) return input.mixed_density;
  const shares = massShares(input);
  return 1 / input.parts.reduce((cm3, { density }, i) => cm3 + (shares[i] ?? 0) / density, 0);
}

function totals(input: MixInput): { grams: number; cm3: number; density: number } {
  const { need_cm3, need_g, overfill_pct = 0, waste_pct = 0 } = input;
  if ((need_cm3 === undefined) === (need_g === undefined)) throw new RangeError("give exactly one of need_cm3 and need_g");
  const density = mixedDensity(input);
  const growth = (1 + overfill_pct / 100) * (1 + waste_pct / 100);
  const grams = (need_g ?? (need_cm3 as number) * density) * growth;
  return { grams, cm3: grams / density, density };
}

function batchesOf(
  { pot_life_min, apply_cm3_per_min }: MixInput,
  grams: number,
  cm3: number,
  parts: ReadonlyArray<{ name: string; mass_g: number }>,
): MixResult["batches"] {
  const each = (pot_life_min ?? Infinity) * (apply_cm3_per_min ?? Infinity);
  // the tiny allowance keeps 3 × 0.1 from becoming a fourth batch
  const count = Math.max(1, Math.ceil(cm3 / each - 1e-9));
  if (count > MOST_BATCHES) throw new RangeError(`${count} batches would be needed: mix slower-setting material, or work faster`);
  return Array.from({ length: count }, () => ({
    total_g: grams / count,
    parts: parts.map(({ name, mass_g }) => ({ name, mass_g: mass_g / count })),
  }));
}

function doseError(step: number | undefined, batches: MixResult["batches"]): number | undefined {
  if (step === undefined) return undefined;
  const smallest = Math.min(...batches.flatMap(({ parts }) => parts.map(({ mass_g }) => mass_g)));
  return (step / 2 / smallest) * 100;
}

function warningsOf(error: number | undefined): Warning[] {
  if (error === undefined || error <= DOSE_LIMIT_PCT) return [];
  return [
    {
      code: "dose-unresolved",
      message: `The scale is ${figure(error, 1)} % uncertain on the smallest dose, over ${DOSE_LIMIT_PCT} %: mix a larger batch, use a finer scale, or dose by volume.`,
    },
  ];
}
