import { plain } from "../units";
import type { Warning } from "../units/schema";
import type { BraceInput, BraceJoint, BraceResult } from "./brace.schema";
import { handlingLever, handlingOf } from "./handling";
import { type Sides, type SizedBrace, sidesOf, sizedFor, sizeOf } from "./sizing";
import { STRENGTHS, type StrengthRow } from "./strengths.data";

/** From here on a person may be what it carries. */
const PERSON_N = 300;
/** Bending strengths of what is let in, N/mm²: beech dowel (DIN EN 338 class D40), stainless A2 (EN 10088-3, proof stress). */
const WOOD_BRACE = 40;
const STEEL_BRACE = 190;

/**
 * Whether a joint needs a brace, and which. Bending stress at the break, M / W, or direct tension F / A without a lever, against the
 * glue line's strength at its grain angle after Hankinson: N = P·Q / (P·sin²α + Q·cos²α), P along the grain, Q of a glued butt
 * joint, α the angle between break and grain (FPL Wood Handbook 2021, ch. 5 and 10). Lengths mm, loads N.
 * Safety = strength over stress; needed under the safety that the material asks, not needed from 1.5 times it on; a tear always is, and so
 * is a square break of wood that carries; a crack is at least optional.
 */
export function brace(input: BraceInput): BraceResult {
  const strength = STRENGTHS[input.material];
  const { line, stress, said } = strainOf(input);
  const without = safety(line, stress);
  const sized = sizedFor(input);
  const wanted = input.brace === undefined ? sized.find(({ refused }) => !refused) : sizeOf(input.brace, input);
  const withIt = wanted ? safetyWith(wanted, input) : without;
  const needed = neededBy(input);
  return {
    needed,
    safety_without: without,
    safety_with: withIt,
    options: [...optionsOf(sized), ...(needed === "yes" ? [] : [NONE])],
    basis: {
      formula: "safety = strength of the glue line at its grain angle (Hankinson) and thickness over M/W or F/A",
      source: `${strength.source}; asked safety ${strength.asks}; ${said}; low ends of published ranges, a well-wetted joint, no fatigue`,
    },
    warnings: braceWarnings(input, wanted),
  };
}

/** Safety at the break with a brace let in, in the size that it has; without what it adds where it does not fit. */
export function safetyWith(sized: SizedBrace, input: BraceInput): number {
  const { line, stress } = strainOf(input);
  const sides = sidesOf(input);
  if (sized.refused) return safety(line, stress);
  return safety(line * leftShare(sized, sides) + braceMoment(sized, sides) / modulus(sides), stress);
}

/** What of the glued face is left where a brace is cut through it, 0 to 1. */
function leftShare({ kind, size }: SizedBrace, sides: Sides): number {
  const { hole_mm = 0, width_mm: w = 0, depth_mm: depth = 0, count = 1 } = size;
  const taken = kind === "spline" ? count * w * depth : kind === "dowel" || kind === "pin" ? (Math.PI / 4) * hole_mm ** 2 : 0;
  return Math.max(0, 1 - taken / areaOf(sides));
}

/** What the glue line stands and what it has to, N/mm², and the load in words. */
function strainOf(input: BraceInput): { readonly line: number; readonly stress: number; readonly said: string } {
  const sides = sidesOf(input);
  const { moment, force, said } = loadOf(input, sides);
  const stress = moment > 0 ? moment / modulus(sides) : force / areaOf(sides);
  return { line: jointStrength(input, sides, STRENGTHS[input.material]), stress, said };
}

const NONE: BraceResult["options"][number] = { kind: "none", size: {}, reasons: ["The glue line carries it: leave the piece whole."] };

/** Numbers stay finite where nothing pulls at all. */
const MOST = 1000;
const safety = (strength: number, stress: number) => (stress > 0 ? Math.min(MOST, strength / stress) : MOST);

interface Load {
  readonly moment: number;
  readonly force: number;
  readonly said: string;
}

function loadOf({ load_N = 0, lever_mm, use = "handled" }: BraceInput, { width, height }: Sides): Load {
  if (load_N > 0) return { moment: load_N * (lever_mm ?? 0), force: load_N, said: `load ${plain(load_N)} N` };
  const { force_N, words } = handlingOf(use, Math.min(width, height));
  const lever = lever_mm ?? handlingLever(height);
  return {
    moment: force_N * lever,
    force: force_N,
    said: `no load given: ${plain(force_N)} N at ${plain(lever)} mm assumed, for ${words}`,
  };
}

/** Section modulus, mm³: b·h²/6, or π·d³/32 of a round one. */
function modulus({ width, height, round }: Sides): number {
  return round ? (Math.PI * height ** 3) / 32 : (width * height ** 2) / 6;
}

function areaOf({ width, height, round }: Sides): number {
  return round ? (Math.PI / 4) * height ** 2 : width * height;
}

/** Angle between the break and the grain, as sin²: 1 straight across, small for a long slope. */
function acrossGrain({ joint, slope_length_mm }: BraceInput, { height }: Sides): number {
  if (joint === "crack") return 1;
  if (slope_length_mm === undefined) return joint === "break-along" ? 0.5 : 1;
  return height ** 2 / (height ** 2 + slope_length_mm ** 2);
}

function jointStrength({ gap_mm = 0, ...input }: BraceInput, sides: Sides, { along, joint, grain }: StrengthRow): number {
  const kept = thickLine(gap_mm);
  if (!grain) return Math.min(along, joint) * kept;
  const sin2 = acrossGrain(input, sides);
  return ((along * joint) / (along * sin2 + joint * (1 - sin2))) * kept;
}

