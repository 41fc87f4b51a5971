import type { ClassName } from "../catalogue";
import type { Lab } from "./spectrum";
import type { ColourState } from "./states.data";

/** One reading of a swatch: which one, of what, in which state, and its colour. */
export interface Reading {
  readonly swatch: string;
  readonly class: ClassName;
  readonly state: ColourState;
  readonly lab: Lab;
}

/** What becomes of a colour from one state to another, by the shop's own pairs. */
export interface Shift {
  /** Swatches that were read in both states. */
  readonly pairs: number;
  readonly by: Lab;
  /** Standard deviation of one pair, CIELAB distance; 0 of a single pair, which tells none. */
  readonly spread: number;
}

/**
 * The mean difference of all swatches of a class that were read in both states; undefined where there is none. A swatch that was read
 * several times in one state counts with its last reading. Mean and standard deviation of paired differences, in CIELAB.
 */
export function shiftOf(readings: readonly Reading[], of: ClassName, from: ColourState, to: ColourState): Shift | undefined {
  const last = new Map<string, Lab>();
  for (const { swatch, class: name, state, lab } of readings) if (name === of) last.set(`${swatch} ${state}`, lab);
  const swatches = [...new Set(readings.map(({ swatch }) => swatch))];
  const moves = swatches.flatMap((swatch) => {
    const [a, b] = [last.get(`${swatch} ${from}`), last.get(`${swatch} ${to}`)];
    return a && b ? [{ L: b.L - a.L, a: b.a - a.a, b: b.b - a.b }] : [];
  });
  if (moves.length === 0 || from === to) return undefined;
  const by = { L: mean(moves, "L"), a: mean(moves, "a"), b: mean(moves, "b") };
  const squares = moves.reduce((sum, move) => sum + (move.L - by.L) ** 2 + (move.a - by.a) ** 2 + (move.b - by.b) ** 2, 0);
  return { pairs: moves.length, by, spread: moves.length > 1 ? Math.sqrt(squares / (moves.length - 1)) : 0 };
}

const mean = (moves: readonly Lab[], of: keyof Lab): number => moves.reduce((sum, move) => sum + move[of], 0) / moves.length;

/** What has to be mixed so that it ends at a colour: the shift taken off before. L is kept within what a surface can have. */
export const before = ({ L, a, b }: Lab, { by }: Pick<Shift, "by">): Lab => ({
  L: Math.min(100, Math.max(0, L - by.L)),
  a: a - by.a,
  b: b - by.b,
});
