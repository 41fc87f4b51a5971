import { converter, formatHex, parse } from "culori";
import { NM } from "./spectra.data";
import { type Lab, labOf } from "./spectrum";

const toLab = converter("lab65");

/** A colour as it is typed: `#a98f6c`, or L, a and b in figures. Undefined = neither. */
export function parseColour(text: string): Lab | undefined {
  const spaced = text.trim();
  // a comma divides where nothing else does; beside a space or semicolon it may be a decimal comma
  const figures = (/[\s;]/.test(spaced) ? spaced.split(/[\s;]+/) : spaced.split(",")).map((each) =>
    Number(each.replace(/,$/, "").replace(",", ".")),
  );
  if (figures.length === 3 && figures.every(Number.isFinite)) return within({ L: figures[0] ?? 0, a: figures[1] ?? 0, b: figures[2] ?? 0 });
  const read = /^#?[0-9a-f]{6}$/i.test(spaced) ? parse(`#${spaced.replace("#", "")}`) : undefined;
  const lab = read && toLab(read);
  return lab && { L: lab.l, a: lab.a, b: lab.b };
}

/** A spectrum as it is typed: 31 reflectances from 400 to 700 nm, as shares or percent. Undefined = none. */
export function parseSpectrum(text: string): { readonly r: readonly number[]; readonly lab: Lab } | undefined {
  const figures = text
    .trim()
    .split(/[\s;,]+/)
    .map(Number);
  if (figures.length !== NM.length || !figures.every((each) => Number.isFinite(each) && each >= 0 && each <= 100)) return undefined;
  const r = Math.max(...figures) > 1 ? figures.map((each) => each / 100) : figures;
  return { r, lab: labOf(r) };
}

const within = (lab: Lab): Lab | undefined =>
  lab.L >= 0 && lab.L <= 100 && Math.abs(lab.a) <= 128 && Math.abs(lab.b) <= 128 ? lab : undefined;

/** As a screen shows it, as well as it can. */
export const screenColour = ({ L, a, b }: Lab): string => formatHex({ mode: "lab65", l: L, a, b });

/** What a difference means to the eye, patches side by side; from what trade and colour science take as seen. */
const SEEN: ReadonlyArray<readonly [below: number, words: string]> = [
  [1, "not told apart"],
  [2, "told apart side by side only"],
  [5, "near, and seen to differ"],
  [Number.POSITIVE_INFINITY, "another colour"],
];
export const differenceWords = (dE: number): string => SEEN.find(([below]) => dE < below)?.[1] ?? "";