/**
 * What a thick line of filled adhesive keeps of a thin one's strength: all up to 0.2 mm, some three quarters at 1 mm, half at 3 mm.
 * Measured on lap joints of 0.2 to 1 mm (da Silva et al., International Journal of Adhesion and Adhesives 26, 2006); beyond that a rule of thumb.
 */
const thickLine = (gap_mm: number) => 1 / (1 + 0.36 * Math.max(0, gap_mm - 0.2));

/** Bending moment that the brace itself takes over the break, N·mm. */
function braceMoment({ kind, size }: SizedBrace, { width }: Sides): number {
  const { diameter_mm: d = 0, width_mm: w = 0, depth_mm: depth = 0, count = 1, thickness_mm: t = 0, margin_mm: margin = 0 } = size;
  const rod = (Math.PI * d ** 3) / 32;
  const MOMENTS: Readonly<Record<string, number>> = {
    dowel: WOOD_BRACE * rod,
    pin: STEEL_BRACE * rod,
    wire: STEEL_BRACE * rod,
    screw: STEEL_BRACE * rod,
    spline: (WOOD_BRACE * count * w * depth ** 2) / 6,
    cleat: (WOOD_BRACE * count * w * t ** 2) / 6,
    patch: margin * width,
  };
  return MOMENTS[kind] ?? 0;
}

/** What is never less than this, whatever the figure says: the edges of a tear hold on nothing else, and the seasons open a crack again. */
const LEAST: Partial<Readonly<Record<BraceJoint, BraceResult["needed"]>>> = { tear: "yes", crack: "optional" };
/** Not needed from so many times the asked safety on. */
const NOT_NEEDED_FROM = 1.5;

/** End grain that carries, whether its load is known or not: glue alone is never relied on there (FPL Wood Handbook 2021, ch. 10). */
const isLoadedEndGrain = ({ joint, use, material }: BraceInput): boolean =>
  joint === "break-across" && use === "carried" && STRENGTHS[material].grain === true;

function neededBy(input: BraceInput): BraceResult["needed"] {
  // the joins of a dish hold one another up: they are not one beam
  if (input.support === "body") return "no";
  const { line, stress } = strainOf(input);
  const [found, { asks }] = [safety(line, stress), STRENGTHS[input.material]];
  const least = isLoadedEndGrain(input) ? "yes" : LEAST[input.joint];
  if (least === "yes" || found < asks) return "yes";
  return least ?? (found < asks * NOT_NEEDED_FROM ? "optional" : "no");
}

function optionsOf(sized: readonly SizedBrace[]): BraceResult["options"] {
  return sized.filter(({ refused }) => !refused).map(({ kind, size, reasons }) => ({ kind, size: { ...size }, reasons: [...reasons] }));
}

/** What to mind with a brace let in, in the size that it has: people, kinds that do not fit, and what stays under what is asked. */
export function braceWarnings(input: BraceInput, taken: SizedBrace | undefined): Warning[] {
  return [
    ...referWarnings(input),
    ...plateWarnings(input),
    ...endGrainWarnings(input),
    ...unfitWarnings(input),
    ...weakWarnings(input, taken),
  ];
}

/** A cracked plate or dish is held all round its crack: the lever of the formula is only the hand that lifts it. */
function plateWarnings({ joint, load_N = 0 }: BraceInput): Warning[] {
  if (joint !== "crack" || load_N > 0) return [];
  const message = "A cracked plate or dish is no lever: the figure compares glue with handling, it does not say what the piece may carry.";
  return [{ code: "no-lever", message }];
}

function endGrainWarnings(input: BraceInput): Warning[] {
  const { line, stress } = strainOf(input);
  if (!isLoadedEndGrain(input) || safety(line, stress) < STRENGTHS[input.material].asks) return [];
  return [
    { code: "end-grain", message: "End grain that carries is braced whatever the figure says: glue alone holds there on a good day only." },
  ];
}

function referWarnings({ load_N = 0 }: BraceInput): Warning[] {
  if (load_N < PERSON_N) return [];
  const message = `${plain(load_N)} N may be a person: never trust a repair with that. Refer it to someone licensed for structural work.`;
  return [{ code: "refer", message }];
}

function unfitWarnings(input: BraceInput): Warning[] {
  const sized = sizedFor(input);
  const unfit = sized.filter(({ refused }) => refused);
  const told = unfit.map(({ kind, reasons }) => ({ code: `no-${kind}`, message: reasons.join(" ") }));
  if (unfit.length < sized.length || neededBy(input) !== "yes") return told;
  const message = "No brace fits in here: ask less of the piece, let it hang or lie, or replace the part.";
  return [...told, { code: "none-fits", message }];
}

/** A brace that is let in and still does not reach what is asked must not be trusted silently. */
function weakWarnings(input: BraceInput, taken: SizedBrace | undefined): Warning[] {
  const { asks } = STRENGTHS[input.material];
  if (!taken || taken.refused || taken.kind === "none") return [];
  const reached = safetyWith(taken, input);
  if (reached >= asks || neededBy(input) !== "yes") return [];
  const held = `Even with the ${taken.kind} the safety is ${plain(reached, 1)} of ${asks}`;
  return [{ code: "still-weak", message: `${held}: take another brace, ask less of the piece, or refer it.` }];
}
