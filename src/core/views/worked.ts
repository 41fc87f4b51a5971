import type { Finish, PieceKind, Substrate } from "../catalogue";
import type { CureInput } from "../cure/cure.schema";
import { type StageTime, stageTimes } from "../cure/running";
import type { Shelf } from "../match/case";
import type { DamageInput } from "../plan/damageContext";
import type { Air } from "../plan/lag";
import type { OpMark } from "../plan/operation";
import type { Operation } from "../plan/plan.schema";
import { SCALE_STEP_G } from "../plan/planCalc";
import { type Repair, repairOf } from "../plan/repair";
import type { BodyOf } from "../record/events.schema";
import { type DamageRecord, type Mark, materialTaken, type Treatment } from "../record/treatment";
import { present } from "../units";

/** What the plan must know of the piece. */
export interface PieceFacts {
  readonly kind: PieceKind;
  /** The part of the first damage, and every part of the piece. */
  readonly part: string;
  readonly parts: ReadonlyArray<{ readonly id: string; readonly substrate: Substrate; readonly finish: Finish }>;
}

/** A clock that an operation started. Ms since the epoch. */
export interface OpClock {
  readonly op: string;
  readonly start: number;
  readonly material: string;
  readonly stages: readonly StageTime[];
}

/** A treatment worked out: its repair, the marks on its operations, and the clocks that they started. */
export interface Worked {
  readonly repair: Repair;
  readonly marks: ReadonlyMap<string, Mark>;
  readonly clocks: ReadonlyMap<string, OpClock>;
}

/** A damage as the plan takes it, from the log. */
export function damageInput(piece: PieceFacts, damage: DamageRecord): DamageInput {
  const { id, survey, choice, brace, form } = damage;
  const part = piece.parts.find((each) => each.id === (survey.body.part ?? piece.part)) ?? piece.parts[0];
  if (!part) throw new RangeError("the piece has no part");
  const way = survey.body.way?.way;
  return {
    id,
    piece: piece.kind,
    part: part.id,
    substrate: part.substrate,
    finish: part.finish,
    survey: survey.body.survey,
    ...(way ? { way } : {}),
    choose: choice?.body.chain ?? [],
    ...(brace && brace.body.brace !== "none" ? { brace: { kind: brace.body.brace, size: brace.body.size } } : {}),
    ...(form ? { form: form.body.form } : {}),
  };
}

/** The repair as far as damages are settled; undefined where none is. */
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
    tools: { scale_step_g: SCALE_STEP_G },
    rounds: treatment.rounds.map(({ at, body: { station, places, because, low_mm } }) => ({
      station,
      places,
      because,
      at,
      ...(low_mm === undefined ? {} : { low_mm }),
    })),
    own: treatment.added.map(({ step, station, text, why, hands_min, wait_min }) => ({
      id: `own/${station}/${step}`,
      station,
      text,
      why,
      hands_min,
      wait_min,
    })),
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
  const repair = repairOf({ ...input, marks: opMarks(marks.found) });
  return { repair, marks: marks.found, clocks: clocksOf(marks.found, climate) };
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
    [...marks].map(([op, { status, at, body }]): [string, OpMark] => [op, { status, at, ...(body.kind === "done" ? foundIn(body) : {}) }]),
  );

/** What the plan goes on from: which places were covered, where a surface was, how much of a batch was mixed. */
function foundIn({ places, surface_mm, start }: BodyOf<"done">): Omit<OpMark, "status" | "at"> {
  const planned = start?.parts?.reduce((sum, { planned_g }) => sum + planned_g, 0) ?? 0;
  const actual = start?.parts?.reduce((sum, { actual_g }) => sum + actual_g, 0) ?? 0;
  return present({ places, surface_mm, mixed_share: planned > 0 ? actual / planned : undefined });
}

/** Marks of the first version say "the second mix": they find their operation by its place among its kind. */
function resolved(
  marks: ReadonlyMap<string, Mark>,
  asked: boolean,
  operations: () => readonly Operation[],
): { readonly found: Map<string, Mark>; readonly known: readonly Operation[] } {
  if (!asked && ![...marks.keys()].some((op) => op.startsWith("ordinal/"))) return { found: new Map(marks), known: [] };
  const known = operations();
  return { known, found: new Map([...marks].flatMap(([op, mark]): Array<[string, Mark]> => nth(op, known).map((id) => [id, mark]))) };
}

/** A dry run is done by recording its minutes and its clamps, not by a tick. */
function dryRunsOf(damage: string, operations: readonly Operation[]): string[] {
  return operations
    .filter(({ kind, places }) => kind === "dry-run" && places.some((place) => place.startsWith(`${damage}/`)))
    .map(({ id }) => id);
}

const ORDINALS: Readonly<Record<string, (operation: Operation) => boolean>> = {
  mix: ({ kind, station }) => kind === "mix" && station === "fill",
  place: ({ kind, station }) => (kind === "place" || kind === "pour") && station === "fill",
  check: ({ kind, station }) => kind === "check" && station === "fill",
  coat: ({ starts, station }) => starts === "coated" && station === "colour",
};

function nth(op: string, operations: readonly Operation[]): string[] {
  const [first, kind = "", number = ""] = op.split("/");
  if (first !== "ordinal") return [op];
  if (kind === "grit") return operations.filter(({ id }) => id.includes(`/grit-${number}/`)).map(({ id }) => id);
  const found = operations.filter((operation) => ORDINALS[kind]?.(operation))[Number(number) - 1];
  return [found?.id ?? op];
}

/** Every clock that was started, with its stages in the air that it really had. */
function clocksOf(marks: ReadonlyMap<string, Mark>, climate: CureInput["climate"]): Map<string, OpClock> {
  const clocks = new Map<string, OpClock>();
  for (const [op, { at, body }] of marks) {
    if (body.kind !== "done" || !body.start) continue;
    const material = materialTaken(body.start);
    clocks.set(op, {
      op,
      start: Date.parse(at),
      material: material.name,
      stages: stageTimes({ material, thickness_mm: body.start.thickness_mm, at }, climate),
    });
  }
  return clocks;
}
