import type { MaterialClass, Range } from "../catalogue";
import { grams, plain, present } from "../units";
import { canDrop, DROP_G } from "./byHand";
import { hardenerGrams, hardenerOf } from "./hardener";
import { ballMm } from "./mix";
import type { Weighed } from "./weigh";

/** A dose that the scale misses by more than this is not a dose, percent. */
const DOSE_LIMIT_PCT = 5;
/** So far a whole number of drops may be off the dose, share. */
const DROP_OFF = 0.25;

interface Part {
  readonly name: string;
  readonly mass_g: number;
}

/** How a cup is dosed: what goes into it, and where the scale can't weigh a part, what works instead. */
export interface Dose {
  /** The parts of one cup, or of the least that can be dosed or sets well. */
  readonly parts: readonly Part[];
  /** So much is stirred where less can't be: more than is needed. */
  readonly pot_g?: number;
  /** Two putties by volume are two balls. */
  readonly ball_mm?: number;
  /** Between which amounts of a hardener it sets as it should, g. */
  readonly sets?: { readonly of: string; readonly g: Range };
  /** The scale can't weigh a part of what is needed. */
  readonly blind?: {
    readonly scale_step_g: number;
    readonly by_volume?: true;
    /** Whole drops of the part that is too small to be weighed. */
    readonly drops?: { readonly of: string; readonly count: number };
  };
}

/** How much of each part goes into one cup of a mix; undefined where nothing is mixed. Grams. */
export function doseOf(material: MaterialClass, weighed: Weighed, scale_step_g: number): Dose | undefined {
  const { parts: recipe, ratio_by, least_g = 0 } = material.mix;
  if (recipe.length < 2) return undefined;
  if (weighed.mass_g < least_g) return { pot_g: least_g, parts: scaled(weighed.parts, least_g / weighed.mass_g) };
  const cup = scaled(weighed.parts, 1 / weighed.batches);
  const equal = ratio_by === "volume" && recipe.length === 2 && recipe[0]?.ratio === recipe[1]?.ratio;
  const ball = present({ ball_mm: equal ? ballMm(weighed.volume_cm3 / weighed.batches / 2) : undefined });
  const short = shortMost(cup, material, scale_step_g);
  if (short <= 1) return { parts: cup, ...ball, ...present({ sets: setsOf(cup, material) }) };
  if (ratio_by === "volume") return { parts: cup, ...ball, blind: { scale_step_g, by_volume: true } };
  const less = lessBlind(cup, material, short);
  const weighable = shortMost(less.parts, material, scale_step_g) <= 1 + 1e-9;
  return { ...less, blind: { scale_step_g, ...present({ drops: weighable ? undefined : dropsOf(less.parts, material) }) } };
}

const scaled = (parts: readonly Part[], by: number): Part[] => parts.map(({ name, mass_g }) => ({ name, mass_g: mass_g * by }));
const total = (parts: readonly Part[]): number => parts.reduce((sum, { mass_g }) => sum + mass_g, 0);

/** Of what a hardener starts: how little and how much of it still sets the resin of this cup, by its published percent. */
function setsOf([resin, hardener]: readonly Part[], material: MaterialClass): Dose["sets"] {
  const range = hardenerOf(material)?.pct;
  return range && resin && hardener
    ? { of: hardener.name, g: [hardenerGrams(resin.mass_g, range[0]), hardenerGrams(resin.mass_g, range[1])] }
    : undefined;
}

/**
 * How many times as much had to be mixed until the scale can hold a part; 1 or less = it can. What is only stiffened with is added until it
 * stands; a hardener, give or take a step, stays inside its published range; all else is right to so many percent, half a step being lost.
 */
function shortOf({ name, mass_g }: Part, cup: readonly Part[], material: MaterialClass, scale_step_g: number): number {
  if (material.mix.parts.find((part) => part.name === name)?.bulk) return 0;
  const sets = setsOf(cup, material);
  if (sets?.of === name) return scale_step_g / Math.min(mass_g - sets.g[0], sets.g[1] - mass_g);
  return scale_step_g / 2 / (mass_g * (DOSE_LIMIT_PCT / 100));
}

