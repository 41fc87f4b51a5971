import type { Finish, PieceKind, Substrate } from "../catalogue";
import type { CureInput } from "../cure/cure.schema";
import type { Air } from "../cure/lag";
import { type StageTime, stageTimes } from "../cure/running";
import { gradeIn } from "../level/ladder";
import type { Shelf } from "../match/case";
import { takenInAll } from "../mix/batches";
import type { Tools } from "../operation/subject";
import type { FillPlan } from "../plan/context";
import type { DamageInput } from "../plan/damageContext";
import type { BraceChoice } from "../plan/joint";
import { markFacts, type OpMark } from "../plan/marks";
import type { Operation } from "../plan/plan.schema";
import { SCALE_STEP_G } from "../plan/planCalc";
import { type Repair, repairOf } from "../plan/repair";
import type { BodyOf } from "../record/events.schema";
import { isPlaceOf, ordinalOf, readOpId, stationOfOp } from "../record/opId";
import { type DamageRecord, type Entry, type Mark, materialTaken, type Treatment } from "../record/treatment";
import { present } from "../units";
import { finiteRepair } from "./finite";

/** What the plan must know of the piece. */
export interface PieceFacts {
  readonly kind: PieceKind;
  /** The part of the first damage, and every part of the piece. */
  readonly part: string;
  readonly parts: ReadonlyArray<{
    readonly id: string;
    readonly substrate: Substrate;
    readonly finish: Finish;
    readonly finish_to_be?: Finish;
  }>;
  /** What the shop has to work with; absent = as a shop is taken to have it. */
  readonly tools?: Tools;
}

/** A clock that an operation started. Ms since the epoch. */
interface OpClock {
  readonly op: string;
  readonly start: number;
  readonly material: string;
  readonly stages: readonly StageTime[];
  /** The stages where only so much of its thickness was laid, 0 to 1: a thin place is ready before a thick one of the same mix. */
  readonly stagesAt: (share: number) => readonly StageTime[];
}

/** A cup of a mix that is stirred in several. Ms since the epoch. */
export interface MixedBatch {
  readonly entry: string;
  readonly at: number;
  readonly mass_g: number;
  /** Until when it can be worked; absent = it does not set here. */
  readonly until?: number;
}

/** A treatment worked out: its repair, the marks on its operations, and the clocks that they started. */
export interface Worked {
  readonly repair: Repair;
  readonly marks: ReadonlyMap<string, Mark>;
  readonly clocks: ReadonlyMap<string, OpClock>;
  /** Cups of mixes that are stirred in several, but for the last, by operation. */
  readonly batches: ReadonlyMap<string, readonly MixedBatch[]>;
}

/** A damage as the plan takes it, from the log. */
export function damageInput(piece: PieceFacts, damage: DamageRecord): DamageInput {
  const { id, survey, choice, brace, form, fill, back } = damage;
  const part = piece.parts.find((each) => each.id === (survey.body.part ?? piece.part)) ?? piece.parts[0];
  if (!part) throw new RangeError("the piece has no part");
  const way = survey.body.way?.way;
  return {
    id,
    piece: piece.kind,
    part: part.id,
    substrate: part.substrate,
    finish: part.finish,
    ...present({ finish_to_be: part.finish_to_be === part.finish ? undefined : part.finish_to_be }),
    survey: survey.body.survey,
    ...(way ? { way } : {}),
    choose: choice?.body.chain ?? [],
    ...(brace ? { brace: braceChoice(brace.body) } : {}),
    ...(form ? { form: form.body.form } : {}),
    ...present({ override: choice?.body.reason }),
    ...(fill ? { fill: fillPlan(fill.body) } : {}),
    ...(back.length > 0 ? { back: back.flatMap(({ body }) => gradeIn(body.to) ?? []) } : {}),
  };
}

const braceChoice = ({ brace: kind, size, judged_by, router }: BodyOf<"braced">): BraceChoice => ({
  kind,
  ...(kind === "none" ? {} : { size }),
  ...present({ judged_by: judged_by && present(judged_by), router: router && present(router) }),
});

