import type { Parsed } from "@/core/units";

/** A plain number as people type it; decimal comma and true minus allowed. */
export function parseNumber(text: string): Parsed<number> {
  const spelt = text.trim().replace(",", ".").replace("−", "-");
  if (spelt === "") return { ok: false, message: "Enter a number." };
  const value = Number(spelt);
  return Number.isFinite(value) ? { ok: true, value } : { ok: false, message: `“${text.trim()}” is not a number.` };
}
