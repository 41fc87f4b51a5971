import { againOf, type Grade, gradeLabel, grainRange, type Range, sameGrade } from "../catalogue";
import type { Air } from "../cure/lag";
import { type Sheen, type ShrinkWait, sheenOf, shrinkWait } from "../cure/shrinkWait";
import { sandedOf } from "../level/beside";
import { bestSheet } from "../level/ladder";
import { PAD_EUR, QUARTERS_A_SHEET, type Rung, rungsOf, type Sanded, sandedMm2, sheetsFor, WIPE_EUR, wantsCoarser } from "../level/rung";
import { type RungGrain, rungGrain } from "../level/rungGrain";
import type { WorkedDamage } from "../plan/damageContext";
import type { Operation } from "../plan/plan.schema";
import { filledPlaces } from "../plan/subjects/fill";
import { standingProud } from "../plan/subjects/level";
import type { Mark } from "../record/treatment";
import { inSentence, present } from "../units";
import type { Act } from "./acts";
import { filmBeside } from "./filmBeside";
import type { Worked } from "./worked";

/** A rung of the ladder as it is planned and as far as it is walked. */
export interface LevelRung extends Rung {
  readonly op: string;
  readonly label: string;
  readonly grade?: Grade;
  readonly micron_range?: Range;
  readonly state: "done" | "now" | "to-come";
  /** Measured after it: what still stood proud, mm, and the film beside it, µm. */
  readonly proud_mm?: number;
  readonly film_um?: number;
  /** Sheets of it in the drawer, and what this rung uses up, where they are counted. */
  readonly sheets?: { readonly left: number; readonly takes: number };
}

/** What is levelled of one damage, reckoned. */
export interface Levelling {
  readonly damage: string;
  readonly label: string;
  readonly area_mm2: number;
  readonly sanded: Sanded;
  readonly rungs: readonly LevelRung[];
  /** What the rungs use up: quarters of a sheet, a pad for each compound, a wipe after each rung; €. */
  readonly paper: { readonly quarters: number; readonly pads: number; readonly wipes: number; readonly eur: Range };
  /** What stood proud when the ladder was set up, µm; and whether it was measured. */
  readonly proud_um: number;
  readonly measured: boolean;
  /** It was found low, mm: there is nothing to take off before it is filled again. */
  readonly low_mm?: number;
  /** The one sheet that would help most, where the drawer has a hole. */
  readonly sheet?: string;
  /** So much still stands proud that a coarser grade is the shorter way. */
  readonly coarser?: { readonly proud_mm: number; readonly next: string };
  readonly beside?: { readonly finish: string; readonly um: number; readonly told: boolean; readonly scratch_um: number };
  readonly wait?: ShrinkWait & { readonly material: string; readonly laid: boolean; readonly sheen: Sheen };
  /** What lies over it at the end decides which scratch is seen. */
  readonly under: "gloss" | "satin" | "primer";
}

/** Every damage with a ladder, reckoned from what was planned, done and measured. */
export function levellingsOf({ repair, marks }: Worked, acts: readonly Act[], air: Air, now: number): Levelling[] {
  const state = new Map(acts.map(({ op, state: each }) => [op.id, each]));
  return repair.damages.flatMap((damage): Levelling[] => {
    const ops = repair.operations.filter((op) => isRung(op) && op.damages.includes(damage.id));
    if (ops.length === 0) return [];
    const filled = filledPlaces({ ...damage.context, ...present({ found: repair.found }) });
    const context = { ...damage.context, ...present({ found: repair.found }) };
    const here = filled.map(({ place }) => place);
    const film = here.some(({ kind }) => kind === "film");
    const sanded = { ...sandedOf(context, film), least_times: againOf(here) };
    const area_mm2 = sandedMm2(here);
    const proud = standingProud(context);
    const rungs = withMarks(ops, sanded, area_mm2, proud.um, marks, state);
    return [
      {
        damage: damage.id,
        label: filled[0]?.place.label ?? "What was filled",
        area_mm2,
        sanded,
        rungs: rungs.map((rung) => ({ ...rung, ...leftOf(damage, rung.grade, area_mm2) })),
        paper: paperOf(rungs, area_mm2),
        proud_um: proud.um,
        measured: proud.measured,
        ...(proud.low_mm > LEVEL_MM ? { low_mm: proud.low_mm } : {}),
        under: underOf(damage, rungs),
        ...present({
          coarser: coarserOf(rungs, sanded),
          sheet: sheetOf(damage, rungs),
          beside: besideOf(damage, rungs),
          wait: waitOf(damage, filled, marks, repair.operations, air, now),
        }),
      },
    ];
  });
}

/** A compound wants a pad, not a sheet. */
function paperOf(rungs: readonly LevelRung[], area_mm2: number): Levelling["paper"] {
  const each = sheetsFor(area_mm2);
  const sheets = rungs.filter(({ grade }) => grade !== undefined).length;
  const pads = rungs.length - sheets;
  const eur = (end: 0 | 1) => each.eur[end] * sheets + PAD_EUR[end] * pads + WIPE_EUR[end] * rungs.length;
  return { quarters: each.quarters * sheets, pads, wipes: rungs.length, eur: [eur(0), eur(1)] };
}

