import type { MaterialClass } from "../catalogue";

/** The mass that data sheets state a pot life for, g; typical of reactive resins. */
const STATED_G = 100;
/** Ten times the mass halves the pot life: typical data sheets give 100 g, 500 g and 1 kg so. A bigger cup loses less of its heat: its surface grows slower than what reacts in it. */
const EXPONENT = 0.3;
/** Less than the stated mass is not taken to last longer: a thin film does, a small cup hardly. */
const LONGEST = 1;

/** Whether its own heat hurries it: what reacts in the cup without a carrier that would boil the heat off. */
export const warmsItself = ({ carrier, cure, mix }: Pick<MaterialClass, "carrier" | "cure" | "mix">): boolean =>
  cure.by === "reaction" && mix.parts.length > 1 && (carrier === "none" || carrier === "monomer");

/**
 * By what the pot life of a cup of so many grams is shorter than stated, as a factor on it: (100 g / mass)^0.3, never over 1. A model from
 * typical data sheets, good to some 30 %; a flat tray instead of a cup keeps the stated time.
 * @example cupFactor(epoxy, 1000) // => 0.5
 */
export const cupFactor = (material: Pick<MaterialClass, "carrier" | "cure" | "mix">, mass_g: number): number =>
  warmsItself(material) ? Math.min(LONGEST, (STATED_G / Math.max(mass_g, 1e-9)) ** EXPONENT) : 1;
