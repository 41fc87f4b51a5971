import { type MaterialClass, middle, WASTE_PCT } from "../catalogue";
import { type Air, lagOf } from "../cure/lag";
import { cupFactor, warmsItself } from "./cupHeat";
import { massShares } from "./mix";

/** What one place takes, cm³, before anything is lost. */
interface Take {
  readonly place: string;
  readonly cm3: number;
  /** Over so many places that are alike. */
  readonly alike?: number;
}

/** What an operation takes, as its row tells it. */
export interface Amount {
  readonly takes: readonly Take[];
  /** What is lost on board, brush and gloves, percent of the need. */
  readonly extra_pct: number | ((need_cm3: number) => number);
  readonly apply: Apply;
  /** So much at least: less nobody handles, cm³. */
  readonly least_cm3?: number;
  /** It comes out of a mix that was weighed already. */
  readonly mixed?: true;
}

/** Squeeze-out and what stays on the brush, percent: as much again as half a film, a quarter of a thick line; trade practice. */
export const squeezeOut = (film_mm: number): number => (film_mm > 0.5 ? 25 : 60);
/** What stays on slab and knife: much of a small batch, little of a big one; trade practice. */
export const wastePct = (cm3: number): number => (cm3 < 5 ? WASTE_PCT : cm3 < 100 ? 20 : 10);

/** How a material is put on, cm³ a minute; trade practice. */
export const APPLY = { spread: 4, pressed: 1, faced: 25, poured: 300, laid: 4 } as const;
export type Apply = keyof typeof APPLY;
/** Turning from one place to the next with the knife full, minutes; trade practice. */
const NEXT_PLACE_MIN = 0.13;
/** Minutes to lay so much with a quick hand, by its pace and the turns from place to place: cups are counted by it, hands begin with it. */
export const pacedMin = (cm3: number, apply: Apply, places: number): number =>
  cm3 / APPLY[apply] + (apply === "pressed" ? places : places - 1) * NEXT_PLACE_MIN;
/** The most that is stirred at once, g, by what limits it: heat in the cup of a reacting resin, the arm for a plaster. Typical data sheets. */
const LARGEST_G = { resin: 150, plaster: 5000, hand: 500 } as const;

export interface Weighed {
  /** What goes in, before anything is lost, cm³. */
  readonly need_cm3: number;
  readonly extra_pct: number;
  readonly mass_g: number;
  readonly volume_cm3: number;
  readonly parts: ReadonlyArray<{ readonly name: string; readonly mass_g: number }>;
  readonly batches: number;
  readonly limited_by: "" | "the time it stays workable" | "heat in the cup" | "what an arm stirs";
  /** Smallest dose of one batch, g. */
  readonly smallest_g: number;
}

/** Above this a cup of reacting resin warms itself markedly; trade practice, g. */
const WARM_CUP_G = 50;

/** What to mind while mixing: the material's own hazards, and the heat of a big cup of reacting resin. */
export function mixCautions(material: MaterialClass, { mass_g, batches }: Pick<Weighed, "mass_g" | "batches">): string[] {
  const warms = warmsItself(material) && mass_g / batches > WARM_CUP_G;
  return [...material.hazards, ...(warms ? ["cup-heat"] : [])];
}

/**
 * A need weighed by the recipe, and split so that each batch is laid while it is workable, over all its places, and no cup runs hot.
 * `places`: over how many it goes.
 */
export function weigh(material: MaterialClass, need_cm3: number, extra_pct: number, apply: Apply, air: Air, places = 1): Weighed {
  const volume_cm3 = need_cm3 * (1 + extra_pct / 100);
  const density = material.mix.mixed_density ?? densityOf(material);
  const mass_g = volume_cm3 * density;
  const working = lagOf(material, ["working"], 1, air)?.range[0] ?? Infinity;
  const { largest_g, because } = cupOf(material, apply);
  // what stays on the board is stirred, not pressed in
  const laid_cm3 = apply === "pressed" ? need_cm3 : volume_cm3;
  const byCup = mass_g / largest_g;
  const timed = timedBatches(material, { lays_min: pacedMin(laid_cm3, apply, places), mass_g, working });
  const batches = Math.max(1, timed, Math.ceil(byCup - 1e-9));
  const shares = massShares({ parts: [...material.mix.parts], ratio_by: material.mix.ratio_by });
  const parts = material.mix.parts.map(({ name }, i) => ({ name, mass_g: mass_g * (shares[i] ?? 0) }));
  return {
    need_cm3,
    extra_pct,
    mass_g,
    volume_cm3,
    parts,
    batches,
    limited_by: batches === 1 ? "" : timed >= byCup ? "the time it stays workable" : because,
    smallest_g: Math.min(...parts.map((part) => part.mass_g)) / batches,
  };
}

/** The fewest batches of which each is used up while it is workable; a smaller cup stays cooler, so that it lasts longer. */
function timedBatches(
  material: MaterialClass,
  { lays_min, mass_g, working }: { lays_min: number; mass_g: number; working: number },
): number {
  let batches = Math.max(1, Math.ceil(lays_min / working - 1e-9));
  while (lays_min / batches > working * cupFactor(material, mass_g / batches) * (1 + 1e-9)) batches += 1;
  return batches;
}

/** The largest batch of a material, and why no larger one. */
function cupOf(
  { group, hatch, cure, mix }: MaterialClass,
  apply: Apply,
): { largest_g: number; because: "what an arm stirs" | "heat in the cup" } {
  if (group === "plaster" || hatch === "plaster")
    return { largest_g: apply === "poured" ? LARGEST_G.plaster : LARGEST_G.hand, because: "what an arm stirs" };
  const reacts = cure.by === "reaction" && mix.parts.length > 1;
  return { largest_g: reacts ? LARGEST_G.resin : LARGEST_G.hand, because: "heat in the cup" };
}

/** What several places take, weighed as one. */
export function weighAll(material: MaterialClass, amounts: readonly Amount[], air: Air): Weighed | undefined {
  const [lead] = amounts;
  if (!lead) return undefined;
  const needed = amounts.flatMap(({ takes }) => takes).reduce((sum, { cm3 }) => sum + cm3, 0);
  const need_cm3 = Math.max(needed, lead.least_cm3 ?? 0);
  const extra_pct = lead.extra_pct instanceof Function ? lead.extra_pct(need_cm3) : lead.extra_pct;
  return weigh(material, need_cm3, extra_pct, lead.apply, air, placesOf(amounts));
}

/** Over how many places it goes, those that are alike counted each. */
function placesOf(amounts: readonly Amount[]): number {
  const places = new Map(amounts.flatMap(({ takes }) => takes.map(({ place, alike = 1 }) => [place, alike] as const)));
  return [...places.values()].reduce((sum, alike) => sum + alike, 0);
}

/** What each place takes of a mix, g: by what goes into it, so that the portions are the mix. */
export function portionsOf(amounts: readonly Amount[], mass_g: number): Array<{ place: string; mass_g: number }> {
  const takes = amounts.flatMap((amount) => amount.takes);
  const whole = takes.reduce((sum, { cm3 }) => sum + cm3, 0);
  return whole > 0 ? takes.map(({ place, cm3 }) => ({ place, mass_g: (mass_g * cm3) / whole })) : [];
}

/** g/cm³ of a class, ready to use. */
export const densityOf = ({ density }: Pick<MaterialClass, "density">): number => middle(density);