const shortMost = (cup: readonly Part[], material: MaterialClass, scale_step_g: number): number =>
  Math.max(...cup.map((part) => shortOf(part, cup, material, scale_step_g)));

/** What the scale can't weigh is counted in drops, or so much is mixed that whole drops, or the scale, are right. */
function lessBlind(cup: readonly Part[], material: MaterialClass, short: number): Pick<Dose, "parts" | "pot_g"> {
  if (dropsOf(cup, material)) return { parts: cup };
  const least = smallestOf(cup);
  const drops = least && canBeDropped(least, material) ? (Math.ceil(least.mass_g / DROP_G) * DROP_G) / least.mass_g : Infinity;
  const pot = scaled(cup, Math.min(short, drops));
  return { parts: pot, pot_g: total(pot) };
}

const smallestOf = (cup: readonly Part[]): Part | undefined => [...cup].sort((a, b) => a.mass_g - b.mass_g)[0];
const canBeDropped = ({ name }: Part, { mix }: MaterialClass): boolean =>
  canDrop(name, mix.parts.find((part) => part.name === name)?.density ?? 1);

/** The smallest part of a cup in whole drops, where they come near enough. */
function dropsOf(cup: readonly Part[], material: MaterialClass): NonNullable<Dose["blind"]>["drops"] {
  const least = smallestOf(cup);
  if (!least || !canBeDropped(least, material)) return undefined;
  const count = Math.max(1, Math.round(least.mass_g / DROP_G));
  return Math.abs((count * DROP_G) / least.mass_g - 1) <= DROP_OFF ? { of: least.name, count } : undefined;
}

/** A dose in words: the parts, and what to do where the scale can't resolve one. */
export function doseWords(dose: Dose | undefined): string {
  if (!dose) return "";
  const { sets, blind } = dose;
  const parts = dose.parts
    .map(
      ({ name, mass_g }) => `${name} ${grams(mass_g)}${name === sets?.of ? ` (${grams(sets.g[0])} to ${grams(sets.g[1])} is right)` : ""}`,
    )
    .join(", ");
  const balls = dose.ball_mm === undefined ? "" : `; as two equal balls Ø ${plain(dose.ball_mm, 1)} mm`;
  return `${parts}${blind ? blindWords(blind, dose) : ""}${balls}`;
}

/** How much of a pot is needed, where more is stirred. */
export const neededWords = (dose: Dose | undefined, { mass_g }: Pick<Weighed, "mass_g">): string =>
  dose?.pot_g === undefined ? "" : `; ${grams(mass_g)} of it is needed`;

function blindWords({ scale_step_g, by_volume, drops }: NonNullable<Dose["blind"]>, { pot_g }: Dose): string {
  const scale = `a scale of ${plain(scale_step_g, 3)} g can’t weigh ${pot_g === undefined || drops ? "that" : "less"}`;
  if (by_volume) return `; dose it by volume, equal strokes or balls: ${scale}`;
  return drops ? `; count ${drops.count === 1 ? "one drop" : `${drops.count} drops`} of ${drops.of}: ${scale}` : `: ${scale}`;
}

/** Every figure that the words of a dose hold, by name. Grams, mm. */
export function doseFigures(dose: Dose | undefined): Record<string, number> {
  if (!dose) return {};
  const parts = Object.fromEntries(dose.parts.map(({ name, mass_g }) => [`cup_${name.replaceAll(" ", "_")}_g`, mass_g]));
  const { blind, sets } = dose;
  return {
    ...parts,
    ...present({
      pot_g: dose.pot_g,
      ball_mm: dose.ball_mm,
      sets_least_g: sets?.g[0],
      sets_most_g: sets?.g[1],
      scale_step_g: blind?.scale_step_g,
      drops: blind?.drops?.count,
    }),
  };
}
