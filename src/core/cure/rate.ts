import type { CureModel } from "./cure.schema";

/** Gas constant in kJ/(mol·K), CODATA 2018. */
const GAS_CONSTANT = 8.314462618e-3;
const ZERO_C = 273.15;

/**
 * How much faster than at `reference_C` it cures at `temp_C` (both °C); 0 below `min_C`.
 * Arrhenius: k/k_ref = exp(−Ea/R (1/T − 1/T_ref)), T in kelvin. q10: q10^((T − T_ref)/10).
 */
export function rate(temp_C: number, reference_C: number, model: CureModel, min_C = -Infinity): number {
  if (temp_C < min_C) return 0;
  if (model.kind === "q10") return model.q10 ** ((temp_C - reference_C) / 10);
  return Math.exp((-model.ea_kJ_mol / GAS_CONSTANT) * (1 / (temp_C + ZERO_C) - 1 / (reference_C + ZERO_C)));
}
