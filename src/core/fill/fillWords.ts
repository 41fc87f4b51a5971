import type { MaterialClass, Range } from "../catalogue";
import { cupFactor } from "../mix/cupHeat";
import { doseOf, doseWords, neededWords } from "../mix/doses";
import { APPLY, type Apply, pacedMin, type Weighed } from "../mix/weigh";
import type { LayerSubject } from "../operation/subject";
import { counted, grams, inSentence, plain, present } from "../units";

/** What a wet tool slides on: what the filler itself is thinned with, and never water where it reacts with it. */
export function slipOf({ carrier, hazards }: MaterialClass): string {
  if (carrier === "water") return "water";
  return hazards.includes("styrene") || carrier === "monomer" ? "a wiped film of alcohol, no water," : "a little alcohol or water";
}

export const several = (material: MaterialClass | undefined) => (material?.mix.parts.length ?? 1) > 1;

/** Each cup is weighed and stirred by itself; trade practice, minutes. */
export const stirring = (all: Weighed | undefined): Range => [4 * (all?.batches ?? 1), 10 * (all?.batches ?? 1)];

/** All that a place of a spoonful takes at most, and setting about a small one with a slow hand, minutes; trade practice. */
const POUR_MIN: Range = [3, 8];
const LAY_MIN: Range = [3, 12];
const SLOW_START_MIN = 2;
/** Working it into corner and edge costs a slow hand so much more than its pace at a small place. */
const SLOW_WORKED_IN = 5;
/** A slow hand at several alike takes so many times as long as a quick one; trade practice. */
const ALIKE_SLOW = 1.4;

/**
 * Minutes to lay so much at so many places: a quick hand at the pace that cups are counted by, a slow one at a small place several times that.
 * A large place takes as long as it is laid at its pace, up to twice that; several that are alike go at the pace that their cup is counted by.
 */
export function laying(cm3: number, apply: Apply, places: number): Range {
  const paced = pacedMin(cm3, apply, places);
  const [low, high] = apply === "poured" ? POUR_MIN : LAY_MIN;
  if (apply !== "pressed") return [Math.max(low, paced), Math.max(high, 2 * paced)];
  // the second of several that are alike goes as the first did: the hand is in
  if (places > 1) return [paced, ALIKE_SLOW * paced];
  return [paced, Math.max(Math.min(high, SLOW_START_MIN + (SLOW_WORKED_IN * cm3) / APPLY[apply]), 2 * paced)];
}

export function mixText(material: MaterialClass, all: Weighed, nth: string, scale_step_g: number): string {
  const dose = doseOf(material, all, scale_step_g);
  const lots =
    all.batches > 1
      ? `, in ${counted(all.batches, "batch", "batches")} of ${grams(all.mass_g / all.batches)} (${all.limited_by}), each laid before the next is stirred`
      : "";
  return `${several(material) ? "Mix" : "Take"} ${grams(dose?.pot_g ?? all.mass_g)} of ${inSentence(material.name)}${nth}${lots}${dose ? `: ${doseWords(dose)}` : ""}${neededWords(dose, all)}`;
}

export function mixWhy({ group, mix }: MaterialClass, { need_cm3, volume_cm3 }: Weighed, modelled: boolean): string {
  const about = `${plain(need_cm3, need_cm3 < 10 ? 2 : 0)} cm³ with what shrinks and stands proud, ${plain(volume_cm3, volume_cm3 < 10 ? 2 : 0)} with what stays on board and gloves.`;
  if (group === "plaster")
    return `${about} Powder into the water; slake a minute, stir without air. An acrylic additive may take the place of a quarter of the water.`;
  const [least, most] = mix.hardener_pct ?? [];
  if (least !== undefined)
    return `${about} Hardener ${least} to ${most} % by mass: half of it doubles the time, too much sets in the cup, under ${least} % it never sets.`;
  return modelled ? `${about} Model it soft with a wet tool, or build it over size and carve: both lead there.` : about;
}

/** One cup, and by how much sooner it sets where it warms itself. */
export function cupFigures(material: MaterialClass, { mass_g, batches }: Weighed) {
  const cup_g = mass_g / batches;
  const [least, most] = material.mix.hardener_pct ?? [];
  return { cup_g, sooner_pct: (1 - cupFactor(material, cup_g)) * 100, ...present({ hardener_least_pct: least, hardener_most_pct: most }) };
}

export function cupWords(material: MaterialClass, all: Weighed): string {
  const { cup_g, sooner_pct } = cupFigures(material, all);
  return sooner_pct < 3
    ? ""
    : ` In a cup of ${grams(cup_g)} it warms itself and sets some ${plain(sooner_pct, 0)} % sooner: spread it flat.`;
}

export const VERBS: Readonly<Record<LayerSubject["apply"], string>> = { poured: "Pour", pressed: "Press in", faced: "Lay on" };

export function whyPlaced(
  material: MaterialClass | undefined,
  facts: { readonly film: boolean; readonly apply: string; readonly around_core: boolean },
  mm: number,
): string {
  if (facts.film) return "Drop on drop; a bubble is pricked at once.";
  if (material?.rigidity === "flexible")
    return "A trough, not a peak: it sinks, and what stands up can’t be sanded. Smooth with a card in one stroke along the tear.";
  if (facts.apply === "poured") return "From one side, in one go; rap the form until no bubble rises.";
  return facts.around_core
    ? `About ${plain(mm, 1)} mm around the core, in one build.`
    : "Into the edges first, so that it keys; no trapped air.";
}
