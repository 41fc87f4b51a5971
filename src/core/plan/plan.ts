import {
  earlierGlueRow,
  type Finish,
  finishRow,
  type Grade,
  gradeLabel,
  type MaterialClass,
  middle,
  type PieceKind,
  type PlannedStep,
  type Role,
  type Stage,
  type Station,
  type StepFacts,
  type Substrate,
  stepsFor,
  substrateRow,
} from "../catalogue";
import { COATS_PLANNED, COLOUR_STEPS } from "../colour/steps.data";
import { thicknessFactor } from "../cure/running";
import { layers } from "../fill/layers";
import { proposeProud } from "../fill/proud";
import { braceOf } from "../join/decided";
import { JOIN_STEPS } from "../join/steps.data";
import { LADDER_ENDS, LADDER_STARTS } from "../level/plan.data";
import { walk } from "../level/walk";
import type { Taken } from "../match/match.schema";
import { READY_STEPS } from "../ready/steps.data";
import type { BodyOf } from "../record/events.schema";
import { chosen, materialTaken, STATION_ORDER, type Treatment } from "../record/treatment";
import { flagsOf } from "../survey/consequences";
import { type Loss, lossOf } from "../survey/loss";
import type { Damage } from "../survey/measures.data";
import { type OptionRow, optionRow } from "../survey/options.data";
import type { Survey } from "../survey/survey.schema";
import { counted } from "../units";
import { PLANNED_MIN } from "./planned.data";

/** What the plan must know of the piece. */
export interface PieceFacts {
  readonly kind: PieceKind;
  readonly substrate: Substrate;
  readonly finish: Finish;
}

export interface FillPlan {
  readonly taken: Taken;
  readonly material: MaterialClass;
  readonly loss: Loss;
  readonly proud_mm: number;
  readonly shrinkage_pct: number;
  readonly count: number;
  readonly apply_mm: number;
  readonly layers: ReadonlyArray<{ readonly applied_mm: number; readonly cured_mm: number; readonly surface_mm: number }>;
}

export interface CoatPlan {
  readonly coat: number;
  readonly role: "colour" | "topcoat";
  readonly taken: Taken;
  readonly material: MaterialClass;
}

export interface StationPlan {
  readonly station: Station;
  readonly needed: boolean;
  /** Why it is not needed, or what it holds: "2 layers". */
  readonly note: string;
  readonly hands_min: number;
  /** What passes after it before the next station may start, at 20 °C or the class's own reference. */
  readonly wait_min: number;
  readonly steps: readonly PlannedStep[];
}

/** Everything that follows from survey and choice. */
export interface Plan {
  readonly facts: StepFacts;
  readonly stations: Readonly<Record<Station, StationPlan>>;
  readonly fill?: FillPlan;
  readonly coats: readonly CoatPlan[];
  readonly ladder?: { readonly from: Grade; readonly to: Grade; readonly because: string };
  readonly hands_min: number;
  readonly elapsed_min: number;
}

/** The plan, as far as survey and choice allow; undefined before the survey. */
export function planOf(piece: PieceFacts, treatment: Treatment): Plan | undefined {
  const survey = treatment.survey?.body.survey;
  const { damage } = treatment;
  if (survey === undefined || damage === undefined) return undefined;
  const links = chosen(treatment);
  const facts = stepFacts(piece, treatment, survey, damage, links);
  const fill = links.filler === undefined ? undefined : fillPlan(links.filler, lossOf(damage));
  const coats = coatPlans(links);
  const ladder = treatment.ladder ? { ...treatment.ladder, because: "as you set it" } : fill && defaultLadder(fill.material, piece.finish);
  const parts = { facts, treatment, fill, coats, ladder, links, chosen: treatment.choice !== undefined, instead: insteadOf(treatment) };
  const stations = Object.fromEntries(STATION_ORDER.map((station) => [station, stationPlan(station, parts)])) as Plan["stations"];
  const each = Object.values(stations);
  return {
    facts,
    stations,
    coats,
    ...(fill ? { fill } : {}),
    ...(ladder ? { ladder } : {}),
    hands_min: each.reduce((sum, { hands_min }) => sum + hands_min, 0),
    elapsed_min: each.reduce((sum, { hands_min, wait_min }) => sum + hands_min + wait_min, 0),
  };
}

