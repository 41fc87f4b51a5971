/**
 * A figure as it is shown: `digits` decimals, a true minus sign, never "-0".
 * @example figure(2.305, 2) // => "2.31"
 */
export function figure(value: number, digits = 0): string {
  const [digitsOf, exponent = "0"] = String(value).split("e");
  const rounded = Number(`${Math.round(Number(`${digitsOf}e${Number(exponent) + digits}`))}e-${digits}`);
  return (Object.is(rounded, -0) ? 0 : rounded).toFixed(digits).replace("-", "−");
}

/**
 * What something costs, € low to high; of next to nothing no price is told that reads as none.
 * @example euros([0.742, 1.9]) // => "0.74 to 1.90 €"
 */
export function euros([low, high]: readonly [low: number, high: number]): string {
  if (high < 0.01) return "under 0.01 €";
  return low < 0.005 ? `up to ${figure(high, 2)} €` : `${figure(low, 2)} to ${figure(high, 2)} €`;
}

/**
 * A figure without the zeros that say nothing.
 * @example plain(34) // => "34"
 * @example plain(6.50, 2) // => "6.5"
 */
export function plain(value: number, digits = 1): string {
  const text = figure(value, digits);
  return text.includes(".") ? text.replace(/\.?0+$/, "") : text;
}

/**
 * Grams as a jar is read: hundredths under ten, whole grams above, kilograms from a thousand on.
 * @example formatGrams(4.8) // => "4.8 g"
 * @example formatGrams(2100) // => "2.1 kg"
 */
export function formatGrams(grams: number): string {
  if (grams >= 1000) return `${plain(grams / 1000, 2)} kg`;
  return `${plain(grams, grams < 10 ? 2 : 0)} g`;
}

/** Grams as the scale shows them. */
export const grams = (g: number): string => (g > 0 && g < 0.005 ? "under 0.01 g" : weighedGrams(g));

const weighedGrams = (g: number): string => `${g < 1 ? figure(g, 2) : plain(g, g < 20 ? 2 : g < 100 ? 1 : 0)} g`;

/** The same for a dose on record: hundredths, as a bench scale shows them. */
export const doseGrams = (g: number): string => `${figure(g, 2)} g`;

/** Less of anything than this is nothing: no length, mass or time of a bench is measured so fine, and dividing by it stays finite. */
export const NEXT_TO_NOTHING = 1e-9;
