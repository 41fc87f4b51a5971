import type { MaterialClass, Range } from "../catalogue";
import { workingRange } from "../cure/working";

/** A resin that a few percent of hardener start: how much is planned, and between which it sets as it should. */
export interface Hardener {
  readonly planned_pct: number;
  readonly pct: Range;
}

/** The hardener of a material, percent of its resin by mass; undefined where the parts react with one another in a fixed ratio. */
export function hardenerOf({ mix: { parts, hardener_pct } }: Pick<MaterialClass, "mix">): Hardener | undefined {
  const [resin, hardener] = parts;
  if (!hardener_pct || !resin || !hardener) return undefined;
  return { planned_pct: (hardener.ratio / resin.ratio) * 100, pct: hardener_pct };
}

/**
 * Minutes that a resin stays workable with so much hardener at so many degrees: the published minutes of the planned dose, inverse to the
 * dose, carried over to the room by Arrhenius. The inhibitor that the maker puts in is used up at the rate at which the peroxide falls
 * apart, and that is proportional to its amount (Odian, Principles of Polymerization, 4th ed., 3-7a). Good to some 30 %.
 * @throws {RangeError} without a hardener, or at a dose of nothing
 */
export function gelMinutes(material: MaterialClass, pct: number, temp_C: number): Range {
  const hardener = hardenerOf(material);
  if (!hardener) throw new RangeError(`${material.name} has no hardener whose dose sets the time`);
  if (!(pct > 0)) throw new RangeError("without hardener it never sets");
  const [least, most] = workingRange({ row: material, climate_C: temp_C });
  return [(least * hardener.planned_pct) / pct, (most * hardener.planned_pct) / pct];
}

/** Hardener for so much resin, g. */
export const hardenerGrams = (resin_g: number, pct: number): number => (resin_g * pct) / 100;

/** What a dose does. */
export function doseVerdict({ pct: [least, most] }: Hardener, pct: number): { readonly ok: boolean; readonly words: string } {
  if (pct < least) return { ok: false, words: `Under ${least} % it never sets through: it stays soft for good.` };
  if (pct > most) return { ok: false, words: `Over ${most} % it sets in the cup, gets hot and goes brittle; more is not stronger.` };
  return { ok: true, words: `Between ${least} and ${most} % it sets as it should.` };
}

/** Points of the curve from half the least dose to half as much again as the most, percent and minutes. */
export function gelCurve(
  material: MaterialClass,
  temp_C: number,
): Array<{ readonly pct: number; readonly from: number; readonly to: number }> {
  const hardener = hardenerOf(material);
  if (!hardener) return [];
  const [first, last] = [hardener.pct[0] / 2, hardener.pct[1] * 1.5];
  return Array.from({ length: STEPS + 1 }, (_, i) => {
    const pct = first + ((last - first) * i) / STEPS;
    const [from, to] = gelMinutes(material, pct, temp_C);
    return { pct, from, to };
  });
}
const STEPS = 22;
