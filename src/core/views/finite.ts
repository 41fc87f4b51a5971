import type { Repair } from "../plan/repair";

/**
 * Nothing leaves the core that is no number: a figure on paper or on a page is one that can be acted on.
 * @throws {RangeError} naming the operation or the place, and the figure, that is none
 */
export function finiteRepair(repair: Repair): Repair {
  for (const { text, ...operation } of repair.operations) {
    const wrong = unfit(operation) ?? (NO_NUMBER.test(text) ? "words" : undefined);
    if (wrong !== undefined) throw new RangeError(`“${text}” comes to no number (${wrong})`);
  }
  for (const { label, ...place } of repair.places) {
    const wrong = unfit(place);
    if (wrong !== undefined) throw new RangeError(`${label} comes to no number (${wrong})`);
  }
  const { hands_min, elapsed_min, cost_eur } = repair;
  const wrong = unfit({ hands_min, elapsed_min, cost_eur });
  if (wrong !== undefined) throw new RangeError(`the repair comes to no number (${wrong})`);
  return repair;
}

const NO_NUMBER = /\b(NaN|Infinity)\b/;

/** The name of the first figure, however deep, that is no finite number. */
function unfit(value: unknown, name = ""): string | undefined {
  if (typeof value === "number") return Number.isFinite(value) ? undefined : name;
  if (typeof value !== "object" || value === null) return undefined;
  for (const [key, inner] of Object.entries(value)) {
    const found = unfit(inner, Array.isArray(value) ? name : key);
    if (found !== undefined) return found;
  }
  return undefined;
}
