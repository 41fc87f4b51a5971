import { film } from "./film";
import type { Hardness, Rung } from "./rung";

/** A film that is levelled: how thick it is, and how sure that is, µm. */
export interface Measured {
  readonly um: number;
  readonly sd_um: number;
  /** Read off a gauge, or taken as typical. */
  readonly by: "survey" | "typical" | "new";
}

/** One step of the budget: what is left after it at the flat and at the edge, µm, and how likely it is rubbed through there, percent. */
export interface BudgetStep {
  readonly name: string;
  readonly flat_um: number;
  readonly edge_um: number;
  readonly flat_pct: number;
  readonly edge_pct: number;
  /** It is behind. */
  readonly done: boolean;
  /** Something was taken off: only then can it be too much. */
  readonly cut: boolean;
}

/** At an edge a film has run thin, and a block cuts more: trade practice, as shares of the flat. */
export const EDGE = { film_factor: 0.7, cut_factor: 1.6 } as const;
/** What a rung takes, and what a coat lays, varies by so much of it. */
const CUT_OFF = 0.3;
const COAT_OFF = 0.2;
/** Above this chance it is not sanded on without tape over the edge, percent. */
export const STOP_PCT = 5;

/** A step of the budget: what a rung takes off, or what coats add, µm. */
export interface BudgetRung extends Pick<Rung, "takes_um"> {
  readonly name: string;
  readonly done: boolean;
  readonly adds_um?: number;
  /** Read off a gauge after it, µm. */
  readonly gauge_um?: number;
}

/**
 * What is left of a film after each rung, flat and edge. A gauge reading after a rung takes the place of all that was reckoned before it.
 * Mass balance of the film; variances add (JCGM 100, 5.1.2).
 */
export function budgetOf(start: Measured, rungs: readonly BudgetRung[], safe_um: number): BudgetStep[] {
  let base = { um: start.um, sd_um: start.sd_um };
  let cuts: Array<{ um: number; sd_um: number }> = [];
  const steps = [stepOf({ name: "Before", done: true, cut: false }, base, cuts, safe_um)];
  for (const { name, takes_um, adds_um = 0, done, gauge_um } of rungs) {
    base = { um: base.um + adds_um, sd_um: Math.hypot(base.sd_um, adds_um * COAT_OFF) };
    if (takes_um > 0) cuts = [...cuts, { um: takes_um, sd_um: takes_um * CUT_OFF }];
    if (gauge_um !== undefined) {
      base = { um: gauge_um, sd_um: Math.max(GAUGE_UM, gauge_um * GAUGE_OFF) };
      cuts = [];
    }
    steps.push(stepOf({ name, done, cut: takes_um > 0 }, base, cuts, safe_um));
  }
  return steps;
}
/** A film gauge on the bench reads to so much, µm and share; typical data sheets of ultrasonic and magnetic gauges. */
const GAUGE_UM = 2;
const GAUGE_OFF = 0.03;

function stepOf(
  step: Pick<BudgetStep, "name" | "done" | "cut">,
  base: { um: number; sd_um: number },
  cuts: Array<{ um: number; sd_um: number }>,
  safe_um: number,
): BudgetStep {
  const left = film({ existing_um: base.um, existing_sd_um: base.sd_um, coats: [], cuts, edge: EDGE, safe_um });
  return {
    ...step,
    flat_um: left.left_um,
    edge_um: left.left_edge_um,
    flat_pct: left.rub_through_pct,
    edge_pct: left.rub_through_edge_pct,
  };
}

/** The first cut after which a place is more likely rubbed through than may be; undefined where none is. */
export function stopAt(steps: readonly BudgetStep[], where: "edge" | "flat"): number | undefined {
  const at = steps.findIndex((step) => step.cut && (where === "edge" ? step.edge_pct : step.flat_pct) > STOP_PCT);
  return at < 0 ? undefined : at;
}

/** A film is never left thinner than this, µm: over wood lacquers want 60; polish is built thin, paint covers with less. Trade practice, typical data sheets. */
const SAFE_UM: Readonly<Record<string, number>> = { shellac: 15, paint: 30 };
const SAFE_FILM_UM = 60;
export const safeFilmUm = (finish: string): number => SAFE_UM[finish] ?? SAFE_FILM_UM;

/** How hard a film is on the bench scale: cured polyester is near a hard resin, the rest cuts like one that is not. Trade practice. */
const FILM_HARDNESS: Readonly<Record<string, Hardness>> = { "polyester-film": 4 };
export const filmHardness = (finish: string): Hardness => FILM_HARDNESS[finish] ?? 3;