/** What the drawer holds of a grade, sheets, where that is counted; and whether it is less than this rung uses up. */
function leftOf({ context }: WorkedDamage, grade: Grade | undefined, area_mm2: number): Pick<LevelRung, "sheets"> {
  const paper = grade && context.tools.grits?.find((each) => sameGrade(each, grade));
  if (paper?.sheets === undefined) return {};
  return { sheets: { left: paper.sheets, takes: sheetsFor(area_mm2).quarters / QUARTERS_A_SHEET } };
}

/** Nobody feels less, mm. */
const LEVEL_MM = 0.05;

const isRung = ({ name, round }: Operation): boolean => round === 1 && (name === "grit" || name === "compound");

function withMarks(
  ops: readonly Operation[],
  sanded: Sanded,
  area_mm2: number,
  proud_um: number,
  marks: Worked["marks"],
  states: ReadonlyMap<string, Act["state"]>,
): LevelRung[] {
  const grains = ops.map((op) => rungGrain(present(op)) ?? { label: "", micron: 1 });
  const figures = rungsOf(
    grains.map(({ micron }, i) => ({ micron, proud_um: i === 0 ? proud_um : proudBefore(ops.slice(0, i), marks) })),
    sanded,
    area_mm2,
  );
  const open = ops.findIndex(({ id }) => !marks.has(id));
  return figures.map((rung, i): LevelRung => {
    const op = ops[i] as Operation;
    const mark = marks.get(op.id);
    const { grade, label } = grains[i] as RungGrain;
    const body = mark?.body.kind === "done" ? mark.body : undefined;
    return {
      ...rung,
      op: op.id,
      label,
      state: mark ? "done" : i === open && states.get(op.id) === "now" ? "now" : "to-come",
      ...present({ grade, micron_range: grade && grainRange(grade), proud_mm: body?.surface_mm, film_um: body?.film_um }),
    };
  });
}

/** What stood proud by the last measure before a rung, µm; where none was taken, nothing. */
function proudBefore(ops: readonly Operation[], marks: Worked["marks"]): number {
  const found = ops.flatMap(({ id }) => heightIn(marks.get(id))).at(-1) ?? 0;
  return Math.max(0, found * 1000);
}

const heightIn = (mark: Mark | undefined): number[] =>
  mark?.body.kind === "done" && mark.body.surface_mm !== undefined ? [mark.body.surface_mm] : [];

/** What is missing most of a drawer that is known. */
function sheetOf({ context }: WorkedDamage, rungs: readonly LevelRung[]): string | undefined {
  const { grits } = context.tools;
  const grades = rungs.flatMap(({ grade }) => grade ?? []);
  const [from, to] = [grades[0], grades.at(-1)];
  const best = grits && from && to && bestSheet(from, to, grits);
  return best && gradeLabel(best);
}

/** After the last rung that was measured: what stands there against what the next one takes. */
function coarserOf(rungs: readonly LevelRung[], sanded: Sanded): Levelling["coarser"] {
  const last = rungs.filter(({ state }) => state === "done").at(-1);
  const next = rungs.find(({ state }) => state !== "done");
  if (!next || last?.proud_mm === undefined || last.proud_mm <= 0) return undefined;
  return wantsCoarser(last.proud_mm * 1000, next.micron, sanded) ? { proud_mm: last.proud_mm, next: next.label } : undefined;
}

/** A film beside the fill that these grades would eat: it stays under tape, and the new coats go over it. */
function besideOf(damage: WorkedDamage, [first]: readonly LevelRung[]): Levelling["beside"] {
  const film = filmBeside(damage);
  if (!film || !first || damage.places.some(({ kind }) => kind === "film")) return undefined;
  return { finish: inSentence(damage.context.f.finish.label), um: film.um, told: film.by === "survey", scratch_um: first.leaves_um };
}

/** What ends coarser than this is coated; what ends finer is left as it is, in its own gloss. Grain, µm. */
const COATED_FROM_UM = 15;
const underOf = ({ context: { f } }: WorkedDamage, rungs: readonly LevelRung[]): Levelling["under"] =>
  (rungs.at(-1)?.micron ?? 0) > COATED_FROM_UM ? "primer" : f.finish.gloss ? "gloss" : "satin";

function waitOf(
  damage: WorkedDamage,
  filled: ReturnType<typeof filledPlaces>,
  marks: Worked["marks"],
  operations: readonly Operation[],
  air: Air,
  now: number,
): Levelling["wait"] {
  const thickest = filled.flatMap(({ layers }) => layers.slice(-1)).sort((a, b) => b.applied_mm - a.applied_mm)[0];
  if (!thickest) return undefined;
  const laid = operations
    .filter(({ name, damages }) => name === "place" && damages.includes(damage.id))
    .flatMap(({ id }) => marks.get(id)?.at ?? [])
    .at(-1);
  const sheen = sheenOf(damage.context.f.finish);
  const age_min = laid === undefined ? 0 : Math.max(0, (now - Date.parse(laid)) / 60_000);
  const { material } = thickest.link;
  const found = shrinkWait(material, { thickness_mm: thickest.applied_mm, age_min, temp_C: air.temp_C, rh_pct: air.rh_pct }, sheen);
  return { ...found, material: material.name, laid: laid !== undefined, sheen };
}
