"use client";
import type { ClassName } from "@/core/catalogue";
import { asPigment, PIGMENTS } from "@/core/colour/pigments.data";
import { before, shiftOf } from "@/core/colour/shift";
import { type Lab, smoothReflectance } from "@/core/colour/spectrum";
import type { ColourState } from "@/core/colour/states.data";
import { parseColour, parseSpectrum } from "@/core/colour/words";
import type { ShopColours } from "@/core/views/colours";
import { useKept } from "../forms/kept";
import { parseNumber } from "../forms/parse";
import { useColourWorker } from "./useColourWorker";

export interface RecipeDraft {
  readonly target: string;
  readonly grams: string;
  readonly pigments: readonly string[];
  readonly state: ColourState;
  readonly class: string;
  /** The dried sample as it was read. */
  readonly dried: string;
}

const START: RecipeDraft = {
  target: "",
  grams: "5",
  pigments: ["titanium white", "lamp black", "yellow ochre", "burnt sienna", "raw umber", "red ochre", "ultramarine"],
  state: "dry",
  class: "",
  dried: "",
};
const MOST_PIGMENTS = 6;

/** A pigment or a paint of the shop's own. */
interface Paint {
  readonly name: string;
  readonly lab: Lab;
  readonly note?: string;
}

/** Swatches that were painted straight from a jar and read dry can be mixed of, like a pigment. */
function paintsOf({ swatches }: ShopColours): Paint[] {
  const own = swatches.flatMap(({ name, recipe, readings }): Paint[] => {
    const dry = readings.filter(({ state }) => state === "dry").at(-1);
    return dry && !recipe ? [{ name, lab: dry.lab, note: "your swatch" }] : [];
  });
  const known = PIGMENTS.map(({ name, lab, lets_through }): Paint => ({ name, lab, ...(lets_through ? { note: "lets through" } : {}) }));
  return [
    ...known,
    ...own.filter(({ name }, i) => own.findIndex((each) => each.name === name) === i && !known.some((each) => each.name === name)),
  ];
}

const asPaint = ({ name, lab }: Paint) =>
  PIGMENTS.filter((row) => row.name === name).map(asPigment)[0] ?? { name, r: smoothReflectance(lab) };

/** The target as it was typed, and as it has to be mixed so that it ends there in the state in which it is seen. */
function aimOf({ target, state }: RecipeDraft, material: ClassName | undefined, colours: ShopColours) {
  const spectrum = parseSpectrum(target);
  const lab = spectrum?.lab ?? parseColour(target);
  const readings = colours.swatches.flatMap((swatch) => swatch.readings);
  const shift = material && shiftOf(readings, material, "dry", state);
  const mixFor = lab && (shift ? before(lab, shift) : lab);
  return { lab, shift, mixFor, aim: spectrum && !shift ? { r: [...spectrum.r] } : mixFor && { lab: mixFor } };
}

const gramsOf = (text: string): number | undefined => {
  const mass = parseNumber(text);
  return mass.ok && mass.value > 0 && mass.value <= 5000 ? mass.value : undefined;
};

/** What is typed for a recipe, kept on this device, and what the worker finds for it. */
export function useRecipe(treatment: string, classes: readonly ClassName[], colours: ShopColours) {
  const [typed, keep] = useKept<RecipeDraft>(`recipe:${treatment}`, START);
  const kept = { ...START, ...typed };
  const paints = paintsOf(colours);
  const palette = paints.filter(({ name }) => kept.pigments.includes(name)).map(asPaint);
  const material = classes.find((each) => each === kept.class) ?? classes[0];
  const { lab, shift, mixFor, aim } = aimOf(kept, material, colours);
  const asked = aim && palette.length > 0;
  const { answer, busy } = useColourWorker("colour", asked ? [{ pigments: palette, target: aim, most: MOST_PIGMENTS }] : undefined);
  const change = (to: Partial<RecipeDraft>) => keep({ ...kept, ...to });
  return {
    kept,
    change,
    paints,
    palette,
    material,
    lab,
    shift,
    mixFor,
    answer: asked ? answer : undefined,
    busy,
    asked,
    grams: gramsOf(kept.grams),
  };
}
