import type { MaterialClass } from "../catalogue";
import { canDrop, DROP_G } from "../mix/byHand";
import { ballMm } from "../mix/mix";
import { grams, plain } from "../units";
import type { Weighed } from "./context";

/** A dose that the scale misses by more than this is not a dose, percent. */
const DOSE_LIMIT_PCT = 5;

/** How a mix is dosed, in words: the parts, and where the scale can't resolve one, what works instead. */
export function doseWords(
  material: MaterialClass,
  weighed: Weighed,
  scale_step_g: number,
): { readonly words: string; readonly resolved: boolean } {
  const { parts, ratio_by } = material.mix;
  if (parts.length < 2) return { words: "", resolved: true };
  const { least_g = 0 } = material.mix;
  if (weighed.mass_g < least_g) return { words: `out of a pot of ${grams(least_g)}, ${pot(weighed, least_g)}`, resolved: true };
  const one = weighed.parts.map(({ name, mass_g }) => `${name} ${grams(mass_g / weighed.batches)}`).join(", ");
  const error = (scale_step_g / 2 / weighed.smallest_g) * 100;
  if (error <= DOSE_LIMIT_PCT) return { words: `${one}${balls(material, weighed)}`, resolved: true };
  const need = (scale_step_g / 2 / (DOSE_LIMIT_PCT / 100)) * (weighed.mass_g / weighed.batches / weighed.smallest_g);
  const instead = ratio_by === "volume" ? ", or dose by volume: equal strokes or balls" : drops(material, weighed);
  return {
    words: `${one}: a scale of ${plain(scale_step_g, 3)} g can’t weigh that; mix at least ${grams(need)}${instead}${balls(material, weighed)}`,
    resolved: false,
  };
}

/** The parts of a whole pot. */
const pot = ({ parts, mass_g }: Weighed, least_g: number): string =>
  parts.map((part) => `${part.name} ${grams((part.mass_g / mass_g) * least_g)}`).join(", ");

/** So far a whole number of drops may be off the dose, share. */
const DROP_OFF = 0.25;

/** The smallest part in drops; where less than one would be wanted, what one drop is enough for. */
function drops({ mix }: MaterialClass, { parts }: Weighed): string {
  const [least, ...rest] = [...parts].sort((a, b) => a.mass_g - b.mass_g);
  const density = mix.parts.find(({ name }) => name === least?.name)?.density ?? 1;
  if (!least || !canDrop(least.name, density)) return "";
  const count = Math.max(1, Math.round(least.mass_g / DROP_G));
  if (Math.abs((count * DROP_G) / least.mass_g - 1) <= DROP_OFF) return `, or count drops (${count} of the ${least.name})`;
  const others = rest.reduce((sum, { mass_g }) => sum + mass_g, 0);
  const name = rest.length === 1 ? rest[0]?.name : "the other parts together";
  return `, or count drops: 1 of the ${least.name} is enough for ${grams((others / least.mass_g) * DROP_G)} of ${name}`;
}

/** Two putties by volume are two balls. */
function balls({ mix: { ratio_by, parts } }: MaterialClass, { volume_cm3, batches }: Weighed): string {
  if (ratio_by !== "volume" || parts.length !== 2 || parts[0]?.ratio !== parts[1]?.ratio) return "";
  return `; as two equal balls Ø ${plain(ballMm(volume_cm3 / batches / 2), 1)} mm`;
}