const fillPlan = ({ kind: _kind, damage: _damage, ...set }: BodyOf<"fill-set">): FillPlan => set;

/** The repair as far as damages are settled; undefined where none is. @throws {RangeError} where it can't be planned, or comes to no number */
export function worked(
  piece: PieceFacts,
  treatment: Treatment,
  air: Air,
  climate: CureInput["climate"],
  now: number,
  shelf?: Shelf,
): Worked | undefined {
  const damages = treatment.damages.filter(({ settled }) => settled).map((damage) => damageInput(piece, damage));
  if (damages.length === 0) return undefined;
  const input = {
    damages,
    stance: treatment.stance,
    air,
    tools: piece.tools ?? { scale_step_g: SCALE_STEP_G },
    ...broughtBy(treatment),
    at: now,
    ...(shelf ? { shelf } : {}),
  };
  const timed = treatment.damages.flatMap(({ id, dry_run }) => (dry_run ? [{ id, dry_run }] : []));
  const marks = resolved(treatment.marks, timed.length > 0, () => repairOf({ ...input, marks: new Map() }).operations);
  for (const { id, dry_run } of timed)
    for (const op of dryRunsOf(id, marks.known))
      marks.found.set(op, {
        entry: dry_run.id,
        status: "done",
        at: dry_run.at,
        body: { kind: "done", op, hands_min: dry_run.body.minutes },
      });
  if (treatment.closed) marks.found.set(SIGN, signed(treatment.closed));
  const repair = finiteRepair(repairOf({ ...input, marks: opMarks(marks.found) }));
  const known = new Set(repair.operations.map(({ id }) => id));
  const gone = [...marks.found].flatMap(([id, { body }]) =>
    known.has(id) || !body.words ? [] : [noLongerPlanned(id, body.words, body.title)],
  );
  return {
    repair: gone.length > 0 ? { ...repair, operations: [...gone, ...repair.operations] } : repair,
    marks: marks.found,
    clocks: clocksOf(marks.found, treatment.soft, climate),
    batches: new Map([...treatment.batches].map(([op, cups]) => [op, cups.map((cup) => batchOf(cup, climate))])),
  };
}

/** The rounds and own steps that the log adds to what the damages ask for. */
const broughtBy = ({ rounds, added }: Treatment) => ({
  rounds: rounds.map(({ at, body: { station, places, because, low_mm, filler, count } }) => ({
    station,
    places,
    because,
    at,
    ...present({ low_mm, filler, count }),
  })),
  own: added.map(({ step, station, text, why, hands_min, wait_min, after }) => ({
    id: `own/${station}/${step}`,
    station,
    text,
    why,
    hands_min,
    wait_min,
    ...present({ after }),
  })),
});

/** What was done by an earlier choice of materials stays, in its own words, though no plan asks for it any more. */
function noLongerPlanned(id: string, words: string, title = words): Operation {
  return {
    id,
    name: "earlier",
    round: readOpId(id)?.round ?? 1,
    station: stationOfOp(id),
    damages: [],
    places: [],
    kind: "check",
    title,
    text: words,
    why: "It was done before the plan was changed.",
    done_when: "it is on record",
    hands_min: [0, 0],
    after: [],
    cautions: [],
    mind: [],
    status: "done",
  };
}

/** The operation that the signature does. */
const SIGN = "r1/close/sign";

const signed = ({ id, at, by, body }: NonNullable<Treatment["closed"]>): Mark => ({
  entry: id,
  status: "done",
  at,
  ...(by ? { by } : {}),
  body: { kind: "done", op: SIGN, ...(body.hands_min === undefined ? {} : { hands_min: body.hands_min }) },
});

const opMarks = (marks: ReadonlyMap<string, Mark>) =>
  new Map(
    [...marks].map(([op, { status, at, body }]): [string, OpMark] => [
      op,
      { status, at, ...(body.kind === "done" ? markFacts(body) : {}) },
    ]),
  );

