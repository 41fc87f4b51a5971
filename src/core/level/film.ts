import { plain } from "../units";
import type { Warning } from "../units/schema";
import type { FilmInput, FilmResult } from "./film.schema";

/** Where nothing is said of an edge it counts as the flat. */
const FLAT = { film_factor: 1, cut_factor: 1 } as const;

/**
 * What is left of a film after coats and cuts, and how likely it is rubbed through, at the flat and at the edge; µm.
 * film = existing + Σ wet · solids · count; left = film − Σ cuts; at the edge film · factor − Σ cuts · factor. Rub-through is
 * P(left < safe) of a normal distribution whose variances add. A scratch closes by `cut_um` a cycle when sprayed, by `coat_um` when
 * filled drop on drop.
 * @example film({ existing_um: 110, coats: [], cuts: [], safe_um: 60, scratch: { depth_um: 90, mode: "spray", coat_um: 8, cut_um: 6 } }).cycles // => 15
 */
export function film(input: FilmInput): FilmResult {
  const { film_factor, cut_factor } = input.edge ?? FLAT;
  const film_um =
    input.existing_um + input.coats.reduce((sum, { wet_um, solids_pct, count }) => sum + (wet_um * solids_pct * count) / 100, 0);
  const cut = input.cuts.reduce((sum, { um }) => sum + um, 0);
  const cut_var = input.cuts.reduce((sum, { sd_um = 0 }) => sum + sd_um ** 2, 0);
  const sd = input.existing_sd_um ?? 0;
  const left_um = film_um - cut;
  const left_edge_um = film_um * film_factor - cut * cut_factor;
  const cycles = cyclesOf(input);
  return {
    film_um,
    left_um,
    left_edge_um,
    rub_through_pct: below(input.safe_um, left_um, Math.sqrt(sd ** 2 + cut_var)),
    rub_through_edge_pct: below(input.safe_um, left_edge_um, Math.sqrt((sd * film_factor) ** 2 + cut_var * cut_factor ** 2)),
    ...(cycles === undefined ? {} : { cycles }),
    basis: {
      formula: "film = existing + Σ wet·solids·n; left = film − Σ cuts; P(left < safe) normal, variances add; cycles = ⌈depth / step⌉",
      source: "mass balance of the film; propagation of uncertainty, JCGM 100:2008; error function, Abramowitz and Stegun 7.1",
    },
    warnings: warningsOf(input, film_um, cut, cycles),
  };
}

function cyclesOf({ scratch }: FilmInput): number | undefined {
  if (!scratch) return undefined;
  const step = scratch.mode === "drop" ? scratch.coat_um : scratch.cut_um;
  return Math.ceil(scratch.depth_um / step - 1e-9);
}

/** Sprayed and cut, the film around gains a coat and loses a cut each cycle: where it falls under the safe film, that is said. */
function warningsOf({ scratch, safe_um }: FilmInput, film_um: number, cut: number, cycles = 0): Warning[] {
  if (scratch?.mode !== "spray") return [];
  const gain = scratch.coat_um - scratch.cut_um;
  const around = (n: number) => film_um - cut + n * gain;
  const n = firstBelow(around(0) - safe_um + 1e-9, gain);
  if (n === undefined || n > cycles) return [];
  return [
    {
      code: "film-too-thin",
      message: `After cycle ${n} the film around is ${plain(around(n))} µm, under the safe ${plain(safe_um)}: fill the scratch drop on drop instead.`,
    },
  ];
}

/** The first n ≥ 1 at which `spare` + n · `gain` is below zero; undefined = it never is. */
function firstBelow(spare: number, gain: number): number | undefined {
  if (spare + gain < 0) return 1;
  return gain < 0 ? Math.floor(spare / -gain) + 1 : undefined;
}

/** P(x < limit), percent, of a normal distribution. */
function below(limit: number, mean: number, sd: number): number {
  if (sd <= 0) return mean < limit ? 100 : 0;
  return 50 * (1 + erf((limit - mean) / (sd * Math.SQRT2)));
}

/** Error function to 1e-12: its series near 0, its continued fraction in the tails (Abramowitz and Stegun 7.1.5 and 7.1.14). */
function erf(x: number): number {
  const z = Math.abs(x);
  if (z > 6) return Math.sign(x);
  if (z > 3) return Math.sign(x) * (1 - erfcTail(z));
  let term = z;
  let sum = z;
  for (let n = 1; n < 100 && Math.abs(term) > 1e-17 * sum; n++) {
    term *= (-z * z) / n;
    sum += term / (2 * n + 1);
  }
  return Math.sign(x) * (2 / Math.sqrt(Math.PI)) * sum;
}

function erfcTail(z: number): number {
  let fraction = 0;
  for (let k = 60; k > 0; k--) fraction = k / 2 / (z + fraction);
  return Math.exp(-z * z) / Math.sqrt(Math.PI) / (z + fraction);
}
