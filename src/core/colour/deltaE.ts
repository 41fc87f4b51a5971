import { differenceCiede2000 } from "culori";
import type { DeltaEInput, DeltaEResult } from "./colour.schema";
import type { Lab } from "./spectrum";

const difference = differenceCiede2000(1, 1, 1);
const inD65 = ({ L, a, b }: Lab) => ({ mode: "lab65", l: L, a, b }) as const;

/** CIEDE2000 with all weights 1 (ISO/CIE 11664-6). @example dE00({ L: 50, a: 2.5, b: 0 }, { L: 50, a: 0, b: -2.5 }) // => 4.3065 */
export const dE00 = (a: Lab, b: Lab): number => difference(inD65(a), inD65(b));

/** How far two colours are apart, as an answer. */
export function deltaE({ a, b }: DeltaEInput): DeltaEResult {
  return {
    dE00: dE00(a, b),
    basis: {
      formula: "CIEDE2000, kL = kC = kH = 1",
      source: "ISO/CIE 11664-6:2014; G. Sharma et al., Color Research and Application 30, 2005",
    },
    warnings: [],
  };
}
