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
 * A figure without the zeros that say nothing.
 * @example plain(34) // => "34"
 * @example plain(6.50, 2) // => "6.5"
 */
export function plain(value: number, digits = 1): string {
  const text = figure(value, digits);
  return text.includes(".") ? text.replace(/\.?0+$/, "") : text;
}
