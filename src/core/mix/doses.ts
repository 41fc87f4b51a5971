import type { MaterialClass } from "../catalogue";
import { grams, plain, present } from "../units";
import { canDrop, DROP_G } from "./byHand";
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
  /** The parts of one cup, or of the whole pot that is the least that sets well. */
  readonly parts: readonly Part[];
  readonly pot_g?: number;
  /** Two putties by volume are two balls. */
  readonly ball_mm?: number;
  /** The scale can't weigh the smallest part. */
  readonly blind?: {
    readonly scale_step_g: number;
    /** Mixed so large, it could. */
    readonly least_g: number;
    readonly by_volume?: true;
    /** Whole drops of the smallest part; `enough_g`: one of them is enough for so much of the others. */
    readonly drops?: { readonly of: string; readonly count: number; readonly enough_g?: number; readonly others?: string };
  };
}

/** How much of each part goes into one cup of a mix; undefined where nothing is mixed. Grams. */
export function doseOf({ mix }: MaterialClass, weighed: Weighed, scale_step_g: number): Dose | undefined {
  const { parts, ratio_by, least_g = 0 } = mix;
  if (parts.length < 2) return undefined;
  if (weighed.mass_g < least_g) return { pot_g: least_g, parts: scaled(weighed.parts, least_g / weighed.mass_g) };
  const cup = scaled(weighed.parts, 1 / weighed.batches);
  const equal = ratio_by === "volume" && parts.length === 2 && parts[0]?.ratio === parts[1]?.ratio;
  const error_pct = (scale_step_g / 2 / weighed.smallest_g) * 100;
  const least = (scale_step_g / 2 / (DOSE_LIMIT_PCT / 100)) * (weighed.mass_g / weighed.batches / weighed.smallest_g);
  return {
    parts: cup,
    ...present({
      ball_mm: equal ? ballMm(weighed.volume_cm3 / weighed.batches / 2) : undefined,
      blind:
        error_pct <= DOSE_LIMIT_PCT
          ? undefined
          : {
              scale_step_g,
              least_g: least,
              ...(ratio_by === "volume" ? { by_volume: true as const } : present({ drops: dropsOf(parts, cup) })),
            },
    }),
  };
}

const scaled = (parts: readonly Part[], by: number): Part[] => parts.map(({ name, mass_g }) => ({ name, mass_g: mass_g * by }));

/** The smallest part in drops; where less than one would be wanted, what one drop is enough for. */
function dropsOf(recipe: MaterialClass["mix"]["parts"], cup: readonly Part[]): NonNullable<Dose["blind"]>["drops"] {
  const [least, ...rest] = [...cup].sort((a, b) => a.mass_g - b.mass_g);
  const density = recipe.find(({ name }) => name === least?.name)?.density ?? 1;
  if (!least || !canDrop(least.name, density)) return undefined;
  const count = Math.max(1, Math.round(least.mass_g / DROP_G));
  if (Math.abs((count * DROP_G) / least.mass_g - 1) <= DROP_OFF) return { of: least.name, count };
  const others = rest.reduce((sum, { mass_g }) => sum + mass_g, 0);
  const name = rest.length === 1 ? (rest[0]?.name ?? "") : "the other parts together";
  return { of: least.name, count: 1, enough_g: (others / least.mass_g) * DROP_G, others: name };
}

/** A dose in words: the parts, and what to do where the scale can't resolve one. */
export function doseWords(dose: Dose | undefined): string {
  if (!dose) return "";
  const parts = dose.parts.map(({ name, mass_g }) => `${name} ${grams(mass_g)}`).join(", ");
  if (dose.pot_g !== undefined) return `out of a pot of ${grams(dose.pot_g)}, ${parts}`;
  const balls = dose.ball_mm === undefined ? "" : `; as two equal balls Ø ${plain(dose.ball_mm, 1)} mm`;
  return `${parts}${dose.blind ? blindWords(dose.blind) : ""}${balls}`;
}

function blindWords({ scale_step_g, least_g, by_volume, drops }: NonNullable<Dose["blind"]>): string {
  const instead = by_volume ? ", or dose by volume: equal strokes or balls" : drops ? `, or count drops${dropWords(drops)}` : "";
  return `: a scale of ${plain(scale_step_g, 3)} g can’t weigh that; mix at least ${grams(least_g)}${instead}`;
}

const dropWords = ({ of, count, enough_g, others }: NonNullable<NonNullable<Dose["blind"]>["drops"]>): string =>
  enough_g === undefined ? ` (${count} of the ${of})` : `: ${count} of the ${of} is enough for ${grams(enough_g)} of ${others}`;

/** Every figure that the words of a dose hold, by name. Grams, mm. */
export function doseFigures(dose: Dose | undefined): Record<string, number> {
  if (!dose) return {};
  const parts = Object.fromEntries(dose.parts.map(({ name, mass_g }) => [`cup_${name.replaceAll(" ", "_")}_g`, mass_g]));
  const { blind } = dose;
  return {
    ...parts,
    ...present({
      pot_g: dose.pot_g,
      ball_mm: dose.ball_mm,
      scale_step_g: blind?.scale_step_g,
      least_g: blind?.least_g,
      drops: blind?.drops?.count,
      drop_enough_g: blind?.drops?.enough_g,
    }),
  };
}
