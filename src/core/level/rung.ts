import { againOf, type Range } from "../catalogue";
import { MAX_STEP_RATIO } from "./gritLadder";

/** The relative bench scale of what is sanded: 1 cuts like wax, 5 like glass. */
export type Hardness = 1 | 2 | 3 | 4 | 5;

/**
 * How deep the deepest scratch of a grade goes, as a share of its median grain. A grain ploughs as a cone as deep as the load on it and
 * the hardness under it allow (Rabinowicz, Friction and Wear of Materials, 2nd ed., ch. 7); sectioned papers leave a fifth to a half of
 * their grain (Samuels, Metallographic Polishing by Mechanical Methods, 4th ed., ch. 3). A model: good to some 40 %.
 */
const SCRATCH_SHARE: Readonly<Record<Hardness, number>> = { 1: 0.5, 2: 0.42, 3: 0.35, 4: 0.28, 5: 0.2 };
export const SCRATCH_OFF = 0.4;
/** Wet the swarf is carried off and no grain rolls on it: shallower by a fifth; trade practice. */
const WET_SHARE = 0.8;
/** A rung goes a tenth deeper than the scratches that it erases. */
const OVER = 1.1;

/** What is sanded, and with what; with care where it is a film, or thin. */
export interface Sanded {
  readonly hardness: Hardness;
  readonly wet: boolean;
  readonly careful?: boolean;
  /** How many times the least minutes, for several places that are alike; absent = once. */
  readonly least_times?: number;
}

/** Depth of the deepest scratch that a grain leaves, µm. @example scratchUm(18.3, { hardness: 3, wet: true }) // => 5.124 */
export const scratchUm = (micron: number, { hardness, wet }: Sanded): number => micron * SCRATCH_SHARE[hardness] * (wet ? WET_SHARE : 1);

/** What a rung takes off in the time that it is usually given: the scratches of the widest step before it, µm. */
export const usualUm = (micron: number, sanded: Sanded): number => OVER * scratchUm(micron * MAX_STEP_RATIO, sanded);

/** A rung as it works: what it takes off, what it leaves, and how long hands are on it. */
export interface Rung {
  readonly micron: number;
  readonly takes_um: number;
  readonly leaves_um: number;
  readonly leaves_range_um: Range;
  readonly minutes: Range;
}

/** Stock removed by hand with a fresh sheet, mm³ a minute, at a grain of 100 µm in what is of middle hardness; Archard's law makes it go with the grain's bite and against the hardness. Trade practice, good to a factor of two. */
const RATE_MM3_MIN = 45;
const SOFTER: Readonly<Record<Hardness, number>> = { 1: 3, 2: 1.8, 3: 1, 4: 0.55, 5: 0.25 };
/** A larger flat is sanded by machine, mm²: it takes some six times as much. Trade practice. */
const BY_MACHINE_FROM_MM2 = 10_000;
const MACHINE = 6;
/** Setting up, wiping between, looking: for every rung, min; and what nobody does a rung under, small as it may be. Trade practice. */
const ABOUT_MIN = 1.5;
const LEAST_MIN: Range = [3, 9];
const CAREFUL_MIN: Range = [4, 10];
const RATE_OFF = 2;

/** A grade that is walked, and what stood proud when one went back to it, µm. */
export interface Step {
  readonly micron: number;
  readonly proud_um?: number;
}

/**
 * The rungs of a ladder on so much area: the first, and one that was gone back to, takes what stands proud (or, level already, its usual
 * bite); each finer one the scratches of the one before and a tenth more. µm, mm².
 */
export function rungsOf(steps: readonly Step[], sanded: Sanded, area_mm2: number): Rung[] {
  return steps.map(({ micron, proud_um = 0 }, i) => {
    const before = steps[i - 1]?.micron;
    const starts = before === undefined || before <= micron;
    const takes_um = starts ? Math.max(proud_um, usualUm(micron, sanded)) : OVER * scratchUm(before, sanded);
    const leaves_um = scratchUm(micron, sanded);
    return {
      micron,
      takes_um,
      leaves_um,
      leaves_range_um: [leaves_um * (1 - SCRATCH_OFF), leaves_um * (1 + SCRATCH_OFF)],
      minutes: minutesFor((takes_um * area_mm2) / 1000, micron, sanded, area_mm2),
    };
  });
}