function stepFacts(
  piece: PieceFacts,
  { choice, brace, form }: Treatment,
  { finish_survives, earlier_glue, inspected }: Survey,
  damage: Damage,
  links: Partial<Record<Role, Taken>>,
): StepFacts {
  return {
    piece: piece.kind,
    on: substrateRow(piece.substrate),
    finish: finishRow(piece.finish),
    damage: damage.kind,
    survives: finish_survives === true,
    through: damage.kind === "hole" && damage.through,
    stance: choice?.body.stance ?? "reversible",
    found: flagsOf(inspected),
    ...(earlier_glue === undefined || earlier_glue === "none" ? {} : { earlier: earlierGlueRow(earlier_glue) }),
    ...(brace ? { brace: brace.body.brace } : {}),
    ...(form ? { form: form.body.form } : {}),
    chain: Object.fromEntries(Object.entries(links).map(([role, taken]) => [role, materialTaken(taken)])),
  };
}

function fillPlan(taken: Taken, loss: Loss): FillPlan {
  const material = materialTaken(taken);
  const { max_layer_mm, shrinkage_pct } = material;
  const proud_mm = proposeProud(loss.depth_mm, shrinkage_pct);
  const shrinks = middle(shrinkage_pct);
  const found = layers({ depth_mm: loss.depth_mm, max_layer_mm, shrinkage_pct: shrinks, proud_mm });
  return { taken, material, loss, proud_mm, shrinkage_pct: shrinks, count: found.count, apply_mm: found.apply_mm, layers: found.layers };
}

function coatPlans(links: Partial<Record<Role, Taken>>): CoatPlan[] {
  const roles = (["colour", "topcoat"] as const).flatMap((role) => {
    const taken = links[role];
    return taken ? Array.from({ length: COATS_PLANNED[role] }, () => ({ role, taken, material: materialTaken(taken) })) : [];
  });
  return roles.map((coat, i) => ({ coat: i + 1, ...coat }));
}

function defaultLadder(filler: MaterialClass, finish: Finish): NonNullable<Plan["ladder"]> {
  const { to, because } = LADDER_ENDS[finish];
  return { from: LADDER_STARTS[filler.hardness], to, because };
}

interface Parts {
  readonly facts: StepFacts;
  readonly treatment: Treatment;
  readonly fill: FillPlan | undefined;
  readonly coats: readonly CoatPlan[];
  readonly ladder: Plan["ladder"];
  readonly links: Partial<Record<Role, Taken>>;
  readonly chosen: boolean;
  /** It is left, replaced or done by hand alone: no chain is planned. */
  readonly instead: OptionRow | undefined;
}

type Draft = Omit<StationPlan, "station">;
const draft = (hands_min: number, note = "", wait_min = 0, steps: readonly PlannedStep[] = []): Draft => ({
  needed: true,
  note,
  hands_min,
  wait_min,
  steps,
});
const unneeded = (note: string): Draft => ({ needed: false, note, hands_min: 0, wait_min: 0, steps: [] });

/** One station at a time; complete by type. */
const PLANNERS: { readonly [S in Station]: (parts: Parts) => Draft } = {
  survey: () => draft(PLANNED_MIN.survey),
  match: () => draft(PLANNED_MIN.match),
  ready: ({ facts, treatment }) => {
    const steps = arranged("ready", stepsFor(READY_STEPS, facts), treatment);
    return draft(sum(steps, "hands_min"), counted(steps.length, "step"), Math.max(0, ...steps.map(({ wait_min }) => wait_min)), steps);
  },
  join: ({ facts, links, treatment, chosen: known }) => {
    if (known && links.adhesive === undefined && links.brace === undefined) return unneeded("nothing to join");
    const steps = arranged("join", stepsFor(JOIN_STEPS, facts), treatment);
    return draft(
      sum(steps, "hands_min"),
      braceOf(facts).way === "none" ? "glued" : "braced",
      referenceMinutes(facts.chain.adhesive, ["handle"]),
      steps,
    );
  },
  fill: ({ fill, chosen: known }) => {
    if (known && fill === undefined) return unneeded("nothing to fill");
    if (fill === undefined) return draft(PLANNED_MIN.layer);
    return draft(
      fill.count * PLANNED_MIN.layer,
      counted(fill.count, "layer"),
      fill.count * referenceMinutes(fill.material, ["hard"], fill.apply_mm),
    );
  },
  level: ({ ladder, chosen: known }) => {
    if (ladder === undefined) return known ? unneeded("nothing to level") : draft(PLANNED_MIN.grit);
    const { steps } = walk(ladder.from, ladder.to, []);
    return draft(steps.length * PLANNED_MIN.grit, `to ${gradeLabel(ladder.to)}`);
  },
  colour: ({ facts, coats, treatment, chosen: known }) => {
    if (known && coats.length === 0) return unneeded("tinted in the mix");
    const steps = arranged("colour", stepsFor(COLOUR_STEPS, facts), treatment);
    const between = coats.slice(0, -1).reduce((wait, coat) => wait + referenceMinutes(coat.material, ["recoat", "hard"]), 0);
    const last = referenceMinutes(coats.at(-1)?.material, ["full"]);
    return draft(coats.length * PLANNED_MIN.coat + sum(steps, "hands_min"), counted(coats.length, "thin coat"), between + last, steps);
  },
  close: () => draft(PLANNED_MIN.close),
};

