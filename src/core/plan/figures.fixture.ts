import type { Operation } from "./plan.schema";

/** "Under 0.01 g" is what is said of every amount that small. */
const LEAST = /under 0\.01 g/g;
/** Grades, standards and names hold numbers that are no figures of the operation. */
const NAMES = /\b(P|EN|ISO|DIN) ?\d+(-\d+)?|\b\d+ ?: ?\d+\b/g;

/** Every number that a sentence says, with how many places behind the point. */
function numbersIn(text: string): Array<{ readonly value: number; readonly places: number }> {
  return [
    ...text
      .replaceAll(LEAST, "")
      .replaceAll(NAMES, "")
      .matchAll(/\d+(?:\.(\d+))?/g),
  ].map(([number, behind = ""]) => ({
    value: Number(number),
    places: behind.length,
  }));
}

function fieldsOf(value: unknown): number[] {
  if (typeof value === "number") return [value];
  if (Array.isArray(value)) return value.flatMap(fieldsOf);
  return value !== null && typeof value === "object" ? Object.values(value).flatMap(fieldsOf) : [];
}

/** Figures of a sentence that are none of the operation's fields, as they are rounded there; kilograms are grams. */
export function strayFigures(
  { text, title, why, done_when, after: _after, hands_min: _hands, ...fields }: Operation,
  which: "all" | "text" = "all",
): number[] {
  const known = fieldsOf(fields);
  const said = which === "all" ? [text, title, why, done_when] : [text, title];
  return said
    .flatMap(numbersIn)
    .filter(
      ({ value, places }) =>
        !known.some((each) => [each, each / 1000].some((x) => Math.abs(x - value) <= 0.5 * 10 ** -places * (1 + 1e-6))),
    )
    .map(({ value }) => value);
}
