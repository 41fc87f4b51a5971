import { dryFilmUm, ROLE_LABELS } from "../catalogue";
import { type BudgetRung, type BudgetStep, budgetOf, filmHardness, type Measured, safeFilmUm, stopAt } from "../level/budget";
import { usualUm } from "../level/rung";
import { rungGrain } from "../level/rungGrain";
import type { WorkedDamage } from "../plan/damageContext";
import { materialOf } from "../plan/materialOf";
import type { Operation } from "../plan/plan.schema";
import { present } from "../units";
import { bareFrom, coatsLeft } from "./coatsLeft";
import { filmBeside } from "./filmBeside";
import type { Worked } from "./worked";

/** What is left of a film after every coat and every cut, against what must be left. */
export interface FilmBudget {
  readonly damage: string;
  readonly start: Measured;
  readonly safe_um: number;
  /** Why so much must be left. */
  readonly safe_because: string;
  readonly steps: readonly BudgetStep[];
  readonly stop?: string;
}

/** The film of every damage that is coated and cut: the old one where the scratch lies in it, else the new one over the fill. */
export function filmBudgetsOf({ repair, marks }: Worked): FilmBudget[] {
  return repair.damages.flatMap((damage): FilmBudget[] => {
    const left = coatsLeft(repair.operations, damage.id);
    const from = bareFrom(repair.operations, damage.id);
    const lies = (op: Operation) => (op.starts === "coated" ? left.includes(op) : op.round >= from);
    const ops = repair.operations.filter((op) => op.damages.includes(damage.id) && touchesFilm(op, damage) && lies(op));
    if (!ops.some(({ kind }) => kind === "grit" || kind === "compound")) return [];
    const rungs = grouped(ops.map((op) => rungOf(op, damage, marks)));
    const start = startOf(damage);
    const safe = safeOf(damage, start, ops);
    // where no film is yet, there is nothing to show before the first coat
    const steps = budgetOf(start, rungs, safe.um).slice(start.by === "new" ? 1 : 0);
    const stop = stopWords(steps);
    return [{ damage: damage.id, start, safe_um: safe.um, safe_because: safe.because, steps, ...(stop ? { stop } : {}) }];
  });
}

const inFilm = ({ places }: WorkedDamage): boolean => places.some(({ kind }) => kind === "film");

/** Coats at Colour, and what cuts them; at Level only what is levelled is itself a film: else it stays under tape. */
const touchesFilm = ({ station, kind, starts, thickness_mm = 0 }: Operation, damage: WorkedDamage): boolean => {
  const cuts = kind === "grit" || kind === "compound";
  if (station === "colour") return cuts || (starts === "coated" && thickness_mm > 0);
  return station === "level" && cuts && inFilm(damage);
};

interface Step extends BudgetRung {
  /** Coats of one kind that follow one another are one step. */
  readonly coat?: string;
}

function rungOf(op: Operation, damage: WorkedDamage, marks: Worked["marks"]): Step {
  const mark = marks.get(op.id);
  const gauge = mark?.body.kind === "done" ? mark.body.film_um : undefined;
  const base = { done: mark !== undefined, ...(gauge === undefined ? {} : { gauge_um: gauge }) };
  const material = materialOf(damage, op);
  if (op.starts === "coated" && material) {
    const adds_um = dryFilmUm(material, op.thickness_mm ?? 0);
    const name = op.role ? ROLE_LABELS[op.role] : material.name;
    return { ...base, name, takes_um: 0, adds_um, coat: `${op.role} ${op.class}` };
  }
  const { name, takes_um } = cutOf(op, damage);
  return { ...base, name, takes_um };
}

/** What a cut takes off a film: as it was planned for a cycle, else what its grain takes in its usual time. */
function cutOf({ title, figures, ...op }: Operation, { context }: WorkedDamage): { readonly name: string; readonly takes_um: number } {
  const grain = rungGrain(present(op));
  if (figures?.cut_um !== undefined || !grain) return { name: title, takes_um: figures?.cut_um ?? 0 };
  return {
    name: grain.grade ? grain.label : "Compound",
    takes_um: usualUm(grain.micron, { hardness: filmHardness(context.f.finish.finish), wet: true }),
  };
}

/** Coats of one kind in a row are one step: "3 × Top coat". */
function grouped(steps: readonly Step[]): BudgetRung[] {
  const groups: Step[][] = [];
  for (const step of steps) {
    const last = groups.at(-1);
    const open = last?.[0];
    if (last && open?.coat !== undefined && open.coat === step.coat && open.done === step.done && last.at(-1)?.gauge_um === undefined)
      last.push(step);
    else groups.push([step]);
  }
  return groups.map((group): BudgetRung => {
    const [first] = group as [Step];
    const last = group.at(-1) as Step;
    return {
      name: group.length > 1 ? `${group.length} × ${first.name.toLowerCase()}` : first.name,
      takes_um: group.reduce((sum, { takes_um }) => sum + takes_um, 0),
      adds_um: group.reduce((sum, { adds_um = 0 }) => sum + adds_um, 0),
      done: last.done,
      ...(last.gauge_um === undefined ? {} : { gauge_um: last.gauge_um }),
    };
  });
}

/** A film of no known kind, µm. */
const SOME_FILM: Measured = { um: 80, sd_um: 20, by: "typical" };

const startOf = (damage: WorkedDamage): Measured => (inFilm(damage) ? (filmBeside(damage) ?? SOME_FILM) : { um: 0, sd_um: 0, by: "new" });

/** Over a fill the colour must stay whole: what lies under the clear, and a little of that. Over wood the old film must. */
function safeOf(damage: WorkedDamage, start: Measured, ops: readonly Operation[]): { readonly um: number; readonly because: string } {
  if (start.by !== "new") return { um: safeFilmUm(damage.context.f.finish.finish), because: "a film thinner than that wears through" };
  const colour = ops
    .filter(({ role, starts }) => role === "colour" && starts === "coated")
    .reduce((sum, op) => sum + (rungOf(op, damage, new Map()).adds_um ?? 0), 0);
  return { um: colour + CLEAR_LEAST_UM, because: "under it the colour is cut" };
}
/** So much clear stays over the colour, µm; trade practice. */
const CLEAR_LEAST_UM = 5;

/** Where to stop, and where to tape; nothing where the film bears every cut. */
function stopWords(steps: readonly BudgetStep[]): string | undefined {
  const [flat, edge] = [stopAt(steps, "flat"), stopAt(steps, "edge")];
  const taped = edge === undefined ? "" : `Tape the edges before ${steps[edge]?.name}`;
  if (flat !== undefined)
    return `Stop before ${steps[flat]?.name}: the flat is more likely cut through than may be. Coat once more, or end there.${taped ? ` ${taped}.` : ""}`;
  return taped ? `${taped}: there it is more likely cut through than may be. The flat bears it.` : undefined;
}
