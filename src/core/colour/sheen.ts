import type { Range } from "../catalogue";

/** How a surface shines, in words and by a gloss meter at 60°, gloss units (ISO 2813). Bands as finishers name them; typical data sheets. */
export const SHEENS = [
  { sheen: "dead-matt", label: "dead matt", gu: [0, 5] },
  { sheen: "matt", label: "matt", gu: [5, 15] },
  { sheen: "eggshell", label: "eggshell", gu: [15, 30] },
  { sheen: "satin", label: "satin", gu: [30, 55] },
  { sheen: "half-gloss", label: "half gloss", gu: [55, 75] },
  { sheen: "gloss", label: "gloss", gu: [75, 90] },
  { sheen: "mirror", label: "mirror", gu: [90, 100] },
] as const satisfies ReadonlyArray<{ sheen: string; label: string; gu: Range }>;

/** A word as a figure: the middle of its band. */
export const middleOf = (gu: Range): number => (gu[0] + gu[1]) / 2;

export const sheenWords = (gu: number): string => SHEENS.find(({ gu: [, to] }) => gu < to)?.label ?? "mirror";

/** What a film is rubbed with last, and the gloss that it leaves; trade practice of finishers, makers differ by ten units. */
const RUBBED: ReadonlyArray<{ readonly by: string; readonly leaves: Range }> = [
  { by: "a fine non-woven pad, with the grain", leaves: [5, 15] },
  { by: "P1500 wet, then a very fine pad", leaves: [15, 30] },
  { by: "steel wool 0000 and wax, buffed", leaves: [30, 45] },
  { by: "pumice in oil on felt", leaves: [40, 60] },
  { by: "rottenstone in oil on felt", leaves: [60, 75] },
  { by: "medium compound, a pad of its own", leaves: [70, 85] },
  { by: "medium, then fine compound, a clean pad for each", leaves: [85, 95] },
];

/** Rubbing to a sheen takes some micrometres: a film under this is coated instead, µm. Trade practice. */
export const RUBBED_FROM_UM = 15;

/** Nobody sees less beside one another, gloss units: a tenth of what is there, four at least (ISO 2813 repeatability, and trade practice). */
export const seenFrom = (gu: number): number => Math.max(4, gu / 10);

export interface SheenWay {
  readonly way: "leave" | "down" | "up";
  readonly words: string;
  readonly leaves?: Range;
}

/** From the gloss of the repair to that of its surroundings. A film that is `thin` may not be rubbed: it is coated instead. */
export function sheenWay(from: number, to: number, thin = false): SheenWay {
  if (Math.abs(from - to) < seenFrom(to)) return { way: "leave", words: "Nobody sees that: leave it." };
  const way = from > to ? "down" : "up";
  if (thin) return { way, words: `The film is thin: a mist coat of clear that dries ${sheenWords(to)} instead of rubbing.` };
  const nearest = RUBBED.reduce((a, b) => (Math.abs(middleOf(b.leaves) - to) < Math.abs(middleOf(a.leaves) - to) ? b : a));
  if (to < 5) return { way, words: "No rubbing gets there: a mist coat of clear with flatting agent, tried on the swatch first." };
  return { way, words: `Rub it ${way} with ${nearest.by}.`, leaves: nearest.leaves };
}
