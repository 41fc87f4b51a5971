import { plain } from "./number";

/** Millimetres to the international inch (exact, by definition of 1959). */
export const MM_PER_INCH = 25.4;

export type Parsed<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly message: string };

const FRACTION = /^(\d+)\s*\/\s*(\d+)$/;
const MIXED = /^(\d+)(?:\s+|\s*-\s*)(\d+)\s*\/\s*(\d+)$/;
const DECIMAL = /^(?:\d+(?:[.,]\d*)?|[.,]\d+)$/;
const UNITS: ReadonlyArray<readonly [RegExp, number]> = [
  [/\s*mm$/i, 1],
  [/\s*cm$/i, 10],
  [/\s*(?:in|inch|inches|["″”])\.?$/i, MM_PER_INCH],
  [/\s*m$/i, 1000],
];
const GLYPHS: Readonly<Record<string, string>> = {
  "½": "1/2",
  "¼": "1/4",
  "¾": "3/4",
  "⅛": "1/8",
  "⅜": "3/8",
  "⅝": "5/8",
  "⅞": "7/8",
};

/**
 * A length as people type it, in millimetres: `34`, `3.4 cm`, `1 3/16 in`, `3/8"`, `1½ in`.
 * A bare number is millimetres. A decimal comma is accepted.
 * @example parseLength("1 3/16 in") // => { ok: true, value: 30.1625 }
 */
export function parseLength(text: string): Parsed<number> {
  const spelt = text.replace(/[½¼¾⅛⅜⅝⅞]/g, (glyph) => ` ${GLYPHS[glyph]}`).trim();
  if (spelt === "") return { ok: false, message: "Enter a length, in mm or inches." };
  if (/^[-−]/.test(spelt)) return { ok: false, message: "A length can't be below zero." };
  const unit = UNITS.find(([pattern]) => pattern.test(spelt));
  const amount = parseAmount(unit ? spelt.replace(unit[0], "") : spelt);
  if (amount === undefined) return { ok: false, message: `“${text.trim()}” is not a length. Write 34, 3.4 cm or 1 3/16 in.` };
  return { ok: true, value: amount * (unit ? unit[1] : 1) };
}

function parseAmount(text: string): number | undefined {
  const mixed = MIXED.exec(text);
  if (mixed) return ratio(Number(mixed[1]), Number(mixed[2]), Number(mixed[3]));
  const fraction = FRACTION.exec(text);
  if (fraction) return ratio(0, Number(fraction[1]), Number(fraction[2]));
  return DECIMAL.test(text) ? Number(text.replace(",", ".")) : undefined;
}

function ratio(whole: number, top: number, bottom: number): number | undefined {
  return bottom > 0 ? whole + top / bottom : undefined;
}

/** `34 mm`, `6.5 mm`: one decimal where it says something. */
export function formatMm(mm: number): string {
  return `${plain(mm)} mm`;
}

/** The same length in decimal inches, to a hundredth. @example formatInch(8.9) // => "0.35 in" */
export function formatInch(mm: number): string {
  return `${(mm / MM_PER_INCH).toFixed(2)} in`;
}