/** Minutes of hands for so many mm³ with a grain: the one figure that step, ladder and week go by. */
function minutesFor(mm3: number, micron: number, { hardness, careful, least_times = 1 }: Sanded, area_mm2: number): Range {
  const machine = area_mm2 > BY_MACHINE_FROM_MM2 ? MACHINE : 1;
  const minutes = mm3 / (RATE_MM3_MIN * (micron / 100) * SOFTER[hardness] * machine);
  const [low, high] = careful ? CAREFUL_MIN : LEAST_MIN;
  return [Math.max(low * least_times, ABOUT_MIN + minutes / RATE_OFF), Math.max(high * least_times, ABOUT_MIN + minutes * RATE_OFF)];
}

/** A quarter of a sheet of 230 × 280 mm keeps cutting over so much of a face, mm²; trade practice. */
const QUARTER_MM2 = 20_000;
export const QUARTERS_A_SHEET = 4;
/** A sheet, €; typical of trade prices. */
const SHEET_EUR: Range = [0.5, 1.2];

/** A pad of 4 to 8 € serves some 20 times, for one compound only; a lint-free wipe between grades. Typical trade prices, €. */
export const PAD_EUR: Range = [0.2, 0.4];
export const WIPE_EUR: Range = [0.05, 0.15];

/** Sheets that a rung uses up on so much of a face, and what they cost. */
export function sheetsFor(area_mm2: number): { readonly quarters: number; readonly eur: Range } {
  const quarters = Math.max(1, Math.ceil(area_mm2 / QUARTER_MM2));
  return { quarters, eur: [(quarters / QUARTERS_A_SHEET) * SHEET_EUR[0], (quarters / QUARTERS_A_SHEET) * SHEET_EUR[1]] };
}

/** What is sanded runs out past what was filled, mm. */
const AROUND_MM = 2;
/** The face that is sanded over an opening, with what is taken along around it, reckoned round. mm². */
export const sandedOver = (opening_mm2: number): number =>
  opening_mm2 > 0 ? Math.PI * (Math.sqrt(opening_mm2 / Math.PI) + AROUND_MM) ** 2 : 0;

/** The face that is sanded over what was filled here, mm². */
export const sandedMm2 = (here: ReadonlyArray<{ readonly opening_mm2?: number; readonly alike?: number }>): number =>
  Math.max(
    LEAST_MM2,
    here.reduce((sum, { opening_mm2 = 0, alike = 1 }) => sum + sandedOver(opening_mm2) * alike, 0),
  );

/** A block covers at least this, mm². */
const LEAST_MM2 = 100;

/** Minutes of one rung after the grain before it; of the first, of what stands proud. µm, on what is sanded of these places. */
export function rungMinutes(
  {
    micron,
    before_um,
    proud_um = 0,
    ...sanded
  }: Sanded & { readonly micron: number; readonly before_um?: number | undefined; readonly proud_um?: number },
  here: Parameters<typeof sandedMm2>[0],
): Range {
  const steps = before_um === undefined ? [{ micron, proud_um }] : [{ micron: before_um }, { micron }];
  return rungsOf(steps, { ...sanded, least_times: againOf(here) }, sandedMm2(here)).at(-1)?.minutes ?? LEAST_MIN;
}

/** What stands proud after a rung decides: above so many bites of the next one, a coarser grade is the shorter way. */
const BITES = 6;

/** Whether so much proud is too much for the next grade, µm. */
export const wantsCoarser = (proud_um: number, nextMicron: number, sanded: Sanded): boolean =>
  proud_um > BITES * usualUm(nextMicron, sanded);
