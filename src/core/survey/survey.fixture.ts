import fc from "fast-check";
import { DAMAGE_KINDS, type DamageKind } from "../catalogue";
import { type Damage, MEASURES, type Measure } from "./measures.data";

/** A value of a measure, at a share of its range; ranges are cut at `most` so that a plan stays of bench size. */
function valueAt(measure: Measure, share: number, most = Infinity): number | boolean | string | object {
  if (measure.type === "list") return [Object.fromEntries(measure.of.map((each) => [each.name, valueAt(each, share, most)]))];
  if (measure.type === "yesno") return share > 0.5;
  if (measure.type === "choice") return measure.options[Math.floor(share * (measure.options.length - 1))]?.[0] ?? "";
  const value = measure.min + share * (Math.min(most, measure.max) - measure.min);
  return measure.type === "count" ? Math.round(value) : value;
}

/** A whole damage of a kind, every measure at a share of its range. */
export const damageAt = (kind: DamageKind, share: number, most = Infinity): Damage =>
  ({ kind, ...Object.fromEntries(MEASURES[kind].map((row: Measure) => [row.name, valueAt(row, share, most)])) }) as Damage;

/** Any damage of bench size. */
export const damages: fc.Arbitrary<Damage> = fc
  .tuple(fc.constantFrom(...DAMAGE_KINDS), fc.double({ min: 0.05, max: 0.95, noNaN: true }))
  .map(([kind, share]) => damageAt(kind, share, 60));