/** Marks of the first version say "the second mix": they find their operation by its place among its kind. */
function resolved(
  marks: ReadonlyMap<string, Mark>,
  asked: boolean,
  operations: () => readonly Operation[],
): { readonly found: Map<string, Mark>; readonly known: readonly Operation[] } {
  if (!asked && ![...marks.keys()].some((op) => ordinalOf(op))) return { found: new Map(marks), known: [] };
  const known = operations();
  return { known, found: new Map([...marks].flatMap(([op, mark]): Array<[string, Mark]> => nth(op, known).map((id) => [id, mark]))) };
}

/** A dry run is done by recording its minutes and its clamps, not by a tick. */
function dryRunsOf(damage: string, operations: readonly Operation[]): string[] {
  return operations
    .filter(({ kind, places }) => kind === "dry-run" && places.some((place) => isPlaceOf(place, damage)))
    .map(({ id }) => id);
}

const ORDINALS: Readonly<Record<string, (operation: Operation) => boolean>> = {
  mix: ({ kind, station }) => kind === "mix" && station === "fill",
  place: ({ kind, station }) => (kind === "place" || kind === "pour") && station === "fill",
  check: ({ kind, station }) => kind === "check" && station === "fill",
  coat: ({ starts, station }) => starts === "coated" && station === "colour",
};

function nth(op: string, operations: readonly Operation[]): string[] {
  const ordinal = ordinalOf(op);
  if (!ordinal) return [op];
  const { kind, number } = ordinal;
  // a grit of the first version is named by its P grade
  if (kind === "grit") return operations.filter(({ grade }) => grade?.system === "P" && grade.grade === number).map(({ id }) => id);
  return [operations.filter((operation) => ORDINALS[kind]?.(operation))[number - 1]?.id ?? op];
}

/** Every clock that was started, with its stages in the air that it really had; one that was found behind its time goes slower. */
function clocksOf(marks: ReadonlyMap<string, Mark>, soft: Treatment["soft"], climate: CureInput["climate"]): Map<string, OpClock> {
  const clocks = new Map<string, OpClock>();
  for (const [op, { at, body }] of marks) {
    if (body.kind !== "done" || !body.start) continue;
    const material = materialTaken(body.start);
    const start = Date.parse(at);
    const { thickness_mm, climate: air } = body.start;
    const looks = soft.filter((entry) => entry.body.op === op).map((entry) => Date.parse(entry.at));
    const stagesAt = (share: number) => {
      const stages = stageTimes({ material, thickness_mm: thickness_mm * share, at, rh_pct: air.rh_pct }, climate);
      return looks.reduce((slower, look) => slowed(slower, start, look), stages);
    };
    clocks.set(op, { op, start, material: material.name, stages: stagesAt(1), stagesAt });
  }
  return clocks;
}

function batchOf({ id, at, body: { start } }: Entry<"batch-mixed">, climate: CureInput["climate"]): MixedBatch {
  const stages = stageTimes(
    { material: materialTaken(start), thickness_mm: start.thickness_mm, at, rh_pct: start.climate.rh_pct },
    climate,
  );
  return {
    entry: id,
    at: Date.parse(at),
    mass_g: takenInAll(start.parts ?? []),
    ...present({ until: stages.find(({ stage }) => stage === "working")?.at }),
  };
}

/** It is looked at again after a quarter more of the time that it had; a rule of thumb, and said so where it shows. */
const AGAIN_AFTER = 1.25;

/** Found soft when it should have been ready: that stage, and all that come later, move out with it. */
function slowed(stages: readonly StageTime[], start: number, look: number): StageTime[] {
  const due = Math.max(
    0,
    ...stages.filter(({ stage, at }) => stage !== "working" && at !== undefined && at <= look).map(({ at = 0 }) => at),
  );
  if (due <= start) return [...stages];
  const factor = (AGAIN_AFTER * (look - start)) / (due - start);
  return stages.map((each) =>
    each.stage === "working" || each.at === undefined ? each : { ...each, at: start + (each.at - start) * factor },
  );
}
