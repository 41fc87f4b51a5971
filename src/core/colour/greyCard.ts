import { type Color, converter } from "culori";
import { dE00 } from "./deltaE";
import type { Lab } from "./spectrum";

/** A pixel as a camera gives it: sRGB, each 0 to 255. */
export type Pixel = readonly [red: number, green: number, blue: number];

/** Cards that are laid beside a piece, with what they reflect. */
export const CARDS = [
  { card: "grey", label: "Grey card, 18 %", reflects: 0.184 },
  { card: "white", label: "White card, 90 %", reflects: 0.9 },
] as const;
export type Card = (typeof CARDS)[number]["card"];

/** A colour read off a photograph. */
export interface CardReading {
  readonly lab: Lab;
  /** Mean distance of the pixels of the spot from their mean, dE00: how uneven it is. */
  readonly spread_dE: number;
  /** What makes it doubtful, with what to do. */
  readonly doubts: readonly string[];
}

/** More of a spot than this at the end of the scale is clipped, share. */
const CLIPPED_SHARE = 0.02;
/** A card whose light varies by more than this over the spot is not lit evenly, share. */
const UNEVEN = 0.08;
/** Darker than this a camera sees its own noise, linear share of full scale. */
const DARK = 0.02;
/** A spot this uneven is no one colour, dE00. */
const MANY_COLOURS_DE = 5;

/**
 * The colour of a spot as it would be in daylight, from a photograph with a card of known grey in the same light: each channel is taken
 * linear (IEC 61966-2-1), divided by what the card gave and multiplied by what it reflects. White balance and exposure fall out; what
 * stays is the camera's own colour error, some 2 to 5 dE00, and gloss. The mean of the spot in linear light.
 * @throws {RangeError} if a spot has no pixel, or the card is black
 */
export function readByCard(cardSpot: readonly Pixel[], spot: readonly Pixel[], card: Card): CardReading {
  if (cardSpot.length === 0 || spot.length === 0) throw new RangeError("a spot needs one pixel at least");
  const reflects = CARDS.find((row) => row.card === card)?.reflects ?? 1;
  const light = channelMeans(cardSpot.map(linear));
  if (light.some((channel) => channel <= 0)) throw new RangeError("the card is black: pick it anew");
  const corrected = spot.map((pixel) => linear(pixel).map((value, i) => (value / (light[i] ?? 1)) * reflects) as [number, number, number]);
  const lab = labOfLinear(channelMeans(corrected));
  const spread_dE = corrected.reduce((sum, each) => sum + dE00(labOfLinear(each), lab), 0) / corrected.length;
  return { lab, spread_dE, doubts: doubtsOf(cardSpot, spot, spread_dE) };
}

const decode = (value: number): number => {
  const share = value / 255;
  return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
};
const linear = ([r, g, b]: Pixel): [number, number, number] => [decode(r), decode(g), decode(b)];

function channelMeans(pixels: ReadonlyArray<readonly [number, number, number]>): [number, number, number] {
  const sum = pixels.reduce<[number, number, number]>((all, [r, g, b]) => [all[0] + r, all[1] + g, all[2] + b], [0, 0, 0]);
  return [sum[0] / pixels.length, sum[1] / pixels.length, sum[2] / pixels.length];
}

const toLab = converter("lab65");
function labOfLinear([r, g, b]: readonly [number, number, number]): Lab {
  const { l, a, b: yellow } = toLab({ mode: "lrgb", r, g, b } as Color) as { l: number; a: number; b: number };
  return { L: l, a, b: yellow };
}

function doubtsOf(cardSpot: readonly Pixel[], spot: readonly Pixel[], spread_dE: number): string[] {
  const clipped = (pixels: readonly Pixel[]) =>
    pixels.filter((pixel) => pixel.some((value) => value >= 254)).length / pixels.length > CLIPPED_SHARE;
  const greys = cardSpot.map((pixel) => linear(pixel)[1]);
  const mean = greys.reduce((sum, grey) => sum + grey, 0) / greys.length;
  const uneven = Math.sqrt(greys.reduce((sum, grey) => sum + (grey - mean) ** 2, 0) / greys.length) / mean;
  const dark = spot.every((pixel) => Math.max(...linear(pixel)) < DARK);
  return [
    ...(clipped(cardSpot) ? ["The card is overexposed: take the photograph again, a step darker."] : []),
    ...(clipped(spot) ? ["The spot is overexposed or shines: tilt the lamp, or take it darker."] : []),
    ...(dark ? ["The spot is nearly black in this photograph: take it lighter."] : []),
    ...(uneven > UNEVEN ? ["The card is lit unevenly: lay it flat beside the spot, in the same light."] : []),
    ...(spread_dE > MANY_COLOURS_DE ? ["The spot holds more than one colour: pick a smaller or a plainer one."] : []),
  ];
}
