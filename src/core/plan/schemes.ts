import { type MaterialClass, middle, type Range } from "../catalogue";
import { type Air, lagOf } from "../cure/lag";

/** One film laid in so many coats. */
export interface Scheme {
  readonly coats: number;
  /** Wet film of one coat, µm. */
  readonly wet_um: number;
  /** From one coat until the next, and until the last may be coated or handled, min. */
  readonly between_min: Range;
  readonly together_min: Range;
  /** Thicker than it stands: it runs, skins and keeps its solvent. */
  readonly runs: boolean;
}

/** More coats than these nobody lays for a thin film. */
const MOST = 6;

/**
 * One dry film in one coat up to six, µm in, minutes out: what dries by giving off its solvent takes four times as long when it is twice as
 * thick (Crank, The Mathematics of Diffusion, ch. 4), so n thin coats take about an n-th of the time; what reacts does not. Undefined where
 * the material has no stage for the next coat.
 */
export function schemesOf(material: MaterialClass, dry_um: number, air: Air): readonly Scheme[] | undefined {
  const solids = 1 - middle(material.shrinkage_pct) / 100;
  if (!material.cure.stages.some(({ stage }) => stage === "recoat") || solids <= 0) return undefined;
  return Array.from({ length: MOST }, (_, i): Scheme => {
    const coats = i + 1;
    const wet_um = dry_um / solids / coats;
    const between = lagOf(material, ["recoat"], wet_um / 1000, air)?.range ?? [0, 0];
    return {
      coats,
      wet_um,
      between_min: between,
      together_min: [between[0] * coats, between[1] * coats],
      runs: wet_um > material.max_layer_mm * 1000 * (1 + 1e-9),
    };
  });
}

/** The quickest that does not run. */
export const quickest = (schemes: readonly Scheme[]): Scheme | undefined =>
  schemes
    .filter(({ runs }) => !runs)
    .reduce<Scheme | undefined>((best, each) => (best && middle(best.together_min) <= middle(each.together_min) ? best : each), undefined);
