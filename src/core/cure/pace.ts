import type { MaterialClass, Stage } from "../catalogue";

/** Drying slows with the square of the thickness; below half the reference layer the surface decides. */
const THIN_LIMIT = 0.25;
/** Published times hold for this humidity, %. */
const REFERENCE_RH = 50;
const WETTEST_RH = 95;
/** Drier than this the air of a room hardly gets, %. */
const DRIEST_RH = 20;

/** Reference minutes are those of the layer that data sheets speak of; a thicker one dries with the square. */
export function thicknessFactor({ cure: { by, at_mm } }: Pick<MaterialClass, "cure">, thickness_mm: number): number {
  return by === "drying" ? Math.max(THIN_LIMIT, (thickness_mm / at_mm) ** 2) : 1;
}

/**
 * How much longer it takes in this air than at 50 % RH. Water leaves by the deficit of its vapour pressure (Dalton): slower by what is
 * missing to 100 %. What sets with the damp of the air is faster by as much as there is. 1 for everything else.
 */
export function humidityFactor({ carrier, cure: { by, moisture } }: Pick<MaterialClass, "carrier" | "cure">, rh_pct: number): number {
  if (moisture) return REFERENCE_RH / Math.max(DRIEST_RH, rh_pct);
  return by === "drying" && carrier === "water" ? (100 - REFERENCE_RH) / (100 - Math.min(WETTEST_RH, rh_pct)) : 1;
}

/** How a stage's published minutes are carried to this layer and air: a factor on them, and the energy of their Arrhenius rate, kJ/mol. */
export function paceOf(
  material: Pick<MaterialClass, "carrier" | "cure">,
  stage: Stage,
  thickness_mm: number,
  rh_pct: number,
): { readonly factor: number; readonly ea_kJ_mol: number } {
  const { ea_kJ_mol, gels_ea_kJ_mol = ea_kJ_mol } = material.cure;
  if (stage === "working") return { factor: 1, ea_kJ_mol: gels_ea_kJ_mol };
  return { factor: thicknessFactor(material, thickness_mm) * humidityFactor(material, rh_pct), ea_kJ_mol };
}
