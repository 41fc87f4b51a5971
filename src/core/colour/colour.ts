import { figure } from "../units";
import type { Warning } from "../units/schema";
import type { ColourInput, ColourResult } from "./colour.schema";
import { dE00 } from "./deltaE";
import { fitted, ksOf, type Mixture, mixed, offBy, polished, type Search } from "./mixture";
import { ILLUMINANTS, type Illuminant } from "./spectra.data";
import { type Lab, labOf, smoothReflectance } from "./spectrum";

/** Without a number a recipe has so many pigments at most: what a palette knife keeps apart. */
const MOST = 4;
/** So many of each size are carried on to the next. */
const BEAM = 8;
/** So many are polished by the difference itself. */
const POLISHED = 3;
/** Nobody sees this: of two so near the one with fewer pigments is taken. */
const EQUAL_DE = 0.01;
/** A simpler recipe is worth telling while it is no further off than this beyond the best. */
const ALMOST_DE = 0.5;
/** Shares under this are not weighed. */
const LEAST_SHARE = 1e-4;

/**
 * The recipe of at most `most` pigments whose opaque mixture comes nearest to a target under daylight. Single-constant Kubelka–Munk: K/S adds
 * by mass, every pigment scatters alike. A beam search over sets, each fitted by Gauss–Newton and the best polished by CIEDE2000; it does
 * not try all sets of three and more: within 0.05 of the best where the target can be mixed, within 0.5 where it can't (`colour.test.ts`). Pigments are looked at by name, so that their order changes nothing.
 */
export function colour({
  pigments,
  target,
  most = MOST,
  illuminants = Object.keys(ILLUMINANTS) as Illuminant[],
}: ColourInput): ColourResult {
  const palette = [...pigments].sort((a, b) => compare(a.name, b.name) || compare(String(a.r), String(b.r)));
  const wanted = target.r ?? smoothReflectance(target.lab as Lab);
  const lab = target.lab ?? labOf(wanted);
  const search: Search = { palette: palette.map(({ r }) => ksOf(r)), target: lab };
  const bySize = best(search, Math.min(most, palette.length)).map((mixture) => cleaned(search, mixture));
  const found = bySize.reduce((a, b) => (b.off < a.off - EQUAL_DE ? b : a));
  const r = mixed(search.palette, found.of, found.shares);
  const recipeOf = ({ of, shares }: Mixture) =>
    of.map((at, i) => ({ name: palette[at]?.name ?? "", pct: (shares[i] ?? 0) * 100 })).sort((a, b) => b.pct - a.pct);
  return {
    recipe: recipeOf(found),
    lab: labOf(r),
    dE00: found.off,
    r,
    metamerism: illuminants.map((illuminant) => ({ illuminant, dE00: dE00(labOf(r, illuminant), labOf(wanted, illuminant)) })),
    simpler: bySize
      .filter(({ of, off }) => of.length < found.of.length && off <= found.off + ALMOST_DE)
      .map((mixture) => ({ recipe: recipeOf(mixture), dE00: mixture.off })),
    basis: {
      formula: "K/S = (1 − R)²/2R, added by mass; least CIEDE2000 under D65, 2° observer",
      source: "Kubelka and Munk 1931, single constant; opaque, matt, no gloss from the surface; ISO/CIE 11664-6",
    },
    warnings: warningsOf(found.off, target.r === undefined),
  };
}

const compare = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0);

/** The best mixture of each number of pigments, from one on. */
function best(search: Search, most: number): Mixture[] {
  const all = search.palette.map((_, i) => i);
  let beam: Mixture[] = all.map((i): Mixture => ({ of: [i], shares: [1], off: offBy(search, [i], [1]) }));
  const bySize: Mixture[] = [];
  for (let size = 1; ; size++) {
    const ranked = beam.sort((a, b) => a.off - b.off || compare(String(a.of), String(b.of)));
    const refined = ranked.slice(0, POLISHED).map((each) => polished(search, each));
    const nearest = refined.reduce((a, b) => (b.off < a.off ? b : a));
    bySize.push(nearest);
    if (size >= most || nearest.off < EQUAL_DE / 2 || !helps(bySize)) return bySize;
    // pairs are all tried; from there on the nearest are carried on
    beam = grown(search, size === 1 ? ranked : [...refined, ...ranked.slice(POLISHED, BEAM)], all);
  }
}

/** Whether one of the last two pigments brought it nearer: where neither did, the target lies outside what the palette mixes. */
function helps(bySize: readonly Mixture[]): boolean {
  const [last, , before] = [...bySize].reverse();
  return !last || !before || last.off < before.off - EQUAL_DE;
}

/** Every set of the beam with one pigment more, fitted. */
function grown(search: Search, beam: readonly Mixture[], all: readonly number[]): Mixture[] {
  const seen = new Map<string, Mixture>();
  for (const mixture of beam)
    for (const more of all.filter((each) => joins(mixture, each))) {
      const fit = withOneMore(search, mixture, more);
      const key = fit.of.join(" ");
      const known = seen.get(key);
      if (!known || fit.off < known.off) seen.set(key, fit);
    }
  return [...seen.values()];
}

/** A pair would be met from both its ends: once is enough. */
const joins = ({ of }: Mixture, more: number) => !of.includes(more) && (of.length > 1 || more > (of[0] ?? 0));

/** A pair is begun from both ends, for a strong pigment does its work in hundredths; more of them from a little of the new one. */
const STARTS = [0.1, 0.9];

function withOneMore(search: Search, { of, shares }: Mixture, more: number): Mixture {
  const joined = [...of, more].sort((a, b) => a - b);
  const begun = (start: number) => joined.map((at) => (at === more ? start : (shares[of.indexOf(at)] ?? 0) * (1 - start)));
  const fits = STARTS.slice(0, of.length === 1 ? 2 : 1).map((start) => fitted(search, joined, begun(start)));
  return fits.reduce((a, b) => (b.off < a.off ? b : a));
}

/** Without what can't be weighed, and told anew. */
function cleaned(search: Search, { of, shares, off }: Mixture): Mixture {
  const kept = of.flatMap((at, i) => ((shares[i] ?? 0) >= LEAST_SHARE ? [[at, shares[i] ?? 0] as const] : []));
  if (kept.length === of.length || kept.length === 0) return { of, shares, off };
  const sum = kept.reduce((all, [, share]) => all + share, 0);
  const [left, rest] = [kept.map(([at]) => at), kept.map(([, share]) => share / sum)];
  return { of: left, shares: rest, off: offBy(search, left, rest) };
}

/** From here on the eye tells two patches beside one another apart. */
const SEEN_DE = 2;

function warningsOf(off: number, smooth: boolean): Warning[] {
  return [
    ...(off > SEEN_DE
      ? [
          {
            code: "not-reached",
            message: `These pigments come no nearer than dE00 ${figure(off, 1)}: one is missing, or the target is brighter than any mixture.`,
          },
        ]
      : []),
    ...(smooth
      ? [
          {
            code: "smooth-reflectance",
            message: "A colour alone has no spectrum: a smooth one was taken, and other lamps are judged by it.",
          },
        ]
      : []),
  ];
}
