import type { BraceUse } from "./brace.schema";

/** Where no lever is known, hands pull at this many heights of the section; trade practice. */
export const handlingLever = (height_mm: number): number => 3 * height_mm;

/** How hard hands take a piece, as a share of handling it; trade practice, a rule of thumb. */
const SHARES: Readonly<Record<BraceUse, { readonly share: number; readonly words: string }>> = {
  "looked-at": { share: 0.25, words: "a piece that is only looked at" },
  handled: { share: 1, words: "handling" },
  played: { share: 1.5, words: "playing or opening" },
  carried: { share: 2.5, words: "carrying" },
};

/** What a hand puts on a section of 20 mm and more, N; under that a hand sees what it holds: with the square of the thickness. */
const HAND_N = 20;
const FULL_MM = 20;
/** A sleeve that catches does not look, N. */
const LEAST_N = 2;

/**
 * The load that is assumed where none is given, N, for a section `thin_mm` thick in a use. Trade practice: 2 to 5 N on what is looked
 * at, 20 N on what is handled, more on what is played, opened or carried.
 * @example handlingOf("handled", 10) // => { force_N: 5, words: "handling" }
 */
export function handlingOf(use: BraceUse, thin_mm: number): { readonly force_N: number; readonly words: string } {
  const { share, words } = SHARES[use];
  return { force_N: Math.max(LEAST_N, share * HAND_N * Math.min(1, (thin_mm / FULL_MM) ** 2)), words };
}
