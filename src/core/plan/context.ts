import { type Grade, type MaterialClass, type OpFacts, type Range, type Role, WASTE_PCT } from "../catalogue";
import type { School, Texture } from "../fill/schools.data";
import type { Drill } from "../join/drills.data";
import type { SizedBrace } from "../join/sizing";
import { cupFactor, warmsItself } from "../mix/cupHeat";
import { massShares } from "../mix/mix";
import type { Damage } from "../survey/measures.data";
import type { Survey } from "../survey/survey.schema";
import type { Need } from "./draft";
import { type Air, type Lag, lagOf } from "./lag";
import { densityOf, type PlanLink, type WorkPlace } from "./links";
import type { FoundLayers } from "./reached";

/** What the shop has to work with. */
export interface Tools {
  readonly scale_step_g: number;
  /** Papers and cloths in the drawer, with the sheets that are left where they are counted; absent = every grade is taken to be there. */
  readonly grits?: ReadonlyArray<Grade & { readonly sheets?: number }>;
  /** Drills in the drawer; absent = every size is. */
  readonly drills?: readonly Drill[];
  /** Thickness of the jig that the router rides on, and the width of its bit. */
  readonly jig_mm?: number;
  readonly bit_mm?: number;
}

/** How a loss is filled where it is not as proposed. */
export interface FillPlan {
  readonly school?: School;
  readonly texture?: Texture;
  readonly proud_mm?: number;
  /** What is mixed over the need, percent. */
  readonly extra_pct?: number;
  readonly volumes?: ReadonlyArray<{ readonly place: string; readonly cm3: number; readonly by: string }>;
}

/** All that the operations of one damage follow from. */
export interface Context {
  readonly f: OpFacts;
  readonly damage: Damage;
  readonly survey: Survey;
  readonly places: readonly WorkPlace[];
  readonly links: readonly PlanLink[];
  readonly air: Air;
  readonly tools: Tools;
  /** What was measured and mixed of its layers. */
  readonly found?: FoundLayers;
  readonly fill?: FillPlan;
  /** Grades that were gone back to, in their order; and which rungs were walked: what is not, is not walked twice, and what was, was there. */
  readonly back?: readonly Grade[];
  readonly walked?: ReadonlySet<string>;
  /** The brace that is let in, sized. */
  readonly brace?: SizedBrace;
  /** Safety reached and asked, where the joint is reckoned as a beam. */
  readonly safety?: { readonly reached: number; readonly asked: number };
}

export const linkAt = ({ links }: Context, place: WorkPlace, role: Role): PlanLink | undefined =>
  links.find((link) => link.place === place.id && link.role === role);
/** Every link of a role at a place, in the order in which they follow one another. */
export const linksAt = ({ links }: Context, place: WorkPlace, role: Role): PlanLink[] =>
  links.filter((link) => link.place === place.id && link.role === role);
export const placesWith = ({ places, links }: Context, role: Role): WorkPlace[] =>
  places.filter(({ id }) => links.some((link) => link.place === id && link.role === role));

/** A need that waits for a stage of a material, in the thickness really laid and the room's air. */
export function after(
  op: string,
  material: MaterialClass,
  stages: Parameters<typeof lagOf>[1],
  thickness_mm: number,
  air: Air,
  because: string,
  closes?: Parameters<typeof lagOf>[1],
): Need {
  const lag = lagOf(material, stages, thickness_mm, air);
  const max = closes ? lagOf(material, closes, thickness_mm, air) : undefined;
  return { op, because, ...(lag ? { lag } : {}), ...(max ? { max } : {}) };
}

export const wait = (op: string, range: Range, because: string): Need => ({ op, because, lag: { min: range[0], range } });
export const first = (op: string, because: string): Need => ({ op, because });

/** Squeeze-out and what stays on the brush, percent: as much again as half a film, a quarter of a thick line; trade practice. */
export const squeezeOut = (film_mm: number): number => (film_mm > 0.5 ? 25 : 60);
/** What stays on slab and knife: much of a small batch, little of a big one; trade practice. */
export const wastePct = (cm3: number): number => (cm3 < 5 ? WASTE_PCT : cm3 < 100 ? 20 : 10);

/** How a material is put on, cm³ a minute; trade practice. */
export const APPLY = { spread: 4, pressed: 1, faced: 25, poured: 300, laid: 4 } as const;
export type Apply = keyof typeof APPLY;
/** The most that is stirred at once, g, by what limits it: heat in the cup of a reacting resin, the arm for a plaster. Typical data sheets. */
const LARGEST_G = { resin: 150, plaster: 5000, hand: 500 } as const;

export interface Weighed {
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

/** A need weighed by the recipe, and split so that each batch is used up while workable and no cup runs hot. */
export function weigh(material: MaterialClass, need_cm3: number, extra_pct: number, apply: Apply, air: Air): Weighed {
  const volume_cm3 = need_cm3 * (1 + extra_pct / 100);
  const density = material.mix.mixed_density ?? densityOf(material);
  const mass_g = volume_cm3 * density;
  const working = lagOf(material, ["working"], 1, air)?.range[0] ?? Infinity;
  const { largest_g, because } = cupOf(material, apply);
  const byCup = mass_g / largest_g;
  const timed = timedBatches(material, { volume_cm3, mass_g, speed: APPLY[apply], working });
  const batches = Math.max(1, timed, Math.ceil(byCup - 1e-9));
  const shares = massShares({ parts: [...material.mix.parts], ratio_by: material.mix.ratio_by });
  const parts = material.mix.parts.map(({ name }, i) => ({ name, mass_g: mass_g * (shares[i] ?? 0) }));
  return {
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
  { volume_cm3, mass_g, speed, working }: { volume_cm3: number; mass_g: number; speed: number; working: number },
): number {
  let batches = Math.max(1, Math.ceil(volume_cm3 / (working * speed) - 1e-9));
  while (volume_cm3 / batches / speed > working * cupFactor(material, mass_g / batches) * (1 + 1e-9)) batches += 1;
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

/** A batch for several places, with its words. */
export const told = (all: Weighed, words: (all: Weighed) => string) => ({
  text: words(all),
  mass_g: all.mass_g,
  volume_cm3: all.volume_cm3,
  parts: all.parts,
  batches: all.batches,
});

export type { Lag, PlanLink, WorkPlace };