/**
 * Steps with those of one's own, in the order that was given them; what is new since keeps its place after its neighbour.
 * A closed treatment keeps the steps that it was signed with.
 */
function arranged(station: Station, steps: readonly PlannedStep[], { added, order, closed }: Treatment): PlannedStep[] {
  const own = added.filter((each) => each.station === station).map(ownStep);
  const all = [...steps, ...own];
  const signed = closed?.body.steps?.filter((each) => each.station === station);
  if (signed) return signed.map(({ step }) => all.find((each) => each.step === step) ?? formerStep(step));
  const given = order[station] ?? [];
  const place = (step: string, i: number): number => {
    const found = given.indexOf(step);
    if (found >= 0) return found;
    const before = all[i - 1];
    return before === undefined ? -1 : place(before.step, i - 1) + 0.001;
  };
  return given.length === 0
    ? all
    : all
        .map((step, i) => ({ step, at: place(step.step, i) }))
        .sort((a, b) => a.at - b.at)
        .map(({ step }) => step);
}

function ownStep({ step, text, why, hands_min, wait_min }: Omit<Treatment["added"][number], "kind" | "station">): PlannedStep {
  return { step, text, why, done_when: "you are content with it", hands_min, wait_min, cautions: [] };
}

/** A step that the tables do not know any more; the record still names it. */
function formerStep(step: string): PlannedStep {
  return ownStep({ step, text: step.replaceAll("-", " "), why: "as it was planned then", hands_min: 0, wait_min: 0 });
}

function stationPlan(station: Station, parts: Parts): StationPlan {
  return { station, ...(parts.instead ? plannedInstead(station, parts.instead) : PLANNERS[station](parts)) };
}

/** What was decided in place of a chain. */
export function insteadOf({ survey, decision }: Treatment): OptionRow | undefined {
  if (!survey || !decision || decision.damage) return undefined;
  return optionRow(survey.body.survey.damage.kind, decision.option);
}

/** Without a chain, the work is one step at Make ready, and what it waits for. */
function plannedInstead(station: Station, { option, label, how, risk, hands_min, wait_min }: OptionRow): Draft {
  if (station === "survey") return draft(PLANNED_MIN.survey);
  if (station === "close") return draft(PLANNED_MIN.close);
  if (station !== "ready") return unneeded(label.toLowerCase());
  const step = {
    step: option,
    text: how,
    why: risk,
    done_when: "it is done, or a reason stands why not",
    hands_min,
    wait_min,
    cautions: [],
  };
  return draft(hands_min, label.toLowerCase(), wait_min, [step]);
}

/** The steps of all stations in the order in which they are walked, as a signature keeps them. */
export function plannedSteps({ stations }: Plan): NonNullable<BodyOf<"closed">["steps"]> {
  return STATION_ORDER.flatMap((station) => stations[station].steps.map(({ step }) => ({ station, step })));
}

function sum(steps: readonly PlannedStep[], key: "hands_min"): number {
  return steps.reduce((total, step) => total + step[key], 0);
}

/** Reference minutes until the first of `stages` that the material has; 0 where there is none. */
export function referenceMinutes(material: MaterialClass | undefined, stages: readonly Stage[], thickness_mm?: number): number {
  if (material === undefined) return 0;
  const { cure } = material;
  const found = cure.stages.find(({ stage }) => stages.includes(stage));
  return found ? middle(found.minutes) * thicknessFactor(material, thickness_mm ?? cure.at_mm) : 0;
}
